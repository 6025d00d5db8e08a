<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, Problem } from '../api/client'
import { allPieces } from '../api/pieces'
import { useBuild } from '../build/store'
import type { Placed } from '../document/pieces'
import type { BlowerPiece } from '../document/types'
import KnowButton from '../reasons/KnowButton.vue'
import NumberField from '../ui/NumberField.vue'
import MapChart from './MapChart.vue'
import Notice from '../ui/Notice.vue'

/** A blower's measured map: read from a CSV file, drawn with the duty's way over it, its margins named. */
const props = defineProps<{ blower: Placed<BlowerPiece> }>()
const build = useBuild()
const file = ref<HTMLInputElement>()
const refusal = ref('')
const at = computed(() => `${build.optionAt}${props.blower.at}`)
const map = computed(() => props.blower.piece.map)
const view = computed(() => allPieces(build.answer?.steady?.pieces ?? []).find((p) => p.place === props.blower.place)?.map)
const last = computed(
  () =>
    allPieces(build.answer?.steady?.pieces ?? [])
      .filter((p) => p.kind === 'blower')
      .at(-1)?.place === props.blower.place,
)
/** The way belongs to the second of two blowers; they work alike. */
const way = computed(() => {
  const t = build.answer?.soak?.trace
  if (!t || !last.value) return []
  return t.blowerFlow_kg_s.map((flow, i) => ({ flow, ratio: t.blowerRatio[i]!, running: t.running[i]! })).filter((p) => p.running)
})
const margins = computed(() => {
  const v = view.value
  if (!v) return ''
  const place: Record<string, string> = {
    SURGE: `It surges at full load: ${(-v.surgeMargin_pct).toFixed(0)} % of flow short of the line.`,
    CHOKE: 'Full load lies beyond the choke end: its efficiency there is not measured.',
    BELOW: 'Full load lies below the slowest line; that line’s efficiency is used.',
    ABOVE: 'Full load stands on or above the fastest line: it makes no more here.',
    INSIDE: `Full load: ${v.efficiency_pct.toFixed(0)} %, ${(v.speed_rpm / 1000).toFixed(0)}k rpm corrected; ${v.surgeMargin_pct.toFixed(0)} % of flow above surge, ${v.chokeMargin_pct.toFixed(0)} % below choke.`,
  }
  return place[v.place] ?? ''
})

async function take(event: Event): Promise<void> {
  const chosen = (event.target as HTMLInputElement).files?.[0]
  if (!chosen) return
  refusal.value = ''
  // The answer is this blower's, whatever is on screen by the time it comes.
  const { edit } = build.here()
  const pointer = `${at.value}/map`
  try {
    const read = await api.map(await chosen.text())
    const outcome = await edit(
      [{ pointer, value: { name: chosen.name.replace(/\.[^.]*$/, '').slice(0, 60), ...read.map } }],
      `${props.blower.piece.name}: map from ${chosen.name}`,
    )
    if (!outcome.done) refusal.value = outcome.fault.sentence
  } catch (e) {
    refusal.value = e instanceof Problem ? (e.fault?.sentence ?? e.message) : (e as Error).message
  }
  if (file.value) file.value.value = ''
}

function takeOff(): void {
  void build.act([{ pointer: `${at.value}/map`, value: undefined }], `${props.blower.piece.name}: map taken off`)
}
</script>

<template>
  <section class="panel">
    <h2>
      Map of the {{ blower.piece.name }}<span v-if="map?.name" class="called">: {{ map.name }}</span>
      <button type="button" class="act" @click="file?.click()">{{ map ? 'read another CSV' : 'read a CSV' }}</button>
      <button v-if="map" type="button" class="act" @click="takeOff">take it off</button>
      <KnowButton class="know" :subject="blower.place" :of="blower.piece.name" />
    </h2>
    <input
      ref="file"
      type="file"
      accept=".csv,text/csv,text/plain"
      class="hidden-words"
      tabindex="-1"
      :aria-label="`CSV file with the map of the ${blower.piece.name}`"
      @change="take"
    />
    <Notice v-if="refusal" :says="refusal" />
    <template v-if="map">
      <p class="margins">{{ margins }}</p>
      <MapChart :map="map" :point="view ?? undefined" :way="way" />
      <div class="inlet">
        <NumberField part="blower/map" name="referenceTemperature_C" :pointer="`${at}/map/referenceTemperature_C`" :of="blower.piece.name" />
        <NumberField part="blower/map" name="referencePressure_kPa" :pointer="`${at}/map/referencePressure_kPa`" :of="blower.piece.name" />
      </div>
    </template>
    <p v-else class="fine">
      Without a map one efficiency counts everywhere. A CSV has a row for each measured point: speed [rpm], flow [kg/s or lb/min or cfm], pressure
      ratio, efficiency [%]; any units, any order.
    </p>
  </section>
</template>

<style scoped>
.panel {
  padding-bottom: 20px;
}
h2 .act {
  margin-left: 14px;
  font-size: var(--s1);
  font-weight: 500;
}
.called {
  font-weight: 400;
}
.margins {
  padding: 8px 0 6px;
  font-weight: 500;
}
.inlet {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  column-gap: 34px;
}
.fine {
  padding-top: 8px;
  color: var(--ink-2);
}
</style>
