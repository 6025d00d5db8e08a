<script setup lang="ts">
import { computed } from 'vue'
import type { LogFinding } from '../api/client'
import { useBuild } from '../build/store'
import JobProgress from '../jobs/JobProgress.vue'
import { useSettings } from '../settings/store'
import Notice from '../ui/Notice.vue'
import { say } from '../verdict/say'
import { useLogJob } from './logJob'

/** What can be wrong with the car, by what it would do to each channel: the likeliest first, with what speaks for and against it and the test that tells. */
const props = defineProps<{ log: number }>()
const build = useBuild()
const settings = useSettings()
const { done, running, failed, progress, start, cancel } = useLogJob('faults', () => props.log)
const faults = computed(() => done.value?.faults)
const words = (f: LogFinding) => say(f, build.catalogue!.sentences, settings.units)
const odds = (pct: number) => (pct > 99 ? 'all but certain' : `${pct.toFixed(0)} in 100`)
</script>

<template>
  <section class="faults" aria-label="What can be wrong">
    <h3>What can be wrong</h3>
    <p v-if="!faults && !running">
      <button type="button" class="act" @click="start">Look for a fault</button>
      <span class="quiet">puts each fault into the model, as large as it fits this log, and ranks what comes nearest</span>
    </p>
    <JobProgress v-if="running" :progress="progress" what="Trying faults" @cancel="cancel" />
    <Notice v-if="failed" :says="failed" />
    <template v-if="faults">
      <p v-for="f in faults.says" :key="f.kind" class="first">{{ words(f) }}</p>
      <article v-for="(s, i) in faults.suspects" :key="s.suspect" :aria-label="s.suspect.toLowerCase()">
        <p :class="{ first: i === 0 }">{{ words(s.lines[0]!) }}</p>
        <p class="quiet">{{ odds(s.odds_pct) }} among these; explains {{ s.explains_pct.toFixed(0) }} % of what measured and predicted are apart.</p>
        <p v-for="(l, k) in s.lines.slice(1)" :key="k" :class="{ against: l.kind === 'EVIDENCE_AGAINST', test: l.kind.startsWith('TEST') }">
          {{ words(l) }}
        </p>
      </article>
      <p v-if="faults.suspects.length > 1" class="quiet">
        Where more than one is named this log does not tell them apart for sure: begin with the test that costs least.
      </p>
    </template>
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
  padding: 2px 0;
}
p > .quiet {
  margin-left: 14px;
}
.quiet {
  color: var(--ink-2);
}
.first {
  font-weight: 600;
  font-size: var(--s3);
}
article {
  padding: 4px 0 10px;
  border-bottom: 1px solid var(--hair);
}
.against {
  color: var(--ink-2);
}
.test {
  padding-top: 4px;
}
</style>
