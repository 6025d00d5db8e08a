<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useBuild } from '../build/store'
import CompareTable from './CompareTable.vue'
import FigureTable from './FigureTable.vue'
import MetalField from './MetalField.vue'
import TraceChart from './TraceChart.vue'

/** The option through the duty. */
const build = useBuild()
const cursor = ref(0)
const view = ref<'trace' | 'compare' | 'figures'>('trace')
const showCoreIn = ref(false)
const soak = computed(() => build.answer?.soak)
const ghost = computed(() => build.ghost?.answer.soak ?? undefined)
const ghostName = computed(() => {
  const label = build.ghost?.label
  const option = build.document!.options.find((o) => o.letter === label)
  return option ? `${option.letter} ${option.name}` : 'before the change'
})

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

const views = [
  { key: 'trace', name: 'Trace' },
  { key: 'compare', name: 'Side by side' },
  { key: 'figures', name: 'Figures' },
] as const
</script>

<template>
  <div class="surface">
    <div class="views">
      <div role="tablist" aria-label="View">
        <button v-for="v in views" :key="v.key" type="button" role="tab" :aria-selected="view === v.key" :class="{ on: view === v.key }" @click="view = v.key">{{ v.name }}</button>
      </div>
      <label v-if="view === 'trace'"><input v-model="showCoreIn" type="checkbox" /> before the core</label>
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
          :show-core-in="showCoreIn"
          @update:cursor="move"
        />
        <MetalField :soak="soak" :cursor="cursor" :cooled-by="build.answer?.steady?.core?.cooledBy ?? 'air'" :sprayed="soak.sprayed_L" />
      </template>
      <CompareTable v-else-if="view === 'compare'" />
      <FigureTable v-else :soak="soak" />
    </template>
    <p v-else-if="!build.answer?.fault" class="none">Running the duty</p>
    <p v-else class="none">No trace: the charge line has no answer for this option. The reason stands on the right.</p>
  </div>
</template>

<style scoped>
.surface {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  min-height: 0;
  background: var(--sheet);
}
.views {
  display: flex;
  justify-content: space-between;
  padding: 6px 28px 0 62px;
}
[role='tab'] {
  padding: 6px 0;
  margin-right: 22px;
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
label {
  display: flex;
  align-items: center;
  gap: 6px;
  color: var(--ink-2);
}
label input {
  accent-color: var(--blue);
}
.none {
  padding: 40px 62px;
  color: var(--ink-2);
}
</style>
