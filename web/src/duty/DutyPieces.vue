<script setup lang="ts">
import { computed, ref } from 'vue'
import { at } from '../document/edit'
import { useBuild } from '../build/store'
import type { DutyPiece, DutyPieceKind } from '../document/types'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import PieceStrip from './PieceStrip.vue'
import { ASKS, KINDS, newPiece, place, summary } from './pieces'
import { useSettings } from '../settings/store'

/** A duty built from pieces: the strip, what the chosen one is, and what can be put in. */
const chosen = defineModel<string>('chosen', { required: true })
const build = useBuild()
const settings = useSettings()
const pieces = computed(() => build.document!.duty.pieces ?? [])
const piece = computed(() => at(build.document, chosen.value) as DutyPiece | undefined)
const number = computed(() => place(chosen.value).index + 1)
const geared = computed(() => build.document!.gearing !== undefined)
const held = ref(false)

const optional = (key: string) => key === 'engineSpeed_rpm'
const LABELS: Partial<Record<DutyPieceKind, Record<string, string>>> = {
  ramp: { roadSpeed_km_h: 'to road speed', engineSpeed_rpm: 'to engine speed', boost_kPa: 'to boost' },
  pull: { roadSpeed_km_h: 'to road speed', engineSpeed_rpm: 'to engine speed' },
  brake: { roadSpeed_km_h: 'to road speed' },
}

async function put(list: string, next: DutyPiece[], what: string, to: string): Promise<void> {
  if (held.value) return
  held.value = true
  const outcome = await build.act([{ pointer: list, value: next }], what)
  held.value = false
  if (outcome.done) chosen.value = to
}

function add(kind: DutyPieceKind): void {
  const { list, index } = place(chosen.value)
  const next = [...((at(build.document, list) as DutyPiece[] | undefined) ?? pieces.value)]
  next.splice(index + 1, 0, newPiece(kind, build.option!.boost_kPa, build.document!.engine.maxSpeed_rpm ?? 6500, geared.value))
  void put(list, next, `duty: ${kind} put in`, `${list}/${index + 1}`)
}

function remove(): void {
  const { list, index } = place(chosen.value)
  const now = at(build.document, list) as DutyPiece[]
  const next = now.filter((_, i) => i !== index)
  void put(list, next, `duty: ${piece.value!.kind} taken out`, `${list}/${Math.max(index - 1, 0)}`)
}

function twice(): void {
  const { list, index } = place(chosen.value)
  const next = [...(at(build.document, list) as DutyPiece[])]
  next[index] = { kind: 'repeat', times: 2, pieces: [piece.value!] }
  void put(list, next, `duty: ${piece.value!.kind} repeated`, chosen.value)
}

function idling(value: string): void {
  void build.act([{ pointer: `${chosen.value}/idling`, value: value === 'idling' }], `duty: wait ${value}`)
}

const alone = computed(() => ((at(build.document, place(chosen.value).list) as DutyPiece[] | undefined)?.length ?? 0) < 2)
</script>

<template>
  <div class="pieces">
    <PieceStrip :pieces="pieces" pointer="/duty/pieces" :chosen="chosen" @choose="(to) => (chosen = to)" @order="(list, next, to) => put(list, next, 'duty: pieces in another order', to)" />
    <p class="adds">
      put in behind it:
      <button v-for="k in KINDS" :key="k.kind" type="button" class="act" :title="k.says" :aria-label="`Put in: ${k.name}, ${k.says}`" @click="add(k.kind)">{{ k.name }}</button>
    </p>
    <section v-if="piece" class="piece">
      <h3>
        Piece {{ number }}: {{ piece.kind }} <i>{{ summary(piece, settings.units) }}</i>
      </h3>
      <div class="fields">
        <NumberField
          v-for="key in ASKS[piece.kind]"
          :key="key"
          part="duty/pieces"
          :name="key"
          :pointer="`${chosen}/${key}`"
          :label="LABELS[piece.kind]?.[key]"
          :of="`duty piece ${number}`"
          :optional="optional(key)"
          :empty="optional(key) ? (geared ? 'by the gears' : 'gearing not known') : undefined"
        />
        <ChoiceField
          v-if="piece.kind === 'wait'"
          label="engine"
          :pointer="`${chosen}/idling`"
          :shown="piece.idling ? 'idling' : 'off'"
          :choices="[{ value: 'idling', label: 'idling' }, { value: 'off', label: 'switched off' }]"
          :pick="idling"
        />
      </div>
      <p class="adds">
        <button type="button" class="act" @click="twice">repeat it</button>
        <button type="button" class="act" :disabled="alone" @click="remove">take it out</button>
        <span>drag to move it, or Alt and the arrow keys</span>
      </p>
    </section>
  </div>
</template>

<style scoped>
.adds {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
  padding: 8px 0;
  color: var(--ink-2);
}
.adds span {
  font-size: var(--s1);
}
.adds .act {
  padding: 4px 0;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(210px, 1fr));
  column-gap: 34px;
}
h3 {
  font-size: var(--s2);
  font-weight: 700;
}
h3 i {
  font-style: normal;
  font-weight: 400;
  color: var(--ink-2);
}
</style>
