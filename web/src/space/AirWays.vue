<script setup lang="ts">
import { Menu } from '../ui/overlays'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useBuild } from '../build/store'
import { newIdentity } from '../document/edit'
import type { AirLayer } from '../document/types'
import { change, spoken } from '../quantity/catalogue'
import KnowButton from '../reasons/KnowButton.vue'
import { useSettings } from '../settings/store'
import NumberField from '../ui/NumberField.vue'
import OrderTable from './OrderTable.vue'
import PressureBar from './PressureBar.vue'
import { fitted, newWay, OTHERS, reorder, sizeOf, unplaced } from './stack'
import SpeedPlot from './SpeedPlot.vue'
import StackDrawing from './StackDrawing.vue'
import WayFields from './WayFields.vue'

/** The cooling air's way through the car: opening, stack, exit; drawn to scale, solved at full load, typed over in place. */
const build = useBuild()
const settings = useSettings()
const route = useRoute()
const menu = ref<InstanceType<typeof Menu>>()
/** The way and the layer picked, by identity; at first the core's own layer, not what stands before it. */
const wayId = ref<string>()
const layerId = ref<string>()

const ways = computed(() => build.option?.airWays ?? [])
const wayIndex = computed(() =>
  Math.max(
    0,
    ways.value.findIndex((w) => w.id === wayId.value),
  ),
)
const way = computed(() => ways.value[wayIndex.value])
const at = computed(() => `${build.optionAt}/airWays/#${way.value?.id}`)
/** The answer of this very stack; while one of other layers is still on its way, none. */
const view = computed(() => {
  const answer = build.answer?.steady?.airWays[wayIndex.value]
  return answer && answer.layers.length === way.value?.layers.length ? answer : undefined
})
const was = computed(() => build.ghost?.answer.steady?.airWays.find((w) => w.name === way.value?.name))
const chosen = computed(() => {
  const list = way.value?.layers ?? []
  const ours = Math.max(
    0,
    list.findIndex((l) => l.kind === 'core' || l.kind === 'radiator'),
  )
  const picked = list.findIndex((l) => l.id !== undefined && l.id === layerId.value)
  return picked < 0 ? ours : picked
})
const layer = computed(() => way.value?.layers[chosen.value])
const layerAt = computed(() => `${at.value}/layers/#${layer.value?.id}`)
const own = computed(() => layer.value?.kind === 'core' || layer.value?.kind === 'radiator')
const free = computed(() => unplaced(build.option!))
watch([() => build.letter, wayIndex], () => (layerId.value = undefined))

const road = computed(() => build.document!.fullLoad.roadSpeed_km_h)
const heads = computed(() => {
  const v = view.value
  if (!v) return []
  const w = was.value
  const list = [
    {
      name: 'through the opening',
      text: spoken(v.flow_m3_h, 'm3_h', settings.units),
      delta: w ? change(v.flow_m3_h - w.flow_m3_h, 'm3_h', settings.units) : '',
      better: !w || v.flow_m3_h > w.flow_m3_h,
    },
    { name: 'round the stack', text: `${v.bypass_pct.toFixed(0)} %`, delta: '', better: true },
    { name: 'free opening', text: spoken(v.freeOpening_cm2, 'cm2', settings.units), delta: '', better: true },
    { name: 'stack', text: spoken(v.stackFace_cm2, 'cm2', settings.units), delta: '', better: true },
  ]
  for (const l of v.layers) {
    if (l.kind === 'CORE' || l.kind === 'RADIATOR')
      list.push({
        name: `face of the ${l.name}${l.kind === 'RADIATOR' ? "'s radiator" : ''}`,
        text: `${spoken(l.faceSpeed_m_s, 'm_s', settings.units)}, ${road.value > 0 ? ((360 * l.faceSpeed_m_s) / road.value).toFixed(0) : '0'} % of road speed`,
        delta: '',
        better: true,
      })
  }
  return list
})

const items = computed(() => [
  ...free.value.map((f) => ({
    label: f.kind === 'core' ? f.core.name : `radiator of the ${f.core.name}`,
    command: () => add({ kind: f.kind, name: f.core.name, across_mm: 0, up_mm: 0, gap_mm: 20 }),
  })),
  ...OTHERS.map((o) => ({ label: o.kind, command: () => add({ ...fitted(o.layer, way.value!), name: freeName(o.layer.name) }) })),
])

function freeName(words: string): string {
  const taken = new Set(way.value!.layers.map((l) => l.name))
  if (!taken.has(words)) return words
  for (let n = 2; ; n++) if (!taken.has(`${words} ${n}`)) return `${words} ${n}`
}

