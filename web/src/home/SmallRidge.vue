<script setup lang="ts">
import { useElementSize, useIntersectionObserver } from '@vueuse/core'
import { computed, ref, useId } from 'vue'
import { ridge, type Line, type PieceShape } from '../chargeline/geometry'
import type { Piece } from '../document/types'

const props = defineProps<{ steady: Line; path: Piece[] }>()
const box = ref<HTMLElement>()
const { width } = useElementSize(box)
/** Drawn when it comes near the screen: a list of many builds stands at once. */
const near = ref(false)
const { stop } = useIntersectionObserver(
  box,
  ([entry]) => {
    if (!entry?.isIntersecting) return
    near.value = true
    stop()
  },
  { rootMargin: '300px' },
)
const id = useId()
const HEIGHT = 96
const shape = computed(() =>
  ridge(props.steady, props.path, { width: width.value, left: 2, right: Math.max(width.value - 2, 120), top: 4, bottom: HEIGHT - 6, thickest: 18 }),
)
/** Every piece a band, a pair two. */
const bands = computed(() =>
  shape.value.pieces.flatMap((p) => {
    const parts: Pick<PieceShape, 'body' | 'upper' | 'lower' | 'stops'>[] = p.legs.length ? p.legs : [p]
    return parts.map(({ body, upper, lower, stops }, k) => ({ body, upper, lower, stops, key: `${p.index}-${k}` }))
  }),
)
</script>

<template>
  <span ref="box" class="box">
    <svg v-if="near" :width="width" :height="HEIGHT" aria-hidden="true">
      <defs>
        <linearGradient v-for="b in bands" :id="`${id}-${b.key}`" :key="b.key">
          <stop v-for="s in b.stops" :key="s.offset" :offset="s.offset" :stop-color="s.colour" />
        </linearGradient>
      </defs>
      <g v-for="b in bands" :key="b.key">
        <path :d="b.body" :fill="`url(#${id}-${b.key})`" />
        <path :d="b.upper" class="wall" />
        <path :d="b.lower" class="wall" />
      </g>
      <line x1="0" :x2="width" :y1="HEIGHT - 0.5" :y2="HEIGHT - 0.5" class="ground" />
    </svg>
  </span>
</template>

<style scoped>
.box {
  display: block;
  height: 96px;
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
