<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { extent, max } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { computed, ref } from 'vue'
import type { PieceView } from '../api/client'
import type { BlowerMap } from '../document/types'
import { figure } from '../quantity/catalogue'
import { useSettings } from '../settings/store'

/** A compressor map: speed lines, the edge to surge, the way the duty takes over it, and where full load stands. */
const props = defineProps<{ map: BlowerMap; point?: PieceView['map']; way?: { flow: number; ratio: number }[] }>()
const settings = useSettings()
const box = ref<HTMLElement>()
const { width } = useElementSize(box)
const HEIGHT = 288
const EDGE = { left: 46, right: 66, top: 12, bottom: 38 }

const all = computed(() => props.map.lines.flatMap((l) => l.points))
const x = computed(() =>
  scaleLinear()
    .domain([0, 1.06 * (max([...all.value.map((p) => p.flow_kg_s), props.point?.flow_kg_s ?? 0]) ?? 1)])
    .range([EDGE.left, Math.max(width.value - EDGE.right, EDGE.left + 50)]),
)
const y = computed(() =>
  scaleLinear()
    .domain([1, 0.1 + (max([...all.value.map((p) => p.pressureRatio), props.point?.ratio ?? 1]) ?? 2)])
    .nice()
    .range([HEIGHT - EDGE.bottom, EDGE.top]),
)
const path = line<{ flow_kg_s: number; pressureRatio: number }>()
  .x((p) => x.value(p.flow_kg_s))
  .y((p) => y.value(p.pressureRatio))
const lines = computed(() =>
  [...props.map.lines]
    .sort((a, b) => a.speed_rpm - b.speed_rpm)
    .map((l) => ({ d: path(l.points)!, speed: l.speed_rpm, first: l.points[0]!, last: l.points.at(-1)! })),
)
const surge = computed(() => path([{ flow_kg_s: 0, pressureRatio: 1 }, ...lines.value.map((l) => l.first)])!)
/** Where the map is best, marked by size. */
const best = computed(() => {
  const [low = 60, high = 75] = extent(all.value, (p) => p.efficiency_pct)
  return all.value.map((p) => ({
    x: x.value(p.flow_kg_s),
    y: y.value(p.pressureRatio),
    r: 1 + (3.4 * (p.efficiency_pct - low)) / Math.max(high - low, 1),
    text: p.efficiency_pct.toFixed(0),
  }))
})
const top = computed(() => all.value.reduce((a, b) => (b.efficiency_pct > a.efficiency_pct ? b : a)))
const way = computed(() =>
  props.way?.length
    ? line<{ flow: number; ratio: number }>()
        .x((p) => x.value(p.flow))
        .y((p) => y.value(Math.max(p.ratio, 1)))(props.way)!
    : '',
)
const flow = (kg: number) => figure(kg, 'kg_s', settings.units)
const xTicks = computed(() => x.value.ticks(6))
const yTicks = computed(() => y.value.ticks(5))
const words = computed(
  () =>
    `Compressor map of ${props.map.lines.length} speed lines${props.point ? `; full load at ${flow(props.point.flow_kg_s).figure} ${flow(1).unit} and ratio ${props.point.ratio.toFixed(2)}, surge margin ${props.point.surgeMargin_pct.toFixed(0)} %, choke margin ${props.point.chokeMargin_pct.toFixed(0)} %` : ''}`,
)
</script>

<template>
  <div ref="box" class="box">
    <svg v-if="width > 0" :width="width" :height="HEIGHT" role="img" :aria-label="words">
      <g class="axis">
        <g v-for="t in xTicks" :key="`x${t}`">
          <line :x1="x(t)" :x2="x(t)" :y1="EDGE.top" :y2="HEIGHT - EDGE.bottom" />
          <text :x="x(t)" :y="HEIGHT - EDGE.bottom + 15" text-anchor="middle">{{ flow(t).figure }}</text>
        </g>
        <g v-for="t in yTicks" :key="`y${t}`">
          <line :x1="EDGE.left" :x2="width - EDGE.right" :y1="y(t)" :y2="y(t)" />
          <text :x="EDGE.left - 8" :y="y(t) + 4" text-anchor="end">{{ t.toFixed(1) }}</text>
        </g>
        <text :x="width - EDGE.right" :y="HEIGHT - 6" text-anchor="end">corrected flow, {{ flow(1).unit }}</text>
        <text :x="EDGE.left - 8" :y="HEIGHT - 6" text-anchor="start">pressure ratio up</text>
      </g>
      <path class="surge" :d="surge" />
      <g v-for="l in lines" :key="l.speed">
        <path class="speed" :d="l.d" />
        <text class="label" :x="x(l.last.flow_kg_s) + 6" :y="y(l.last.pressureRatio) + 4">{{ (l.speed / 1000).toFixed(0) }}k rpm</text>
      </g>
      <circle v-for="(b, i) in best" :key="i" class="point" :cx="b.x" :cy="b.y" :r="b.r">
        <title>{{ b.text }} %</title>
      </circle>
      <text class="best" :x="x(top.flow_kg_s)" :y="y(top.pressureRatio) - 8" text-anchor="middle">best {{ top.efficiency_pct.toFixed(0) }} %</text>
      <text class="label" :x="x(lines.at(-1)!.first.flow_kg_s) - 8" :y="y(lines.at(-1)!.first.pressureRatio) + 2" text-anchor="end">surge</text>
      <path v-if="way" class="way" :d="way" />
      <g v-if="point" class="now">
        <circle :cx="x(point.flow_kg_s)" :cy="y(point.ratio)" r="5" />
        <path :d="`M${x(point.flow_kg_s) - 9} ${y(point.ratio)} h18 M${x(point.flow_kg_s)} ${y(point.ratio) - 9} v18`" />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.box {
  min-width: 0;
  overflow: hidden;
}
svg {
  display: block;
}
.axis line {
  stroke: var(--hair);
}
.axis text,
.label,
.best {
  font-size: var(--s1);
  fill: var(--ink-2);
}
.label,
.best {
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}
.speed {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.1;
}
.surge {
  fill: none;
  stroke: var(--heat);
  stroke-width: 1.6;
  stroke-dasharray: 7 4;
}
.point {
  fill: var(--cool);
  fill-opacity: 0.75;
}
.way {
  fill: none;
  stroke: var(--blue);
  stroke-width: 1.4;
  stroke-opacity: 0.75;
}
.now circle {
  fill: none;
  stroke: var(--blue);
  stroke-width: 2;
}
.now path {
  stroke: var(--blue);
  stroke-width: 1.2;
}
</style>
