<script setup lang="ts">
import { computed, ref } from 'vue'
import type { FitView, GapView } from '../api/client'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'

/** Every gap, what is missing most first; a row shows itself in the drawing. */
const props = defineProps<{ fit: FitView; chosen?: GapView }>()
const emit = defineEmits<{ pick: [gap: GapView] }>()
const settings = useSettings()
const FIRST = 12
const all = ref(false)
const rows = computed(() => (all.value ? props.fit.gaps : props.fit.gaps.slice(0, Math.max(FIRST, props.fit.gaps.filter((g) => g.isShort).length))))
const mm = (v: number | undefined) => (v === undefined ? '' : spoken(v, 'mm', settings.units, 1))
const same = (a: GapView, b?: GapView) => a.place === b?.place && a.against === b?.against
</script>

<template>
  <section>
    <h2>Gaps, what is missing most first</h2>
    <table class="figures gaps">
      <thead>
        <tr>
          <th scope="col">between</th>
          <th scope="col">standing</th>
          <th scope="col">asked</th>
          <th scope="col">as it moves</th>
          <th scope="col">asked</th>
          <th scope="col">to spare</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="g in rows" :key="`${g.place} ${g.against}`" :class="{ picked: same(g, chosen), short: g.isShort }">
          <th scope="row">
            <button type="button" class="act" :aria-pressed="same(g, chosen)" @click="emit('pick', g)">{{ g.of }} and {{ g.to }}</button>
          </th>
          <td>{{ mm(g.gap_mm) }}</td>
          <td class="asked">{{ mm(g.asked_mm) }}</td>
          <td>{{ mm(g.moved_mm) }}</td>
          <td class="asked">{{ mm(g.movedAsked_mm) }}</td>
          <td :class="g.isShort ? 'worse' : ''">{{ g.isShort ? `short by ${mm(g.missing_mm)}` : mm(-g.missing_mm) }}</td>
        </tr>
      </tbody>
    </table>
    <button v-if="!all && rows.length < fit.gaps.length" type="button" class="act more" @click="all = true">all {{ fit.gaps.length }}</button>
  </section>
</template>

<style scoped>
td {
  font-weight: 600;
}
.asked {
  font-weight: 400;
  color: var(--ink-2);
}
th .act {
  min-height: 24px;
  font-weight: 500;
}
.picked th .act {
  font-weight: 700;
  border-bottom: 2px solid var(--blue);
}
.short th .act {
  color: var(--heat-text);
}
.more {
  padding-top: 8px;
}
</style>
