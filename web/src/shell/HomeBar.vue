<script setup lang="ts">
import { useSettings } from '../settings/store'
import Wordmark from './Wordmark.vue'

/** The bar of the pages outside a build: where home is, and what belongs to the reader. */
defineProps<{ away?: boolean }>()
const settings = useSettings()
</script>

<template>
  <header>
    <RouterLink v-if="away" to="/" aria-label="All builds"><Wordmark /></RouterLink>
    <Wordmark v-else />
    <div class="tools">
      <button type="button" :aria-label="`Units: ${settings.unitsLine}. Switch`" @click="settings.switchUnits()">{{ settings.unitsLine }}</button>
      <button type="button" @click="settings.switchTheme()">{{ settings.theme === 'light' ? 'Dark' : 'Light' }}</button>
    </div>
  </header>
</template>

<style scoped>
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: 0 22px 0 40px;
}
a {
  color: inherit;
}
.tools button {
  padding: 12px 8px;
  color: var(--ink-2);
}
.tools button:hover {
  color: var(--blue);
}
</style>
