<script lang="ts">
import type { FitView } from '../api/client'

/** A way that a pipe could take, as it would be laid. */
export interface Ghost {
  number: number
  parts: FitView['bodies'][number]['parts']
  picked: boolean
}
</script>

<script setup lang="ts">
import { computed } from 'vue'
import { onSheet, pathOf, type Sheet, type View } from './elevation'

/** Ways that were found, over the room. */
const props = defineProps<{ ghosts: readonly Ghost[]; sheet: Sheet; view: View }>()

/** The number stands on the part in the middle of the way. */
const drawn = computed(() =>
  [...props.ghosts]
    .sort((a, b) => Number(a.picked) - Number(b.picked))
    .map((g) => {
      const numbers = g.parts[Math.floor(g.parts.length / 2)]?.[props.view] ?? []
      const [x, y] = onSheet(props.sheet, props.view, mean(numbers, 0), mean(numbers, 1))
      return { ...g, d: g.parts.map((part) => pathOf(props.sheet, props.view, part)).join(''), x, y }
    }),
)
function mean(numbers: number[], from: number): number {
  let sum = 0
  for (let i = from; i < numbers.length; i += 2) sum += numbers[i]!
  return sum / Math.max(1, numbers.length / 2)
}
</script>

<template>
  <g aria-hidden="true">
    <g v-for="g in drawn" :key="g.number" class="ghost" :class="{ picked: g.picked }">
      <path :d="g.d" class="edge" />
      <path :d="g.d" class="inside" />
      <text :x="g.x" :y="g.y">{{ g.number }}</text>
    </g>
  </g>
</template>

<style scoped>
.ghost {
  pointer-events: none;
}
/* One outline round all its parts: their edges lie under the fill. */
.edge {
  fill: none;
  stroke: var(--ink-3);
  stroke-width: 2;
  stroke-linejoin: round;
}
.inside {
  fill: var(--sheet);
  fill-opacity: 0.82;
}
.picked .edge {
  stroke: var(--blue);
  stroke-width: 3;
}
.picked .inside {
  fill-opacity: 0.95;
}
text {
  font-size: var(--s1);
  font-weight: 700;
  fill: var(--ink-2);
  text-anchor: middle;
  dominant-baseline: central;
}
.picked text {
  fill: var(--blue);
}
</style>
