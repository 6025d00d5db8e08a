<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { extent } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { computed, ref } from 'vue'
import type { Channel, LogBand, LogCurves, Segment } from '../api/client'
import { axisTicks, spoken } from '../quantity/catalogue'
import { clock, span } from '../quantity/time'
import { useSettings } from '../settings/store'
import { timeAxis } from '../plot/timeAxis'
import { useTimePointer } from '../plot/pointer'
import type { useZoom } from '../plot/zoom'
import ZoomButtons from '../plot/ZoomButtons.vue'
import { useCurves } from './curves'
import { bandOf, middlesOf } from './band'
import { widened } from './logBand'
import LogDifference from './LogDifference.vue'
import LogLegend from './LogLegend.vue'
import LogStrip from './LogStrip.vue'

/** What a log measured and what is predicted for the same drive, on one time axis; the difference beneath, and what the engine did. */
const props = defineProps<{
  log: number
  length: number
  judged?: Channel
  band?: LogBand
  target: number
  timing: number
  segments: Segment[]
  also: { channel: Channel; name: string; tone: string }[]
  zoom: ReturnType<typeof useZoom>
}>()
const cursor = defineModel<number>('cursor', { required: true })
const settings = useSettings()
const box = ref<HTMLElement>()
const { width, height } = useElementSize(box)
const LEFT = 62
const TOP = 30
const OFF = 62
const STRIP = 46
const LEAST_PLOT = 150
const MOST_COLUMNS = 12_000
const right = computed(() => Math.max(width.value - 28, 300))
const bottom = computed(() => Math.max(height.value - (OFF + STRIP + 82), TOP + LEAST_PLOT))
const offTop = computed(() => bottom.value + 34)
const stripTop = computed(() => offTop.value + OFF + 18)
const window = computed(() => props.zoom.window.value ?? { from: 0, to: props.length })
const axis = computed(() => {
  const parts = props.segments.filter((s) => s.kind !== 'LAP')
  return timeAxis(
    [...parts.slice(0, -1).map((s) => s.to_s), props.length],
    parts.length ? parts.map((s) => s.kind !== 'OFF') : [true],
    LEFT,
    right.value,
    props.zoom.window.value,
  )
})
/** Long waits are drawn short: what lies between them is asked for as finely as it is drawn. */
const columns = computed(() => {
  if (width.value <= 0) return 0
  const inSight = window.value.to - window.value.from
  const waits = axis.value.waits.reduce((sum, w) => sum + w.seconds, 0)
  const short = axis.value.waits.reduce((sum, w) => sum + w.x1 - w.x0, 0)
  const px = Math.max(right.value - LEFT - short, 50)
  return Math.min(Math.ceil((px * inSight) / Math.max(inSight - waits, 1)), MOST_COLUMNS)
})
const shown = computed(() => [...(props.judged ? [{ channel: props.judged, name: '', tone: 'ink' }] : []), ...props.also])
const curves = useCurves(
  computed(() => props.log),
  window,
  columns,
  computed(() => [...shown.value.map((s) => s.channel), 'BOOST', 'MANIFOLD', 'THROTTLE']),
)

/** What was drawn for another window is drawn where it belongs in this one. */
const timeOf = (c: LogCurves) => (i: number) => c.from_s + ((i + 0.5) * (c.to_s - c.from_s)) / n(c)
const xOf = (c: LogCurves) => (i: number) => axis.value.x(timeOf(c)(i))
const n = (c: LogCurves) => Math.max(c.measured[0]?.low.length ?? 0, c.predicted[0]?.values.length ?? 0, 1)
const measured = (channel?: Channel) => curves.value?.measured.find((m) => m.channel === channel)
const predicted = (channel?: Channel) => curves.value?.predicted.find((m) => m.channel === channel)

/** Between which values what is predicted lies. */
const doubt = (channel?: Channel) => {
  const c = curves.value
  const p = predicted(channel)
  return c && channel && p ? widened(props.band, channel, p.values, timeOf(c)) : undefined
}

const y = computed(() => {
  const seen = [props.target, props.timing]
  for (const s of shown.value) {
    const m = measured(s.channel)
    const p = predicted(s.channel)
    const d = doubt(s.channel)
    for (const values of [m?.low, m?.high, p?.values, d?.low, d?.high]) for (const v of values ?? []) if (v != null) seen.push(v)
  }
  const [low = 0, high = 100] = extent(seen)
  return scaleLinear()
    .domain([low - 2, high + 4])
    .nice(6)
    .range([bottom.value, TOP])
})
const ticks = computed(() =>
  axisTicks(y.value.domain()[0]!, y.value.domain()[1]!, 6, 'C', settings.units).map((t) => ({ y: y.value(t.value), label: t.label })),
)

