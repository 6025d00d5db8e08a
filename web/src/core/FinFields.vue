<script setup lang="ts">
import { computed } from 'vue'
import { useBuild } from '../build/store'
import { finTypeWords, type Fin } from '../document/types'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import { UNITS } from '../quantity/units'

/** The fins of one side. */
const props = defineProps<{ title: string; fin: Fin; pointer: string }>()
const build = useBuild()
const perInch = computed(() => (UNITS.LENGTH!.in!.factor / UNITS.LENGTH!.mm!.factor / props.fin.pitch_mm).toFixed(1))

/** A new kind brings the figures it needs. */
function pick(type: string): void {
  const next: Fin = { ...props.fin, type: type as Fin['type'] }
  if (type === 'offset strip') next.interval_mm = props.fin.type === 'louvred' ? 4 : (props.fin.interval_mm ?? 4)
  if (type === 'louvred') Object.assign(next, { interval_mm: 1.4, louvreAngle_deg: 24 })
  if (type === 'plain') {
    delete next.interval_mm
    delete next.louvreAngle_deg
  }
  if (type === 'offset strip') delete next.louvreAngle_deg
  void build.act([{ pointer: props.pointer, value: next }], `${props.title} ${type}`)
}
</script>

<template>
  <section>
    <h2>
      {{ title }} <span class="quiet">{{ perInch }} per inch</span>
    </h2>
    <ChoiceField label="kind" :pointer="`${pointer}/type`" :choices="finTypeWords" :of="title" :pick="pick" />
    <NumberField part="core/block/fin" name="gap_mm" :pointer="`${pointer}/gap_mm`" :of="title" />
    <NumberField part="core/block/fin" name="pitch_mm" :pointer="`${pointer}/pitch_mm`" :of="title" />
    <NumberField part="core/block/fin" name="thickness_mm" :pointer="`${pointer}/thickness_mm`" :of="title" />
    <NumberField
      v-if="fin.type !== 'plain'"
      part="core/block/fin"
      name="interval_mm"
      :pointer="`${pointer}/interval_mm`"
      :of="title"
      :label="fin.type === 'louvred' ? 'louvre pitch' : 'strip length'"
    />
    <NumberField v-if="fin.type === 'louvred'" part="core/block/fin" name="louvreAngle_deg" :pointer="`${pointer}/louvreAngle_deg`" :of="title" />
  </section>
</template>

<style scoped>
.quiet {
  font-weight: 400;
}
</style>
