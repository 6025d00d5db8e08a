<script setup lang="ts">
import { computed } from 'vue'
import type { SchoolView } from '../api/client'
import { useBuild } from '../build/store'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import { joinedSo } from './joints'

/** The ways in which shops join, hang and make pipes, each with what comes of it for this option. */
const props = defineProps<{ schools: SchoolView[]; stale: boolean }>()
const build = useBuild()
const settings = useSettings()
const MATTERS = [
  { matter: 'JOINTS', words: 'joints' },
  { matter: 'CARRYING', words: 'core hangs on' },
  { matter: 'METAL', words: 'tube' },
] as const
const groups = computed(() =>
  MATTERS.map((m) => ({ ...m, rows: props.schools.filter((s) => s.matter === m.matter) })).filter((g) => g.rows.length > 1),
)
const LABELS: Record<string, string> = { weld: 'weld all that need not come apart' }
const label = (s: SchoolView) => LABELS[s.choice] ?? s.choice
const gaps = computed(() => props.schools.some((s) => s.tight !== undefined))

function take(s: SchoolView): void {
  void build.act(joinedSo(build.option!, build.optionAt, s.joined), s.matter === 'CARRYING' ? `core on the ${s.choice}` : `joints: ${s.choice}`)
}
</script>

<template>
  <section class="schools">
    <h3>Made another way</h3>
    <table class="figures">
      <thead>
        <tr>
          <th scope="col">each changed alone</th>
          <th scope="col">welds</th>
          <th scope="col">can leak</th>
          <th scope="col">weight</th>
          <th scope="col">hours</th>
          <th scope="col">price</th>
          <th scope="col">not borne</th>
          <th v-if="gaps" scope="col">gaps short</th>
          <th><span class="hidden-words">take it</span></th>
        </tr>
      </thead>
      <tbody v-for="g in groups" :key="g.matter">
        <tr class="matter">
          <th scope="rowgroup" :colspan="gaps ? 9 : 8">{{ g.words }}</th>
        </tr>
        <tr v-for="s in g.rows" :key="s.choice" :class="{ now: s.now }">
          <th scope="row">{{ label(s) }}<small v-if="s.now">, as it is</small></th>
          <td>{{ s.welds }}</td>
          <td>{{ s.joints }}</td>
          <td>{{ spoken(s.mass_kg, 'kg', settings.units, 1) }}</td>
          <td>{{ s.hours.toFixed(1) }}</td>
          <td>{{ s.price.toFixed(0) }}</td>
          <td :class="{ worse: s.unsound.length }" :title="s.unsound.join(', ')">{{ s.unsound.length || 'none' }}</td>
          <td v-if="gaps" :class="{ worse: s.tight }">{{ s.tight || 'none' }}</td>
          <td class="moves">
            <button
              v-if="s.matter !== 'METAL' && !s.now"
              type="button"
              class="act"
              :disabled="stale"
              :aria-label="`${g.words}: ${label(s)}`"
              @click="take(s)"
            >
              make it so
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="fine">
      Joints that can leak are those that come apart. Prices are invented and plausible, as those of the built-in catalogue: for comparing. The metal
      is chosen at each pipe above.
    </p>
  </section>
</template>

<style scoped>
.schools {
  padding-top: 16px;
}
tbody th {
  font-weight: 500;
  text-align: left;
  padding-left: 14px;
}
.matter th {
  padding: 8px 0 2px;
  color: var(--ink-2);
  font-weight: 500;
}
th,
td {
  padding-block: 2px;
}
.now th,
.now td {
  font-weight: 700;
}
small {
  color: var(--ink-2);
  font-weight: 500;
}
</style>
