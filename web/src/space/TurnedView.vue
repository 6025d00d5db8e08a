<script setup lang="ts">
import { useElementSize, usePreferredDark } from '@vueuse/core'
import { Plane, Vector3 } from 'three'
import { computed, markRaw, nextTick, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import { api, type FitView, type GapView } from '../api/client'
import { useBuild } from '../build/store'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import EitherOr from '../ui/EitherOr.vue'
import Notice from '../ui/Notice.vue'
import Tick from '../ui/Tick.vue'
import { pointOf, type Point } from './elevation'
import { RoomScene, type Inks } from './scene'
import { axes, byTape, inFile, LOOKS, nearer, shiftedLook, turned, whole, type Look } from './turning'

/** The room turned by hand, finger or key, cut by a plane, measured from point to point. */
const props = defineProps<{ fit: FitView; chosen?: string; gap?: GapView }>()
const emit = defineEmits<{ pick: [place: string | undefined]; point: [at: Point] }>()
const build = useBuild()
const settings = useSettings()
const box = ref<HTMLElement>()
const canvas = ref<HTMLCanvasElement>()
const { width } = useElementSize(box)
const HEIGHT = 440
const dark = usePreferredDark()
const scene = shallowRef<RoomScene>()
const failed = ref('')
const look = ref<Look>({ ...LOOKS['askew']!, span: 1.5, at: [0, 0, 0] })
/** How far the room reaches, mm by the tape: what the section goes through. */
const reach = ref<Record<string, [number, number]>>()
const drawn = ref(false)

function inks(): Inks {
  const style = getComputedStyle(canvas.value!)
  const of = (name: string) => style.getPropertyValue(name).trim()
  return { sheet: of('--sheet'), land: of('--land'), ink: of('--ink'), faint: of('--ink-3'), heat: of('--heat'), blue: of('--blue') }
}
const marks = computed(() => ({
  chosen: props.chosen,
  short: new Set(props.fit.gaps.filter((g) => g.isShort).flatMap((g) => [g.place, g.against])),
}))

onMounted(() => {
  try {
    scene.value = markRaw(new RoomScene(canvas.value!, inks(), marks.value))
  } catch {
    failed.value = 'This browser draws nothing in three dimensions. The three views below show the same.'
  }
})
onBeforeUnmount(() => scene.value?.dispose())

let question: AbortController | undefined
watch(
  [scene, () => props.fit],
  async () => {
    if (!scene.value || !build.document) return
    question?.abort()
    const mine = (question = new AbortController())
    try {
      const file = await (await api.room(build.document, build.letter, 'glb', mine.signal)).arrayBuffer()
      const there = await scene.value.load(file)
      if (mine !== question) return
      failed.value = ''
      drawn.value = true
      if (there) {
        if (!reach.value) {
          const at = there.getCenter(new Vector3()).toArray()
          look.value = whole({ ...look.value, at }, there.getSize(new Vector3()).toArray(), width.value || HEIGHT, HEIGHT)
        }
        reach.value = {
          back: [-1000 * there.max.z, -1000 * there.min.z],
          right: [-1000 * there.max.x, -1000 * there.min.x],
          up: [1000 * there.min.y, 1000 * there.max.y],
        }
      }
      paint()
    } catch (e) {
      if (!mine.signal.aborted) failed.value = (e as Error).message
    }
  },
  { immediate: true },
)

const label = ref<{ x: number; y: number; text: string; short: boolean }>()
const mm = (v: number, digits = 1) => spoken(v, 'mm', settings.units, digits)

/** Painted once for all that changed at once. */
let waiting = false
function paint(): void {
  if (waiting) return
  waiting = true
  requestAnimationFrame(() => {
    waiting = false
    const s = scene.value
    // A gap told where nothing stands yet would jump when the room comes.
    if (!s || !width.value || !drawn.value) return
    const colours = inks()
    s.mark(colours, marks.value)
    const g = props.gap
    const lines = [
      ...(g ? [{ from: inFile(g.from_mm), to: inFile(g.to_mm), ink: g.isShort ? colours.heat : colours.ink }] : []),
      ...(tape.value.length === 2 ? [{ from: tape.value[0]!, to: tape.value[1]!, ink: colours.blue }] : []),
    ]
    s.draw(lines)
    s.paint(look.value, width.value, HEIGHT)
    if (g) {
      const [a, b] = [s.onCanvas(inFile(g.from_mm)), s.onCanvas(inFile(g.to_mm))]
      label.value = { x: (a[0] + b[0]) / 2, y: (a[1] + b[1]) / 2, text: mm(g.gap_mm), short: g.isShort }
    } else label.value = undefined
  })
}

/** The section: across which way of the tape, and where, mm. */
const across = ref('none')
const cutAt = ref(0)
const CUTS = [
  { value: 'none', label: 'not cut' },
  { value: 'back', label: 'cut across' },
  { value: 'right', label: 'cut along' },
  { value: 'up', label: 'cut level' },
]
const span = computed((): [number, number] => reach.value?.[across.value] ?? [0, 0])
function cutBy(way: string): void {
  across.value = way
  cutAt.value = Math.round((span.value[0] + span.value[1]) / 2)
}
/** What is nearer to the eye than the plane is cut away, from whichever side one looks. */
watch([across, cutAt, look, scene], () => {
  const ways: Record<string, [number, number, number]> = { back: [1, 0, 0], right: [0, 1, 0], up: [0, 0, 1] }
  const way = ways[across.value]
  if (!way) scene.value?.section(undefined)
  else {
    const normal = new Vector3(...inFile(way)).multiplyScalar(1000)
    const towardsEye = normal.dot(new Vector3(...axes(look.value).eye)) > 0
    const point = normal.clone().multiplyScalar(cutAt.value / 1000)
    scene.value?.section(new Plane().setFromNormalAndCoplanarPoint(towardsEye ? normal.negate() : normal, point))
  }
  paint()
})

/** Two points on what is seen, in the file's axes. */
const measuring = ref(false)
const tape = ref<[number, number, number][]>([])
const measured = computed(() => {
  if (tape.value.length < 2) return undefined
  const [a, b] = tape.value.map((p) => byTape(new Vector3(...p)))
  const by = a!.map((v, i) => Math.abs(b![i]! - v))
  return `${mm(Math.hypot(...by))}: back ${mm(by[0]!)}, right ${mm(by[1]!)}, up ${mm(by[2]!)}`
})
watch(measuring, () => {
  tape.value = []
  paint()
})

watch([width, dark, () => settings.theme, marks, () => props.gap], () => void nextTick(paint))

/** Fingers or the hand on the sheet, by their names. */
const down = new Map<number, { x: number; y: number }>()
let moved = 0
const TURN = 0.008
function press(event: PointerEvent): void {
  canvas.value!.setPointerCapture(event.pointerId)
  down.set(event.pointerId, { x: event.clientX, y: event.clientY })
  if (down.size === 1) moved = 0
}
function move(event: PointerEvent): void {
  const before = down.get(event.pointerId)
  if (!before) return
  const dx = event.clientX - before.x
  const dy = event.clientY - before.y
  moved += Math.abs(dx) + Math.abs(dy)
  const metres = look.value.span / Math.min(width.value, HEIGHT)
  const other = [...down].find(([id]) => id !== event.pointerId)?.[1]
  if (other) {
    const far = (p: { x: number; y: number }) => Math.hypot(p.x - other.x, p.y - other.y)
    look.value = nearer(
      shiftedLook(look.value, (dx / 2) * metres, (-dy / 2) * metres),
      far(before) / Math.max(1, far({ x: event.clientX, y: event.clientY })),
    )
  } else if (event.shiftKey) look.value = shiftedLook(look.value, dx * metres, -dy * metres)
  else look.value = turned(look.value, -dx * TURN, dy * TURN)
  down.set(event.pointerId, { x: event.clientX, y: event.clientY })
}
function lift(event: PointerEvent): void {
  if (!down.delete(event.pointerId) || moved > 4 || down.size) return
  const rect = canvas.value!.getBoundingClientRect()
  const hit = scene.value?.under(((event.clientX - rect.left) / rect.width) * 2 - 1, 1 - ((event.clientY - rect.top) / rect.height) * 2)
  if (!measuring.value) emit('pick', hit?.place)
  else if (hit) {
    tape.value = [...(tape.value.length === 2 ? [] : tape.value), hit.at.toArray()]
    emit('point', pointOf(byTape(hit.at)))
    paint()
  }
}
function roll(event: WheelEvent): void {
  look.value = nearer(look.value, Math.exp(event.deltaY * 0.0012))
}
const STEP = 0.12
const KEYS: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }
function key(event: KeyboardEvent): void {
  const way = KEYS[event.key]
  if (way && event.shiftKey) look.value = shiftedLook(look.value, -way[0] * 0.05 * look.value.span, -way[1] * 0.05 * look.value.span)
  else if (way) look.value = turned(look.value, way[0] * STEP, way[1] * STEP)
  else if (event.key === '+' || event.key === '=') look.value = nearer(look.value, 0.85)
  else if (event.key === '-') look.value = nearer(look.value, 1 / 0.85)
  else return
  event.preventDefault()
}
function from(name: string): void {
  look.value = { ...look.value, ...LOOKS[name]! }
}
watch(look, paint)
</script>

