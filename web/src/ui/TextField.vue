<script setup lang="ts">
import { computed, ref } from 'vue'
import { useBuild } from '../build/store'
import { at } from '../document/edit'

/** A name or a line of words. */
const props = defineProps<{ label: string; pointer: string; required?: boolean; longest?: number }>()
const build = useBuild()
const value = computed(() => at(build.document, props.pointer) as string)
const refusal = ref('')

async function commit(event: Event): Promise<void> {
  const text = (event.target as HTMLInputElement).value.trim()
  refusal.value = props.required && text === '' ? `${props.label} is empty. Give it a name.` : ''
  if (refusal.value || text === value.value) return
  const outcome = await build.edit([{ pointer: props.pointer, value: text }], `${props.label.toLowerCase()} "${text}"`)
  if (!outcome.done) refusal.value = outcome.fault.sentence
}
</script>

<template>
  <label class="text">
    <span>{{ label }}</span>
    <input :value="value" :maxlength="longest ?? 200" autocomplete="off" @change="commit" />
    <em v-if="refusal" role="alert">{{ refusal }}</em>
  </label>
</template>

<style scoped>
.text {
  display: grid;
  grid-template-columns: 74px minmax(0, 1fr);
  align-items: baseline;
  min-height: 34px;
  border-bottom: 1px solid var(--hair);
}
span {
  color: var(--ink-2);
}
input {
  padding: 6px 0;
  font-weight: 600;
  text-overflow: ellipsis;
  background: none;
  border: 0;
  border-bottom: 1px solid transparent;
}
input:hover {
  border-bottom-color: var(--blue);
}
em {
  grid-column: 1 / -1;
  font-style: normal;
  color: var(--heat-text);
  padding-bottom: 6px;
}
</style>
