<script setup lang="ts">
import Checkbox from 'primevue/checkbox'

/** Something that is so or not. */
defineProps<{ label: string; on: boolean }>()
const emit = defineEmits<{ turn: [on: boolean] }>()
</script>

<template>
  <label class="tick">
    <Checkbox :model-value="on" binary @update:model-value="(v: boolean) => emit('turn', v)" />
    <span>{{ label }}</span>
  </label>
</template>

<style scoped>
.tick {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  cursor: pointer;
}
</style>
