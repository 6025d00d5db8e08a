<script setup lang="ts">
import { computed } from 'vue'
import type { AirWayView } from '../api/client'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'

/** What drives the air, and what uses it up: two bars of one length. */
const props = defineProps<{ view: AirWayView }>()
const settings = useSettings()

interface Part {
  name: string
  pa: number
  tone: string
}

const drives = computed<Part[]>(() =>
  [
    { name: 'road wind', pa: Math.max(props.view.wind_Pa, 0), tone: 'wind' },
    { name: 'fan', pa: Math.max(props.view.fan_Pa, 0), tone: 'fan' },
    { name: 'warm air rising', pa: props.view.buoyancy_Pa, tone: 'rise' },
  ].filter((p) => p.pa > 0),
)
const takes = computed<Part[]>(() =>
  [
    { name: 'opening', pa: props.view.inLoss_Pa, tone: 'in' },
    { name: 'stack', pa: props.view.stackLoss_Pa, tone: 'stack' },
    { name: 'exit', pa: props.view.outLoss_Pa, tone: 'out' },
    { name: 'fan in the way', pa: Math.max(-props.view.fan_Pa, 0), tone: 'fan' },
  ].filter((p) => p.pa > 0),
)
const total = computed(() => Math.max(sum(drives.value), sum(takes.value), 1e-9))
const sum = (parts: Part[]) => parts.reduce((s, p) => s + p.pa, 0)
const words = (p: Part) => `${p.name} ${spoken(p.pa, 'Pa', settings.units, p.pa < 10 ? 1 : undefined)}`
</script>

<template>
  <section>
    <h2>What drives the air, and what uses it up</h2>
    <div v-for="(row, i) in [drives, takes]" :key="i" class="row">
      <span class="word">{{ i === 0 ? 'drives' : 'takes' }}</span>
      <div class="bar" role="img" :aria-label="row.map(words).join(', ')">
        <span v-for="p in row" :key="p.name" :class="p.tone" :style="{ width: `${(100 * p.pa) / total}%` }" :title="words(p)"
          ><template v-if="p.pa / total > 0.16">{{ words(p) }}</template></span
        >
      </div>
    </div>
  </section>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 52px minmax(0, 1fr);
  align-items: center;
  margin-top: 7px;
}
.word {
  color: var(--ink-2);
}
.bar {
  display: flex;
  height: 24px;
  overflow: hidden;
}
.bar span {
  overflow: hidden;
  padding-left: 7px;
  font-size: var(--s1);
  font-weight: 600;
  line-height: 24px;
  white-space: nowrap;
  color: #fff;
  border-right: 1px solid var(--sheet);
}
.bar span:empty {
  padding: 0;
}
.wind {
  background: #1b7573;
}
.fan {
  background: #27596b;
}
.rise {
  background: #7b6a3f;
}
.in {
  background: #5d6f79;
}
.stack {
  background: #b04a25;
}
.out {
  background: #45545d;
}
</style>
