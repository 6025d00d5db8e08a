<script setup lang="ts">
import { allPieces } from '../api/pieces'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { CatalogueItem } from '../api/client'
import { useBuild } from '../build/store'
import CataloguePicker from '../catalogue/CataloguePicker.vue'
import { calledSo, ofKind, usualBlock, usualBrick } from '../document/pieces'
import { effectivenessWords, finnedBlockConstructionWords } from '../document/types'
import { change, spoken } from '../quantity/catalogue'
import KnowButton from '../reasons/KnowButton.vue'
import { useSettings } from '../settings/store'
import { sinkName } from '../verdict/shares'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import TextField from '../ui/TextField.vue'
import CoolAnotherWay from './CoolAnotherWay.vue'
import CoreDrawing from './CoreDrawing.vue'
import CoreStepsTable from './CoreStepsTable.vue'
import { turned, turnedTo } from './drawing'
import FinFields from './FinFields.vue'
import RatingCardFields from './RatingCardFields.vue'
import TankFields from './TankFields.vue'
import ResistanceBar from './ResistanceBar.vue'
import EitherOr from '../ui/EitherOr.vue'

/** A core: its size, tanks and ports, how it is known, what it does at full load, where the resistance is and what a little more would do. */
const build = useBuild()
const settings = useSettings()
const picking = ref(false)
const route = useRoute()
const router = useRouter()
const cores = computed(() => ofKind(build.option!, 'core'))
const chosen = computed(() => cores.value.find((c) => c.at === route.query.piece) ?? cores.value.at(-1))
const core = computed(() => chosen.value?.piece)
const place = computed(() => chosen.value?.place ?? '')
const named = computed(() => chosen.value?.at ?? '')
const at = computed(() => `${build.optionAt}${named.value}`)
const view = computed(() => build.answer?.steady?.cores.find((c) => c.place === place.value))
const waterFlow = computed(() => build.answer?.steady?.loops.flatMap((l) => l.cores).find((c) => c.place === place.value)?.flow_L_min ?? 0)
/** The core whose loop it hangs on: itself, or another. */
const lead = computed(() => cores.value.find((c) => c.piece.name === core.value?.sharesLoop?.core) ?? chosen.value)
const way = computed(() => build.option?.airWays?.find((w) => w.layers.some((l) => l.kind === 'core' && l.name === core.value?.name)))
/** The same core in the other answer: by name, for places shift when pieces are put in. */
const was = computed(() => build.ghost?.answer.steady?.cores.find((c) => c.name === core.value?.name))
const loss = (steady: typeof build.answer | undefined) =>
  allPieces(steady?.steady?.pieces ?? []).find((p) => p.kind === 'core' && p.name === core.value?.name)?.loss_kPa

const ways = [
  { value: 'card', label: 'rating card' },
  { value: 'block', label: 'geometry' },
] as const

interface Line {
  name: string
  value: string
  delta: string
  better: boolean
}

const lines = computed<Line[]>(() => {
  const c = view.value
  if (!c) return []
  const g = was.value
  const one = (name: string, value: string, now: number, then: number | undefined, text: (d: number) => string, lowIsGood: boolean): Line => {
    const d = then === undefined ? 0 : now - then
    return { name, value, delta: text(d), better: lowIsGood ? d < 0 : d > 0 }
  }
  const percent = (d: number) => (Math.abs(d) < 0.005 ? '' : `${d > 0 ? '+' : '−'}${Math.abs(100 * d).toFixed(0)} %`)
  const kelvin = (d: number) => change(d, 'K', settings.units)
  const lost = loss(build.answer) ?? 0
  const list = [
    one('charge in', spoken(c.chargeIn_C, 'C', settings.units), c.chargeIn_C, g?.chargeIn_C, kelvin, true),
    one('charge out', spoken(c.chargeOut_C, 'C', settings.units), c.chargeOut_C, g?.chargeOut_C, kelvin, true),
    one('way down to outside air', `${(100 * c.recovered).toFixed(0)} %`, c.recovered, g?.recovered, percent, false),
    one(
      'loss, port to port',
      spoken(lost, 'kPa', settings.units, 2),
      lost,
      loss(build.ghost?.answer),
      (d) => change(d, 'kPa', settings.units, 2),
      true,
    ),
    one('heat moved', spoken(c.heat_kW, 'kW', settings.units), c.heat_kW, g?.heat_kW, (d) => change(d, 'kW', settings.units), false),
    one(
      c.cooledBy === 'air' ? 'cooling air leaves at' : 'water in',
      spoken(c.cooledBy === 'air' ? c.coldOut_C : c.coldIn_C, 'C', settings.units),
      c.coldIn_C,
      g?.coldIn_C,
      c.cooledBy === 'air' ? () => '' : kelvin,
      true,
    ),
    one('metal', spoken(c.metalMass_kg, 'kg', settings.units), c.metalMass_kg, g?.metalMass_kg, (d) => change(d, 'kg', settings.units), true),
    one('dew point inside', spoken(c.condensate.dewPoint_C, 'C', settings.units, 0), 0, undefined, () => '', true),
  ]
  if (c.condensate.flow_g_s > 0.001)
    list.push(one('water comes out', `${(3.6 * c.condensate.flow_g_s).toFixed(2)} kg/h`, 0, undefined, () => '', true))
  if (c.geometry) list.push(one('uneven feed', `${c.geometry.spread_pct.toFixed(0)} %`, 0, undefined, () => '', true))
  return list
})

