<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { SteadyView } from '../api/client'
import { temperatureColour } from '../chargeline/colour'
import type { CorePiece } from '../document/types'
import { figure, spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'

/** The core to scale, from the front and from above, with what passes through it. */
const props = defineProps<{ core: CorePiece; steady?: SteadyView }>()
const settings = useSettings()
const box = ref<HTMLElement>()
const { width } = useElementSize(box)
const HEIGHT = 236
/** End tanks as wide as a port and a half, drawn only. */
const tank = computed(() => props.core.portBore_mm * 1.1)

const scale = computed(() => {
  const across = props.core.width_mm + 2 * tank.value
  const down = props.core.height_mm + props.core.depth_mm
  return Math.min((width.value - 76) / across, (HEIGHT - 62) / down)
})
const front = computed(() => {
  const k = scale.value
  const w = props.core.width_mm * k
  const h = props.core.height_mm * k
  const t = tank.value * k
  const x = Math.max((width.value - 62 - w - 2 * t) / 2, 1)
  return { x, y: 8, w, h, t }
})
const above = computed(() => ({ ...front.value, y: front.value.y + front.value.h + 30, h: props.core.depth_mm * scale.value }))
const port = computed(() => props.core.portBore_mm * scale.value)
const rows = computed(() => Array.from({ length: Math.max(2, Math.round(props.core.height_mm / 14)) }, (_, i) => i))
const hot = computed(() => temperatureColour(props.steady?.stations[props.steady.core?.piece ?? 0]?.temperature_C ?? 140))
const cool = computed(() => temperatureColour(props.steady?.stations[(props.steady.core?.piece ?? 0) + 1]?.temperature_C ?? 45))
const size = (mm: number) => {
  const f = figure(mm, 'mm', settings.units)
  return `${f.figure} ${f.unit}`
}
const coolant = computed(() => {
  const c = props.steady?.core
  if (!c) return ''
  const temperatures = `${figure(c.coldIn_C, 'C', settings.units, 0).figure} → ${spoken(c.coldOut_C, 'C', settings.units, 0)}`
  return c.cooledBy === 'air' ? `face air ${spoken(c.faceSpeed_m_s, 'm_s', settings.units)}, ${temperatures}` : `water ${temperatures}`
})
</script>

<template>
  <div ref="box" class="box">
    <svg v-if="width > 0" :width="width" :height="HEIGHT" role="img" :aria-label="`Core to scale: ${size(core.width_mm)} wide, ${size(core.height_mm)} high, ${size(core.depth_mm)} deep`">
      <defs>
        <linearGradient id="core-charge"><stop offset="0" :stop-color="hot" /><stop offset="0.35" :stop-color="temperatureColour(70)" /><stop offset="1" :stop-color="cool" /></linearGradient>
        <pattern id="core-fins" width="5" height="7" patternUnits="userSpaceOnUse"><path d="M0 7 L2.5 0 L5 7" class="fin" /></pattern>
      </defs>
      <g v-for="(f, n) in [front, above]" :key="n">
        <rect :x="f.x" :y="f.y" :width="f.t" :height="f.h" :fill="hot" class="edge" />
        <rect :x="f.x + f.t + f.w" :y="f.y" :width="f.t" :height="f.h" :fill="cool" class="edge" />
        <rect :x="f.x + f.t" :y="f.y" :width="f.w" :height="f.h" fill="url(#core-charge)" class="edge" />
        <rect v-if="n === 0" :x="f.x + f.t" :y="f.y" :width="f.w" :height="f.h" fill="url(#core-fins)" />
        <template v-if="n === 0">
          <line v-for="i in rows" :key="i" :x1="f.x + f.t" :x2="f.x + f.t + f.w" :y1="f.y + (i / rows.length) * f.h" :y2="f.y + (i / rows.length) * f.h" class="bar" />
          <circle :cx="f.x + f.t / 2" :cy="f.y + f.h / 2" :r="Math.min(port / 2, f.t / 2 - 1)" class="port" />
          <circle :cx="f.x + f.t * 1.5 + f.w" :cy="f.y + f.h / 2" :r="Math.min(port / 2, f.t / 2 - 1)" class="port" />
        </template>
      </g>
      <g class="dim">
        <path :d="`M${front.x + front.t} ${front.y + front.h + 6} v8 M${front.x + front.t + front.w} ${front.y + front.h + 6} v8 M${front.x + front.t} ${front.y + front.h + 10} h${front.w}`" />
        <text :x="front.x + front.t + front.w / 2" :y="front.y + front.h + 24" text-anchor="middle">{{ size(core.width_mm) }}</text>
        <path :d="`M${front.x + front.w + 2 * front.t + 6} ${front.y} h8 M${front.x + front.w + 2 * front.t + 6} ${front.y + front.h} h8 M${front.x + front.w + 2 * front.t + 10} ${front.y} v${front.h}`" />
        <text :x="front.x + front.w + 2 * front.t + 16" :y="front.y + front.h / 2 + 4">{{ size(core.height_mm) }}</text>
        <path :d="`M${above.x + above.w + 2 * above.t + 6} ${above.y} h8 M${above.x + above.w + 2 * above.t + 6} ${above.y + above.h} h8 M${above.x + above.w + 2 * above.t + 10} ${above.y} v${above.h}`" />
        <text :x="above.x + above.w + 2 * above.t + 16" :y="above.y + above.h / 2 + 4">{{ size(core.depth_mm) }}</text>
        <text :x="above.x + above.t" :y="above.y + above.h + 17">{{ coolant }}</text>
      </g>
    </svg>
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
  stroke-opacity: 0.55;
  stroke-width: 0.8;
}
.port {
  fill: none;
  stroke: #13202a;
  stroke-width: 1.2;
}
.dim path {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 0.8;
}
.dim text {
  font-size: var(--s1);
  fill: var(--ink-2);
}
</style>
