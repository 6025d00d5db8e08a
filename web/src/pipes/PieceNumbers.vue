<script setup lang="ts">
import { calledSo } from '../document/pieces'
import { computed, ref } from 'vue'
import type { CatalogueItem } from '../api/client'
import { useBuild } from '../build/store'
import CataloguePicker from '../catalogue/CataloguePicker.vue'
import { boreOf, ofMaterial, sizeKey } from '../document/tube'
import { stockWall, usual, type Piece, type PipeMaterial } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { clock } from '../quantity/time'
import { useSettings } from '../settings/store'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import TextField from '../ui/TextField.vue'
import { laidAs } from './laid'
import PieceWall from './PieceWall.vue'

/** The numbers of one piece that is not a core. */
const props = defineProps<{ piece: Piece; place: string; at: string }>()
const build = useBuild()
const settings = useSettings()
const materials = [
  { value: 'aluminium', label: 'drawn aluminium' },
  { value: 'steel', label: 'mild steel' },
  { value: 'stainless', label: 'stainless' },
  { value: 'silicone', label: 'silicone hose' },
]

/** Keys of a kind in the order they are asked. */
const KEYS: Record<string, string[]> = {
  pipe: ['length_mm'],
  reducer: ['inletBore_mm', 'bore_mm', 'length_mm'],
  joint: ['bore_mm', 'hoseBore_mm', 'gap_mm'],
  throttle: ['bore_mm', 'shaft_mm'],
  injection: [
    'bore_mm',
    'nozzleFlow_L_min',
    'ratedPressure_kPa',
    'pumpPressure_kPa',
    'alcohol_pct',
    'startBoost_kPa',
    'fullBoost_kPa',
    'tank_L',
    'evaporated_pct',
  ],
  filter: ['bore_mm', 'loss_kPa', 'flow_kg_s', 'heatGain_K', 'dirtyLoss_kPa', 'soiling_pct'],
  plenum: ['bore_mm', 'volume_L'],
  pair: [],
}
/** The length of a pipe that is laid is not typed. */
const laid = computed(() => (props.piece.kind === 'pipe' ? laidAs(props.piece, build.answer?.fit) : undefined))
const keys = computed(() => (laid.value ? [] : (KEYS[props.piece.kind] ?? [])))
const joined = computed(() => props.piece.kind === 'pair' && props.piece.legs.every((l) => l.path.at(-1)?.kind === 'plenum'))
const first = computed(() => props.place === '/path/0')
/** Between the two plenums. */
function balance(): void {
  const has = props.piece.kind === 'pair' && props.piece.balance
  void build.act(
    [{ pointer: `${props.at}/balance`, value: has ? undefined : { ...usual['pair/balance'] } }],
    `${props.piece.name}: balance tube ${has ? 'out' : 'in'}`,
  )
}

const picking = ref(false)
const spray = computed(() => {
  const s = build.answer?.steady?.spray
  if (!s) return ''
  return `${spoken(s.flow_L_min, 'L_min', settings.units, 2)} at full load${s.tankLasts_s == null ? '' : `: the tank lasts ${clock(s.tankLasts_s)}`}.`
})
const inCatalogue = computed(() => ['pipe', 'joint', 'reducer', 'filter'].includes(props.piece.kind))

function pickMaterial(material: PipeMaterial): void {
  if (props.piece.kind !== 'pipe' || props.piece.material === material) return
  void build.act(ofMaterial(props.piece, props.at, material), `${props.piece.name} material ${material}`)
}

function take(item: CatalogueItem): void {
  // A pipe is known by one size: the other goes.
  const sizes = props.piece.kind === 'pipe' ? { outside_mm: undefined, bore_mm: undefined } : {}
  const edits = Object.entries({ ...sizes, ...item.figures }).map(([key, value]) => ({ pointer: `${props.at}/${key}`, value }))
  void build.act(edits, `${props.piece.name}: ${item.name} from the catalogue`)
}
</script>

