<script setup lang="ts">
import type { WayInRoom } from '../api/client'
import { useBuild } from '../build/store'
import type { AirWay } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import EitherOr from '../ui/EitherOr.vue'
import NumberField from '../ui/NumberField.vue'

/** Where the opening of a way of the air is in the measured room, and what is taken from there instead of what is typed. */
const props = defineProps<{ way: AirWay; at: string; found?: WayInRoom }>()
const build = useBuild()
const settings = useSettings()

/** Before the first core that has a place, as far as the stack begins behind the opening; else at the datum. */
function put(): void {
  const stand = build.option?.stands?.find((s) => props.way.layers.some((l) => l.name === s.of))
  const { back_mm = 0, right_mm = 0, up_mm = 0 } = stand ?? {}
  const before = stand ? 100 : 0
  void build.act([{ pointer: `${props.at}/inRoom`, value: { back_mm: back_mm - before, right_mm, up_mm } }], `${props.way.name} placed in the room`)
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
.fine {
  padding-top: 4px;
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
