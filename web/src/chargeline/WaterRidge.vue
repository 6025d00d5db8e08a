<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { area, line } from 'd3-shape'
import { computed } from 'vue'
import type { SteadyView } from '../api/client'
import { change, figure, spoken } from '../quantity/catalogue'
import { clock } from '../quantity/time'
import { useSettings } from '../settings/store'
import { temperatureColour } from './colour'
import type { PieceShape } from './geometry'

/** The water loop as a second, colder ridge under the core: from the tank through the core, warm to the radiator, cold back. */
const props = defineProps<{ steady: SteadyView; ghost?: SteadyView; pieces: PieceShape[]; wide: number; top: number; folded?: boolean }>()
const settings = useSettings()

const core = computed(() => props.steady.core!)
const index = computed(() => Number(core.value.place.slice('/path/'.length)))
const loop = computed(() => props.steady.loops.find((l) => l.place === core.value.place))
/** What takes the heat in the end, in the words under the ridge. */
const sink = computed(() => {
  const l = loop.value
  if (!l) return { title: '', rest: '' }
  if (l.open) return { title: 'overboard', rest: spoken(l.heat_kW, 'kW', settings.units) }
  if (l.iceLasts_s != null) return { title: 'ice tank', rest: `${spoken(l.ice_kW, 'kW', settings.units)} · ice for ${clock(l.iceLasts_s)}` }
  if (l.rise_K_min > 0)
    return { title: 'tank', rest: `${spoken(l.heat_kW, 'kW', settings.units)} · warms ${spoken(l.rise_K_min, 'K', settings.units)} a minute` }
  if (!l.radiator) return { title: 'chiller', rest: spoken(l.chiller_kW, 'kW', settings.units) }
  return {
    title: 'radiator',
    rest: `${spoken(l.radiator.heat_kW, 'kW', settings.units)} · face air ${spoken(l.radiator.faceSpeed_m_s, 'm_s', settings.units)}`,
  }
})
const place = computed(() => {
  const piece = props.pieces[index.value]!
  const end = props.pieces.at(-1)!.x1
  const radiator = Math.min(piece.x1 + 210, end - 250)
  return {
    tank: Math.max(piece.x0 - 190, 62),
    in: piece.x0,
    out: piece.x1,
    radiator,
    back: Math.min(radiator + 130, end - 110),
    end: Math.min(radiator + 240, end),
  }
})
const y = computed(() =>
  scaleLinear()
    .domain([core.value.coldIn_C, Math.max(core.value.coldOut_C, core.value.coldIn_C + 4)])
    .range([props.top + 34, props.top + 10]),
)
const HALF = 5
/** What takes the heat is written over the band where the figure of the water that comes out stands under it. */
const crowded = computed(() => (place.value.radiator + place.value.back) / 2 < place.value.out + 160)

const points = computed(() => {
  const { tank, in: inlet, out, radiator, back, end } = place.value
  const cold = core.value.coldIn_C
  const warm = core.value.coldOut_C
  const back0 = loop.value?.open ? warm : cold
  const list: { x: number; t: number }[] = [{ x: tank, t: cold }]
  for (let k = 0; k <= 20; k++) list.push({ x: inlet + (k / 20) * (out - inlet), t: cold + ((warm - cold) * k) / 20 })
  for (let k = 0; k <= 20; k++) {
    const s = k / 20
    list.push({ x: radiator + s * (back - radiator), t: warm + (back0 - warm) * s * s * (3 - 2 * s) })
  }
  list.push({ x: end, t: back0 })
  return list
})
const body = computed(() =>
  area<{ x: number; t: number }>()
    .x((d) => d.x)
    .y0((d) => y.value(d.t) + HALF)
    .y1((d) => y.value(d.t) - HALF)(points.value)!,
)
const upper = computed(() =>
  line<{ x: number; t: number }>()
    .x((d) => d.x)
    .y((d) => y.value(d.t) - HALF)(points.value)!,
)
const lower = computed(() =>
  line<{ x: number; t: number }>()
    .x((d) => d.x)
    .y((d) => y.value(d.t) + HALF)(points.value)!,
)
const stops = computed(() => {
  const { tank, end } = place.value
  return points.value.map((p) => ({ offset: (p.x - tank) / (end - tank), colour: temperatureColour(p.t) }))
})

const figures = computed(() => {
  const was = props.ghost?.core?.cooledBy === 'water' ? props.ghost.core : undefined
  const one = (x: number, t: number, before: number | undefined, name: string) => {
    const delta = before === undefined ? 0 : t - before
    return {
      x,
      y: y.value(t),
      figure: `${figure(t, 'C', settings.units).figure}°`,
      delta: change(delta, 'K', settings.units),
      better: delta < 0,
      name,
    }
  }
  return [
    one(place.value.in, core.value.coldIn_C, was?.coldIn_C, 'water in'),
    one(place.value.out, core.value.coldOut_C, was?.coldOut_C, 'water out'),
  ]
})
</script>

<template>
  <text v-if="folded" class="water name" x="62" :y="top + 14">
    <tspan class="title">water {{ spoken(loop?.flow_L_min ?? 0, 'L_min', settings.units) }}</tspan>
    <template v-for="f in figures" :key="f.name">
      <tspan dx="14">{{ f.name }}</tspan>
      <tspan class="big" dx="5">{{ f.figure }}</tspan>
      <tspan v-if="f.delta" dx="4" class="delta" :class="f.better ? 'better' : 'worse'">{{ f.delta }}</tspan>
    </template>
    <tspan class="title" dx="14">{{ sink.title }}</tspan>
    <tspan dx="5">{{ sink.rest }}</tspan>
  </text>
  <g v-else class="water" pointer-events="none">
    <defs>
      <linearGradient id="water-fill"><stop v-for="(s, i) in stops" :key="i" :offset="s.offset" :stop-color="s.colour" /></linearGradient>
    </defs>
    <path :d="body" fill="url(#water-fill)" />
    <path class="wall" :d="upper" />
    <path class="wall" :d="lower" />
    <g v-for="f in figures" :key="f.name">
      <line class="plumb" :x1="f.x" :x2="f.x" :y1="top - 6" :y2="f.y" />
      <text :x="f.x + 6" :y="f.name === 'water in' ? f.y + 22 : f.y + 24">
        <tspan class="big">{{ f.figure }}</tspan>
        <tspan v-if="f.delta" dx="4" class="delta" :class="f.better ? 'better' : 'worse'">{{ f.delta }}</tspan>
        <tspan class="name" dx="5">{{ f.name }}</tspan>
      </text>
    </g>
    <text class="name" :x="place.tank" :y="y(core.coldIn_C) - 10">
      <tspan class="title">water {{ spoken(loop?.flow_L_min ?? 0, 'L_min', settings.units) }}</tspan>
    </text>
    <text class="name" :x="(place.radiator + place.back) / 2 + 12" :y="y(core.coldOut_C) + (loop?.open || crowded ? -9 : 4)">
      <tspan class="title">{{ sink.title }}</tspan> {{ sink.rest }}
    </text>
  </g>
</template>

<style scoped>
.wall {
  fill: none;
  stroke: var(--ink);
  stroke-width: 0.8;
}
.plumb {
  stroke: var(--rule);
}
text {
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}
.big {
  font-size: var(--s3);
  font-weight: 700;
  font-stretch: 112%;
  fill: var(--ink);
}
.delta {
  font-size: var(--s1);
  font-weight: 700;
}
.name {
  font-size: var(--s1);
  fill: var(--ink-2);
}
.title {
  font-size: var(--s2);
  font-weight: 500;
  fill: var(--ink);
}
</style>
