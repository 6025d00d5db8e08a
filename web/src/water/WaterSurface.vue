<script setup lang="ts">
import { Menu } from '../ui/overlays'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useBuild } from '../build/store'
import { newIdentity, type Edit } from '../document/edit'
import { ofKind, onLoopOf } from '../document/pieces'
import { FITTINGS, type LoopPiece, type LoopPieceKind } from '../document/types'
import { change, spoken } from '../quantity/catalogue'
import { clock } from '../quantity/time'
import KnowButton from '../reasons/KnowButton.vue'
import { useSettings } from '../settings/store'
import CoolAnotherWay from '../core/CoolAnotherWay.vue'
import { api } from '../api/client'
import { useRemaking } from '../build/remaking'
import { newLoopPiece } from './loop'
import LoopCores from './LoopCores.vue'
import LoopDrawing from './LoopDrawing.vue'
import LoopPieceFields from './LoopPieceFields.vue'
import PumpPlot from './PumpPlot.vue'
import SinkFields from './SinkFields.vue'
import WaterChanges from './WaterChanges.vue'
import Notice from '../ui/Notice.vue'
import EitherOr from '../ui/EitherOr.vue'

/** The water side of a core: the loop as it is, what every piece takes, what would help, and all of it to type over. */
const build = useBuild()
const settings = useSettings()
const route = useRoute()
const router = useRouter()
const menu = ref<InstanceType<typeof Menu>>()

const cores = computed(() => ofKind(build.option!, 'core').filter((c) => c.piece.water))
const airCores = computed(() => ofKind(build.option!, 'core').filter((c) => c.piece.cooledBy === 'air'))
const chosen = computed(() => cores.value.find((c) => c.at === route.query.piece) ?? cores.value.at(-1))
const core = computed(() => chosen.value?.piece)
const place = computed(() => chosen.value?.place ?? '')
const named = computed(() => chosen.value?.at ?? '')
const at = computed(() => `${build.optionAt}${named.value}/water`)
const loop = computed(() => core.value?.water)
const view = computed(() => build.answer?.steady?.loops.find((l) => l.place === place.value))
const stands = computed(() => onLoopOf(build.option!, core.value?.name ?? '').map((c) => c.piece.sharesLoop!.stands))
const was = computed(() => build.ghost?.answer.steady?.loops.find((l) => l.core === core.value?.name))
const pieces = computed(() => loop.value?.pieces ?? [])
/** How a hose is laid in the room, and the heights of the pieces where they are taken from the room. */
const laidAs = (p: LoopPiece) => build.answer?.fit?.pipes.find((l) => l.loop === core.value?.name && l.name === p.name && p.kind === 'hose')
const heights = computed(() => {
  const there = build.answer?.fit?.loops.find((l) => l.core === core.value?.name)?.heights
  return there?.length === pieces.value.length ? there : undefined
})
/** The loop as it is drawn: what is laid and placed as it is in the room. */
const drawn = computed(
  () =>
    loop.value && {
      ...loop.value,
      pieces: pieces.value.map((p, i) => {
        const long = laidAs(p)
        return { ...p, height_mm: heights.value?.[i]!.up_mm ?? p.height_mm, ...(long && { length_mm: long.straight_mm }) } as LoopPiece
      }),
    },
)
/** The piece picked, by its identity: it stays picked wherever it moves. */
const picked = ref<string>()
const index = computed(() => {
  const found = pieces.value.findIndex((p) => p.id !== undefined && p.id === picked.value)
  return found >= 0 ? found : Math.min(Math.max(view.value?.narrowest ?? 0, 0), pieces.value.length - 1)
})
const piece = computed(() => pieces.value[index.value])
const here = computed(() => `${at.value}/pieces/#${piece.value?.id}`)
watch(named, () => (picked.value = undefined))

interface Head {
  name: string
  text: string
  delta?: string
  better?: boolean
}

