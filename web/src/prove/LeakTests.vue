<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { api, type LeakPlan, type StepView } from '../api/client'
import { useLookedUp } from '../build/lookedUp'
import { useBuild } from '../build/store'
import { ofKind } from '../document/pieces'
import type { BuildOption, LeakReading, LeakRecordSide, LeakTest } from '../document/types'
import { figure, spoken } from '../quantity/catalogue'
import { clock } from '../quantity/time'
import { useSettings } from '../settings/store'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import Notice from '../ui/Notice.vue'
import TextField from '../ui/TextField.vue'
import { say } from '../verdict/say'
import { byPart, onPaper, print } from './steps'
import ReadGauge from './ReadGauge.vue'
import StepParts from './StepParts.vue'
import { today } from './today'

/** Leak tests of the build: how hard it may be pumped up and what is stored in it first, then the readings and what they come to. */
const build = useBuild()
const settings = useSettings()
const tests = computed(() => build.document?.leakTests ?? [])
const chosen = ref<string>()
const test = computed(() => tests.value.find((t) => t.id === chosen.value) ?? tests.value.at(-1))
const index = computed(() => (test.value ? tests.value.indexOf(test.value) : -1))
const at = computed(() => `/leakTests/#${test.value!.id}`)
const SIDES: Record<LeakRecordSide, string> = { charge: 'boosted side', water: 'water side' }
/** The cores of an option whose water is a loop of its own. */
const loopsOf = (option: BuildOption | undefined) => (option ? ofKind(option, 'core').flatMap((c) => (c.piece.water ? [c.piece.name] : [])) : [])
const sideOf = (t: { side: LeakRecordSide; loop?: string }) => (t.loop ? `water side of the ${t.loop}` : SIDES[t.side])
const named = (t: LeakTest) => `${sideOf(t)}, ${t.option}${t.on ? `, ${t.on}` : ''}`
const loops = computed(() => loopsOf(build.option))
/** Those the test may be of; none where there is nothing to choose. */
const choices = computed(() => {
  const t = test.value
  if (t?.side !== 'water') return []
  const all = loopsOf(build.document!.options.find((o) => o.letter === t.option))
  return all.length > 1 || (t.loop && !all.includes(t.loop)) ? all : []
})

type Answer = { view: LeakPlan } | { fault: string }
const { found } = useLookedUp<Answer>(
  () => test.value?.id,
  (document, _, dropped) =>
    index.value < 0
      ? Promise.resolve([])
      : api.leakTest(document, index.value, dropped).then(
          (view) => [{ view }],
          (e: unknown) => {
            if (dropped.aborted) throw e
            return [{ fault: (e as Error).message }]
          },
        ),
  300,
  true,
)
const plan = computed(() => (found.value[0] && 'view' in found.value[0] ? found.value[0].view : undefined))
const fault = computed(() => (found.value[0] && 'fault' in found.value[0] ? found.value[0].fault : ''))
const words = (s: StepView) => say(s, build.catalogue!.sentences, settings.units)
const parts = computed(() => byPart(plan.value?.steps ?? [], words))
const result = computed(() => parts.value.filter((p) => p.part === 'RESULT'))
const before = computed(() => parts.value.filter((p) => ['BEWARE', 'CAPS'].includes(p.part)))
const after = computed(() => parts.value.filter((p) => ['DO', 'SOAP'].includes(p.part)))
/** Nobody reads a gauge before the caps are strapped. */
const strapped = ref(false)
watch(
  () => test.value?.id,
  () => (strapped.value = false),
)
const reading = computed(() => strapped.value || (test.value?.readings.length ?? 0) > 0)
const failed = ref('')

