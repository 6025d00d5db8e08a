<script setup lang="ts">
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { Select } from '../ui/overlays'
import { api, type LogCard, type LogFinding } from '../api/client'
import { useBuild } from '../build/store'
import { useSettings } from '../settings/store'
import Notice from '../ui/Notice.vue'
import { say } from '../verdict/say'

/** What a change to the car is worth: this log against one from before it, the day taken out. */
const props = defineProps<{ log: LogCard; others: LogCard[] }>()
const build = useBuild()
const settings = useSettings()
const STANDS = 120
const before = ref<number>()
const findings = shallowRef<LogFinding[]>()
const failed = ref('')
let question: AbortController | undefined
let timer: ReturnType<typeof setTimeout> | undefined
const told = computed(() => (findings.value ?? []).map((f) => say(f, build.catalogue!.sentences, settings.units)))

async function ask(): Promise<void> {
  const mine = (question = new AbortController())
  failed.value = ''
  try {
    const view = await api.logChange(props.log.id, before.value!, build.document!, build.letter, mine.signal)
    if (mine === question) findings.value = view.findings
  } catch (e) {
    if (mine === question) failed.value = (e as Error).message
  }
}
function drop(): void {
  clearTimeout(timer)
  question?.abort()
  question = undefined
}
watch(
  () => props.log.id,
  () => (before.value = undefined),
)
watch([before, () => build.document, () => build.letter], ([id], was) => {
  drop()
  if (id !== was[0]) findings.value = undefined
  failed.value = ''
  if (id !== undefined) timer = setTimeout(() => void ask(), STANDS)
})
onScopeDispose(drop)
</script>

<template>
  <section class="change" aria-label="Before and after">
    <h3>Before and after</h3>
    <p>
      This log, against the car as it was in
      <Select
        v-model="before"
        :options="others"
        option-label="name"
        option-value="id"
        placeholder="choose the log before the change"
        aria-label="Log before the change"
      />
    </p>
    <p v-for="(t, i) in told" :key="t" :class="{ first: i === 0 }">{{ t }}</p>
    <p v-if="before !== undefined && !findings && !failed" class="quiet">Taking the day out</p>
    <Notice v-if="failed" :says="failed" />
  </section>
</template>

<style scoped>
h3 {
  margin: 0;
  padding: 18px 0 4px;
  font-size: var(--s2);
  font-weight: 600;
  color: var(--ink-2);
}
p {
  padding: 3px 0;
}
.first {
  font-weight: 600;
  font-size: var(--s3);
}
.quiet {
  color: var(--ink-2);
}
.change :deep(.p-select-label) {
  padding: 3px 4px;
  font-size: var(--s2);
  font-weight: 500;
  color: var(--blue);
}
</style>
