<script setup lang="ts">
import { useBuild } from '../build/store'
import type { Edit } from '../document/edit'
import type { CorePiece, EndTankPortPlace as PortPlace, PortSide } from '../document/types'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import { endsOf, hasEnd, isTwoPass, placeOf, portEnd, turnedTo, turnsOf } from './drawing'

/** Tanks and ports of a core: bores, stubs, elbows, and which way its inlet looks. */
const props = defineProps<{ core: CorePiece; at: string }>()
const build = useBuild()
const places = [
  { value: 'middle', label: 'middle' },
  { value: 'offset', label: 'offset' },
  { value: 'end', label: 'tank end' },
]
/** Of a port that stands elsewhere or towards another end; the other port stays as it stands. */
function seat(outlet: boolean, more: Partial<CorePiece>, words: string): void {
  const core = props.core
  const stays: Partial<CorePiece> = outlet
    ? {}
    : { outletPlace: placeOf(core, true), ...(hasEnd(core, true) && { outletTowards: portEnd(core, true) }) }
  const next = { ...core, ...stays, ...more } as CorePiece
  const elbow = outlet ? 'outletTurn' : 'inletTurn'
  // An elbow along the way its port looks now cannot be.
  const off = next[elbow] !== undefined && !turnsOf(next, outlet).includes(next[elbow])
  const edits: Edit[] = Object.entries({ ...stays, ...more }).map(([key, value]) => ({ pointer: `${props.at}/${key}`, value }))
  if (off) edits.push({ pointer: `${props.at}/${elbow}`, value: undefined })
  void build.act(edits, `${core.name} ${outlet ? 'outlet' : 'inlet'} ${words}${off ? ', its elbow off' : ''}`)
}
const stand = (outlet: boolean, place: string) =>
  seat(outlet, outlet ? { outletPlace: place as PortPlace } : { portPlace: place as PortPlace }, `on ${places.find((p) => p.value === place)!.label}`)
const towards = (outlet: boolean, end: string) =>
  seat(outlet, outlet ? { outletTowards: end as PortSide } : { portTowards: end as PortSide }, `towards ${end}`)
/** Of two passes the halves of one tank, else the ends of each. */
const endWords = (outlet: boolean) =>
  isTwoPass(props.core) ? 'inlet half' : `${outlet ? 'outlet' : 'inlet'} ${placeOf(props.core, outlet) === 'end' ? 'on the end' : 'towards'}`
const sides = ['left', 'right', 'up', 'down'].map((w) => ({ value: w, label: w }))
const yesNo = [
  { value: 'no', label: 'no' },
  { value: 'yes', label: 'yes' },
]
const elbows = (outlet: boolean) => [
  { value: 'straight', label: 'straight' },
  ...turnsOf(props.core, outlet).map((t) => ({ value: t as string, label: `turned ${t}` })),
]

function divided(value: string): void {
  void build.act([{ pointer: `${props.at}/dividedInlet`, value: value === 'yes' }], `${props.core.name} divided inlet ${value}`)
}
function look(side: string): void {
  void build.act(turnedTo(props.core, props.at, side as PortSide), `${props.core.name} turned, inlet ${side}`)
}
function bend(key: 'inletTurn' | 'outletTurn', way: string): void {
  const port = key === 'inletTurn' ? 'inlet' : 'outlet'
  const none = way === 'straight'
  void build.act(
    [{ pointer: `${props.at}/${key}`, value: none ? undefined : way }],
    `${props.core.name} ${port} ${none ? 'straight' : `turned ${way}`}`,
  )
}
</script>

<template>
  <section>
    <h2>Tanks and ports</h2>
    <NumberField part="core" name="portBore_mm" :pointer="`${at}/portBore_mm`" />
    <NumberField part="core" name="outletBore_mm" :pointer="`${at}/outletBore_mm`" optional empty="the same" />
    <NumberField part="core" name="portStub_mm" :pointer="`${at}/portStub_mm`" optional />
    <NumberField part="core" name="tankDepth_mm" :pointer="`${at}/tankDepth_mm`" optional :empty="`${core.portBore_mm} mm, the port`" />
    <template v-for="outlet in [false, true]" :key="`seat ${outlet}`">
      <ChoiceField
        :label="outlet ? 'outlet port' : 'inlet port'"
        :pointer="`${at}/${outlet ? 'outletPlace' : 'portPlace'}`"
        :choices="places"
        :shown="placeOf(core, outlet)"
        :pick="(place: string) => stand(outlet, place)"
        :of="core.name"
      />
      <ChoiceField
        v-if="hasEnd(core, outlet)"
        :label="endWords(outlet)"
        :pointer="`${at}/${outlet ? 'outletTowards' : 'portTowards'}`"
        :choices="endsOf(core)"
        :shown="portEnd(core, outlet)"
        :pick="(end: string) => towards(outlet, end)"
        :of="core.name"
      />
    </template>
    <ChoiceField
      label="divided inlet"
      :pointer="`${at}/dividedInlet`"
      :choices="yesNo"
      :shown="core.dividedInlet ? 'yes' : 'no'"
      :pick="divided"
      :of="core.name"
    />
    <NumberField part="core" name="outlets" :pointer="`${at}/outlets`" optional empty="1" />
    <NumberField part="core" name="blocked_pct" :pointer="`${at}/blocked_pct`" optional empty="0 %" />
    <ChoiceField
      label="inlet looks"
      :pointer="`${at}/inletTowards`"
      :choices="sides"
      :shown="core.inletTowards ?? 'right'"
      :pick="look"
      :of="core.name"
    />
    <template v-if="core.tankDepth_mm !== 0">
      <ChoiceField
        v-for="key in ['inletTurn', 'outletTurn'] as const"
        :key="key"
        :label="key === 'inletTurn' ? 'inlet elbow' : 'outlet elbow'"
        :pointer="`${at}/${key}`"
        :choices="elbows(key === 'outletTurn')"
        :shown="core[key] ?? 'straight'"
        :pick="(way: string) => bend(key, way)"
        :of="core.name"
      />
      <template v-if="core.inletTurn || core.outletTurn">
        <NumberField part="core" name="elbowRadius_mm" :pointer="`${at}/elbowRadius_mm`" optional empty="the bore" />
        <NumberField part="core" name="elbowAngle_deg" :pointer="`${at}/elbowAngle_deg`" optional empty="90°" />
      </template>
    </template>
  </section>
</template>
