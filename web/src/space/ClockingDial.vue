<script setup lang="ts">
import { computed } from 'vue'
import { api, type ClockingAnswer } from '../api/client'
import { useLookedUp } from '../build/lookedUp'
import { useBuild } from '../build/store'
import { scrollRunsWords } from '../document/document'
import type { Stand } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'

/** How a blower's housing is clocked, and at which angles it is clear of everything. */
const props = defineProps<{ stand: Stand; place: string; name: string; row: string }>()
const build = useBuild()
const settings = useSettings()
const { found, looking, stale } = useLookedUp<ClockingAnswer>(
  () => props.place,
  // An option that is just being put in has no housing to ask about yet.
  async (document, letter, dropped) => (props.stand.scroll ? [await api.clocking(document, letter, props.place, dropped)] : []),
)
const answer = computed(() => (props.stand.scroll ? found.value[0] : undefined))
const best = computed(() => answer.value?.ways[answer.value.best])
const mm = (v: number) => spoken(Math.abs(v), 'mm', settings.units)
const now = computed(() => props.stand.scroll?.clocked_deg ?? 0)
const everywhere = computed(() => answer.value?.ways.every((w) => w.clear))
const spans = computed(() =>
  (answer.value?.clear ?? []).map((s) => (s.from_deg === s.to_deg ? `at ${s.from_deg}°` : `from ${s.from_deg}° to ${s.to_deg}°`)),
)

const R = { out: 54, in: 42, hub: 24 }
const at = (deg: number, r: number) => {
  const a = (deg * Math.PI) / 180
  return `${(r * Math.sin(a)).toFixed(2)} ${(-r * Math.cos(a)).toFixed(2)}`
}
/** What is short reaches less far out: told by its shape too, not by colour alone. */
const wedge = (deg: number, clear: boolean) => ring(deg, clear ? R.out : R.out - 5)
const ring = (deg: number, out: number) =>
  `M${at(deg - 4.6, R.in)} L${at(deg - 4.6, out)} A${out} ${out} 0 0 1 ${at(deg + 4.6, out)} L${at(deg + 4.6, R.in)} A${R.in} ${R.in} 0 0 0 ${at(deg - 4.6, R.in)} Z`
/** The outlet leaves the rim on the side from which the charge comes round. */
const outlet = computed(() => {
  const side = props.stand.scroll?.runs === 'anticlockwise' ? 1 : -1
  return `M${side * R.hub} 0 V${-R.hub - 8} H${side * (R.hub - 13)} V-20`
})

function scroll(value: Stand['scroll'], words: string): void {
  void build.act([{ pointer: `${props.row}/scroll`, value }], `${props.name} ${words}`)
}
function clock(deg: number): void {
  void build.act([{ pointer: `${props.row}/scroll/clocked_deg`, value: deg }], `${props.name} clocked to ${deg}°`)
}
</script>

<template>
  <div class="clocking">
    <h3>How its housing is clocked <span v-if="stand.scroll && looking && !answer" class="quiet">looking</span></h3>
    <template v-if="stand.scroll">
      <div class="side">
        <svg viewBox="-62 -62 124 124" width="148" height="148" role="img" :aria-label="`${name}, outlet at ${now}°; seen from its inlet`">
          <path v-for="w in answer?.ways ?? []" :key="w.clocked_deg" :d="wedge(w.clocked_deg, w.clear)" :class="w.clear ? 'clear' : 'short'" />
          <g :transform="`rotate(${now})`">
            <circle :r="R.hub" class="housing" />
            <path :d="outlet" class="housing" />
            <path :d="`M0 ${-R.in + 1} L-4 ${-R.in + 8} L4 ${-R.in + 8} Z`" class="hand" />
          </g>
          <circle r="9" class="eye" />
        </svg>
        <div class="words">
          <NumberField part="stand/scroll" name="clocked_deg" :pointer="`${row}/scroll/clocked_deg`" :of="name" />
          <ChoiceField label="charge runs round" :pointer="`${row}/scroll/runs`" :choices="scrollRunsWords" :of="name" />
          <p v-if="answer && best" class="told">
            <template v-if="everywhere">Clear at any angle.</template>
            <template v-else-if="spans.length">Clear {{ spans.join(' and ') }}.</template>
            <b v-else class="worse">Clear at no angle.</b>{{ ' ' }}
            <template v-if="best.spare_mm !== undefined && best.name">
              {{ best.spare_mm >= 0 ? 'Most to spare' : 'Least short' }} at {{ best.clocked_deg }}°: {{ mm(best.spare_mm) }}
              {{ best.spare_mm >= 0 ? 'more than asked' : 'less than asked' }} to {{ best.name }}.
            </template>
            <button
              v-if="best.name && best.clocked_deg !== (now + 360) % 360"
              type="button"
              class="act"
              :disabled="stale"
              @click="clock(best.clocked_deg)"
            >
              Clock it to {{ best.clocked_deg }}°
            </button>
          </p>
          <p class="fine">
            Seen from its inlet, from straight up. Its size is that of the round housing without the outlet.
            <button type="button" class="act" @click="scroll(undefined, 'taken as a box')">take it as a box</button>
          </p>
        </div>
      </div>
    </template>
    <p v-else>
      Taken as a box without its outlet.
      <button type="button" class="act" @click="scroll({ clocked_deg: 0, runs: 'clockwise' }, 'clocked straight up')">say how it is clocked</button>
    </p>
  </div>
</template>

<style scoped>
.side {
  display: flex;
  gap: 24px;
  align-items: flex-start;
}
svg {
  flex: none;
}
.words {
  flex: 1;
  min-width: 0;
  max-width: 420px;
}
.told {
  padding-top: 8px;
}
.clear {
  fill: var(--cool);
}
.short {
  fill: var(--heat);
}
.housing {
  fill: var(--bench);
  stroke: var(--ink);
  stroke-width: 1.2;
}
.hand {
  fill: var(--ink);
}
.eye {
  fill: var(--sheet);
  stroke: var(--ink-2);
}
.act {
  min-height: 24px;
}
.quiet,
.fine {
  font-weight: 400;
  color: var(--ink-2);
}
.fine {
  padding-top: 6px;
  font-size: var(--s1);
}
.worse {
  color: var(--heat-text);
}
</style>
