<script setup lang="ts">
import { computed } from 'vue'
import type { CoreView } from '../api/client'
import { useBuild } from '../build/store'
import type { CardPoint, CorePiece } from '../document/types'
import NumberField from '../ui/NumberField.vue'

/** A rating card with one or several measured points, and how far the core is from them. */
const props = defineProps<{ core: CorePiece; view?: CoreView; pointer: string }>()
const build = useBuild()
const card = computed(() => props.core.card!)
const coolantKey = computed(() => (props.core.cooledBy === 'air' ? 'airSpeed_m_s' : 'waterFlow_L_min'))
const pointKeys = computed(() => ['chargeFlow_kg_s', 'chargePressure_kPa', 'chargeIn_C', 'chargeOut_C', 'loss_kPa', coolantKey.value, 'coolantIn_C'])
const points = computed(() => [props.pointer, ...(card.value.morePoints ?? []).map((p) => `${props.pointer}/morePoints/#${p.id}`)])
const words = (key: string) => build.catalogue!.field('core/card', key).label.replace('card: ', '')

const trust = computed(() => {
  const t = props.view?.card
  if (!t) return []
  const row = (name: string, ratio: number, low: number, high: number) => ({
    name,
    ratio: ratio.toFixed(2),
    ok: ratio >= low && ratio <= high,
    range: `${low.toFixed(1)} to ${high.toFixed(1)}`,
  })
  return [
    row('charge flow', t.chargeFlowRatio, t.chargeFlowMin, t.chargeFlowMax),
    row('cooling flow', t.coldFlowRatio, t.coldFlowMin, t.coldFlowMax),
    row('core volume', t.volumeRatio, 0.5, 2),
  ]
})

/** A second point starts as the first one at three quarters of its flow, to be corrected. */
function add(): void {
  const c = card.value
  const fresh: CardPoint = {
    chargeFlow_kg_s: Number((0.6 * c.chargeFlow_kg_s).toFixed(4)),
    chargePressure_kPa: c.chargePressure_kPa,
    chargeIn_C: c.chargeIn_C,
    chargeOut_C: Math.round(c.chargeOut_C - 0.1 * (c.chargeOut_C - c.coolantIn_C)),
    loss_kPa: Number((0.42 * c.loss_kPa).toFixed(2)),
    coolantIn_C: c.coolantIn_C,
    ...(props.core.cooledBy === 'air' ? { airSpeed_m_s: c.airSpeed_m_s } : { waterFlow_L_min: c.waterFlow_L_min }),
  }
  void build.act([{ list: `${props.pointer}/morePoints`, put: fresh }], `${props.core.name}: point added to the card`)
}

function takeOut(i: number): void {
  void build.act([{ row: points.value[i]!, out: true }], `${props.core.name}: point ${i + 1} taken off the card`)
}
</script>

<template>
  <div class="measured">
    <table>
      <thead>
        <tr>
          <th scope="col">point</th>
          <th v-for="key in pointKeys" :key="key" scope="col">{{ words(key) }}</th>
          <th><button type="button" class="act" @click="add">add a point</button></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(p, i) in points" :key="p">
          <th scope="row">{{ i + 1 }}</th>
          <td v-for="key in pointKeys" :key="key">
            <NumberField part="core/card" :name="key" :pointer="`${p}/${key}`" :of="i === 0 ? undefined : `point ${i + 1}`" bare />
          </td>
          <td>
            <button v-if="i > 0" type="button" class="act" :aria-label="`Take point ${i + 1} off the card`" @click="takeOut(i)">take off</button>
          </td>
        </tr>
      </tbody>
    </table>
    <div class="sides">
      <div>
        <NumberField
          v-for="key in ['width_mm', 'height_mm', 'depth_mm', 'mass_kg']"
          :key="key"
          part="core/card"
          :name="key"
          :pointer="`${pointer}/${key}`"
        />
      </div>
      <div>
        <NumberField v-for="key in ['chargeShare_pct', 'wallShare_pct']" :key="key" part="core/card" :name="key" :pointer="`${pointer}/${key}`" />
        <p v-if="view?.card?.filmsSeparated" class="fine">
          The points themselves tell the two films apart; the stated charge share is not used. Largest misfit {{ view.card.misfit_pct.toFixed(1) }} %.
        </p>
        <p v-else-if="points.length > 1" class="fine">
          These points do not tell the films apart: their flows are too alike, or they disagree. The stated shares count, scaled to meet them in the
          mean.
        </p>
        <p v-else class="fine">Two or more points with different flows would tell the films apart; until then the stated shares count.</p>
      </div>
      <dl class="lines">
        <div v-for="t in trust" :key="t.name">
          <dt>{{ t.name }}, trusted {{ t.range }}</dt>
          <dd :class="{ worse: !t.ok }">{{ t.ratio }} times</dd>
        </div>
      </dl>
    </div>
  </div>
</template>

<style scoped>
table {
  width: 100%;
  margin-top: 4px;
  border-collapse: collapse;
}
th,
td {
  padding: 4px 2px;
  text-align: right;
  border-bottom: 1px solid var(--hair);
}
thead th {
  padding-top: 8px;
  font-weight: 500;
  color: var(--ink-2);
  vertical-align: bottom;
}
th:first-child {
  text-align: left;
  font-weight: 500;
  color: var(--ink-2);
}
.sides {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 30px;
  padding-top: 10px;
}
.fine {
  padding-top: 8px;
  font-size: var(--s1);
  color: var(--ink-2);
}
.act {
  display: inline-block;
  padding: 5px 0;
  white-space: nowrap;
  font-weight: 500;
}
</style>
