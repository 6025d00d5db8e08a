<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, Offline, type ComparedView, type OptionAnswer, type Starter } from '../api/client'
import { useBuild } from '../build/store'
import { blockText } from '../core/size'
import { blowerTypeWords, coolingMethodWords, usualBlower, type BlowerType, type CoolingMethod, type NewJobDocument } from '../document/types'
import { useJob } from '../jobs/job'
import { sizeText } from '../pipes/size'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import HomeBar from '../shell/HomeBar.vue'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import { say, told } from '../verdict/say'
import SmallRidge from './SmallRidge.vue'
import Notice from '../ui/Notice.vue'

/** Five things that anybody knows of a job; beside them what comes of it, and what every other way of cooling would. */
const router = useRouter()
const build = useBuild()
const settings = useSettings()
const job = ref<NewJobDocument>()
/** What was made of the answers that stand there now. */
const made = shallowRef<Starter>()
const answer = shallowRef<OptionAnswer>()
const duties = shallowRef<Starter['duties']>([])
const failure = ref('')
const opening = ref(false)
const { job: comparison, start: compare, cancel } = useJob('methods')
/** Sent twice, it is kept once. */
const uid = crypto.randomUUID()
let question = new AbortController()

const METHODS = coolingMethodWords.filter((m) => m !== 'injection on top')
const oneTwo = [
  { value: '1', label: 'one' },
  { value: '2', label: 'two, side by side' },
]
const types = blowerTypeWords.map((type) => ({ value: type, label: usualBlower[type].name }))
const duty = computed(() => duties.value.find((d) => d.name === job.value?.duty))
const headline = computed(() => {
  const verdict = answer.value?.soak?.verdict
  return verdict && build.catalogue ? told(verdict.findings, 'HEADLINE', build.catalogue.sentences, settings.units) : ''
})
/** A wish that the blower cannot fulfil is told before anything is opened. */
const limited = computed(() => answer.value?.steady?.notes.find((n) => n.kind === 'BLOWER_LIMITED'))
const holds = computed(() => answer.value?.soak?.verdict.outcome === 'HOLDS')
const lines = computed(() => new Map((comparison.value?.methods ?? []).filter((m) => m.method).map((m) => [m.name, m as ComparedView])))

/** What it is built of so far, each to be corrected. */
const parts = computed(() => {
  const steady = answer.value?.steady
  const option = made.value?.document.options[0]
  if (!steady || !option) return []
  const list = [
    { name: 'air at full load', text: spoken(steady.flow_kg_s, 'kg_s', settings.units) },
    { name: 'out of the blower', text: spoken(hottest(steady.stations), 'C', settings.units, 0) },
    { name: 'lost from filter to plenum', text: spoken(steady.totalLoss_kPa, 'kPa', settings.units) },
  ]
  for (const piece of option.path) {
    if (piece.kind === 'pipe') list.push({ name: piece.name, text: sizeText(piece, settings.units) })
    if (piece.kind === 'core') list.push({ name: `${piece.name}, ${piece.construction}`, text: blockText(piece, settings.units) })
  }
  return list
})

const hottest = (stations: { temperature_C: number }[]) => Math.max(...stations.map((s) => s.temperature_C))

onMounted(async () => {
  document.title = 'New build - Enthalpa'
  await guarded(async () => {
    const [usual] = await Promise.all([api.starter(), build.ready()])
    duties.value = usual.duties
    job.value = usual.job
  })
})

const work = useDebounceFn(async () => {
  if (!job.value) return
  const mine = question
  await guarded(async () => {
    const starter = await api.starter(job.value!, mine.signal)
    if (mine !== question) return
    const [first] = (await api.preview(starter.document, undefined, undefined, mine.signal)).answers
    if (mine !== question) return
    made.value = starter
    answer.value = first
    duties.value = starter.duties
    void compare(starter.bare, starter.bare.options[0]!.letter, { every: true })
  }, mine)
}, 250)

watch(
  job,
  () => {
    question.abort()
    question = new AbortController()
    made.value = undefined
    void work()
  },
  { deep: true },
)

async function guarded(act: () => Promise<void>, mine?: AbortController): Promise<void> {
  if (mine === undefined || mine === question) failure.value = ''
  try {
    await act()
  } catch (e) {
    if (mine !== undefined && mine !== question) return
    failure.value =
      e instanceof Offline
        ? 'The Enthalpa server does not answer; your answers stay here. Start it again (./enthalpa demo or serve), then press Ask again.'
        : (e as Error).message
  }
}

async function open(): Promise<void> {
  const starter = made.value
  if (!starter || opening.value) return
  opening.value = true
  cancel()
  await guarded(async () => {
    const kept = await api.create(JSON.stringify(starter.document), uid, 'new build')
    await router.push({ name: 'brief', params: { id: kept.id } })
  })
  opening.value = false
}

function figures(method: CoolingMethod): string {
  const l = lines.value.get(method)
  if (!l) return ''
  return l.worst_C == null ? 'no answer' : spoken(l.worst_C, 'C', settings.units, 0)
}
</script>

