<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { api, type DutyEntry } from '../api/client'
import { useBuild } from '../build/store'
import { span } from '../quantity/time'
import { seconds } from './pieces'
import Notice from '../ui/Notice.vue'

/** Duties to begin from, fitted to this engine. */
const emit = defineEmits<{ take: [entry: DutyEntry] }>()
const build = useBuild()
const entries = shallowRef<DutyEntry[]>([])
const failed = ref('')

onMounted(async () => {
  try {
    entries.value = (await api.dutyLibrary(build.document!)).entries
  } catch (e) {
    failed.value = (e as Error).message
  }
})

function length(e: DutyEntry): string {
  const run = (e.duty.pieces ?? []).reduce((sum, p) => sum + seconds(p), 0)
  return span(e.duty.repeats * run + (e.duty.repeats - 1) * e.duty.wait_s)
}
</script>

<template>
  <table class="figures library">
    <tbody>
      <tr v-for="e in entries" :key="e.name">
        <th scope="row">{{ e.name }}</th>
        <td class="says">{{ e.says }}</td>
        <td>{{ length(e) }}</td>
        <td><button type="button" class="act" :aria-label="`Take: ${e.name}`" @click="emit('take', e)">Take</button></td>
      </tr>
    </tbody>
  </table>
  <Notice v-if="failed" :says="failed" />
</template>

<style scoped>
.library {
  margin: 4px 0 14px;
}
.library .says {
  text-align: left;
  color: var(--ink-2);
  white-space: normal;
}
</style>