function add(fresh: AirLayer): void {
  const put = { ...fresh, id: newIdentity() }
  layerId.value = put.id
  void build.act([{ list: `${at.value}/layers`, put }], `${fresh.name} put in at the back of the stack`)
}

/** Moves a layer to the front or back by one; the gaps stay where they are. */
function shift(from: number, by: number): void {
  const list = way.value!.layers
  const to = from + by
  if (to < 0 || to >= list.length) return
  const order = list.map((_, i) => (i === to ? from : i === from ? to : i))
  const moved = list[from]!
  layerId.value = moved.id
  void build.act(reorder(`${at.value}/layers`, list, order), `${moved.name} moved to the ${by < 0 ? 'front' : 'back'}`)
}

function takeOut(index: number): void {
  const gone = way.value!.layers[index]!
  layerId.value = undefined
  void build.act([{ row: `${at.value}/layers/#${gone.id}`, out: true }], `${gone.name} taken out of the stack`)
}

function addWay(): void {
  const inside = free.value[0]
  if (!inside) return
  const name = ways.value.length ? `way ${ways.value.length + 1}` : 'front'
  const put = { ...newWay(name, inside), id: newIdentity() }
  wayId.value = put.id
  void build.act([{ list: `${build.optionAt}/airWays`, put }], `way of the air "${name}" put in`)
}

function removeWay(): void {
  const gone = way.value!
  wayId.value = undefined
  void build.act([{ row: `${build.optionAt}/airWays/#${gone.id}`, out: true }], `way of the air "${gone.name}" taken out`)
}

const what = (l: AirLayer) => `${l.kind === 'radiator' ? 'radiator of the ' : ''}${l.name}`
const size = (l: AirLayer) => {
  const s = sizeOf(l, build.option!)
  return s ? [s.width, s.height, s.depth].map((v) => spoken(v, 'mm', settings.units).replace(/ .*/, '')).join(' × ') : 'not in this option'
}
</script>

