<script setup lang="ts">
import { useElementSize, useMediaQuery } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { FitView, SteadyView } from '../api/client'
import { blockText } from '../core/size'
import type { BuildOption } from '../document/types'
import { asLaid, inBends } from '../pipes/laid'
import { sizeText } from '../pipes/size'
import { figure, spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import { apart, PX_PER_LETTER } from './captions'
import { spokenPiece } from './spoken'
import { mark, ridge, type PieceShape } from './geometry'
import StationFigures from './StationFigures.vue'
import WaterRidge from './WaterRidge.vue'

const props = defineProps<{
  steady: SteadyView
  option: BuildOption
  ghost?: SteadyView
  ghostLabel?: string
  chosen?: number
  /** Where pipes are laid in the room they are bent as that. */
  fit?: FitView
  /** What a log measured at stations, °C by their number. */
  measured?: Readonly<Record<number, number>>
  /** The operating point that the line is drawn for, in two short lines. */
  point: [string, string]
}>()
const emit = defineEmits<{ pick: [piece: number] }>()

const settings = useSettings()
const box = ref<HTMLElement>()
const { width } = useElementSize(box)
const wide = computed(() => Math.max(width.value, 900))
/** Drawn below when one core stands in the main way and water cools it. */
const water = computed(
  () => props.steady.cores.length === 1 && props.steady.core?.cooledBy === 'water' && !props.steady.core.place.includes('/legs/'),
)
/** On a low screen the line folds: a thinner ridge, and the water in words. */
const folded = useMediaQuery('(max-height: 790px)')
/** Ground rule under the ridge; station figures stand below it. */
const ground = computed(() => (folded.value ? 112 : 158))
/** Under the stations' figures, where a log is looked at, one line for what was measured. */
const more = computed(() => (props.measured ? 17 : 0))
const height = computed(() => ground.value + more.value + (!water.value ? 54 : folded.value ? 74 : 122))
const shape = computed(() =>
  ridge(
    props.steady,
    props.option.path,
    {
      width: wide.value,
      left: 62,
      right: wide.value - 44,
      top: 12,
      bottom: ground.value - 4,
      thickest: folded.value ? 20 : 32,
      system: settings.units,
    },
    props.ghost,
  ),
)
const hovered = ref<number>()

/** A caption that does not fit over its piece gives up its price first, then itself. */
const captions = computed(() =>
  apart(
    shape.value.pieces.flatMap((piece) => {
      const c = caption(piece)
      const room = piece.x1 - piece.x0 - 10
      if (!c.title || (piece.kind !== 'core' && c.title.length * PX_PER_LETTER > room)) return []
      const price = piece.kind === 'core' || (c.title.length + c.price.length + 1) * PX_PER_LETTER <= room ? c.price : ''
      return [{ piece, ...c, price, core: piece.kind === 'core' }]
    }),
  ),
)

function caption(piece: PieceShape): { title: string; price: string; x: number; y: number } {
  const view = props.steady.pieces[piece.index]!
  const data = props.option.path[piece.index]!
  const loss = spoken(view.loss_kPa, 'kPa', settings.units)
  if (data.kind === 'pipe') {
    const high = piece.middle(0.5) < (ground.value + 12) / 2
    const y = high ? below(piece) : above(piece)
    return {
      title: `${data.name} ${sizeText(data, settings.units)}`,
      price: `${loss} · ${inBends(asLaid(data, props.fit).bends.length)}`,
      x: (piece.x0 + piece.x1) / 2,
      y,
    }
  }
  if (data.kind === 'pair') {
    const shares = view.legs.map((leg) => `${leg.share_pct.toFixed(0)} %`).join(' : ')
    const high = piece.middle(0.5) < (ground.value + 12) / 2
    return {
      title: data.name,
      price: `${shares} · ${spoken(
        view.legs[0]!.pieces.filter((p) => p.kind !== 'blower').reduce((sum, p) => sum + p.loss_kPa, 0),
        'kPa',
        settings.units,
      )}`,
      x: (piece.x0 + piece.x1) / 2,
      y: high ? below(piece) + 10 : above(piece) - 10,
    }
  }
  if (data.kind === 'core')
    return {
      title: `${data.name} ${blockText(data, settings.units)}`,
      price: corePrice(loss, view.place),
      x: piece.x0 + 0.45 * (piece.x1 - piece.x0),
      y: Math.min(piece.middle(0.16) - 12, piece.middle(0.45) - piece.half(0.45) - 23),
    }
  return { title: '', price: '', x: 0, y: 0 }
}

/** Clear of the band, and of the ghost where it runs close by. */
function above(piece: PieceShape): number {
  const edge = piece.middle(0.5) - piece.half(0.5)
  const ghost = shape.value.ghostMiddle(piece.index, 0.5)
  return (ghost !== undefined && ghost < edge && ghost > edge - 24 ? ghost : edge) - 7
}

function below(piece: PieceShape): number {
  const edge = piece.middle(0.5) + piece.half(0.5)
  const ghost = shape.value.ghostMiddle(piece.index, 0.5)
  return (ghost !== undefined && ghost > edge && ghost < edge + 24 ? ghost : edge) + 16
}

function corePrice(loss: string, place: string): string {
  const core = props.steady.cores.find((c) => c.place === place)!
  return `${(100 * core.recovered).toFixed(0)} % of the way down · ${loss} · ${spoken(core.heat_kW, 'kW', settings.units)}`
}

function move(event: KeyboardEvent, index: number): void {
  const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
  if (step) {
    event.preventDefault()
    const next = box.value?.querySelector<SVGElement>(`[data-piece="${index + step}"]`)
    next?.focus()
  } else if (event.key === 'Enter' || event.key === ' ') {
    event.preventDefault()
    emit('pick', index)
  }
}

/** Beside the end of the ghost, clear of the band. */
const ghostLabelY = computed(() => {
  const last = shape.value.pieces.at(-1)!
  const ghost = shape.value.y(shape.value.ghostEnd ?? 0)
  const hotter = ghost <= last.middle(1)
  return hotter ? Math.min(ghost, last.middle(1) - last.half(1)) - 6 : Math.min(Math.max(ghost, last.middle(1) + last.half(1)) + 14, ground.value - 4)
})

const tip = computed(() => {
  if (hovered.value === undefined) return undefined
  const piece = shape.value.pieces[hovered.value]
  if (!piece) return undefined
  const middle = (piece.x0 + piece.x1) / 2
  return { x: Math.min(Math.max(middle, 130), wide.value - 130), text: spokenPiece(props.steady.pieces[piece.index]!, settings.units) }
})
</script>

<template>
  <div ref="box" class="line">
    <svg :width="wide" :height="height" :viewBox="`0 0 ${wide} ${height}`" role="group" aria-label="Charge line: the air's way from filter to plenum">
      <defs>
        <linearGradient v-for="p in shape.pieces" :id="`fill-${p.index}`" :key="p.index">
          <stop v-for="s in p.stops" :key="s.offset" :offset="s.offset" :stop-color="s.colour" />
        </linearGradient>
        <template v-for="p in shape.pieces" :key="`legs${p.index}`">
          <linearGradient v-for="(leg, k) in p.legs" :id="`fill-${p.index}-${k}`" :key="k">
            <stop v-for="s in leg.stops" :key="s.offset" :offset="s.offset" :stop-color="s.colour" />
          </linearGradient>
        </template>
        <pattern id="fins" width="7" height="7" patternUnits="userSpaceOnUse">
          <path d="M0 7 L3.5 0 L7 7" class="fin" />
        </pattern>
      </defs>
      <g class="grid">
        <template v-for="t in shape.ticks" :key="t.value">
          <line :x1="56" :x2="wide - 40" :y1="t.y" :y2="t.y" />
          <text x="50" :y="t.y + 4" text-anchor="end">{{ t.label }}°</text>
        </template>
      </g>
      <text class="point" x="62" y="17">{{ point[0] }}</text>
      <text class="point" x="62" y="32">{{ point[1] }}</text>
      <line class="ground" :x1="56" :x2="wide - 40" :y1="ground" :y2="ground" />
      <line v-for="s in shape.plumbs" :key="s.index" class="plumb" :x1="s.x" :x2="s.x" :y1="s.y" :y2="ground + 3" />
      <g
        v-for="p in shape.pieces"
        :key="p.index"
        class="piece"
        :class="{ chosen: chosen === p.index }"
        role="button"
        :tabindex="(chosen ?? 0) === p.index ? 0 : -1"
        :data-piece="p.index"
        :aria-label="spokenPiece(steady.pieces[p.index]!, settings.units)"
        @click="emit('pick', p.index)"
        @keydown="move($event, p.index)"
        @mouseenter="hovered = p.index"
        @mouseleave="hovered = undefined"
        @focus="hovered = p.index"
        @blur="hovered = undefined"
      >
        <rect class="reach" :x="p.x0" :width="p.x1 - p.x0" y="4" :height="ground - 8" />
        <template v-if="p.legs.length">
          <g v-for="(leg, k) in p.legs" :key="k">
            <path :d="leg.body" :fill="`url(#fill-${p.index}-${k})`" />
            <path v-for="(c, n) in leg.cores" :key="n" :d="c" fill="url(#fins)" />
            <path class="wall" :d="leg.upper" />
            <path class="wall" :d="leg.lower" />
          </g>
        </template>
        <template v-else>
          <path :d="p.body" :fill="`url(#fill-${p.index})`" />
          <path v-if="p.kind === 'core'" :d="p.body" fill="url(#fins)" />
          <path class="wall" :d="p.upper" />
          <path class="wall" :d="p.lower" />
          <path v-if="p.kind === 'joint' || p.kind === 'throttle' || p.kind === 'injection'" class="mark" :d="mark(p)" />
        </template>
        <path class="under" :d="`M${p.x0 + 1} ${ground} H${p.x1 - 1}`" />
      </g>
      <path v-if="shape.ghost" class="ghost" :d="shape.ghost" />
      <text v-if="shape.ghost && shape.ghostEnd !== undefined" class="ghost-label" :x="wide - 40" :y="ghostLabelY" text-anchor="end">
        {{ ghostLabel }} {{ figure(shape.ghostEnd, 'C', settings.units).figure }}°
      </text>
      <g v-for="c in captions" :key="c.piece.index" class="caption">
        <template v-if="c.piece.kind === 'core'">
          <text :x="c.x" :y="c.y">
            <tspan class="title">{{ c.title }}</tspan>
          </text>
          <text :x="c.x" :y="c.y + 16" class="price">{{ c.price }}</text>
        </template>
        <text v-else :x="c.x" :y="c.y" text-anchor="middle">
          <tspan class="title">{{ c.title }}</tspan>
          {{ ' ' }}
          <tspan class="price">{{ c.price }}</tspan>
        </text>
      </g>
      <StationFigures :steady="steady" :ghost="ghost" :plumbs="shape.plumbs" :ground="ground" :measured="measured" />
      <WaterRidge v-if="water" :steady="steady" :ghost="ghost" :pieces="shape.pieces" :wide="wide" :top="ground + 50 + more" :folded="folded" />
    </svg>
    <div v-if="tip" class="tip" :style="{ left: `${tip.x}px` }" aria-hidden="true">{{ tip.text }}</div>
  </div>
</template>

<style scoped>
.line {
  position: relative;
  background: var(--sheet);
  overflow: hidden;
}
svg {
  display: block;
}
.grid line {
  stroke: var(--hair);
}
.grid text {
  font-size: var(--s1);
  fill: var(--ink-3);
}
.point {
  font-size: var(--s1);
  fill: var(--ink-2);
}
.ground {
  stroke: var(--ink);
}
.plumb {
  stroke: var(--ink-2);
  stroke-width: 1;
}
.fin {
  fill: none;
  stroke: #13202a;
  stroke-opacity: 0.28;
  stroke-width: 0.8;
}
.piece {
  cursor: pointer;
  outline: none;
}
.reach {
  fill: transparent;
}
.wall {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1;
}
.mark {
  fill: none;
  stroke: #13202a;
  stroke-width: 1.6;
}
.under {
  fill: none;
  stroke: var(--blue);
  stroke-width: 3;
  opacity: 0;
}
.piece:hover .under,
.piece.chosen .under {
  opacity: 1;
}
.piece:focus-visible .reach {
  stroke: var(--blue);
  stroke-width: 1.5;
}
.ghost {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 1.2;
  stroke-dasharray: 4 3.5;
  pointer-events: none;
}
.ghost-label {
  font-size: var(--s1);
  fill: var(--ink-2);
}
.caption text,
.point,
.ghost-label {
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
  stroke-linejoin: round;
}
.caption {
  font-size: var(--s2);
  pointer-events: none;
}
.caption .title {
  fill: var(--ink);
  font-weight: 500;
}
.caption .price,
.price {
  fill: var(--ink-3);
}
.tip {
  position: absolute;
  top: 6px;
  transform: translateX(-50%);
  padding: 2px 8px;
  background: var(--ink);
  color: var(--sheet);
  font-size: var(--s1);
  white-space: nowrap;
  pointer-events: none;
}
</style>
