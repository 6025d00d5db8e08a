<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { AirWayView } from '../api/client'
import { temperatureColour } from '../chargeline/colour'
import type { AirWay, BuildOption } from '../document/types'
import { figure, spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import { attached, gaps, sideView, sizeOf, spread } from './stack'

/** The stack from the side and from the front, both to one scale: what stands before what, and how warm the air is between. */
const props = defineProps<{ way: AirWay; view?: AirWayView; option: BuildOption; chosen: number }>()
const emit = defineEmits<{ pick: [index: number] }>()
const settings = useSettings()
const box = ref<HTMLElement>()
const { width } = useElementSize(box)

const BEHIND = 90
const AHEAD = 150
const wide = computed(() => Math.max(width.value, 420))
const HEIGHT = 344
const GROUND = 276
const TOP = 40

const side = computed(() => sideView(props.way, props.option))
const walls = computed(() => props.way.opening.walls ?? [])
/** How far anything reaches from the middle, tanks and ports that stand outside the space too. */
const reach = computed(() => {
  const parts = props.way.layers.flatMap((l) =>
    attached(l, props.option).map((a) => ({ x: l.across_mm + a.left, y: l.up_mm + a.top, w: a.width, h: a.height })),
  )
  return {
    across: Math.max(props.way.spaceWidth_mm / 2, ...parts.flatMap((a) => [-a.x, a.x + a.w])),
    up: Math.max(props.way.spaceHeight_mm / 2, ...parts.flatMap((a) => [a.y, a.h - a.y])),
  }
})
/** One scale for both views. */
const scale = computed(() => {
  const tall = Math.max(2 * reach.value.up, props.way.opening.height_mm * 1.1)
  const across = AHEAD + side.value.depth + BEHIND + 2 * reach.value.across + 60
  return Math.min((GROUND - TOP - 34) / tall, (wide.value - 120) / across)
})
const middle = computed(() => (TOP + GROUND) / 2 + 3)
const y = (up: number) => middle.value - up * scale.value
/** The side view takes what room the front view leaves. */
const frontWidth = computed(() => 2 * reach.value.across * scale.value)
const frontX = computed(() => wide.value - 14 - frontWidth.value / 2)
const sideRoom = computed(() => wide.value - frontWidth.value - 64)
const origin = computed(() => Math.max(AHEAD * scale.value + 8, (sideRoom.value - (side.value.depth + BEHIND - AHEAD) * scale.value) / 2))
const x = (rearward: number) => origin.value + rearward * scale.value
const fx = (across: number) => frontX.value + across * scale.value

const air = computed(() => gaps(side.value, props.view, BEHIND))
const captions = computed(() => {
  const wanted = air.value.map((g) => x((g.x0 + g.x1) / 2))
  const at = spread(wanted, 62, 30, sideRoom.value - 30)
  return air.value.map((g, i) => ({
    from: wanted[i]!,
    at: at[i]!,
    t: g.temperature_C,
    name: i === 0 ? 'front' : i === air.value.length - 1 ? 'behind' : '',
  }))
})
const layers = computed(() =>
  props.way.layers.map((layer, index) => {
    const size = sizeOf(layer, props.option)
    return { layer, index, size, view: props.view?.layers[index], attached: attached(layer, props.option) }
  }),
)
const opening = computed(() => props.way.opening)
/** Long dimension lines do not help here: the sizes stand beside the outlines. */
const words = (l: (typeof layers.value)[number]) => `${l.layer.kind === 'radiator' ? 'radiator of the ' : ''}${l.layer.name}`
const label = (l: (typeof layers.value)[number]) =>
  `${words(l)}: air ${l.view ? `${spoken(l.view.airIn_C, 'C', settings.units)} in, ${spoken(l.view.airOut_C, 'C', settings.units)} out, ${spoken(l.view.heat_kW, 'kW', settings.units)}` : 'not solved'}`
const names = computed(() => {
  const list = side.value.layers.map((l) => ({ index: l.index, x: x((l.x0 + l.x1) / 2) }))
  const at = spread(
    list.map((l) => l.x),
    88,
    44,
    sideRoom.value - 44,
  )
  return list.map((l, i) => ({ ...l, at: at[i]! }))
})

function keys(event: KeyboardEvent, index: number): void {
  if (event.key === 'Enter' || event.key === ' ') {
    event.preventDefault()
    emit('pick', index)
  }
}

const openingWords = computed(() => {
  const { width_mm, height_mm } = props.way.opening
  const size = `opening ${spoken(width_mm, 'mm', settings.units)} × ${spoken(height_mm, 'mm', settings.units)}`
  return props.view ? `${size}, ${props.view.uncovered_pct.toFixed(0)} % not walled` : size
})
</script>

<template>
  <div ref="box" class="stack">
    <svg v-if="width" :width="wide" :height="HEIGHT" role="group" :aria-label="`Stack of the way ${way.name}, from the side and from the front`">
      <defs>
        <pattern id="stack-fins" width="4" height="4" patternUnits="userSpaceOnUse">
          <path d="M0,4 L4,0" fill="none" stroke="var(--ink)" stroke-opacity="0.35" stroke-width="0.6" />
        </pattern>
        <pattern id="stack-wall" width="5" height="5" patternUnits="userSpaceOnUse">
          <rect width="5" height="5" fill="var(--ink-2)" />
          <path d="M0,5 L5,0" stroke="var(--sheet)" stroke-width="0.8" />
        </pattern>
      </defs>

      <text class="title" x="0" y="12">from the side</text>
      <text class="title" :x="fx(-way.spaceWidth_mm / 2)" y="12">from the front</text>

      <!-- the way, from the side -->
      <path
        class="space"
        :d="`M${x(-20)},${y(way.spaceHeight_mm / 2)} H${x(side.depth + BEHIND)} M${x(-20)},${y(-way.spaceHeight_mm / 2)} H${x(side.depth + BEHIND)}`"
      />
      <g class="air">
        <rect
          v-for="(g, i) in air"
          :key="i"
          :x="x(g.x0)"
          :width="Math.max((g.x1 - g.x0) * scale, 0)"
          :y="y(g.top)"
          :height="(g.top - g.bottom) * scale"
          :fill="temperatureColour(g.temperature_C)"
          fill-opacity="0.62"
        />
      </g>
      <path
        v-if="way.ducted && side.layers.length"
        class="duct"
        :d="`M${x(0)},${y(opening.height_mm / 2)} L${x(side.layers[0]!.x0)},${y(side.layers[0]!.top)} M${x(0)},${y(-opening.height_mm / 2)} L${x(side.layers[0]!.x0)},${y(side.layers[0]!.bottom)}`"
      />
      <path
        class="skin"
        :d="`M${x(0)},${y(way.spaceHeight_mm / 2)} V${y(opening.height_mm / 2)} M${x(0)},${y(-opening.height_mm / 2)} V${y(-way.spaceHeight_mm / 2)}`"
      />
      <rect
        v-for="w in walls"
        :key="w.name"
        class="solid"
        :x="x(-46)"
        :width="18 * scale + 3"
        :y="y(w.up_mm + w.height_mm / 2)"
        :height="w.height_mm * scale"
      />
      <g class="wind">
        <path v-for="k in 3" :key="k" :d="`M${x(-AHEAD) + 2},${y(((k - 2) * opening.height_mm) / 3)} H${x(-70)} m-5,-3 l5,3 l-5,3`" />
      </g>
      <g
        v-for="l in side.layers"
        :key="`s${l.index}`"
        class="layer"
        :class="{ chosen: l.index === chosen }"
        role="button"
        tabindex="0"
        :aria-label="label(layers[l.index]!)"
        :aria-pressed="l.index === chosen"
        @click="emit('pick', l.index)"
        @keydown="keys($event, l.index)"
      >
        <rect class="body" :x="x(l.x0)" :width="(l.x1 - l.x0) * scale" :y="y(l.top)" :height="(l.top - l.bottom) * scale" />
        <rect :x="x(l.x0)" :width="(l.x1 - l.x0) * scale" :y="y(l.top)" :height="(l.top - l.bottom) * scale" fill="url(#stack-fins)" />
      </g>
      <g v-if="way.fan" class="fan">
        <path :d="`M${x(side.depth + 24)},${y(way.spaceHeight_mm * 0.28)} V${y(-way.spaceHeight_mm * 0.28)}`" />
        <path
          :d="
            way.fan.backwards
              ? `M${x(side.depth + 24) - 4},${middle} h-14 m5,-4 l-5,4 l5,4`
              : `M${x(side.depth + 24) + 4},${middle} h14 m-5,-4 l5,4 l-5,4`
          "
        />
      </g>
      <g v-for="n in names" :key="`n${n.index}`" class="names" :class="{ chosen: n.index === chosen }">
        <path class="lead" :d="`M${n.x},${y(side.layers.find((l) => l.index === n.index)!.top)} V${y(way.spaceHeight_mm / 2)} L${n.at},${TOP - 1}`" />
        <text :x="n.at" :y="TOP - 6" text-anchor="middle">{{ words(layers[n.index]!) }}</text>
      </g>
      <line class="ground" x1="0" :x2="sideRoom" :y1="GROUND + 0.5" :y2="GROUND + 0.5" />
      <g v-for="(c, i) in captions" :key="`c${i}`">
        <path class="lead" :d="`M${c.from},${y(-way.spaceHeight_mm / 2) - 4} L${c.from},${y(-way.spaceHeight_mm / 2) + 2} L${c.at},${GROUND}`" />
        <text class="figure" :x="c.at" :y="GROUND + 20" text-anchor="middle">{{ figure(c.t, 'C', settings.units).figure }}°</text>
        <text v-if="c.name" class="small" :x="c.at" :y="GROUND + 35" text-anchor="middle">{{ c.name }}</text>
      </g>

      <!-- from the front -->
      <rect
        class="space"
        :x="fx(-way.spaceWidth_mm / 2)"
        :y="y(way.spaceHeight_mm / 2)"
        :width="way.spaceWidth_mm * scale"
        :height="way.spaceHeight_mm * scale"
      />
      <template v-for="l in [...layers].reverse()" :key="`f${l.index}`">
        <g v-if="l.size" class="outline" :class="{ chosen: l.index === chosen }" @click="emit('pick', l.index)">
          <rect
            :x="fx(l.layer.across_mm - l.size.width / 2)"
            :y="y(l.layer.up_mm + l.size.height / 2)"
            :width="l.size.width * scale"
            :height="l.size.height * scale"
            :fill="l.view ? temperatureColour(l.view.airIn_C) : 'none'"
            fill-opacity="0.4"
          />
          <rect
            v-for="(a, k) in l.attached"
            :key="k"
            class="attached"
            :x="fx(l.layer.across_mm + a.left)"
            :y="y(l.layer.up_mm + a.top)"
            :width="a.width * scale"
            :height="a.height * scale"
          />
        </g>
      </template>
      <rect
        class="hole"
        :x="fx(-opening.width_mm / 2)"
        :y="y(opening.height_mm / 2)"
        :width="opening.width_mm * scale"
        :height="opening.height_mm * scale"
      />
      <rect
        v-for="w in walls"
        :key="`w${w.name}`"
        class="solid"
        :x="fx(w.across_mm - w.width_mm / 2)"
        :y="y(w.up_mm + w.height_mm / 2)"
        :width="w.width_mm * scale"
        :height="w.height_mm * scale"
      />
      <text v-for="w in walls" :key="`t${w.name}`" class="wall-name" :x="fx(w.across_mm)" :y="y(w.up_mm) + 4" text-anchor="middle">{{ w.name }}</text>
      <line class="ground" :x1="fx(-way.spaceWidth_mm / 2)" :x2="fx(way.spaceWidth_mm / 2)" :y1="GROUND + 0.5" :y2="GROUND + 0.5" />
      <text class="small" :x="fx(-way.spaceWidth_mm / 2)" :y="GROUND + 17">
        space {{ spoken(way.spaceWidth_mm, 'mm', settings.units) }} × {{ spoken(way.spaceHeight_mm, 'mm', settings.units) }}
      </text>
      <text class="small" :x="fx(-way.spaceWidth_mm / 2)" :y="GROUND + 33">
        {{ openingWords }}
      </text>
      <text v-if="view" class="small" x="0" :y="GROUND + 56">
        {{ spoken(view.flow_m3_h, 'm3_h', settings.units) }} in · {{ view.bypass_pct.toFixed(0) }} % round the stack · exit
        {{ spoken(way.exit.area_cm2, 'cm2', settings.units) }}
      </text>
    </svg>
  </div>
</template>

<style scoped>
.stack {
  min-height: 330px;
}
svg {
  display: block;
  overflow: visible;
}
.title {
  font-size: var(--s2);
  font-weight: 600;
  fill: var(--ink-2);
}
.attached {
  fill: var(--sheet);
  fill-opacity: 0.6;
}
.space {
  fill: none;
  stroke: var(--rule);
  stroke-dasharray: 5 4;
}
.skin {
  stroke: var(--ink);
  stroke-width: 2.4;
}
.duct {
  fill: none;
  stroke: var(--ink);
}
.solid {
  fill: url(#stack-wall);
  stroke: var(--ink);
  stroke-width: 0.9;
}
.wind path {
  fill: none;
  stroke: var(--ink-3);
}
.layer {
  cursor: pointer;
}
.body {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1;
}
.layer.chosen .body {
  stroke: var(--blue);
  stroke-width: 2.2;
}
.layer:focus-visible {
  outline: none;
}
.layer:focus-visible .body {
  stroke: var(--blue);
  stroke-width: 3;
}
.fan path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.names text {
  font-size: var(--s1);
  font-weight: 600;
  fill: var(--ink);
}
.names.chosen text {
  fill: var(--blue);
}
.lead {
  fill: none;
  stroke: var(--rule);
}
.ground {
  stroke: var(--ink);
}
text.figure {
  font-size: var(--s3);
  fill: var(--ink);
}
.small {
  font-size: var(--s1);
  fill: var(--ink-2);
}
.outline {
  cursor: pointer;
}
.outline rect {
  stroke: var(--ink);
  stroke-width: 0.9;
}
.outline.chosen rect {
  stroke: var(--blue);
  stroke-width: 2.2;
}
.hole {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
  stroke-dasharray: 2 2;
}
.wall-name {
  font-size: 11px;
  font-weight: 600;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}
</style>
