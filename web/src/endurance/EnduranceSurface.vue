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
import { useZoom } from '../plot/zoom'
import { useStretch } from './stretch'
import TraceChart from './TraceChart.vue'
import MultiSelect from 'primevue/multiselect'
import Tab from 'primevue/tab'
import TabList from 'primevue/tablist'
import TabPanel from 'primevue/tabpanel'
import Tabs from 'primevue/tabs'
import Tick from '../ui/Tick.vue'

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
const zoom = useZoom(
  computed(() => soak.value?.length_s ?? 0),
  cursor,
)
const near = useStretch(
  zoom.window,
  computed(() => build.letter),
)
const nearGhost = useStretch(
  zoom.window,
  computed(() => build.document!.options.find((o) => ghost.value && o.letter === build.ghost?.label)?.letter),
)
/** What is drawn: looked at closely, every step of what is in sight. */
const close = computed(() => (soak.value && near.value ? { ...soak.value, trace: near.value } : soak.value))
const closeGhost = computed(() => (ghost.value && nearGhost.value ? { ...ghost.value, trace: nearGhost.value } : ghost.value))
const lines = computed(() => (close.value ? extraLines(close.value, build.document!) : []))
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

/** What is drawn of the stations and walls that are asked for less often. */
const elsewhere = computed({
  get: () => rest.value.filter((l) => shown.value.includes(l.key)).map((l) => l.key),
  set: (keys: string[]) => (shown.value = [...first.value.map((l) => l.key).filter((k) => shown.value.includes(k)), ...keys]),
})

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
  <Tabs v-model:value="view" class="surface" :show-navigators="false">
    <div class="views">
      <TabList aria-label="View">
        <Tab v-for="v in views" :key="v.key" :value="v.key">{{ v.name }}</Tab>
      </TabList>
      <div v-if="view === 'trace' && soak" class="also">
        <Tick v-for="l in first" :key="l.key" :label="l.name" :on="shown.includes(l.key)" @turn="toggle(l.key)" />
        <MultiSelect
          v-if="rest.length"
          v-model="elsewhere"
          :options="rest"
          option-label="name"
          option-value="key"
          :show-toggle-all="false"
          placeholder="another place"
          selected-items-label="{0} places"
          :max-selected-labels="1"
          aria-label="Another station or wall on the trace"
        />
      </div>
    </div>
    <TabPanel v-if="soak" :value="view" class="panel">
      <template v-if="view === 'trace'">
        <TraceChart
          :cursor="cursor"
          :soak="close!"
          :zoom="zoom"
          :label="build.letter"
          :ghost="closeGhost"
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
    </TabPanel>
    <p v-else-if="!build.answer?.fault" class="none">Running the duty</p>
    <p v-else class="none">No trace: the charge line has no answer for this option. The reason stands on the right.</p>
  </Tabs>
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
.views :deep(.p-tablist-tab-list) {
  gap: 20px;
  padding-top: 6px;
}
.views :deep(.p-tab) {
  white-space: nowrap;
}
.views :deep(.p-tab-active) {
  font-weight: 700;
}
.panel {
  display: contents;
}
.also {
  display: flex;
  gap: 16px;
  align-items: center;
  min-height: 34px;
  color: var(--ink-2);
}
.also :deep(.p-multiselect) {
  max-width: 150px;
  border: 0;
}
.also :deep(.p-multiselect-label) {
  padding: 4px 6px;
  font-size: var(--s2);
  font-weight: 500;
  color: var(--blue);
}
.none {
  padding: 40px 62px;
  color: var(--ink-2);
}
</style>