const heads = computed<Head[]>(() => {
  const v = view.value
  if (!v) return []
  const w = was.value
  const list: Head[] = [
    {
      name: v.guessed ? 'flow, a guess' : v.measured ? 'measured flow' : 'flow',
      text: spoken(v.flow_L_min, 'L_min', settings.units),
      delta: w ? change(v.flow_L_min - w.flow_L_min, 'L_min', settings.units) : '',
      better: !w || v.flow_L_min > w.flow_L_min,
    },
    { name: 'all losses', text: spoken(v.head_kPa, 'kPa', settings.units) },
    {
      name: 'into the core',
      text: spoken(v.waterIn_C, 'C', settings.units),
      delta: w ? change(v.waterIn_C - w.waterIn_C, 'K', settings.units) : '',
      better: !w || v.waterIn_C < w.waterIn_C,
    },
    { name: 'out of it', text: spoken(v.waterOut_C, 'C', settings.units) },
    { name: 'heat', text: spoken(v.heat_kW, 'kW', settings.units) },
  ]
  if (v.pumpPower_W > 0) list.push({ name: 'pumps draw', text: `${v.pumpPower_W.toFixed(0)} W` })
  if (v.iceLasts_s != null) list.push({ name: 'ice lasts', text: clock(v.iceLasts_s) })
  if (v.rise_K_min > 0.01) list.push({ name: 'water warms a minute', text: spoken(v.rise_K_min, 'K', settings.units) })
  if (v.pullDown_s != null) list.push({ name: 'pull-down, no load', text: clock(v.pullDown_s) })
  return list
})

const kinds: { kind: LoopPieceKind; words: string }[] = [
  { kind: 'hose', words: 'hose' },
  ...FITTINGS.map((kind) => ({ kind, words: kind })),
  { kind: 'pump', words: 'pump' },
  { kind: 'radiator', words: 'radiator' },
  { kind: 'tank', words: 'tank' },
  { kind: 'chiller', words: 'chiller' },
]
const once: LoopPieceKind[] = ['radiator', 'tank', 'chiller']
const items = computed(() =>
  kinds
    .filter((k) => !once.includes(k.kind) || (!pieces.value.some((p) => p.kind === k.kind) && !loop.value?.raw))
    .map((k) => ({ label: k.words, command: () => putIn(k.kind, k.words) })),
)

/** What a loop needs to know of a part that stands among its pieces. */
const PARTS = {
  radiator: {
    width_mm: 400,
    height_mm: 250,
    depth_mm: 32,
    heat_kW: 12,
    waterFlow_L_min: 20,
    waterIn_C: 60,
    airSpeed_m_s: 5,
    airIn_C: 25,
    air: { faceShare_pct: 22, standstill_m_s: 0.5 },
  },
  tank: { holds_L: 8, baffled: false, refilled: false },
  chiller: { capacity_kW: 4, coldest_C: 4, dropOutBoost_kPa: 20, whileWaiting: false },
} as const

function freeName(words: string): string {
  const taken = new Set(pieces.value.map((p) => p.name))
  if (!taken.has(words)) return words
  for (let n = 2; ; n++) if (!taken.has(`${words} ${n}`)) return `${words} ${n}`
}

async function putIn(kind: LoopPieceKind, words: string): Promise<void> {
  const bore = [...pieces.value.slice(0, index.value + 1)].reverse().find((p): p is LoopPiece & { bore_mm: number } => 'bore_mm' in p)?.bore_mm ?? 19
  const name = freeName(words)
  const fresh = { ...newLoopPiece(kind, name, bore, piece.value?.height_mm ?? 400), id: newIdentity() }
  const edits: Edit[] = [{ list: `${at.value}/pieces`, put: fresh, behind: piece.value?.id ?? null }]
  if (kind === 'radiator' || kind === 'tank' || kind === 'chiller')
    edits.push({ pointer: `${at.value}/${kind}`, value: loop.value?.[kind] ?? PARTS[kind] })
  picked.value = fresh.id
  await build.act(edits, `${name} put in behind ${piece.value?.name}`)
}

async function takeOut(): Promise<void> {
  const gone = piece.value!
  const edits: Edit[] = [{ row: here.value, out: true }]
  if (gone.kind === 'radiator' || gone.kind === 'tank' || gone.kind === 'chiller')
    edits.push({ pointer: `${at.value}/${gone.kind}`, value: undefined })
  picked.value = pieces.value[Math.max(0, index.value - 1)]?.id
  await build.act(edits, `${gone.name} taken out`)
}

async function shift(by: number): Promise<void> {
  const to = index.value + by
  if (to < 0 || to >= pieces.value.length) return
  const moved = piece.value!
  picked.value = moved.id
  const rest = pieces.value.filter((p) => p !== moved)
  await build.act([{ row: here.value, behind: rest[to - 1]?.id ?? null }], `${moved.name} moved ${by < 0 ? 'forward' : 'back'}`)
}

const { busy, failed, remake } = useRemaking()

function drawOut(): void {
  void remake((document, letter) => api.drawnLoop(document, letter, place.value), `${core.value!.name}: its water loop drawn out`)
}

function findFlow(): void {
  const edits = ['flow_L_min', 'flowGuessed'].map((key) => ({ pointer: `${at.value}/${key}`, value: undefined }))
  void build.act(edits, `${core.value!.name}: water flow from the pump`)
}

