<script setup lang="ts">
import type { FitView } from '../api/client'
import { useBuild } from '../build/store'
import { newIdentity } from '../document/edit'
import type { Run, RunOval } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import EitherOr from '../ui/EitherOr.vue'
import NumberField from '../ui/NumberField.vue'

/** Where a laid pipe is made flat to pass a tight place, and what that leaves of it. */
const props = defineProps<{ run: Run; row: string; laid: FitView['pipes'][number] }>()
const build = useBuild()
const settings = useSettings()
const FIGURES = ['at_mm', 'length_mm', 'height_mm'] as const
const MADE = [
  { value: 'made', label: 'with its area' },
  { value: 'pressed', label: 'pressed' },
] as const
const at = (o: RunOval) => `${props.row}/ovals/#${o.id}`
const of = (i: number) => `oval ${i + 1}`
const wide = (i: number) => {
  const oval = props.laid.ovals[i]
  if (!oval) return ''
  const mm = (v: number) => spoken(v, 'mm', settings.units)
  return `${mm(oval.width_mm)} wide, ${Math.round(oval.area * 100)} % of the area, ${mm(oval.reach_mm)} from round to round`
}

function put(): void {
  const fresh: RunOval = { at_mm: Math.round(props.laid.best_mm!), length_mm: 50, height_mm: props.laid.flat_mm!, id: newIdentity() }
  void build.act([{ list: `${props.row}/ovals`, put: fresh }], `${props.run.of} made flat`)
}
</script>

<template>
  <div class="ovals">
    <table v-if="run.ovals?.length" class="figures">
      <thead>
        <tr>
          <th scope="col">made flat</th>
          <th scope="col">from its beginning</th>
          <th scope="col">flat for</th>
          <th scope="col">height</th>
          <th scope="col">flat looks</th>
          <th scope="col" class="left">made</th>
          <th scope="col" class="left">which leaves it</th>
          <th><span class="hidden-words">take out</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(o, i) in run.ovals" :key="o.id ?? i">
          <th scope="row">{{ of(i) }}</th>
          <td v-for="key in FIGURES" :key="key">
            <NumberField part="run/oval" :name="key" :pointer="`${at(o)}/${key}`" :of="of(i)" bare />
          </td>
          <td><NumberField part="run/oval" name="clocked_deg" :pointer="`${at(o)}/clocked_deg`" :of="of(i)" bare optional empty="up" /></td>
          <td>
            <EitherOr
              :of="`how ${of(i)} is made`"
              :choices="MADE"
              :value="o.pressed ? 'pressed' : 'made'"
              @pick="
                (v: string) =>
                  build.act(
                    [{ pointer: `${at(o)}/pressed`, value: v === 'pressed' ? true : undefined }],
                    `${of(i)} of ${run.of} ${v === 'pressed' ? 'pressed from the tube' : 'made with its area'}`,
                  )
              "
            />
          </td>
          <td class="left leaves">{{ wide(i) }}</td>
          <td class="moves">
            <button
              type="button"
              class="act"
              :aria-label="`Take ${of(i)} out`"
              @click="build.act([{ row: at(o), out: true }], `${run.of} round again`)"
            >
              out
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="laid.best_mm !== undefined && laid.flat_mm !== undefined" class="add">
      <button type="button" class="act" @click="put">make it flat, in the middle of the longest straight that is free</button>
    </p>
  </div>
</template>

<style scoped>
.ovals {
  padding-top: 8px;
}
table {
  width: auto;
}
th,
td {
  padding: 2px 14px 2px 0;
}
.left {
  text-align: left;
}
.leaves {
  white-space: normal;
}
td :deep(input) {
  min-width: 66px;
}
</style>
