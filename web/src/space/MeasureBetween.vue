<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, type FitView, type GapView } from '../api/client'
import { useLookedUp } from '../build/lookedUp'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import ChoiceField from '../ui/ChoiceField.vue'

/** The shortest way between any two things of the room, however far apart, shown in the drawing. */
const props = defineProps<{ fit: FitView }>()
const emit = defineEmits<{ measured: [gap: GapView | undefined] }>()
const settings = useSettings()
const from = ref('')
const to = ref('')
const things = computed(() => [
  { value: '', label: 'choose one' },
  ...[...props.fit.bodies, ...props.fit.obstacles].map((t) => ({ value: t.place, label: t.name })),
])
const name = (place: string) => (place && things.value.find((t) => t.value === place)?.label) ?? ''
/** What was taken out of the room is not measured any more. */
const both = computed(() => (name(from.value) && name(to.value) && from.value !== to.value ? `${from.value} ${to.value}` : ''))
const { found } = useLookedUp<GapView>(
  () => both.value,
  async (document, letter, dropped) => {
    if (!both.value) return []
    const [place, against] = [from.value, to.value]
    const answer = await api.between(document, letter, place, against, dropped)
    return [{ ...answer, place, against, of: name(place), to: name(against), asked_mm: 0, missing_mm: 0, isShort: answer.gap_mm < 0 }]
  },
  100,
)
const measured = computed(() => (both.value ? found.value[0] : undefined))
watch(measured, (gap) => emit('measured', gap))
const mm = (v: number) => spoken(v, 'mm', settings.units, 1)
const by = computed(() => measured.value?.from_mm.map((v, i) => Math.abs(v - measured.value!.to_mm[i]!)))
</script>

<template>
  <section>
    <h2>Measure between any two</h2>
    <div class="line">
      <ChoiceField label="measure from" :choices="things" :shown="from" pointer="" bare :pick="(p: string) => (from = p)" />
      <ChoiceField label="measure to" :choices="things" :shown="to" pointer="" bare :pick="(p: string) => (to = p)" />
      <p v-if="measured && by" aria-live="polite">
        <b :class="{ worse: measured.gap_mm < 0 }">{{ mm(measured.gap_mm) }}</b>
        <span class="by">back {{ mm(by[0]!) }}, right {{ mm(by[1]!) }}, up {{ mm(by[2]!) }}</span>
      </p>
    </div>
  </section>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 22px;
}
.by {
  margin-left: 10px;
  color: var(--ink-2);
}
</style>
