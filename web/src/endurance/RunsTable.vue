<script setup lang="ts">
import { computed } from 'vue'
import type { SoakView } from '../api/client'
import { useBuild } from '../build/store'
import { figure } from '../quantity/catalogue'
import { clock } from '../quantity/time'
import { useSettings } from '../settings/store'

/** Run by run through a day: how cold it is again, and how much ice is left. */
const props = defineProps<{ soak: SoakView }>()
const build = useBuild()
const settings = useSettings()
const runs = computed(() => props.soak.figures.runs)
const hasIce = computed(() => runs.value.some((r) => r.iceEnd_kg > 0) || props.soak.trace.ice_kg.some((kg) => kg > 0))
const water = computed(() => build.answer?.steady?.core?.cooledBy === 'water')
const t = (v: number) => figure(v, 'C', settings.units).figure
const over = (v: number) => v > build.document!.targets.intake_C
</script>

<template>
  <div class="runs">
    <table class="figures">
      <thead>
        <tr>
          <th scope="col">run</th>
          <th scope="col">begins</th>
          <th scope="col">lasts</th>
          <th scope="col">intake at its start, {{ figure(0, 'C', settings.units).unit }}</th>
          <th scope="col">worst</th>
          <template v-if="water">
            <th scope="col">water at its start</th>
            <th scope="col">at its end</th>
          </template>
          <th v-if="hasIce" scope="col">ice left, {{ figure(0, 'kg', settings.units).unit }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(r, i) in runs" :key="i">
          <th scope="row">{{ i + 1 }}</th>
          <td>{{ clock(r.from_s) }}</td>
          <td>{{ clock(r.to_s - r.from_s) }}</td>
          <td>{{ t(r.start_C) }}</td>
          <td :class="over(r.worst_C) ? 'worse' : 'better'">{{ t(r.worst_C) }}</td>
          <template v-if="water">
            <td>{{ t(r.coldStart_C) }}</td>
            <td>{{ t(r.coldEnd_C) }}</td>
          </template>
          <td v-if="hasIce">{{ figure(r.iceEnd_kg, 'kg', settings.units).figure }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.runs {
  padding: 6px 28px 30px;
  overflow: auto;
}
td {
  font-weight: 600;
}
</style>
