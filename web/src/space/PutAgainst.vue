<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, type FitView, type Way } from '../api/client'
import { useBuild } from '../build/store'
import ChoiceField from '../ui/ChoiceField.vue'
import Notice from '../ui/Notice.vue'
import NumberField from '../ui/NumberField.vue'
import Tick from '../ui/Tick.vue'
import { SIDES } from './ways'

/** Puts a body against something, as one holds it there: on one side of it, a gap off, centred or where it is across. */
const props = defineProps<{ fit: FitView; place: string; name: string; row: string }>()
const build = useBuild()
const against = ref<string>()
const side = ref<Way>('REARWARDS')
const gap = ref(10)
const centred = ref(true)
const failed = ref('')

const things = computed(() =>
  [...props.fit.obstacles, ...props.fit.bodies].filter((t) => t.place !== props.place).map((t) => ({ value: t.place, label: t.name })),
)
const target = computed(() => things.value.find((t) => t.value === against.value) ?? things.value[0])
watch([() => props.place, against, side, gap, centred], () => (failed.value = ''))

/** Where it comes to is worked out for the newest document; the edit is of that body alone. */
async function put(): Promise<void> {
  const to = target.value
  if (!to) return
  failed.value = ''
  const { worked } = build.here()
  const [letter, row, place] = [build.letter, props.row, props.place]
  const asked = { against: to.value, side: side.value, gap_mm: gap.value, centred: centred.value }
  const words = SIDES.find((s) => s.value === side.value)!.label
  try {
    await worked(async (document) => {
      const there = await api.against(document, letter, place, asked)
      return (['back_mm', 'right_mm', 'up_mm'] as const).map((key) => ({ pointer: `${row}/${key}`, value: there[key] }))
    }, `${props.name} put ${words} ${to.label}`)
  } catch (e) {
    failed.value = (e as Error).message
  }
}
</script>

<template>
  <div v-if="things.length" class="against">
    <h3>Put it against something</h3>
    <div class="line">
      <ChoiceField label="side" :of="name" :choices="SIDES" :shown="side" pointer="" bare :pick="(s: string) => (side = s as Way)" />
      <ChoiceField label="put against" :of="name" :choices="things" :shown="target?.value" pointer="" bare :pick="(t: string) => (against = t)" />
      <NumberField
        part="room/obstacle"
        name="gap_mm"
        pointer=""
        label="gap left"
        :of="name"
        :shown="gap"
        :set="(v: number | undefined) => (gap = v ?? 10)"
      />
      <Tick label="centred on it" :on="centred" @turn="centred = $event" />
      <button type="button" class="act" @click="put">put it there</button>
    </div>
    <Notice v-if="failed" :says="failed" />
  </div>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 22px;
}
.act {
  min-height: 24px;
}
</style>
