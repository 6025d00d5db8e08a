<script setup lang="ts">
import { computed } from 'vue'
import { api } from '../api/client'
import { useLookedUp } from '../build/lookedUp'
import { useBuild } from '../build/store'
import { newIdentity } from '../document/edit'
import type { Run, RunBrace } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import Tick from '../ui/Tick.vue'
import { say } from '../verdict/say'

/** What holds a laid pipe between its ends, and whether it is held too little or by too much. */
const props = defineProps<{ run: Run; row: string; carriers: string[] }>()
const build = useBuild()
const settings = useSettings()
const { found, stale } = useLookedUp(
  () => props.run.of,
  async (document, letter, dropped) => (await api.joints(document, letter, dropped)).held,
)
const held = computed(() => found.value.find((h) => h.of === props.run.of))
const braces = computed(() => props.run.braces ?? [])
const at = (b: RunBrace) => `${props.row}/braces/#${b.id}`
const of = (i: number) => `brace ${i + 1}`
const told = computed(() => {
  const h = held.value
  const free =
    h?.free_mm === undefined
      ? ''
      : ` ${spoken(h.free_mm, 'mm', settings.units)} of it are held by nothing and ring at ${spoken(h.rings_Hz!, 'Hz', settings.units)}.`
  return h ? `It hangs on the ${h.hangs}.${free}` : ''
})
const carried = (carrier: string) => (carrier === 'body' ? undefined : carrier)

function put(): void {
  const h = held.value!
  const fresh: RunBrace = { at_mm: h.brace_mm ?? 0, carrier: carried(h.hangs), id: newIdentity() }
  void build.act([{ list: `${props.row}/braces`, put: fresh }], `${props.run.of} braced on rubber`)
}
</script>

<template>
  <div class="braces">
    <p v-if="held" class="fine">
      {{ told }}
    </p>
    <p v-for="(f, i) in held?.findings ?? []" :key="i" class="worse">{{ say(f, build.catalogue!.sentences, settings.units) }}</p>
    <table v-if="braces.length" class="figures">
      <thead>
        <tr>
          <th scope="col">brace</th>
          <th scope="col">from its beginning</th>
          <th scope="col" class="left">bolted to</th>
          <th scope="col" class="left">gives</th>
          <th><span class="hidden-words">take out</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(b, i) in braces" :key="b.id ?? i">
          <th scope="row">{{ of(i) }}</th>
          <td><NumberField part="run/brace" name="at_mm" :pointer="`${at(b)}/at_mm`" :of="of(i)" bare /></td>
          <td>
            <ChoiceField
              label="bolted to"
              :of="of(i)"
              pointer=""
              bare
              :choices="carriers"
              :shown="b.carrier ?? 'body'"
              :pick="(c: string) => build.act([{ pointer: `${at(b)}/carrier`, value: carried(c) }], `${of(i)} on the ${c}`)"
            />
          </td>
          <td>
            <Tick
              label="on rubber"
              :on="!b.hard"
              @turn="build.act([{ pointer: `${at(b)}/hard`, value: $event ? undefined : true }], `${of(i)} ${$event ? 'on rubber' : 'bolted hard'}`)"
            />
          </td>
          <td class="moves">
            <button type="button" class="act" :aria-label="`Take ${of(i)} out`" @click="build.act([{ row: at(b), out: true }], `${of(i)} out`)">
              out
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="held?.brace_mm !== undefined" class="add">
      <button type="button" class="act" :disabled="stale" @click="put">brace it on rubber in the middle of that</button>
    </p>
  </div>
</template>

<style scoped>
.braces {
  padding-top: 8px;
}
table {
  width: auto;
}
th,
td {
  padding: 2px 18px 2px 0;
}
.left {
  text-align: left;
}
</style>
