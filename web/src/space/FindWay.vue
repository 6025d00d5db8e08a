<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import type { PipeWay, RunName, Taste } from '../api/client'
import { useBuild, type Asked } from '../build/store'
import { at, newIdentity, type Edit } from '../document/edit'
import type { Obstacle, Run } from '../document/types'
import JobProgress from '../jobs/JobProgress.vue'
import { useJob } from '../jobs/job'
import { bendsOf, inBends } from '../pipes/laid'
import { change, spoken } from '../quantity/catalogue'
import { span } from '../quantity/time'
import { useSettings } from '../settings/store'
import EitherOr from '../ui/EitherOr.vue'
import Notice from '../ui/Notice.vue'
import { say } from '../verdict/say'
import { cornersOf, isOf, ovalsOf, placeAt } from './run'
import type { Ghost } from './WayGhosts.vue'

/** Ways that a pipe or hose can take through the room, laid over it, compared, and taken with a press; where there is none why, and what opens one. */
const props = defineProps<RunName>()
const emit = defineEmits<{ ghosts: [ghosts: Ghost[]]; taken: []; done: [] }>()
const build = useBuild()
const settings = useSettings()
const TASTES: readonly { value: Taste; label: string }[] = [
  { value: 'LEAST_LOSS', label: 'least loss' },
  { value: 'FEWEST_JOINTS', label: 'fewest joints' },
  { value: 'CHEAPEST', label: 'cheapest' },
  { value: 'MOST_ROOM', label: 'most room' },
]
const taste = ref<Taste>('LEAST_LOSS')
const { job, failed, running, progress, start, cancel } = useJob('routes')
const asked = shallowRef<Asked>()
const picked = ref(0)
const stale = computed(() => asked.value?.document !== build.document || asked.value?.letter !== build.letter)

function look(): void {
  asked.value = { document: build.document!, letter: build.letter }
  picked.value = 0
  void start(asked.value.document, asked.value.letter, { of: props.of, loop: props.loop, taste: taste.value })
}
watch(() => [props.of, props.loop, build.letter], look)
function like(other: Taste): void {
  taste.value = other
  look()
}

const found = computed(() => job.value?.routes)
/** Each way with what must be changed for it, if anything. */
const rows = computed(() => [
  ...(found.value?.ways ?? []).map((way) => ({ way, how: '', moved: undefined })),
  ...(found.value?.opens ?? []).map((o) => ({ way: o.way, how: o.says, moved: o.moved })),
])
watch(
  [rows, picked],
  () =>
    emit(
      'ghosts',
      rows.value.map(({ way }, i) => ({ number: i + 1, parts: way.parts, picked: i === picked.value })),
    ),
  { immediate: true },
)
look()
onBeforeUnmount(() => emit('ghosts', []))
const sentences = computed(() => (found.value?.says ?? []).map((f) => say(f, build.catalogue!.sentences, settings.units)))

const mm = (v: number) => spoken(v, 'mm', settings.units)
const us = computed(() => settings.units === 'us')
const bends = (way: PipeWay) =>
  bendsOf(way.laid)
    .map((b) => `${Math.round(b.angle_deg)}°`)
    .join(' · ') || 'none'
const spare = (way: PipeWay) => (way.spare_mm == null ? 'nothing near' : spoken(way.spare_mm, 'mm', settings.units, 1))
const loss = (way: PipeWay) => (way.loss_kPa == null ? '' : `${change(way.loss_kPa, 'kPa', settings.units, 2) || '0'} ${us.value ? 'psi' : 'kPa'}`)
const kelvin = (way: PipeWay) => (way.worst_K == null ? '' : `${change(way.worst_K, 'K', settings.units, 1) || '0'} ${us.value ? '°F' : '°C'}`)
const seconds = (way: PipeWay) => (!way.longer_s ? '' : `${way.longer_s < 0 ? '−' : '+'}${span(Math.abs(way.longer_s))}`)
/** How long the target is kept is told where any way changes it. */
const keeps = computed(() => rows.value.some((r) => Math.abs(r.way.longer_s ?? 0) >= 0.5))

