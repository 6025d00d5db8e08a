<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { LogCard } from '../api/client'
import { clock } from '../quantity/time'
import Notice from '../ui/Notice.vue'
import { useLogs } from './logs'
import { KINDS } from './segments'

/** What the reader puts right in the parts of a drive: their borders, and where the start line is. */
const props = defineProps<{ log: LogCard; cursor: number; looked?: { from: number; to: number } }>()
const logs = useLogs()
const failed = ref('')
const marks = computed(() => props.log.marks)
const marked = computed(() => (marks.value.moved?.length ?? 0) > 0 || marks.value.startLine_s != null)
const part = computed(() => logs.beside?.segments.find((s) => s.kind !== 'LAP' && s.from_s === props.looked?.from && s.to_s === props.looked?.to))
const rolls = computed(() => props.log.told.channels.some((c) => c.channel === 'ROAD_SPEED'))
const told = computed(() => props.log.told.channels.some((c) => c.channel === 'MARKER'))
const laps = computed(() => logs.beside?.segments.filter((s) => s.kind === 'LAP').length ?? 0)
watch(
  () => props.log.id,
  () => (failed.value = ''),
)
async function put(next: Parameters<typeof logs.mark>[1]): Promise<void> {
  failed.value = ''
  try {
    await logs.mark(props.log.id, next)
  } catch (e) {
    failed.value = (e as Error).message
  }
}
const move = (was: number) => put({ ...marks.value, moved: [...(marks.value.moved ?? []), { was_s: was, is_s: props.cursor }] })
</script>

<template>
  <div class="marks">
    <p v-if="part">
      {{ KINDS[part.kind] }}, {{ clock(part.from_s) }} to {{ clock(part.to_s) }}:
      <button v-if="part.from_s > 0" type="button" class="act" :disabled="cursor >= part.to_s" @click="move(part.from_s)">
        begins at the cursor, {{ clock(cursor) }}
      </button>
      <button v-if="part.to_s < log.length_s" type="button" class="act" :disabled="cursor <= part.from_s" @click="move(part.to_s)">
        ends at the cursor, {{ clock(cursor) }}
      </button>
    </p>
    <p v-if="rolls && !told">
      <button type="button" class="act" @click="put({ ...marks, startLine_s: cursor })">The start line is at the cursor, {{ clock(cursor) }}</button>
      <span v-if="marks.startLine_s != null" class="quiet">{{
        laps ? `${laps} laps by the pattern of the speed` : 'no lap found whose speeds are like those there'
      }}</span>
    </p>
    <p v-if="marked"><button type="button" class="act" @click="put({ moved: [] })">Forget what was put right</button></p>
    <Notice v-if="failed" :says="failed" />
  </div>
</template>

<style scoped>
p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  padding: 4px 0;
}
.quiet {
  color: var(--ink-2);
}
</style>
