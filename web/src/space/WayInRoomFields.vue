<script setup lang="ts">
import { computed } from 'vue'
import type { AirWayView } from '../api/client'
import { useBuild } from '../build/store'
import type { AirWay } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import EitherOr from '../ui/EitherOr.vue'
import NumberField from '../ui/NumberField.vue'

/** Where the opening of a way of the air is in the measured room, and what is taken from there instead of what is typed. */
const props = defineProps<{ way: AirWay; at: string; view?: AirWayView }>()
const build = useBuild()
const settings = useSettings()

const found = computed(() => props.view?.inRoom)
const stack = computed(() => build.answer?.fit?.stacks.find((s) => s.name === props.way.name))
/** Only while the answer is of these layers. */
const seats = computed(() => (stack.value?.asTheyStand?.length === props.way.layers.length ? stack.value.asTheyStand : undefined))

/** Where the stack begins behind it, of the first layer that has a place in the room; else at the datum. */
function put(): void {
  const layers = props.way.layers
  const number = layers.findIndex((l) => build.option?.stands?.some((s) => s.of === l.name && s.what === l.kind))
  const stand = build.option?.stands?.find((s) => s.of === layers[number]?.name && s.what === layers[number]?.kind)
  const deep = (k: number) => props.view?.layers[k]?.depth_mm ?? 0
  const before = layers.slice(0, number + 1).reduce((sum, l, k) => sum + l.gap_mm + deep(k) / (k === number ? 2 : 1), 0)
  const value = {
    back_mm: Math.round((stand?.back_mm ?? 0) - (stand ? before : 0)),
    right_mm: stand ? stand.right_mm - layers[number]!.across_mm : 0,
    up_mm: stand ? stand.up_mm - layers[number]!.up_mm : 0,
  }
  void build.act([{ pointer: `${props.at}/inRoom`, value }], `${props.way.name} placed in the room`)
}
function asItStands(): void {
  const edits = seats.value!.flatMap((seat, k) =>
    Object.entries(seat).map(([key, value]) => ({ pointer: `${props.at}/layers/#${props.way.layers[k]!.id}/${key}`, value })),
  )
  void build.act(edits, `${props.way.name} has its stack where the room has it`)
}
function takeOut(): void {
  void build.act([{ pointer: `${props.at}/inRoom`, value: undefined }], `${props.way.name} no longer placed in the room`)
}
function take(key: 'walls' | 'exit', from: string): void {
  const words = key === 'walls' ? 'what stands before it' : 'exit'
  void build.act(
    [{ pointer: `${props.at}/inRoom/${key}`, value: from === 'room' || undefined }],
    `${props.way.name}: ${words} ${from === 'room' ? 'from the room' : 'as typed'}`,
  )
}
const FROM = [
  { value: 'typed', label: 'as typed' },
  { value: 'room', label: 'from the room' },
]
</script>

<template>
  <section v-if="build.document?.room">
    <h2>
      In the room
      <button type="button" class="act add" @click="way.inRoom ? takeOut() : put()">
        {{ way.inRoom ? 'take its place out' : 'give its opening a place' }}
      </button>
    </h2>
    <p v-if="!way.inRoom" class="fine">
      With the middle of its opening in the room, what covers it and what the air has behind the stack are seen there.
    </p>
    <template v-else>
      <NumberField
        v-for="key in ['back_mm', 'right_mm', 'up_mm']"
        :key="key"
        part="room/place"
        :name="key"
        :pointer="`${at}/inRoom/${key}`"
        :of="`opening of ${way.name}`"
      />
      <p class="line">
        <span>before it</span>
        <EitherOr
          :of="`${way.name}: before the opening`"
          :choices="FROM"
          :value="way.inRoom.walls ? 'room' : 'typed'"
          @pick="(v) => take('walls', v)"
        />
      </p>
      <p class="line">
        <span>exit</span>
        <EitherOr :of="`${way.name}: exit`" :choices="FROM" :value="way.inRoom.exit ? 'room' : 'typed'" @pick="(v) => take('exit', v)" />
      </p>
      <p v-if="stack?.away.length" class="away">
        The room has {{ stack.away.join(' and ') }} elsewhere than this stack does.
        <button v-if="seats" type="button" class="act" @click="asItStands">Take the stack as the room has it</button>
        <template v-else>As the room has it one would stand before the opening or in another: move the opening, or the body.</template>
      </p>
      <p v-if="found" class="fine">
        The room leaves {{ found.uncovered_pct.toFixed(0) }} % of the opening free{{
          found.covers.length ? `; before it: ${found.covers.join(', ')}` : ''
        }}. Behind the stack the air has {{ spoken(found.exit_cm2, 'cm2', settings.units) }}.
      </p>
    </template>
  </section>
</template>

<style scoped>
.add {
  float: right;
  font-size: var(--s1);
  font-weight: 500;
}
.line {
  display: flex;
  gap: 20px;
  justify-content: space-between;
  align-items: center;
  min-height: 34px;
}
.away {
  padding-top: 4px;
  font-size: var(--s1);
  color: var(--heat-text);
}
.fine {
  padding-top: 4px;
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
