<script setup lang="ts">
import { computed, ref, watch, type ComponentPublicInstance } from 'vue'
import Dialog from 'primevue/dialog'
import { useBuild } from '../build/store'
import { change, figure } from '../quantity/catalogue'
import { clock } from '../quantity/time'
import { useSettings } from '../settings/store'
import { say } from '../verdict/say'
import { useZoom } from '../plot/zoom'
import Notice from '../ui/Notice.vue'
import Tick from '../ui/Tick.vue'
import type { Channel, LogFinding } from '../api/client'
import { BESIDE } from './channels'
import BeforeAfter from './BeforeAfter.vue'
import FaultList from './FaultList.vue'
import LogChart from './LogChart.vue'
import LogFit from './LogFit.vue'
import { MATCH_HEADS, matchRows } from './matches'
import MatchTable from './MatchTable.vue'
import { useLogBand } from './logBand'
import { useLogs } from './logs'
import PartMarks from './PartMarks.vue'
import ReadLog from './ReadLog.vue'
import SegmentTable from './SegmentTable.vue'
import { partsOnPaper } from './segments'
import { print } from './steps'

/** What was measured beside what was predicted: logs of drives, their parts, what is wrong with them and what they say. */
const build = useBuild()
const logs = useLogs()
const settings = useSettings()
const reading = ref(false)
const sure = ref(false)
const cursor = ref(0)
const shown = ref<Channel[]>([])
const renaming = ref<string>()
const plot = ref<ComponentPublicInstance>()

watch(
  () => build.keeper?.told.id,
  (id) => {
    if (id !== undefined) void logs.open(id)
  },
  { immediate: true },
)

const log = computed(() => logs.log)
const others = computed(() => (logs.list ?? []).filter((l) => l.id !== logs.chosen))
const zoom = useZoom(
  computed(() => log.value?.length_s ?? 0),
  cursor,
)
watch(
  () => logs.chosen,
  () => {
    cursor.value = 0
    moved.value = false
    zoom.all()
    renaming.value = undefined
  },
)
/** The cursor stands at the end of the hottest pull until the reader moves it. */
const moved = ref(false)
watch(
  () => logs.beside,
  (b) => {
    const pulls = b?.segments.filter((p) => p.kind === 'PULL') ?? []
    const hottest = pulls.reduce<(typeof pulls)[number] | undefined>((a, p) => (a && a.highest_C >= p.highest_C ? a : p), undefined)
    if (hottest && !moved.value) cursor.value = hottest.to_s
  },
  { immediate: true },
)
function move(to: number): void {
  moved.value = true
  cursor.value = to
}
const also = computed(() => BESIDE.filter((b) => log.value?.told.channels.some((c) => c.channel === b.channel) && b.channel !== logs.beside?.judged))
const drawn = computed(() => also.value.filter((b) => shown.value.includes(b.channel)))
function turn(channel: Channel): void {
  shown.value = shown.value.includes(channel) ? shown.value.filter((c) => c !== channel) : [...shown.value, channel]
}

const sentences = (about: LogFinding['about']) =>
  (logs.beside?.findings ?? []).filter((f) => f.about === about).map((f) => say(f, build.catalogue!.sentences, settings.units))
const { band, failed: bandless } = useLogBand()
const beside = computed(() => [...sentences('BESIDE'), ...(band.value?.says ?? []).map((f) => say(f, build.catalogue!.sentences, settings.units))])
const parts = computed(() => [...sentences('SHAPE'), ...sentences('PARTS')])
const doubts = computed(() => sentences('CHANNELS'))
/** What was found on reading the file, in words. */
const told = computed(() => {
  const l = log.value
  if (!l) return []
  const t = l.told
  const lines = [`${t.read.toLocaleString('en')} rows over ${clock(l.length_s)}.`]
  if (l.rows < t.read - t.repeated) lines.push(`Rows came faster than 100 a second: ${l.rows.toLocaleString('en')} are kept, as means.`)
  if (t.repeated) lines.push(`${t.repeated} rows had the time of the row above and were left out.`)
  for (const g of t.gaps.slice(0, 3)) lines.push(`Line ${g.line}: a gap of ${g.seconds.toFixed(1)} s at ${clock(g.from_s)}.`)
  if (t.gaps.length > 3) lines.push(`${t.gaps.length - 3} more gaps like that.`)
  for (const o of t.leftOut)
    lines.push(`${o.words}: ${o.cells} cells were no measurement and are left out; the first, "${o.text}", stands in line ${o.line}.`)
  return lines
})
const driving = computed(() => {
  const b = logs.beside
  if (!b || b.fault) return ''
  const outside = figure(b.outside_C, 'C', settings.units)
  const above = change(b.startAbove_K, 'K', settings.units).replace(/^\+/, '')
  const from = b.start ? `, core and water ${above ? `${above} warmer` : 'as warm'} at the start by the ${b.start}` : ''
  return `Predicted for the log's own speeds and boost, ${outside.figure} ${outside.unit} outside${b.outsideMeasured ? ' as measured' : ' from the Brief'}${from}.`
})

