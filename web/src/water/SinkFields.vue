<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import type { LoopView } from '../api/client'
import { useBuild } from '../build/store'
import { iceStirWords, type WaterLoop } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import EitherOr from '../ui/EitherOr.vue'

/** The coolant and what takes its heat: radiator, tank and ice, chiller, the sea. */
const props = defineProps<{ loop: WaterLoop; view?: LoopView; at: string; core: string }>()
defineEmits<{ findFlow: [] }>()
const build = useBuild()
const settings = useSettings()
const route = useRoute()
const ways = [
  { value: 'card', label: 'card' },
  { value: 'tubes', label: 'geometry' },
] as const
const yesNo = [
  { value: 'no', label: 'no' },
  { value: 'yes', label: 'yes' },
]
const way = computed(() => build.option?.airWays?.find((w) => w.layers.some((l) => l.kind === 'radiator' && l.name === props.core)))

function flag(key: string, words: string, value: string): void {
  void build.act([{ pointer: `${props.at}/${key}`, value: value === 'yes' }], `${props.core}, water: ${words} ${value}`)
}

/** By geometry: a usual flat-tube block; back to the card: what it moves now. */
function know(how: 'card' | 'tubes'): void {
  const r = props.loop.radiator!
  if ((how === 'tubes') === Boolean(r.tubes)) return
  const keep = { width_mm: r.width_mm, height_mm: r.height_mm, depth_mm: r.depth_mm, ...(r.air ? { air: r.air } : {}) }
  const next =
    how === 'tubes'
      ? {
          ...keep,
          tubes: {
            fin: { type: 'louvred', gap_mm: 8, pitch_mm: 1.6, thickness_mm: 0.1, interval_mm: 1.2, louvreAngle_deg: 27 },
            tubeHeight_mm: 2,
            tubeWall_mm: 0.3,
            passes: 1,
          },
        }
      : {
          ...keep,
          heat_kW: Number((props.view?.radiator?.heat_kW ?? 12).toFixed(1)),
          waterFlow_L_min: Math.round(props.view?.flow_L_min ?? 20),
          waterIn_C: Math.round(props.view?.waterOut_C ?? 60),
          airSpeed_m_s: Number((props.view?.radiator?.faceSpeed_m_s ?? 5).toFixed(1)),
          airIn_C: Math.round(props.view?.radiator?.airIn_C ?? 25),
        }
  void build.act([{ pointer: `${props.at}/radiator`, value: next }], `radiator known by its ${how === 'tubes' ? 'geometry' : 'card'}`)
}
</script>

