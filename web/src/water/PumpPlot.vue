<script setup lang="ts">
import { line } from 'd3-shape'
import { scaleLinear } from 'd3-scale'
import { computed } from 'vue'
import type { LoopView } from '../api/client'
import PlotGrid from '../plot/PlotGrid.vue'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'

/** The pump's curve, what the loop takes, and where the two meet. */
const props = defineProps<{ view: LoopView }>()
const settings = useSettings()
const W = 300
const H = 156
const LEFT = 38
const BOTTOM = 30

const heads = computed(() => props.view.heads)
const x = computed(() =>
  scaleLinear()
    .domain([0, heads.value.at(-1)!.flow_L_min * 1.02])
    .range([LEFT, W - 6]),
)
const y = computed(() =>
  scaleLinear()
    .domain([0, Math.max(heads.value[0]!.given_kPa, props.view.head_kPa) * 1.12])
    .range([H - BOTTOM, 8]),
)
const at = (value: (h: LoopView['heads'][number]) => number) =>
  line<LoopView['heads'][number]>()
    .defined((h) => value(h) <= y.value.domain()[1]! && value(h) >= 0)
    .x((h) => x.value(h.flow_L_min))
    .y((h) => y.value(value(h)))(heads.value) ?? ''
/** Where they meet its flow is written beside it, on the side that has room. */
const meets = computed(() => ({ end: x.value(props.view.flow_L_min) > W - 84, y: y.value(props.view.head_kPa) + (props.view.head_kPa < 6 ? -8 : 4) }))
/** The pumps' curve is named at its end that is farther from there. */
const words = computed(() => {
  const early = x.value(props.view.flow_L_min) > (LEFT + W) / 2
  const h = heads.value[early ? 1 : 12]!
  return {
    x: x.value(h.flow_L_min) + 6,
    y: y.value(Math.max(h.given_kPa, 0)) - 6,
    anchor: early ? 'start' : ('middle' as const),
  }
})
const given = computed(() => at((h) => h.given_kPa))
const taken = computed(() => at((h) => h.taken_kPa))
</script>

<template>
  <svg
    class="small-plot"
    :viewBox="`0 0 ${W} ${H}`"
    role="img"
    :aria-label="`Pump curve; the loop runs at ${spoken(view.flow_L_min, 'L_min', settings.units)} and ${spoken(view.head_kPa, 'kPa', settings.units)}`"
  >
    <PlotGrid :x="x" :y="y" x-unit="L_min" y-unit="kPa" :height="H" :caption="settings.units === 'us' ? 'gpm; up psi' : 'L/min; up kPa'" />
    <path class="takes" :d="taken" />
    <path class="gives" :d="given" />
    <circle :cx="x(view.flow_L_min)" :cy="y(view.head_kPa)" r="4.5" />
    <text class="word" :x="words.x" :y="words.y" :text-anchor="words.anchor">pumps give</text>
    <text class="word" :x="x(view.flow_L_min) + (meets.end ? -9 : 9)" :y="meets.y" :text-anchor="meets.end ? 'end' : 'start'">
      {{ spoken(view.flow_L_min, 'L_min', settings.units) }}
    </text>
  </svg>
</template>

<style scoped>
.gives {
  fill: none;
  stroke: var(--cool);
  stroke-width: 2;
}
.takes {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 1.3;
  stroke-dasharray: 4 3;
}
</style>
