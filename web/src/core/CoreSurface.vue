<script setup lang="ts">
import { computed, ref } from 'vue'
import { useBuild } from '../build/store'
import type { CorePiece } from '../document/types'
import { change, figure, spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import NumberField from '../ui/NumberField.vue'
import CoreDrawing from './CoreDrawing.vue'
import ResistanceBar from './ResistanceBar.vue'

/** The core: its size and card, what it does at full load, and where the resistance is. */
const build = useBuild()
const settings = useSettings()
const index = computed(() => build.option!.path.findIndex((p) => p.kind === 'core'))
const core = computed(() => build.option!.path[index.value] as CorePiece | undefined)
const at = computed(() => `/options/${build.optionIndex}/path/${index.value}`)
const view = computed(() => build.answer?.steady?.core)
const was = computed(() => build.ghost?.answer.steady)
const card = ref(true)

interface Line {
  name: string
  value: string
  delta: string
  better: boolean
}

const lines = computed<Line[]>(() => {
  const s = build.answer?.steady
  const c = view.value
  if (!s || !c) return []
  const g = was.value
  const gc = g?.core
  const loss = s.pieces[c.piece]!.loss_kPa
  const one = (name: string, value: string, now: number, then: number | undefined, text: (d: number) => string, lowIsGood: boolean): Line => {
    const d = then === undefined ? 0 : now - then
    return { name, value, delta: text(d), better: lowIsGood ? d < 0 : d > 0 }
  }
  const percent = (d: number) => (Math.abs(d) < 0.005 ? '' : `${d > 0 ? '+' : '−'}${Math.abs(100 * d).toFixed(0)} %`)
  const kelvin = (d: number) => change(d, 'K', settings.units)
  return [
    one('charge out', spoken(s.stations[c.piece + 1]!.temperature_C, 'C', settings.units), s.stations[c.piece + 1]!.temperature_C, g?.stations[c.piece + 1]?.temperature_C, kelvin, true),
    one('way down to outside air', `${(100 * c.recovered).toFixed(0)} %`, c.recovered, gc?.recovered, percent, false),
    one('loss, port to port', spoken(loss, 'kPa', settings.units, 2), loss, gc ? g?.pieces[gc.piece]?.loss_kPa : undefined, (d) => change(d, 'kPa', settings.units, 2), true),
    one('heat moved', spoken(c.heat_kW, 'kW', settings.units), c.heat_kW, gc?.heat_kW, (d) => change(d, 'kW', settings.units), false),
    one(c.cooledBy === 'air' ? 'cooling air leaves at' : 'water in', spoken(c.cooledBy === 'air' ? c.coldOut_C : c.coldIn_C, 'C', settings.units), c.coldIn_C, gc?.coldIn_C, c.cooledBy === 'air' ? () => '' : kelvin, true),
    one('metal', spoken(c.metalMass_kg, 'kg', settings.units), c.metalMass_kg, gc?.metalMass_kg, (d) => change(d, 'kg', settings.units), true),
  ]
})

const trust = computed(() => {
  const c = view.value
  if (!c) return []
  const row = (name: string, ratio: number, low: number, high: number) => ({ name, ratio: ratio.toFixed(2), ok: ratio >= low && ratio <= high, range: `${low} to ${high}` })
  return [row('charge flow', c.chargeFlowRatio, 0.3, 1.8), row('cooling flow', c.coldFlowRatio, 0.3, 1.8), row('core volume', c.volumeRatio, 0.5, 2)]
})
</script>

<template>
  <div class="paper">
    <p v-if="!core">This option has no core.</p>
    <template v-else>
      <div class="top">
        <section>
          <h2>Core, option {{ build.letter }}: {{ core.construction }}</h2>
          <NumberField part="core" name="width_mm" :pointer="`${at}/width_mm`" />
          <NumberField part="core" name="height_mm" :pointer="`${at}/height_mm`" />
          <NumberField part="core" name="depth_mm" :pointer="`${at}/depth_mm`" />
          <NumberField part="core" name="portBore_mm" :pointer="`${at}/portBore_mm`" />
          <template v-if="core.cooledBy === 'air'">
            <NumberField part="core/air" name="faceShare_pct" :pointer="`${at}/air/faceShare_pct`" />
            <NumberField part="core/air" name="standstill_m_s" :pointer="`${at}/air/standstill_m_s`" />
          </template>
          <template v-else>
            <NumberField part="core/water" name="flow_L_min" :pointer="`${at}/water/flow_L_min`" />
            <NumberField part="core/water" name="volume_L" :pointer="`${at}/water/volume_L`" />
          </template>
        </section>
        <figure class="drawing">
          <CoreDrawing :core="core" :steady="build.answer?.steady ?? undefined" />
        </figure>
        <section>
          <h2>At full load</h2>
          <dl>
            <div v-for="l in lines" :key="l.name">
              <dt>{{ l.name }}</dt>
              <dd><span v-if="l.delta" class="delta" :class="l.better ? 'better' : 'worse'">{{ l.delta }}</span>{{ l.value }}</dd>
            </div>
          </dl>
        </section>
      </div>
      <section v-if="view" class="where">
        <h2>Where the resistance is, from charge to outside air</h2>
        <ResistanceBar :shares="view.shares" :cooled-by="view.cooledBy" />
      </section>
      <div class="below">
        <section>
          <h2>
            <button type="button" class="act" :aria-expanded="card" @click="card = !card">{{ card ? 'Put the rating card away' : 'Show the rating card' }}</button>
            <span class="said">
              {{ spoken(core.card.chargeFlow_kg_s!, 'kg_s', settings.units) }} charge, {{ figure(core.card.chargeIn_C!, 'C', settings.units, 0).figure }} → {{ spoken(core.card.chargeOut_C!, 'C', settings.units, 0) }}, costs
              {{ spoken(core.card.loss_kPa!, 'kPa', settings.units) }}
            </span>
          </h2>
          <div v-if="card" class="card">
            <NumberField v-for="key in ['width_mm', 'height_mm', 'depth_mm', 'mass_kg', 'chargeFlow_kg_s', 'chargePressure_kPa', 'chargeIn_C', 'chargeOut_C', 'loss_kPa', core.cooledBy === 'air' ? 'airSpeed_m_s' : 'waterFlow_L_min', 'coolantIn_C', 'chargeShare_pct', 'wallShare_pct']" :key="key" part="core/card" :name="key" :pointer="`${at}/card/${key}`" />
          </div>
        </section>
        <section>
          <h2>How far this is from the card</h2>
          <dl>
            <div v-for="t in trust" :key="t.name">
              <dt>{{ t.name }}, trusted {{ t.range }}</dt>
              <dd :class="{ worse: !t.ok }">{{ t.ratio }} times</dd>
            </div>
          </dl>
        </section>
      </div>
      <section v-if="core.cooledBy === 'water'" class="radiator">
        <h2>Low-temperature radiator</h2>
        <div class="card">
          <NumberField v-for="key in ['width_mm', 'height_mm', 'depth_mm', 'heat_kW', 'waterFlow_L_min', 'waterIn_C', 'airSpeed_m_s', 'airIn_C']" :key="key" part="core/water/radiator" :name="key" :pointer="`${at}/water/radiator/${key}`" />
          <NumberField part="core/air" name="faceShare_pct" :pointer="`${at}/water/radiator/air/faceShare_pct`" of="radiator" label="radiator face air share" />
          <NumberField part="core/air" name="standstill_m_s" :pointer="`${at}/water/radiator/air/standstill_m_s`" of="radiator" label="radiator face air standing" />
        </div>
      </section>
    </template>
  </div>
</template>

<style scoped>
.top {
  display: grid;
  grid-template-columns: 214px minmax(240px, 1fr) 232px;
  gap: 24px;
}
h2 {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.drawing {
  margin: 6px 0 0;
  min-width: 0;
}
dl {
  margin: 0;
}
dl div {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  min-height: 34px;
  padding: 7px 0;
  border-bottom: 1px solid var(--hair);
}
dt {
  color: var(--ink-2);
}
dd {
  margin: 0;
  font-weight: 600;
}
.delta {
  margin-right: 8px;
  font-size: var(--s1);
  font-weight: 700;
}
.where {
  padding-top: 18px;
}
.below {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 250px;
  gap: 30px;
  padding-top: 18px;
}
.said {
  margin-left: 10px;
  font-weight: 400;
}
.card {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  column-gap: 30px;
}
.radiator {
  padding-top: 18px;
}
@media (max-width: 1180px) {
  .top {
    grid-template-columns: minmax(220px, 1fr) minmax(220px, 1fr);
  }
  .drawing {
    order: 3;
    grid-column: 1 / -1;
  }
}
</style>
