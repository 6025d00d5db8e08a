<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Run } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import { onSheet, shown, snapped, stepOf, type Axis, type Point, type Sheet, type View } from './elevation'

/** The corners of the picked pipe, to be dragged in any view; the table of its corners does the same by keyboard. */
const props = defineProps<{ run: Run; costs: readonly string[]; sheet: Sheet; view: View }>()
const emit = defineEmits<{ bending: [corner: string, by: Point]; shift: [corner: string, by: Point]; rest: [] }>()
const settings = useSettings()
const STILL: Point = { back: 0, right: 0, up: 0 }
/** While it is drawn it stands where the hand is: the pipe follows as fast as it is computed. */
const moving = ref<{ id: string; from: Point; by: Point }>()
let start: [number, number] | undefined
/** px that what a bend costs is wide: near the edge it is written inwards. */
const LABEL = 86
const rightOf = (view: View) => props.sheet.views[view].x + props.sheet.views[view].w

const corners = computed(() =>
  props.run.corners.map((c) => {
    const held = moving.value?.id === c.id ? moving.value : undefined
    const from = held?.from ?? placeOf(c)
    const by = held?.by ?? STILL
    const [x, y] = onSheet(
      props.sheet,
      props.view,
      ...shown(props.view, { back: from.back + by.back, right: from.right + by.right, up: from.up + by.up }),
    )
    return { id: c.id!, x, y, says: held ? told(by) : '', inward: x > rightOf(props.view) - LABEL }
  }),
)
const placeOf = (c: Run['corners'][number]): Point => ({ back: c.back_mm, right: c.right_mm, up: c.up_mm })
const told = (by: Point) =>
  (Object.keys(by) as Axis[])
    .filter((axis) => by[axis] !== 0)
    .map((axis) => `${axis} by ${spoken(by[axis], 'mm', settings.units)}`)
    .join(', ')

/** @returns where the pointer is on the sheet */
function at(event: PointerEvent): [number, number] {
  const rect = (event.currentTarget as Element).closest('svg')!.getBoundingClientRect()
  return [((event.clientX - rect.left) * props.sheet.width) / rect.width, ((event.clientY - rect.top) * props.sheet.height) / rect.height]
}
function grasp(event: PointerEvent, id: string): void {
  start = at(event)
  moving.value = { id, from: placeOf(props.run.corners.find((c) => c.id === id)!), by: STILL }
  ;(event.currentTarget as Element).setPointerCapture?.(event.pointerId)
}
function drag(event: PointerEvent): void {
  if (!start || !moving.value) return
  const [x, y] = at(event)
  const by = stepOf(props.sheet, props.view, x - start[0], y - start[1])
  // With Alt to the millimetre.
  const round = event.altKey ? Math.round : snapped
  const now = { back: round(by.back), right: round(by.right), up: round(by.up) }
  const before = moving.value.by
  if (now.back === before.back && now.right === before.right && now.up === before.up) return
  moving.value = { ...moving.value, by: now }
  emit('bending', moving.value.id, now)
}
function drop(): void {
  const done = moving.value
  start = undefined
  moving.value = undefined
  if (done && (done.by.back || done.by.right || done.by.up)) emit('shift', done.id, done.by)
  else if (done) emit('rest')
}
function leave(): void {
  start = undefined
  moving.value = undefined
  emit('rest')
}
</script>

<template>
  <g aria-hidden="true">
    <g
      v-for="(c, i) in corners"
      :key="c.id"
      class="corner"
      @pointerdown.stop="grasp($event, c.id)"
      @pointermove="drag"
      @pointerup="drop"
      @pointercancel="leave"
    >
      <circle :cx="c.x" :cy="c.y" r="12" class="reach" />
      <circle :cx="c.x" :cy="c.y" r="4.5" />
      <text :x="c.inward ? c.x - 9 : c.x + 9" :y="c.y - 7" :text-anchor="c.inward ? 'end' : 'start'"
        >{{ c.says || i + 1 }}<tspan v-if="costs[i]" class="cost" dx="5">{{ costs[i] }}</tspan></text
      >
    </g>
  </g>
</template>

<style scoped>
.corner {
  cursor: grab;
}
circle {
  fill: var(--sheet);
  stroke: var(--blue);
  stroke-width: 2;
}
.reach {
  fill: transparent;
  stroke: none;
}
text {
  font-size: var(--s1);
  font-weight: 700;
  fill: var(--blue);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
  pointer-events: none;
}
.cost {
  font-weight: 500;
}
</style>
