<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { api, type LogFinding, type SchoolCase, type SchoolGrade, type SchoolRecord } from '../api/client'
import { useBuild } from '../build/store'
import { useSettings } from '../settings/store'
import Notice from '../ui/Notice.vue'
import { say } from '../verdict/say'
import TraceLines from './TraceLines.vue'

/** Reading traces, for practice: a simulated drive with a hidden fault, what the reader takes it for, and what it was. */
type Level = SchoolCase['level']
const NOTHING = 'NOTHING'
const LEVELS: { level: Level; name: string; says: string }[] = [
  { level: 'EASY', name: 'Easy', says: 'a large fault, a sensor everywhere, and dashed what a healthy car shows' },
  { level: 'FAIR', name: 'Fair', says: 'a usual fault, sensors before and behind the core and in the water to it' },
  { level: 'HARD', name: 'Hard', says: 'a small fault, the intake and the weather alone' },
]
const build = useBuild()
const settings = useSettings()
const level = ref<Level>('EASY')
const shown = shallowRef<SchoolCase>()
const grade = shallowRef<SchoolGrade>()
const record = shallowRef<SchoolRecord>()
const cause = ref<string>()
const test = ref<string>()
const failed = ref('')
const busy = ref(false)
let ticket = 0

const words = (f: LogFinding) => say(f, build.catalogue!.sentences, settings.units)
const offered = computed(() => shown.value?.offered ?? [])
const nameOf = (suspect: string | null | undefined) =>
  suspect == null || suspect === NOTHING ? 'nothing is wrong' : (offered.value.find((o) => o.suspect === suspect)?.words ?? suspect.toLowerCase())
const ready = computed(() => cause.value === NOTHING || (cause.value !== undefined && test.value !== undefined))

async function next(to: Level = level.value): Promise<void> {
  level.value = to
  const mine = ++ticket
  failed.value = ''
  busy.value = true
  try {
    const made = await api.schoolCase(to)
    if (mine !== ticket) return
    shown.value = made
    grade.value = undefined
    cause.value = test.value = undefined
  } catch (e) {
    if (mine === ticket) failed.value = (e as Error).message
  } finally {
    if (mine === ticket) busy.value = false
  }
}
async function answer(): Promise<void> {
  const mine = ++ticket
  const asked = shown.value!
  failed.value = ''
  busy.value = true
  const named = (v: string | undefined) => (v === undefined || v === NOTHING ? undefined : (v as SchoolCase['offered'][number]['suspect']))
  try {
    const told = await api.schoolAnswer({
      level: asked.level,
      seed: asked.seed,
      cause: named(cause.value),
      test: cause.value === NOTHING ? undefined : named(test.value),
    })
    if (mine !== ticket) return
    grade.value = told
    await remember()
  } catch (e) {
    if (mine === ticket) failed.value = (e as Error).message
  } finally {
    if (mine === ticket) busy.value = false
  }
}
async function remember(): Promise<void> {
  try {
    record.value = await api.schoolRecord()
  } catch (e) {
    failed.value = (e as Error).message
  }
}
const score = (of: Level) => record.value?.scores.find((s) => s.level === of)
const verdict = computed(() => {
  const g = grade.value
  if (!g) return ''
  const was = nameOf(g.hidden)
  if (g.cause === 'RIGHT') return `Right: ${was}.`
  if (g.cause === 'AS_GOOD') return `It was another, ${was}; but this log does not tell the two apart. Half a point.`
  return `No: ${was}.`
})
const tested = computed(() => {
  const g = grade.value
  if (!g || g.hidden == null) return ''
  return g.test ? 'The first test finds it.' : 'Another test comes first:'
})
const says = computed(() => {
  const g = grade.value
  if (!g) return ''
  if (g.likeliest === g.hidden) return ''
  return g.likeliest == null ? 'The log itself would need no fault to explain it.' : `By the log alone ${nameOf(g.likeliest)} comes first.`
})
onMounted(() => {
  void remember()
  void next()
})
</script>

