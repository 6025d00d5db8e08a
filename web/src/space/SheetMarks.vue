<script lang="ts">
/** Its middle and the place that it touches, mm. */
export interface Ball {
  at: number[]
  on: number[]
  radius: number
}
</script>

<script setup lang="ts">
import { computed } from 'vue'
import type { FitView } from '../api/client'
import { onSheet, pathOf, pointOf, shown, SHOWS, type Point, type Sheet, type View } from './elevation'

/** Ways of the air with their stacks, the bolts that hold the bodies, each with what reaches from it, and the place that was pressed and the cursor's lines, in one view. */
const props = defineProps<{
  stacks: FitView['stacks']
  mountings: FitView['mountings']
  pointed?: Point
  /** On a pipe, as large as there is room round it. */
  ball?: Ball
  cursor?: Partial<Point>
  sheet: Sheet
  view: View
}>()
const onView = (place: Point) => onSheet(props.sheet, props.view, ...shown(props.view, place))
const on = (place: number[]) => onView(pointOf(place))
/** Where the cursor's lines go through this view: upright and level. */
const lines = computed((): { x?: number; y?: number } => {
  const { across, upright } = SHOWS[props.view]
  const [a, u] = [props.cursor?.[across], props.cursor?.[upright]]
  return {
    x: a === undefined ? undefined : onSheet(props.sheet, props.view, a, 0)[0],
    y: u === undefined ? undefined : onSheet(props.sheet, props.view, 0, u)[1],
  }
})
/** Under the opening as it is seen from the front. */
function nameAt(stack: FitView['stacks'][number]): { x: number; y: number } | undefined {
  const outline = stack.parts[0]?.front
  if (props.view !== 'front' || !outline) return undefined
  const [right, up] = [outline.filter((_, i) => i % 2 === 0), outline.filter((_, i) => i % 2 === 1)]
  const [x, y] = onSheet(props.sheet, props.view, props.view === 'front' ? Math.min(...right) : 0, Math.min(...up))
  const [other] = onSheet(props.sheet, props.view, Math.max(...right), 0)
  return { x: Math.min(x, other) + 3, y: y - 4 }
}
const rect = computed(() => props.sheet.views[props.view])
</script>

<template>
  <g class="marks">
    <g v-for="s in stacks" :key="s.place" class="stack">
      <path v-for="(part, i) in s.parts" :key="i" :d="pathOf(sheet, view, part)" :class="{ opening: i === 0 }" />
      <text v-if="nameAt(s)" :x="nameAt(s)!.x" :y="nameAt(s)!.y">{{ s.name }}</text>
    </g>
    <template v-for="m in mountings" :key="m.place">
      <g v-for="(h, i) in m.held" :key="i">
        <line :x1="on(h.bolt_mm)[0]" :y1="on(h.bolt_mm)[1]" :x2="on(h.at_mm)[0]" :y2="on(h.at_mm)[1]" />
        <circle :cx="on(h.bolt_mm)[0]" :cy="on(h.bolt_mm)[1]" r="2.8" />
      </g>
    </template>
    <g v-if="ball" class="ball">
      <circle :cx="on(ball.at)[0]" :cy="on(ball.at)[1]" :r="ball.radius * sheet.scale" />
      <line :x1="on(ball.at)[0]" :y1="on(ball.at)[1]" :x2="on(ball.on)[0]" :y2="on(ball.on)[1]" />
    </g>
    <path v-if="pointed" class="pressed" :d="`M${onView(pointed).join(' ')}m-6 0h12m-6 -6v12`" />
    <line v-if="lines.x !== undefined" class="cursor" :x1="lines.x" :x2="lines.x" :y1="rect.y" :y2="rect.y + rect.h" />
    <line v-if="lines.y !== undefined" class="cursor" :y1="lines.y" :y2="lines.y" :x1="rect.x" :x2="rect.x + rect.w" />
  </g>
</template>

<style scoped>
.marks {
  pointer-events: none;
}
.stack path {
  fill: none;
  stroke: var(--cool);
  stroke-width: 1.2;
  stroke-dasharray: 7 3 1.5 3;
}
.stack path.opening {
  stroke-width: 2.2;
  stroke-dasharray: none;
}
.stack text {
  font-size: 10.5px;
  fill: var(--cool-text);
}
line {
  stroke: var(--ink);
  stroke-width: 2.2;
}
line.cursor {
  stroke: var(--blue);
  stroke-width: 0.7;
  stroke-dasharray: 1 3;
  pointer-events: none;
}
.ball circle {
  fill: var(--blue);
  fill-opacity: 0.12;
  stroke: var(--blue);
  stroke-width: 1.4;
}
.ball line {
  stroke: var(--blue);
  stroke-width: 1.4;
}
.pressed {
  fill: none;
  stroke: var(--blue);
  stroke-width: 1.6;
}
circle {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.5;
}
</style>
