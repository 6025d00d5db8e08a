<script setup lang="ts">
import { bisectRight } from 'd3-array'
import { computed } from 'vue'
import type { SoakView } from '../api/client'
import { useBuild } from '../build/store'
import { temperatureColour } from '../chargeline/colour'
import { figure, minus, spoken } from '../quantity/catalogue'
import { clock } from '../quantity/time'
import { useSettings } from '../settings/store'

/** The core's metal at the time cursor: charge left to right, coolant top to bottom. */
const props = defineProps<{ soak: SoakView; cursor: number; cooledBy: string; sprayed?: number; playing?: boolean }>()
const emit = defineEmits<{ play: [] }>()
const build = useBuild()
const settings = useSettings()
/** Heat goes for good into outside air, into water that leaves, or nowhere but through hoses and the chiller. */
const given = computed(() => {
  const steady = build.answer?.steady
  const loops = steady?.loops ?? []
  if (loops.some((l) => l.open)) return 'given to the water'
  const air = loops.some((l) => l.radiator) || steady?.cores.some((c) => c.cooledBy === 'air')
  return air || !steady ? 'given to the air' : 'given away'
})
const WIDTH = 400
const HEIGHT = 56

const frame = computed(() => Math.max(bisectRight(props.soak.metal.time_s, props.cursor) - 1, 0))
const cells = computed(() => {
  const { along, across, cells_C, time_s } = props.soak.metal
  const now = cells_C[frame.value] ?? []
  const next = cells_C[frame.value + 1]
  const from = time_s[frame.value] ?? 0
  const share = next ? Math.min((props.cursor - from) / Math.max(time_s[frame.value + 1]! - from, 1e-9), 1) : 0
  return now.map((was, i) => ({
    t: next ? was + share * (next[i]! - was) : was,
    x: (Math.floor(i / across) * WIDTH) / along,
    y: ((i % across) * HEIGHT) / across,
  }))
})
const cell = computed(() => ({ w: WIDTH / Math.max(props.soak.metal.along, 1), h: HEIGHT / Math.max(props.soak.metal.across, 1) }))
const hottest = computed(() => Math.max(...cells.value.map((c) => c.t)))
const coldest = computed(() => Math.min(...cells.value.map((c) => c.t)))
const audit = computed(() => props.soak.audit)
const kJ = (v: number) => (Math.abs(v) >= 1e4 ? `${minus((v / 1000).toFixed(1))} MJ` : `${minus(v.toFixed(0))} kJ`)
</script>

<template>
  <div v-if="cells.length" class="field">
    <figure>
      <figcaption>
        <button type="button" class="act" :aria-label="playing ? 'Stop playing the duty' : 'Play the duty'" @click="emit('play')">
          {{ playing ? 'stop' : 'play' }}
        </button>
        core metal at {{ clock(cursor) }}: charge left to right, {{ cooledBy === 'air' ? 'cooling air' : 'water' }} top to bottom
      </figcaption>
      <svg
        :width="WIDTH"
        :height="HEIGHT"
        role="img"
        :aria-label="`Core metal from ${spoken(coldest, 'C', settings.units)} to ${spoken(hottest, 'C', settings.units)}`"
      >
        <rect v-for="(c, i) in cells" :key="i" :x="c.x" :y="c.y" :width="cell.w + 0.5" :height="cell.h + 0.5" :fill="temperatureColour(c.t)" />
      </svg>
    </figure>
    <dl>
      <dt>metal</dt>
      <dd>{{ figure(coldest, 'C', settings.units, 0).figure }} to {{ spoken(hottest, 'C', settings.units, 0) }}</dd>
      <dt>heat from the charge</dt>
      <dd>{{ kJ(audit.taken_kJ) }}{{ audit.latent_kJ > 0.01 * audit.taken_kJ ? `, ${kJ(audit.latent_kJ)} of it by what condenses` : '' }}</dd>
      <dt>{{ given }}, kept</dt>
      <dd>{{ kJ(audit.rejected_kJ) }}, {{ kJ(audit.stored_kJ) }}</dd>
      <dt>accounts off by</dt>
      <dd>{{ audit.error_pct.toFixed(2) }} %</dd>
      <template v-if="sprayed && sprayed > 0.0005">
        <dt>sprayed over the duty</dt>
        <dd>{{ sprayed.toFixed(2) }} L</dd>
      </template>
    </dl>
  </div>
  <p v-else class="none">No core in this option: the charge goes to the engine as the blower leaves it.</p>
</template>

<style scoped>
.field {
  display: flex;
  gap: 26px;
  align-items: flex-end;
  margin: 0;
  padding: 0 28px 14px 62px;
}
figure {
  margin: 0;
}
figcaption button {
  display: inline-block;
  min-width: 32px;
}
figcaption {
  padding-bottom: 5px;
  font-size: var(--s1);
  font-weight: 600;
  color: var(--ink-2);
}
svg {
  display: block;
  shape-rendering: crispEdges;
}
dl {
  display: grid;
  grid-template-columns: auto auto;
  gap: 0 14px;
  margin: 0;
  font-size: var(--s1);
}
dt {
  color: var(--ink-2);
}
dd {
  margin: 0;
  font-weight: 600;
}
.none {
  padding: 0 62px 16px;
  color: var(--ink-2);
}
</style>
