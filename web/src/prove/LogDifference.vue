<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { computed } from 'vue'
import { change } from '../quantity/catalogue'
import { useSettings } from '../settings/store'

/** Predicted less measured, K: over the line the car does better than the model, under it worse. */
const props = defineProps<{
  values: readonly (number | null | undefined)[]
  /** px of a value */
  x: (index: number) => number
  left: number
  right: number
  top: number
  high: number
  clip: string
}>()
const settings = useSettings()
/** A difference of less than this is drawn small. */
const LEAST = 4
const most = computed(() => Math.max(LEAST, ...props.values.map((v) => Math.abs(v ?? 0))))
const y = computed(() =>
  scaleLinear()
    .domain([-most.value, most.value])
    .range([props.top + props.high, props.top]),
)
const zero = computed(() => y.value(0))
const ticks = computed(() => [most.value, -most.value].map((v) => ({ y: y.value(v) + 4, label: change(v, 'K', settings.units, 0) })))

/** @returns what lies on one side of the line */
function side(sign: 1 | -1): string {
  let path = ''
  let open = false
  props.values.forEach((v, i) => {
    const there = v != null && v * sign > 0
    if (there && !open) path += `M${props.x(i)} ${zero.value}`
    if (there) path += `L${props.x(i)} ${y.value(v)}`
    if (!there && open) path += `L${props.x(i)} ${zero.value}Z`
    open = there
  })
  return open ? `${path}L${props.x(props.values.length - 1)} ${zero.value}Z` : path
}
</script>

<template>
  <g>
    <g v-if="values.length" :clip-path="`url(#${clip})`">
      <path class="over" :d="side(1)" />
      <path class="under" :d="side(-1)" />
    </g>
    <line class="zero" :x1="left" :x2="right" :y1="zero" :y2="zero" />
    <template v-if="values.length">
      <text v-for="t in ticks" :key="t.y" class="tick" :x="left - 9" :y="t.y" text-anchor="end">{{ t.label }}</text>
      <text :x="left + 5" :y="top + 8">predicted less measured: over the line the car does better</text>
    </template>
    <text v-else :x="left + 5" :y="zero - 6">nothing predicted to compare with</text>
  </g>
</template>

<style scoped>
.over {
  fill: var(--cool);
  opacity: 0.55;
}
.under {
  fill: var(--heat);
  opacity: 0.6;
}
.zero {
  stroke: var(--ink-2);
}
text {
  font-size: var(--s1);
  fill: var(--ink-2);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}
.tick {
  fill: var(--ink-3);
}
</style>
