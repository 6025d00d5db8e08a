<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, type DutyEntry, type DutyView } from '../api/client'
import { useLookedUp } from '../build/lookedUp'
import { useBuild } from '../build/store'
import type { DutyPiece } from '../document/types'
import { span } from '../quantity/time'
import NumberField from '../ui/NumberField.vue'
import TextField from '../ui/TextField.vue'
import DutyCurves from './DutyCurves.vue'
import DutyLibrary from './DutyLibrary.vue'
import DutyPieces from './DutyPieces.vue'
import DutyTable from './DutyTable.vue'
import LapBuilder from './LapBuilder.vue'
import LogImport from './LogImport.vue'
import { at } from '../document/edit'
import { pieceAt } from './pieces'
import Tick from '../ui/Tick.vue'

/** The duty of a build, the same for every option: from the library, of pieces, of laps, from a log, or as a table. */
const build = useBuild()
const duty = computed(() => build.document!.duty)
const first = () => pieceAt('/duty/pieces', duty.value.pieces?.[0])
const chosen = ref(first())
const source = ref<'library' | 'laps' | 'log'>()
const { found } = useLookedUp<DutyView>(
  () => undefined,
  async (document, _, dropped) => [await api.dutyRows(document, dropped)],
  0,
)
const view = computed(() => found.value[0])
const chosenTop = computed(() => (duty.value.pieces ?? []).findIndex((p) => `${chosen.value}/`.startsWith(`${pieceAt('/duty/pieces', p)}/`)))
const draggable = computed(() => (duty.value.pieces ?? []).map((p) => p.kind !== 'repeat'))

watch(
  () => duty.value.pieces,
  () => {
    if (duty.value.pieces && at(build.document, chosen.value) === undefined) chosen.value = first()
  },
)

function follow(value: boolean): void {
  void build.act([{ pointer: '/duty/boostFollowsBrief', value }], value ? 'duty boost follows the Brief' : 'duty boost as written')
}

function stretch(piece: number, seconds: number): void {
  const p = duty.value.pieces![piece]! as DutyPiece
  const place = pieceAt('/duty/pieces', p)
  const edit =
    p.kind === 'climb'
      ? { pointer: `${place}/length_m`, value: Math.round((seconds * p.roadSpeed_km_h) / 3.6) }
      : { pointer: `${place}/time_s`, value: seconds }
  void build.act([edit], `duty: ${p.kind} lasts ${span(seconds)}`)
}

async function take(entry: DutyEntry): Promise<void> {
  const outcome = await build.act([{ pointer: '/duty', value: entry.duty }], `duty: ${entry.name}`)
  if (outcome.done) {
    source.value = undefined
    chosen.value = first()
  }
}

function toggle(which: 'library' | 'laps' | 'log'): void {
  source.value = source.value === which ? undefined : which
}
</script>

<template>
  <section id="duty" class="duty">
    <h2>
      Duty, the same for every option<template v-if="view">: {{ span(view.whole_s) }}</template>
      <span class="sources">
        <button type="button" class="act" :aria-expanded="source === 'library'" @click="toggle('library')">from the library</button>
        <button type="button" class="act" :aria-expanded="source === 'laps'" @click="toggle('laps')">build laps</button>
        <button type="button" class="act" :aria-expanded="source === 'log'" @click="toggle('log')">from a log</button>
      </span>
    </h2>
    <DutyLibrary v-if="source === 'library'" @take="take" />
    <LapBuilder v-else-if="source === 'laps'" @take="take" />
    <LogImport v-else-if="source === 'log'" @done="source = undefined" />
    <div class="names">
      <TextField class="wide" label="Name" pointer="/duty/name" required />
      <NumberField part="duty" name="repeats" pointer="/duty/repeats" of="duty" />
      <NumberField part="duty" name="wait_s" pointer="/duty/wait_s" of="duty" />
      <NumberField part="duty" name="startAbove_K" pointer="/duty/startAbove_K" of="duty" />
      <Tick class="follow" label="highest boost follows the boost asked for" :on="duty.boostFollowsBrief" @turn="follow" />
    </div>
    <DutyCurves
      v-if="view"
      :view="view"
      :chosen="duty.pieces ? chosenTop : undefined"
      :draggable="draggable"
      @stretch="stretch"
      @choose="(i) => (chosen = pieceAt('/duty/pieces', duty.pieces?.[i]))"
    />
    <DutyPieces v-if="duty.pieces" v-model:chosen="chosen" />
    <DutyTable v-else />
  </section>
</template>

<style scoped>
h2 {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.sources {
  display: flex;
  gap: 18px;
}
.names {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(210px, 1fr));
  column-gap: 34px;
  padding-bottom: 12px;
}
.wide {
  grid-column: span 2;
}
.follow {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 34px;
  border-bottom: 1px solid var(--hair);
  color: var(--ink-2);
}
</style>