function choose(p: string): void {
  void router.replace({ query: { ...route.query, piece: p } })
}

function turn(): void {
  const side = turned(core.value!.inletTowards ?? 'right')
  void build.act(turnedTo(core.value!, at.value, side), `${core.value!.name} turned, inlet ${side}`)
}

/** Known another way: the card is kept aside in the history, not thrown away. */
function know(how: 'card' | 'block'): void {
  const c = core.value!
  if ((how === 'block') === Boolean(c.block)) return
  const edits =
    how === 'block'
      ? [
          { pointer: `${at.value}/card`, value: undefined },
          { pointer: `${at.value}/block`, value: c.cooledBy === 'air' ? usualBlock() : usualBrick() },
        ]
      : [
          { pointer: `${at.value}/block`, value: undefined },
          { pointer: `${at.value}/card`, value: cardFromAnswer() },
        ]
  void build.act(edits, `${c.name} known by its ${how === 'block' ? 'geometry' : 'rating card'}`)
}

/** A card filled in with what the core does now, to be corrected from the maker's. */
function cardFromAnswer(): unknown {
  const c = core.value!
  const v = view.value
  const round = (x: number, digits: number) => Number(x.toFixed(digits))
  const coldSide = c.cooledBy === 'air' ? { airSpeed_m_s: round(v?.faceSpeed_m_s ?? 8, 1) } : { waterFlow_L_min: round(waterFlow.value || 20, 1) }
  return {
    width_mm: c.width_mm,
    height_mm: c.height_mm,
    depth_mm: c.depth_mm,
    mass_kg: round(v?.metalMass_kg ?? 6, 1),
    chargeFlow_kg_s: round(v?.chargeFlow_kg_s ?? 0.2, 3),
    chargePressure_kPa: 200,
    chargeIn_C: round(v?.chargeIn_C ?? 140, 0),
    chargeOut_C: round(v?.chargeOut_C ?? 45, 0),
    loss_kPa: round(loss(build.answer) ?? 3.5, 2),
    coolantIn_C: round(v?.coldIn_C ?? 25, 0),
    ...coldSide,
    chargeShare_pct: c.cooledBy === 'air' ? 35 : 75,
    wallShare_pct: 3,
  }
}

/** The item's figures over the core's; what cools it stays. */
function take(item: CatalogueItem): void {
  const figures = { ...item.figures }
  delete figures.cooledBy
  const edits = Object.entries(figures).map(([key, value]) => ({ pointer: `${at.value}/${key}`, value }))
  if (figures.block) edits.push({ pointer: `${at.value}/card`, value: undefined })
  if (figures.card) edits.push({ pointer: `${at.value}/block`, value: undefined })
  void build.act(edits, `${core.value!.name}: ${item.name} from the catalogue`)
}
</script>

