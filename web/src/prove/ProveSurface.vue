<script setup lang="ts">
import { computed, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useBuild } from '../build/store'
import ChangesMade from './ChangesMade.vue'
import DriveLogs from './DriveLogs.vue'
import LeakTests from './LeakTests.vue'
import { useLogs } from './logs'
import RecordDrive from './RecordDrive.vue'
import StepLists from './StepLists.vue'
import TraceSchool from './TraceSchool.vue'

/** What the car itself says: drives, leak tests, what is looked at before and after the first one, and what changes were worth. */
const build = useBuild()
const logs = useLogs()
const route = useRoute()
const router = useRouter()
const PARTS = [
  { key: 'drives', name: 'Drives' },
  { key: 'record', name: 'Record' },
  { key: 'leaks', name: 'Leak test' },
  { key: 'fill', name: 'Fill and bleed' },
  { key: 'start', name: 'First drive' },
  { key: 'joints', name: 'Joints and force' },
  { key: 'changes', name: 'Changes made' },
  { key: 'school', name: 'Trace school' },
] as const
type Part = (typeof PARTS)[number]['key']
const part = computed<Part>(() => PARTS.find((p) => p.key === route.query.part)?.key ?? 'drives')

watch(
  () => build.keeper?.told.id,
  (id) => {
    if (id !== undefined) void logs.open(id)
  },
  { immediate: true },
)

function go(to: Part): void {
  void router.replace({ query: { ...route.query, part: to === 'drives' ? undefined : to } })
}
</script>

<template>
  <div class="prove">
    <header>
      <h2>Prove, option {{ build.letter }}</h2>
      <nav aria-label="Parts of Prove">
        <button
          v-for="p in PARTS"
          :key="p.key"
          type="button"
          :class="{ on: p.key === part }"
          :aria-current="p.key === part ? 'page' : undefined"
          @click="go(p.key)"
        >
          {{ p.name }}
        </button>
      </nav>
    </header>
    <DriveLogs v-if="part === 'drives'" />
    <RecordDrive v-else-if="part === 'record'" @recorded="go('drives')" />
    <LeakTests v-else-if="part === 'leaks'" />
    <ChangesMade v-else-if="part === 'changes'" />
    <TraceSchool v-else-if="part === 'school'" />
    <StepLists v-else :list="part" />
  </div>
</template>

<style scoped>
.prove {
  padding: 14px 28px 30px;
  overflow-y: auto;
  background: var(--sheet);
}
header {
  display: flex;
  gap: 8px 28px;
  align-items: baseline;
  border-bottom: 1px solid var(--ink);
}
h2 {
  white-space: nowrap;
}
nav {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  gap: 0 22px;
}
nav button {
  padding: 2px 0 8px;
  color: var(--blue);
  white-space: nowrap;
}
nav .on {
  color: var(--ink);
  font-weight: 700;
  box-shadow: inset 0 -2px var(--ink);
}
</style>
