<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { bisectCenter, extent } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { computed, ref } from 'vue'
import type { SoakView, SpreadView } from '../api/client'
import { axisTicks, spoken } from '../quantity/catalogue'
import { clock, span } from '../quantity/time'
import { useSettings } from '../settings/store'
import DutyStrip from './DutyStrip.vue'
import type { ExtraLine } from './lines'
import { railsHeight, STRIP_HEIGHT } from './strip'
import { drawnPoints } from '../plot/thin'
import { timeAxis } from '../plot/timeAxis'
import { useTimePointer } from '../plot/pointer'
import type { useZoom } from '../plot/zoom'
import ZoomButtons from '../plot/ZoomButtons.vue'
import { bandOutline, linesNamed } from './labels'

/** Intake temperature against time, with the target, the timing line, the compared run and a time cursor; the duty beneath. */
const props = defineProps<{
  soak: SoakView
  label: string
  ghost?: SoakView
  ghostLabel?: string
  target: number
  timing: number
  extra: ExtraLine[]
  band?: SpreadView
  cooledBy: string
  zoom: ReturnType<typeof useZoom>
}>()
const cursor = defineModel<number>('cursor', { required: true })
const settings = useSettings()
const box = ref<HTMLElement>()
const { width, height } = useElementSize(box)

const LEFT = 62
/** Height of all beneath the plot's time axis. */
const STRIP = computed(() => 96 + railsHeight(trace.value.switches.length))
const right = computed(() => Math.max(width.value - 28, 300))
/** Least height of the plot itself; below it the surface scrolls. */
const LEAST_PLOT = 124
const bottom = computed(() => Math.max(height.value - STRIP.value - 34, top + LEAST_PLOT))
const top = 34
const trace = computed(() => props.soak.trace)
const axis = computed(() => timeAxis(trace.value.time_s, trace.value.running, LEFT, right.value, props.zoom.window.value))
const hasWater = computed(() => {
  const cold = trace.value.cold_C
  return Math.max(...cold) - Math.min(...cold) > 0.5
})

const bandValues = computed(() => [...(props.band?.low_C ?? []), ...(props.band?.high_C ?? [])].filter((t): t is number => t != null))
const y = computed(() => {
  const seen = [
    ...trace.value.intake_C,
    ...(props.ghost?.trace.intake_C ?? []),
    props.target,
    props.timing,
    ...props.extra.flatMap((l) => l.values.filter((_, i) => l.always || trace.value.running[i])),
    ...bandValues.value,
    ...(hasWater.value ? trace.value.cold_C : []),
  ]
  const [low = 0, high = 100] = extent(seen)
  return scaleLinear()
    .domain([low - 2, high + 4])
    .nice(6)
    .range([bottom.value, top])
})
const ticks = computed(() =>
  axisTicks(y.value.domain()[0]!, y.value.domain()[1]!, 6, 'C', settings.units).map((t) => ({ y: y.value(t.value), label: t.label })),
)

/** Runs are drawn one by one: while the engine stands there is no charge to have a temperature. */
function path(view: SoakView, column: number[], onlyRunning: boolean): string {
  const t = view.trace
  const x = (i: number) => axis.value.x(t.time_s[i]!)
  const values = onlyRunning ? column.map((v, i) => (t.running[i] ? v : NaN)) : column
  return (
    line<number>()
      .defined((i) => !Number.isNaN(values[i]!))
      .x(x)
      .y((i) => y.value(values[i]!))(drawnPoints(x, values)) ?? ''
  )
}

const intake = computed(() => path(props.soak, trace.value.intake_C, true))
/** Other temperatures, each named where it ends. */
const others = computed(() => {
  const last = trace.value.running.lastIndexOf(true)
  const drawn = props.extra.map((l) => {
    const end = l.always ? trace.value.time_s.length - 1 : last
    return { ...l, d: path(props.soak, l.values, !l.always), y: y.value(l.values[Math.max(Math.round(end * 0.94), 0)] ?? 0) - 5 }
  })
  // Names that would cover each other move apart, lowest first.
  drawn.sort((a, b) => b.y - a.y)
  drawn.forEach((l, i) => {
    if (i > 0) l.y = Math.min(l.y, drawn[i - 1]!.y - 13)
  })
  return drawn
})
/** The middle four fifths of what the answer may be. */
const bandPath = computed(() => (props.band ? bandOutline(props.band, axis.value.x, y.value) : ''))
const cold = computed(() => path(props.soak, trace.value.cold_C, false))
const other = computed(() => (props.ghost ? path(props.ghost, props.ghost.trace.intake_C, true) : ''))
const at = computed(() => bisectCenter(trace.value.time_s, cursor.value))
const otherAt = computed(() => (props.ghost ? bisectCenter(props.ghost.trace.time_s, cursor.value) : 0))
const cursorX = computed(() => axis.value.x(cursor.value))

