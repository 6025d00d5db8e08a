<script setup lang="ts">
import { computed } from 'vue'
import type { SteadyView } from '../api/client'
import { change, figure, spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import { sameStation } from './geometry'

/** Temperature and pressure under each station of the charge line, what the change did to them, and what a log measured there. */
const props = defineProps<{
  steady: SteadyView
  ghost?: SteadyView
  plumbs: { index: number; x: number; y: number }[]
  ground: number
  measured?: Readonly<Record<number, number>>
}>()
const settings = useSettings()
const stations = computed(() =>
  props.plumbs.map((plumb, k) => {
    const s = props.steady.stations[plumb.index]!
    const was = sameStation(props.steady, plumb.index, props.ghost)
    const t = figure(s.temperature_C, 'C', settings.units)
    const delta = was ? s.temperature_C - was.temperature_C : 0
    const pressure = was ? s.totalPressure_kPa - was.totalPressure_kPa : 0
    // Close behind its neighbour a station's text starts at the plumb line instead of standing across it.
    const tight = k > 0 && k < props.plumbs.length - 1 && plumb.x - props.plumbs[k - 1]!.x < 172
    const measured = props.measured?.[plumb.index]
    return {
      ...plumb,
      textX: tight ? plumb.x - 30 : plumb.x,
      anchor: tight || k === 0 ? 'start' : k === props.plumbs.length - 1 ? 'end' : 'middle',
      name: s.name,
      figure: `${t.figure}°`,
      delta: change(delta, 'K', settings.units),
      better: delta < 0,
      pressure: spoken(s.totalPressure_kPa, 'kPa', settings.units),
      pressureDelta: change(pressure, 'kPa', settings.units),
      measured: measured === undefined ? '' : `measured ${figure(measured, 'C', settings.units).figure}°`,
    }
  }),
)
</script>

<template>
  <g v-for="s in stations" :key="s.index" class="station" :data-station="s.index">
    <text :x="s.textX" :y="ground + 21" :text-anchor="s.anchor">
      <tspan class="big">{{ s.figure }}</tspan>
      <tspan v-if="s.delta" dx="5" class="delta" :class="s.better ? 'better' : 'worse'">{{ s.delta }}</tspan>
    </text>
    <text :x="s.textX" :y="ground + 39" :text-anchor="s.anchor" class="name">
      {{ s.name }} {{ s.pressure }}
      <tspan v-if="s.pressureDelta" class="small-delta">({{ s.pressureDelta }})</tspan>
    </text>
    <text v-if="s.measured" :x="s.textX" :y="ground + 56" :text-anchor="s.anchor" class="measured">{{ s.measured }}</text>
  </g>
</template>

<style scoped>
.big {
  font-size: var(--s4);
  font-weight: 700;
  font-stretch: 118%;
  fill: var(--ink);
}
.delta {
  font-size: var(--s2);
  font-weight: 700;
  font-stretch: 105%;
}
.name {
  font-size: var(--s1);
  fill: var(--ink-2);
}
.small-delta {
  fill: var(--ink-3);
}
.measured {
  font-size: var(--s2);
  font-weight: 600;
  fill: var(--ink);
}
</style>
