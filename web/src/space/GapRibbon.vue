<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { scaleLinear } from 'd3-scale'
import { area, line } from 'd3-shape'
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { api, type FitView, type Ribbon, type RibbonSpot } from '../api/client'
import { useBuild } from '../build/store'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import type { Ball } from './SheetMarks.vue'

/** What a pipe has to spare of the gaps asked, along its own length; where one is on it a ball of that gap stands in the room. */
const props = defineProps<{ of: string; loop?: string; fit: FitView }>()
const emit = defineEmits<{ spot: [spot: Ball | undefined] }>()
const build = useBuild()
const settings = useSettings()
const box = ref<HTMLElement>()
const { width } = useElementSize(box)
const H = 118
const LEFT = 40
const TOP = 18
const BOTTOM = 22
/** Nearer to the end of the sheet the words of a mark end on it. */
const EDGE = 24
/** mm: more to spare is more than enough. */
const ENOUGH = 60
const ribbon = shallowRef<Ribbon>()
const at = ref<number>()
let question: AbortController | undefined
let asking = false
let again = false

/** One question at a time: while a corner is drawn the newest is asked for when the last is answered. */
async function look(): Promise<void> {
  again = asking
  if (asking || !build.document) return
  asking = true
  const mine = (question = new AbortController())
  try {
    ribbon.value = await api.ribbon(build.document, build.letter, { of: props.of, loop: props.loop }, mine.signal)
  } catch {
    // What is wrong with the document is said where it was typed; the last good one stays.
  } finally {
    asking = false
  }
  if (again) void look()
}
watch([() => props.of, () => props.loop, () => props.fit], look, { immediate: true })
onBeforeUnmount(() => {
  again = false
  question?.abort()
  emit('spot', undefined)
})

const spots = computed(() => ribbon.value?.spots ?? [])
const length = computed(() => spots.value.at(-1)?.along_mm ?? 1)
const lowest = computed(() => Math.min(-12, ...spots.value.map((s) => s.spare_mm)))
const x = computed(() =>
  scaleLinear()
    .domain([0, length.value])
    .range([LEFT, Math.max(width.value, 300) - 8]),
)
const y = computed(() =>
  scaleLinear()
    .domain([Math.max(lowest.value, -ENOUGH), ENOUGH])
    .range([H - BOTTOM, TOP])
    .clamp(true),
)
const above = computed(
  () =>
    area<RibbonSpot>()
      .x((s) => x.value(s.along_mm))
      .y0(y.value(0))
      .y1((s) => y.value(Math.max(0, s.spare_mm)))(spots.value) ?? '',
)
const below = computed(
  () =>
    area<RibbonSpot>()
      .x((s) => x.value(s.along_mm))
      .y0(y.value(0))
      .y1((s) => y.value(Math.min(0, s.spare_mm)))(spots.value) ?? '',
)
const edge = computed(
  () =>
    line<RibbonSpot>()
      .x((s) => x.value(s.along_mm))
      .y((s) => y.value(s.spare_mm))(spots.value) ?? '',
)
const ticks = computed(() => x.value.ticks(Math.max(2, Math.floor(width.value / 140))))
/** What is nearest, over the stretch where it is; where there is room for its name. */
const names = computed(() => {
  const all: { name: string; from: number; to: number }[] = []
  for (const s of spots.value) {
    const last = all.at(-1)
    if (last?.name === s.nearest) last.to = s.along_mm
    else all.push({ name: s.nearest, from: last?.to ?? 0, to: s.along_mm })
  }
  return all
    .filter((n) => n.name && x.value(n.to) - x.value(n.from) > 6.2 * n.name.length + 6)
    .map((n) => ({ name: n.name, x: (x.value(n.from) + x.value(n.to)) / 2 }))
})

