<script setup lang="ts">
import { Popover } from './overlays'
import { computed, nextTick, ref, useId, watch } from 'vue'
import { useBuild } from '../build/store'
import { at, type Edit } from '../document/edit'
import { read } from '../quantity/read'
import { useSettings } from '../settings/store'

/** A number anywhere: takes any unit and fractions, answers at once, refuses plainly and keeps what was typed. */
const props = defineProps<{
  part: string
  name: string
  /** Where it stands in the document; empty where `shown` and `set` stand in. */
  pointer: string
  shown?: number
  set?: (value: number | undefined) => void
  label?: string
  /** What it belongs to, for the history: "cold pipe". */
  of?: string
  /** Without its label, in a table. */
  bare?: boolean
  /** May be left empty. */
  optional?: boolean
  /** Edits that go with a new number. */
  also?: (value: number) => Edit[]
  /** What an empty field counts as; the usual value when not said. */
  empty?: string
}>()

const build = useBuild()
const settings = useSettings()
const id = useId()
const popover = ref<InstanceType<typeof Popover>>()
const input = ref<HTMLInputElement>()
const field = computed(() => build.catalogue!.field(props.part, props.name))
const words = computed(() => props.label ?? field.value.label)
/** "exit area" of the exit is not said twice. */
const said = computed(() => (props.of && !words.value.startsWith(`${props.of} `) ? `${props.of} ${words.value}` : words.value))
const value = computed(() => (props.set ? props.shown : (at(build.document, props.pointer) as number | undefined)))
const written = computed(() => (value.value === undefined ? '' : build.catalogue!.text(field.value, value.value, settings.units, true)))
const draft = ref<string>()
/** The draft, from when it is given in until something else is typed. */
let entered: string | undefined
const refusal = ref('')
const range = computed(() => {
  const c = build.catalogue!
  return `${c.text(field.value, field.value.min, settings.units, true)} to ${c.text(field.value, field.value.max, settings.units, true)}`
})
const wasBefore = computed(() => c(field.value.usual))

watch(() => [settings.units, props.pointer], reset)
// What was entered goes when another value comes; what is still being typed stays, also where a refusal takes the value before it back.
watch(value, () => {
  if (draft.value === entered) reset()
})

function c(v: number): string {
  return build.catalogue!.text(field.value, v, settings.units, true)
}

function type(text: string): void {
  draft.value = text
  entered = undefined
}

async function commit(): Promise<void> {
  if (draft.value === undefined) return
  entered = draft.value
  const text = draft.value.trim()
  if (text === written.value) return reset()
  if (text === '' && props.optional) return write(undefined, 'left empty')
  const unit = build.catalogue!.shownUnit(field.value, settings.units)
  const quantity = build.catalogue!.quantity(field.value.quantity)
  const reading = read(text, quantity, unit)
  if ('refused' in reading) {
    const units = quantity.units
      .map((u) => u.symbol)
      .filter(Boolean)
      .join(', ')
    refusal.value =
      reading.refused === 'WRONG_UNIT'
        ? `"${reading.unit}" does not measure ${words.value}. Use ${units || 'a plain number'}.`
        : text === ''
          ? `${capital(words.value)} is empty. Give a value from ${range.value}.`
          : `"${text}" is not a number. Write ${c(field.value.usual)} or 2 1/2 ${unit.symbol}.`
    return
  }
  const number = build.catalogue!.toFile(field.value, reading.si)
  if (!(number >= field.value.min && number <= field.value.max)) {
    refusal.value = `${capital(words.value)} is ${c(number)}; it must lie between ${range.value.replace(' to ', ' and ')}.`
    return
  }
  await write(number, c(number))
}

async function write(number: number | undefined, shown: string): Promise<void> {
  if (props.set) {
    props.set(number)
    return reset()
  }
  const edits: Edit[] = [{ pointer: props.pointer, value: number }, ...(number === undefined ? [] : (props.also?.(number) ?? []))]
  const label = `${said.value} ${written.value || 'empty'} → ${shown}`
  const typed = draft.value
  const outcome = await build.edit(edits, label)
  // What a refusal takes back has reached the field by then.
  await nextTick()
  // What is being typed by the time the answer comes is not this any more.
  if (draft.value !== undefined && draft.value !== typed) return
  if (outcome.done) reset()
  else {
    draft.value = typed
    refusal.value = outcome.fault.sentence
  }
}

function reset(): void {
  draft.value = undefined
  refusal.value = ''
}

function keys(event: KeyboardEvent): void {
  if (event.key === 'Enter') void commit()
  else if (event.key === 'Escape') {
    reset()
    input.value?.blur()
  }
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
</script>

<template>
  <div class="field" :class="{ bare, refused: refusal }">
    <button v-if="!bare" type="button" class="label" :aria-label="`About ${words}`" @click="popover?.toggle($event)">{{ words }}</button>
    <input
      :id="id"
      ref="input"
      :aria-label="said"
      :aria-invalid="refusal ? 'true' : undefined"
      :aria-describedby="refusal ? `${id}-no` : undefined"
      :value="draft ?? written"
      :placeholder="optional ? (empty ?? wasBefore) : ''"
      inputmode="text"
      autocomplete="off"
      spellcheck="false"
      @input="type(($event.target as HTMLInputElement).value)"
      @focus="($event.target as HTMLInputElement).select()"
      @blur="commit"
      @keydown="keys"
    />
    <p v-if="refusal" :id="`${id}-no`" class="refusal" role="alert">{{ refusal }}</p>
    <Popover ref="popover">
      <dl class="about">
        <dt>Range</dt>
        <dd>{{ range }}</dd>
        <dt>Usual</dt>
        <dd>{{ wasBefore }}</dd>
        <dt>From</dt>
        <dd>{{ field.source }}</dd>
      </dl>
      <p class="hint">
        Type any unit:
        {{
          build
            .catalogue!.quantity(field.quantity)
            .units.map((u) => u.symbol)
            .filter(Boolean)
            .join(', ') || 'a plain number'
        }}
      </p>
    </Popover>
  </div>
</template>

<style scoped>
.field {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: baseline;
  column-gap: 12px;
  min-height: 34px;
  border-bottom: 1px solid var(--hair);
}
.field.bare {
  display: block;
  border: 0;
  min-height: 0;
}
.label {
  padding: 7px 0;
  color: var(--ink-2);
  overflow-wrap: anywhere;
}
.label:hover {
  color: var(--blue);
}
input {
  width: 108px;
  padding: 6px 6px;
  text-align: right;
  font-weight: 600;
  font-stretch: 96%;
  background: none;
  border: 0;
  border-bottom: 1px solid transparent;
  border-radius: 0;
}
.bare input {
  width: 100%;
  padding: 5px 4px;
  font-weight: 500;
}
input:hover {
  border-bottom-color: var(--blue);
}
input:focus {
  outline: 2px solid var(--blue);
  outline-offset: -2px;
  background: var(--sheet);
}
.refused input {
  border-bottom-color: var(--heat);
}
.refusal {
  grid-column: 1 / -1;
  padding: 2px 0 8px;
  color: var(--heat-text);
  font-weight: 500;
}
.about {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 14px;
  max-width: 320px;
  margin: 0;
}
.about dt {
  color: var(--ink-2);
}
.about dd {
  margin: 0;
  font-weight: 500;
}
.hint {
  margin-top: 10px;
  color: var(--ink-2);
  max-width: 320px;
}
@media (pointer: coarse) {
  .field {
    min-height: 44px;
  }
  input {
    padding-block: 11px;
  }
}
</style>
