<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Segment } from '../api/client'
import { useBuild } from '../build/store'
import { figure } from '../quantity/catalogue'
import { clock } from '../quantity/time'
import { useSettings } from '../settings/store'
import { KINDS } from './segments'

/** The parts of a drive, each to be looked at closely with one press. */
const props = defineProps<{ segments: Segment[] }>()
watch(
  () => props.segments,
  () => (all.value = false),
)
const emit = defineEmits<{ look: [from: number, to: number] }>()
const build = useBuild()
const settings = useSettings()
const t = (v: number) => figure(v, 'C', settings.units).figure
const rate = (v: number) => figure(v, 'K', settings.units, 2).figure
const unit = computed(() => figure(0, 'C', settings.units).unit)
const over = (v: number) => v > build.document!.targets.intake_C
const seconds = (v: number) => (v < 0.05 ? '' : v < 100 ? `${v.toFixed(0)} s` : clock(v))
/** A day's log has hundreds of parts: those first in sight are enough until all are asked for. */
const FIRST = 60
const all = ref(false)
const shown = computed(() => (all.value ? props.segments : props.segments.slice(0, FIRST)))
const hot = computed(() => props.segments.some((s) => s.overTimingLine_s > 0))
</script>

<template>
  <table class="figures">
    <thead>
      <tr>
        <th scope="col">part</th>
        <th scope="col">begins</th>
        <th scope="col">lasts</th>
        <th scope="col">starts at, {{ unit }}</th>
        <th scope="col">lowest</th>
        <th scope="col">highest</th>
        <th scope="col">mean</th>
        <th scope="col">a second</th>
        <th scope="col">over target</th>
        <th v-if="hot" scope="col">over timing line</th>
        <th scope="col">back after</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(s, i) in shown" :key="i" :class="s.kind.toLowerCase()">
        <th scope="row">
          <button type="button" class="act" @click="emit('look', s.from_s, s.to_s)">{{ KINDS[s.kind] }}</button>
        </th>
        <td>{{ clock(s.from_s) }}</td>
        <td>{{ clock(s.to_s - s.from_s) }}</td>
        <td>{{ t(s.start_C) }}</td>
        <td>{{ t(s.lowest_C) }}</td>
        <td :class="{ worse: s.kind === 'PULL' && over(s.highest_C) }">{{ t(s.highest_C) }}</td>
        <td>{{ t(s.mean_C) }}</td>
        <td>{{ rate(s.rate_K_s) }}</td>
        <td>{{ s.kind === 'OFF' ? '' : seconds(s.overTarget_s) }}</td>
        <td v-if="hot">{{ s.kind === 'OFF' ? '' : seconds(s.overTimingLine_s) }}</td>
        <td>{{ s.recovered_s == null ? '' : seconds(s.recovered_s) || '0 s' }}</td>
      </tr>
    </tbody>
  </table>
  <p v-if="shown.length < segments.length">
    <button type="button" class="act" @click="all = true">and {{ segments.length - shown.length }} more parts</button>
  </p>
</template>

<style scoped>
table {
  width: 100%;
}
td {
  text-align: right;
}
thead th:not(:first-child) {
  text-align: right;
}
tr.off,
tr.idle {
  color: var(--ink-3);
}
.act {
  font-weight: 500;
}
tr.pull .act,
tr.lap .act {
  font-weight: 700;
}
</style>
