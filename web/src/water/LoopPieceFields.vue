<script setup lang="ts">
import { computed } from 'vue'
import { useBuild } from '../build/store'
import type { FitView } from '../api/client'
import {
  corePortsFeedWords,
  corePortsLayoutWords,
  FITTINGS,
  hoseMakeWords,
  pipeMaterialWords,
  type LoopPiece,
  type PipePiece,
} from '../document/types'
import BendTable from '../pipes/BendTable.vue'
import { bendsOf, inBends } from '../pipes/laid'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import TextField from '../ui/TextField.vue'
import { isChamber } from './loop'
import { hoseCalledSo } from '../document/pieces'

/** What is known of a piece of a water loop, to type over; a pump with its curve. */
const props = defineProps<{
  piece: LoopPiece
  here: string
  /** On whose water it is. */
  core: string
  /** Of a hose how it is laid in the room. */
  laid?: FitView['pipes'][number]
  /** Its height where those of the loop are taken from the room. */
  height?: FitView['loops'][number]['heights'][number]
}>()
const build = useBuild()
const settings = useSettings()
const mm = (v: number) => spoken(v, 'mm', settings.units)
const heightLabel = computed(() => ({ hose: 'highest place', tank: 'water level' })[props.piece.kind as string] ?? 'height')

const yesNo = [
  { value: 'no', label: 'no' },
  { value: 'yes', label: 'yes' },
]
const isFitting = computed(() => (FITTINGS as readonly string[]).includes(props.piece.kind))

function flag(pointer: string, name: string, value: string): void {
  void build.act([{ pointer, value: value === 'yes' }], `${props.piece.name} ${name} ${value}`)
}

function takeOutPoint(k: number): void {
  if (props.piece.kind !== 'pump') return
  void build.act([{ row: `${props.here}/curve/#${props.piece.curve[k]!.id}`, out: true }], `${props.piece.name}: curve point ${k + 1} taken out`)
}

function addPoint(): void {
  if (props.piece.kind !== 'pump') return
  const last = props.piece.curve.at(-1)!
  const before = props.piece.curve.at(-2)!
  const mid = {
    flow_L_min: Math.round((last.flow_L_min + before.flow_L_min) * 5) / 10,
    pressure_kPa: Math.round((last.pressure_kPa + before.pressure_kPa) * 5) / 10,
  }
  void build.act([{ list: `${props.here}/curve`, put: mid, behind: before.id ?? null }], `${props.piece.name}: curve point added`)
}
</script>