<template>
  <div ref="box" class="turned">
    <Notice v-if="failed" :says="failed" />
    <p class="bar">
      <button v-for="(_, name) in LOOKS" :key="name" type="button" class="act" @click="from(name)">{{ name }}</button>
      <span class="rest"><Tick label="measure" :on="measuring" @turn="measuring = $event" /></span>
    </p>
    <div class="frame">
      <canvas
        ref="canvas"
        tabindex="0"
        role="img"
        aria-label="The room, turned: arrows turn it, with Shift they move it, plus and minus bring it nearer and farther"
        :style="{ height: `${HEIGHT}px` }"
        :class="{ measuring }"
        @pointerdown="press"
        @pointermove="move"
        @pointerup="lift"
        @pointercancel="down.delete($event.pointerId)"
        @wheel.prevent="roll"
        @keydown="key"
      />
      <span v-if="label" class="gap" :class="{ short: label.short }" :style="{ left: `${label.x + 8}px`, top: `${label.y - 24}px` }">{{
        label.text
      }}</span>
    </div>
    <p class="bar">
      <EitherOr of="Section" :choices="CUTS" :value="across" @pick="cutBy" />
      <label v-if="across !== 'none'" class="cut">
        <span>{{ across }} {{ mm(cutAt, 0) }}</span>
        <input v-model.number="cutAt" type="range" :min="Math.floor(span[0])" :max="Math.ceil(span[1])" step="1" aria-label="Where it is cut" />
      </label>
    </p>
    <p class="readout" aria-live="polite">
      {{
        measured ??
        (!drawn && !failed
          ? 'The room is being drawn.'
          : measuring
            ? tape.length
              ? 'Now the other point.'
              : 'Press two points of what is seen.'
            : 'Drag turns it, with Shift or two fingers it moves; the wheel brings it nearer.')
      }}
    </p>
  </div>
</template>

<style scoped>
.turned {
  padding-top: 4px;
}
.frame {
  position: relative;
  border: 1px solid var(--hair);
}
canvas {
  display: block;
  width: 100%;
  touch-action: none;
  cursor: grab;
}
canvas.measuring {
  cursor: crosshair;
}
canvas:focus-visible {
  outline: 2px solid var(--blue);
  outline-offset: 1px;
}
.gap {
  position: absolute;
  padding: 0 4px;
  font-size: var(--s3);
  font-weight: 700;
  pointer-events: none;
  background: var(--sheet);
}
.gap.short {
  color: var(--heat-text);
}
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  align-items: center;
  padding: 4px 0;
}
.bar .act {
  min-height: 24px;
  font-size: var(--s1);
}
.rest {
  margin-left: auto;
}
.cut {
  display: flex;
  gap: 12px;
  align-items: center;
  color: var(--ink-2);
}
.cut span {
  min-width: 92px;
  text-align: right;
}
.cut input {
  width: 260px;
  accent-color: var(--blue);
}
.readout {
  min-height: 22px;
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
