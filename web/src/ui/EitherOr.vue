<script setup lang="ts" generic="V extends string">
import SelectButton from 'primevue/selectbutton'

/** One of a few, all in sight. */
defineProps<{ of: string; choices: readonly { value: V; label: string }[]; value: V | undefined }>()
const emit = defineEmits<{ pick: [value: V] }>()
</script>

<template>
  <SelectButton
    class="either"
    :model-value="value"
    :options="choices as { value: V; label: string }[]"
    option-label="label"
    option-value="value"
    data-key="value"
    :allow-empty="false"
    :aria-label="of"
    @update:model-value="(v: V) => emit('pick', v)"
  />
</template>

<style scoped>
.either {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 2px 18px;
}
.either :deep(.p-togglebutton) {
  min-height: 24px;
  padding: 2px 0;
  font-size: var(--s2);
  font-weight: 500;
  color: var(--blue);
  background: none;
  border: 0;
  border-bottom: 2px solid transparent;
}
.either :deep(.p-togglebutton-content) {
  padding: 0;
  background: none;
}
.either :deep(.p-togglebutton-checked) {
  border-bottom-color: var(--blue);
}
.either :deep(.p-togglebutton-checked) {
  font-weight: 700;
}
.either :deep(.p-togglebutton:hover) {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.either :deep(.p-togglebutton-checked:hover) {
  text-decoration: none;
}
</style>
