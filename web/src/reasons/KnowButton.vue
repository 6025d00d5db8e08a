<script setup lang="ts">
import { useReasons } from './store'

/** Opens a number to what gave it. */
defineProps<{ subject: string; of: string }>()
const reasons = useReasons()
</script>

<template>
  <button type="button" class="act know" :aria-label="`How do you know? ${of}`" @click="reasons.open(subject, of)">how do you know?</button>
</template>

<style scoped>
.know {
  font-size: var(--s1);
  font-weight: 500;
  white-space: nowrap;
}
</style>
