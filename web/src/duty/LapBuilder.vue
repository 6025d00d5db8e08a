<script setup lang="ts">
import { ref } from 'vue'
import { api, type DutyEntry } from '../api/client'
import { useBuild } from '../build/store'
import { read } from '../quantity/read'
import { useSettings } from '../settings/store'
import Notice from '../ui/Notice.vue'

/** A lap of equal corners from five numbers that everybody knows of a track. */
const emit = defineEmits<{ take: [entry: DutyEntry] }>()
const build = useBuild()
const settings = useSettings()
const failed = ref('')
const asked = ref({
  lap: '90 s',
  corners: '6',
  fast: settings.units === 'us' ? '110 mph' : '180 km/h',
  slow: settings.units === 'us' ? '50 mph' : '80 km/h',
  laps: '12',
})
const FIELDS = [
  { key: 'lap', label: 'lap time' },
  { key: 'corners', label: 'corners' },
  { key: 'fast', label: 'end of the straights' },
  { key: 'slow', label: 'in the corners' },
  { key: 'laps', label: 'laps' },
] as const

function number(text: string, quantity: 'TIME' | 'SPEED' | 'NUMBER', unit: string, label: string): number {
  const q = build.catalogue!.quantity(quantity)
  const u = build.catalogue!.unit(quantity, unit)
  const reading = read(text, q, u)
  if ('refused' in reading) throw new Error(`${label}: "${text}" is not a number${unit ? ` in ${q.units.map((x) => x.symbol).join(', ')}` : ''}.`)
  return (reading.si - u.offset) / u.factor
}

async function make(): Promise<void> {
  failed.value = ''
  try {
    const a = asked.value
    emit(
      'take',
      await api.laps(build.document!, {
        lap_s: number(a.lap, 'TIME', 's', 'Lap time'),
        corners: Math.round(number(a.corners, 'NUMBER', '', 'Corners')),
        fast_km_h: number(a.fast, 'SPEED', 'km/h', 'End of the straights'),
        slow_km_h: number(a.slow, 'SPEED', 'km/h', 'In the corners'),
        laps: Math.round(number(a.laps, 'NUMBER', '', 'Laps')),
      }),
    )
  } catch (e) {
    failed.value = (e as Error).message
  }
}
</script>

<template>
  <form class="laps" @submit.prevent="make">
    <label v-for="f in FIELDS" :key="f.key">
      <span>{{ f.label }}</span>
      <input v-model="asked[f.key]" :aria-label="f.label" />
    </label>
    <button type="submit" class="act">Build the laps</button>
    <Notice v-if="failed" :says="failed" />
  </form>
</template>

<style scoped>
.laps {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 30px;
  align-items: end;
  padding: 8px 0 14px;
}
label {
  display: grid;
}
span {
  font-size: var(--s1);
  color: var(--ink-2);
}
input {
  width: 104px;
  padding: 4px 0;
  border: 0;
  border-bottom: 1px solid var(--ink-3);
  background: none;
  font-weight: 600;
}
.worse {
  flex-basis: 100%;
}
</style>
