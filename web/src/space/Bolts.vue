<script setup lang="ts">
import type { FitView } from '../api/client'
import { onSheet, pointOf, shown, type Sheet, type View } from './elevation'

/** The bolts that hold the bodies, each with what reaches from it, in one view. */
const props = defineProps<{ mountings: FitView['mountings']; sheet: Sheet; view: View }>()
const on = (place: number[]) => onSheet(props.sheet, props.view, ...shown(props.view, pointOf(place)))
</script>

<template>
  <g class="bolts">
    <template v-for="m in mountings" :key="m.place">
      <g v-for="(h, i) in m.held" :key="i">
        <line :x1="on(h.bolt_mm)[0]" :y1="on(h.bolt_mm)[1]" :x2="on(h.at_mm)[0]" :y2="on(h.at_mm)[1]" />
        <circle :cx="on(h.bolt_mm)[0]" :cy="on(h.bolt_mm)[1]" r="2.8" />
      </g>
    </template>
  </g>
</template>

<style scoped>
.bolts {
  pointer-events: none;
}
line {
  stroke: var(--ink);
  stroke-width: 2.2;
}
circle {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.5;
}
</style>
