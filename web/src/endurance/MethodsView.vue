<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { computed, ref, watch } from 'vue'
import type { ComparedView } from '../api/client'
import { useBuild } from '../build/store'
import JobProgress from '../jobs/JobProgress.vue'
import { useJob } from '../jobs/job'
import { freeLetter } from '../document/edit'
import { axisTicks, figure, spoken } from '../quantity/catalogue'
import { clock, span } from '../quantity/time'
import { useSettings } from '../settings/store'
import { timeAxis } from '../plot/timeAxis'

/** Every option and every method of cooling on the same duty, one plot and one table; a method that is not there yet is sized by default. */
const build = useBuild()
const settings = useSettings()
const { job, failed, running, progress, start, cancel } = useJob('methods')
const picked = ref<string>()
const box = ref<HTMLElement>()
const { width } = useElementSize(box)

watch(
  () => [build.document, build.letter],
  () => void start(build.document!, build.letter),
  { immediate: true },
)

const lines = computed(() =>
  ((job.value?.methods ?? []) as ComparedView[])
    .map((m) => ({ ...m, id: m.letter ?? m.method!, title: m.letter ? `${m.letter} ${m.name}` : m.name }))
    .sort((a, b) => Number(b.meets) - Number(a.meets) || (a.worst_C ?? 999) - (b.worst_C ?? 999)),
)
const H = 226
const LEFT = 62
const BOTTOM = 26
const right = computed(() => Math.max(width.value - 28, 300))
const first = computed(() => lines.value[0])
const axis = computed(() =>
  first.value
    ? timeAxis(
        first.value.time_s,
        first.value.intake_C.map((t) => t != null),
        LEFT,
        right.value,
      )
    : undefined,
)
const y = computed(() => {
  const all = lines.value.flatMap((l) => l.intake_C.filter((t): t is number => t != null))
  const t = build.document!.targets
  return scaleLinear()
    .domain([Math.min(...all, t.intake_C) - 2, Math.max(...all, t.timingPull_C) + 3])
    .nice(5)
    .range([H - BOTTOM, 8])
})
const ticks = computed(() =>
  axisTicks(y.value.domain()[0]!, y.value.domain()[1]!, 5, 'C', settings.units).map((t) => ({ y: y.value(t.value), label: t.label })),
)
const marked = computed(() => picked.value ?? build.letter)

function path(l: { time_s: number[]; intake_C: (number | null)[] }): string {
  return line<number | null>()
    .defined((t) => t != null)
    .x((_, i) => axis.value!.x(l.time_s[i]!))
    .y((t) => y.value(t!))(l.intake_C)!
}

/** The name of the marked line stands where it is highest, clear of the edges. */
const label = computed(() => {
  const l = lines.value.find((m) => m.id === marked.value)
  if (!l || !axis.value) return undefined
  const i = l.intake_C.reduce((best, t, k) => (t != null && (l.intake_C[best] == null || t > l.intake_C[best]!) ? k : best), 0)
  return {
    text: l.title,
    x: Math.min(Math.max(axis.value.x(l.time_s[i]!), LEFT + 60), right.value - 60),
    y: Math.max(y.value(l.intake_C[i]!) - 8, 14),
  }
})

function nuisance(l: ComparedView): string {
  const parts: string[] = []
  if (l.iceToFetch_kg > 0) parts.push(`${spoken(l.iceToFetch_kg, 'kg', settings.units, 0)} of ice to fetch`)
  if (l.mixUsed_L > 0.005) parts.push(`${l.mixUsed_L.toFixed(l.mixUsed_L < 1 ? 2 : 1)} L of mix a duty`)
  if (l.cutsOut) parts.push('compressor drops out')
  if (l.condensed_g > 5) parts.push(`drips ${l.condensed_g.toFixed(0)} g inside`)
  if (l.method === 'AIR') parts.push('long pipes, clear face')
  return parts.join(', ')
}

const limit = (l: ComparedView) => (l.firstOverTarget_s == null ? 'never' : clock(l.firstOverTarget_s))

async function take(l: ComparedView): Promise<void> {
  const letter = freeLetter(build.document!.options)
  if (!letter || !l.option) return
  await build.putOption({ ...l.option, letter, name: l.name }, build.letter, `option ${letter}: ${l.name}, sized by default from ${build.letter}`)
}
</script>