<template>
  <div class="school">
    <div class="levels" role="group" aria-label="How hard">
      <button
        v-for="l in LEVELS"
        :key="l.level"
        type="button"
        :class="{ on: l.level === level }"
        :aria-pressed="l.level === level"
        @click="next(l.level)"
      >
        {{ l.name }}
        <small v-if="score(l.level)?.cases">{{ score(l.level)!.points }} of {{ score(l.level)!.cases }}, tests {{ score(l.level)!.tests }}</small>
      </button>
      <span class="says">{{ LEVELS.find((l) => l.level === level)!.says }}</span>
    </div>
    <Notice v-if="failed" :says="failed"><button type="button" class="act" @click="next()">Ask again</button></Notice>
    <template v-if="shown">
      <p class="what">Simulated: {{ shown.car }}, {{ shown.option }}. One minute idling, three pulls, and idling again. Case {{ shown.seed }}.</p>
      <TraceLines label="Trace of the case" :time="shown.time_s" :curves="shown.curves" :target="shown.target_C" />
      <div class="both">
        <fieldset :disabled="!!grade || busy">
          <legend>What is wrong</legend>
          <label v-for="o in offered" :key="o.suspect"><input v-model="cause" type="radio" name="cause" :value="o.suspect" /> {{ o.words }}</label>
          <label><input v-model="cause" type="radio" name="cause" :value="NOTHING" /> nothing is wrong</label>
        </fieldset>
        <fieldset v-if="cause !== NOTHING" :disabled="!!grade || busy" class="tests">
          <legend>What would you do first</legend>
          <label v-for="o in offered" :key="o.suspect"
            ><input v-model="test" type="radio" name="test" :value="o.suspect" />
            {{ words(o.test).replace('First test: ', '').split('. ')[0] }}</label
          >
        </fieldset>
      </div>
      <p v-if="!grade" class="ends"><button type="button" class="act" :disabled="!ready || busy" @click="answer">That is it</button></p>
      <div v-else class="grade" role="group" aria-label="What it was">
        <p class="first" :class="{ fine: grade.cause === 'RIGHT', worse: grade.cause === 'WRONG' }">{{ verdict }}</p>
        <p v-if="says">{{ says }}</p>
        <p v-for="(l, i) in grade.lines.slice(0, -1)" :key="i">{{ words(l) }}</p>
        <p v-if="tested">
          {{ tested }} <template v-if="!grade.test">{{ words(grade.lines.at(-1)!).replace('First test: ', '') }}</template>
        </p>
        <p class="ends"><button type="button" class="act" :disabled="busy" @click="next()">Next case</button></p>
      </div>
    </template>
    <p v-else-if="busy" class="what">Driving a case</p>
  </div>
</template>

<style scoped>
.levels {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  align-items: baseline;
  padding-top: 10px;
}
.levels button {
  padding: 2px 0 4px;
  color: var(--blue);
}
.levels .on {
  color: var(--ink);
  font-weight: 700;
  box-shadow: inset 0 -2px var(--ink);
}
small {
  margin-left: 6px;
  font-size: var(--s1);
  font-weight: 400;
  color: var(--ink-2);
}
.says,
.what {
  color: var(--ink-2);
}
.what {
  padding: 10px 0 2px;
}
.both {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 2fr);
  gap: 30px;
  padding-top: 8px;
}
fieldset {
  margin: 0;
  padding: 0;
  border: 0;
}
legend {
  padding: 6px 0;
  font-weight: 600;
  color: var(--ink-2);
}
label {
  display: flex;
  gap: 8px;
  align-items: baseline;
  padding: 4px 0;
  cursor: pointer;
}
input {
  flex: none;
  width: 13px;
  height: 13px;
  margin: 0;
  border: 1px solid var(--ink-2);
  border-radius: 50%;
  appearance: none;
}
input:checked {
  background: var(--ink);
  box-shadow: inset 0 0 0 2px var(--sheet);
}
label:hover input {
  border-color: var(--blue);
}
.first {
  font-weight: 600;
  font-size: var(--s3);
}
.grade {
  padding-top: 12px;
}
.grade p {
  padding: 2px 0;
}
.ends {
  padding-top: 12px;
}
@media (max-width: 1100px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
    gap: 4px;
  }
}
</style>
