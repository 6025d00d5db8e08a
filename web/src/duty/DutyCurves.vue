<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { computed, ref } from 'vue'
import type { DutyView } from '../api/client'
import { figure } from '../quantity/catalogue'
import { drawnPoints } from '../plot/thin'
import { timeAxis } from '../plot/timeAxis'
import ZoomButtons from '../plot/ZoomButtons.vue'
import { useZoom } from '../plot/zoom'
import { clock } from '../quantity/time'
import { useSettings } from '../settings/store'

/** Road speed, engine speed and boost of one run of the duty over time; the ends of its pieces can be dragged. */
const props = defineProps<{ view: DutyView; chosen?: number; draggable: boolean[] }>()
const emit = defineEmits<{ stretch: [piece: number, seconds: number]; choose: [piece: number] }>()
const settings = useSettings()
const box = ref<HTMLElement>()
const { width } = useElementSize(box)

const LEFT = 92
const RIGHT = 14
const ROW = 62
const GAP = 14
const TOP = 8
const edge = computed(() => Math.max(width.value - RIGHT, LEFT + 100))
/** Looked at closely the piece chosen stays in sight. */
const zoom = useZoom(
  computed(() => props.view.length_s),
  computed(() => {
    const i = props.chosen ?? -1
    const end = props.view.pieceEnds_s[i]
    return end === undefined ? props.view.length_s / 2 : ((props.view.pieceEnds_s[i - 1] ?? 0) + end) / 2
  }),
)
const axis = computed(() => timeAxis([props.view.length_s], [true], LEFT, edge.value, zoom.window.value))
const x = (seconds: number) => axis.value.x(seconds)
const rows = computed(() => [
  {
    name: 'road speed',
    unit: figure(0, 'km_h', settings.units).unit,
    values: props.view.roadSpeed_km_h.map((v) => figure(v, 'km_h', settings.units).number),
    tone: 'ink',
  },
  { name: 'engine', unit: 'rpm', values: props.view.engineSpeed_rpm, tone: 'ink' },
  {
    name: 'boost',
    unit: figure(0, 'kPa', settings.units).unit,
    values: props.view.boost_kPa.map((v) => figure(v, 'kPa', settings.units).number),
    tone: 'heat',
  },
])
const drawn = computed(() =>
  rows.value.map((r, k) => {
    const top = TOP + k * (ROW + GAP)
    const y = scaleLinear()
      .domain([Math.min(0, ...r.values), Math.max(1, ...r.values)])
      .range([top + ROW, top])
    const across = (i: number) => x(props.view.time_s[i]!)
    const path = line<number>()
      .x(across)
      .y((i) => y(r.values[i]!))(drawnPoints(across, r.values))!
    return { ...r, top, zero: y(0), path, most: Math.max(...r.values) }
  }),
)
const bottom = TOP + 3 * ROW + 2 * GAP
const ends = computed(() => props.view.pieceEnds_s)

const dragging = ref<{ piece: number; seconds: number }>()
const endX = (i: number) => x(dragging.value?.piece === i ? dragging.value.seconds : ends.value[i]!)

function down(event: PointerEvent, i: number): void {
  emit('choose', i)
  if (!props.draggable[i]) return
  dragging.value = { piece: i, seconds: ends.value[i]! }
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}

function move(event: PointerEvent): void {
  if (!dragging.value) return
  const start = dragging.value.piece === 0 ? 0 : ends.value[dragging.value.piece - 1]!
  const at = axis.value.time(event.clientX - box.value!.getBoundingClientRect().left)
  const snap = props.view.length_s > 1200 ? 10 : props.view.length_s > 120 ? 1 : 0.5
  dragging.value = { ...dragging.value, seconds: Math.max(start + snap, Math.round(at / snap) * snap) }
}

function up(): void {
  if (!dragging.value) return
  const { piece, seconds } = dragging.value
  dragging.value = undefined
  const start = piece === 0 ? 0 : ends.value[piece - 1]!
  if (Math.abs(seconds - ends.value[piece]!) > 1e-6) emit('stretch', piece, Number((seconds - start).toFixed(1)))
}

