<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, type FitView, type RunName } from '../api/client'
import { useBuild } from '../build/store'
import { newIdentity, type Edit } from '../document/edit'
import { layable } from '../document/pieces'
import type { Run } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import NumberField from '../ui/NumberField.vue'
import Notice from '../ui/Notice.vue'
import { say } from '../verdict/say'
import { bendsOf } from '../pipes/laid'
import PipeBraces from './PipeBraces.vue'
import PipeFittings from './PipeFittings.vue'
import PipeOvals from './PipeOvals.vue'
import { cornersOf, isOf, middleOfLongest, ovalsOf, placeAt, type Place } from './run'
import { TURN_KEYS, useTypedTurns } from './typedTurns'

/** Which pipes and hoses of the option are laid in the room, and by which corners: their length and bends follow. */
const props = defineProps<{ fit?: FitView; picked?: Run }>()
const emit = defineEmits<{ pick: [row: string | undefined]; find: [of: RunName] }>()
const build = useBuild()
const settings = useSettings()
const AXES = ['back_mm', 'right_mm', 'up_mm'] as const
const mm = (v: number) => spoken(v, 'mm', settings.units)

const runs = computed(() => build.option?.runs ?? [])
const row = (r: Run) => `${build.optionAt}/runs/#${r.id}`
const laid = (r: Run) => props.fit?.pipes.find((p) => p.place === `/runs/${runs.value.indexOf(r)}`)
interface Row extends RunName {
  run?: Run
  gone?: boolean
}
/** Every pipe with its run, every hose of a loop, then the runs of what is gone. */
const rows = computed<Row[]>(() => {
  const there: Row[] = layable(build.option!)
  return [
    ...there.map((row) => ({ ...row, run: runs.value.find((r) => isOf(r, row)) })),
    ...runs.value.filter((r) => !there.some((row) => isOf(r, row))).map((run) => ({ of: run.of, loop: run.loop, run, gone: true })),
  ]
})
const carriers = computed(() => ['body', ...(build.document?.room?.carriers ?? []).map((c) => c.name)])
const now = computed(() => (props.picked ? laid(props.picked) : undefined))

function lay({ of, loop }: Row): void {
  const start = props.fit?.startings.find((s) => isOf(s, { of, loop }))
  const fresh: Run = {
    of,
    loop,
    from: start?.from_mm && placeAt(start.from_mm),
    corners: (start?.corners_mm ?? []).map((c) => ({ ...placeAt(c), id: newIdentity() })),
    to: start?.to_mm && placeAt(start.to_mm),
    id: newIdentity(),
  }
  emit('pick', row(fresh))
  void build.act([{ list: `${build.optionAt}/runs`, put: fresh }], `${of} laid in the room`)
}
function drop(r: Run): void {
  if (r === props.picked) emit('pick', undefined)
  void build.act([{ row: row(r), out: true }], `${r.of} no longer laid`)
}

const ENDS = { from: 'begins', to: 'ends' } as const
/** Where an end is, as it is laid or next to the other. */
function placeOf(r: Run, end: 'from' | 'to'): Place {
  const there = r === props.picked ? now.value : laid(r)
  if (!there) return { back_mm: 0, right_mm: 0, up_mm: 0 }
  return placeAt(end === 'from' ? there.from_mm : there.to_mm)
}
function typeEnd(r: Run, end: 'from' | 'to', typed: boolean): void {
  const value = typed ? placeOf(r, end) : undefined
  void build.act([{ pointer: `${row(r)}/${end}`, value }], `${r.of} ${ENDS[end]} ${typed ? 'where it is typed' : 'on what stands there'}`)
}
/** The least change that makes it so that it can be made. */
function mend(r: Run, m: FitView['pipes'][number]['mends'][number]): void {
  const fittings = (r.fittings ?? []).map((f, i): Edit => ({ pointer: `${row(r)}/fittings/#${f.id}/at_mm`, value: m.fittings_mm![i] }))
  const ovals: Edit[] = r.ovals ? [{ pointer: `${row(r)}/ovals`, value: ovalsOf(m.ovals!, r.ovals) }] : []
  void build.act([{ pointer: `${row(r)}/corners`, value: cornersOf(m.corners!, r.corners) }, ...fittings, ...ovals], `${r.of} mended`)
}
const {
  told: cut,
  turn,
  failed,
} = useTypedTurns(
  () => props.picked,
  () => now.value,
)
const refused = ref('')
/** The pipe of the other leg becomes its mirror; where that comes to is worked out for the newest document. */
async function mirror(r: Run): Promise<void> {
  const [letter, other] = [build.letter, now.value!.mirror!]
  refused.value = ''
  try {
    await build.here().worked(async (document) => {
      const at = `/options/${document.options.findIndex((o) => o.letter === letter)}`
      return (await api.mirrored(document, letter, r.of)).edits.map((e) => ({ pointer: `${at}${e.pointer}`, value: e.value }))
    }, `${other} as the mirror of ${r.of}`)
  } catch (e) {
    refused.value = (e as Error).message
  }
}
function putCorner(r: Run): void {
  const ends = { from: r.from ?? placeOf(r, 'from'), to: r.to ?? placeOf(r, 'to') }
  const { behind, at } = middleOfLongest(ends.from, r.corners, ends.to)
  const put: Edit = { list: `${row(r)}/corners`, put: { ...at, id: newIdentity() }, behind }
  void build.act([put], `a corner more of ${r.of}`)
}
</script>

