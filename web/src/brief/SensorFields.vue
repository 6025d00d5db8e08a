<script setup lang="ts">
import { computed } from 'vue'
import { useBuild } from '../build/store'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'

/** The sensor at the plenum, by its type; its lag in s can be typed too (common practice, no source). */
const LAGS = { 'bare wire': 0.5, 'open tip': 4, 'closed tip': 15 } as const
type SensorType = keyof typeof LAGS
/** Lags up to these count as the type when the file only tells the lag. */
const UP_TO: [SensorType, number][] = [
  ['bare wire', 1.5],
  ['open tip', 8],
  ['closed tip', Infinity],
]
const build = useBuild()
const usual = computed(() => build.catalogue!.field('targets', 'sensorLag_s').usual ?? 5)
const type = computed(() => UP_TO.find(([, most]) => (build.document!.targets.sensorLag_s ?? usual.value) <= most)![0])
const choices = Object.keys(LAGS).map((w) => ({ value: w, label: w }))

function pick(next: string): void {
  if (next !== type.value) void build.act([{ pointer: '/targets/sensorLag_s', value: LAGS[next as SensorType] }], `sensor with ${next}`)
}
</script>

<template>
  <ChoiceField label="sensor at the plenum" pointer="/targets" :shown="type" :choices="choices" :pick="pick" />
  <NumberField part="targets" name="sensorLag_s" pointer="/targets/sensorLag_s" optional />
</template>
