<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, type SoakView } from '../api/client'
import { useBuild } from '../build/store'
import { figure } from '../quantity/catalogue'
import { clock } from '../quantity/time'
import { useSettings } from '../settings/store'
import { saveFile } from '../ui/saveFile'
import Notice from '../ui/Notice.vue'

/** The table behind the chart. */
const props = defineProps<{ soak: SoakView }>()
const settings = useSettings()
const rows = computed(() => {
  const t = props.soak.trace
  const every = Math.max(1, Math.floor(t.time_s.length / 60))
  return t.time_s.map((_, i) => i).filter((i) => i % every === 0 || i === t.time_s.length - 1)
})
const hasAir = computed(() => props.soak.trace.cold?.air_m_s.some((v) => v > 0))
const hasRadiator = computed(() => props.soak.trace.cold?.radiator_pct.some((v) => v != null))
const unit = (u: 'C' | 'kPa' | 'km_h' | 'kg_s' | 'm_s' | 'L_min') => figure(0, u, settings.units).unit
const build = useBuild()
const failed = ref('')

/** Every step and every column, as the command line prints them. */
async function save(how: 'csv' | 'json'): Promise<void> {
  failed.value = ''
  try {
    const name = `${build.document!.name} ${build.letter} trace.${how}`
    saveFile(await api.trace(build.document!, build.letter, how), name)
  } catch (e) {
    failed.value = (e as Error).message
  }
}
</script>

<template>
  <div class="figures">
    <p class="save">
      every step, station and wall:
      <button type="button" class="act" @click="save('csv')">save as CSV</button>
      <button type="button" class="act" @click="save('json')">save as JSON</button>
      <Notice v-if="failed" :says="failed" />
    </p>
    <table>
      <thead>
        <tr>
          <th scope="col">time</th>
          <th scope="col">intake, {{ unit('C') }}</th>
          <th scope="col">sensor shows, {{ unit('C') }}</th>
          <th scope="col">before the core, {{ unit('C') }}</th>
          <th scope="col">coolant at the core, {{ unit('C') }}</th>
          <th scope="col">boost, {{ unit('kPa') }}</th>
          <th scope="col">air flow, {{ unit('kg_s') }}</th>
          <th scope="col">loss, {{ unit('kPa') }}</th>
          <template v-if="soak.trace.cold">
            <th scope="col">down to outside air, %</th>
            <th scope="col">down to coolant, %</th>
            <th v-if="hasRadiator" scope="col">radiator, %</th>
            <th v-if="hasAir" scope="col">face air, {{ unit('m_s') }}</th>
            <th v-if="soak.trace.cold.byWater" scope="col">water, {{ unit('L_min') }}</th>
          </template>
          <th scope="col">engine, rpm</th>
          <th scope="col">road, {{ unit('km_h') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="i in rows" :key="i">
          <th scope="row">{{ clock(soak.trace.time_s[i]!) }}</th>
          <template v-if="soak.trace.running[i]">
            <td>{{ figure(soak.trace.intake_C[i]!, 'C', settings.units).figure }}</td>
            <td>{{ figure(soak.trace.shown_C[i]!, 'C', settings.units).figure }}</td>
            <td>{{ figure(soak.trace.coreIn_C[i]!, 'C', settings.units).figure }}</td>
          </template>
          <td v-else colspan="3" class="off">engine off</td>
          <td>{{ figure(soak.trace.cold_C[i]!, 'C', settings.units).figure }}</td>
          <td>{{ figure(soak.trace.boost_kPa[i]!, 'kPa', settings.units).figure }}</td>
          <td>{{ figure(soak.trace.flow_kg_s[i]!, 'kg_s', settings.units).figure }}</td>
          <td>{{ soak.trace.running[i] ? figure(soak.trace.loss_kPa[i]!, 'kPa', settings.units).figure : '' }}</td>
          <template v-if="soak.trace.cold">
            <td>{{ soak.trace.cold.recovered_pct[i]?.toFixed(0) }}</td>
            <td>{{ soak.trace.cold.effectiveness_pct[i]?.toFixed(0) }}</td>
            <td v-if="hasRadiator">{{ soak.trace.cold.radiator_pct[i]?.toFixed(0) }}</td>
            <td v-if="hasAir">{{ figure(soak.trace.cold.air_m_s[i]!, 'm_s', settings.units).figure }}</td>
            <td v-if="soak.trace.cold.byWater">{{ figure(soak.trace.cold.water_L_min[i]!, 'L_min', settings.units).figure }}</td>
          </template>
          <td>{{ soak.trace.engineSpeed_rpm[i]!.toFixed(0) }}</td>
          <td>{{ figure(soak.trace.roadSpeed_km_h[i]!, 'km_h', settings.units).figure }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.figures {
  padding: 6px 28px 30px;
  overflow: auto;
}
.save {
  display: flex;
  gap: 16px;
  padding-bottom: 6px;
  color: var(--ink-2);
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 5px 6px;
  text-align: right;
  border-bottom: 1px solid var(--hair);
}
thead th {
  position: sticky;
  top: -6px;
  background: var(--sheet);
  font-weight: 500;
  color: var(--ink-2);
  border-bottom: 1px solid var(--ink);
}
th:first-child {
  text-align: left;
  padding-left: 0;
}
.off {
  text-align: center;
  color: var(--ink-3);
}
</style>