function wheel(event: WheelEvent): void {
  if (!event.ctrlKey) return
  event.preventDefault()
  const about = axis.value.time(event.clientX - box.value!.getBoundingClientRect().left)
  if (event.deltaY < 0) zoom.closer(about)
  else zoom.wider(about)
}
</script>

<template>
  <div ref="box" class="curves">
    <svg
      v-if="width > 0"
      :width="width"
      :height="bottom + 22"
      role="img"
      :aria-label="`One run of the duty, ${clock(view.length_s)}: road speed, engine speed and boost`"
      @wheel="wheel"
      @pointermove="move"
      @pointerup="up"
    >
      <clipPath id="duty-plot"><rect :x="LEFT" y="0" :width="edge - LEFT" :height="bottom + 4" /></clipPath>
      <g v-for="(_, i) in ends" :key="`p${i}`" clip-path="url(#duty-plot)">
        <rect
          v-if="i === chosen"
          class="chosen"
          :x="x(i === 0 ? 0 : ends[i - 1]!)"
          :width="Math.max(x(ends[i]!) - x(i === 0 ? 0 : ends[i - 1]!), 1)"
          :y="TOP"
          :height="bottom - TOP"
        />
      </g>
      <g v-for="r in drawn" :key="r.name">
        <line class="base" :x1="LEFT" :x2="width - RIGHT" :y1="r.zero" :y2="r.zero" />
        <text class="name" x="0" :y="r.top + 12">{{ r.name }}</text>
        <text class="most" x="0" :y="r.top + 29">{{ r.most.toFixed(r.unit === 'psi' ? 1 : 0) }} {{ r.unit }}</text>
        <path clip-path="url(#duty-plot)" :class="r.tone" :d="r.path" />
      </g>
      <g v-for="(_, i) in ends" :key="i" clip-path="url(#duty-plot)">
        <line class="end" :x1="endX(i)" :x2="endX(i)" :y1="TOP" :y2="bottom" />
        <g v-if="draggable[i]" class="handle" @pointerdown="down($event, i)">
          <rect :x="endX(i) - 9" :y="TOP" width="18" :height="bottom - TOP" />
          <path :d="`M${endX(i) - 4} ${bottom - 13}v10M${endX(i) + 4} ${bottom - 13}v10`" />
        </g>
      </g>
      <text v-if="dragging" class="told" :x="Math.min(endX(dragging.piece), width - 60)" :y="TOP + 10">{{ clock(dragging.seconds) }}</text>
      <g v-for="t in axis.ticks" :key="`t${t.x}`" class="tick">
        <line :x1="t.x" :x2="t.x" :y1="bottom" :y2="bottom + 4" />
        <text :x="t.x" :y="bottom + 17" text-anchor="middle">{{ clock(axis.time(t.x)) }}</text>
      </g>
    </svg>
    <ZoomButtons class="closer" :zoom="zoom" />
  </div>
</template>

<style scoped>
.closer {
  padding-left: 92px;
}
.curves {
  min-height: 240px;
}
svg {
  display: block;
  touch-action: pan-y;
}
.ink,
.heat {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.4;
}
.heat {
  stroke: var(--heat);
}
.base {
  stroke: var(--hair);
}
.name {
  font-size: var(--s1);
  fill: var(--ink-2);
}
.most {
  font-size: var(--s2);
  font-weight: 700;
  fill: var(--ink);
}
.chosen {
  fill: color-mix(in srgb, var(--blue) 9%, transparent);
}
.end {
  stroke: var(--rule);
  stroke-dasharray: 2 3;
}
.handle {
  cursor: ew-resize;
}
.handle rect {
  fill: transparent;
}
.handle path {
  stroke: var(--blue);
  stroke-width: 1.4;
}
.handle:hover rect {
  fill: color-mix(in srgb, var(--blue) 12%, transparent);
}
.told {
  font-size: var(--s2);
  font-weight: 700;
  fill: var(--blue);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}
.tick line {
  stroke: var(--ink-3);
}
.tick text {
  font-size: var(--s1);
  fill: var(--ink-2);
}
</style>