<template>
  <section>
    <h2>{{ rows.some((r) => r.loop) ? 'Pipes and hoses' : 'Pipes' }} laid in the room</h2>
    <table class="figures pipes">
      <thead>
        <tr>
          <th scope="col">{{ rows.some((r) => r.loop) ? 'pipe or hose' : 'pipe' }}</th>
          <th scope="col">outside</th>
          <th scope="col">along its middle</th>
          <th scope="col">of it straight</th>
          <th scope="col">bends</th>
          <th><span class="hidden-words">lay it or take it out</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.run?.id ?? `${r.loop}/${r.of}`" :class="{ picked: r.run && r.run === picked }">
          <th scope="row">
            <button v-if="r.run" type="button" class="act" :aria-pressed="r.run === picked" @click="emit('pick', row(r.run))">{{ r.of }}</button>
            <template v-else>{{ r.of }}</template>
          </th>
          <template v-if="r.run && laid(r.run)">
            <td>{{ mm(laid(r.run)!.outside_mm) }}</td>
            <td>{{ mm(laid(r.run)!.length_mm) }}</td>
            <td>{{ mm(laid(r.run)!.straight_mm) }}</td>
            <td>{{ bendsOf(laid(r.run)!).length }}</td>
          </template>
          <td v-else colspan="4" class="quiet">
            {{ r.run ? 'cannot be laid yet: what is wrong stands above' : 'not laid: as long as it is typed' }}
          </td>
          <td class="moves">
            <button v-if="!r.gone" type="button" class="act" :aria-label="`Find a way for ${r.of}`" @click="emit('find', { of: r.of, loop: r.loop })">
              find a way
            </button>
            <button v-if="r.run" type="button" class="act" :aria-label="`Do not lay ${r.of} any more`" @click="drop(r.run)">out</button>
            <button v-else type="button" class="act" :aria-label="`Lay ${r.of}`" :disabled="!fit" @click="lay(r)">lay it</button>
          </td>
        </tr>
      </tbody>
    </table>
    <div v-if="picked" class="study">
      <table class="figures corners">
        <thead>
          <tr>
            <th scope="col">{{ picked.of }}</th>
            <th scope="col">back</th>
            <th scope="col">right</th>
            <th scope="col">up</th>
            <th scope="col">bend radius</th>
            <th scope="col">straight before</th>
            <th scope="col">turned</th>
            <th scope="col">bent by</th>
            <th><span class="hidden-words">take out</span></th>
          </tr>
        </thead>
        <tbody>
          <template v-for="end in ['from', 'to'] as const" :key="end">
            <template v-if="end === 'to'">
              <tr v-for="(c, i) in picked.corners" :key="c.id ?? i">
                <th scope="row">corner {{ i + 1 }}</th>
                <td v-for="key in AXES" :key="key">
                  <NumberField part="room/place" :name="key" :pointer="`${row(picked)}/corners/#${c.id}/${key}`" :of="`corner ${i + 1}`" bare />
                </td>
                <td>
                  <NumberField
                    part="run/corner"
                    name="radius_mm"
                    :pointer="`${row(picked)}/corners/#${c.id}/radius_mm`"
                    :of="`corner ${i + 1}`"
                    bare
                    optional
                    :empty="now?.loop ? mm(now.usual_mm) : 'stock'"
                  />
                </td>
                <template v-if="cut.turns[i]">
                  <td v-for="key in TURN_KEYS" :key="key">
                    <NumberField
                      part="run/turn"
                      :name="key"
                      pointer=""
                      :shown="cut.turns[i]![key]"
                      :set="(v?: number) => turn(i, key, v!)"
                      :of="`corner ${i + 1}`"
                      bare
                    />
                  </td>
                </template>
                <td v-else colspan="3" />
                <td class="moves">
                  <button
                    type="button"
                    class="act"
                    :aria-label="`Take corner ${i + 1} out`"
                    @click="build.act([{ row: `${row(picked)}/corners/#${c.id}`, out: true }], `a corner less of ${picked.of}`)"
                  >
                    out
                  </button>
                </td>
              </tr>
            </template>
            <tr>
              <th scope="row">{{ ENDS[end] }}</th>
              <template v-if="picked[end]">
                <td v-for="key in AXES" :key="key">
                  <NumberField part="room/place" :name="key" :pointer="`${row(picked)}/${end}/${key}`" :of="ENDS[end]" bare />
                </td>
              </template>
              <td v-else colspan="3" class="quiet">on what stands there, and goes along with it</td>
              <td />
              <td>
                <NumberField
                  v-if="end === 'to' && now && picked.to"
                  part="run/turn"
                  name="straight_mm"
                  pointer=""
                  :shown="cut.last_mm"
                  :set="(v?: number) => turn(cut.turns.length, 'straight_mm', v!)"
                  of="end"
                  bare
                />
                <template v-else-if="end === 'to' && now">{{ mm(now.last_mm) }}</template>
              </td>
              <td colspan="3" class="moves">
                <button type="button" class="act" @click="typeEnd(picked, end, !picked[end])">
                  {{ picked[end] ? `${ENDS[end]} on what stands there` : `type where it ${ENDS[end]}` }}
                </button>
              </td>
            </tr>
          </template>
        </tbody>
      </table>
      <p v-if="!picked.to && picked.corners.length" class="fine">
        Typed by lengths, turns and bends, what comes behind moves along; the end stays on its port, and the last straight and bend take up what is
        left.
      </p>
      <Notice v-if="failed || refused" :says="failed || refused" />
      <p v-for="(m, i) in now?.mends ?? []" :key="i" class="mend">
        {{ say(m.says, build.catalogue!.sentences, settings.units) }}
        <button v-if="m.corners" type="button" class="act" @click="mend(picked, m)">mend it</button>
      </p>
      <p class="add">
        <button type="button" class="act" @click="putCorner(picked)">a corner more, in the middle of the longest straight</button>
        <button v-if="now?.mirror" type="button" class="act" @click="mirror(picked)">{{ now.mirror }} as its mirror on the other side</button>
      </p>
      <PipeFittings v-if="now && !now.loop" :run="picked" :row="row(picked)" :laid="now" />
      <PipeOvals v-if="now && !now.loop" :run="picked" :row="row(picked)" :laid="now" />
      <PipeBraces v-if="now && !now.loop" :run="picked" :row="row(picked)" :carriers="carriers" />
    </div>
  </section>
</template>

<style scoped>
td,
th {
  padding-block: 2px;
}
.picked th .act {
  font-weight: 700;
  border-bottom: 2px solid var(--blue);
}
.quiet {
  color: var(--ink-2);
  text-align: left;
}
.corners :deep(input) {
  text-align: right;
}
th .act {
  min-height: 24px;
}
.corners th:first-child {
  white-space: nowrap;
}
.add {
  display: flex;
  gap: 22px;
  padding-top: 6px;
}
.mend {
  padding-top: 4px;
  color: var(--heat-text);
}
.mend .act {
  margin-left: 10px;
  font-size: var(--s1);
}
.study {
  padding: 8px 0 0 14px;
  margin-top: 8px;
  border-left: 2px solid var(--blue);
}
</style>
