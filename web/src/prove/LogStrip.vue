<script setup lang="ts">
import { computed } from 'vue'
import type { Segment } from '../api/client'
import type { TimeAxis } from '../plot/timeAxis'
import { KINDS } from './segments'

/** What the engine did: its boost, and under it the parts of the drive. */
const props = defineProps<{
  segments: Segment[]
  boost: string
  axis: TimeAxis
  left: number
  right: number
  top: number
  high: number
  clip: string
}>()
const KEYS = ['PULL', 'CRUISE', 'IDLE', 'OFF'] as const
const KEY_PX = 92
const blocks = computed(() =>
  props.segments
    .filter((s) => s.kind !== 'LAP')
    .map((s) => ({ kind: s.kind, x0: Math.max(props.axis.x(s.from_s), props.left), x1: Math.min(props.axis.x(s.to_s), props.right) }))
    .filter((b) => b.x1 > b.x0),
)
</script>

<template>
  <g>
    <g :clip-path="`url(#${clip})`"><path class="boost" :d="boost" /></g>
    <text :x="left - 9" :y="top + 14" text-anchor="end">boost</text>
    <rect
      v-for="(b, i) in blocks"
      :key="i"
      class="block"
      :class="b.kind.toLowerCase()"
      :x="b.x0"
      :width="b.x1 - b.x0"
      :y="top + high - 8"
      height="7"
    />
    <template v-for="(k, i) in KEYS" :key="k">
      <rect class="block" :class="k.toLowerCase()" :x="left + i * KEY_PX" :y="top + high + 8" width="14" height="7" />
      <text :x="left + 19 + i * KEY_PX" :y="top + high + 15">{{ KINDS[k] }}</text>
    </template>
  </g>
</template>

<style scoped>
.boost {
  fill: none;
  stroke: var(--ink-3);
}
text {
  font-size: var(--s1);
  fill: var(--ink-3);
}
.block {
  fill: var(--ink);
}
.block.cruise {
  fill: var(--ink-3);
}
.block.idle {
  fill: var(--rule);
}
.block.off {
  fill: none;
  stroke: var(--rule);
}
</style>
