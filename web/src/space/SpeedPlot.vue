<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { computed } from 'vue'
import type { AirWayView } from '../api/client'
import PlotGrid from '../plot/PlotGrid.vue'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'

/** Air at a layer's face against road speed, standing included; the dot is full load. */
const props = defineProps<{ view: AirWayView; layer: number; name: string; road: number }>()
const settings = useSettings()
const W = 300
const H = 156
const LEFT = 34
const BOTTOM = 30

const points = computed(() => props.view.speeds.map((s) => ({ v: s.roadSpeed_km_h, face: s.faces_m_s[props.layer] ?? 0 })))
const x = computed(() =>
  scaleLinear()
    .domain([0, points.value.at(-1)!.v])
    .range([LEFT, W - 8]),
)
const y = computed(() =>
  scaleLinear()
    .domain([0, Math.max(...points.value.map((p) => p.face), 1) * 1.1])
    .range([H - BOTTOM, 8]),
)
const path = computed(() =>
  line<{ v: number; face: number }>()
    .x((p) => x.value(p.v))
    .y((p) => y.value(p.face))(points.value)!,
)
const now = computed(() => props.view.layers[props.layer]!.faceSpeed_m_s)
const standing = computed(() => points.value[0]!.face)
</script>

<template>
  <svg
    class="small-plot"
    :viewBox="`0 0 ${W} ${H}`"
    role="img"
    :aria-label="`Air at the face of ${name}: ${spoken(standing, 'm_s', settings.units)} standing, ${spoken(now, 'm_s', settings.units)} at ${spoken(road, 'km_h', settings.units)}`"
  >
    <PlotGrid :x="x" :y="y" x-unit="km_h" y-unit="m_s" :height="H" :caption="settings.units === 'us' ? 'mph; up ft/s' : 'km/h; up m/s'" />
    <path class="face" :d="path" />
    <circle :cx="x(road)" :cy="y(now)" r="4.5" />
    <text class="word" :x="LEFT + 6" :y="y(standing) - 6">standing {{ spoken(standing, 'm_s', settings.units) }}</text>
    <text class="word" :x="x(road)" :y="y(now) - 9" text-anchor="middle">{{ spoken(now, 'm_s', settings.units) }}</text>
  </svg>
</template>

<style scoped>
.face {
  fill: none;
  stroke: var(--cool);
  stroke-width: 2;
}
</style>
