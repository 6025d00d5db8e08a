<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, useId } from 'vue'
import type { FitView, GapView } from '../api/client'
import { alike } from '../build/alike'
import type { Run } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import RunHandles from './RunHandles.vue'
import SheetMarks, { type Ball } from './SheetMarks.vue'
import SheetThings, { type Thing } from './SheetThings.vue'
import WayGhosts, { type Ghost } from './WayGhosts.vue'
import {
  bestView,
  extentOf,
  onSheet,
  planeIn,
  pointOf,
  rowOf,
  sheetOf,
  shown,
  snapped,
  stepOf,
  underSheet,
  VIEWS,
  type Axis,
  type Extent,
  type Point,
  type View,
} from './elevation'

/** The room from above, from the front and from the side, to one scale: picked, dragged and nudged in place. */
const props = defineProps<{
  fit: FitView
  chosen?: string
  gap?: GapView
  /** The pipe that is picked. */
  run?: Run
  ghosts: readonly Ghost[]
  /** What each corner of it costs, in words. */
  costs: readonly string[]
  ball?: Ball
  pointed?: Point
  /** A press tells a place instead of picking what is there. */
  pointing?: boolean
  /** What never may be cut, by place. */
  structure: ReadonlySet<string>
  /** What hangs on something that moves, by place. */
  carried: ReadonlySet<string>
  /** Over one another and as wide as there is room, instead of all in a row. */
  large?: boolean
  /** Looked at only: nothing is moved here. */
  still?: boolean
  /** What is said under it while nothing is pointed at. */
  hint?: string
}>()
const emit = defineEmits<{
  pick: [place: string | undefined]
  shift: [place: string, by: Point]
  point: [at: Partial<Point>]
  bending: [corner: string, by: Point]
  unbent: []
  corner: [id: string, by: Point]
}>()
const settings = useSettings()
const id = useId()
const box = ref<HTMLElement>()
const svg = ref<SVGSVGElement>()
const { width } = useElementSize(box)
const HEIGHT = { row: 330, sheet: 1000 }

/** While something is dragged the sheet keeps its scale. */
const held = ref<Extent>()
/** The very same while nothing reaches farther: what stands still is not drawn anew. */
const extent = computed<Extent>((before) => alike(before, held.value ?? extentOf(props.fit)))
const sheet = computed(() => {
  const wide = Math.max(width.value, 420)
  return props.large ? sheetOf(extent.value, wide, HEIGHT.sheet) : rowOf(extent.value, wide, HEIGHT.row)
})
const WORDS: Record<View, string> = { above: 'from above, front downwards', front: 'from the front', side: 'from the left' }

const things = computed<Thing[]>(() => [
  ...props.fit.obstacles.map((o) => ({ place: o.place, name: o.name, body: false, parts: o.parts })),
  ...props.fit.bodies.map((b) => ({ place: b.place, name: b.name, body: true, pipe: b.what === 'PIPE', parts: b.parts })),
])
const planes = computed(() => props.fit.obstacles.filter((o) => o.plane))
const short = computed(() => new Set(props.fit.gaps.filter((g) => g.isShort).flatMap((g) => [g.place, g.against])))

/** What is being moved and how far, before it is given in. */
const moving = ref<{ place: string; by: Point }>()
let start: { x: number; y: number; view: View } | undefined
let settle: ReturnType<typeof setTimeout> | undefined

const shift = (view: View) => {
  if (!moving.value) return undefined
  const [x0, y0] = onSheet(sheet.value, view, 0, 0)
  const [x1, y1] = onSheet(sheet.value, view, ...shown(view, moving.value.by))
  return `translate(${(x1 - x0).toFixed(1)} ${(y1 - y0).toFixed(1)})`
}

/** @returns where the pointer is on the sheet */
function at(event: PointerEvent): [number, number] {
  const rect = svg.value!.getBoundingClientRect()
  return [((event.clientX - rect.left) * sheet.value.width) / rect.width, ((event.clientY - rect.top) * sheet.value.height) / rect.height]
}

