<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { computed } from 'vue'
import type { Heard } from '../api/client'
import { axisTicks } from '../quantity/catalogue'
import { clock } from '../quantity/time'
import { useSettings } from '../settings/store'
import { BESIDE } from './channels'

/** The last minutes of the temperatures as they come in. */
const props = defineProps<{ time: number[]; values: (number | null)[][]; channels: Heard['channels'] }>()
const settings = useSettings()
const WIDE = 1000
const LEFT = 44
const RIGHT = 860
const TOP = 8
const LOW = 230
/** Points of a line that a screen can tell apart. */
const POINTS = 800

const from = computed(() => props.time[0]!)
const to = computed(() => props.time.at(-1)!)
const x = computed(() => scaleLinear().domain([from.value, to.value]).range([LEFT, RIGHT]))
const lines = computed(() => props.channels.map((c, i) => ({ channel: c, values: props.values[i] ?? [] })).filter((l) => l.channel.unit === '°C'))
const y = computed(() => {
  let low = Infinity
  let high = -Infinity
  for (const l of lines.value)
    for (const v of l.values)
      if (v !== null) {
        low = Math.min(low, v)
        high = Math.max(high, v)
      }
  return scaleLinear()
    .domain(low > high ? [0, 100] : [low - 3, high + 3])
    .range([LOW, TOP])
})
const up = computed(() => axisTicks(y.value.domain()[0]!, y.value.domain()[1]!, 4, 'C', settings.units))
const across = computed(() => x.value.ticks(6))
function path(values: readonly (number | null)[]): string {
  const step = Math.max(1, Math.floor(values.length / POINTS))
  let d = ''
  let open = false
  for (let i = 0; i < values.length; i += step) {
    const v = values[i]
    if (v != null) d += `${open ? 'L' : 'M'}${x.value(props.time[i]!).toFixed(1)} ${y.value(v).toFixed(1)}`
    open = v != null
  }
  return d
}
const tone = (c: Heard['channels'][number]['channel']) => (c === 'INTAKE' ? 'intake' : (BESIDE.find((k) => k.channel === c)?.tone ?? 'plain'))
const labels = computed(() => {
  const ends = lines.value.map((l) => ({ channel: l.channel, y: y.value(l.values.at(-1) ?? y.value.domain()[0]!) + 4 })).sort((a, b) => a.y - b.y)
  for (let i = 1; i < ends.length; i++) ends[i]!.y = Math.max(ends[i]!.y, ends[i - 1]!.y + 15)
  return ends
})
</script>

<template>
  <svg :viewBox="`0 0 ${WIDE} 262`" role="img" aria-label="Temperatures as they come in">
    <g class="axis">
      <g v-for="t in up" :key="t.label">
        <line :x1="LEFT" :x2="RIGHT" :y1="y(t.value)" :y2="y(t.value)" />
        <text :x="LEFT - 7" :y="y(t.value) + 4" text-anchor="end">{{ t.label }}</text>
      </g>
      <text v-for="t in across" :key="t" :x="x(t)" :y="LOW + 18" text-anchor="middle">{{ clock(t) }}</text>
    </g>
    <path v-for="l in lines" :key="l.channel.channel" :class="tone(l.channel.channel)" :d="path(l.values)" />
    <text v-for="l in labels" :key="l.channel.channel" class="name" :x="RIGHT + 8" :y="l.y">{{ l.channel.words }}</text>
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
.name {
  fill: var(--ink-2);
}
</style>
