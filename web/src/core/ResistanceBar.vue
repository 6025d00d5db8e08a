<script setup lang="ts">
import { computed } from 'vue'
import type { SharesView } from '../api/client'

/** Every resistance between charge and outside air as a piece of one bar, named under it. */
const props = defineProps<{ shares: SharesView; cooledBy: string; sink?: string }>()
const parts = computed(() => {
  const s = props.shares
  const air = props.cooledBy === 'air'
  return [
    { name: 'charge film and fins', percent: s.charge_pct, tone: 'heat', what: 'more core, or denser fin inside' },
    { name: 'wall', percent: s.wall_pct, tone: 'wall', what: 'clean it' },
    {
      name: air ? 'cooling air film' : 'water film',
      percent: s.coldFilm_pct,
      tone: 'cool',
      what: air ? 'faster air, more fin outside' : 'faster water',
    },
    {
      name: air ? 'too little cooling air' : 'too little water',
      percent: s.coldFlow_pct,
      tone: 'flow',
      what: air ? 'more air: duct, seal, opening' : 'more flow: bores, pump',
    },
    {
      name: props.sink ?? 'radiator',
      percent: s.radiator_pct,
      tone: 'far',
      what: props.sink === 'ice' ? 'smaller pieces, sprayed' : props.sink === 'chiller' ? 'more capacity' : 'more face, more air through it',
    },
  ].filter((p) => p.percent > 0.3)
})
</script>

<template>
  <div class="bar" role="img" :aria-label="parts.map((p) => `${p.name} ${p.percent.toFixed(0)} %`).join(', ')">
    <div v-for="p in parts" :key="p.name" :style="{ flexGrow: Math.max(p.percent, 1.2) }">
      <span class="block" :class="p.tone"></span>
      <template v-if="p.percent >= 8">
        <b>{{ p.percent.toFixed(0) }} %</b>
        <span class="name">{{ p.name }}</span>
        <span class="what">{{ p.what }}</span>
      </template>
    </div>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  gap: 1px;
  padding-top: 8px;
}
.bar > div {
  flex: 1 1 0;
  display: grid;
  align-content: start;
  min-width: 4px;
  overflow: hidden;
  line-height: 1.35;
}
.block {
  height: 22px;
  margin-bottom: 5px;
}
b {
  font-stretch: 110%;
  font-size: var(--s3);
}
.name {
  font-weight: 500;
}
.what {
  color: var(--ink-2);
}
.heat {
  background: #b04a25;
}
.wall {
  background: #7f8e96;
}
.cool {
  background: #1b7573;
}
.flow {
  background: #4f9a93;
}
.far {
  background: #27596b;
}
</style>
