<script setup lang="ts">
import { Menu } from '../ui/overlays'
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useBuild } from '../build/store'
import { api, type PieceView } from '../api/client'
import { useLookedUp } from '../build/lookedUp'
import { allPieces, boreOf, freeName, goneWith, NEW_KINDS, newPiece, type Placed } from '../document/pieces'
import type { PieceKind } from '../document/types'
import { change, spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import KnowButton from '../reasons/KnowButton.vue'
import BendTable from './BendTable.vue'
import { asLaid, bendsOf, inBends, laidAs } from './laid'
import LaidElevations from './LaidElevations.vue'
import PairTold from './PairTold.vue'
import PieceNumbers from './PieceNumbers.vue'
import PipeJoints from './PipeJoints.vue'
import PipeSketch from './PipeSketch.vue'
import StationTable from './StationTable.vue'

/** The whole way of the air, piece by piece, each with its price; pieces can be put in and taken out. */
const build = useBuild()
const settings = useSettings()
const route = useRoute()
function laidSays(laid: NonNullable<ReturnType<typeof laidAs>>): string {
  return `${spoken(laid.length_mm, 'mm', settings.units)} along its middle with ${inBends(bendsOf(laid).length)}`
}
const menu = ref<InstanceType<typeof Menu>>()
const behind = ref<Placed>()

const pieces = computed(() => allPieces(build.option!))
const { found: pairs } = useLookedUp(
  () => 0,
  async (document, letter, dropped) => (pieces.value.some((p) => p.piece.kind === 'pair') ? (await api.pairs(document, letter, dropped)).pairs : []),
)
const views = computed(() => flat(build.answer?.steady?.pieces ?? []))
/** What it is compared with, by kind and name: places shift when pieces are put in. */
const before = computed(() => new Map([...flat(build.ghost?.answer.steady?.pieces ?? []).values()].map((p) => [`${p.kind} ${p.name}`, p])))
const items = computed(() =>
  NEW_KINDS.filter((k) => !(behind.value?.leg && k.kind === 'pair')).map((k) => ({ label: k.words, command: () => putIn(k.kind, k.words) })),
)

function flat(list: PieceView[]): Map<string, PieceView> {
  const map = new Map<string, PieceView>()
  for (const p of list) {
    map.set(p.place, p)
    for (const leg of p.legs) for (const [place, view] of flat(leg.pieces)) map.set(place, view)
  }
  return map
}

function edited(kind: PieceKind): boolean {
  return !['core', 'blower', 'filter', 'plenum'].includes(kind)
}

function removable(p: Placed): boolean {
  if (p.leg && p.leg.path.length === 1) return false
  return !['blower', 'filter', 'plenum'].includes(p.piece.kind)
}

const elsewhere: Partial<Record<PieceKind, string>> = { core: 'core', blower: 'brief', filter: 'brief', plenum: 'brief' }

function price(p: Placed): { name: string; text: string; delta?: string; worse?: boolean }[] {
  const view = views.value.get(p.place)
  if (!view || p.piece.kind === 'blower') return []
  const was = before.value.get(`${view.kind} ${view.name}`)
  const own =
    p.piece.kind === 'pair' ? view.legs.reduce((sum, l) => sum + (l.share_pct / 100) * (l.splitLoss_kPa + l.mergeLoss_kPa), 0) : view.loss_kPa
  const loss = was && p.piece.kind !== 'pair' ? view.loss_kPa - was.loss_kPa : 0
  const lines: { name: string; text: string; delta?: string; worse?: boolean }[] = [
    {
      name: p.piece.kind === 'pair' ? 'junctions cost' : 'costs',
      text: spoken(own, 'kPa', settings.units, 2),
      delta: change(loss, 'kPa', settings.units, 2),
      worse: loss > 0,
    },
  ]
  if (view.price && p.piece.kind !== 'pair') {
    lines.push({ name: 'intake', text: `${change(view.price.intake_K, 'K', settings.units, 2) || '0'} ${settings.units === 'us' ? '°F' : '°C'}` })
    lines.push({ name: 'air', text: `${view.price.air_pct.toFixed(2)} %` })
  }
  if (edited(p.piece.kind) && p.piece.kind !== 'pair') lines.push({ name: 'Mach', text: view.mach.toFixed(3) })
  return lines
}

function ask(event: Event, p: Placed): void {
  behind.value = p
  menu.value?.toggle(event)
}

/** °C of the charge that enters a piece; in a leg of a pair that of the leg. */
function comesIn(p: Placed): number {
  const steady = build.answer?.steady
  const [, , piece, , leg, , within] = p.place.split('/').map(Number)
  const stations = leg === undefined ? steady?.stations : steady?.pieces[piece!]?.legs[leg]?.stations
  return stations?.[within ?? piece!]?.temperature_C ?? 50
}

const full = (at: string) => `${build.optionAt}${at}`

async function putIn(kind: PieceKind, words: string): Promise<void> {
  const p = behind.value
  if (!p) return
  const name = freeName(build.option!, words)
  await build.act([{ list: full(p.list), put: newPiece(kind, boreOf(p.piece), name), behind: p.piece.id }], `${name} put in behind ${p.piece.name}`)
}

function takeOut(p: Placed): void {
  void build.act(goneWith(build.option!, build.optionAt, p), `${p.piece.name} taken out`)
}

watch(
  () => route.query.piece,
  async (at) => {
    await nextTick()
    const card = [...document.querySelectorAll('[data-place]')].find((e) => e.getAttribute('data-place') === at)
    card?.scrollIntoView({ block: 'nearest' })
  },
  { immediate: true },
)
</script>

<template>
  <div class="paper">
    <p class="lead">
      What each piece costs: pressure; how much warmer it makes the intake at the same boost; air given away at the same pressure ratio of the blower.
    </p>
    <LaidElevations />
    <section
      v-for="p in pieces"
      :key="p.at"
      :data-place="p.at"
      :class="{ chosen: route.query.piece === p.at, thin: !edited(p.piece.kind), leg: p.leg }"
    >
      <header>
        <h2>
          <span v-if="p.leg && p.index === 0 && !p.piece.name.startsWith(p.leg.name)" class="side">{{ p.leg.name }}:&nbsp;</span>{{ p.piece.name }}
          <RouterLink
            v-if="elsewhere[p.piece.kind]"
            class="act"
            :to="{ name: elsewhere[p.piece.kind], params: route.params, query: { ...route.query, piece: p.at } }"
          >
            on {{ elsewhere[p.piece.kind] === 'core' ? 'Core' : 'Brief' }}
          </RouterLink>
        </h2>
        <dl>
          <div v-for="l in price(p)" :key="l.name">
            <dt>{{ l.name }}</dt>
            <dd>
              {{ l.text }} <span v-if="l.delta" :class="l.worse ? 'worse' : 'better'">{{ l.delta }}</span>
            </dd>
          </div>
        </dl>
        <span class="acts">
          <KnowButton :subject="p.place" :of="p.piece.name" />
          <button
            v-if="p.piece.kind !== 'plenum'"
            type="button"
            class="act"
            aria-haspopup="menu"
            :aria-label="`Put a piece in behind ${p.piece.name}`"
            @click="ask($event, p)"
          >
            put in behind
          </button>
          <button v-if="removable(p)" type="button" class="act" :aria-label="`Take out ${p.piece.name}`" @click="takeOut(p)">take out</button>
        </span>
      </header>
      <div v-if="edited(p.piece.kind)" class="body" :class="p.piece.kind">
        <PieceNumbers :piece="p.piece" :place="p.place" :at="full(p.at)" />
        <template v-if="p.piece.kind === 'pipe'">
          <p v-if="laidAs(p.piece, build.answer?.fit)" class="laid">
            Laid in the room: as long and bent as its corners say, {{ laidSays(laidAs(p.piece, build.answer?.fit)!) }}.
            <RouterLink :to="{ name: 'space', query: route.query }" class="act">its corners on Space</RouterLink>
          </p>
          <BendTable v-else :pipe="p.piece" :at="full(p.at)" />
          <PipeSketch :pipe="asLaid(p.piece, build.answer?.fit)" :from="comesIn(p)" />
        </template>
        <PairTold v-else-if="p.piece.kind === 'pair'" :piece="views.get(p.place)" :told="pairs.find((t) => t.place === p.place)" />
      </div>
    </section>
    <PipeJoints />
    <StationTable v-if="build.answer?.steady" :steady="build.answer.steady" />
    <Menu ref="menu" :model="items" popup />
  </div>
</template>

<style scoped>
.lead {
  padding-bottom: 14px;
  color: var(--ink-2);
}
section {
  padding: 0 0 22px;
}
section.thin {
  padding-bottom: 12px;
}
section.leg {
  margin-left: 26px;
}
header {
  display: flex;
  align-items: baseline;
  gap: 22px;
  padding-bottom: 3px;
  border-bottom: 1px solid var(--ink);
}
.thin header {
  border-bottom-color: var(--rule);
}
.chosen header {
  border-bottom: 2px solid var(--blue);
}
h2 {
  flex: 1 1 auto;
  color: var(--ink);
  white-space: nowrap;
}
.thin h2 {
  font-weight: 500;
  color: var(--ink-2);
}
h2 .act {
  margin-left: 8px;
  font-size: var(--s1);
  font-weight: 500;
}
.side {
  color: var(--ink-2);
  font-weight: 500;
}
dl {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 2px 18px;
  margin: 0;
}
dl div {
  display: flex;
  gap: 6px;
  white-space: nowrap;
}
dt {
  color: var(--ink-2);
}
dd {
  margin: 0;
  font-weight: 700;
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
.body {
  display: grid;
  grid-template-columns: 236px minmax(300px, 1fr) 220px;
  gap: 34px;
}
.body.injection {
  display: block;
}
@media (max-width: 1250px) {
  .body {
    grid-template-columns: 220px minmax(280px, 1fr);
  }
  .body > :nth-child(3) {
    display: none;
  }
  header {
    flex-wrap: wrap;
    gap: 4px 18px;
  }
}
</style>