/** The run as it would be, or both of two tubes; its ends stay on what they are on. */
function edits(way: PipeWay, root: string, counted: Run[]): (Edit | { pointer: string; value?: unknown })[] {
  const runs = way.runs.flatMap((r): (Edit | { pointer: string; value?: unknown })[] => {
    const corners = cornersOf(r.corners)
    const ovals = ovalsOf(r.ovals)
    const at = counted.findIndex((was) => isOf(was, r))
    if (at >= 0) {
      const run = `${root}/runs/${root ? `#${counted[at]!.id}` : at}`
      return [
        { pointer: `${run}/corners`, value: corners },
        { pointer: `${run}/ovals`, value: ovals },
      ]
    }
    const ends = { ...(r.from_mm ? { from: placeAt(r.from_mm) } : {}), ...(r.to_mm ? { to: placeAt(r.to_mm) } : {}) }
    return [{ list: `${root}/runs`, put: { of: r.of, ...(r.loop ? { loop: r.loop } : {}), ...ends, corners, ovals, id: newIdentity() } }]
  })
  // Where two take the place of one, its own run is gone.
  const at = counted.findIndex((was) => isOf(was, props))
  const gone =
    !way.runs.some((r) => isOf(r, props)) && at >= 0 ? [{ row: `${root}/runs/${root ? `#${counted[at]!.id}` : at}`, out: true as const }] : []
  return [...runs, ...gone, ...way.pipe.map((e) => ({ pointer: `${root}${e.pointer}`, value: e.value as unknown }))]
}
const words = (i: number) =>
  `${props.of}${rows.value[i]!.way.runs.length > 1 ? ' as two' : ''} ${inBends(bendsOf(rows.value[i]!.way.laid).length)}, ${mm(rows.value[i]!.way.laid.length_mm)} long`
/** The obstacle that is out of the way then, for every option. */
function out(i: number): Edit[] {
  const place = rows.value[i]!.moved
  const obstacle = place && (at(asked.value!.document, place) as Obstacle | undefined)
  return obstacle ? [{ row: `/room/obstacles/#${obstacle.id}`, out: true }] : []
}
async function layIt(i: number): Promise<void> {
  const laid = edits(rows.value[i]!.way, build.optionAt, build.option?.runs ?? []) as Edit[]
  const done = await build.act([...out(i), ...laid], `laid: ${words(i)}`)
  if (done.done) emit('taken')
}
async function asOption(i: number): Promise<void> {
  const from = asked.value!.document.options.find((o) => o.letter === asked.value!.letter)
  const done = await build.addOption(
    words(i).slice(0, 60),
    edits(rows.value[i]!.way, '', from?.runs ?? []),
    `option from ${build.letter}: ${words(i)}`,
    asked.value,
    out(i),
  )
  if (done.done) emit('taken')
}
function leave(): void {
  cancel()
  emit('done')
}
</script>

<template>
  <div class="found">
    <p class="line">
      <span>ways for {{ of }}, by</span>
      <EitherOr of="what is liked best of a way" :choices="TASTES" :value="taste" @pick="like" />
      <button v-if="stale && !running" type="button" class="act" @click="look">look again: something changed since</button>
      <button type="button" class="act away" @click="leave">put away</button>
    </p>
    <JobProgress v-if="running" what="looking for ways; where it is narrow that takes a while" :progress="progress" @cancel="cancel" />
    <Notice v-if="failed" :says="failed" />
    <template v-if="found && !running">
      <p v-for="(s, i) in sentences" :key="i" :class="i === 0 ? 'worse' : 'fine'">{{ s }}</p>
      <table v-if="rows.length" class="figures">
        <thead>
          <tr>
            <th scope="col">way</th>
            <th scope="col">bends</th>
            <th scope="col">along its middle</th>
            <th scope="col">holds</th>
            <th scope="col">weighs</th>
            <th scope="col">loss</th>
            <th scope="col">worst, duty</th>
            <th v-if="keeps" scope="col">keeps</th>
            <th scope="col" class="left">least to spare of the gaps asked</th>
            <th><span class="hidden-words">take it</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(r, i) in rows" :key="i" :class="{ picked: i === picked }" @pointerenter="picked = i">
            <th scope="row">
              <button type="button" class="act" :aria-pressed="i === picked" @click="picked = i" @focus="picked = i">{{ i + 1 }}</button>
            </th>
            <td>{{ bends(r.way) }}</td>
            <td>{{ mm(r.way.laid.length_mm) }}</td>
            <td>{{ r.way.volume_L.toFixed(2) }} L</td>
            <td>{{ spoken(r.way.mass_kg, 'kg', settings.units, 2) }}</td>
            <td>{{ loss(r.way) }}</td>
            <td :class="(r.way.worst_K ?? 0) < 0 ? 'better' : ''">{{ kelvin(r.way) }}</td>
            <td v-if="keeps">{{ seconds(r.way) }}</td>
            <td class="left why">
              {{ spare(r.way) }}<template v-if="r.way.beside">, beside {{ r.way.beside }}</template
              ><template v-if="r.way.roomy">; looked for with more room</template><template v-if="r.how">. {{ r.how }}</template>
            </td>
            <td class="moves">
              <button type="button" class="act" :disabled="stale" :aria-label="`Lay way ${i + 1} in this option`" @click="layIt(i)">lay it so</button>
              <button type="button" class="act" :disabled="stale" :aria-label="`Way ${i + 1} as a new option`" @click="asOption(i)">
                as an option
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="rows.length" class="fine">
        Each is clear standing and moved, and checked again as it would be laid. Loss, worst intake and how long the target is kept are against the
        option as it stands.<template v-if="rows.some((r) => r.moved)"> What is out of the way is so for every option.</template>
      </p>
    </template>
  </div>
</template>

<style scoped>
.found {
  padding: 6px 0 6px 14px;
  margin: 8px 0;
  border-left: 2px solid var(--blue);
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  align-items: center;
  color: var(--ink-2);
}
.away {
  margin-left: auto;
}
.act {
  min-height: 24px;
  font-size: var(--s1);
}
td,
th {
  padding-block: 2px;
}
.figures .left {
  text-align: left;
}
.why {
  font-size: var(--s1);
  color: var(--ink-2);
  white-space: normal;
}
.picked td,
.picked th .act {
  font-weight: 600;
}
.picked .why {
  font-weight: 400;
}
.worse {
  padding: 4px 0;
  font-weight: 600;
  color: var(--heat-text);
}
.fine {
  padding-top: 4px;
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
