<script setup lang="ts">
import { computed } from 'vue'
import type { Match } from '../api/client'
import { useSettings } from '../settings/store'
import { MATCH_HEADS, matchRows } from './matches'

/** What each channel measured beside what was predicted for it, under load and without. */
const props = defineProps<{ matches: readonly Match[] }>()
const settings = useSettings()
const rows = computed(() => matchRows(props.matches, settings.units))
</script>

<template>
  <table class="figures matches">
    <thead>
      <tr>
        <th v-for="h in MATCH_HEADS" :key="h" scope="col">{{ h }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="[words, ...cells] in rows" :key="words">
        <th scope="row">{{ words }}</th>
        <td v-for="(c, i) in cells" :key="i">{{ c }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
}
td {
  text-align: right;
}
thead th:not(:first-child) {
  text-align: right;
}
</style>