const spot = computed(() => (at.value === undefined ? undefined : spots.value[Math.round((at.value / length.value) * (spots.value.length - 1))]))
watch([spot, ribbon], () => {
  const s = spot.value
  emit('spot', s && { at: s.at_mm, on: s.on_mm, radius: Math.max(2, ribbon.value!.outside_mm / 2 + s.spare_mm + s.asked_mm) })
})
const mm = (v: number) => spoken(v, 'mm', settings.units, 1)
const says = computed(() => {
  const s = spot.value ?? spots.value.reduce<RibbonSpot | undefined>((least, t) => (!least || t.spare_mm < least.spare_mm ? t : least), undefined)
  if (!s) return ''
  const where = `${spoken(s.along_mm, 'mm', settings.units)} from its beginning`
  if (!s.nearest) return `${where}: nothing is near`
  return s.spare_mm < 0
    ? `${where}: ${mm(-s.spare_mm)} are missing to ${s.nearest}, ${mm(s.asked_mm)} are asked`
    : `${where}: ${mm(s.spare_mm)} to spare to ${s.nearest}, over the ${mm(s.asked_mm)} asked`
})
function follow(event: PointerEvent): void {
  const rect = (event.currentTarget as Element).getBoundingClientRect()
  at.value = Math.min(length.value, Math.max(0, x.value.invert(event.clientX - rect.left)))
}
function keys(event: KeyboardEvent): void {
  const step = (event.shiftKey ? 100 : 10) * (event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0)
  if (!step) return
  event.preventDefault()
  at.value = Math.min(length.value, Math.max(0, (at.value ?? 0) + step))
}
</script>

<template>
  <section v-if="spots.length" ref="box" class="ribbon">
    <h3>To spare along {{ of }}</h3>
    <svg
      :width="Math.max(width, 300)"
      :height="H"
      role="slider"
      tabindex="0"
      :aria-label="`To spare along ${of}`"
      aria-valuemin="0"
      :aria-valuemax="Math.round(length)"
      :aria-valuenow="Math.round(at ?? 0)"
      :aria-valuetext="says"
      @pointermove="follow"
      @pointerleave="at = undefined"
      @keydown="keys"
      @blur="at = undefined"
    >
      <g v-for="t in ticks" :key="t" class="tick">
        <line :x1="x(t)" :x2="x(t)" :y1="TOP" :y2="H - BOTTOM" />
        <text :x="x(t)" :y="H - 7" :text-anchor="x(t) > x(length) - EDGE ? 'end' : 'middle'">{{ spoken(t, 'mm', settings.units) }}</text>
      </g>
      <path :d="above" class="above" />
      <path :d="below" class="below" />
      <path :d="edge" class="edge" />
      <line class="asked" :x1="LEFT" :x2="x(length)" :y1="y(0)" :y2="y(0)" />
      <text class="word" :x="LEFT - 4" :y="y(0) + 4" text-anchor="end">asked</text>
      <text v-for="(n, i) in names" :key="i" class="name" :x="n.x" :y="TOP - 6" text-anchor="middle">{{ n.name }}</text>
      <line v-if="spot" class="cursor" :x1="x(spot.along_mm)" :x2="x(spot.along_mm)" :y1="TOP" :y2="H - BOTTOM" />
      <circle v-if="spot" :cx="x(spot.along_mm)" :cy="y(spot.spare_mm)" r="3.5" />
    </svg>
    <p class="fine" aria-hidden="true">{{ spot ? '' : 'Least at ' }}{{ says }}</p>
  </section>
</template>

<style scoped>
.ribbon {
  padding-top: 10px;
}
svg {
  display: block;
}
.tick line {
  stroke: var(--hair);
}
.tick text,
.word,
.name {
  font-size: var(--s1);
  fill: var(--ink-2);
}
.above {
  fill: var(--cool);
  fill-opacity: 0.25;
}
.below {
  fill: var(--heat);
  fill-opacity: 0.75;
}
.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.4;
  stroke-linejoin: round;
}
.asked {
  stroke: var(--ink-2);
  stroke-dasharray: 4 3;
}
.cursor {
  stroke: var(--blue);
}
circle {
  fill: var(--blue);
}
.fine {
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
