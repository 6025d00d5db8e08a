<script setup lang="ts">
import { api, type CoreStep } from '../api/client'
import { useLookedUp } from '../build/lookedUp'
import { useBuild } from '../build/store'
import { change } from '../quantity/catalogue'
import { useSettings } from '../settings/store'

/** What one more row, one more fin or the next larger size would do, at full load and over the duty; each computed, none guessed. */
const props = defineProps<{ place: string }>()
const build = useBuild()
const settings = useSettings()
const {
  found: steps,
  asked,
  looking,
  stale,
} = useLookedUp<CoreStep>(
  () => props.place,
  async (document, letter, dropped) => (await api.coreSteps(document, letter, props.place, dropped)).steps,
)

const unit = (metric: string, us: string) => (settings.units === 'us' ? us : metric)
const tone = (text: string) => (text.startsWith('−') ? 'better' : text.startsWith('+') ? 'worse' : '')

const MORE = { DEEPER: 'deeper', HIGHER: 'higher', WIDER: 'wider' }

/** "one more charge row", "15 mm deeper" */
function words(s: CoreStep): string {
  switch (s.step) {
    case 'CHARGE_ROW':
      return 'one more charge row'
    case 'CHARGE_FIN':
      return 'one more charge fin in 10 mm'
    case 'COLD_FIN':
      return 'one more cooling fin in 10 mm'
    default:
      return `${build.catalogue!.text(build.catalogue!.field(s.part, s.key), s.to - s.from, settings.units, true)} ${MORE[s.step]}`
  }
}

async function tryIt(step: CoreStep): Promise<void> {
  await build.addOption(words(step), step.edits, `option from ${build.letter}: ${words(step)}`, asked.value)
}
</script>

<template>
  <section>
    <h2>A little more core <span v-if="looking && !steps.length" class="quiet">looking</span></h2>
    <table class="figures">
      <thead>
        <tr>
          <th scope="col">change</th>
          <th scope="col">intake, full load</th>
          <th scope="col">worst, duty</th>
          <th scope="col">loss</th>
          <th scope="col">mass</th>
          <th scope="col">coolant's loss</th>
          <th><span class="hidden-words">try</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in steps" :key="s.step">
          <th scope="row">{{ words(s) }}</th>
          <td :class="tone(change(s.intake_K, 'K', settings.units, 2))">
            {{ change(s.intake_K, 'K', settings.units, 2) || '0' }} {{ unit('°C', '°F') }}
          </td>
          <td :class="tone(change(s.worst_K, 'K', settings.units, 2))">
            {{ change(s.worst_K, 'K', settings.units, 2) || '0' }} {{ unit('°C', '°F') }}
          </td>
          <td :class="tone(change(s.loss_kPa, 'kPa', settings.units, 2))">
            {{ change(s.loss_kPa, 'kPa', settings.units, 2) || '0' }} {{ unit('kPa', 'psi') }}
          </td>
          <td>{{ change(s.mass_kg, 'kg', settings.units, 2) || '0' }} {{ unit('kg', 'lb') }}</td>
          <td>
            {{ s.coldLoss_Pa == null ? '' : `${s.coldLoss_Pa > 0 ? '+' : s.coldLoss_Pa < 0 ? '−' : ''}${Math.abs(s.coldLoss_Pa).toFixed(0)} Pa` }}
          </td>
          <td><button type="button" class="act" :disabled="stale" :aria-label="`Try: ${words(s)}`" @click="tryIt(s)">Try</button></td>
        </tr>
      </tbody>
    </table>
    <p class="fine">At the same face air: what the coolant loses more, your opening or pump must give.</p>
  </section>
</template>

<style scoped>
td {
  font-weight: 600;
}
.fine {
  padding-top: 6px;
  font-size: var(--s1);
  color: var(--ink-2);
}
.quiet {
  font-weight: 400;
}
</style>
