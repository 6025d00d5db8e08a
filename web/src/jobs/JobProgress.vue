<script setup lang="ts">
import ProgressBar from 'primevue/progressbar'

/** How far a long computation is, with the way out. */
defineProps<{ what: string; progress: number }>()
const emit = defineEmits<{ cancel: [] }>()
</script>

<template>
  <div class="progress">
    <span>{{ what }}</span>
    <ProgressBar :value="Math.round(100 * progress)" :show-value="false" :aria-label="what" />
    <b>{{ Math.round(100 * progress) }} %</b>
    <button type="button" class="act" @click="emit('cancel')">Cancel</button>
  </div>
</template>

<style scoped>
.progress {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 8px 0;
}
.progress :deep(.p-progressbar) {
  flex: 1;
  min-width: 80px;
}
b {
  min-width: 38px;
  text-align: right;
}
</style>
