<script setup lang="ts">
import { computed, ref } from 'vue'
import { api } from '../api/client'
import { useBuild } from '../build/store'
import type { Obstacle } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import Notice from '../ui/Notice.vue'
import NumberField from '../ui/NumberField.vue'
import type { Point } from './elevation'

/** Brings a surface to its place by three points of it and where the tape finds them. */
const props = defineProps<{ mesh: Extract<Obstacle, { kind: 'mesh' }>; pointed?: Point }>()
const build = useBuild()
const settings = useSettings()
const AXES = ['back_mm', 'right_mm', 'up_mm'] as const
type Three = Record<string, number | undefined>[]
const fresh = (): Three => [{}, {}, {}]
const on = ref<Three>(fresh())
const at = ref<Three>(fresh())
const failed = ref('')
const off = ref<number[]>()
const ready = computed(() => [...on.value, ...at.value].every((p) => AXES.every((axis) => p[axis] !== undefined)))
const mm = (v: number) => spoken(v, 'mm', settings.units, 1)

function take(row: number): void {
  const p = props.pointed!
  on.value[row] = { back_mm: p.back, right_mm: p.right, up_mm: p.up }
}

async function place(): Promise<void> {
  failed.value = ''
  off.value = undefined
  try {
    const { back_mm, right_mm, up_mm, turned_deg = 0, tipped_deg = 0, leaned_deg = 0 } = props.mesh
    const answer = await api.meshPlaced({ now: { back_mm, right_mm, up_mm, turned_deg, tipped_deg, leaned_deg }, on: on.value, at: at.value })
    const row = `/room/obstacles/#${props.mesh.id}`
    const edits = Object.entries(answer.stands).map(([key, value]) => ({
      pointer: `${row}/${key}`,
      value: key.endsWith('_deg') && value === 0 ? undefined : value,
    }))
    const outcome = await build.edit(edits, `${props.mesh.name} placed by three points`)
    if (!outcome.done) failed.value = outcome.fault.sentence
    else {
      off.value = answer.off_mm
      on.value = fresh()
    }
  } catch (e) {
    failed.value = (e as Error).message
  }
}
</script>

<template>
  <div class="three">
    <h3>Place it by three points</h3>
    <p class="fine">
      Read three corners of it off the drawing where it stands now, or press them in the turned view while it measures; then type where the tape finds
      each. The first comes exactly to its place.
    </p>
    <table class="figures">
      <thead>
        <tr>
          <th scope="col">point</th>
          <th scope="col" colspan="3" class="left">on it, as it stands</th>
          <th scope="col" colspan="3" class="left">where it belongs</th>
          <th><span class="hidden-words">take the point that was pressed</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="i in 3" :key="i">
          <th scope="row">{{ ['first', 'second', 'third'][i - 1] }}</th>
          <td v-for="axis in AXES" :key="`on ${axis}`">
            <NumberField
              part="room/place"
              :name="axis"
              pointer=""
              :of="`point ${i} on it`"
              bare
              optional
              :empty="axis.slice(0, -3)"
              :shown="on[i - 1]![axis]"
              :set="(v: number | undefined) => (on[i - 1]![axis] = v)"
            />
          </td>
          <td v-for="axis in AXES" :key="`at ${axis}`">
            <NumberField
              part="room/place"
              :name="axis"
              pointer=""
              :of="`point ${i} belongs`"
              bare
              optional
              :empty="axis.slice(0, -3)"
              :shown="at[i - 1]![axis]"
              :set="(v: number | undefined) => (at[i - 1]![axis] = v)"
            />
          </td>
          <td>
            <button type="button" class="act" :disabled="!pointed" :aria-label="`Take the pressed point as point ${i}`" @click="take(i - 1)">
              the pressed one
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="line">
      <button type="button" class="act" :disabled="!ready" @click="place">bring it there</button>
      <span v-if="off" aria-live="polite">The second ends {{ mm(off[1]!) }} off its place, the third {{ mm(off[2]!) }}.</span>
    </p>
    <Notice v-if="failed" :says="failed" />
  </div>
</template>

<style scoped>
.three {
  grid-column: 1 / -1;
  padding-top: 10px;
}
.line {
  display: flex;
  gap: 24px;
  align-items: baseline;
}
.act {
  min-height: 24px;
}
.left {
  text-align: left;
}
.fine {
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
