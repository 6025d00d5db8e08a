<script setup lang="ts">
import { Select } from './overlays'
import { computed } from 'vue'
import { useBuild } from '../build/store'
import { at } from '../document/edit'

/** One of a few words, shown as the file says them or by a label. */
const props = defineProps<{
  label: string
  pointer: string
  choices: readonly (string | { value: string; label: string })[]
  of?: string
  fallback?: string
  shown?: string
  /** Told where it stands too, so that one function serves every row. */
  pick?: (value: string, pointer: string) => void
  /** Without its label in sight: it stands in a table whose column tells. */
  bare?: boolean
}>()
const build = useBuild()
/** What the file leaves out counts as the fallback; `shown` and `pick` stand in where the file holds no word. */
const value = computed(() => props.shown ?? (at(build.document, props.pointer) as string | undefined) ?? props.fallback)

const options = computed(() => props.choices.map((c) => (typeof c === 'string' ? { value: c, label: c } : c)))

function choose(next: string): void {
  if (props.pick) return props.pick(next, props.pointer)
  void build.act([{ pointer: props.pointer, value: next }], `${props.of ? `${props.of} ` : ''}${props.label} ${next}`)
}
</script>

<template>
  <div class="choice" :class="{ bare }">
    <span v-if="!bare" class="label">{{ label }}</span>
    <Select
      :model-value="value"
      :options="options"
      :placeholder="options.find((o) => o.value === '')?.label"
      option-label="label"
      option-value="value"
      :aria-label="of ? `${of} ${label}` : label"
      @update:model-value="choose"
    />
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: 34px;
  border-bottom: 1px solid var(--hair);
}
.choice.bare {
  justify-content: flex-start;
  min-height: 0;
  border: 0;
}
.choice.bare :deep(.p-select-label) {
  padding-left: 0;
}
.label {
  color: var(--ink-2);
}
.choice :deep(.p-select) {
  border: 0;
  background: none;
}
.choice :deep(.p-select-label) {
  padding: 5px 0 5px 6px;
  font-size: var(--s2);
  font-weight: 600;
  font-stretch: 96%;
  text-align: right;
}
.choice :deep(.p-select-dropdown) {
  width: 22px;
  color: var(--blue);
}
</style>
