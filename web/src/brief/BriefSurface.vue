<script setup lang="ts">
import { computed } from 'vue'
import BlowerMapPanel from '../blower/BlowerMapPanel.vue'
import { useBuild } from '../build/store'
import { drawnThrough, hasTwoBanks, hasTwoBlowers, withOneBank, withOneBlower, withTwoBanks, withTwoBlowers } from '../document/doubling'
import { calledSo, ofKind, ofType } from '../document/pieces'
import { blowerTypeWords, intakeFromWords, usual, type BlowerPiece, type BlowerType, type Piece } from '../document/types'
import { spoken } from '../quantity/catalogue'
import KnowButton from '../reasons/KnowButton.vue'
import { useSettings } from '../settings/store'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import TextField from '../ui/TextField.vue'
import BaySection from './BaySection.vue'
import GearingSection from './GearingSection.vue'
import SensorFields from './SensorFields.vue'
import PieceWall from '../pipes/PieceWall.vue'
import DutyEditor from '../duty/DutyEditor.vue'

/** What the job is: asked in the order people think, filled in from the start. */
const build = useBuild()
const settings = useSettings()
const at = computed(() => build.optionAt)
const filters = computed(() => ofKind(build.option!, 'filter'))
const blowers = computed(() => ofKind(build.option!, 'blower'))
const plenums = computed(() => ofKind(build.option!, 'plenum'))
const steady = computed(() => build.answer?.steady)
/** Where two stand side by side each is told by its name. */
const which = (name: string, count: number) => (count > 1 ? `, ${name}` : '')
const twoWays = computed(() => {
  const s = steady.value
  if (!s) return ''
  const first = `Takes ${spoken(s.flow_kg_s, 'kg_s', settings.units)} at full load`
  if (s.flowByPower_kg_s == null) return `${first}.`
  const off = 100 * (s.flowByPower_kg_s / s.flow_kg_s - 1)
  return `${first}; its power wants ${spoken(s.flowByPower_kg_s, 'kg_s', settings.units)}, ${Math.abs(off).toFixed(0)} % ${off > 0 ? 'more' : 'less'}.`
})
const disagree = computed(() => steady.value?.notes.some((n) => n.kind.startsWith('POWER_WANTS')) ?? false)
const outside = computed(() => {
  const o = steady.value?.outside
  if (!o) return ''
  const dew = o.dewPoint_C == null ? '' : `, dew point ${spoken(o.dewPoint_C, 'C', settings.units, 0)}`
  return `Counted with ${spoken(o.pressure_kPa, 'kPa', settings.units)} outside${dew}.`
})
const response = computed(() => {
  const f = steady.value?.filling
  return f ? `${f.volume_L.toFixed(1)} L between blower and valves; full flow fills it in ${(1000 * f.time_s).toFixed(0)} ms.` : ''
})
const oneTwo = [
  { value: 'one', label: 'one' },
  { value: 'two', label: 'two' },
]
const twoBlowers = computed(() => hasTwoBlowers(build.option!))
const twoBanks = computed(() => hasTwoBanks(build.option!))
const through = computed(() => (drawnThrough(build.option!) ? 'Drawn through: the throttle stands in front of the blower. ' : ''))

function rebuild(path: Piece[], what: string): void {
  void build.act([{ pointer: `${at.value}/path`, value: path }], what)
}

function pickBlowers(count: string): void {
  if ((count === 'two') !== twoBlowers.value)
    rebuild(count === 'two' ? withTwoBlowers(build.option!.path) : withOneBlower(build.option!.path), `${count} blower${count === 'two' ? 's' : ''}`)
}

function pickType(blower: BlowerPiece, place: string, type: string): void {
  void build.act(
    ofType(blower, place, type as BlowerType, (name) => calledSo(build.option!, build.optionAt, blower.name, name)),
    `blower ${type}`,
  )
}

function pickBanks(count: string): void {
  if ((count === 'two') !== twoBanks.value)
    rebuild(count === 'two' ? withTwoBanks(build.option!.path) : withOneBank(build.option!.path), `${count} bank${count === 'two' ? 's' : ''}`)
}
</script>

