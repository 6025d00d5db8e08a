<script setup lang="ts">
import type { Told } from './steps'

/** Lines of a list under their headings. */
defineProps<{ parts: Told[]; numbered?: boolean }>()
const BAD = new Set([
  'LEAK_TOO_MUCH',
  'LEAK_WATER_TOO_MUCH',
  'LEAK_OVER',
  'JOINT_SHORT',
  'FILL_HOLDS_AIR',
  'FILL_FED_TOP',
  'FILL_NO_TANK',
  'FILL_NO_ROOM',
  'JOINT_OUTLET',
])
</script>

<template>
  <section v-for="p in parts" :key="p.part">
    <h3>{{ p.heading }}</h3>
    <ul>
      <li v-for="l in p.lines" :key="l.text" :class="{ worse: BAD.has(l.kind) }">{{ l.text }}</li>
    </ul>
  </section>
</template>

<style scoped>
h3 {
  margin: 0;
  padding: 16px 0 4px;
  font-size: var(--s2);
  font-weight: 600;
  color: var(--ink-2);
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
