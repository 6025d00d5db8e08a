<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, useId } from 'vue'
import type { CoreView } from '../api/client'
import { temperatureColour } from '../chargeline/colour'
import type { CorePiece } from '../document/types'
import { figure, spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import { coreShape, type Rect } from './drawing'

/** The core to scale as seen from the front, with its depth beside it; turned the way its ports look. */
const props = defineProps<{ core: CorePiece; view?: CoreView }>()
const settings = useSettings()
const id = useId()
const box = ref<HTMLElement>()
const { width } = useElementSize(box)
const HEIGHT = 300
const GAP = 58
const EDGE = { left: 6, right: 62, top: 26, bottom: 36 }

const shape = computed(() => coreShape(props.core))
const level = computed(() => shape.value.level)
/** mm to px so that front, depth and figures all fit. */
const scale = computed(() => {
  const s = shape.value.whole
  const across = level.value ? s.w : s.w + props.core.depth_mm
  const down = level.value ? s.h + props.core.depth_mm : s.h
  const free = { w: width.value - EDGE.left - EDGE.right - (level.value ? 0 : GAP), h: HEIGHT - EDGE.top - EDGE.bottom - (level.value ? GAP : 0) }
  return Math.max(Math.min(free.w / across, free.h / down), 0.02)
})
const origin = computed(() => {
  const s = shape.value.whole
  const k = scale.value
  const across = (level.value ? s.w : s.w + props.core.depth_mm) * k + (level.value ? 0 : GAP)
  return { x: Math.max((width.value - EDGE.right - across) / 2, EDGE.left) - s.x * k, y: EDGE.top - s.y * k }
})
const px = (r: Rect) => ({
  x: origin.value.x + r.x * scale.value,
  y: origin.value.y + r.y * scale.value,
  width: r.w * scale.value,
  height: r.h * scale.value,
})
const block = computed(() => px(shape.value.block))
const whole = computed(() => px(shape.value.whole))
const tanks = computed(() => shape.value.tanks.map((t) => ({ ...px(t.rect), role: t.role })))
const ports = computed(() => shape.value.ports.map((p) => ({ ...px(p), role: p.role })))
/** The depth: seen from above under the front, or from the side beside it. */
const deep = computed(() => {
  const d = props.core.depth_mm * scale.value
  const b = whole.value
  return level.value ? { x: b.x, y: b.y + b.height + GAP, width: b.width, height: d } : { x: b.x + b.width + GAP, y: b.y, width: d, height: b.height }
})
const height = computed(() => (level.value ? deep.value.y + deep.value.height + 8 : whole.value.y + whole.value.height + EDGE.bottom))
const deepBlock = computed(() =>
  level.value ? { ...deep.value, x: block.value.x, width: block.value.width } : { ...deep.value, y: block.value.y, height: block.value.height },
)
const deepTanks = computed(() =>
  tanks.value.map((t) =>
    level.value ? { ...deep.value, x: t.x, width: t.width, role: t.role } : { ...deep.value, y: t.y, height: t.height, role: t.role },
  ),
)

const layers = computed(() => props.view?.geometry?.layers ?? Math.max(2, Math.round(props.core.height_mm / 15)))
const lines = computed(() => {
  const b = block.value
  const n = layers.value
  return Array.from({ length: n }, (_, i) => (i + 0.5) / n).map((s) =>
    level.value
      ? { x1: b.x, x2: b.x + b.width, y1: b.y + s * b.height, y2: b.y + s * b.height }
      : { y1: b.y, y2: b.y + b.height, x1: b.x + s * b.width, x2: b.x + s * b.width },
  )
})
const inT = computed(() => props.view?.chargeIn_C ?? 140)
const outT = computed(() => props.view?.chargeOut_C ?? 45)
const middleT = computed(() => outT.value + 0.3 * (inT.value - outT.value))
const tone = (role: string) => temperatureColour(role === 'in' ? inT.value : role === 'turn' ? middleT.value : outT.value)
/** Direction of the charge on the sheet for the gradients. */
const along = computed(() => {
  const side = props.core.inletTowards ?? 'right'
  return side === 'left'
    ? { x1: 0, x2: 1, y1: 0, y2: 0 }
    : side === 'right'
      ? { x1: 1, x2: 0, y1: 0, y2: 0 }
      : side === 'up'
        ? { x1: 0, x2: 0, y1: 0, y2: 1 }
        : { x1: 0, x2: 0, y1: 1, y2: 0 }
})
const back = computed(() => ({ x1: along.value.x2, x2: along.value.x1, y1: along.value.y2, y2: along.value.y1 }))
/** The first pass and the second, else the whole block. */
const halves = computed(() => {
  const b = block.value
  if (!shape.value.twoPass) return [b]
  const both = level.value
    ? [
        { ...b, height: b.height / 2 },
        { ...b, y: b.y + b.height / 2, height: b.height / 2 },
      ]
    : [
        { ...b, width: b.width / 2 },
        { ...b, x: b.x + b.width / 2, width: b.width / 2 },
      ]
  return shape.value.inletFirst ? both : both.reverse()
})
const way = computed(() => shape.value.way.map(([x, y]) => `${origin.value.x + x * scale.value},${origin.value.y + y * scale.value}`).join(' '))
const divider = computed(() => {
  const d = shape.value.divider
  const k = scale.value
  return d && { x1: origin.value.x + d.x1 * k, y1: origin.value.y + d.y1 * k, x2: origin.value.x + d.x2 * k, y2: origin.value.y + d.y2 * k }
})
const size = (mm: number) => {
  const f = figure(mm, 'mm', settings.units)
  return `${f.figure} ${f.unit}`
}
/** Dimension lines: along the block, across it, its depth, the whole. */
const dims = computed(() => {
  const b = block.value
  const w = whole.value
  const d = deep.value
  const s = props.core
  const bottom = w.y + w.height
  const right = w.x + w.width
  return level.value
    ? [
        { kind: 'h', a: b.x, b: b.x + b.width, at: bottom + 12, text: size(s.width_mm) },
        { kind: 'v', a: b.y, b: b.y + b.height, at: right + 10, text: size(s.height_mm) },
        { kind: 'v', a: d.y, b: d.y + d.height, at: right + 10, text: size(s.depth_mm) },
        { kind: 'h', a: w.x, b: w.x + w.width, at: w.y - 9, text: `${size(shape.value.whole.w)} over ports` },
      ]
    : [
        { kind: 'v', a: b.y, b: b.y + b.height, at: right + 10, text: size(s.width_mm) },
        { kind: 'h', a: b.x, b: b.x + b.width, at: bottom + 12, text: size(s.height_mm) },
        { kind: 'h', a: d.x, b: d.x + d.width, at: bottom + 12, text: size(s.depth_mm) },
        { kind: 'h', a: w.x, b: w.x + w.width, at: w.y - 9, text: `${size(shape.value.whole.h)} over ports` },
      ]
})
const coolant = computed(() => {
  const c = props.view
  if (!c) return ''
  const temperatures = `${figure(c.coldIn_C, 'C', settings.units, 0).figure} → ${spoken(c.coldOut_C, 'C', settings.units, 0)}`
  return c.cooledBy === 'air' ? `air ${spoken(c.faceSpeed_m_s, 'm_s', settings.units)}, ${temperatures}` : `water ${temperatures}`
})
</script>

<template>
  <div ref="box" class="box">
    <svg
      v-if="width > 0"
      :width="width"
      :height="height"
      role="img"
      :aria-label="`${core.name} to scale: ${size(core.width_mm)} along the charge, ${size(core.height_mm)} across, ${size(core.depth_mm)} deep, ports ${size(core.portBore_mm)}, inlet to the ${core.inletTowards ?? 'right'}`"
    >
      <defs>
        <linearGradient :id="`${id}-there`" v-bind="along">
          <stop offset="0" :stop-color="temperatureColour(inT)" />
          <stop offset="0.4" :stop-color="temperatureColour(shape.twoPass ? (inT + middleT) / 2 : (inT + 2 * outT) / 3)" />
          <stop offset="1" :stop-color="temperatureColour(shape.twoPass ? middleT : outT)" />
        </linearGradient>
        <linearGradient :id="`${id}-back`" v-bind="back">
          <stop offset="0" :stop-color="temperatureColour(middleT)" />
          <stop offset="1" :stop-color="temperatureColour(outT)" />
        </linearGradient>
        <pattern :id="`${id}-fins`" :width="level ? 5 : 7" :height="level ? 7 : 5" patternUnits="userSpaceOnUse">
          <path :d="level ? 'M0 7 L2.5 0 L5 7' : 'M7 0 L0 2.5 L7 5'" class="fin" />
        </pattern>
        <marker :id="`${id}-tip`" markerWidth="7" markerHeight="7" refX="5" refY="3.5" orient="auto">
          <path d="M0 0.5 L6 3.5 L0 6.5" class="tip" />
        </marker>
      </defs>
      <rect v-for="(p, i) in ports" :key="`p${i}`" :x="p.x" :y="p.y" :width="p.width" :height="p.height" :fill="tone(p.role)" class="edge" />
      <rect v-for="t in tanks" :key="t.role" :x="t.x" :y="t.y" :width="t.width" :height="t.height" :fill="tone(t.role)" class="edge" />
      <rect v-for="(h, i) in halves" :key="`h${i}`" v-bind="h" :fill="`url(#${id}-${i === 0 ? 'there' : 'back'})`" />
      <rect v-bind="block" :fill="`url(#${id}-fins)`" class="edge" />
      <line v-for="(l, i) in lines" :key="`l${i}`" v-bind="l" class="bar" />
      <line v-if="divider" v-bind="divider" class="divider" />
      <polyline :points="way" class="way" :marker-end="`url(#${id}-tip)`" />
      <rect v-for="t in deepTanks" :key="`d${t.role}`" :x="t.x" :y="t.y" :width="t.width" :height="t.height" :fill="tone(t.role)" class="edge" />
      <rect v-bind="deepBlock" :fill="`url(#${id}-there)`" class="edge" />
      <text class="caption" :x="level ? whole.x : deep.x" :y="deep.y - 7">{{ level ? 'from above' : 'from the side' }}</text>
      <g v-for="(d, i) in dims" :key="`m${i}`" class="dim">
        <template v-if="d.kind === 'h' && d.b - d.a > 2">
          <path :d="`M${d.a} ${d.at - 4} v8 M${d.b} ${d.at - 4} v8 M${d.a} ${d.at} H${d.b}`" />
          <text :x="(d.a + d.b) / 2" :y="d.at + (d.at < block.y ? -4 : 15)" text-anchor="middle">{{ d.text }}</text>
        </template>
        <template v-else>
          <path :d="`M${d.at - 4} ${d.a} h8 M${d.at - 4} ${d.b} h8 M${d.at} ${d.a} V${d.b}`" />
          <text :x="d.at + 7" :y="(d.a + d.b) / 2 + 4">{{ d.text }}</text>
        </template>
      </g>
    </svg>
    <p class="below"><slot /> ports {{ size(core.portBore_mm) }}{{ coolant ? ` · ${coolant}` : '' }}</p>
  </div>
</template>

<style scoped>
.box {
  min-width: 0;
  overflow: hidden;
}
svg {
  display: block;
}
.edge {
  stroke: var(--ink);
  stroke-width: 1;
}
.fin {
  fill: none;
  stroke: #13202a;
  stroke-opacity: 0.3;
  stroke-width: 0.6;
}
.bar {
  stroke: #13202a;
  stroke-opacity: 0.5;
  stroke-width: 0.8;
}
.divider {
  stroke: #13202a;
  stroke-width: 2.4;
}
.way {
  fill: none;
  stroke: #13202a;
  stroke-width: 1.4;
}
.tip {
  fill: none;
  stroke: #13202a;
  stroke-width: 1.2;
}
.dim path {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 0.8;
}
.below {
  display: flex;
  justify-content: center;
  gap: 14px;
  font-size: var(--s1);
  color: var(--ink-2);
}
.dim text,
.caption {
  font-size: var(--s1);
  fill: var(--ink-2);
}
</style>
