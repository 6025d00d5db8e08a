<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { computed } from 'vue'
import type { SoakView } from '../api/client'
import { figure, spoken } from '../quantity/catalogue'
import { clock } from '../quantity/time'
import { useSettings } from '../settings/store'
import { RAIL, STRIP_HEIGHT } from './strip'
import type { timeAxis } from '../plot/timeAxis'

/** The duty under a trace: road speed, boost, ice left, and when fan, pump and chiller work; in words at the cursor. */
const props = defineProps<{
  trace: SoakView['trace']
  axis: ReturnType<typeof timeAxis>
  left: number
  right: number
  top: number
  keyAt: number
  at: number
  cursor: number
  /** Name of the clip that lines end at. */
  clip: string
}>()
const settings = useSettings()
const bottom = computed(() => props.top + STRIP_HEIGHT)

const speed = computed(() => {
  const s = scaleLinear()
    .domain([0, Math.max(...props.trace.roadSpeed_km_h, 1)])
    .range([bottom.value, props.top])
  return line<number>()
    .x((_, i) => props.axis.x(props.trace.time_s[i]!))
    .y((v) => s(v))(props.trace.roadSpeed_km_h)!
})
const boost = computed(() => {
  const s = scaleLinear()
    .domain([0, Math.max(...props.trace.boost_kPa, ...(falls.value.some(Boolean) ? props.trace.askedBoost_kPa : []), 1)])
    .range([bottom.value, props.top])
  const start = `M${props.axis.x(0)} ${bottom.value}`
  const steps = props.trace.time_s.map((t, i) => `L${props.axis.x(t).toFixed(1)} ${s(Math.max(props.trace.boost_kPa[i]!, 0)).toFixed(1)}`).join('')
  return `${start}${steps}L${props.axis.x(props.trace.time_s.at(-1)!)} ${bottom.value}Z`
})
const NAMES = { FAN: 'fan', PUMP: 'pump', CHILLER: 'chiller' } as const
/** When fan, pump and chiller work: a rail each, named, filled while on. */
const rails = computed(() =>
  props.trace.switches.map((s, k) => {
    const y = bottom.value + 8 + RAIL * k
    const bars: { x: number; width: number }[] = []
    let from = 0
    s.on.forEach((on, i) => {
      const begins = i === 0 ? 0 : props.trace.time_s[i - 1]!
      if (on && !s.on[i - 1]) from = begins
      if (on && !s.on[i + 1]) bars.push({ x: props.axis.x(from), width: Math.max(props.axis.x(props.trace.time_s[i]!) - props.axis.x(from), 1) })
    })
    const twice = props.trace.switches.filter((o) => o.kind === s.kind).length > 1
    return {
      ...s,
      y,
      bars,
      name: twice ? `${NAMES[s.kind]} ${props.trace.switches.slice(0, k + 1).filter((o) => o.kind === s.kind).length}` : NAMES[s.kind],
    }
  }),
)
/** What was asked for, where the blower gives less. */
const falls = computed(() => props.trace.askedBoost_kPa.map((asked, i) => props.trace.running[i]! && asked - props.trace.boost_kPa[i]! > 1))
const asked = computed(() => {
  if (!falls.value.some(Boolean)) return ''
  const s = scaleLinear()
    .domain([0, Math.max(...props.trace.boost_kPa, ...props.trace.askedBoost_kPa, 1)])
    .range([bottom.value, props.top])
  return (
    line<number>()
      .defined((_, i) => falls.value[i]!)
      .x((_, i) => props.axis.x(props.trace.time_s[i]!))
      .y((v) => s(Math.max(v, 0)))(props.trace.askedBoost_kPa) ?? ''
  )
})
/** Ice left, full height at its most. */
const ice = computed(() => {
  const most = Math.max(...props.trace.ice_kg, 0)
  if (most <= 0) return ''
  const s = scaleLinear().domain([0, most]).range([bottom.value, props.top])
  return (
    line<number>()
      .x((_, i) => props.axis.x(props.trace.time_s[i]!))
      .y((v) => s(v))(props.trace.ice_kg) ?? ''
  )
})
/** Water and cooling air at the cursor. */
const coldMoment = computed(() => {
  const c = props.trace.cold
  if (!c) return ''
  const air = `face air ${spoken(c.air_m_s[props.at]!, 'm_s', settings.units)}`
  const chiller = c.chiller_kW[props.at]! > 0.005 ? ` · chiller ${spoken(c.chiller_kW[props.at]!, 'kW', settings.units)}` : ''
  return c.byWater
    ? `water ${spoken(c.water_L_min[props.at]!, 'L_min', settings.units)}${c.air_m_s.some((v) => v > 0) ? ` · ${air}` : ''}${chiller}`
    : air
})
const moment = computed(() => {
  const t = props.trace
  const i = props.at
  const left = t.ice_kg.some((kg) => kg > 0) ? `ice ${spoken(t.ice_kg[i]!, 'kg', settings.units)} · ` : ''
  return t.running[i]
    ? `${left}road ${spoken(t.roadSpeed_km_h[i]!, 'km_h', settings.units)} · boost ${spoken(t.boost_kPa[i]!, 'kPa', settings.units, settings.units === 'us' ? 1 : 0)}${falls.value[i] ? ` of ${figure(t.askedBoost_kPa[i]!, 'kPa', settings.units, settings.units === 'us' ? 1 : 0).figure} asked` : ''} · ${t.engineSpeed_rpm[i]!.toFixed(0)} rpm`
    : `${left}engine off`
})
</script>

