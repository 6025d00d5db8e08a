<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { surfaces } from '../router'

/** The surfaces along a machinist's rule. */
const route = useRoute()
const box = ref<HTMLElement>()
const { width } = useElementSize(box)
/** A narrow window gets a finer rule. */
const STEP = computed(() => (width.value < 1160 ? 94 : 118))
const LEFT = 20
const ticks = computed(() => {
  const list: { x: number; long: boolean }[] = []
  for (let i = 0; LEFT + (i * STEP.value) / 10 < width.value; i++)
    list.push({ x: Math.round(LEFT + (i * STEP.value) / 10), long: i % 10 === 0 && i / 10 < surfaces.length })
  return list
})
const half = (i: number) => i % 5 === 0
</script>

<template>
  <nav ref="box" class="rule" aria-label="Surfaces">
    <svg :width="width" height="12" aria-hidden="true">
      <line v-for="(t, i) in ticks" :key="i" :x1="t.x + 0.5" :x2="t.x + 0.5" y1="0" :y2="t.long ? 10 : half(i) ? 6 : 4" :class="{ long: t.long }" />
    </svg>
    <RouterLink
      v-for="(s, i) in surfaces"
      :key="s.key"
      :to="{ name: s.key, params: route.params, query: route.query }"
      :style="{ left: `${LEFT + i * STEP}px`, width: `${STEP}px` }"
      :class="{ on: route.name === s.key }"
      :aria-current="route.name === s.key ? 'page' : undefined"
    >
      {{ s.name }}<kbd>{{ i + 1 }}</kbd>
    </RouterLink>
    <slot />
  </nav>
</template>

<style scoped>
.rule {
  position: relative;
  border-top: 1px solid var(--ink);
  background: var(--bench);
}
svg {
  display: block;
}
line {
  stroke: var(--ink-3);
}
line.long {
  stroke: var(--ink);
  stroke-width: 1.4;
}
a {
  position: absolute;
  top: 0;
  height: 37px;
  padding: 12px 0 0 8px;
  color: var(--ink-2);
  font-size: var(--s2);
}
a:hover {
  color: var(--blue);
}
a.on {
  color: var(--blue);
  font-weight: 700;
}
kbd {
  margin-left: 9px;
  font: inherit;
  font-size: var(--s1);
  font-weight: 400;
  color: var(--ink-3);
}
</style>
