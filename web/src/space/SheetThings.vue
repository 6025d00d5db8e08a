<script lang="ts">
import type { FitView } from '../api/client'

/** A body or an obstacle as it is drawn. */
export interface Thing {
  place: string
  name: string
  body: boolean
  /** Of many parts that are one. */
  pipe?: boolean
  parts: FitView['bodies'][number]['parts']
}
</script>

<script setup lang="ts">
import { pathOf, type Sheet, type View } from './elevation'

/** All that stands in the room, in one view; only what changed is drawn anew. */
defineProps<{
  things: readonly Thing[]
  sheet: Sheet
  view: View
  /** Where one looks from. */
  words: string
  chosen?: string
  short: ReadonlySet<string>
  carried: ReadonlySet<string>
  structure: ReadonlySet<string>
  /** The hatching of what is never cut. */
  cut: string
  /** What is being moved, and how far on the sheet. */
  moving?: string
  shift?: string
}>()
const emit = defineEmits<{
  pick: [place: string]
  nudge: [event: KeyboardEvent, thing: Thing]
  grasp: [event: PointerEvent, thing: Thing]
  drag: [event: PointerEvent]
  drop: []
}>()
</script>

<template>
  <g
    v-for="t in things"
    :key="t.place"
    v-memo="[
      t.parts,
      t.name,
      sheet,
      t.place === chosen,
      short.has(t.place),
      carried.has(t.place),
      structure.has(t.place),
      t.place === moving ? shift : undefined,
    ]"
    class="thing"
    :class="{
      body: t.body,
      joined: (t.pipe || !t.body) && t.parts.length > 1,
      chosen: t.place === chosen,
      short: short.has(t.place),
      carried: carried.has(t.place),
    }"
    :transform="t.place === moving ? shift : undefined"
    tabindex="0"
    role="button"
    :aria-label="`${t.name}, ${words}`"
    :aria-pressed="t.place === chosen"
    @focus="emit('pick', t.place)"
    @keydown="emit('nudge', $event, t)"
    @pointerdown.stop="emit('grasp', $event, t)"
    @pointermove="emit('drag', $event)"
    @pointerup="emit('drop')"
    @pointercancel="emit('drop')"
  >
    <title>{{ t.name }}</title>
    <path v-for="(part, i) in t.parts" :key="i" :d="pathOf(sheet, view, part)" />
    <template v-if="(t.pipe || !t.body) && t.parts.length > 1">
      <path v-for="(part, i) in t.parts" :key="`f${i}`" class="filled" :d="pathOf(sheet, view, part)" />
    </template>
    <template v-if="structure.has(t.place)">
      <path v-for="(part, i) in t.parts" :key="`h${i}`" class="over" :d="pathOf(sheet, view, part)" :style="{ fill: cut }" />
    </template>
  </g>
</template>

<style scoped>
.thing {
  cursor: grab;
  outline: none;
}
.thing path {
  fill: var(--land);
  fill-opacity: 0.5;
  stroke: var(--ink-3);
  stroke-width: 1;
  stroke-linejoin: round;
}
/* One outline round all its parts: their edges lie under the fill. */
.thing.joined path {
  stroke-width: 2;
}
.thing.joined .filled {
  fill: var(--hair);
  fill-opacity: 1;
  stroke: none;
}
.thing .over {
  fill-opacity: 1;
  pointer-events: none;
}
.thing.carried path {
  stroke-dasharray: 5 3;
}
.thing.body path {
  fill: var(--sheet);
  fill-opacity: 0.75;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.thing.body.joined .filled {
  fill: var(--sheet);
}
.thing.short path {
  stroke: var(--heat);
}
.thing.chosen path:not(.filled) {
  stroke: var(--blue);
  stroke-width: 2;
}
.thing:focus-visible path {
  stroke: var(--blue);
  stroke-width: 3;
}
</style>