<template>
  <g>
    <line class="base" :x1="left" :x2="right" :y1="bottom" :y2="bottom" />
    <g :clip-path="`url(#${clip})`">
      <path class="boost" :d="boost" />
      <path v-if="asked" class="asked" :d="asked" />
      <path v-if="ice" class="ice" :d="ice" />
      <path class="speed" :d="speed" />
    </g>
    <g v-for="r in rails" :key="r.kind + r.of" class="rail">
      <title>{{ NAMES[r.kind] }}, {{ r.of }}: {{ r.on[at] ? 'on' : 'off' }} at {{ clock(cursor) }}</title>
      <text :x="left - 9" :y="r.y + 8" text-anchor="end">{{ r.name }}</text>
      <line :x1="left" :x2="right" :y1="r.y + 5" :y2="r.y + 5" />
      <g :clip-path="`url(#${clip})`">
        <rect v-for="b in r.bars" :key="b.x" :class="r.kind.toLowerCase()" :x="b.x" :y="r.y" :width="b.width" height="9" />
      </g>
    </g>
    <g class="names">
      <line class="speed" :x1="left - 20" :x2="left - 6" :y1="top + 12" :y2="top + 12" />
      <text :x="left - 24" :y="top + 16" text-anchor="end">road</text>
      <rect class="boost" :x="left - 20" :y="top + 24" width="14" height="10" />
      <text :x="left - 24" :y="top + 33" text-anchor="end">boost</text>
    </g>
    <text v-if="ice || asked" class="key" :x="right" :y="keyAt" text-anchor="end" :dx="-70">{{
      [ice ? 'green line: ice left' : '', asked ? 'dashed: boost asked for' : ''].filter(Boolean).join(' · ')
    }}</text>
    <text class="moment halo" :x="left + 6" :y="top - 6"
      >{{ moment }}<tspan v-if="coldMoment"> · {{ coldMoment }}</tspan></text
    >
  </g>
</template>

<style scoped>
.boost {
  fill: var(--land);
}
.ice {
  fill: none;
  stroke: var(--cool);
  stroke-width: 1.8;
}
.asked {
  fill: none;
  stroke: var(--heat);
  stroke-width: 1.4;
  stroke-dasharray: 4 3;
}
.speed {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.1;
}
.base {
  stroke: var(--ink);
}
.names text {
  font-size: var(--s1);
  fill: var(--ink-2);
}
.rail text {
  font-size: var(--s1);
  fill: var(--ink-2);
}
.rail line {
  stroke: var(--hair);
}
.rail rect {
  fill: var(--ink-3);
}
.rail .pump {
  fill: var(--cool);
}
.rail .chiller {
  fill: var(--blue);
}
.moment {
  font-size: var(--s1);
  font-weight: 600;
  fill: var(--ink);
}
.key {
  font-size: var(--s1);
  fill: var(--ink-3);
}
.halo {
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
  stroke-linejoin: round;
}
</style>