<template>
  <div class="paper">
    <template v-if="!way">
      <h2>Space, option {{ build.letter }}</h2>
      <p class="lead">No way of the cooling air is described. Its cores take a measured share of road speed, as typed on Core or Water.</p>
      <button v-if="free.length" type="button" class="act" @click="addWay">describe the opening, the stack and the exit</button>
      <p v-else class="lead">Nothing of this option is cooled by outside air.</p>
    </template>
    <template v-else>
      <nav class="which" aria-label="Ways of the air">
        <button
          v-for="(w, i) in ways"
          :key="w.id ?? i"
          type="button"
          class="act"
          :class="{ on: i === wayIndex }"
          :aria-pressed="i === wayIndex"
          @click="wayId = w.id"
        >
          {{ w.name }}
        </button>
        <span class="gap" />
        <button v-if="free.length" type="button" class="act quiet" @click="addWay">another way of the air</button>
        <button type="button" class="act quiet" @click="removeWay">take this way out</button>
      </nav>
      <header class="heads">
        <h2>
          Cooling air through "{{ way.name }}", option {{ build.letter }}, at {{ spoken(road, 'km_h', settings.units) }}
          <KnowButton :subject="`/airWays/${wayIndex}`" :of="way.name" />
        </h2>
        <dl>
          <div v-for="h in heads" :key="h.name">
            <dd class="figure">
              {{ h.text }} <span v-if="h.delta" class="delta" :class="h.better ? 'better' : 'worse'">{{ h.delta }}</span>
            </dd>
            <dt>{{ h.name }}</dt>
          </div>
        </dl>
      </header>
      <StackDrawing :way="way" :view="view" :option="build.option!" :chosen="chosen" @pick="layerId = way.layers[$event]?.id" />
      <section class="block">
        <h2>Layers, front first <button type="button" class="act add" aria-haspopup="menu" @click="menu?.toggle($event)">put one in</button></h2>
        <table class="figures layers">
          <thead>
            <tr>
              <th scope="col">layer</th>
              <th scope="col">size</th>
              <th scope="col">free before it</th>
              <th scope="col">off the middle</th>
              <th scope="col">above the middle</th>
              <th scope="col">face air</th>
              <th scope="col">air in</th>
              <th scope="col">air out</th>
              <th scope="col">heat</th>
              <th scope="col">hot side</th>
              <th><span class="hidden-words">move or take out</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(l, i) in way.layers" :key="l.id ?? i" :class="{ picked: i === chosen }">
              <th scope="row">
                <button type="button" class="act" :aria-pressed="i === chosen" @click="layerId = l.id">{{ what(l) }}</button>
              </th>
              <td>{{ size(l) }}</td>
              <td v-for="key in ['gap_mm', 'across_mm', 'up_mm']" :key="key">
                <NumberField part="airWay/layer" :name="key" :pointer="`${at}/layers/#${l.id}/${key}`" :of="what(l)" bare />
              </td>
              <template v-if="view?.layers[i]">
                <td>{{ spoken(view.layers[i]!.faceSpeed_m_s, 'm_s', settings.units) }}</td>
                <td>{{ spoken(view.layers[i]!.airIn_C, 'C', settings.units) }}</td>
                <td>{{ spoken(view.layers[i]!.airOut_C, 'C', settings.units) }}</td>
                <td>
                  {{ spoken(view.layers[i]!.heat_kW, 'kW', settings.units)
                  }}<span v-if="view.layers[i]!.fallsShort" class="quiet"> of {{ spoken(view.layers[i]!.asked_kW!, 'kW', settings.units) }}</span>
                </td>
                <td>{{ view.layers[i]!.hot_C == null ? '' : spoken(view.layers[i]!.hot_C!, 'C', settings.units) }}</td>
              </template>
              <td v-else colspan="5">not solved</td>
              <td class="moves">
                <button type="button" class="act" :disabled="i === 0" :aria-label="`Move ${what(l)} to the front`" @click="shift(i, -1)">
                  forward
                </button>
                <button
                  type="button"
                  class="act"
                  :disabled="i === way.layers.length - 1"
                  :aria-label="`Move ${what(l)} to the back`"
                  @click="shift(i, 1)"
                >
                  back
                </button>
                <button v-if="way.layers.length > 1" type="button" class="act" :aria-label="`Take ${what(l)} out of the stack`" @click="takeOut(i)">
                  out
                </button>
              </td>
            </tr>
          </tbody>
        </table>
        <div v-if="layer" class="card">
          <p class="fine whole">
            {{ what(layer) }} <KnowButton :subject="`/airWays/${wayIndex}/layers/${chosen}`" :of="what(layer)" />
            <template v-if="own">
              · its size and card are on
              <RouterLink class="act" :to="{ name: layer.kind === 'core' ? 'core' : 'water', params: route.params, query: route.query }">{{
                layer.kind === 'core' ? 'Core' : 'Water'
              }}</RouterLink>
            </template>
          </p>
          <template v-if="!own">
            <NumberField
              v-for="key in ['width_mm', 'height_mm', 'depth_mm', 'hot_C', 'heat_kW', 'hotOnCard_C', 'airSpeed_m_s', 'airIn_C']"
              :key="key"
              part="airWay/layer/other"
              :name="key"
              :pointer="`${layerAt}/${key}`"
              :of="what(layer)"
            />
            <NumberField
              v-for="key in ['cardWidth_mm', 'cardHeight_mm', 'cardDepth_mm']"
              :key="key"
              part="airWay/layer/other"
              :name="key"
              :pointer="`${layerAt}/${key}`"
              :of="what(layer)"
              optional
              empty="the same"
            />
            <NumberField part="airWay/layer/other" name="load_kW" :pointer="`${layerAt}/load_kW`" :of="what(layer)" optional empty="usual" />
            <NumberField part="airWay/layer/other" name="airLoss_Pa" :pointer="`${layerAt}/airLoss_Pa`" :of="what(layer)" optional empty="usual" />
          </template>
        </div>
      </section>
      <div v-if="view" class="pair">
        <PressureBar :view="view" />
        <section>
          <h2>Face air against road speed</h2>
          <SpeedPlot :view="view" :layer="chosen" :name="what(layer!)" :road="road" class="plot" />
        </section>
      </div>
      <OrderTable v-if="way.layers.length > 1" :way="way" :index="wayIndex" class="block" />
      <WayFields :way="way" :at="at" :view="view" />
      <Menu ref="menu" :model="items" popup />
    </template>
  </div>
</template>

<style scoped>
/* The choice of the surface's parts stands to the right of it. */
.which {
  display: flex;
  gap: 20px;
  align-items: baseline;
  padding: 0 156px 12px 0;
}
.gap {
  flex: 1;
}
.quiet {
  font-size: var(--s1);
  font-weight: 500;
}
.on {
  border-bottom: 2px solid var(--blue);
  font-weight: 700;
}
.lead {
  padding: 8px 0;
  color: var(--ink-2);
}
.add {
  float: right;
  font-size: var(--s1);
  font-weight: 500;
}
td {
  font-weight: 600;
}
.picked th .act {
  font-weight: 700;
  border-bottom: 2px solid var(--blue);
}
.layers td,
.layers th {
  padding-block: 2px;
}
.layers :deep(input) {
  text-align: right;
}
.card {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(228px, 1fr));
  column-gap: 30px;
}
.whole {
  grid-column: 1 / -1;
}
.block {
  padding-top: 20px;
}
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 34px;
  padding-top: 20px;
}
.plot {
  margin-top: 8px;
}
.fine {
  padding-top: 6px;
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
