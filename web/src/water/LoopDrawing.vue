<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { LoopView } from '../api/client'
import { temperatureColour } from '../chargeline/colour'
import type { CoolingSideOnLoop, WaterLoop } from '../document/types'
import { axisTicks, figure, spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import { divided, isChamber, plan, portHeight, twoLines, type LoopShape } from './loop'

/** The loop as it is, from left to right in the order of the water, high and low to scale; under it what every piece takes of the pump's pressure. */
const props = defineProps<{ loop: WaterLoop; view?: LoopView; chosen: number; place: string; stands?: CoolingSideOnLoop[] }>()
const emit = defineEmits<{ pick: [index: number] }>()
const settings = useSettings()
const box = ref<HTMLElement>()
const { width } = useElementSize(box)
const TOP = 14
const GROUND = 208
const BAR_TOP = 236
const BAR = 46
const NAMES = BAR_TOP + BAR + 15
const HEIGHT = NAMES + 46
const LEFT = 52

const wide = computed(() => Math.max(width.value, 420))
const pieces = computed(() => props.loop.pieces ?? [])
const drawn = computed(() => plan(pieces.value, props.view, LEFT, wide.value - 8, TOP, GROUND - 12))
const axis = computed(() => axisTicks(drawn.value.low + 20, drawn.value.high - 20, 5, 'mm', settings.units))
const most = computed(() => Math.max(...drawn.value.shapes.map((s) => s.share_pct), 20))
const cap = computed(() => pieces.value.find((p) => p.kind === 'tank')?.height_mm)
const tight = computed(() => wide.value / pieces.value.length < 62)

const mid = (s: LoopShape) => (s.x0 + s.x1) / 2
const half = (s: LoopShape) => Math.min((s.x1 - s.x0) / 2 - 7, 30)

/** Middle line of a hose: up or down to its highest place, then to where it ends. */
function way(s: LoopShape, shift: number): string {
  const { x0, x1, y0, ym, y1 } = s
  const m = (x0 + x1) / 2
  const k = (x1 - x0) / 4
  return `M${x0},${y0 + shift} C${x0 + k},${y0 + shift} ${m - k},${ym + shift} ${m},${ym + shift} S${x1 - k},${y1 + shift} ${x1},${y1 + shift}`
}

function body(s: LoopShape): string {
  const h = s.thick / 2
  const { x0, x1, y0, ym, y1 } = s
  const m = (x0 + x1) / 2
  const k = (x1 - x0) / 4
  return `${way(s, -h)} L${x1},${y1 + h} C${x1 - k},${y1 + h} ${m + k},${ym + h} ${m},${ym + h} S${x0 + k},${y0 + h} ${x0},${y0 + h} Z`
}

/** The water inside a box comes in at one port and leaves at the other. */
const ports = (s: LoopShape) => ({ in: drawn.value.y(portHeight(s.piece, 'in')), out: drawn.value.y(portHeight(s.piece, 'out')) })
const coreHalf = computed(() => Math.abs(drawn.value.y(0) - drawn.value.y(70)))
/** Several cores in the box of the core. */
const divisions = (s: LoopShape) =>
  divided(props.stands ?? [], { x: mid(s) - half(s), y: s.ym - coreHalf.value, wide: 2 * half(s), high: 2 * coreHalf.value })
/** Where the loop leaves room for a caption at the level of the cap. */
const lowest = computed(() => drawn.value.shapes.reduce((a, b) => (b.ym > a.ym ? b : a)))
const ice = computed(() => (props.loop.tank?.ice_kg ?? 0) > 0)

function fault(s: LoopShape): string {
  if (s.piece.kind === 'core') {
    if (s.piece.fedFrom === 'top') return 'fed from the top'
    if (s.piece.ports !== 'opposite corners') return s.piece.ports === 'middle' ? 'ports on the middle' : 'ports at one end'
    if (s.piece.boss) return 'boss before the tubes'
  }
  if (props.view && s.index === props.view.highest && props.view.overCap_mm > 1)
    return `${spoken(props.view.overCap_mm, 'mm', settings.units)} above the cap`
  return ''
}

const label = (s: LoopShape) => {
  const v = props.view?.pieces[s.index]
  return `${s.piece.name}: ${v ? `${spoken(Math.abs(v.loss_kPa), 'kPa', settings.units, 2)} ${v.loss_kPa < 0 ? 'given' : 'lost'}, ${v.share_pct.toFixed(0)} %, water ${spoken(v.out_C, 'C', settings.units)}` : 'not solved'}`
}

function keys(event: KeyboardEvent, index: number): void {
  const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
  if (step) {
    event.preventDefault()
    const next = (index + step + pieces.value.length) % pieces.value.length
    emit('pick', next)
    box.value?.querySelector<SVGGElement>(`[data-loop-piece="${next}"]`)?.focus()
  } else if (event.key === 'Enter' || event.key === ' ') {
    event.preventDefault()
    emit('pick', index)
  }
}

/** Where the water's temperature is written: before and behind each box that changes it. */
const marks = computed(() =>
  drawn.value.shapes
    .filter((s) => isChamber(s.piece.kind) && (Math.abs(s.out_C - s.in_C) > 0.2 || s.piece.kind === 'source' || s.piece.kind === 'tank'))
    .flatMap((s) => {
      const y = ports(s)
      const list = [{ x: s.x1 + 2, y: y.out - 13, t: s.out_C, anchor: 'start' }]
      if (s.index > 0 && Math.abs(s.out_C - s.in_C) > 0.2) list.push({ x: s.x0 - 2, y: y.in - 13, t: s.in_C, anchor: 'end' })
      return list
    }),
)
</script>

<template>
  <div ref="box" class="loop">
    <svg v-if="width" :width="wide" :height="HEIGHT" role="group" :aria-label="`Water loop, ${pieces.length} pieces`">
      <defs>
        <pattern id="loop-fins" width="5" height="5" patternUnits="userSpaceOnUse">
          <path d="M0,5 L2.5,0 L5,5" fill="none" stroke="var(--ink)" stroke-opacity="0.35" stroke-width="0.7" />
        </pattern>
      </defs>
      <g class="axis">
        <g v-for="t in axis" :key="t.label">
          <line :x1="LEFT - 6" :x2="wide - 8" :y1="drawn.y(t.value)" :y2="drawn.y(t.value)" />
          <text :x="LEFT - 10" :y="drawn.y(t.value) + 4" text-anchor="end">{{ t.label }}</text>
        </g>
        <text :x="0" :y="TOP - 2" class="unit">{{ settings.units === 'us' ? 'in' : 'mm' }} up</text>
      </g>
      <g v-if="cap !== undefined && !view?.open" class="cap">
        <line :x1="LEFT" :x2="wide - 8" :y1="drawn.y(cap)" :y2="drawn.y(cap)" />
        <text :x="mid(lowest)" :y="drawn.y(cap) - 5" text-anchor="middle">level of the cap</text>
      </g>
      <g v-if="view?.open" class="cap sea">
        <line :x1="LEFT" :x2="wide - 8" :y1="drawn.y(0)" :y2="drawn.y(0)" />
        <text :x="wide - 10" :y="drawn.y(0) - 4" text-anchor="end">level 0</text>
      </g>
      <path
        v-if="!view?.open"
        class="round"
        :d="`M${wide - 8},${drawn.shapes.at(-1)!.y1} L${wide - 3},${drawn.shapes.at(-1)!.y1} L${wide - 3},${GROUND - 3} L${LEFT - 4},${GROUND - 3} L${LEFT - 4},${drawn.shapes[0]!.y0} L${LEFT},${drawn.shapes[0]!.y0}`"
      />
      <line class="ground" :x1="LEFT - 6" :x2="wide - 2" :y1="GROUND + 4.5" :y2="GROUND + 4.5" />
      <g
        v-for="s in drawn.shapes"
        :key="s.index"
        class="piece"
        :class="{ chosen: s.index === chosen }"
        :data-loop-piece="s.index"
        role="button"
        tabindex="0"
        :aria-label="label(s)"
        :aria-pressed="s.index === chosen"
        @click="emit('pick', s.index)"
        @keydown="keys($event, s.index)"
      >
        <rect class="hit" :x="s.x0" :y="TOP" :width="s.x1 - s.x0" :height="HEIGHT - TOP" />
        <template v-if="s.thick && s.piece.kind !== 'pump'">
          <path :d="body(s)" :fill="temperatureColour(s.in_C)" />
          <path class="wall" :d="way(s, -s.thick / 2)" />
          <path class="wall" :d="way(s, s.thick / 2)" />
          <path
            v-if="s.piece.kind.endsWith('valve')"
            class="wall valve"
            :d="`M${mid(s) - 8},${s.ym - 9} L${mid(s) + 8},${s.ym + 9} V${s.ym - 9} L${mid(s) - 8},${s.ym + 9} Z`"
          />
        </template>
        <template v-else-if="s.piece.kind === 'pump'">
          <rect :x="s.x0" :y="s.ym - s.thick / 2" :width="s.x1 - s.x0" :height="s.thick" :fill="temperatureColour(s.in_C)" />
          <path class="wall" :d="`M${s.x0},${s.ym - s.thick / 2} H${s.x1} M${s.x0},${s.ym + s.thick / 2} H${s.x1}`" />
          <circle class="box" :cx="mid(s)" :cy="s.ym" r="15" :fill="temperatureColour(s.in_C)" />
          <path class="wall" :d="`M${mid(s) - 6},${s.ym - 8} L${mid(s) + 9},${s.ym} L${mid(s) - 6},${s.ym + 8}`" />
        </template>
        <template v-else-if="s.piece.kind === 'core'">
          <rect
            class="box"
            :x="mid(s) - half(s)"
            :y="s.ym - coreHalf"
            :width="2 * half(s)"
            :height="2 * coreHalf"
            :fill="temperatureColour((s.in_C + s.out_C) / 2)"
          />
          <rect :x="mid(s) - half(s)" :y="s.ym - coreHalf" :width="2 * half(s)" :height="2 * coreHalf" fill="url(#loop-fins)" />
          <path v-if="stands?.length" class="wall divided" :d="divisions(s)" />
          <path class="wall port" :d="`M${s.x0},${ports(s).in} H${mid(s) - half(s)} M${mid(s) + half(s)},${ports(s).out} H${s.x1}`" />
        </template>
        <template v-else-if="s.piece.kind === 'radiator' || s.piece.kind === 'chiller'">
          <rect class="box" :x="mid(s) - half(s)" :y="s.ym - 22" :width="2 * half(s)" height="44" :fill="temperatureColour((s.in_C + s.out_C) / 2)" />
          <path class="fins" :d="Array.from({ length: 5 }, (_, k) => `M${mid(s) - half(s)},${s.ym - 14 + 7 * k} H${mid(s) + half(s)}`).join(' ')" />
          <path class="wall port" :d="`M${s.x0},${s.ym} H${mid(s) - half(s)} M${mid(s) + half(s)},${s.ym} H${s.x1}`" />
        </template>
        <template v-else-if="s.piece.kind === 'tank'">
          <rect :x="mid(s) - half(s)" :y="s.ym" :width="2 * half(s)" height="40" :fill="temperatureColour(s.out_C)" />
          <path class="wall" :d="`M${mid(s) - half(s)},${s.ym - 9} V${s.ym + 40} H${mid(s) + half(s)} V${s.ym - 9} Z`" />
          <path class="wall" :d="`M${mid(s) - half(s)},${s.ym} H${mid(s) + half(s)}`" />
          <rect class="box" :x="mid(s) - 7" :y="s.ym - 14" width="14" height="5" fill="var(--ink)" />
          <template v-if="ice">
            <rect
              v-for="k in 5"
              :key="k"
              class="ice"
              :x="mid(s) - half(s) + 4 + (k - 1) * ((2 * half(s) - 16) / 4)"
              :y="s.ym + (k % 2 ? 2 : 8)"
              width="8"
              height="8"
            />
          </template>
          <path v-if="loop.tank?.baffled" class="wall" :d="`M${mid(s) - 8},${s.ym + 6} V${s.ym + 40} M${mid(s) + 8},${s.ym} V${s.ym + 32}`" />
        </template>
        <template v-else-if="s.piece.kind === 'source' || s.piece.kind === 'outfall'">
          <path class="wave" :d="`M${s.x0 + 6},${s.ym + 9} q5,-6 10,0 t10,0 t10,0`" />
          <path class="wall port" :d="s.piece.kind === 'source' ? `M${mid(s)},${s.ym} H${s.x1}` : `M${s.x0},${s.ym} H${mid(s)} V${s.ym + 7}`" />
        </template>
        <text v-if="fault(s)" class="fault" :x="mid(s)" :y="s.piece.kind === 'core' ? s.ym - coreHalf - 7 : s.ym - 12" text-anchor="middle">
          {{ fault(s) }}
        </text>
        <template v-if="view">
          <rect
            v-if="s.loss_kPa > 0"
            class="share"
            :class="{ worst: s.index === view.narrowest && s.share_pct > 15 }"
            :x="s.x0 + 3"
            :width="Math.max(s.x1 - s.x0 - 6, 4)"
            :y="BAR_TOP + BAR - (s.share_pct / most) * BAR"
            :height="(s.share_pct / most) * BAR"
          />
          <text
            v-if="s.loss_kPa > 0.005"
            class="loss"
            :x="mid(s)"
            :y="Math.min(BAR_TOP + BAR - (s.share_pct / most) * BAR - 4, BAR_TOP + BAR - 3)"
            text-anchor="middle"
          >
            {{ s.share_pct.toFixed(0) }}
            <tspan v-if="!tight">%</tspan>
          </text>
          <text v-else-if="s.loss_kPa < 0" class="gives" :x="mid(s)" :y="BAR_TOP + BAR - 4" text-anchor="middle">
            +{{ figure(-s.loss_kPa, 'kPa', settings.units).figure }}
          </text>
        </template>
        <text class="name" :x="mid(s)" :y="NAMES" text-anchor="middle">
          <tspan :x="mid(s)">{{ twoLines(s.piece.name)[0] }}</tspan>
          <tspan v-if="twoLines(s.piece.name)[1]" :x="mid(s)" dy="12">{{ twoLines(s.piece.name)[1] }}</tspan>
          <tspan v-if="s.thick" :x="mid(s)" dy="12" class="bore">
            {{ ((s.piece as { beside?: number }).beside ?? 1) > 1 ? `${(s.piece as { beside?: number }).beside} × ` : ''
            }}{{
              spoken(
                (s.piece as { bore_mm: number }).bore_mm,
                'mm',
                settings.units,
                settings.units === 'us' ? 2 : (s.piece as { bore_mm: number }).bore_mm % 1 ? 1 : 0,
              )
            }}
          </tspan>
        </text>
      </g>
      <text v-for="(m, i) in marks" :key="i" class="temperature" :x="m.x" :y="m.y" :text-anchor="m.anchor">
        {{ figure(m.t, 'C', settings.units).figure }}°
      </text>
      <text class="unit" x="0" :y="BAR_TOP + BAR - 3">share</text>
      <line class="base" :x1="LEFT - 6" :x2="wide - 2" :y1="BAR_TOP + BAR + 0.5" :y2="BAR_TOP + BAR + 0.5" />
    </svg>
  </div>
</template>

<style scoped>
.loop {
  min-height: 344px;
}
svg {
  display: block;
  overflow: visible;
}
.axis line {
  stroke: var(--hair);
}
.axis text,
.unit {
  font-size: var(--s1);
  fill: var(--ink-3);
}
.cap line {
  stroke: var(--cool);
  stroke-dasharray: 5 4;
}
.cap text {
  font-size: var(--s1);
  fill: var(--cool-text);
}
.ground {
  stroke: var(--ink);
}
.base {
  stroke: var(--rule);
}
.round {
  fill: none;
  stroke: var(--ink-3);
  stroke-dasharray: 2 3;
}
.hit {
  fill: transparent;
}
.piece {
  cursor: pointer;
}
.piece:hover .hit {
  fill: var(--hair);
  fill-opacity: 0.5;
}
.piece.chosen .hit {
  fill: var(--blue);
  fill-opacity: 0.08;
}
.piece.chosen .name {
  fill: var(--blue);
  font-weight: 600;
}
.piece:focus-visible {
  outline: none;
}
.piece:focus-visible .hit {
  stroke: var(--blue);
  stroke-width: 2;
}
.wall,
.fins {
  fill: none;
  stroke: var(--ink);
  stroke-width: 0.9;
}
.fins {
  stroke-opacity: 0.5;
}
.divided {
  stroke-width: 2;
}
.port {
  stroke-width: 3;
}
.box {
  stroke: var(--ink);
  stroke-width: 0.9;
}
.wave {
  fill: none;
  stroke: var(--cool);
  stroke-width: 1.6;
}
.ice {
  fill: var(--sheet);
  fill-opacity: 0.85;
  stroke: var(--ink);
  stroke-width: 0.6;
}
.share {
  fill: var(--land);
}
.share.worst {
  fill: var(--heat);
}
.loss,
.name,
.gives {
  font-size: var(--s1);
  fill: var(--ink-2);
}
.loss {
  font-weight: 600;
  fill: var(--ink);
}
.gives {
  font-weight: 600;
  fill: var(--cool-text);
}
.bore {
  fill: var(--ink-3);
}
.fault {
  font-size: var(--s1);
  font-weight: 600;
  fill: var(--heat-text);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}
.temperature {
  font-size: var(--s2);
  font-weight: 700;
  font-stretch: 108%;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}
</style>
