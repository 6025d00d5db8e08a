<script setup lang="ts">
import { computed } from 'vue'
import { useBuild } from '../build/store'
import type { LogFit } from '../api/client'
import JobProgress from '../jobs/JobProgress.vue'
import { change, figure, minus } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import Notice from '../ui/Notice.vue'
import { UNKNOWNS } from '../verdict/unknowns'
import type { Fitted } from '../document/types'
import { BOSSES } from './channels'
import { useLogJob } from './logJob'

/** What is not known exactly, fitted to a log: what it learned, what it cannot tell apart, and which sensor would tell. */
const props = defineProps<{ log: number }>()
const build = useBuild()
const settings = useSettings()
const { done, running, failed, progress, start, cancel } = useLogJob('fit', () => props.log)
const fit = computed(() => done.value?.fit)

const taken = computed(() => build.document?.fitted)
function take(): void {
  void build.act([{ pointer: '/fitted', value: fit.value!.fitted }], `fitted to ${(fit.value!.fitted as unknown as Fitted).log}`)
}
function takeOut(): void {
  void build.act([{ pointer: '/fitted', value: undefined }], `fit to ${taken.value!.log} taken out`)
}

const by = (u: LogFit['unknowns'][number]) =>
  u.kelvin ? change(u.by, 'K', settings.units) || '0' : minus(`${u.by >= 0 ? '+' : ''}${u.by.toFixed(0)}`)
const spread = (kelvin: boolean, v: number) => (kelvin ? figure(v, 'K', settings.units).figure : v.toFixed(v < 10 ? 1 : 0))
const unit = (kelvin: boolean) => (kelvin ? figure(0, 'K', settings.units).unit : '%')
const off = (v: number | null | undefined) => (v == null ? '' : `${figure(v, 'K', settings.units).figure} ${figure(0, 'K', settings.units).unit}`)
/** What the log told most of first; the sensors are no part of the plant and come last. */
const rank = (u: LogFit['unknowns'][number]) => (u.unknown === 'SENSOR_LAG' ? 10 : u.sd / u.spread)
const unknowns = computed(() => [...(fit.value?.unknowns ?? [])].sort((a, b) => rank(a) - rank(b)))
const faults = computed(() => unknowns.value.filter((u) => u.beyond))
const comes = computed(() => {
  const f = fit.value
  if (!f) return ''
  const held = f.heldBefore_K != null ? `; in the part that was held out ${off(f.heldAfter_K)} instead of ${off(f.heldBefore_K)}` : ''
  return `Under load the model then misses by ${off(f.after_K)} instead of ${off(f.before_K)}${held}.`
})
</script>

<template>
  <section class="fit" aria-label="Fit to this log">
    <h3>What the log tells of what is not known exactly</h3>
    <p v-if="taken">
      This build stands on the log “{{ taken.log }}” since {{ taken.on }}, fitted with option {{ taken.option }}.
      <button type="button" class="act" @click="takeOut">Take the fit out</button>
      <span class="quiet">{{
        build.letter === taken.option
          ? 'when its core, way of the air or loop has been changed since'
          : 'here it holds for blower, cylinders and bay, and for parts that are the same'
      }}</span>
    </p>
    <p v-if="!fit && !running">
      <button type="button" class="act" @click="start">Fit to this log</button>
      <span class="quiet">moves blower, core, air and water within what they may be until the model comes nearest to every channel</span>
    </p>
    <JobProgress v-if="running" :progress="progress" what="Fitting" @cancel="cancel" />
    <Notice v-if="failed" :says="failed" />
    <template v-if="fit">
      <p class="first">{{ comes }}</p>
      <p v-if="!fit.holds" class="worse">
        It does not hold in the part that was held out: something changed during the log, or a fault is at work that none of these stands for.
      </p>
      <p v-for="u in faults" :key="u.unknown" class="worse">
        {{ UNKNOWNS[u.unknown].name }}: {{ by(u) }} {{ unit(u.kelvin) }} is farther from what this option says than doubt explains. Look for a fault
        there.
      </p>
      <table class="figures">
        <thead>
          <tr>
            <th scope="col">unknown</th>
            <th scope="col">in</th>
            <th scope="col">usually</th>
            <th scope="col">by this log</th>
            <th scope="col">give or take</th>
            <th scope="col" class="bar-head">how much of the doubt is left</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="u in unknowns" :key="u.unknown">
            <th scope="row">{{ UNKNOWNS[u.unknown].name }}</th>
            <td>{{ unit(u.kelvin) }}</td>
            <td>0 ± {{ spread(u.kelvin, u.spread) }}</td>
            <td class="by" :class="{ worse: u.beyond }">{{ by(u) }}</td>
            <td>± {{ spread(u.kelvin, u.sd) }}</td>
            <td class="bar"><i :style="{ width: `${Math.min(100, (100 * u.sd) / u.spread)}%` }" /></td>
          </tr>
        </tbody>
      </table>
      <p v-for="t in fit.together" :key="t.one + t.other">
        {{ UNKNOWNS[t.one].name }} and {{ UNKNOWNS[t.other].name }} cannot be told apart by this log.
      </p>
      <p v-if="fit.advice" class="advice">
        One more sensor that would tell most: {{ fit.advice.words }}{{ BOSSES[fit.advice.channel] ? `, ${BOSSES[fit.advice.channel]}` : '' }}. Then
        {{ UNKNOWNS[fit.advice.unknown].name }} would be known to ± {{ spread(fit.advice.kelvin, fit.advice.then) }}
        {{ unit(fit.advice.kelvin) }} instead of ± {{ spread(fit.advice.kelvin, fit.advice.now) }}.
      </p>
      <p>
        <button type="button" class="act" @click="take">
          {{ faults.length ? 'Take it into the build, fault and all' : 'Take it into the build' }}
        </button>
        <span class="quiet">then every answer stands on this log and the band is as narrow as it left it; it can be taken out again</span>
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
  padding: 3px 0;
}
.quiet {
  margin-left: 14px;
  color: var(--ink-2);
}
.first {
  font-weight: 600;
}
table {
  width: 100%;
}
td {
  text-align: right;
}
thead th:not(:first-child) {
  text-align: right;
}
thead .bar-head {
  padding-left: 24px;
  text-align: left;
}
.by {
  font-weight: 700;
}
.bar {
  width: 220px;
  padding-left: 24px;
}
.bar i {
  display: block;
  height: 8px;
  background: var(--ink-3);
}
</style>
