<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, useId } from 'vue'
import type { SteadyView } from '../api/client'
import { ridge } from '../chargeline/geometry'
import type { Piece } from '../document/types'

const props = defineProps<{ steady: SteadyView; path: Piece[] }>()
const box = ref<HTMLElement>()
const { width } = useElementSize(box)
const id = useId()
const HEIGHT = 96
const shape = computed(() => ridge(props.steady, props.path, { width: width.value, left: 2, right: Math.max(width.value - 2, 120), top: 4, bottom: HEIGHT - 6, thickest: 18 }))
</script>

<template>
  <span ref="box" class="box">
    <svg :width="width" :height="HEIGHT" aria-hidden="true">
      <defs>
        <linearGradient v-for="p in shape.pieces" :id="`${id}-${p.index}`" :key="p.index">
          <stop v-for="s in p.stops" :key="s.offset" :offset="s.offset" :stop-color="s.colour" />
        </linearGradient>
      </defs>
      <g v-for="p in shape.pieces" :key="p.index">
        <path :d="p.body" :fill="`url(#${id}-${p.index})`" />
        <path :d="p.upper" class="wall" />
        <path :d="p.lower" class="wall" />
      </g>
      <line x1="0" :x2="width" :y1="HEIGHT - 0.5" :y2="HEIGHT - 0.5" class="ground" />
    </svg>
  </span>
</template>

<style scoped>
.box {
  display: block;
  min-width: 0;
  overflow: hidden;
}
svg {
  display: block;
}
.wall {
  fill: none;
  stroke: var(--ink);
  stroke-width: 0.8;
}
.ground {
  stroke: var(--rule);
}
</style>