<template>
  <div class="sheet">
    <HomeBar away />
    <main>
      <h1>New build</h1>
      <div v-if="job && build.catalogue" class="columns">
        <form @submit.prevent="open">
          <section>
            <h2>What engine?</h2>
            <NumberField part="engine" name="displacement_L" pointer="" :shown="job.displacement_L" :set="(v) => (job!.displacement_L = v!)" />
            <NumberField
              part="engine"
              name="maxSpeed_rpm"
              pointer=""
              label="revs to"
              :shown="job.maxSpeed_rpm"
              :set="(v) => (job!.maxSpeed_rpm = v!)"
            />
          </section>
          <section>
            <h2>What blower?</h2>
            <ChoiceField label="blower" pointer="" :choices="types" :shown="job.blower" :pick="(v) => (job!.blower = v as BlowerType)" />
            <ChoiceField label="how many" pointer="" :choices="oneTwo" :shown="String(job.blowers)" :pick="(v) => (job!.blowers = Number(v))" />
          </section>
          <section>
            <h2>How much boost?</h2>
            <NumberField part="option" name="boost_kPa" pointer="" :shown="job.boost_kPa" :set="(v) => (job!.boost_kPa = v!)" />
          </section>
          <section>
            <h2>For how long?</h2>
            <ChoiceField label="duty" pointer="" :choices="duties.map((d) => d.name)" :shown="job.duty" :pick="(v) => (job!.duty = v)" />
            <p class="says">{{ duty?.says }}</p>
          </section>
          <fieldset>
            <legend>Cooled how?</legend>
            <p class="head"><span>smallest that keeps it cool</span><span>worst intake</span><span>weighs</span><span>costs</span></p>
            <label v-for="m in METHODS" :key="m" :class="{ on: job.cooled === m }">
              <input v-model="job.cooled" type="radio" name="cooled" :value="m" />
              <span>{{ m }}</span>
              <b :class="lines.get(m) && (lines.get(m)!.meets ? 'HOLDS' : 'PULLS_TIMING')">{{ figures(m) }}</b>
              <span class="num">{{ lines.get(m) ? spoken(lines.get(m)!.mass_kg, 'kg', settings.units) : '' }}</span>
              <span class="num">{{ lines.get(m) ? `${lines.get(m)!.price.toFixed(0)} ${settings.currency}` : '' }}</span>
            </label>
          </fieldset>
        </form>
        <section class="answer" aria-live="polite">
          <h2>What comes of it</h2>
          <div class="ridge">
            <SmallRidge v-if="answer?.steady && made" :steady="answer.steady" :path="made.document.options[0]!.path" />
          </div>
          <p v-if="failure" class="failure" role="alert">{{ failure }} <button type="button" class="act" @click="work()">Ask again</button></p>
          <template v-else-if="made && answer">
            <p v-if="answer.fault" class="verdict PULLS_TIMING">{{ answer.fault.sentence }}</p>
            <p v-else class="verdict" :class="holds ? 'HOLDS' : 'PULLS_TIMING'">{{ headline }}</p>
            <p v-if="limited" class="worse">{{ say(limited, build.catalogue.sentences, settings.units) }}</p>
            <p class="lead">
              On {{ made.document.duty.name }} at {{ spoken(made.document.climate.airTemperature_C, 'C', settings.units, 0) }} outside, to stay under
              {{ spoken(made.document.targets.intake_C, 'C', settings.units, 0) }}. Pipes, core and all else are usual ones: correct them on the next
              pages.
            </p>
          </template>
          <p v-else class="lead">Being worked out.</p>
          <dl v-if="made && !failure" class="lines">
            <div v-for="p in parts" :key="p.name">
              <dt>{{ p.name }}</dt>
              <dd>{{ p.text }}</dd>
            </div>
          </dl>
          <button type="button" class="open" :disabled="!made || opening" @click="open">Open this build</button>
        </section>
      </div>
      <Notice v-else-if="failure" :says="failure" />
    </main>
  </div>
</template>

<style scoped>
h1 {
  padding-bottom: 14px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(420px, 1fr) minmax(380px, 1fr);
  gap: 56px;
  align-items: start;
}
form {
  columns: 2 200px;
  column-gap: 34px;
}
form section {
  break-inside: avoid;
  padding-bottom: 18px;
}
h2,
legend {
  font-size: var(--s3);
  font-weight: 700;
  padding: 0 0 3px;
  color: var(--ink-2);
}
fieldset {
  column-span: all;
  margin: 0;
  padding: 0;
  border: 0;
}
.says {
  padding: 6px 0;
  color: var(--ink-2);
}
label,
.head {
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr) 92px 74px 74px;
  align-items: baseline;
  min-height: 34px;
  padding: 7px 6px 7px 0;
  border-bottom: 1px solid var(--hair);
}
.head {
  grid-template-columns: minmax(0, 1fr) 92px 74px 74px;
  min-height: 0;
  padding-block: 2px;
  font-size: var(--s1);
  color: var(--ink-2);
}
.head span:not(:first-child),
label b,
.num {
  text-align: right;
}
.num {
  color: var(--ink-2);
}
label.on {
  font-weight: 700;
}
label input {
  appearance: none;
  align-self: center;
  width: 12px;
  height: 12px;
  margin: 0;
  border: 1px solid var(--ink-2);
}
label input:checked {
  border-color: var(--blue);
  background: var(--blue);
}
.HOLDS {
  color: var(--cool-text);
}
.PULLS_TIMING {
  color: var(--heat-text);
}
.answer {
  display: grid;
  gap: 10px;
}
.ridge {
  height: 110px;
}
.verdict {
  font-size: var(--s4);
  font-weight: 700;
  font-stretch: 92%;
  line-height: 1.25;
}
.lead {
  color: var(--ink-2);
  max-width: 60ch;
}
.failure {
  font-weight: 600;
  color: var(--heat-text);
}
.open {
  justify-self: start;
  margin-top: 8px;
  padding: 12px 22px;
  font-size: var(--s3);
  font-weight: 700;
  color: var(--sheet);
  background: var(--blue);
}
.open:disabled {
  background: var(--rule);
  color: var(--ink-3);
}
@media (max-width: 1100px) {
  .columns {
    grid-template-columns: minmax(0, 1fr) minmax(300px, 0.8fr);
    gap: 34px;
  }
}
</style>
