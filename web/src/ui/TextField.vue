<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useBuild } from '../build/store'
import { at, type Edit } from '../document/edit'

/** A name or a line of words. */
const props = defineProps<{
  label: string
  pointer: string
  required?: boolean
  longest?: number
  /** Told apart from others of its label. */
  of?: string
  /** Edits that go with a new text. */
  also?: (text: string) => Edit[]
}>()
const build = useBuild()
const value = computed(() => (at(build.document, props.pointer) as string | undefined) ?? '')
const draft = ref<string>()
/** The draft, from when it is given in until something else is typed. */
let entered: string | undefined
const refusal = ref('')
watch(() => props.pointer, reset)
// What was entered goes when another value comes; what is still being typed stays, also where a refusal takes the value before it back.
watch(value, () => {
  if (draft.value === entered) reset()
})

function reset(): void {
  draft.value = undefined
  refusal.value = ''
}

function type(text: string): void {
  draft.value = text
  entered = undefined
}

async function commit(): Promise<void> {
  if (draft.value === undefined) return
  const typed = (entered = draft.value)
  const text = typed.trim()
  refusal.value = props.required && text === '' ? `${props.label} is empty. Give it a name.` : ''
  if (refusal.value) return
  if (text === value.value) {
    draft.value = undefined
    return
  }
  const outcome = await build.edit([{ pointer: props.pointer, value: text }, ...(props.also?.(text) ?? [])], `${props.label.toLowerCase()} "${text}"`)
  await nextTick()
  // What is being typed by the time the answer comes is not this any more.
  if (draft.value !== undefined && draft.value !== typed) return
  draft.value = outcome.done ? undefined : typed
  if (!outcome.done) refusal.value = outcome.fault.sentence
}
</script>

<template>
  <label class="text">
    <span>{{ label }}</span>
    <input
      :value="draft ?? value"
      :maxlength="longest ?? 200"
      autocomplete="off"
      :aria-label="of ? `${of} ${label}` : undefined"
      @input="type(($event.target as HTMLInputElement).value)"
      @change="commit"
    />
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
  padding: 6px;
  text-align: right;
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
