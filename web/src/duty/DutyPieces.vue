<script setup lang="ts">
import { computed } from 'vue'
import { at, newIdentity, type Edit } from '../document/edit'
import { useBuild } from '../build/store'
import type { DutyPiece, DutyPieceKind } from '../document/types'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import PieceStrip from './PieceStrip.vue'
import { ASKS, KINDS, newPiece, pieceAt, place, summary } from './pieces'
import { useSettings } from '../settings/store'

/** A duty built from pieces: the strip, what the chosen one is, and what can be put in. */
const chosen = defineModel<string>('chosen', { required: true })
const build = useBuild()
const settings = useSettings()
const pieces = computed(() => build.document!.duty.pieces ?? [])
const piece = computed(() => at(build.document, chosen.value) as DutyPiece | undefined)
const siblings = computed(() => (at(build.document, place(chosen.value).list) as DutyPiece[] | undefined) ?? pieces.value)
const number = computed(() => siblings.value.indexOf(piece.value!) + 1)
const geared = computed(() => build.document!.gearing !== undefined)

const optional = (key: string) => key === 'engineSpeed_rpm'
const LABELS: Partial<Record<DutyPieceKind, Record<string, string>>> = {
  ramp: { roadSpeed_km_h: 'to road speed', engineSpeed_rpm: 'to engine speed', boost_kPa: 'to boost' },
  pull: { roadSpeed_km_h: 'to road speed', engineSpeed_rpm: 'to engine speed' },
  brake: { roadSpeed_km_h: 'to road speed' },
}

function change(edits: Edit[], what: string, to: string): void {
  const was = chosen.value
  chosen.value = to
  void build.act(edits, what).then((outcome) => {
    if (!outcome.done && chosen.value === to) chosen.value = was
  })
}

function add(kind: DutyPieceKind): void {
  const { list, id } = place(chosen.value)
  const fresh = { ...newPiece(kind, build.option!.boost_kPa, build.document!.engine.maxSpeed_rpm ?? 6500, geared.value), id: newIdentity() }
  change([{ list, put: fresh, behind: id }], `duty: ${kind} put in`, pieceAt(list, fresh))
}

function remove(): void {
  const { list } = place(chosen.value)
  const before = siblings.value[Math.max(number.value - 2, 0)]
  change(
    [{ row: chosen.value, out: true }],
    `duty: ${piece.value!.kind} taken out`,
    pieceAt(list, before === piece.value ? siblings.value[1] : before),
  )
}

function twice(): void {
  const { list } = place(chosen.value)
  const repeat: DutyPiece = { kind: 'repeat', id: newIdentity(), times: 2, pieces: [piece.value!] }
  change(
    [
      { list, put: repeat, behind: piece.value!.id ?? null },
      { row: chosen.value, out: true },
    ],
    `duty: ${piece.value!.kind} repeated`,
    pieceAt(list, repeat),
  )
}

function move(row: string, behind: string | null): void {
  change([{ row, behind }], 'duty: pieces in another order', row)
}

function idling(value: string): void {
  void build.act([{ pointer: `${chosen.value}/idling`, value: value === 'idling' }], `duty: wait ${value}`)
}

const alone = computed(() => siblings.value.length < 2)
</script>

<template>
  <div class="pieces">
    <PieceStrip :pieces="pieces" pointer="/duty/pieces" :chosen="chosen" @choose="(to) => (chosen = to)" @move="move" />
    <p class="adds">
      put in behind it:
      <button
        v-for="k in KINDS"
        :key="k.kind"
        type="button"
        class="act"
        :title="k.says"
        :aria-label="`Put in: ${k.name}, ${k.says}`"
        @click="add(k.kind)"
      >
        {{ k.name }}
      </button>
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
          :choices="[
            { value: 'idling', label: 'idling' },
            { value: 'off', label: 'switched off' },
          ]"
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
