<script setup lang="ts">
import { Menu } from '../ui/overlays'
import { computed, defineAsyncComponent, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { api, type GapView, type RunName } from '../api/client'
import { allPieces } from '../api/pieces'
import { useBuild } from '../build/store'
import { at, named, newIdentity, type Edit } from '../document/edit'
import { layable } from '../document/pieces'
import type { Obstacle, Run, Stand } from '../document/types'
import { useSettings } from '../settings/store'
import Notice from '../ui/Notice.vue'
import { saveFile } from '../ui/saveFile'
import TextField from '../ui/TextField.vue'
import { say } from '../verdict/say'
import type { Point } from './elevation'
import Elevations from './Elevations.vue'
import FindWay from './FindWay.vue'
import GapTable from './GapTable.vue'
import MeshImport from './MeshImport.vue'
import ObstacleFields from './ObstacleFields.vue'
import ObstacleTable from './ObstacleTable.vue'
import MeasureBetween from './MeasureBetween.vue'
import MovingParts from './MovingParts.vue'
import BodyTable from './BodyTable.vue'
import PipeRuns from './PipeRuns.vue'
import TapeList from './TapeList.vue'
import { spoken } from '../quantity/catalogue'
import GapRibbon from './GapRibbon.vue'
import type { Ball } from './SheetMarks.vue'
import { emptyRoom, SHAPES, shifted } from './room'
import { isOf } from './run'
import type { Ghost } from './WayGhosts.vue'

/** The measured room, where the option's bodies stand in it, and whether they fit. */
const build = useBuild()
const settings = useSettings()
build.inRoom = true
onBeforeUnmount(() => (build.inRoom = false))
const large = ref(false)
/** The turnable view and what it is drawn with come when they are wanted. */
const TurnedView = defineAsyncComponent(() => import('./TurnedView.vue'))
const turning = ref(false)
const SHAPES_AS = ['stl', 'obj', 'glb', 'csv'] as const
async function save(how: (typeof SHAPES_AS)[number]): Promise<void> {
  failed.value = ''
  try {
    saveFile(await api.room(build.document!, build.letter, how), `${build.document!.name} ${build.letter} ${how === 'csv' ? 'pipes' : 'room'}.${how}`)
  } catch (e) {
    failed.value = (e as Error).message
  }
}
const failed = ref('')
const taping = ref(false)
const shapeMenu = ref<InstanceType<typeof Menu>>()

const room = computed(() => build.document?.room)
const fit = computed(() => build.answer?.fit)
const stands = computed(() => build.option?.stands ?? [])
const obstacles = computed(() => room.value?.obstacles ?? [])

/** A place of the answer, counted there, as a pointer by identity in the document on screen. */
const pointer = (place: string) => named(build.document, place.startsWith('/room') ? place : `${build.optionAt}${place}`)

/** What is picked, by identity; the gap that is looked at with it. */
const picked = ref<string>()
const looked = ref<{ place: string; against: string }>()
watch(
  () => build.letter,
  () => {
    picked.value = undefined
    looked.value = undefined
  },
)
/** The picked thing's place as the answer counts it. */
const chosen = computed(() => [...(fit.value?.bodies ?? []), ...(fit.value?.obstacles ?? [])].find((t) => pointer(t.place) === picked.value)?.place)
/** Measured between two of the reader's choice; shown until a gap of the list is looked at. */
const between = ref<GapView>()
const gap = computed(() => {
  if (between.value) return between.value
  const gaps = fit.value?.gaps ?? []
  return (
    gaps.find((g) => g.place === looked.value?.place && g.against === looked.value?.against) ??
    gaps.find((g) => !chosen.value || g.place === chosen.value || g.against === chosen.value)
  )
})
function pick(place: string | undefined): void {
  between.value = undefined
  picked.value = place === undefined ? undefined : pointer(place)
  looked.value = undefined
}
function look(g: GapView): void {
  between.value = undefined
  picked.value = pointer(g.place)
  looked.value = { place: g.place, against: g.against }
}

const structure = computed(() => new Set(obstacles.value.flatMap((o, i) => (o.nature === 'structure' ? [`/room/obstacles/${i}`] : []))))
const carried = computed(
  () =>
    new Set([
      ...obstacles.value.flatMap((o, i) => (o.carrier && o.carrier !== 'body' ? [`/room/obstacles/${i}`] : [])),
      ...stands.value.flatMap((s, i) => (s.carrier && s.carrier !== 'body' ? [`/stands/${i}`] : [])),
    ]),
)
const sentences = computed(() => (fit.value?.findings ?? []).map((f) => say(f, build.catalogue!.sentences, settings.units)))
const TRIALS = { BONNET_SHUT: 'bonnet shut', FULL_LOCK: 'full lock', ENGINE_ROCKING: 'engine rocking' }

function shift(place: string, by: Point): void {
  const where = pointer(place)
  const what = at(build.document, where) as (Obstacle | Stand | Run) | undefined
  const name = [...fit.value!.bodies, ...fit.value!.obstacles].find((t) => t.place === place)?.name
  if (what) void build.act(shifted(where, what, by), `${name} moved in the room`)
}

/** A corner of the picked pipe that is drawn elsewhere: figures and gaps follow before it is let go. */
function bending(id: string, by: Point): void {
  void build.drag(bentBy(id, by), `a corner of ${run.value!.of} drawn`)
}
function bend(id: string, by: Point): void {
  void build.drop(bentBy(id, by), `a corner of ${run.value!.of} moved`)
}
/** From where it stands in what is kept: on screen it may be on its way. */
function bentBy(id: string, by: Point): Edit[] {
  const where = `${picked.value}/corners/#${id}`
  const corner = at(build.keeper?.told.newest, where) as Run['corners'][number] | undefined
  return corner ? shifted(where, corner, by) : []
}

function begin(): void {
  void build.act([{ pointer: '/room', value: emptyRoom() }], 'a room to measure')
}

function putObstacle(fresh: Omit<Obstacle, 'id'>): void {
  const put = { ...structuredClone(fresh), name: freeName(fresh.name), id: newIdentity() }
  picked.value = `/room/obstacles/#${put.id}`
  void build.act([{ list: '/room/obstacles', put }], `${put.name} put into the room`)
}
function freeName(words: string): string {
  const taken = new Set(obstacles.value.map((o) => o.name))
  if (!taken.has(words)) return words
  for (let n = 2; ; n++) if (!taken.has(`${words} ${n}`)) return `${words} ${n}`
}
function copy(o: Obstacle): void {
  const put = { ...structuredClone(o), name: freeName(o.name), id: newIdentity() }
  picked.value = `/room/obstacles/#${put.id}`
  void build.act([{ list: '/room/obstacles', put, behind: o.id }], `${o.name} copied`)
}
function takeOut(row: string, name: string): void {
  if (picked.value === row) picked.value = undefined
  void build.act([{ row, out: true }], `${name} taken out of the room`)
}
const fromFile = ref(false)
const shapeItems = [
  ...SHAPES.map((s) => ({ label: s.label, command: () => putObstacle(s.fresh) })),
  { label: 'a scan or drawing from a file', command: () => (fromFile.value = true) },
]
function fileDone(placed: string | undefined): void {
  fromFile.value = false
  picked.value = placed ?? picked.value
}
/** The list that made the room went with the page it stood on. */
watch(
  () => room.value === undefined,
  (none) => {
    if (!none) taping.value = false
  },
)
/** A place that was pressed: in the turned view while it measures, or in two of the elevations one after the other. */
const pointed = ref<Point>()
const pointing = ref(false)
function press(seen: Partial<Point>): void {
  const own = body.value ?? { back_mm: 0, right_mm: 0, up_mm: 0 }
  const place = { back: own.back_mm, right: own.right_mm, up: own.up_mm, ...pointed.value, ...seen }
  pointed.value = { back: Math.round(place.back), right: Math.round(place.right), up: Math.round(place.up) }
}
watch(picked, () => {
  pointing.value = false
  pointed.value = undefined
})

/** The pipe that a way is looked for, and the ways found. */
const seeking = ref<RunName>()
const ghosts = shallowRef<Ghost[]>([])
const drawings = ref<HTMLElement>()
/** Pressed again it is looked for again. */
const sought = ref(0)
function find(of: RunName): void {
  seeking.value = of
  sought.value++
  drawings.value?.scrollIntoView({ block: 'start' })
}
watch(
  () => build.option && seeking.value && !layable(build.option).some((r) => isOf(r, seeking.value!)),
  (gone) => {
    if (gone) seeking.value = undefined
  },
)
const body = computed(() => stands.value.find((s) => picked.value === `${build.optionAt}/stands/#${s.id}`))
const run = computed(() => build.option?.runs?.find((r) => picked.value === `${build.optionAt}/runs/#${r.id}`))
/** How it is laid, and what each of its bends costs: its part of what the pipe loses at full load. */
const laid = computed(() => fit.value?.pipes.find((p) => run.value && isOf({ of: p.name, loop: p.loop }, run.value)))
const costs = computed(() => {
  const steady = build.answer?.steady
  const row = run.value?.loop ? steady?.loops.find((l) => l.core === run.value!.loop)?.pieces : allPieces(steady?.pieces ?? [])
  const loss = row?.find((p) => p.name === run.value?.of)?.loss_kPa
  return (laid.value?.turns ?? []).map((t) => (loss && t.share > 0 ? spoken(t.share * loss, 'kPa', settings.units, 2) : ''))
})
const ball = ref<Ball>()
const obstacle = computed(() => obstacles.value.find((o) => picked.value === `/room/obstacles/#${o.id}`))
const told = computed(() => fit.value?.obstacles.find((o) => pointer(o.place) === picked.value)?.says)
</script>

<template>
  <div class="paper">
    <h2 class="title">Space, option {{ build.letter }}</h2>
    <template v-if="!room">
      <p class="lead">
        Nothing is measured yet. Choose a place that a tape finds again as the datum, then put in what must be missed: every gap of cores, radiators
        and tanks is told from there.
      </p>
      <TapeList v-if="taping" @done="taping = false" />
      <p v-else class="decide">
        <button type="button" class="act" @click="taping = true">measure a usual place by the tape</button>
        <button type="button" class="act" @click="begin">measure a room</button>
      </p>
    </template>
    <template v-else>
      <p v-for="(s, i) in sentences" :key="i" class="says" :class="{ first: i === 0, worse: i === 0 && fit && !fit.fits }">{{ s }}</p>
      <p v-if="fit" ref="drawings" class="trials">
        <span v-for="t in fit.trials" :key="t.trial"
          >{{ TRIALS[t.trial] }} <b :class="t.goes ? 'better' : 'worse'">{{ t.goes ? 'goes' : 'does not go' }}</b></span
        >
        <button type="button" class="act" :aria-pressed="turning" @click="turning = !turning">
          {{ turning ? 'put the turned view away' : 'turn it by hand' }}
        </button>
        <button type="button" class="act" :aria-pressed="large" @click="large = !large">{{ large ? 'all in a row' : 'larger' }}</button>
      </p>
      <TurnedView v-if="fit && turning" :fit="fit" :chosen="chosen" :gap="gap" @pick="pick" @point="pointed = $event" />
      <Elevations
        v-if="fit"
        :fit="fit"
        :chosen="chosen"
        :gap="gap"
        :run="run"
        :ghosts="ghosts"
        :costs="costs"
        :ball="ball"
        :structure="structure"
        :carried="carried"
        :large="large"
        :pointed="pointed"
        :pointing="pointing"
        @point="press"
        @pick="pick"
        @shift="shift"
        @bending="bending"
        @unbent="build.drop([], '')"
        @corner="bend"
      />
      <GapRibbon v-if="fit && run && laid" :of="run.of" :loop="run.loop" :fit="fit" @spot="ball = $event" />
      <FindWay
        v-if="seeking"
        :key="sought"
        :of="seeking.of"
        :loop="seeking.loop"
        @ghosts="ghosts = $event"
        @taken="seeking = undefined"
        @done="seeking = undefined"
      />
      <p v-if="fit?.gone.length" class="fine">Kept, though not in this option any more: {{ fit.gone.join(', ') }}.</p>
      <BodyTable v-model:pointing="pointing" v-model:pointed="pointed" class="block" :fit="fit" :picked="body" @pick="picked = $event" @see="pick" />
      <PipeRuns class="block" :fit="fit" :picked="run" @pick="picked = $event" @find="find" />
      <GapTable v-if="fit?.gaps.length" :fit="fit" :chosen="gap" class="block" @pick="look" />
      <MeasureBetween v-if="fit" :fit="fit" class="block" @measured="between = $event" />
      <section class="block">
        <h2>
          What must be missed
          <button type="button" class="act add" aria-haspopup="menu" @click="shapeMenu?.toggle($event)">put one in</button>
          <button type="button" class="act add" :aria-expanded="taping" @click="taping = !taping">a usual place by the tape</button>
        </h2>
        <TapeList v-if="taping" @done="taping = false" />
        <MeshImport v-if="fromFile" :free-name="freeName" @done="fileDone" />
        <TextField label="datum" pointer="/room/datum" of="room" />
        <p v-if="!room.datum" class="fine">A place and two edges that a tape finds again: "middle of the latch panel's top edge".</p>
        <ObstacleTable
          v-if="obstacles.length"
          :obstacles="obstacles"
          :picked="obstacle"
          @pick="pick"
          @copy="copy"
          @take-out="(o) => takeOut(`/room/obstacles/#${o.id}`, o.name)"
        />
        <ObstacleFields v-if="obstacle" :key="obstacle.id" :obstacle="obstacle" :says="told" :pointed="pointed" />
      </section>
      <MovingParts class="block" />
      <section class="block">
        <h2>For other programs</h2>
        <p class="decide">
          <template v-for="how in SHAPES_AS" :key="how">
            <button v-if="how !== 'csv' || fit?.pipes.length" type="button" class="act" @click="save(how)">
              {{ how === 'csv' ? 'laid pipes' : 'room and bodies' }} as {{ how.toUpperCase() }}
            </button>
          </template>
        </p>
        <Notice v-if="failed" :says="failed" />
      </section>
      <Menu ref="shapeMenu" :model="shapeItems" popup />
    </template>
  </div>
</template>

<style scoped>
.title {
  padding-bottom: 6px;
}
.lead {
  padding: 8px 0;
  color: var(--ink-2);
}
.says {
  color: var(--ink-2);
}
.says.first {
  padding: 2px 0;
  font-size: var(--s4);
  font-weight: 700;
  color: var(--ink);
}
.says.worse {
  color: var(--heat-text);
}
.trials {
  display: flex;
  gap: 26px;
  padding: 4px 0 2px;
  color: var(--ink-2);
}
.trials b {
  margin-left: 5px;
  font-weight: 700;
}
.trials .act {
  font-size: var(--s1);
}
.trials .act:first-of-type {
  margin-left: auto;
}
.block {
  padding-top: 20px;
  /* What is out of sight is not drawn: an edit shows as soon as what is in sight is. */
  content-visibility: auto;
  contain-intrinsic-size: auto 420px;
  /* Which cuts off what stands out: a ring of focus has room. */
  margin-inline: -6px;
  padding-inline: 6px;
}
.add {
  float: right;
  margin-left: 22px;
  font-size: var(--s1);
  font-weight: 500;
}
.fine {
  padding-top: 6px;
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
