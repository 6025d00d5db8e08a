<script setup lang="ts">
import { useRafFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useBuild } from '../build/store'
import { useSpread } from '../jobs/spread'
import CompareTable from './CompareTable.vue'
import FigureTable from './FigureTable.vue'
import { extraLines } from './lines'
import MetalField from './MetalField.vue'
import MethodsView from './MethodsView.vue'
import RunsTable from './RunsTable.vue'
import TraceChart from './TraceChart.vue'

/** The option through the duty. */
const build = useBuild()
const spread = useSpread()
const cursor = ref(0)
const view = ref<'trace' | 'compare' | 'methods' | 'runs' | 'figures'>('trace')
const shown = ref<string[]>([])
const soak = computed(() => build.answer?.soak)
const ghost = computed(() => (build.ghost?.sameDuty ? build.ghost.answer.soak : undefined) ?? undefined)
const ghostName = computed(() => {
  const label = build.ghost?.label
  const option = build.document!.options.find((o) => o.letter === label)
  return option ? `${option.letter} ${option.name}` : 'before the change'
})
const lines = computed(() => (soak.value ? extraLines(soak.value, build.document!) : []))
const drawn = computed(() => lines.value.filter((l) => shown.value.includes(l.key)))
const first = computed(() => lines.value.filter((l) => l.often))
const rest = computed(() => lines.value.filter((l) => !l.often))

/** The cursor stands at the worst moment until the reader moves it. */
const moved = ref(false)
watch(
  soak,
  (s) => {
    if (s) cursor.value = moved.value ? Math.min(cursor.value, s.length_s) : s.verdict.worstTime_s
  },
  { immediate: true },
)

function move(to: number): void {
  moved.value = true
  cursor.value = to
}

function toggle(key: string): void {
  shown.value = shown.value.includes(key) ? shown.value.filter((k) => k !== key) : [...shown.value, key]
}

function pickStation(event: Event): void {
  const select = event.target as HTMLSelectElement
  if (select.value) toggle(select.value)
  select.value = ''
}

/** Plays the duty in twenty seconds; waits are passed over. */
const PLAYED_S = 20
const playing = ref(false)
const { pause, resume } = useRafFn(
  ({ delta }) => {
    const s = soak.value
    if (!s) return
    const t = s.trace
    const ran = t.time_s.reduce((sum, time, i) => sum + (t.running[i] ? time - (t.time_s[i - 1] ?? 0) : 0), 0)
    let next = cursor.value + (delta / 1000) * (ran / PLAYED_S)
    const i = t.time_s.findIndex((time) => time >= next)
    if (i >= 0 && !t.running[i]) {
      const on = t.running.findIndex((r, k) => k > i && r)
      next = on >= 0 ? t.time_s[on]! : s.length_s
    }
    move(Math.min(next, s.length_s))
    if (next >= s.length_s) stop()
  },
  { immediate: false },
)

function stop(): void {
  playing.value = false
  pause()
}

function play(): void {
  if (playing.value) return stop()
  if (soak.value && cursor.value >= 0.97 * soak.value.length_s) move(0)
  playing.value = true
  resume()
}

watch([() => build.letter, view], stop)

const views = computed(() => [
  { key: 'trace' as const, name: 'Trace' },
  { key: 'compare' as const, name: 'Side by side' },
  { key: 'methods' as const, name: 'Methods' },
  ...((soak.value?.figures.runs.length ?? 0) > 1 ? [{ key: 'runs' as const, name: 'Run by run' }] : []),
  { key: 'figures' as const, name: 'Figures' },
])
watch(views, (list) => {
  if (!list.some((v) => v.key === view.value)) view.value = 'trace'
})
</script>

<template>
  <div class="surface">
    <div class="views">
      <div role="tablist" aria-label="View">
        <button
          v-for="v in views"
          :key="v.key"
          type="button"
          role="tab"
          :aria-selected="view === v.key"
          :class="{ on: view === v.key }"
          @click="view = v.key"
        >
          {{ v.name }}
        </button>
      </div>
      <div v-if="view === 'trace' && soak" class="also">
        <label v-for="l in first" :key="l.key"><input type="checkbox" :checked="shown.includes(l.key)" @change="toggle(l.key)" /> {{ l.name }}</label>
        <select v-if="rest.length" aria-label="Another station or wall on the trace" @change="pickStation">
          <option value="">another place</option>
          <option v-for="l in rest" :key="l.key" :value="l.key">{{ shown.includes(l.key) ? 'without' : 'with' }} {{ l.name }}</option>
        </select>
      </div>
    </div>
    <template v-if="soak">
      <template v-if="view === 'trace'">
        <TraceChart
          :cursor="cursor"
          :soak="soak"
          :label="build.letter"
          :ghost="ghost"
          :ghost-label="ghostName"
          :target="build.document!.targets.intake_C"
          :timing="build.document!.targets.timingPull_C"
          :extra="drawn"
          :band="spread.view"
          :cooled-by="build.answer?.steady?.core?.cooledBy ?? 'air'"
          @update:cursor="move"
        />
        <MetalField
          :soak="soak"
          :cursor="cursor"
          :cooled-by="build.answer?.steady?.core?.cooledBy ?? 'air'"
          :sprayed="soak.sprayed_L"
          :playing="playing"
          @play="play"
        />
      </template>
      <CompareTable v-else-if="view === 'compare'" />
      <MethodsView v-else-if="view === 'methods'" />
      <RunsTable v-else-if="view === 'runs'" :soak="soak" />
      <FigureTable v-else :soak="soak" />
    </template>
    <p v-else-if="!build.answer?.fault" class="none">Running the duty</p>
    <p v-else class="none">No trace: the charge line has no answer for this option. The reason stands on the right.</p>
  </div>
</template>

<style scoped>
.surface {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto minmax(auto, 1fr) auto;
  min-height: 0;
  overflow-y: auto;
  background: var(--sheet);
}
.views {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
  justify-content: space-between;
  padding: 6px 28px 0 62px;
}
.also label {
  min-height: 30px;
  white-space: nowrap;
}
[role='tablist'] {
  white-space: nowrap;
}
[role='tab'] {
  padding: 6px 0;
  margin-right: 20px;
  color: var(--ink-2);
}
[role='tab']:hover {
  color: var(--blue);
}
[role='tab'].on {
  color: var(--ink);
  font-weight: 700;
  box-shadow: inset 0 -2px 0 var(--ink);
}
.also {
  display: flex;
  gap: 13px;
  align-items: center;
}
.also select {
  max-width: 112px;
  border: 0;
  background: var(--sheet);
  color: var(--blue);
  font-weight: 500;
}
label {
  display: flex;
  align-items: center;
  gap: 6px;
  color: var(--ink-2);
}
label input {
  width: 16px;
  height: 16px;
  margin: 4px;
  accent-color: var(--blue);
}
.none {
  padding: 40px 62px;
  color: var(--ink-2);
}
</style>
