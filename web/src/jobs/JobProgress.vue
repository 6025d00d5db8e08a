<script setup lang="ts">
/** How far a long computation is, with the way out. */
defineProps<{ what: string; progress: number }>()
const emit = defineEmits<{ cancel: [] }>()
</script>

<template>
  <div class="progress">
    <span>{{ what }}</span>
    <progress :value="progress" max="1" :aria-label="what">{{ Math.round(100 * progress) }} %</progress>
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
progress {
  flex: 1;
  min-width: 80px;
  height: 6px;
  appearance: none;
  border: 0;
  background: var(--rule);
}
progress::-webkit-progress-bar {
  background: var(--rule);
}
progress::-webkit-progress-value {
  background: var(--blue);
}
progress::-moz-progress-bar {
  background: var(--blue);
}
b {
  min-width: 38px;
  text-align: right;
}
</style>
