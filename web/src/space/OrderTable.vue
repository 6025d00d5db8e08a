<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, type OrderView } from '../api/client'
import { useLookedUp } from '../build/lookedUp'
import { useBuild } from '../build/store'
import type { Edit } from '../document/edit'
import type { AirWay } from '../document/types'
import { change, spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import { reorder } from './stack'

/** The same layers in every order, each solved: what charge, cabin and engine gain or lose against the order as it stands. */
const props = defineProps<{ way: AirWay; index: number }>()
const build = useBuild()
const settings = useSettings()
const open = ref(false)
const {
  found: orders,
  asked,
  looking,
  stale,
} = useLookedUp<OrderView>(
  () => `${props.index} ${open.value}`,
  (document, letter, dropped) => (open.value ? api.stackOrders(document, letter, props.index, dropped).then((a) => a.orders) : undefined),
  200,
)

const now = computed(() => orders.value[0])
/** Columns: the layers as they stand, front first. */
const columns = computed(() => [...(now.value?.layers ?? [])].sort((a, b) => a.layer - b.layer))
const GAINS: Record<string, string> = { CONDENSER: 'cabin', ENGINE_RADIATOR: 'engine', OIL_COOLER: 'oil' }
const others = computed(() => columns.value.filter((c) => GAINS[c.kind]))
const placed = (o: OrderView, layer: number) => o.layers.find((l) => l.layer === layer)!
const same = (o: OrderView) => o === now.value

function delta(o: OrderView, layer: number): string {
  return same(o) ? '' : change(placed(o, layer).hot_C! - placed(now.value!, layer).hot_C!, 'K', settings.units)
}

/** The order was asked of the layers as they stood then. */
function edits(o: OrderView, option = ''): Edit[] {
  const then = asked.value?.document.options.find((x) => x.letter === asked.value?.letter)?.airWays?.find((w) => w.id === props.way.id)
  return reorder(`${option}/airWays/#${props.way.id}/layers`, then?.layers ?? props.way.layers, o.order)
}

const title = (o: OrderView) => o.layers.map((l) => (l.kind === 'RADIATOR' ? `radiator of the ${l.name}` : l.name)).join(', ')

async function tryIt(o: OrderView): Promise<void> {
  const name = `${o.layers[0]!.name} first`
  await build.addOption(name, edits(o), `option from ${build.letter}: stack ${title(o)}`)
}

async function use(o: OrderView): Promise<void> {
  await build.act(edits(o, build.optionAt), `stack ${title(o)}`)
}
</script>

<template>
  <section>
    <h2>
      Order of the stack
      <button v-if="!open" type="button" class="act" @click="open = true">compare all orders</button>
      <span v-else-if="looking && !orders.length" class="quiet">looking</span>
    </h2>
    <table v-if="open && now" class="figures">
      <thead>
        <tr>
          <th scope="col">front to back</th>
          <th scope="col">charge at the plenum</th>
          <th v-for="c in others" :key="c.layer" scope="col">{{ GAINS[c.kind] }} ({{ c.name }})</th>
          <th scope="col">heat of all</th>
          <th><span class="hidden-words">take it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="o in orders" :key="o.order.join()" :class="{ now: same(o) }">
          <th scope="row">{{ title(o) }}</th>
          <td>
            <span class="delta" :class="o.intake_C < now.intake_C ? 'better' : 'worse'">{{
              same(o) ? '' : change(o.intake_C - now.intake_C, 'K', settings.units)
            }}</span>
            {{ spoken(o.intake_C, 'C', settings.units) }}
          </td>
          <td v-for="c in others" :key="c.layer">
            <span class="delta" :class="delta(o, c.layer).startsWith('−') ? 'better' : 'worse'">{{ delta(o, c.layer) }}</span>
            {{ spoken(placed(o, c.layer).hot_C!, 'C', settings.units) }}
            <span v-if="placed(o, c.layer).fallsShort" class="short">
              {{ spoken(placed(o, c.layer).heat_kW, 'kW', settings.units) }} of {{ spoken(placed(o, c.layer).asked_kW, 'kW', settings.units) }}
            </span>
          </td>
          <td>{{ spoken(o.total_kW, 'kW', settings.units) }}</td>
          <td>
            <span v-if="same(o)" class="quiet">as it stands</span>
            <template v-else>
              <button type="button" class="act" :aria-label="`Use the order ${title(o)}`" @click="use(o)">Use</button>
              <button type="button" class="act try" :disabled="stale" :aria-label="`Try the order ${title(o)}`" @click="tryIt(o)">Try</button>
            </template>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="open && now" class="fine">
      Cabin, engine and oil: how warm the hot side of each gets with the heat it has to give. Cooler is better for each. Where it comes to the most it
      may, what it gives of its heat stands below.
    </p>
  </section>
</template>

<style scoped>
h2 .act {
  margin-left: 14px;
}
th[scope='row'] {
  white-space: normal;
}
td {
  font-weight: 600;
}
.now th[scope='row'] {
  font-weight: 700;
}
.delta {
  margin-right: 6px;
  font-size: var(--s1);
}
.short {
  display: block;
  font-size: var(--s1);
  font-weight: 400;
  color: var(--ink-2);
}
.quiet {
  font-weight: 400;
  color: var(--ink-2);
}
.try {
  margin-left: 12px;
}
.fine {
  padding-top: 6px;
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