<template>
  <div class="methods">
    <JobProgress v-if="running" what="Every method through the duty, sized until it keeps the target" :progress="progress" @cancel="cancel" />
    <p v-if="failed" class="worse said" role="alert">
      {{ failed }} <button type="button" class="act" @click="start(build.document!, build.letter)">Ask again</button>
    </p>
    <p v-else-if="!job" class="said">
      Cancelled. <button type="button" class="act" @click="start(build.document!, build.letter)">Compare every method</button>
    </p>
    <div v-if="lines.length && axis" ref="box" class="plot">
      <svg :width="width" :height="H" role="img" aria-label="Intake temperature of every option and method over the duty">
        <g class="grid">
          <template v-for="t in ticks" :key="t.label">
            <line :x1="LEFT" :x2="right" :y1="t.y" :y2="t.y" />
            <text :x="LEFT - 9" :y="t.y + 4" text-anchor="end">{{ t.label }}°</text>
          </template>
          <text v-for="(t, i) in axis.ticks" :key="i" :x="t.x" :y="H - 8" text-anchor="middle">{{ t.label }}</text>
        </g>
        <rect v-for="w in axis.waits" :key="w.x0" class="wait" :x="w.x0" :width="w.x1 - w.x0" y="8" :height="H - BOTTOM - 8" />
        <line class="timing" :x1="LEFT" :x2="right" :y1="y(build.document!.targets.timingPull_C)" :y2="y(build.document!.targets.timingPull_C)" />
        <line class="target" :x1="LEFT" :x2="right" :y1="y(build.document!.targets.intake_C)" :y2="y(build.document!.targets.intake_C)" />
        <path v-for="l in lines" :key="l.id" :class="{ marked: l.id === marked, option: l.letter }" :d="path(l)" />
        <path v-for="l in lines.filter((m) => m.id === marked)" :key="`m${l.id}`" class="marked" :d="path(l)" />
        <text v-if="label" class="label" :x="label.x" :y="label.y" text-anchor="middle">{{ label.text }}</text>
      </svg>
    </div>
    <div v-else-if="lines.length" ref="box" />
    <table v-if="lines.length" class="figures">
      <thead>
        <tr>
          <th scope="col">on {{ build.document!.duty.name }}</th>
          <th scope="col">worst, {{ figure(0, 'C', settings.units).unit }}</th>
          <th scope="col">over the target after</th>
          <th scope="col">loss, {{ figure(0, 'kPa', settings.units).unit }}</th>
          <th scope="col">mass, {{ figure(0, 'kg', settings.units).unit }}</th>
          <th scope="col">price, {{ settings.currency }}</th>
          <th scope="col" class="words">to live with</th>
          <th><span class="hidden-words">Take it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="l in lines" :key="l.id" :class="{ on: l.id === marked }" @pointerenter="picked = l.id" @pointerleave="picked = undefined">
          <th scope="row">{{ l.title }}</th>
          <td :class="l.meets ? 'better' : 'worse'">{{ l.worst_C == null ? '' : figure(l.worst_C, 'C', settings.units).figure }}</td>
          <td>{{ limit(l) }}</td>
          <td>{{ figure(l.loss_kPa, 'kPa', settings.units).figure }}</td>
          <td>{{ figure(l.mass_kg, 'kg', settings.units).figure }}</td>
          <td>{{ (Math.round(l.price / 10) * 10).toFixed(0) }}</td>
          <td class="words">{{ nuisance(l) }}</td>
          <td><button v-if="l.option" type="button" class="act" :aria-label="`Take ${l.title} as an option`" @click="take(l)">Take</button></td>
        </tr>
      </tbody>
    </table>
    <p v-if="lines.length" class="fine">
      Methods without a letter are sized by default: the smallest that keeps
      {{ spoken(build.document!.targets.intake_C, 'C', settings.units, 0) }} over {{ span(first!.time_s.at(-1)!) }}, or the size beyond which more
      hardly helps. Mass filled, prices of the invented catalogue, pipes left out. Whether it fits is yours to check.
    </p>
  </div>
</template>

<style scoped>
.methods {
  padding: 2px 28px 30px;
  overflow: auto;
}
.plot {
  margin: 0 -28px;
}
svg {
  display: block;
}
.grid line {
  stroke: var(--hair);
}
.grid text {
  font-size: var(--s1);
  fill: var(--ink-2);
}
.wait {
  fill: var(--bench);
  opacity: 0.75;
}
path {
  fill: none;
  stroke: var(--ink-3);
  stroke-width: 1;
  stroke-dasharray: 3 3;
}
path.option {
  stroke-dasharray: none;
}
path.marked {
  stroke: var(--heat);
  stroke-width: 2.2;
  stroke-dasharray: none;
}
.timing {
  stroke: var(--heat);
  stroke-width: 1.2;
  stroke-dasharray: 8 4;
}
.target {
  stroke: var(--cool);
  stroke-width: 1.2;
}
.label {
  font-size: var(--s2);
  font-weight: 700;
  fill: var(--heat-text);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}
td {
  font-weight: 600;
}
.figures .words {
  text-align: left;
  font-weight: 400;
  white-space: normal;
  color: var(--ink-2);
}
tr.on {
  background: color-mix(in srgb, var(--bench) 55%, transparent);
}
.said {
  padding: 10px 0;
}
.fine {
  padding-top: 8px;
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
