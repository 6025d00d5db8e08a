<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { computed, ref } from 'vue'
import type { Channel, SchoolCase } from '../api/client'
import { axisTicks, figure } from '../quantity/catalogue'
import { clock } from '../quantity/time'
import { useSettings } from '../settings/store'
import { BESIDE } from './channels'

/** What the sensors of a case showed, the boost beneath; dashed what a healthy car would have shown. */
const props = defineProps<{ shown: SchoolCase }>()
const settings = useSettings()
const WIDE = 1000
const LEFT = 44
const RIGHT = 860
const TOP = 10
const LOW = 260
const STRIP = 300
const BOTTOM = 340
const cursor = ref<number>()

const temperatures = computed(() => props.shown.curves.filter((c) => c.unit === '°C'))
const boost = computed(() => props.shown.curves.find((c) => c.channel === 'BOOST'))
const end = computed(() => props.shown.time_s.at(-1) ?? 1)
const x = computed(() => scaleLinear().domain([0, end.value]).range([LEFT, RIGHT]))
const all = computed(() => temperatures.value.flatMap((c) => [...c.shown, ...(c.healthy ?? [])]).filter((v): v is number => v != null))
const y = computed(() =>
  scaleLinear()
    .domain([Math.min(...all.value, props.shown.target_C) - 3, Math.max(...all.value, props.shown.target_C) + 5])
    .range([LOW, TOP]),
)
const b = computed(() =>
  scaleLinear()
    .domain([0, Math.max(10, ...(boost.value?.shown ?? []).map((v) => v ?? 0))])
    .range([BOTTOM, STRIP]),
)
const up = computed(() => axisTicks(y.value.domain()[0]!, y.value.domain()[1]!, 5, 'C', settings.units))
const minutes = computed(() => Array.from({ length: Math.floor(end.value / 60) + 1 }, (_, i) => i * 60))
function path(values: readonly (number | null | undefined)[], of: (v: number) => number): string {
  let d = ''
  let open = false
  values.forEach((v, i) => {
    if (v != null) d += `${open ? 'L' : 'M'}${x.value(props.shown.time_s[i]!).toFixed(1)} ${of(v).toFixed(1)}`
    open = v != null
  })
  return d
}
const tone = (c: Channel) => (c === 'INTAKE' ? 'intake' : (BESIDE.find((k) => k.channel === c)?.tone ?? 'plain'))
/** Names at the right end, pushed apart where lines end close to each other. */
const labels = computed(() => {
  const ends = temperatures.value
    .map((c) => ({ channel: c.channel, words: c.words, y: y.value([...c.shown].reverse().find((v) => v != null) ?? y.value.domain()[0]!) + 4 }))
    .sort((a, c) => a.y - c.y)
  for (let i = 1; i < ends.length; i++) ends[i]!.y = Math.max(ends[i]!.y, ends[i - 1]!.y + 15)
  return ends
})
function move(event: PointerEvent): void {
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  const t = x.value.invert(((event.clientX - box.left) / box.width) * WIDE)
  cursor.value = t < 0 || t > end.value ? undefined : t
}
const index = computed(() => (cursor.value === undefined ? -1 : Math.round((cursor.value / end.value) * (props.shown.time_s.length - 1))))
const read = computed(() =>
  index.value < 0
    ? ''
    : `${clock(props.shown.time_s[index.value]!)}: ${temperatures.value
        .filter((c) => c.shown[index.value] != null)
        .map((c) => `${c.words} ${figure(c.shown[index.value]!, 'C', settings.units).figure}`)
        .join(', ')}`,
)
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDE} 368`"
    role="img"
    :aria-label="`Trace of the case over ${clock(end)}`"
    @pointermove="move"
    @pointerleave="cursor = undefined"
  >
    <g class="axis">
      <g v-for="t in up" :key="t.label">
        <line :x1="LEFT" :x2="RIGHT" :y1="y(t.value)" :y2="y(t.value)" />
        <text :x="LEFT - 7" :y="y(t.value) + 4" text-anchor="end">{{ t.label }}</text>
      </g>
      <text v-for="m in minutes" :key="m" :x="x(m)" :y="BOTTOM + 16" text-anchor="middle">{{ clock(m) }}</text>
      <text :x="LEFT + 4" :y="STRIP + 4">boost</text>
    </g>
    <line class="target" :x1="LEFT" :x2="RIGHT" :y1="y(shown.target_C)" :y2="y(shown.target_C)" />
    <path v-if="boost" class="boost" :d="`${path(boost.shown, b)}L${x(end)} ${BOTTOM}L${LEFT} ${BOTTOM}Z`" />
    <template v-for="c in temperatures" :key="c.channel">
      <path v-if="c.healthy" class="healthy" :class="tone(c.channel)" :d="path(c.healthy, y)" />
      <path :class="tone(c.channel)" :d="path(c.shown, y)" />
    </template>
    <text v-for="l in labels" :key="l.channel" class="name" :class="`${tone(l.channel)}-name`" :x="RIGHT + 8" :y="l.y">{{ l.words }}</text>
    <line v-if="index >= 0" class="cursor" :x1="x(shown.time_s[index]!)" :x2="x(shown.time_s[index]!)" :y1="TOP" :y2="BOTTOM" />
    <text class="read" :x="LEFT" y="366">{{ read }}</text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  font-size: 12px;
}
.axis line {
  stroke: var(--hair);
}
.axis text {
  fill: var(--ink-3);
}
path {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 1.4;
}
path.intake {
  stroke: var(--ink);
  stroke-width: 2.4;
}
path.heat {
  stroke: var(--heat);
}
path.cool {
  stroke: var(--cool);
}
path.healthy {
  stroke-dasharray: 4 4;
  stroke-width: 1.2;
  opacity: 0.75;
}
path.boost {
  fill: var(--hair);
  stroke: none;
}
.target {
  stroke: var(--ink-3);
  stroke-dasharray: 1 4;
}
.name {
  fill: var(--ink-2);
}
.intake-name {
  fill: var(--ink);
  font-weight: 700;
}
.heat-name {
  fill: var(--heat-text);
}
.cool-name {
  fill: var(--cool-text, var(--cool));
}
.cursor {
  stroke: var(--ink-3);
}
.read {
  fill: var(--ink-2);
}
</style>