const strip = computed(() => ({ top: bottom.value + 60, bottom: bottom.value + 60 + STRIP_HEIGHT }))
/** Under the line where there is room, else over it. */
const coldLabelY = computed(() => {
  const line = y.value(trace.value.cold_C[0]!)
  return line + 18 > bottom.value - 4 ? line - 6 : line + 18
})

const labels = computed(() =>
  linesNamed(trace.value, props.ghost?.trace, axis.value, y.value, {
    left: LEFT,
    right: right.value,
    top,
    bottom: bottom.value,
    cursor: cursorX.value,
  }),
)

const { marking, move, down, up, twice, wheel, keys } = useTimePointer({
  box,
  axis,
  zoom: props.zoom,
  cursor,
  length: () => props.soak.length_s,
  edges: () => ({ left: LEFT, right: right.value, axisTop: bottom.value, axisBottom: strip.value.top - 8 }),
})
</script>

<template>
  <div ref="box" class="chart" :style="{ minHeight: `${top + LEAST_PLOT + STRIP + 34}px` }">
    <svg
      v-if="width > 0"
      :width="width"
      :height="height"
      role="slider"
      tabindex="0"
      aria-label="Time in the duty"
      aria-valuemin="0"
      :aria-valuemax="Math.round(soak.length_s)"
      :aria-valuenow="Math.round(cursor)"
      :aria-valuetext="`${clock(cursor)}, intake ${spoken(trace.intake_C[at]!, 'C', settings.units)}`"
      @pointerdown="down"
      @pointermove="move"
      @pointerup="up"
      @dblclick="twice"
      @wheel="wheel"
      @keydown="keys"
    >
      <clipPath id="trace-plot"><rect :x="LEFT" y="0" :width="right - LEFT" :height="height" /></clipPath>
      <g class="grid">
        <template v-for="t in ticks" :key="t.label">
          <line :x1="LEFT" :x2="right" :y1="t.y" :y2="t.y" />
          <text :x="LEFT - 9" :y="t.y + 4" text-anchor="end">{{ t.label }}°</text>
        </template>
        <template v-for="(t, i) in axis.ticks" :key="i">
          <line class="tick" :x1="t.x" :x2="t.x" :y1="bottom" :y2="bottom + 5" />
          <text :x="t.x" :y="bottom + 19" text-anchor="middle">{{ t.label }}</text>
        </template>
        <text :x="right" :y="bottom + 34" text-anchor="end">{{ axis.unit }}</text>
      </g>
      <rect v-for="w in axis.waits" :key="w.x0" class="wait-area" :x="w.x0" :width="w.x1 - w.x0" :y="top" :height="strip.bottom - top" />
      <line class="timing" :x1="LEFT" :x2="right" :y1="y(timing)" :y2="y(timing)" />
      <line class="target" :x1="LEFT" :x2="right" :y1="y(target)" :y2="y(target)" />
      <g clip-path="url(#trace-plot)">
        <path v-if="hasWater" class="cold" :d="cold" />
        <path v-if="bandPath" class="band" :d="bandPath" />
        <path v-for="l in others" :key="l.key" class="extra" :class="l.tone" :d="l.d" />
      </g>
      <template v-for="l in others" :key="l.key">
        <text class="extra-label halo" :class="l.tone" :x="right - 6" :y="l.y" text-anchor="end">{{ l.name }}</text>
      </template>
      <g clip-path="url(#trace-plot)">
        <path v-if="other" class="ghost" :d="other" />
        <path class="intake" :d="intake" />
      </g>
      <rect
        v-if="marking"
        class="marking"
        :x="Math.min(marking.from, marking.to)"
        :width="Math.abs(marking.to - marking.from)"
        :y="top"
        :height="strip.bottom - top"
      />
      <rect class="axis-hold" :x="LEFT" :width="right - LEFT" :y="bottom" :height="strip.top - 8 - bottom" />
      <g v-for="w in axis.waits" :key="w.x0" class="wait">
        <text :x="(w.x0 + w.x1) / 2" :y="bottom - 22" text-anchor="middle">wait</text>
        <text :x="(w.x0 + w.x1) / 2" :y="bottom - 8" text-anchor="middle">{{ span(w.seconds) }}</text>
      </g>
      <text class="timing-label halo" :x="LEFT + 6" :y="y(timing) - 6">ECU pulls timing from {{ spoken(timing, 'C', settings.units, 0) }}</text>
      <text class="target-label halo" :x="LEFT + 6" :y="y(target) - 6">target {{ spoken(target, 'C', settings.units, 0) }}</text>
      <text v-if="other" class="ghost-label halo" :x="labels.x" :y="labels.theirs" text-anchor="middle">
        {{ labels.fits ? ghostLabel : ghostLabel?.split(' ')[0] }}
      </text>
      <text class="intake-label halo" :x="labels.x" :y="labels.mine" text-anchor="middle">{{ label }}{{ labels.fits ? ' intake air' : '' }}</text>
      <text v-if="hasWater" class="cold-label halo" :x="LEFT + 6" :y="coldLabelY">
        {{ cooledBy === 'air' ? 'cooling air at the core' : 'water at the core' }}
      </text>
      <DutyStrip
        clip="trace-plot"
        :trace="trace"
        :axis="axis"
        :left="LEFT"
        :right="right"
        :top="strip.top"
        :key-at="bottom + 34"
        :at="at"
        :cursor="cursor"
      />
      <g class="cursor">
        <line :x1="cursorX" :x2="cursorX" :y1="top - 10" :y2="strip.bottom + railsHeight(trace.switches.length)" />
        <rect :x="Math.min(Math.max(cursorX - 26, 0), width - 52)" y="4" width="52" height="20" />
        <text :x="Math.min(Math.max(cursorX, 26), width - 26)" y="18" text-anchor="middle">{{ clock(cursor) }}</text>
        <circle v-if="trace.running[at]" :cx="cursorX" :cy="y(trace.intake_C[at]!)" r="4.5" class="dot" />
        <circle v-if="ghost && ghost.trace.running[otherAt]" :cx="cursorX" :cy="y(ghost.trace.intake_C[otherAt]!)" r="4" class="ghost-dot" />
      </g>
    </svg>
    <ZoomButtons class="closer" :zoom="zoom" markable />
  </div>
