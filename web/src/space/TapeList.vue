<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { api, type PresetView } from '../api/client'
import { useBuild } from '../build/store'
import { newIdentity, type Edit } from '../document/edit'
import { useSettings } from '../settings/store'
import EitherOr from '../ui/EitherOr.vue'
import Notice from '../ui/Notice.vue'
import NumberField from '../ui/NumberField.vue'
import { emptyRoom, usualEngine } from './room'

/** A place by its usual measures, typed down the list as the tape gives them; what they make is put into the room at once. */
const emit = defineEmits<{ done: [] }>()
const build = useBuild()
const settings = useSettings()
const presets = shallowRef<PresetView[]>([])
const key = ref('front')
const measured = ref<Record<string, number>>({})
const failed = ref('')
const preset = computed(() => presets.value.find((p) => p.key === key.value))

onMounted(() => guarded(async () => (presets.value = (await api.roomPresets()).presets)))

async function guarded(act: () => Promise<unknown>): Promise<void> {
  failed.value = ''
  try {
    await act()
  } catch (e) {
    failed.value = (e as Error).message
  }
}

function choose(next: string): void {
  key.value = next
  measured.value = {}
}

/** A datum that stands there already stays: what is measured is from it. */
async function put(): Promise<void> {
  await guarded(async () => {
    const chosen = preset.value!
    const { obstacles, crankshaft } = await api.presetObstacles(chosen.key, measured.value)
    const rows = obstacles.map((o): Edit => ({ list: '/room/obstacles', put: { ...o, id: newIdentity() } }))
    const room: Edit[] = build.document!.room ? [] : [{ pointer: '/room', value: emptyRoom() }]
    const datum: Edit[] = build.document!.room?.datum ? [] : [{ pointer: '/room/datum', value: chosen.datum }]
    // An engine that stands there shakes: what hangs on it is told how far.
    const engine = crankshaft && usualEngine((key) => build.catalogue!.field('room/carrier', key).usual, crankshaft)
    const isNew = engine && !build.document!.room?.carriers?.some((c) => c.name === engine.name)
    const moving: Edit[] = isNew ? [{ list: '/room/carriers', put: engine }] : []
    const outcome = await build.edit([...room, ...datum, ...moving, ...rows], `${chosen.title} by the tape`)
    if (outcome.done) emit('done')
    else failed.value = outcome.fault.sentence
  })
}
</script>

<template>
  <section class="tape">
    <EitherOr of="Places to measure" :choices="presets.map((p) => ({ value: p.key, label: p.title }))" :value="key" @pick="choose" />
    <template v-if="preset">
      <p class="fine">All from {{ preset.datum }}: rearward, to the right as one sits, up. What is not typed is as usual.</p>
      <div class="card">
        <div v-for="m in preset.measures" :key="`${key} ${m.key}`" class="measure">
          <NumberField
            part="room/place"
            name="back_mm"
            pointer=""
            :label="m.label"
            :shown="measured[m.key] ?? m.usual_mm"
            :set="(v: number | undefined) => (measured = { ...measured, [m.key]: v ?? m.usual_mm })"
          />
          <small v-if="m.how">{{ m.how }}</small>
        </div>
      </div>
    </template>
    <Notice v-if="failed" :says="failed" />
    <p class="decide">
      <button type="button" class="act" :disabled="!preset" @click="put">put it into the room</button>
      <a v-if="preset" class="act" :href="`/api/room/presets/${preset.key}/tape-list?unit=${settings.units === 'us' ? 'in' : 'mm'}`" target="_blank"
        >the list on paper, to measure with</a
      >
      <button type="button" class="act" @click="emit('done')">not now</button>
    </p>
  </section>
</template>

<style scoped>
.tape {
  padding: 10px 0 4px;
}
.card {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  column-gap: 30px;
}
.measure {
  display: block;
}
.fine,
small {
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