function grasp(event: PointerEvent, thing: Thing, view: View): void {
  emit('pick', thing.place)
  if (props.still) return
  const [x, y] = at(event)
  start = { x, y, view }
  give()
  moving.value = { place: thing.place, by: { back: 0, right: 0, up: 0 } }
  held.value = sheet.value.extent
  ;(event.currentTarget as Element).setPointerCapture?.(event.pointerId)
}

function drag(event: PointerEvent): void {
  if (!start || !moving.value) return
  const [x, y] = at(event)
  const by = stepOf(sheet.value, start.view, x - start.x, y - start.y)
  // With Alt to the millimetre.
  const round = event.altKey ? Math.round : snapped
  moving.value = { ...moving.value, by: { back: round(by.back), right: round(by.right), up: round(by.up) } }
}

function drop(): void {
  if (!start) return
  start = undefined
  give()
}

/** What was moved is given in; nothing where it came back to where it was. */
function give(): void {
  clearTimeout(settle)
  const done = moving.value
  moving.value = undefined
  held.value = undefined
  if (done && (done.by.back || done.by.right || done.by.up)) emit('shift', done.place, done.by)
}

function bending(corner: string, by: Point): void {
  held.value ??= sheet.value.extent
  emit('bending', corner, by)
}
function bent(corner: string, by: Point): void {
  held.value = undefined
  emit('corner', corner, by)
}
function unbent(): void {
  held.value = undefined
  emit('unbent')
}

const STEPS: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }

/** A millimetre for each press, ten with Shift; given in when the hand rests. */
function nudge(event: KeyboardEvent, thing: Thing, view: View): void {
  const step = STEPS[event.key]
  if (!step || props.still) return
  event.preventDefault()
  if (moving.value && moving.value.place !== thing.place) give()
  const far = (event.shiftKey ? 10 : 1) * sheet.value.scale
  const by = stepOf(sheet.value, view, step[0] * far, step[1] * far)
  const before = moving.value?.by ?? { back: 0, right: 0, up: 0 }
  moving.value = {
    place: thing.place,
    by: { back: Math.round(before.back + by.back), right: Math.round(before.right + by.right), up: Math.round(before.up + by.up) },
  }
  clearTimeout(settle)
  settle = setTimeout(give, 500)
}

const cursor = ref<{ view: View; place: Partial<Point> }>()
function follow(event: PointerEvent, view: View): void {
  cursor.value = { view, place: underSheet(sheet.value, view, ...at(event)) }
}
function press(event: PointerEvent, view: View): void {
  if (!props.pointing) return
  event.stopPropagation()
  emit('point', underSheet(sheet.value, view, ...at(event)))
}
const mm = (v: number) => spoken(Math.round(v), 'mm', settings.units)
const readout = computed(() => {
  const p = cursor.value?.place ?? {}
  return (['back', 'right', 'up'] as Axis[]).filter((axis) => p[axis] !== undefined).map((axis) => `${axis} ${mm(p[axis]!)}`)
})
const moved = computed(() =>
  moving.value
    ? (['back', 'right', 'up'] as Axis[]).filter((axis) => moving.value!.by[axis] !== 0).map((axis) => `${axis} by ${mm(moving.value!.by[axis])}`)
    : [],
)

/** The gap that is looked at, in every view; its figure stands where it is seen longest. */
const measured = computed(() => {
  if (!props.gap || moving.value) return undefined
  const from = pointOf(props.gap.from_mm)
  const to = pointOf(props.gap.to_mm)
  const best = bestView(from, to)
  return VIEWS.map((view) => {
    const [x1, y1] = onSheet(sheet.value, view, ...shown(view, from))
    const [x2, y2] = onSheet(sheet.value, view, ...shown(view, to))
    return { view, x1, y1, x2, y2, text: view === best ? spoken(props.gap!.gap_mm, 'mm', settings.units, 1) : '' }
  })
})
</script>