<template>
  <div class="sinks">
    <section>
      <h2>Coolant</h2>
      <NumberField part="core/water" name="glycol_pct" :pointer="`${at}/glycol_pct`" optional empty="0 %" />
      <NumberField part="core/water" name="volume_L" :pointer="`${at}/volume_L`" />
      <NumberField part="core/water" name="soak_W_K" :pointer="`${at}/soak_W_K`" optional empty="not counted" />
      <NumberField part="core/water" name="flow_L_min" :pointer="`${at}/flow_L_min`" :optional="!!loop.pieces?.length" empty="from the pump" />
      <ChoiceField
        v-if="loop.flow_L_min !== undefined"
        label="flow given is"
        :pointer="`${at}/flowGuessed`"
        :choices="[
          { value: 'no', label: 'measured' },
          { value: 'yes', label: 'a guess' },
        ]"
        :shown="loop.flowGuessed ? 'yes' : 'no'"
        :pick="(v) => flag('flowGuessed', 'flow a guess', v)"
        of="water"
      />
      <ChoiceField
        label="pumps while engine off"
        :pointer="`${at}/pumpsWhileOff`"
        :choices="yesNo"
        :shown="loop.pumpsWhileOff === false ? 'no' : 'yes'"
        :pick="(v) => flag('pumpsWhileOff', 'pumps on while the engine is off', v)"
        of="water"
      />
      <p v-if="view" class="fine">
        Freezes at {{ spoken(view.freezing_C, 'C', settings.units, 0) }}, boils at {{ spoken(view.boiling_C, 'C', settings.units, 0)
        }}{{ loop.tank?.cap_kPa ? ' under its cap' : '' }}.
        <button v-if="view.measured && loop.pieces?.length" type="button" class="act" @click="$emit('findFlow')">find the flow from the pump</button>
      </p>
    </section>
    <section v-if="loop.tank">
      <h2>Tank</h2>
      <NumberField part="core/water/tank" name="holds_L" :pointer="`${at}/tank/holds_L`" />
      <NumberField part="core/water/tank" name="cap_kPa" :pointer="`${at}/tank/cap_kPa`" optional empty="open" />
      <NumberField part="core/water/tank" name="start_C" :pointer="`${at}/tank/start_C`" optional empty="as soaked" />
      <NumberField part="core/water/tank" name="ice_kg" :pointer="`${at}/tank/ice_kg`" optional empty="none" />
      <template v-if="loop.tank.ice_kg">
        <NumberField part="core/water/tank" name="icePiece_mm" :pointer="`${at}/tank/icePiece_mm`" optional />
        <ChoiceField label="stirred" :pointer="`${at}/tank/stirred`" :choices="iceStirWords" fallback="returned over the ice" of="ice" />
        <ChoiceField
          label="topped up each run"
          :pointer="`${at}/tank/refilled`"
          :choices="yesNo"
          :shown="loop.tank.refilled ? 'yes' : 'no'"
          :pick="(v) => flag('tank/refilled', 'ice topped up each run', v)"
          of="ice"
        />
      </template>
      <ChoiceField
        label="baffled"
        :pointer="`${at}/tank/baffled`"
        :choices="yesNo"
        :shown="loop.tank.baffled ? 'yes' : 'no'"
        :pick="(v) => flag('tank/baffled', 'tank baffled', v)"
        of="tank"
      />
    </section>
    <section v-if="loop.chiller">
      <h2>Chiller</h2>
      <NumberField
        v-for="key in ['capacity_kW', 'coldest_C', 'dropOutBoost_kPa']"
        :key="key"
        part="core/water/chiller"
        :name="key"
        :pointer="`${at}/chiller/${key}`"
      />
      <ChoiceField
        label="works while waiting"
        :pointer="`${at}/chiller/whileWaiting`"
        :choices="yesNo"
        :shown="loop.chiller.whileWaiting ? 'yes' : 'no'"
        :pick="(v) => flag('chiller/whileWaiting', 'chiller works while waiting', v)"
        of="chiller"
      />
      <p class="fine">Refrigerant is for licensed hands only.</p>
    </section>
    <section v-if="loop.raw">
      <h2>Raw water</h2>
      <NumberField part="core/water/raw" name="temperature_C" :pointer="`${at}/raw/temperature_C`" />
      <NumberField part="core/water/raw" name="fouling_m2K_kW" :pointer="`${at}/raw/fouling_m2K_kW`" optional empty="clean" />
    </section>
    <section v-if="loop.radiator" class="wide">
      <h2 class="tabs">
        <span>Radiator, by its</span>
        <EitherOr of="Radiator known by its" :choices="ways" :value="loop.radiator.tubes ? 'tubes' : 'card'" @pick="know" />
      </h2>
      <div class="card">
        <NumberField
          v-for="key in ['width_mm', 'height_mm', 'depth_mm']"
          :key="key"
          part="core/water/radiator"
          :name="key"
          :pointer="`${at}/radiator/${key}`"
        />
        <template v-if="loop.radiator.tubes">
          <NumberField
            v-for="key in ['tubeHeight_mm', 'tubeWall_mm']"
            :key="key"
            part="core/water/radiator/tubes"
            :name="key"
            :pointer="`${at}/radiator/tubes/${key}`"
          />
          <NumberField part="core/water/radiator/tubes" name="passes" :pointer="`${at}/radiator/tubes/passes`" optional empty="1" />
          <NumberField
            v-for="key in ['gap_mm', 'pitch_mm', 'thickness_mm', 'interval_mm', 'louvreAngle_deg']"
            :key="key"
            part="core/block/fin"
            :name="key"
            :pointer="`${at}/radiator/tubes/fin/${key}`"
            of="radiator"
          />
        </template>
        <template v-else>
          <NumberField
            v-for="key in ['heat_kW', 'waterFlow_L_min', 'waterIn_C', 'airSpeed_m_s', 'airIn_C']"
            :key="key"
            part="core/water/radiator"
            :name="key"
            :pointer="`${at}/radiator/${key}`"
          />
          <NumberField
            v-for="key in ['cardWidth_mm', 'cardHeight_mm', 'cardDepth_mm']"
            :key="key"
            part="core/water/radiator"
            :name="key"
            :pointer="`${at}/radiator/${key}`"
            optional
            empty="the same"
          />
          <NumberField
            v-for="key in ['waterLoss_kPa', 'airLoss_Pa']"
            :key="key"
            part="core/water/radiator"
            :name="key"
            :pointer="`${at}/radiator/${key}`"
            optional
            empty="usual"
          />
        </template>
      </div>
      <p v-if="way" class="fine">
        Its air comes through "{{ way.name }}"<template v-if="view?.radiator"
          >: {{ spoken(view.radiator.faceSpeed_m_s, 'm_s', settings.units) }} at the face,
          {{ spoken(view.radiator.airIn_C, 'C', settings.units) }} in, {{ spoken(view.radiator.airOut_C, 'C', settings.units) }} out</template
        >.
        <RouterLink class="act" :to="{ name: 'space', params: route.params, query: route.query }">on Space</RouterLink>
      </p>
      <div v-else class="card">
        <NumberField
          part="core/air"
          name="faceShare_pct"
          :pointer="`${at}/radiator/air/faceShare_pct`"
          of="radiator"
          label="radiator face air share"
        />
        <NumberField
          part="core/air"
          name="standstill_m_s"
          :pointer="`${at}/radiator/air/standstill_m_s`"
          of="radiator"
          label="radiator face air standing"
        />
      </div>
    </section>
  </div>
</template>

<style scoped>
.sinks {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 22px 34px;
  padding-top: 22px;
}
.wide {
  grid-column: 1 / -1;
}
.card {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  column-gap: 30px;
}
.tabs {
  display: flex;
  gap: 16px;
  align-items: baseline;
}
.fine {
  padding-top: 6px;
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