async function make(side: LeakRecordSide, loop?: string): Promise<void> {
  const made: LeakTest = {
    id: `l${Date.now().toString(36)}`,
    side,
    option: build.letter,
    ...(loop ? { loop } : {}),
    by: tests.value.at(-1)?.by ?? '',
    on: today(),
    gaugeError_kPa: tests.value.at(-1)?.gaugeError_kPa ?? 0.5,
    soaped: '',
    readings: [],
  }
  if (!build.document!.leakTests) await build.act([{ pointer: '/leakTests', value: [made] }], `leak test of the ${sideOf(made)}`)
  else await build.act([{ list: '/leakTests', put: made, behind: tests.value.at(-1)?.id ?? null }], `leak test of the ${sideOf(made)}`)
  chosen.value = made.id
}
async function add(): Promise<void> {
  const rows = test.value!.readings
  const last = rows.at(-1)
  const row: LeakReading = {
    id: `r${Date.now().toString(36)}`,
    time_s: last ? last.time_s + 30 : 0,
    gauge_kPa: last?.gauge_kPa ?? Math.round(plan.value?.test_kPa ?? 100),
    air_C: last?.air_C ?? build.document!.climate.airTemperature_C,
  }
  await build.act([{ list: `${at.value}/readings`, put: row, behind: last?.id ?? null }], `reading at ${clock(row.time_s)}`)
  await nextTick()
  document.querySelector<HTMLInputElement>('.readings tbody tr:last-child td:nth-of-type(2) input')?.focus()
}
function takeOut(row: LeakReading): void {
  void build.act([{ row: `${at.value}/readings/#${row.id}`, out: true }], `reading at ${clock(row.time_s)} taken out`)
}
function takeOutTest(): void {
  void build.act([{ row: at.value, out: true }], `leak test of the ${sideOf(test.value!)} taken out`)
}
async function fromFile(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  failed.value = ''
  try {
    const { readings } = await api.leakReadings(file)
    await build.act(
      [
        {
          pointer: `${at.value}/readings`,
          value: readings.map((r, i) => ({ ...r, air_C: r.air_C ?? build.document!.climate.airTemperature_C, id: `f${i}` })),
        },
        { pointer: `${at.value}/gauge`, value: undefined },
      ],
      `readings from ${file.name}`,
    )
  } catch (e) {
    failed.value = (e as Error).message
  }
}
const COLUMNS = ['time_s', 'gauge_kPa', 'air_C'] as const
function head(key: (typeof COLUMNS)[number]): string {
  const field = build.catalogue!.field('leakTest/reading', key)
  return `${field.label}, ${build.catalogue!.shownUnit(field, settings.units).symbol}`
}
async function paper(): Promise<void> {
  const t = test.value!
  const rows = t.readings.map((r) => [
    clock(r.time_s),
    figure(r.gauge_kPa, 'kPa', settings.units, 2).figure,
    figure(r.air_C, 'C', settings.units).figure,
  ])
  const sections = onPaper([...before.value, ...after.value])
  failed.value = await print(
    {
      title: `Leak test of the ${sideOf(t)}`,
      under: `${build.document!.name}, option ${t.option}. ${[t.by, t.on].filter(Boolean).join(', ')}`,
      sections: [
        ...sections,
        {
          heading: t.gauge ? `Readings, ${t.gauge}` : 'Readings',
          ticked: false,
          lines: [],
          table: [COLUMNS.map(head), ...(rows.length ? rows : Array.from({ length: 8 }, () => ['______', '______', '______']))],
        },
        ...onPaper(result.value),
        ...(t.soaped ? [{ heading: 'Found', ticked: false, lines: [t.soaped] }] : []),
      ],
      signed: true,
    },
    `${build.document!.name} leak test`,
  )
}
</script>

