<script setup lang="ts">
import { computed } from 'vue'
import { useBuild } from '../build/store'
import JobProgress from '../jobs/JobProgress.vue'
import { useSpread } from '../jobs/spread'
import { figure, spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import { UNKNOWNS } from './unknowns'
import Notice from '../ui/Notice.vue'

/** The odds behind the verdict, and the one measurement worth taking. */
const build = useBuild()
const settings = useSettings()
const spread = useSpread()
const view = computed(() => spread.view)
const target = computed(() => spoken(build.document!.targets.intake_C, 'C', settings.units, 0))
const odds = computed(() => {
  const v = view.value!
  const range = `${figure(v.worstLow_C!, 'C', settings.units, 0).figure} to ${spoken(v.worstHigh_C!, 'C', settings.units, 0).replace(' ', '\u00a0')}`
  const holds =
    v.holds_pct >= 97
      ? `All but certain to keep ${target.value}`
      : v.holds_pct <= 3
        ? `All but certain to pass ${target.value}`
        : `Keeps ${target.value} in ${Math.round(v.holds_pct / 10) || 1} of 10 cases`
  return `${holds}: the worst lies between ${range} in 8 of 10.`
})
const weights = computed(() => view.value!.ranking.filter((w) => w.share_pct >= 4).slice(0, 4))
const tens = computed(() => Math.max(...weights.value.map((w) => w.share_pct), 1))
</script>

<template>
  <section>
    <h2>How sure is this?</h2>
    <template v-if="view">
      <p>{{ odds }}</p>
      <table>
        <caption class="hidden-words">
          What decides most
        </caption>
        <tbody>
          <tr v-for="w in weights" :key="w.unknown">
            <th scope="row">{{ UNKNOWNS[w.unknown].name }}</th>
            <td><i :style="{ width: `${(100 * w.share_pct) / tens}%` }" /></td>
            <td class="num">{{ w.share_pct.toFixed(0) }} %</td>
          </tr>
        </tbody>
      </table>
      <p v-if="weights[0]" class="measure">{{ UNKNOWNS[weights[0].unknown].measure }}</p>
      <p v-if="build.document!.fitted" class="fine">What is not known is as the log “{{ build.document!.fitted.log }}” left it.</p>
      <p class="fine">{{ view.samples }} runs of what is not known exactly; the band on the trace holds the middle 80 %.</p>
    </template>
    <JobProgress v-else-if="spread.running" what="200 runs" :progress="spread.progress" @cancel="spread.cancel()" />
    <p v-else class="ask">
      Blower, air and water are seldom known exactly.
      <button type="button" class="act" @click="spread.ask()">Run 200 of what they may be</button>
    </p>
    <Notice v-if="spread.failed" :says="spread.failed" />
  </section>
</template>

<style scoped>
section {
  margin-top: 18px;
}
p {
  margin-top: 6px;
}
table {
  width: 100%;
  margin-top: 6px;
  border-collapse: collapse;
}
th {
  padding: 4px 0;
  font-weight: 400;
  text-align: left;
  white-space: nowrap;
}
td {
  width: 40%;
  padding: 4px 0 4px 10px;
}
td i {
  display: block;
  height: 8px;
  background: var(--ink-3);
}
tr:first-child i {
  background: var(--blue);
}
.num {
  width: 44px;
  text-align: right;
  font-weight: 600;
}
.measure {
  font-weight: 600;
}
.fine {
  font-size: var(--s1);
  color: var(--ink-2);
}
.ask {
  color: var(--ink-2);
}
</style>
