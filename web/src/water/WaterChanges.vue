<script setup lang="ts">
import { api, type WaterChange } from '../api/client'
import { useLookedUp } from '../build/lookedUp'
import { useBuild } from '../build/store'
import { change, spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'

/** Bores, ports, pumps: each computed at full load, with a button that makes an option of it. */
const props = defineProps<{ place: string }>()
const build = useBuild()
const settings = useSettings()
const {
  found: changes,
  asked,
  looking,
  stale,
} = useLookedUp<WaterChange>(
  () => props.place,
  async (document, letter, dropped) => (await api.waterChanges(document, letter, props.place, dropped)).changes,
)

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** "takes 61 % of the pump's head; 2.3 times the flow" */
function why(c: WaterChange): string {
  const flow = Math.abs(c.flowRatio - 1) < 0.02 ? 'the same flow' : `${c.flowRatio.toFixed(c.flowRatio < 1.2 ? 2 : 1)} times the flow`
  return c.share_pct != null ? `takes ${c.share_pct.toFixed(0)} % of the pump's head now; with it ${flow}` : flow
}

const size = (mm: number | null | undefined) => spoken(mm ?? 0, 'mm', settings.units)

/** "radiator spigot and radiator outlet, 10 → 17 mm" */
function words(c: WaterChange): string {
  const who = c.of.length <= 2 ? c.of.join(' and ') : `${c.of.length} hoses and fittings`
  const sizes = `${size(c.from_mm).replace(/ .*$/, '')} → ${size(c.to_mm)}`
  switch (c.what) {
    case 'WIDER':
      return `${who}, ${sizes}`
    case 'CORNER_PORTS':
      return 'water ports at opposite corners'
    case 'FED_FROM_BELOW':
      return 'fed from the bottom'
    case 'CORNER_PORTS_FED_FROM_BELOW':
      return 'corner ports, fed from the bottom'
    case 'SECOND_PUMP':
      return `a second ${who} behind the first`
    case 'DEEPER_RADIATOR':
      return `radiator ${sizes} deep`
    case 'FINER_ICE':
      return `ice broken to ${size(c.to_mm)}`
  }
}

async function tryIt(c: WaterChange): Promise<void> {
  await build.addOption(words(c).slice(0, 60), c.edits, `option from ${build.letter}: ${words(c)}`, asked.value)
}
</script>

<template>
  <section>
    <h2>What would help the water <span v-if="looking && !changes.length" class="quiet">looking</span></h2>
    <table class="figures">
      <thead>
        <tr>
          <th scope="col">change</th>
          <th scope="col">flow</th>
          <th scope="col">intake</th>
          <th><span class="hidden-words">try</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="c in changes" :key="words(c)">
          <th scope="row">
            {{ capital(words(c)) }}<span class="why">{{ why(c) }}</span>
          </th>
          <td>{{ spoken(c.flow_L_min, 'L_min', settings.units) }}</td>
          <td class="better">{{ change(c.intake_K, 'K', settings.units) }} {{ settings.units === 'us' ? '°F' : '°C' }}</td>
          <td><button type="button" class="act" :disabled="stale" :aria-label="`Try: ${words(c)}`" @click="tryIt(c)">Try</button></td>
        </tr>
        <tr v-if="!changes.length && !looking">
          <td colspan="4" class="none">Nothing on this loop is worth a cut: more water does nothing here.</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
th[scope='row'] {
  white-space: normal;
  font-weight: 600;
}
.why {
  display: block;
  font-size: var(--s1);
  font-weight: 400;
  color: var(--ink-2);
}
td {
  font-weight: 600;
  vertical-align: baseline;
}
.figures .none {
  text-align: left;
  font-weight: 400;
  color: var(--ink-2);
  white-space: normal;
}
.quiet {
  font-weight: 400;
}
</style>