function curve(values: readonly (number | null | undefined)[] | undefined, scale: (v: number) => number): string {
  const c = curves.value
  if (!c || !values) return ''
  const x = xOf(c)
  return (
    line<number>()
      .defined((i) => values[i] != null)
      .x(x)
      .y((i) => scale(values[i]!))(values.map((_, i) => i)) ?? ''
  )
}

const drawn = computed(() => {
  const c = curves.value
  if (!c) return []
  return shown.value.map((s) => {
    const m = measured(s.channel)
    const middles = m ? middlesOf(m) : []
    const last = middles.findLastIndex((v) => v != null)
    return {
      ...s,
      doubt: bandOf(doubt(s.channel) ?? { low: [], high: [] }, xOf(c), y.value),
      band: m ? bandOf(m, xOf(c), y.value) : '',
      middle: curve(middles, y.value),
      predicted: curve(predicted(s.channel)?.values, y.value),
      labelY: last >= 0 ? y.value(middles[Math.round(last * 0.96)] ?? middles[last]!) - 6 : 0,
    }
  })
})

const off = computed(() => predicted(props.judged)?.off ?? [])

const boost = computed(() => {
  const m = measured('BOOST') ?? measured('MANIFOLD') ?? measured('THROTTLE')
  if (!m) return ''
  const [low = 0, high = 1] = extent(m.high.filter((v): v is number => v != null))
  return curve(
    m.high,
    scaleLinear()
      .domain([Math.min(low, 0), Math.max(high, 1)])
      .range([stripTop.value + STRIP - 12, stripTop.value]),
  )
})
/** Column of the curves under the cursor. */
const at = computed(() => {
  const c = curves.value
  if (!c) return -1
  const i = Math.floor(((cursor.value - c.from_s) / (c.to_s - c.from_s)) * n(c))
  return i >= 0 && i < n(c) ? i : cursor.value >= c.to_s ? n(c) - 1 : -1
})
const cursorX = computed(() => axis.value.x(cursor.value))
const readout = computed(() => {
  const m = measured(props.judged)
  const i = at.value
  if (!m || i < 0) return undefined
  const value = middlesOf(m)[i]
  const p = predicted(props.judged)?.values[i]
  return {
    measured: value == null ? '' : spoken(value, 'C', settings.units),
    predicted: p == null ? '' : spoken(p, 'C', settings.units),
  }
})
const labelAnchor = computed(() => (cursorX.value > right.value - 190 ? 'end' : 'start'))
const labelX = computed(() => cursorX.value + (labelAnchor.value === 'end' ? -8 : 8))

const { marking, move, down, up, twice, wheel, keys } = useTimePointer({
  box,
  axis,
  zoom: props.zoom,
  cursor,
  length: () => props.length,
  edges: () => ({ left: LEFT, right: right.value, axisTop: bottom.value, axisBottom: offTop.value - 4 }),
})
</script>

