<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { computed, ref } from 'vue'
import type { Channel } from '../api/client'
import { axisTicks, figure } from '../quantity/catalogue'
import { clock } from '../quantity/time'
import { useSettings } from '../settings/store'
import { BESIDE } from './channels'

/** Temperatures over time with the boost beneath, each named at its end; dashed what is compared with. */
const props = defineProps<{
  label: string
  time: readonly number[]
  curves: readonly {
    channel: Channel
    words: string
    unit: string
    shown: readonly (number | null | undefined)[]
    healthy?: readonly (number | null | undefined)[] | null
  }[]
  target?: number
}>()
const settings = useSettings()
const WIDE = 1000
const LEFT = 44
const RIGHT = 860
const TOP = 10
const LOW = 260
const STRIP = 300
const BOTTOM = 340
/** Points of a line that a screen can tell apart. */
const POINTS = 800
const cursor = ref<number>()

const temperatures = computed(() => props.curves.filter((c) => c.unit === '°C'))
const boost = computed(() => props.curves.find((c) => c.channel === 'BOOST'))
const from = computed(() => props.time[0] ?? 0)
const to = computed(() => props.time.at(-1) ?? 1)
const x = computed(() => scaleLinear().domain([from.value, to.value]).range([LEFT, RIGHT]))
const y = computed(() => {
  let low = props.target ?? Infinity
  let high = props.target ?? -Infinity
  for (const c of temperatures.value)
    for (const v of [...c.shown, ...(c.healthy ?? [])])
      if (v != null) {
        low = Math.min(low, v)
        high = Math.max(high, v)
      }
  return scaleLinear()
    .domain(low > high ? [0, 100] : [low - 3, high + 4])
    .range([LOW, TOP])
})
const b = computed(() =>
  scaleLinear()
    .domain([0, (boost.value?.shown ?? []).reduce<number>((most, v) => Math.max(most, v ?? 0), 10)])
    .range([BOTTOM, STRIP])
    .clamp(true),
)
const up = computed(() => axisTicks(y.value.domain()[0]!, y.value.domain()[1]!, 5, 'C', settings.units))
const MINUTES = [0.25, 0.5, 1, 2, 5, 10, 20, 60]
/** Round in minutes. */
const across = computed(() => {
  const step = 60 * (MINUTES.find((m) => (to.value - from.value) / (60 * m) <= 8) ?? 120)
  return Array.from({ length: 12 }, (_, i) => Math.ceil(from.value / step) * step + i * step).filter((t) => t <= to.value)
})
function path(values: readonly (number | null | undefined)[], of: (v: number) => number): string {
  const step = Math.max(1, Math.floor(values.length / POINTS))
  let d = ''
  let open = false
  for (let i = 0; i < values.length; i += step) {
    const v = values[i]
    if (v != null) d += `${open ? 'L' : 'M'}${x.value(props.time[i]!).toFixed(1)} ${of(v).toFixed(1)}`
    open = v != null
  }
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
  cursor.value = t < from.value || t > to.value ? undefined : t
}
const index = computed(() => {
  const at = cursor.value
  if (at === undefined) return -1
  const i = props.time.findIndex((t) => t >= at)
  return i < 0 ? props.time.length - 1 : i
})
const read = computed(() =>
  index.value < 0
    ? ''
    : `${clock(props.time[index.value]!)}: ${temperatures.value
        .filter((c) => c.shown[index.value] != null)
        .map((c) => `${c.words} ${figure(c.shown[index.value]!, 'C', settings.units).figure}`)
        .join(', ')}`,
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDE} 372`" role="img" :aria-label="label" @pointermove="move" @pointerleave="cursor = undefined">
    <g class="axis">
      <g v-for="t in up" :key="t.label">
        <line :x1="LEFT" :x2="RIGHT" :y1="y(t.value)" :y2="y(t.value)" />
        <text :x="LEFT - 7" :y="y(t.value) + 4" text-anchor="end">{{ t.label }}</text>
      </g>
      <text v-for="t in across" :key="t" :x="x(t)" :y="BOTTOM + 16" text-anchor="middle">{{ clock(t) }}</text>
      <text v-if="boost" :x="LEFT + 4" :y="STRIP + 4">boost</text>
    </g>
    <line v-if="target !== undefined" class="target" :x1="LEFT" :x2="RIGHT" :y1="y(target)" :y2="y(target)" />
    <path v-if="boost" class="boost" :d="`${path(boost.shown, b)}L${RIGHT} ${BOTTOM}L${LEFT} ${BOTTOM}Z`" />
    <template v-for="c in temperatures" :key="c.channel">
      <path v-if="c.healthy" class="healthy" :class="tone(c.channel)" :d="path(c.healthy, y)" />
      <path :class="tone(c.channel)" :d="path(c.shown, y)" />
    </template>
    <text v-for="l in labels" :key="l.channel" class="name" :class="`${tone(l.channel)}-name`" :x="RIGHT + 8" :y="l.y">{{ l.words }}</text>
    <line v-if="index >= 0" class="cursor" :x1="x(time[index]!)" :x2="x(time[index]!)" :y1="TOP" :y2="BOTTOM" />
    <text class="read" :x="LEFT" y="370">{{ read }}</text>
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
.cursor {
  stroke: var(--ink-3);
}
.read {
  fill: var(--ink-2);
}
</style>