<template>
  <div class="leaks">
    <div class="which">
      <nav v-if="tests.length" aria-label="Leak tests">
        <button
          v-for="t in tests"
          :key="t.id"
          type="button"
          :class="{ on: t === test }"
          :aria-current="t === test ? 'true' : undefined"
          @click="chosen = t.id"
        >
          {{ named(t) }}
        </button>
      </nav>
      <button type="button" class="act" @click="make('charge')">Try the boosted side</button>
      <template v-if="loops.length > 1">
        <button v-for="l in loops" :key="l" type="button" class="act" @click="make('water', l)">Try the water side of the {{ l }}</button>
      </template>
      <button v-else-if="loops.length" type="button" class="act" @click="make('water')">Try the water side</button>
    </div>
    <p v-if="!test" class="none">
      No leak test yet. The boosted side is shut, pumped up and watched: what is stored in it then, what pushes at each cap, where to put soap first,
      and what share of the engine's air a falling gauge means.
    </p>
    <template v-else>
      <Notice v-if="fault" :says="fault" />
      <div class="result" role="group" aria-label="What the test comes to">
        <p
          v-for="(l, i) in result[0]?.lines ?? []"
          :key="l.text"
          :class="{ first: i === 0, worse: l.kind.endsWith('TOO_MUCH') || l.kind === 'LEAK_OVER' }"
        >
          {{ l.text }}
        </p>
        <p v-if="plan && !result.length" class="first">
          Up to {{ spoken(plan.test_kPa, 'kPa', settings.units, 0) }}, {{ plan.energy_J.toFixed(0) }} J: a 1 kg hammer dropped from
          {{ spoken(plan.hammer_m, 'm', settings.units) }}.
        </p>
      </div>
      <div class="both">
        <div>
          <StepParts :parts="before" />
          <p v-if="plan && !reading" class="ends">
            <button type="button" class="act" @click="strapped = true">Every cap is strapped: take readings</button>
          </p>
          <StepParts v-if="reading" :parts="after" />
        </div>
        <div>
          <h3>The test</h3>
          <ChoiceField v-if="choices.length" label="loop" :pointer="`${at}/loop`" :choices="choices" :fallback="choices[0]" of="leak test" />
          <TextField label="Made by" :pointer="`${at}/by`" :longest="80" />
          <TextField label="On" :pointer="`${at}/on`" :longest="40" />
          <NumberField part="leakTest" name="rated_kPa" :pointer="`${at}/rated_kPa`" optional empty="not known" of="leak test" />
          <NumberField
            part="leakTest"
            name="volume_L"
            :pointer="`${at}/volume_L`"
            optional
            :empty="plan ? spoken(plan.volume_L, 'L', settings.units) : 'by its pieces'"
            of="leak test"
          />
          <NumberField part="leakTest" name="barometer_kPa" :pointer="`${at}/barometer_kPa`" optional empty="by the Brief" of="leak test" />
          <NumberField part="leakTest" name="gaugeError_kPa" :pointer="`${at}/gaugeError_kPa`" of="leak test" />
          <template v-if="reading">
            <h3>
              Readings<template v-if="test.gauge">, {{ test.gauge }}</template>
            </h3>
            <ReadGauge :test="test" :at="at" />
            <table v-if="test.readings.length" class="figures readings">
              <thead>
                <tr>
                  <th v-for="c in COLUMNS" :key="c" scope="col">{{ head(c) }}</th>
                  <th><span class="hidden-words">Change rows</span></th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="(r, i) in test.readings" :key="r.id">
                  <td v-for="c in COLUMNS" :key="c">
                    <NumberField part="leakTest/reading" :name="c" :pointer="`${at}/readings/#${r.id}/${c}`" :of="`reading ${i + 1}`" bare />
                  </td>
                  <td class="way">
                    <button type="button" class="act" :aria-label="`Take out reading ${i + 1}`" @click="takeOut(r)">take out</button>
                  </td>
                </tr>
              </tbody>
            </table>
            <p class="ends">
              <button type="button" class="act" @click="add">Add a reading</button>
              <label class="act file">Readings from a file<input type="file" accept=".csv,.txt,text/csv" @change="fromFile" /></label>
            </p>
          </template>
          <TextField label="Found" :pointer="`${at}/soaped`" :longest="200" />
          <Notice v-if="failed" :says="failed" />
          <p class="ends">
            <button type="button" class="act" :disabled="!plan" @click="paper">On paper, to sign</button>
            <button type="button" class="act" @click="takeOutTest">Take this test out</button>
          </p>
        </div>
      </div>
    </template>
  </div>
</template>

<style scoped>
.which {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  padding-top: 10px;
}
nav {
  display: flex;
  flex: 1;
  gap: 4px 20px;
  overflow-x: auto;
}
nav button {
  padding: 2px 0 4px;
  color: var(--blue);
  white-space: nowrap;
}
nav .on {
  color: var(--ink);
  font-weight: 700;
  box-shadow: inset 0 -2px var(--ink);
}
.none {
  max-width: 640px;
  padding: 18px 0;
  color: var(--ink-2);
}
.result {
  padding-top: 10px;
}
.result p {
  padding: 1px 0;
}
.result .first {
  font-weight: 600;
  font-size: var(--s4);
}
.both {
  display: grid;
  grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
  gap: 36px;
}
h3 {
  margin: 0;
  padding: 16px 0 4px;
  font-size: var(--s2);
  font-weight: 600;
  color: var(--ink-2);
}
.readings {
  width: 100%;
}
.readings th {
  text-align: right;
}
.way {
  width: 76px;
  text-align: right;
}
.ends {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 22px;
  padding-top: 12px;
}
.file {
  cursor: pointer;
}
.file input {
  position: absolute;
  width: 1px;
  height: 1px;
  opacity: 0;
}
.file:focus-within {
  outline: 2px solid var(--blue);
  outline-offset: 2px;
}
@media (max-width: 1100px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
    gap: 4px;
  }
}
</style>