<template>
  <div ref="box" class="elevations">
    <svg
      ref="svg"
      :viewBox="`0 0 ${sheet.width} ${sheet.height}`"
      :width="sheet.width"
      :height="sheet.height"
      role="group"
      aria-label="The room in three views"
    >
      <defs>
        <pattern :id="`${id}-cut`" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="7" class="hatch" />
        </pattern>
        <clipPath v-for="v in VIEWS" :id="`${id}-${v}`" :key="v">
          <rect :x="sheet.views[v].x" :y="sheet.views[v].y" :width="sheet.views[v].w" :height="sheet.views[v].h" />
        </clipPath>
      </defs>
      <g v-for="v in VIEWS" :key="v" @pointerdown.capture="press($event, v)" @pointermove="follow($event, v)" @pointerleave="cursor = undefined">
        <rect
          class="field"
          :x="sheet.views[v].x"
          :y="sheet.views[v].y"
          :width="sheet.views[v].w"
          :height="sheet.views[v].h"
          @pointerdown="emit('pick', undefined)"
        />
        <g :clip-path="`url(#${id}-${v})`">
          <g
            v-for="p in planes"
            :key="p.place"
            class="plane"
            :class="{ chosen: p.place === chosen, short: short.has(p.place) }"
            @pointerdown="emit('pick', p.place)"
          >
            <template v-if="planeIn(sheet, v, p.plane!)">
              <path :d="planeIn(sheet, v, p.plane!)!.strip" :fill="`url(#${id}-cut)`" />
              <path :d="planeIn(sheet, v, p.plane!)!.edge" class="edge" />
            </template>
          </g>
          <SheetThings
            :things="things"
            :sheet="sheet"
            :view="v"
            :words="WORDS[v]"
            :chosen="chosen"
            :short="short"
            :carried="carried"
            :structure="structure"
            :cut="`url(#${id}-cut)`"
            :moving="moving?.place"
            :shift="shift(v)"
            @pick="emit('pick', $event)"
            @nudge="(event, thing) => nudge(event, thing, v)"
            @grasp="(event, thing) => grasp(event, thing, v)"
            @drag="drag"
            @drop="drop"
          />
          <WayGhosts v-if="ghosts.length" :ghosts="ghosts" :sheet="sheet" :view="v" />
        </g>
        <SheetMarks
          :stacks="fit.stacks"
          :mountings="fit.mountings"
          :pointed="pointed"
          :ball="ball"
          :cursor="cursor?.place"
          :sheet="sheet"
          :view="v"
        />
        <RunHandles v-if="run" :run="run" :costs="costs" :sheet="sheet" :view="v" @bending="bending" @shift="bent" @rest="unbent" />
        <text class="caption" :x="sheet.views[v].x + 2" :y="sheet.views[v].y - 5">{{ WORDS[v] }}</text>
      </g>
      <g v-for="m in measured" :key="m.view" class="measure" :class="{ short: gap!.isShort }">
        <line :x1="m.x1" :y1="m.y1" :x2="m.x2" :y2="m.y2" />
        <circle :cx="m.x1" :cy="m.y1" r="2.6" />
        <circle :cx="m.x2" :cy="m.y2" r="2.6" />
        <text v-if="m.text" :x="(m.x1 + m.x2) / 2 + 7" :y="(m.y1 + m.y2) / 2 - 6">{{ m.text }}</text>
      </g>
    </svg>
    <p class="readout" aria-hidden="true">
      {{
        moved.length
          ? moved.join(', ')
          : readout.length
            ? readout.join(', ')
            : (hint ?? 'Drag what should stand elsewhere, or pick it and press the arrow keys.')
      }}
    </p>
  </div>
</template>

<style scoped>
.elevations {
  position: relative;
}
svg {
  display: block;
  touch-action: none;
}
.field {
  fill: none;
  stroke: var(--hair);
  pointer-events: all;
}
.caption {
  font-size: var(--s1);
  fill: var(--ink-3);
}
.hatch {
  stroke: var(--ink-3);
  stroke-width: 1;
}
.edge {
  stroke: var(--ink-2);
  stroke-width: 1.4;
}
.plane.short .edge {
  stroke: var(--heat);
}
.plane.chosen .edge {
  stroke: var(--blue);
  stroke-width: 2;
}
.measure {
  pointer-events: none;
}
.measure line {
  stroke: var(--ink);
  stroke-width: 1.6;
}
.measure circle {
  fill: var(--ink);
}
.measure text {
  font-size: var(--s3);
  font-weight: 700;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}
.measure.short line {
  stroke: var(--heat);
}
.measure.short circle {
  fill: var(--heat);
}
.measure.short text {
  fill: var(--heat-text);
}
.readout {
  padding-left: 14px;
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
