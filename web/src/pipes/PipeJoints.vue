<script setup lang="ts">
import { computed, nextTick, watch } from 'vue'
import { useRoute } from 'vue-router'
import { api, type JointView } from '../api/client'
import { useLookedUp } from '../build/lookedUp'
import { useBuild } from '../build/store'
import { clampWords, couplingWords, type Clamp, type Coupling, type JointsEnd } from '../document/types'
import { figure, spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import Tick from '../ui/Tick.vue'
import { say } from '../verdict/say'
import { joinedSo, made, usualMade } from './joints'
import SchoolTable from './SchoolTable.vue'

/** Every joint of the pipes: what moves, pushes and heats it, what bears that, and what mends one that does not. */
const build = useBuild()
const settings = useSettings()
const { found, stale } = useLookedUp(
  () => 0,
  async (document, letter, dropped) => [await api.joints(document, letter, dropped)],
)
const view = computed(() => found.value[0])
const rows = computed(() => view.value?.joints ?? [])
const route = useRoute()
watch(
  () => [route.hash, rows.value.length > 0],
  async ([hash, there]) => {
    await nextTick()
    if (hash === '#joints' && there) document.getElementById('joints')?.scrollIntoView({ block: 'start' })
  },
)
const unsound = computed(() => rows.value.filter((j) => !j.sound))
const named = (j: JointView) => `${j.before} to ${j.behind}`
const mm = (v: number) => figure(v, 'mm', settings.units, settings.units === 'us' ? 2 : 1).figure
const deg = (v: number) => `${v.toFixed(1)}°`
const N = (v: number) => spoken(v, 'N', settings.units)
const unit = computed(() => spoken(0, 'mm', settings.units).replace(/^\S+ /, ''))

const MENDS: Record<NonNullable<JointView['mend']>['by'], string> = {
  BEAD: 'bead the ends',
  T_BOLT: 'T-bolt clamps on beads',
  HUMP: 'a hump hose there',
  HUMP_BOTH: 'hump hoses at both ends of the pipe',
  QUICK: 'a quick joint there',
  V_BAND: 'a V-band there',
  BELLOWS: 'a bellows there',
  CARRY: 'hang the core on the',
}
function mends(j: JointView): string {
  const m = j.mend!
  return m.by === 'CARRY' ? m.joined.hung.map((h) => `hang ${h.of} on the ${h.carrier}`).join(', ') : MENDS[m.by]
}
function mend(j: JointView): void {
  void build.act(joinedSo(build.option!, build.optionAt, j.mend!.joined), `${named(j)}: ${mends(j)}`)
}

interface Made {
  coupling: Coupling
  clamp: Clamp
  plain?: boolean
}
const madeOf = (j: JointView): Made => ({ coupling: j.coupling as Coupling, clamp: j.clamp as Clamp, plain: !j.beaded })
function one(j: JointView, change: Partial<Made>, words: string): void {
  const is = { ...madeOf(j), ...change }
  void build.act([made(build.option!, build.optionAt, view.value!.usual, j.of, j.end as JointsEnd, is)], `${named(j)}: ${words}`)
}
function all(change: Partial<Made>, words: string): void {
  void build.act([usualMade(build.option!, build.optionAt, view.value!.usual, change)], `joints: ${words}`)
}
const joints = computed(() => `${build.optionAt}/joints`)
const FIGURES = ['hold_N', 'across_mm', 'along_mm', 'bend_deg', 'most_C'] as const
</script>

<template>
  <section v-if="view && rows.length" id="joints" class="joints">
    <h2>Joints</h2>
    <p v-if="unsound.length" class="worse">
      {{ unsound.length }} of {{ rows.length }} joints {{ unsound.length === 1 ? 'does' : 'do' }} not bear what comes on
      {{ unsound.length === 1 ? 'it' : 'them' }}.
    </p>
    <p v-else class="fine">All {{ rows.length }} joints bear what comes on them, as far as their pipes are laid in the room.</p>
    <div class="usual">
      <ChoiceField
        label="made as"
        of="all joints"
        pointer=""
        :choices="couplingWords"
        :shown="view.usual.coupling"
        :pick="(c: string) => all({ coupling: c as Coupling }, `made as ${c}`)"
      />
      <ChoiceField
        label="clamps"
        of="all joints"
        pointer=""
        :choices="clampWords"
        :shown="view.usual.clamp"
        :pick="(c: string) => all({ clamp: c as Clamp }, `${c} clamps`)"
      />
      <Tick label="ends beaded" :on="view.usual.beaded" @turn="all({ plain: !$event || undefined }, $event ? 'ends beaded' : 'plain ends')" />
    </div>
    <table class="figures">
      <thead>
        <tr>
          <th scope="col">joint</th>
          <th scope="col" class="left">made as</th>
          <th scope="col">across, {{ unit }}</th>
          <th scope="col">along, {{ unit }}</th>
          <th scope="col">bends</th>
          <th scope="col">pushed, held</th>
          <th scope="col">air, lasts to</th>
        </tr>
      </thead>
      <tbody v-for="j in rows" :key="`${j.of} ${j.end}`">
        <tr :class="{ short: !j.sound }">
          <th scope="row">{{ j.before }} <span class="to">to</span> {{ j.behind }}</th>
          <td>
            <div class="made">
              <ChoiceField
                label="made as"
                :of="named(j)"
                pointer=""
                bare
                :choices="couplingWords"
                :shown="j.coupling"
                :pick="(c: string) => one(j, { coupling: c as Coupling }, c)"
              />
              <template v-if="j.carries">
                <ChoiceField
                  label="clamps"
                  :of="named(j)"
                  pointer=""
                  bare
                  :choices="clampWords"
                  :shown="j.clamp"
                  :pick="(c: string) => one(j, { clamp: c as Clamp }, `${c} clamps`)"
                />
                <Tick label="bead" :on="j.beaded" @turn="one(j, { plain: !$event }, $event ? 'ends beaded' : 'plain ends')" />
              </template>
            </div>
          </td>
          <template v-if="j.moved">
            <td :class="{ worse: j.over?.across }">
              {{ mm(j.moved.across_mm) }} <small>of {{ mm(j.bears.across_mm) }}</small>
            </td>
            <td :class="{ worse: j.over?.along }">
              {{ mm(j.moved.along_mm) }} <small>of {{ mm(j.bears.along_mm) }}</small>
            </td>
            <td :class="{ worse: j.over?.bend }">
              {{ deg(j.moved.bend_deg) }} <small>of {{ deg(j.bears.bend_deg) }}</small>
            </td>
          </template>
          <td v-else colspan="3" class="quiet">not laid in the room</td>
          <td :class="{ worse: j.holds_N !== undefined && j.asked_N > j.holds_N }">
            {{ N(j.asked_N) }} <small>{{ j.holds_N === undefined ? 'locked' : `of ${N(j.holds_N)}` }}</small>
          </td>
          <td :class="{ worse: j.temperature_C > j.most_C }">
            {{ figure(j.temperature_C, 'C', settings.units, 0).figure }} <small>of {{ spoken(j.most_C, 'C', settings.units, 0) }}</small>
          </td>
        </tr>
        <tr v-for="(f, i) in j.findings" :key="i" class="says">
          <td colspan="7">
            {{ say(f, build.catalogue!.sentences, settings.units) }}
            <template v-if="i === j.findings.length - 1">
              <button v-if="j.mend" type="button" class="act" :disabled="stale" :aria-label="`${named(j)}: ${mends(j)}`" @click="mend(j)">
                {{ mends(j) }}
              </button>
              <span v-else class="quiet">No kind of joint that is sold mends it, nor another carrier of the core.</span>
            </template>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="fine">
      Movement is what carriers of the room do, and what pipes grow by as they get hot; a pipe comes to lie where its joints are used least. Pushed is
      boost on the area, half as much again for pulses. What kinds of joint bear is common practice, no source.
    </p>
    <details v-if="build.option?.joints">
      <summary class="act">what the maker's sheet says of these joints</summary>
      <div class="own">
        <NumberField v-for="key in FIGURES" :key="key" part="joints" :name="key" :pointer="`${joints}/${key}`" optional empty="as usual" />
      </div>
    </details>
    <SchoolTable :schools="view.schools" :stale="stale" />
  </section>
</template>

<style scoped>
.joints {
  padding-bottom: 26px;
}
.usual {
  display: flex;
  flex-wrap: wrap;
  gap: 0 26px;
  align-items: center;
  padding: 6px 0 4px;
}
.usual > :deep(.choice) {
  min-width: 236px;
}
th,
td {
  padding-block: 3px;
}
.left,
tbody th {
  text-align: left;
}
tbody th {
  font-weight: 500;
  white-space: normal;
}
.to,
small {
  color: var(--ink-2);
}
.worse small {
  color: inherit;
}
.short th {
  font-weight: 700;
}
.short th,
.short td {
  border-bottom: 0;
}
.fine {
  padding-top: 6px;
}
.made {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  align-items: center;
  text-align: left;
}
.quiet {
  color: var(--ink-2);
  text-align: left;
}
.says td {
  padding: 0 0 8px 14px;
  text-align: left;
  white-space: normal;
  color: var(--heat-text);
}
.says .act {
  margin-left: 10px;
  font-size: var(--s1);
}
.own {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 0 34px;
  padding: 4px 0 10px;
}
summary {
  width: fit-content;
  cursor: pointer;
}
</style>