const pumps = computed(() => pieces.value.filter((p) => p.kind === 'pump'))

function choose(p: string): void {
  void router.replace({ query: { ...route.query, piece: p } })
}
</script>

<template>
  <div class="paper">
    <template v-if="!core || !loop">
      <h2>Water, option {{ build.letter }}</h2>
      <p class="lead">
        No core of this option is cooled by water. <template v-if="airCores.length">Cool it with water instead:</template
        ><template v-else>Put one in:</template>
      </p>
      <p class="lead"><CoolAnotherWay :only="['water and radiator', 'ice tank', 'chilled water', 'raw water']" /></p>
      <p v-if="airCores.length" class="lead">
        <RouterLink class="act" :to="{ name: 'space', params: route.params, query: route.query }">Its cooling air is on Space</RouterLink>
      </p>
    </template>
    <template v-else>
      <EitherOr
        v-if="cores.length > 1"
        class="which"
        of="Water-cooled cores"
        :choices="cores.map((c) => ({ value: c.at, label: c.piece.name }))"
        :value="named"
        @pick="choose"
      />
      <header class="heads">
        <h2>
          Water of the {{ core.name }}, option {{ build.letter }}, held at full load
          <KnowButton :subject="`${place}/water`" :of="`water of the ${core.name}`" />
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
      <LoopCores :lead="core.name" :view="view" />
      <section v-if="!pieces.length" class="plain">
        <p class="lead">
          Only the flow of this loop is given, {{ loop.flowGuessed ? 'and that is a guess' : 'measured by bucket and watch' }}. Draw it out to see
          what each hose and spigot takes, and where air stays{{ loop.flowGuessed ? '; the flow is then found from the pump' : '' }}.
        </p>
        <button type="button" class="act" :disabled="busy" @click="drawOut">draw the loop with usual pieces</button>
        <Notice v-if="failed" :says="failed" />
      </section>
      <template v-else>
        <LoopDrawing :loop="drawn ?? loop" :view="view" :chosen="index" :place="place" :stands="stands" @pick="picked = pieces[$event]?.id" />
        <div class="pair">
          <section v-if="piece" class="chosen-piece">
            <header>
              <h2>{{ piece.name }}</h2>
              <span class="acts">
                <KnowButton :subject="`${place}/water/pieces/${index}`" :of="piece.name" />
                <button type="button" class="act" :disabled="index === 0" aria-label="Move this piece forward" @click="shift(-1)">forward</button>
                <button type="button" class="act" :disabled="index === pieces.length - 1" aria-label="Move this piece back" @click="shift(1)">
                  back
                </button>
                <button
                  type="button"
                  class="act"
                  aria-haspopup="menu"
                  :aria-label="`Put a piece in behind ${piece.name}`"
                  @click="menu?.toggle($event)"
                >
                  put in behind
                </button>
                <button
                  v-if="piece.kind !== 'core' && piece.kind !== 'source' && piece.kind !== 'outfall'"
                  type="button"
                  class="act"
                  :aria-label="`Take out ${piece.name}`"
                  @click="takeOut"
                >
                  take out
                </button>
              </span>
            </header>
            <LoopPieceFields :piece="piece" :here="here" :core="core!.name" :laid="laidAs(piece)" :height="heights?.[index]" />
            <div v-if="pumps.length && view && view.heads.length" class="plot">
              <h2>Where pump and loop meet</h2>
              <PumpPlot :view="view" />
            </div>
          </section>
          <div class="side">
            <WaterChanges :place="place" />
          </div>
        </div>
      </template>
      <SinkFields :loop="loop" :view="view" :at="at" :core="core.name" @find-flow="findFlow" />
      <Menu ref="menu" :model="items" popup />
    </template>
  </div>
</template>

<style scoped>
.which {
  padding-bottom: 12px;
}
.plain {
  padding: 10px 0 20px;
}
.plain .act {
  padding: 8px 0;
}
.lead {
  padding: 8px 0;
  color: var(--ink-2);
}
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1.05fr) minmax(0, 1fr);
  gap: 34px;
  padding-top: 14px;
}
.chosen-piece header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 12px;
  border-bottom: 1px solid var(--ink);
  padding-bottom: 3px;
}
.chosen-piece header h2 {
  color: var(--blue);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.acts {
  display: flex;
  gap: 14px;
  white-space: nowrap;
}
.acts .act {
  font-size: var(--s1);
  font-weight: 500;
}
.plot {
  padding-top: 18px;
}
.plot h2 {
  margin-bottom: 8px;
}
@media (max-width: 1180px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