<template>
  <div class="paper">
    <p v-if="!core" class="none">
      This option has no core. <CoolAnotherWay :only="['air to air', 'water and radiator', 'ice tank', 'chilled water', 'raw water']" />
    </p>
    <template v-else>
      <EitherOr
        v-if="cores.length > 1"
        class="which"
        of="Cores"
        :choices="cores.map((c) => ({ value: c.at, label: c.piece.name }))"
        :value="named"
        @pick="choose"
      />
      <div class="top">
        <section>
          <h2>{{ core.name }}, option {{ build.letter }}: {{ core.construction }}</h2>
          <p class="from spread"><button type="button" class="act" @click="picking = true">from the catalogue</button><CoolAnotherWay /></p>
          <TextField
            label="called"
            :pointer="`${at}/name`"
            required
            :longest="60"
            of="core"
            :also="(name) => calledSo(build.option!, build.optionAt, core!.name, name)"
          />
          <NumberField part="core" name="width_mm" :pointer="`${at}/width_mm`" />
          <NumberField part="core" name="height_mm" :pointer="`${at}/height_mm`" />
          <NumberField part="core" name="depth_mm" :pointer="`${at}/depth_mm`" />
          <ChoiceField label="arrangement" :pointer="`${at}/arrangement`" :choices="effectivenessWords" fallback="crossflow" :of="core.name" />
          <template v-if="core.cooledBy === 'air' && !way">
            <NumberField part="core/air" name="faceShare_pct" :pointer="`${at}/air/faceShare_pct`" />
            <NumberField part="core/air" name="standstill_m_s" :pointer="`${at}/air/standstill_m_s`" />
          </template>
          <p class="from">
            <template v-if="core.cooledBy === 'air'">
              {{ way ? `air through "${way.name}"` : 'opening, stack, exit' }}
              <RouterLink class="act" :to="{ name: 'space', params: route.params, query: route.query }">on Space</RouterLink>
            </template>
            <template v-else>
              water {{ spoken(waterFlow, 'L_min', settings.units) }}{{ core.sharesLoop ? ` of the ${core.sharesLoop.core}'s loop` : '' }}
              <RouterLink class="act" :to="{ name: 'water', params: route.params, query: { ...route.query, piece: lead?.at } }">on Water</RouterLink>
            </template>
          </p>
        </section>
        <figure class="drawing">
          <CoreDrawing :core="core" :view="view"><button type="button" class="act" @click="turn">turn it</button></CoreDrawing>
        </figure>
        <section>
          <h2>At full load <KnowButton :subject="place" :of="core.name" /></h2>
          <dl class="lines">
            <div v-for="l in lines" :key="l.name">
              <dt>{{ l.name }}</dt>
              <dd>
                <span v-if="l.delta" class="delta" :class="l.better ? 'better' : 'worse'">{{ l.delta }}</span>{{ l.value }}
              </dd>
            </div>
          </dl>
        </section>
      </div>
      <section v-if="view" class="where">
        <h2>Where the resistance is, from charge to outside air</h2>
        <ResistanceBar :shares="view.shares" :cooled-by="view.cooledBy" :sink="sinkName(build.answer?.steady, place)" />
      </section>
      <div class="pair">
        <CoreStepsTable :place="place" />
        <TankFields :core="core" :at="at" />
      </div>
      <section class="known">
        <h2 class="tabs">
          <span>Known by</span>
          <EitherOr of="Known by" :choices="ways" :value="core.card ? 'card' : 'block'" @pick="know" />
        </h2>
        <RatingCardFields v-if="core.card" :core="core" :view="view" :pointer="`${at}/card`" />
        <div v-else-if="core.block" class="block">
          <FinFields title="Charge fin" :fin="core.block.chargeFin" :pointer="`${at}/block/chargeFin`" />
          <FinFields :title="core.cooledBy === 'air' ? 'Cooling fin' : 'Water fin'" :fin="core.block.coldFin" :pointer="`${at}/block/coldFin`" />
          <section>
            <h2>Layers</h2>
            <ChoiceField label="construction" :pointer="`${at}/block/layers`" :choices="finnedBlockConstructionWords" :of="core.name" />
            <NumberField
              v-for="key in ['plate_mm', 'bar_mm', 'conductivity_W_mK', 'chargeFouling_m2K_kW', 'coldFouling_m2K_kW']"
              :key="key"
              part="core/block"
              :name="key"
              :pointer="`${at}/block/${key}`"
              :optional="key.includes('ouling') || key.startsWith('cond')"
            />
            <p v-if="view?.geometry" class="fine">
              {{ view.geometry.layers }} charge layers, one every {{ view.geometry.layerStep_mm.toFixed(1) }} mm;
              {{ view.geometry.chargeArea_m2.toFixed(2) }} m² inside, {{ view.geometry.coldArea_m2.toFixed(2) }} m² outside.
            </p>
          </section>
        </div>
      </section>
      <CataloguePicker v-model:visible="picking" kind="core" :only="(i) => i.figures.cooledBy === core!.cooledBy" @choose="take" />
    </template>
  </div>
</template>

<style scoped>
.which {
  padding-bottom: 12px;
}
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
.delta {
  margin-right: 8px;
  font-size: var(--s1);
  font-weight: 700;
}
.where,
.known {
  padding-top: 18px;
}
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 232px;
  gap: 30px;
  padding-top: 18px;
}
.tabs {
  display: flex;
  gap: 16px;
  align-items: baseline;
}
.block {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 30px;
  padding-top: 12px;
}
.from {
  padding: 7px 0;
  border-bottom: 1px solid var(--hair);
}
.from.spread {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
}
.none {
  padding: 8px 0;
}
.from .act {
  font-weight: 500;
}
.from.spread > .act {
  min-height: 24px;
}
.fine {
  padding-top: 8px;
  font-size: var(--s1);
  color: var(--ink-2);
}
@media (max-width: 1180px) {
  .top {
    grid-template-columns: minmax(220px, 1fr) minmax(220px, 1fr);
  }
  .drawing {
    order: 3;
    grid-column: 1 / -1;
  }
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
  .block {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
