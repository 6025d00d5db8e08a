<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useBuild } from '../build/store'
import type { PipePiece } from '../document/types'
import { change, spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import PipeSketch from './PipeSketch.vue'

/** Every pipe of the path with its price. */
const build = useBuild()
const settings = useSettings()
const route = useRoute()
const materials = [
  { value: 'aluminium', label: 'drawn aluminium' },
  { value: 'steel', label: 'mild steel' },
  { value: 'stainless', label: 'stainless' },
  { value: 'silicone', label: 'silicone hose' },
]

const pipes = computed(() =>
  build.option!.path.map((piece, i) => ({ piece, i })).filter((p): p is { piece: PipePiece; i: number } => p.piece.kind === 'pipe'),
)

function at(i: number): string {
  return `/options/${build.optionIndex}/path/${i}`
}

function price(i: number): { name: string; text: string; delta: string; worse: boolean }[] {
  const steady = build.answer?.steady
  if (!steady) return []
  const view = steady.pieces[i]!
  const was = build.ghost?.answer.steady?.pieces[i]
  const loss = was ? view.loss_kPa - was.loss_kPa : 0
  return [
    { name: 'costs', text: spoken(view.loss_kPa, 'kPa', settings.units, 2), delta: change(loss, 'kPa', settings.units, 2), worse: loss > 0 },
    { name: 'air speed', text: spoken(view.velocity_m_s, 'm_s', settings.units), delta: '', worse: false },
    { name: 'Mach', text: view.mach.toFixed(3), delta: '', worse: false },
    { name: 'share of all loss', text: `${((100 * view.loss_kPa) / steady.totalLoss_kPa).toFixed(0)} %`, delta: '', worse: false },
  ]
}

function addBend(pipe: PipePiece, i: number): void {
  const bends = [...pipe.bends, { angle_deg: 90, radius_mm: Math.round(1.5 * pipe.bore_mm) }]
  void build.edit([{ pointer: `${at(i)}/bends`, value: bends }], `${pipe.name}: bend added`)
}

function removeBend(pipe: PipePiece, i: number, k: number): void {
  void build.edit([{ pointer: `${at(i)}/bends`, value: pipe.bends.filter((_, n) => n !== k) }], `${pipe.name}: bend ${k + 1} taken out`)
}
</script>

<template>
  <div class="paper">
    <section v-for="{ piece, i } in pipes" :key="i" :class="{ chosen: route.query.piece === String(i) }">
      <header>
        <h2>{{ piece.name }}, option {{ build.letter }}</h2>
        <dl>
          <div v-for="p in price(i)" :key="p.name">
            <dt>{{ p.name }}</dt>
            <dd>{{ p.text }} <span v-if="p.delta" :class="p.worse ? 'worse' : 'better'">{{ p.delta }}</span></dd>
          </div>
        </dl>
      </header>
      <div class="body">
        <div class="numbers">
          <NumberField part="pipe" name="bore_mm" :pointer="`${at(i)}/bore_mm`" :of="piece.name" />
          <NumberField part="pipe" name="length_mm" :pointer="`${at(i)}/length_mm`" :of="piece.name" />
          <ChoiceField label="material" :pointer="`${at(i)}/material`" :choices="materials" :of="piece.name" />
        </div>
        <table>
          <thead>
            <tr><th scope="col">bend</th><th scope="col">angle</th><th scope="col">radius</th><th scope="col">of bore</th><th><button type="button" class="act" @click="addBend(piece, i)">add a bend</button></th></tr>
          </thead>
          <tbody>
            <tr v-for="(b, k) in piece.bends" :key="k">
              <th scope="row">{{ k + 1 }}</th>
              <td><NumberField part="pipe/bends" name="angle_deg" :pointer="`${at(i)}/bends/${k}/angle_deg`" :of="`${piece.name} bend ${k + 1}`" bare /></td>
              <td><NumberField part="pipe/bends" name="radius_mm" :pointer="`${at(i)}/bends/${k}/radius_mm`" :of="`${piece.name} bend ${k + 1}`" bare /></td>
              <td class="num">{{ (b.radius_mm / piece.bore_mm).toFixed(2) }} D</td>
              <td class="num"><button type="button" class="act" :aria-label="`Take out bend ${k + 1} of ${piece.name}`" @click="removeBend(piece, i, k)">take out</button></td>
            </tr>
            <tr v-if="!piece.bends.length"><td colspan="5" class="none">no bends</td></tr>
          </tbody>
        </table>
        <PipeSketch :pipe="piece" :from="build.answer?.steady?.stations[i]?.temperature_C ?? 50" />
      </div>
    </section>
    <p v-if="!pipes.length">This option has no pipes.</p>
  </div>
</template>

<style scoped>
section {
  padding: 0 0 26px;
}
header {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 24px;
  padding-bottom: 3px;
  border-bottom: 1px solid var(--ink);
}
.chosen header {
  border-bottom: 2px solid var(--blue);
}
dl {
  display: flex;
  gap: 26px;
  margin: 0;
}
dl div {
  display: flex;
  gap: 6px;
}
dt {
  color: var(--ink-2);
}
dd {
  margin: 0;
  font-weight: 700;
}
.body {
  display: grid;
  grid-template-columns: 236px minmax(300px, 1fr) 220px;
  gap: 34px;
}
table {
  border-collapse: collapse;
  align-self: start;
  width: 100%;
}
th {
  padding: 7px 4px;
  text-align: right;
  font-weight: 500;
  color: var(--ink-2);
  border-bottom: 1px solid var(--rule);
}
th:first-child {
  text-align: left;
}
th:last-child,
td:last-child {
  width: 92px;
}
tbody th {
  color: var(--ink-3);
  border-color: var(--hair);
}
td {
  border-bottom: 1px solid var(--hair);
}
.num {
  text-align: right;
  padding: 4px;
  white-space: nowrap;
}
th {
  white-space: nowrap;
}
.none {
  padding: 8px 4px;
  color: var(--ink-2);
}
td .act,
th .act {
  white-space: nowrap;
  font-weight: 500;
  padding: 4px 0;
}
@media (max-width: 1250px) {
  .body {
    grid-template-columns: 220px minmax(280px, 1fr);
  }
  .body > :last-child {
    display: none;
  }
}
</style>