<template>
  <div class="numbers" :class="{ wide: keys.length > 4 }">
    <TextField
      label="called"
      :pointer="`${at}/name`"
      required
      :longest="60"
      :of="piece.name"
      :also="(name) => calledSo(build.option!, build.optionAt, piece.name, name)"
    />
    <template v-if="piece.kind === 'pipe'">
      <NumberField part="pipe" :name="sizeKey(piece.material)" :pointer="`${at}/${sizeKey(piece.material)}`" :of="piece.name" />
      <NumberField
        part="pipe/wall"
        name="thickness_mm"
        :pointer="`${at}/wall/thickness_mm`"
        :of="piece.name"
        optional
        :empty="spoken(stockWall[piece.material].wall_mm, 'mm', settings.units, settings.units === 'us' ? 3 : 1)"
      />
      <p v-if="sizeKey(piece.material) === 'outside_mm'" class="follows">
        <span>bore</span><b>{{ spoken(boreOf(piece), 'mm', settings.units, settings.units === 'us' ? 2 : 1) }}</b>
      </p>
    </template>
    <p v-if="laid" class="follows">
      <span>straight length</span><b>{{ spoken(laid.straight_mm, 'mm', settings.units) }}</b>
    </p>
    <NumberField
      v-for="key in keys"
      :key="key"
      :part="piece.kind"
      :name="key"
      :pointer="`${at}/${key}`"
      :of="piece.name"
      :optional="['dirtyLoss_kPa', 'soiling_pct', 'volume_L'].includes(key)"
    />
    <ChoiceField
      v-if="piece.kind === 'pipe'"
      label="material"
      :pointer="`${at}/material`"
      :choices="materials"
      :pick="(m) => pickMaterial(m as PipeMaterial)"
      :of="piece.name"
    />
    <PieceWall v-if="build.document!.bay && (piece.kind === 'pipe' || piece.kind === 'plenum')" :piece="piece" :at="at" />
    <p v-if="piece.kind === 'injection'" class="caution">
      {{ spray }} Methanol is poisonous, its flame is invisible and storing it has rules; keep the pump below the tank. This predicts temperature, not
      your tune.
    </p>
    <p v-if="inCatalogue" class="from">
      <button type="button" class="act" :aria-label="`${piece.name} from the catalogue`" @click="picking = true">from the catalogue</button>
      <CataloguePicker v-model:visible="picking" :kind="piece.kind" @choose="take" />
    </p>
    <template v-if="piece.kind === 'pair'">
      <NumberField v-if="!first" part="pair" name="splitAngle_deg" :pointer="`${at}/splitAngle_deg`" :of="piece.name" optional />
      <template v-if="!joined">
        <NumberField part="pair" name="mergeAngle_deg" :pointer="`${at}/mergeAngle_deg`" :of="piece.name" optional />
        <NumberField part="pair" name="mergedBore_mm" :pointer="`${at}/mergedBore_mm`" :of="piece.name" optional />
      </template>
      <p v-else class="from">
        <button type="button" class="act" @click="balance">{{ piece.balance ? 'take the balance tube out' : 'put a balance tube in' }}</button>
      </p>
      <template v-if="joined && piece.balance">
        <NumberField part="pair/balance" name="bore_mm" :pointer="`${at}/balance/bore_mm`" :of="piece.name" />
        <NumberField part="pair/balance" name="length_mm" :pointer="`${at}/balance/length_mm`" :of="piece.name" />
      </template>
    </template>
  </div>
</template>

<style scoped>
.wide {
  grid-column: 1 / -1;
  columns: 3 220px;
  column-gap: 34px;
}
.caution {
  padding: 8px 0;
  color: var(--ink-2);
  column-span: all;
}
.from {
  padding: 7px 0;
}
.from .act {
  font-size: var(--s1);
  font-weight: 500;
}
.wide > * {
  break-inside: avoid;
}
</style>