</template>

<style scoped>
.chart {
  position: relative;
  min-height: 0;
  overflow: hidden;
}
svg {
  position: absolute;
  inset: 0;
  display: block;
  touch-action: none;
  cursor: crosshair;
}
svg:focus-visible {
  outline-offset: -3px;
}
.closer {
  position: absolute;
  top: 2px;
  left: 62px;
}
.axis-hold {
  fill: transparent;
  cursor: ew-resize;
}
.marking {
  fill: var(--blue);
  opacity: 0.14;
}
.grid line {
  stroke: var(--hair);
}
.grid .tick {
  stroke: var(--ink-3);
}
.grid text {
  font-size: var(--s1);
  fill: var(--ink-2);
}
.wait-area {
  fill: var(--bench);
  opacity: 0.75;
}
.wait text {
  paint-order: stroke;
  stroke: var(--bench);
  stroke-width: 4px;
  font-size: var(--s1);
  fill: var(--ink-2);
}
.timing {
  stroke: var(--heat);
  stroke-width: 1.4;
  stroke-dasharray: 8 4;
}
.target {
  stroke: var(--cool);
  stroke-width: 1.2;
}
.intake {
  fill: none;
  stroke: var(--heat);
  stroke-width: 2.2;
}
.extra {
  fill: none;
  stroke-width: 1;
}
.extra.heat {
  stroke: var(--heat);
  opacity: 0.7;
}
.extra.cool {
  stroke: var(--cool);
}
.extra.ink {
  stroke: var(--ink-2);
}
.extra-label {
  fill: var(--ink-2);
}
.extra-label.cool {
  fill: var(--cool-text);
}
.extra-label.heat {
  fill: var(--heat-text);
}
.band {
  fill: var(--heat);
  opacity: 0.14;
}
.cold {
  fill: none;
  stroke: var(--cool);
  stroke-width: 1.4;
}
.ghost {
  fill: none;
  stroke: var(--ink-3);
  stroke-width: 1.4;
  stroke-dasharray: 4 3.5;
}
.halo {
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
  stroke-linejoin: round;
  font-size: var(--s1);
}
.timing-label {
  fill: var(--heat-text);
  font-weight: 600;
}
.target-label,
.cold-label {
  fill: var(--cool-text);
  font-weight: 600;
}
.intake-label {
  fill: var(--heat-text);
  font-weight: 700;
  font-size: var(--s2);
}
.ghost-label {
  fill: var(--ink-2);
  font-size: var(--s2);
}
.cursor line {
  stroke: var(--blue);
  stroke-width: 1.2;
}
.cursor rect {
  fill: var(--blue);
}
.cursor text {
  font-size: var(--s2);
  font-weight: 700;
  fill: var(--on-blue);
}
.dot {
  fill: var(--heat);
  stroke: var(--sheet);
  stroke-width: 2;
}
.ghost-dot {
  fill: var(--ink-3);
  stroke: var(--sheet);
  stroke-width: 2;
}
</style>
