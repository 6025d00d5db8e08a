<script setup lang="ts">
import type { ScaleLinear } from 'd3-scale'
import { computed } from 'vue'
import { axisTicks, type AnswerUnit } from '../quantity/catalogue'
import { useSettings } from '../settings/store'

/** Lines and figures behind a small plot, round in the reader's units. */
const props = defineProps<{
  x: ScaleLinear<number, number>
  y: ScaleLinear<number, number>
  xUnit: AnswerUnit
  yUnit: AnswerUnit
  /** What stands in the corner under the plot. */
  caption: string
  height: number
}>()
const settings = useSettings()
const across = computed(() => axisTicks(props.x.domain()[0]!, props.x.domain()[1]!, 4, props.xUnit, settings.units))
const up = computed(() => axisTicks(props.y.domain()[0]!, props.y.domain()[1]!, 4, props.yUnit, settings.units))
const left = computed(() => props.x.range()[0]!)
const right = computed(() => props.x.range()[1]!)
const bottom = computed(() => props.y.range()[0]!)
const top = computed(() => props.y.range()[1]!)
</script>

<template>
  <g class="axis">
    <g v-for="t in across" :key="`x${t.label}`">
      <line :x1="x(t.value)" :x2="x(t.value)" :y1="top" :y2="bottom" />
      <text :x="x(t.value)" :y="bottom + 13" text-anchor="middle">{{ t.label }}</text>
    </g>
    <g v-for="t in up" :key="`y${t.label}`">
      <line :x1="left" :x2="right" :y1="y(t.value)" :y2="y(t.value)" />
      <text :x="left - 5" :y="y(t.value) + 4" text-anchor="end">{{ t.label }}</text>
    </g>
    <text :x="right" :y="height - 4" text-anchor="end">{{ caption }}</text>
  </g>
</template>
