<script setup lang="ts">
import { ref } from 'vue'
import type { FitView } from '../api/client'
import { useBuild } from '../build/store'
import { newIdentity } from '../document/edit'
import { fittingKindWords, type Run, type RunFitting } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'

/** What is in the wall of a laid pipe: where along it, which way it looks, what room and what hole it takes. */
const props = defineProps<{ run: Run; row: string; laid: FitView['pipes'][number] }>()
const build = useBuild()
const settings = useSettings()
type Kind = RunFitting['kind']
const kinds = fittingKindWords.map((word) => ({ value: word, label: word }))
const next = ref<Kind>('temperature sensor')
const SIZES = ['out_mm', 'across_mm', 'hole_mm'] as const
const at = (f: RunFitting) => `${props.row}/fittings/#${f.id}`
const of = (i: number) => `fitting ${i + 1}`
/** The usual size of its kind, where none is said. */
const usual = (i: number, key: (typeof SIZES)[number]) => {
  const size = props.laid.fittings[i]?.[key]
  return size === undefined ? '' : spoken(size, 'mm', settings.units)
}

function put(): void {
  const fresh: RunFitting = { kind: next.value, at_mm: Math.round(props.laid.best_mm!), id: newIdentity() }
  void build.act([{ list: `${props.row}/fittings`, put: fresh }], `${next.value} in ${props.run.of}`)
}
</script>

<template>
  <div class="fittings">
    <table v-if="run.fittings?.length" class="figures">
      <thead>
        <tr>
          <th scope="col">fitting</th>
          <th scope="col" class="left">kind</th>
          <th scope="col">from its beginning</th>
          <th scope="col">looks</th>
          <th scope="col">stands out</th>
          <th scope="col">across</th>
          <th scope="col">hole</th>
          <th><span class="hidden-words">take out</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(f, i) in run.fittings" :key="f.id ?? i">
          <th scope="row">{{ of(i) }}</th>
          <td>
            <ChoiceField
              label="kind"
              :of="of(i)"
              pointer=""
              bare
              :choices="kinds"
              :shown="f.kind"
              :pick="(k: string) => build.act([{ pointer: `${at(f)}/kind`, value: k }], `${of(i)} of ${run.of}: ${k}`)"
            />
          </td>
          <td><NumberField part="run/fitting" name="at_mm" :pointer="`${at(f)}/at_mm`" :of="of(i)" bare /></td>
          <td><NumberField part="run/fitting" name="clocked_deg" :pointer="`${at(f)}/clocked_deg`" :of="of(i)" bare optional empty="up" /></td>
          <td v-for="key in SIZES" :key="key">
            <NumberField part="run/fitting" :name="key" :pointer="`${at(f)}/${key}`" :of="of(i)" bare optional :empty="usual(i, key)" />
          </td>
          <td class="moves">
            <button
              type="button"
              class="act"
              :aria-label="`Take ${of(i)} out`"
              @click="build.act([{ row: at(f), out: true }], `${f.kind} out of ${run.of}`)"
            >
              out
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="laid.best_mm !== undefined" class="add">
      <ChoiceField
        label="what to put in its wall"
        :of="run.of"
        pointer=""
        bare
        :choices="kinds"
        :shown="next"
        :pick="(k: string) => (next = k as Kind)"
      />
      <button type="button" class="act" @click="put">put it in, in the middle of the longest straight that is free</button>
    </p>
  </div>
</template>

<style scoped>
.fittings {
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
.add {
  display: flex;
  gap: 12px;
  align-items: center;
}
</style>