const failed = ref('')
async function rename(): Promise<void> {
  failed.value = ''
  try {
    await logs.rename(log.value!.id, renaming.value!)
    renaming.value = undefined
  } catch (e) {
    failed.value = (e as Error).message
  }
}
async function remove(): Promise<void> {
  sure.value = false
  failed.value = ''
  try {
    await logs.remove(log.value!.id)
  } catch (e) {
    failed.value = (e as Error).message
  }
}
/** What was measured beside what was predicted, to hand over. */
async function paper(): Promise<void> {
  const l = log.value!
  failed.value = await print(
    {
      title: 'Measured beside predicted',
      under: `${build.document!.name}, option ${build.letter}. ${l.name}`,
      sections: [
        { heading: 'What it comes to', ticked: false, lines: [...beside.value, ...parts.value, driving.value].filter(Boolean) },
        ...(doubts.value.length ? [{ heading: 'Before you believe it', ticked: false, lines: doubts.value }] : []),
        {
          heading: 'Under load',
          ticked: false,
          lines: [],
          table: [MATCH_HEADS, ...matchRows(logs.beside?.matches ?? [], settings.units)],
        },
        {
          heading: 'Parts of the drive',
          ticked: false,
          lines: [],
          table: partsOnPaper(logs.beside?.segments ?? [], settings.units),
        },
        { heading: 'What was read', ticked: false, lines: told.value },
      ],
      signed: false,
    },
    `${build.document!.name} ${l.name}`,
  )
}
const looked = ref<{ from: number; to: number }>()
function look(from: number, to: number): void {
  looked.value = { from, to }
  move(from)
  zoom.select(from, to)
  plot.value?.$el.scrollIntoView({ block: 'nearest' })
}
</script>