<template>
  <div class="fields">
    <TextField
      label="name"
      :pointer="`${here}/name`"
      required
      :longest="60"
      :also="(name) => hoseCalledSo(build.option!, build.optionAt, core, piece.name, name)"
    />
    <p v-if="height && !height.typed" class="follows">
      <span>{{ heightLabel }}, from the room</span><b>{{ mm(height.up_mm) }}</b>
    </p>
    <NumberField v-else part="water/piece" name="height_mm" :pointer="`${here}/height_mm`" :of="piece.name" :label="heightLabel" />
    <NumberField v-if="!isChamber(piece.kind)" part="water/piece" name="bore_mm" :pointer="`${here}/bore_mm`" :of="piece.name" />
    <NumberField v-if="!isChamber(piece.kind)" part="water/piece" name="beside" :pointer="`${here}/beside`" :of="piece.name" optional empty="1" />
    <p v-if="laid" class="follows">
      <span>straight length, as laid</span><b>{{ mm(laid.straight_mm) }}</b>
    </p>
    <NumberField
      v-else-if="piece.kind === 'hose' || isFitting"
      part="water/piece"
      name="length_mm"
      :pointer="`${here}/length_mm`"
      :of="piece.name"
      :optional="piece.kind !== 'hose'"
      empty="0 mm"
    />
    <ChoiceField v-if="isFitting" label="kind" :pointer="`${here}/kind`" :choices="FITTINGS" :of="piece.name" />
    <ChoiceField
      v-if="piece.kind === 'hose'"
      label="material"
      :pointer="`${here}/material`"
      :choices="pipeMaterialWords"
      fallback="silicone"
      :of="piece.name"
    />
    <template v-if="piece.kind === 'hose'">
      <ChoiceField
        v-if="(piece.material ?? 'silicone') === 'silicone'"
        label="made"
        :pointer="`${here}/make`"
        :choices="hoseMakeWords"
        fallback="plain"
        :of="piece.name"
      />
      <NumberField
        part="water/piece"
        name="least_mm"
        :pointer="`${here}/least_mm`"
        :of="piece.name"
        optional
        :empty="laid ? mm(laid.usual_mm) : 'by its make'"
      />
      <NumberField part="water/piece" name="wrap_mm" :pointer="`${here}/wrap_mm`" :of="piece.name" optional empty="bare" />
    </template>
    <template v-if="piece.kind === 'core'">
      <ChoiceField label="water ports" :pointer="`${here}/ports`" :choices="corePortsLayoutWords" :of="piece.name" />
      <ChoiceField label="fed from the" :pointer="`${here}/fedFrom`" :choices="corePortsFeedWords" :of="piece.name" />
      <ChoiceField
        label="boss before the tubes"
        :pointer="`${here}/boss`"
        :choices="yesNo"
        :shown="piece.boss ? 'yes' : 'no'"
        :pick="(v) => flag(`${here}/boss`, 'boss before the tubes', v)"
        :of="piece.name"
      />
    </template>
    <template v-if="piece.kind === 'chiller'">
      <NumberField part="water/chiller" name="loss_kPa" :pointer="`${here}/loss_kPa`" :of="piece.name" />
      <NumberField part="water/chiller" name="flow_L_min" :pointer="`${here}/flow_L_min`" :of="piece.name" />
    </template>
    <template v-if="piece.kind === 'pump'">
      <NumberField part="water/pump" name="speed_pct" :pointer="`${here}/speed_pct`" :of="piece.name" optional empty="100 %" />
      <NumberField part="water/pump" name="drivenAt_rpm" :pointer="`${here}/drivenAt_rpm`" :of="piece.name" optional empty="own motor" />
      <NumberField part="water/pump" name="efficiency_pct" :pointer="`${here}/efficiency_pct`" :of="piece.name" optional />
    </template>
  </div>
  <p v-if="laid" class="fine">
    Laid in the room: {{ mm(laid.length_mm) }} along its middle with {{ inBends(bendsOf(laid).length) }}.
    <RouterLink :to="{ name: 'space', query: $route.query }" class="act">its corners on Space</RouterLink>
  </p>
  <BendTable v-if="piece.kind === 'hose' && !laid" :pipe="{ ...(piece as unknown as PipePiece), bends: piece.bends ?? [] }" :at="here" />
  <table v-if="piece.kind === 'pump'" class="figures curve">
    <thead>
      <tr>
        <th scope="col">point</th>
        <th scope="col">flow</th>
        <th scope="col">pressure</th>
        <th><button type="button" class="act" @click="addPoint">add a point</button></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(c, k) in piece.curve" :key="c.id ?? k">
        <th scope="row">{{ k + 1 }}</th>
        <td>
          <NumberField
            part="water/pump/curve"
            name="flow_L_min"
            :pointer="`${here}/curve/#${c.id}/flow_L_min`"
            :of="`${piece.name} point ${k + 1}`"
            bare
          />
        </td>
        <td>
          <NumberField
            part="water/pump/curve"
            name="pressure_kPa"
            :pointer="`${here}/curve/#${c.id}/pressure_kPa`"
            :of="`${piece.name} point ${k + 1}`"
            bare
          />
        </td>
        <td>
          <button v-if="piece.curve.length > 2" type="button" class="act" :aria-label="`Take out point ${k + 1}`" @click="takeOutPoint(k)">
            take out
          </button>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  column-gap: 26px;
}
.curve {
  margin-top: 10px;
}
.fine {
  padding-top: 10px;
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
