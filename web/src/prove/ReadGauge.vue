<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { Select } from '../ui/overlays'
import { api, type DeviceAsked } from '../api/client'
import { useBuild } from '../build/store'
import type { LeakTest } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { clock } from '../quantity/time'
import { useSettings } from '../settings/store'
import Notice from '../ui/Notice.vue'
import { OF_LEAK, STATES, isSimulated } from './devices'
import DeviceChoice from './DeviceChoice.vue'
import { useHeard } from './heard'

/** The gauge of a leak test is read by itself, and what it said becomes the test's readings. */
const props = defineProps<{ test: LeakTest; at: string }>()
const build = useBuild()
const settings = useSettings()
const device = ref<DeviceAsked>({ kind: 'SIMULATED_LEAK_GAUGE' })
const faster = ref(1)
const shown = shallowRef<{ time: number; gauge?: number; air?: number }>()
const { id, heard, failed, busy, begin, attempt, end } = useHeard(
  (r) => r.leakTest === props.test.id,
  () => props.test.id,
  (more) => {
    const time = more.time_s.at(-1)
    const latest = (unit: string) => {
      const c = more.channels.findIndex((k) => k.unit === unit)
      return (c < 0 ? undefined : more.values[c]!.at(-1)) ?? undefined
    }
    if (time !== undefined) shown.value = { time, gauge: latest('kPa'), air: latest('°C') }
  },
  () => (shown.value = undefined),
)
const listened = computed(() => heard.value?.recording.devices[0])

const start = () =>
  attempt(async () => {
    const of = build.keeper!.told.id
    const test = props.test.id!
    const begun = await api.record({
      build: of,
      name: `leak test ${props.test.on}`.trim(),
      document: build.document!,
      option: props.test.option,
      leakTest: test,
      faster: faster.value,
      devices: [device.value],
    })
    if (build.keeper?.told.id === of && props.test.id === test) begin(begun.id)
  })
/** Only what is kept as readings of the build is let go of. */
const take = () =>
  attempt(async () => {
    const uid = id.value!
    const of = build.keeper!.told.id
    const gauge = listened.value?.name ?? 'gauge'
    const { readings } = await api.recordedReadings(uid)
    if (build.keeper?.told.id !== of) return
    const value = readings.map((r, i) => ({ ...r, air_C: r.air_C ?? build.document!.climate.airTemperature_C, id: `g${i}` }))
    const { done } = await build.act(
      [
        { pointer: `${props.at}/readings`, value },
        { pointer: `${props.at}/gauge`, value: gauge },
      ],
      `readings of the ${gauge}`,
    )
    if (!done) return
    // By the time it is kept another build may be on screen, with a gauge of its own.
    await (id.value === uid ? end(api.dropRecording) : api.dropRecording(uid))
  })
const drop = () => attempt(() => end(api.dropRecording))
</script>

<template>
  <section class="gauge" aria-label="The gauge">
    <DeviceChoice v-if="!id" v-model="device" :kinds="OF_LEAK" name="Gauge">
      <label v-if="isSimulated(device)">
        <Select v-model="faster" :options="[1, 5, 20, 60]" aria-label="How fast the simulated gauge goes" />
        times as fast as the clock
      </label>
      <button type="button" class="act" :disabled="busy" @click="start">Read it</button>
    </DeviceChoice>
    <template v-else>
      <p role="status">
        <b v-if="shown?.gauge !== undefined" class="now">{{ spoken(shown.gauge, 'kPa', settings.units, 2) }}</b>
        <template v-if="shown?.air !== undefined">, air {{ spoken(shown.air, 'C', settings.units, 1) }}</template>
        <template v-if="shown">, {{ clock(shown.time) }}</template>
        <em v-if="heard?.recording.simulated"> simulated</em>
        <template v-if="!shown"> {{ listened?.name ?? 'The gauge' }}: {{ listened ? STATES[listened.state] : 'called' }}</template>
      </p>
      <p v-if="listened?.trouble" class="worse">{{ listened.name }}: {{ listened.trouble }}</p>
      <p class="ends">
        <button type="button" class="act" :disabled="busy || (heard?.next ?? 0) < 2" @click="take">End it and take the readings</button>
        <button type="button" class="act" :disabled="busy" @click="drop">End it without</button>
      </p>
    </template>
    <Notice v-if="failed" :says="failed" />
  </section>
</template>

<style scoped>
label {
  color: var(--ink-2);
}
.now {
  font-size: var(--s4);
  font-variant-numeric: tabular-nums;
}
em {
  font-style: normal;
  color: var(--heat-text);
}
.ends {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 22px;
  padding: 4px 0 8px;
}
</style>