<template>
  <div ref="box" class="chart" :style="{ minHeight: `${TOP + LEAST_PLOT + OFF + STRIP + 82}px` }">
    <svg
      v-if="width > 0"
      :width="width"
      :height="Math.max(height, bottom + OFF + STRIP + 82)"
      role="slider"
      tabindex="0"
      aria-label="Time in the log"
      aria-valuemin="0"
      :aria-valuemax="Math.round(length)"
      :aria-valuenow="Math.round(cursor)"
      :aria-valuetext="`${clock(cursor)}${readout ? `, measured ${readout.measured || 'nothing'}, predicted ${readout.predicted || 'nothing'}` : ''}`"
      @pointerdown="down"
      @pointermove="move"
      @pointerup="up"
      @dblclick="twice"
      @wheel="wheel"
      @keydown="keys"
    >
      <clipPath id="log-plot"><rect :x="LEFT" y="0" :width="right - LEFT" :height="height + 400" /></clipPath>
      <g class="grid">
        <template v-for="t in ticks" :key="t.label">
          <line :x1="LEFT" :x2="right" :y1="t.y" :y2="t.y" />
          <text :x="LEFT - 9" :y="t.y + 4" text-anchor="end">{{ t.label }}°</text>
        </template>
        <template v-for="(t, i) in axis.ticks" :key="i">
          <line class="tick" :x1="t.x" :x2="t.x" :y1="bottom" :y2="bottom + 5" />
          <text :x="t.x" :y="bottom + 18" text-anchor="middle">{{ t.label }}</text>
        </template>
        <text :x="right" :y="bottom + 30" text-anchor="end">{{ axis.unit === 'of the duty' ? 'of the log' : axis.unit }}</text>
      </g>
      <rect v-for="w in axis.waits" :key="w.x0" class="wait" :x="w.x0" :width="w.x1 - w.x0" :y="TOP" :height="stripTop + STRIP - TOP" />
      <text v-for="w in axis.waits" :key="`t${w.x0}`" class="wait-label" :x="(w.x0 + w.x1) / 2" :y="bottom + 18" text-anchor="middle">
        {{ span(w.seconds) }}
      </text>
      <line class="timing" :x1="LEFT" :x2="right" :y1="y(timing)" :y2="y(timing)" />
      <line class="target" :x1="LEFT" :x2="right" :y1="y(target)" :y2="y(target)" />
      <g clip-path="url(#log-plot)">
        <path v-for="d in drawn" :key="`d${d.channel}`" class="doubt" :class="d.tone" :d="d.doubt" />
        <template v-for="d in drawn" :key="d.channel">
          <path class="peaks" :class="d.tone" :d="d.band" />
          <path class="measured" :class="d.tone" :d="d.middle" />
          <path class="predicted" :class="d.tone" :d="d.predicted" />
        </template>
      </g>
      <template v-for="d in drawn" :key="`n${d.channel}`">
        <text v-if="d.name" class="name" :class="d.tone" :x="right - 6" :y="d.labelY" text-anchor="end">{{ d.name }}</text>
      </template>
      <text class="line-label" :x="right - 5" :y="y(timing) - 4" text-anchor="end">timing line</text>
      <text class="line-label" :x="right - 5" :y="y(target) - 4" text-anchor="end">target</text>
      <LogLegend :left="LEFT" :predicted="!!predicted(judged)" :band="!!band" />
      <LogDifference :values="off" :x="curves ? xOf(curves) : () => 0" :left="LEFT" :right="right" :top="offTop" :high="OFF" clip="log-plot" />
      <LogStrip :segments="segments" :boost="boost" :axis="axis" :left="LEFT" :right="right" :top="stripTop" :high="STRIP" clip="log-plot" />
      <rect
        v-if="marking"
        class="marking"
        :x="Math.min(marking.from, marking.to)"
        :width="Math.abs(marking.to - marking.from)"
        :y="TOP"
        :height="stripTop + STRIP - TOP"
      />
      <g v-if="cursorX >= LEFT && cursorX <= right">
        <line class="cursor" :x1="cursorX" :x2="cursorX" :y1="TOP - 4" :y2="stripTop + STRIP" />
        <text v-if="readout" class="readout" :x="labelX" :y="TOP + 6" :text-anchor="labelAnchor">
          <tspan class="time">{{ clock(cursor) }}</tspan>
          <tspan v-if="readout.measured" dx="6">{{ readout.measured }}</tspan>
          <tspan v-if="readout.predicted" dx="6" class="quiet">predicted {{ readout.predicted }}</tspan>
        </text>
      </g>
    </svg>
    <ZoomButtons class="zoom" :zoom="zoom" markable />
  </div>
</template>

<style scoped>
.chart {
  position: relative;
  min-height: 0;
}
svg {
  display: block;
  touch-action: pan-y;
  cursor: crosshair;
}
.zoom {
  position: absolute;
  top: 3px;
  right: 28px;
}
.grid line {
  stroke: var(--hair);
}
.grid .tick {
  stroke: var(--ink-3);
}
.grid text {
  font-size: var(--s1);
  fill: var(--ink-3);
}
.wait {
  fill: var(--land);
  opacity: 0.6;
}
.wait-label {
  font-size: var(--s1);
  fill: var(--ink-3);
}
.line-label {
  font-size: var(--s1);
  fill: var(--ink-2);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}
.target {
  stroke: var(--ink-2);
}
.timing {
  stroke: var(--heat);
  stroke-dasharray: 2 3;
}
.measured {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
  stroke-linejoin: round;
}
.peaks {
  fill: var(--ink);
  opacity: 0.28;
}
.doubt {
  fill: var(--ink-3);
  opacity: 0.2;
}
.doubt.heat {
  fill: var(--heat);
}
.doubt.cool {
  fill: var(--cool);
}
.predicted {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 1.4;
  stroke-dasharray: 5 3.5;
}
.measured.heat,
.predicted.heat {
  stroke: var(--heat);
}
.measured.cool,
.predicted.cool {
  stroke: var(--cool);
}
.measured.plain,
.predicted.plain {
  stroke: var(--ink-3);
}
.peaks.heat {
  fill: var(--heat);
}
.peaks.cool {
  fill: var(--cool);
}
.peaks.plain {
  fill: var(--ink-3);
}
.name {
  font-size: var(--s1);
  font-weight: 600;
  fill: var(--ink-2);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}
.name.heat {
  fill: var(--heat-text);
}
.name.cool {
  fill: var(--cool-text);
}
.marking {
  fill: var(--blue);
  opacity: 0.14;
}
.cursor {
  stroke: var(--blue);
}
.readout {
  font-size: var(--s2);
  font-weight: 600;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}
.readout .time {
  fill: var(--blue);
}
.readout .quiet {
  font-weight: 400;
  fill: var(--ink-2);
}
</style>
