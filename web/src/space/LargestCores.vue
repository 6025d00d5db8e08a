<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { api, type LargestAnswer, type LargestCore } from '../api/client'
import { useBuild, type Asked } from '../build/store'
import { at, type Edit } from '../document/edit'
import { ofKind } from '../document/pieces'
import type { Obstacle, Stand } from '../document/types'
import { change, spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import Notice from '../ui/Notice.vue'
import NumberField from '../ui/NumberField.vue'
import Tick from '../ui/Tick.vue'
import type { Point } from './elevation'
import { shifted } from './room'
import { GOES, stood, stops } from './ways'

/** The largest core that passes where one stands, each way to stand it, and what it would gain by moving what can be moved. */
const props = defineProps<{ place: string; name: string }>()
/** The place that must lie in it, and whether a press in the drawing tells it; the core's own where nothing is told. */
const pointing = defineModel<boolean>('pointing', { required: true })
const pointed = defineModel<Point | undefined>('pointed')
const build = useBuild()
const settings = useSettings()
const deepest = ref<number>()
/** Whether the air that is usual behind a core is asked as well. */
const airBehind = ref(true)
const cooledByAir = computed(() => {
  const own = at(build.document, `${build.optionAt}${props.place}`) as Stand | undefined
  return !!build.option && ofKind(build.option, 'core').some((c) => c.piece.name === own?.of && c.piece.cooledBy === 'air')
})
const found = shallowRef<LargestAnswer>()
const asked = shallowRef<Asked>()
const looking = ref(false)
const failed = ref('')
const stale = computed(() => looking.value || asked.value?.document !== build.document || asked.value?.letter !== build.letter)
let question: AbortController | undefined

watch([() => props.place, () => build.letter], () => {
  question?.abort()
  found.value = undefined
  deepest.value = undefined
})

const AXES = ['back', 'right', 'up'] as const
const where = () => (pointed.value ? { back_mm: pointed.value.back, right_mm: pointed.value.right, up_mm: pointed.value.up } : {})
function placeAt(axis: (typeof AXES)[number], value: number | undefined): void {
  const own = at(build.document, `${build.optionAt}${props.place}`) as Stand
  const from = pointed.value ?? { back: own.back_mm, right: own.right_mm, up: own.up_mm }
  pointed.value = value === undefined ? undefined : { ...from, [axis]: value }
}

async function look(): Promise<void> {
  question?.abort()
  const mine = (question = new AbortController())
  const about = { document: build.document!, letter: build.letter }
  looking.value = true
  failed.value = ''
  try {
    const answer = await api.largestCore(
      about.document,
      about.letter,
      props.place,
      { deepest_mm: deepest.value, airBehind: airBehind.value, ...where() },
      mine.signal,
    )
    if (mine !== question) return
    found.value = answer
    asked.value = about
  } catch (e) {
    if (mine === question && !mine.signal.aborted) failed.value = (e as Error).message
  } finally {
    if (mine === question) looking.value = false
  }
}

const us = computed(() => settings.units === 'us')
const size = (c: LargestCore) =>
  [c.width_mm, c.height_mm, c.depth_mm].map((v) => spoken(Math.floor(v + 1e-6), 'mm', settings.units).replace(/ .*$/, '')).join(' × ')
const kelvin = (c: LargestCore) =>
  c.worst_K == null ? (c.why ? 'no answer' : '') : `${change(c.worst_K, 'K', settings.units, 1) || '0'} ${us.value ? '°F' : '°C'}`
const loss = (c: LargestCore) => (c.loss_kPa == null ? '' : `${change(c.loss_kPa, 'kPa', settings.units, 2) || '0'} ${us.value ? 'psi' : 'kPa'}`)
const more = (c: LargestCore) => `${c.more_pct < 0 ? '−' : '+'}${Math.abs(c.more_pct).toFixed(0)} %`

async function tryIt(core: LargestCore, also: Edit[] = [], how = ''): Promise<void> {
  const words = `${size(core)} ${stood(core)}${how}`
  await build.addOption(words.slice(0, 60), core.edits, `option from ${build.letter}: ${props.name} ${words}`, asked.value, also)
}

type Moved = LargestAnswer['moved'][number]
const movedWords = (m: Moved) => (m.way == null ? `${m.name} out of the way` : `${m.name} ${spoken(m.by_mm, 'mm', settings.units)} ${GOES[m.way]}`)
const cost = (m: Moved) => [m.hours ? `${m.hours} h` : '', m.price ? m.price.toFixed(0) : '', m.words].filter(Boolean).join(', ')
function tryMoved(m: Moved): void {
  const index = Number(m.place.replace(/.*\//, ''))
  const obstacle = (at(asked.value!.document, '/room/obstacles') as Obstacle[])[index]!
  const row = `/room/obstacles/#${obstacle.id}`
  const by = { back: 0, right: 0, up: 0 }
  if (m.way === 'FORWARDS' || m.way === 'REARWARDS') by.back = m.way === 'REARWARDS' ? m.by_mm : -m.by_mm
  if (m.way === 'LEFT' || m.way === 'RIGHT') by.right = m.way === 'RIGHT' ? m.by_mm : -m.by_mm
  if (m.way === 'UP' || m.way === 'DOWN') by.up = m.way === 'UP' ? m.by_mm : -m.by_mm
  void tryIt(m.core, m.way == null ? [{ row, out: true }] : shifted(row, obstacle, by), `, ${movedWords(m)}`)
}
</script>

<template>
  <div class="largest">
    <h3>The largest core that passes here</h3>
    <div class="line">
      <NumberField
        part="core"
        name="depth_mm"
        pointer=""
        label="no deeper than"
        :of="name"
        :shown="deepest"
        :set="(v: number | undefined) => (deepest = v)"
        optional
        empty="as it is"
      />
      <NumberField
        v-for="axis in AXES"
        :key="axis"
        part="room/place"
        :name="`${axis}_mm`"
        pointer=""
        :label="`at, ${axis}`"
        :of="`${name} largest`"
        :shown="pointed?.[axis]"
        :set="(v: number | undefined) => placeAt(axis, v)"
        optional
        empty="its own"
      />
      <Tick v-if="cooledByAir" label="free air behind it" :on="airBehind" @turn="airBehind = $event" />
      <button type="button" class="act" :aria-pressed="pointing" @click="pointing = !pointing">
        {{ pointing ? 'press it in two views' : 'press a place' }}
      </button>
      <button type="button" class="act" :disabled="looking" @click="look">{{ looking ? 'looking' : found ? 'look again' : 'look for it' }}</button>
    </div>
    <Notice v-if="failed" :says="failed" />
    <template v-if="found">
      <p v-if="!found.places.length" class="fine">
        None passes: {{ pointed ? 'that place' : 'the middle of the core as it stands' }} is nearer to something than asked{{
          cooledByAir && airBehind ? ', or has too little free air behind it' : ''
        }}.
      </p>
      <table v-else class="figures">
        <thead>
          <tr>
            <th scope="col">stood</th>
            <th scope="col">block, {{ us ? 'in' : 'mm' }}</th>
            <th scope="col">core</th>
            <th scope="col">worst, duty</th>
            <th scope="col">loss</th>
            <th scope="col" class="left">stopped by</th>
            <th><span class="hidden-words">try</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="c in found.places" :key="stood(c)">
            <th scope="row">{{ stood(c) }}</th>
            <td>{{ size(c) }}</td>
            <td>{{ more(c) }}</td>
            <td :class="(c.worst_K ?? 0) < 0 ? 'better' : 'worse'">{{ kelvin(c) }}</td>
            <td>{{ loss(c) }}</td>
            <td class="left why">
              {{ stops(c) || 'nothing near' }}{{ c.certain ? '' : ' (a larger one may pass)'
              }}<template v-if="c.why">. {{ c.why.sentence }}</template>
            </td>
            <td>
              <button v-if="c.edits.length" type="button" class="act" :disabled="stale" :aria-label="`Try: ${size(c)} ${stood(c)}`" @click="tryIt(c)">
                Try
              </button>
            </td>
          </tr>
          <tr v-for="m in found.moved" :key="m.place">
            <th scope="row">
              {{ movedWords(m) }}<span class="why">{{ stood(m.core) }}; {{ cost(m) }}</span>
            </th>
            <td>{{ size(m.core) }}</td>
            <td>{{ more(m.core) }}</td>
            <td :class="(m.core.worst_K ?? 0) < 0 ? 'better' : 'worse'">{{ kelvin(m.core) }}</td>
            <td>{{ loss(m.core) }}</td>
            <td class="left why">
              {{ stops(m.core) || 'nothing near' }}<template v-if="m.core.why">. {{ m.core.why.sentence }}</template>
            </td>
            <td>
              <button
                v-if="m.core.edits.length"
                type="button"
                class="act"
                :disabled="stale"
                :aria-label="`Try: ${movedWords(m)}`"
                @click="tryMoved(m)"
              >
                Try
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="cooledByAir && airBehind && found.places.length" class="fine">
        Each has free air behind its whole face; take that tick away to see what passes without.
      </p>
      <p class="fine">
        With the tanks and ports of this one, to the gaps asked, standing and moved. Priced with the air or water that reaches it now: a core that
        faces another way needs its own. What is moved is moved for every option.
      </p>
    </template>
  </div>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 22px;
}
.act {
  min-height: 24px;
}
td {
  font-weight: 600;
}
th[scope='row'] {
  white-space: normal;
  font-weight: 600;
}
.figures .left {
  text-align: left;
}
.why {
  font-size: var(--s1);
  font-weight: 400;
  color: var(--ink-2);
  white-space: normal;
}
th .why {
  display: block;
}
.fine {
  padding-top: 4px;
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