<template>
  <div class="drives">
    <header>
      <nav v-if="logs.list?.length" class="logs" aria-label="Logs of this build">
        <button
          v-for="l in logs.list"
          :key="l.id"
          type="button"
          :class="{ on: l.id === logs.chosen }"
          :aria-current="l.id === logs.chosen ? 'true' : undefined"
          @click="logs.chosen = l.id"
        >
          {{ l.name }}
        </button>
      </nav>
      <button v-if="logs.list?.length" type="button" class="act" :aria-expanded="reading" @click="reading = !reading">
        {{ reading ? 'close' : 'Read a log' }}
      </button>
    </header>
    <Notice v-if="logs.failed" :says="logs.failed"
      ><button type="button" class="act" @click="logs.open(build.keeper!.told.id)">Ask again</button></Notice
    >
    <template v-if="logs.list">
      <template v-if="!logs.list.length || reading">
        <p v-if="!logs.list.length" class="none">
          No log of this build yet. With one, the car's own drive is laid over what was predicted for it: how far they are apart, which part makes the
          difference, and what a sensor does not say.
        </p>
        <ReadLog @done="reading = false" />
      </template>
      <template v-if="log">
        <div class="answer" aria-label="What it comes to" role="group">
          <p v-if="logs.beside?.fault" class="worse">{{ logs.beside.fault.sentence }}</p>
          <p v-for="(s, i) in beside" :key="s" :class="{ first: i === 0 }">{{ s }}</p>
          <p v-if="bandless" class="quiet">How far it may be off is not known: {{ bandless }}</p>
          <p v-if="!logs.beside" class="quiet">Laying the log beside the option</p>
        </div>
        <div v-if="also.length" class="also">
          <Tick v-for="b in also" :key="b.channel" :label="b.name" :on="shown.includes(b.channel)" @turn="turn(b.channel)" />
        </div>
        <LogChart
          ref="plot"
          :cursor="cursor"
          class="plot"
          :log="log.id"
          :length="log.length_s"
          :judged="logs.beside?.judged"
          :band="band"
          :target="build.document!.targets.intake_C"
          :timing="build.document!.targets.timingPull_C"
          :segments="logs.beside?.segments ?? []"
          :also="drawn"
          :zoom="zoom"
          @update:cursor="move"
        />
        <div class="told">
          <section aria-label="What the log says">
            <p v-for="s in parts" :key="s">{{ s }}</p>
            <p v-if="driving" class="quiet">{{ driving }}</p>
          </section>
          <section v-if="doubts.length" aria-label="What to look at in the log">
            <h3>Before you believe it</h3>
            <p v-for="s in doubts" :key="s" class="worse">{{ s }}</p>
          </section>
        </div>
        <template v-if="logs.beside?.matches.length">
          <h3>Under load</h3>
          <MatchTable :matches="logs.beside.matches" />
        </template>
        <BeforeAfter v-if="others.length && logs.beside && !logs.beside.fault" :log="log" :others="others" />
        <FaultList v-if="logs.beside && !logs.beside.fault" :log="log.id" />
        <LogFit v-if="logs.beside && !logs.beside.fault" :log="log.id" />
        <template v-if="logs.beside?.segments.length">
          <h3>Parts of the drive</h3>
          <PartMarks :log="log" :cursor="cursor" :looked="looked" />
          <SegmentTable :segments="logs.beside.segments" @look="look" />
        </template>
        <h3>What was read</h3>
        <ul>
          <li v-for="t in told" :key="t">{{ t }}</li>
          <li>
            <template v-for="(c, i) in log.told.channels" :key="c.channel"
              >{{ i ? ', ' : '' }}{{ c.words }} from “{{ c.heading }}”{{ c.unit ? ` in ${c.unit}` : '' }}</template
            >.
          </li>
        </ul>
        <Notice v-if="failed" :says="failed" />
        <p class="ends">
          <template v-if="renaming === undefined">
            <button type="button" class="act" :disabled="!logs.beside" @click="paper">On paper</button>
            <a class="act" :href="`/api/logs/${log.id}/rows.csv`" download>Rows as CSV</a>
            <button type="button" class="act" @click="renaming = log.name">Call it otherwise</button>
            <button type="button" class="act" @click="sure = true">Delete this log</button>
          </template>
          <template v-else>
            <input
              v-model="renaming"
              type="text"
              maxlength="120"
              aria-label="Name of the log"
              @keydown.enter="rename"
              @keydown.esc="renaming = undefined"
            />
            <button type="button" class="act" @click="rename">Call it so</button>
            <button type="button" class="act" @click="renaming = undefined">Leave it</button>
          </template>
        </p>
      </template>
    </template>
    <p v-else-if="!logs.failed" class="none">Looking for logs</p>
    <Dialog v-model:visible="sure" modal dismissable-mask :header="`Delete the log ${log?.name}?`" :draggable="false" :style="{ width: '440px' }">
      <p>What was measured goes for good; the build stays. It cannot be undone here.</p>
      <div class="decide">
        <button type="button" class="act" autofocus @click="sure = false">Keep it</button>
        <button type="button" class="act gone" @click="remove">Delete it</button>
      </div>
    </Dialog>
  </div>
</template>

<style scoped>
header {
  display: flex;
  gap: 8px 24px;
  align-items: baseline;
  padding-top: 10px;
}
.logs {
  display: flex;
  flex: 1;
  gap: 4px 20px;
  overflow-x: auto;
}
.logs button {
  padding: 2px 0 4px;
  color: var(--blue);
  white-space: nowrap;
}
.logs .on {
  color: var(--ink);
  font-weight: 700;
  box-shadow: inset 0 -2px var(--ink);
}
.also {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  padding-top: 6px;
  color: var(--ink-2);
}
.plot {
  height: 400px;
  margin: 4px -28px 0;
}
.told {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr);
  gap: 30px;
}
.told p {
  padding: 3px 0;
}
.answer {
  padding: 10px 0 4px;
}
.answer p {
  padding: 1px 0;
}
.answer .first {
  font-weight: 600;
  font-size: var(--s4);
}
.quiet,
.none {
  color: var(--ink-2);
}
.none {
  padding: 18px 0 10px;
  max-width: 620px;
}
h3 {
  margin: 0;
  padding: 18px 0 4px;
  font-size: var(--s2);
  font-weight: 600;
  color: var(--ink-2);
}
.told h3 {
  padding-top: 3px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
  color: var(--ink-2);
}
li {
  padding: 2px 0;
}
.ends {
  display: flex;
  gap: 22px;
  align-items: center;
  padding-top: 14px;
}
.ends input {
  width: 300px;
  min-height: 32px;
  border: 0;
  border-bottom: 1px solid var(--rule);
  background: transparent;
}
.gone {
  color: var(--heat-text);
}
@media (max-width: 1100px) {
  .told {
    grid-template-columns: minmax(0, 1fr);
    gap: 8px;
  }
}
</style>
