<script setup lang="ts">
import { computed } from 'vue'
import { useBuild } from '../build/store'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import TextField from '../ui/TextField.vue'
import DutyTable from './DutyTable.vue'

/** What the job is: asked in the order people think, filled in from the start. */
const build = useBuild()
const at = computed(() => `/options/${build.optionIndex}`)
const filter = computed(() => build.option!.path.findIndex((p) => p.kind === 'filter'))
const blower = computed(() => build.option!.path.findIndex((p) => p.kind === 'blower'))
const plenum = computed(() => build.option!.path.findIndex((p) => p.kind === 'plenum'))
const blowers = [
  { value: 'roots-type', label: 'roots-type' },
  { value: 'screw', label: 'screw' },
  { value: 'centrifugal', label: 'centrifugal' },
  { value: 'turbo', label: 'turbo' },
]
</script>

<template>
  <div class="paper">
    <div class="columns">
      <section>
        <h2>Engine</h2>
        <NumberField part="engine" name="displacement_L" pointer="/engine/displacement_L" />
        <NumberField part="engine" name="cylinders" pointer="/engine/cylinders" />
        <NumberField part="engine" name="volumetricEfficiency_pct" pointer="/engine/volumetricEfficiency_pct" />
        <NumberField part="engine" name="maxSpeed_rpm" pointer="/engine/maxSpeed_rpm" />
      </section>
      <section>
        <h2>Boost, option {{ build.letter }}</h2>
        <NumberField part="option" name="boost_kPa" :pointer="`${at}/boost_kPa`" />
        <template v-if="blower >= 0">
          <ChoiceField label="blower" :pointer="`${at}/path/${blower}/type`" :choices="blowers" />
          <NumberField part="blower" name="efficiency_pct" :pointer="`${at}/path/${blower}/efficiency_pct`" />
          <NumberField part="blower" name="maxPressureRatio" :pointer="`${at}/path/${blower}/maxPressureRatio`" />
          <NumberField part="blower" name="outletBore_mm" :pointer="`${at}/path/${blower}/outletBore_mm`" />
        </template>
      </section>
      <section>
        <h2>Climate and target</h2>
        <NumberField part="climate" name="airTemperature_C" pointer="/climate/airTemperature_C" />
        <NumberField part="climate" name="altitude_m" pointer="/climate/altitude_m" />
        <NumberField part="climate" name="humidity_pct" pointer="/climate/humidity_pct" />
        <NumberField part="climate" name="barometer_kPa" pointer="/climate/barometer_kPa" optional />
        <NumberField part="targets" name="intake_C" pointer="/targets/intake_C" />
        <NumberField part="targets" name="timingPull_C" pointer="/targets/timingPull_C" />
      </section>
      <section>
        <h2>Full load, where the charge line is drawn</h2>
        <NumberField part="fullLoad" name="engineSpeed_rpm" pointer="/fullLoad/engineSpeed_rpm" label="engine speed" of="full load" />
        <NumberField part="fullLoad" name="roadSpeed_km_h" pointer="/fullLoad/roadSpeed_km_h" label="road speed" of="full load" />
      </section>
      <section v-if="filter >= 0">
        <h2>Intake, option {{ build.letter }}</h2>
        <NumberField part="filter" name="loss_kPa" :pointer="`${at}/path/${filter}/loss_kPa`" />
        <NumberField part="filter" name="flow_kg_s" :pointer="`${at}/path/${filter}/flow_kg_s`" of="filter" />
        <NumberField part="filter" name="heatGain_K" :pointer="`${at}/path/${filter}/heatGain_K`" />
        <NumberField part="filter" name="bore_mm" :pointer="`${at}/path/${filter}/bore_mm`" />
        <NumberField v-if="plenum >= 0" part="plenum" name="bore_mm" :pointer="`${at}/path/${plenum}/bore_mm`" />
      </section>
      <section>
        <h2>Names</h2>
        <TextField label="Build" pointer="/name" required :longest="60" />
        <TextField label="In a line" pointer="/summary" />
        <TextField label="This option" :pointer="`${at}/name`" required :longest="60" />
      </section>
    </div>
    <DutyTable />
  </div>
</template>

<style scoped>
.columns {
  columns: 3 220px;
  column-gap: 34px;
}
section {
  break-inside: avoid;
  padding-bottom: 20px;
}
</style>
