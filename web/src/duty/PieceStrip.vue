<script setup lang="ts">
import { computed, ref } from 'vue'
import type { DutyPiece } from '../document/types'
import { useSettings } from '../settings/store'
import { pieceAt, summary } from './pieces'

/** Pieces in their order: chosen by a click, moved by dragging or by Alt and the arrow keys. A repeat holds a strip of its own. */
const props = defineProps<{ pieces: DutyPiece[]; pointer: string; chosen: string }>()
const emit = defineEmits<{ choose: [pointer: string]; move: [row: string, behind: string | null] }>()
const settings = useSettings()
const strip = ref<HTMLElement>()
const held = ref<number>()
const over = ref<number>()
const list = computed(() => props.pieces)

function down(event: PointerEvent, i: number): void {
  emit('choose', pieceAt(props.pointer, list.value[i]))
  held.value = i
  over.value = i
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}

function move(event: PointerEvent): void {
  if (held.value === undefined) return
  const chips = [...strip.value!.children] as HTMLElement[]
  const at = chips.findIndex((c) => {
    const r = c.getBoundingClientRect()
    return event.clientX < r.right && event.clientY < r.bottom && event.clientX >= r.left && event.clientY >= r.top
  })
  if (at >= 0) over.value = at
}

function up(): void {
  const from = held.value
  const to = over.value
  held.value = over.value = undefined
  if (from !== undefined && to !== undefined && from !== to) put(from, to)
}

function put(from: number, to: number): void {
  const rest = list.value.filter((_, i) => i !== from)
  emit('move', pieceAt(props.pointer, list.value[from]), rest[to - 1]?.id ?? null)
}

function key(event: KeyboardEvent, i: number): void {
  if (event.key === 'Enter' || event.key === ' ') {
    event.preventDefault()
    emit('choose', pieceAt(props.pointer, list.value[i]))
  }
  const by = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0
  if (event.altKey && by !== 0 && i + by >= 0 && i + by < list.value.length) {
    event.preventDefault()
    put(i, i + by)
  }
}
</script>

<template>
  <ol ref="strip" class="strip">
    <li
      v-for="(p, i) in list"
      :key="p.id ?? i"
      :class="[p.kind, { on: chosen === pieceAt(pointer, p), held: held === i, over: over === i && held !== i }]"
    >
      <div
        class="head"
        tabindex="0"
        role="button"
        :aria-pressed="chosen === pieceAt(pointer, p)"
        :aria-label="`Piece ${i + 1}: ${p.kind} ${summary(p, settings.units)}`"
        @pointerdown="down($event, i)"
        @pointermove="move"
        @pointerup="up"
        @keydown="key($event, i)"
      >
        <b>{{ p.kind }}</b>
        <span>{{ summary(p, settings.units) }}</span>
      </div>
      <PieceStrip
        v-if="p.kind === 'repeat'"
        class="inside"
        :pieces="p.pieces"
        :pointer="`${pieceAt(pointer, p)}/pieces`"
        :chosen="chosen"
        @choose="(to) => emit('choose', to)"
        @move="(row, behind) => emit('move', row, behind)"
      />
    </li>
  </ol>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  border: 1px solid var(--rule);
  border-left: 3px solid var(--ink-3);
  background: var(--sheet);
}
.head {
  min-height: 44px;
  padding: 5px 10px 5px 9px;
  cursor: grab;
  touch-action: none;
  user-select: none;
}
li.pull,
li.climb {
  border-left-color: var(--heat);
}
li.brake,
li.wait {
  border-left-color: var(--cool);
}
li.on {
  border-color: var(--blue);
  box-shadow: inset 0 0 0 1px var(--blue);
}
li.held {
  opacity: 0.5;
}
li.held .head {
  cursor: grabbing;
}
li.over {
  background: color-mix(in srgb, var(--blue) 12%, var(--sheet));
}
b {
  display: block;
  font-weight: 700;
}
span {
  font-size: var(--s1);
  color: var(--ink-2);
}
.inside {
  padding: 0 8px 8px 9px;
}
</style>