<template>
  <div class="paper">
    <div class="columns">
      <section>
        <h2>Engine <KnowButton subject="/engine" of="engine" /></h2>
        <NumberField part="engine" name="displacement_L" pointer="/engine/displacement_L" />
        <NumberField part="engine" name="cylinders" pointer="/engine/cylinders" />
        <NumberField part="engine" name="volumetricEfficiency_pct" pointer="/engine/volumetricEfficiency_pct" />
        <NumberField part="engine" name="maxSpeed_rpm" pointer="/engine/maxSpeed_rpm" />
        <NumberField part="engine" name="power_kW" pointer="/engine/power_kW" optional empty="not known" />
        <template v-if="build.document?.engine.power_kW !== undefined">
          <NumberField part="engine" name="fuelRate_g_kWh" pointer="/engine/fuelRate_g_kWh" optional />
          <NumberField part="engine" name="airFuelRatio" pointer="/engine/airFuelRatio" optional />
        </template>
        <p class="said" :class="{ worse: disagree }">{{ twoWays }}</p>
      </section>
      <section v-for="(b, i) in blowers" :key="b.at">
        <h2>{{ i === 0 ? `Boost, option ${build.letter}` : 'Second blower' }}{{ which(b.piece.name, blowers.length) }}</h2>
        <NumberField v-if="i === 0" part="option" name="boost_kPa" :pointer="`${at}/boost_kPa`" />
        <ChoiceField
          label="blower"
          :pointer="`${at}${b.at}/type`"
          :choices="blowerTypeWords"
          :pick="(type) => pickType(b.piece, `${at}${b.at}`, type)"
          :of="blowers.length > 1 ? b.piece.name : undefined"
        />
        <TextField
          label="called"
          :pointer="`${at}${b.at}/name`"
          required
          :longest="60"
          :of="blowers.length > 1 ? b.piece.name : 'blower'"
          :also="(name) => calledSo(build.option!, build.optionAt, b.piece.name, name)"
        />
        <NumberField
          v-if="!b.piece.map"
          part="blower"
          name="efficiency_pct"
          :pointer="`${at}${b.at}/efficiency_pct`"
          :of="blowers.length > 1 ? b.piece.name : undefined"
        />
        <NumberField
          part="blower"
          name="maxPressureRatio"
          :pointer="`${at}${b.at}/maxPressureRatio`"
          :of="blowers.length > 1 ? b.piece.name : undefined"
        />
        <NumberField part="blower" name="outletBore_mm" :pointer="`${at}${b.at}/outletBore_mm`" :of="blowers.length > 1 ? b.piece.name : undefined" />
        <template v-if="i === 0">
          <ChoiceField label="blowers" :pointer="at" :shown="twoBlowers ? 'two' : 'one'" :choices="oneTwo" :pick="pickBlowers" />
          <ChoiceField label="banks" :pointer="at" :shown="twoBanks ? 'two' : 'one'" :choices="oneTwo" :pick="pickBanks" />
        </template>
        <p v-if="i === 0" class="said">{{ through }}{{ response }} <KnowButton subject="/path" of="the whole path" /></p>
      </section>
      <section>
        <h2>Climate and target <KnowButton subject="/climate" of="outside air" /></h2>
        <NumberField part="climate" name="airTemperature_C" pointer="/climate/airTemperature_C" />
        <NumberField part="climate" name="altitude_m" pointer="/climate/altitude_m" />
        <NumberField part="climate" name="humidity_pct" pointer="/climate/humidity_pct" />
        <NumberField part="climate" name="barometer_kPa" pointer="/climate/barometer_kPa" optional empty="by altitude" />
        <p class="said">{{ outside }}</p>
        <NumberField part="targets" name="intake_C" pointer="/targets/intake_C" />
        <NumberField part="targets" name="timingPull_C" pointer="/targets/timingPull_C" />
        <SensorFields />
      </section>
    </div>
    <DutyEditor />
    <div class="columns">
      <section>
        <h2>Full load, where the charge line is drawn</h2>
        <NumberField part="fullLoad" name="engineSpeed_rpm" pointer="/fullLoad/engineSpeed_rpm" label="engine speed" of="full load" />
        <NumberField part="fullLoad" name="roadSpeed_km_h" pointer="/fullLoad/roadSpeed_km_h" label="road speed" of="full load" />
      </section>
      <BaySection />
      <GearingSection />
      <section v-for="f in filters" :key="f.at">
        <h2>Intake, option {{ build.letter }}{{ which(f.piece.name, filters.length) }}</h2>
        <TextField
          label="called"
          :pointer="`${at}${f.at}/name`"
          required
          :longest="60"
          :of="filters.length > 1 ? f.piece.name : 'filter'"
          :also="(name) => calledSo(build.option!, build.optionAt, f.piece.name, name)"
        />
        <NumberField
          part="filter"
          name="loss_kPa"
          :pointer="`${at}${f.at}/loss_kPa`"
          label="filter loss, clean"
          :of="filters.length > 1 ? f.piece.name : undefined"
        />
        <NumberField part="filter" name="flow_kg_s" :pointer="`${at}${f.at}/flow_kg_s`" of="filter" />
        <NumberField part="filter" name="dirtyLoss_kPa" :pointer="`${at}${f.at}/dirtyLoss_kPa`" optional :empty="`${2 * f.piece.loss_kPa} kPa`" />
        <NumberField part="filter" name="soiling_pct" :pointer="`${at}${f.at}/soiling_pct`" optional />
        <NumberField part="filter" name="heatGain_K" :pointer="`${at}${f.at}/heatGain_K`" :of="filters.length > 1 ? f.piece.name : undefined" />
        <ChoiceField
          label="draws from"
          :of="filters.length > 1 ? f.piece.name : 'filter'"
          :pointer="`${at}${f.at}/drawsFrom`"
          :choices="[...intakeFromWords]"
          fallback="outside"
        />
        <NumberField
          v-if="f.piece.drawsFrom === 'scoop' || f.piece.ram_pct !== undefined"
          part="filter"
          name="ram_pct"
          :pointer="`${at}${f.at}/ram_pct`"
          :of="filters.length > 1 ? f.piece.name : undefined"
          optional
          :empty="f.piece.drawsFrom === 'scoop' ? `${usual.filter.ram_pct} %` : undefined"
        />
        <NumberField
          v-if="build.document?.bay"
          part="filter"
          name="bayShare_pct"
          :pointer="`${at}${f.at}/bayShare_pct`"
          :of="filters.length > 1 ? f.piece.name : undefined"
          optional
        />
        <NumberField part="filter" name="bore_mm" :pointer="`${at}${f.at}/bore_mm`" :of="filters.length > 1 ? f.piece.name : undefined" />
      </section>
      <section v-for="p in plenums" :key="p.at">
        <h2>Plenum{{ which(p.piece.name, plenums.length) }}</h2>
        <TextField
          label="called"
          :pointer="`${at}${p.at}/name`"
          required
          :longest="60"
          :of="plenums.length > 1 ? p.piece.name : 'plenum'"
          :also="(name) => calledSo(build.option!, build.optionAt, p.piece.name, name)"
        />
        <NumberField part="plenum" name="bore_mm" :pointer="`${at}${p.at}/bore_mm`" :of="plenums.length > 1 ? p.piece.name : undefined" />
        <NumberField part="plenum" name="volume_L" :pointer="`${at}${p.at}/volume_L`" :of="plenums.length > 1 ? p.piece.name : undefined" optional />
        <PieceWall v-if="build.document!.bay" :piece="p.piece" :at="`${at}${p.at}`" />
        <p v-else class="said">Its metal counts where the engine bay is known.</p>
      </section>
      <section>
        <h2>Names</h2>
        <TextField label="Build" pointer="/name" required :longest="60" />
        <TextField label="In a line" pointer="/summary" />
        <TextField label="This option" :pointer="`${at}/name`" required :longest="60" />
      </section>
    </div>
    <BlowerMapPanel v-for="b in blowers" :key="b.at" :blower="b" />
  </div>
</template>

<style scoped>
.columns {
  columns: 3 220px;
  column-gap: 34px;
}
.columns section {
  break-inside: avoid;
  padding-bottom: 20px;
}
.said {
  padding: 7px 0 6px;
  color: var(--ink-2);
}
.said.worse {
  color: var(--heat-text);
  font-weight: 500;
}
.columns h2 {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
</style>
