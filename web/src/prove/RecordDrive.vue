<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { Select } from '../ui/overlays'
import { api, type DeviceAsked } from '../api/client'
import { useBuild } from '../build/store'
import { clock } from '../quantity/time'
import { figure } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import Notice from '../ui/Notice.vue'
import { unitOf } from './channels'
import { OF_DRIVE, STATES, isSimulated } from './devices'
import DeviceChoice from './DeviceChoice.vue'
import { useHeard } from './heard'
import { useLogs } from './logs'
import { today } from './today'
import TraceLines from './TraceLines.vue'

/** Recording from measuring devices: what they say now, kept as it comes; ended, it is a log of the build. */
const emit = defineEmits<{ recorded: [] }>()
const build = useBuild()
const logs = useLogs()
const settings = useSettings()
const devices = ref<DeviceAsked[]>([{ kind: 'SIMULATED_LOGGER' }, { kind: 'SIMULATED_WEATHER' }])
const name = ref(`drive ${today()}`)
const faster = ref(1)
/** Rows of the last ten minutes. */
const time = shallowRef<number[]>([])
const values = shallowRef<(number | null)[][]>([])
const KEPT = 6000
const { id, heard, failed, busy, begin, attempt, end } = useHeard(
  // The gauge of a test that was taken out is nobody else's.
  (r) => !r.leakTest || !build.document?.leakTests?.some((t) => t.id === r.leakTest),
  () => undefined,
  (more) => {
    if (!more.time_s.length) return
    const fresh = values.value.length === more.channels.length
    time.value = [...(fresh ? time.value : []), ...more.time_s].slice(-KEPT)
    values.value = more.values.map((v, c) => [...(fresh ? values.value[c]! : []), ...v.map((n) => n ?? null)].slice(-KEPT))
  },
  () => {
    time.value = []
    values.value = []
  },
)

const simulated = computed(() => devices.value.some(isSimulated))
const curves = computed(() => (heard.value?.channels ?? []).map((c, i) => ({ ...c, shown: values.value[i] ?? [] })))
const live = computed(() => heard.value?.recording)

const start = () =>
  attempt(async () => {
    const of = build.keeper!.told.id
    const begun = await api.record({
      build: of,
      name: name.value,
      document: build.document!,
      option: build.letter,
      faster: faster.value,
      devices: devices.value,
    })
    if (build.keeper?.told.id === of) begin(begun.id)
  })
const stop = () =>
  attempt(async () => {
    const of = build.keeper!.told.id
    const { log } = await end(api.stopRecording)
    if (build.keeper?.told.id !== of) return
    await logs.open(of)
    logs.chosen = log
    emit('recorded')
  })
function now(c: number): string {
  const value = values.value[c]?.at(-1)
  const channel = heard.value!.channels[c]!
  if (value == null) return 'nothing'
  const unit = unitOf(channel.unit)
  if (!unit) return `${value.toFixed(channel.unit === 'rpm' ? 0 : 1)} ${channel.unit}`
  const f = figure(value, unit, settings.units)
  return `${f.figure} ${f.unit}`
}
</script>

<template>
  <div class="record">
    <template v-if="!id">
      <h3>Listen to</h3>
      <DeviceChoice v-for="(_, i) in devices" :key="i" v-model="devices[i]!" :kinds="OF_DRIVE" :name="`Device ${i + 1}`">
        <button v-if="devices.length > 1" type="button" class="act" :aria-label="`Take out device ${i + 1}`" @click="devices.splice(i, 1)">
          take out
        </button>
      </DeviceChoice>
      <p><button v-if="devices.length < 8" type="button" class="act" @click="devices.push({ kind: 'SOCKET' })">Another device</button></p>
      <p class="quiet">
        A row is kept whenever the first of them speaks, with what the others said last. What a device has to say stands in docs/devices.md.
      </p>
      <div class="device">
        <label>called <input v-model="name" type="text" maxlength="100" aria-label="Name of the recording" class="long" /></label>
        <label v-if="simulated">
          <Select v-model="faster" :options="[1, 5, 20, 60]" aria-label="How fast simulated devices go" />
          times as fast as the clock
        </label>
      </div>
      <p v-if="simulated" class="quiet">
        Simulated devices drive option {{ build.letter }} through the duty of this build, by the model. Nothing of it is measured, and it is called
        so.
      </p>
      <p class="ends"><button type="button" class="act" :disabled="busy" @click="start">Start recording</button></p>
    </template>
    <template v-else>
      <p class="now" role="status">
        <b>{{ live ? live.name : 'Recording' }}</b><template v-if="live?.simulated">, <em>simulated</em></template
        ><template v-if="time.length">, {{ clock(time.at(-1)!) }}, {{ live!.rows.toLocaleString('en') }} rows on the disk</template>
      </p>
      <p v-for="d in live?.devices ?? []" :key="d.name" :class="{ worse: d.state === 'LOST' }">
        {{ d.name }}: {{ STATES[d.state] }}{{ d.channels.length ? `, ${d.channels.join(', ')}` : ''
        }}{{ d.spoilt ? `; ${d.spoilt} lines spoilt` : '' }}.
        {{ d.trouble }}
      </p>
      <p v-if="heard?.trouble" class="worse">{{ heard.trouble }}</p>
      <TraceLines v-if="curves.length && time.length > 1" label="What comes in" :time="time" :curves="curves" />
      <dl v-if="heard && time.length" class="values">
        <div v-for="(c, k) in heard.channels" :key="c.channel">
          <dt>{{ c.words }}<em v-if="c.simulated"> simulated</em></dt>
          <dd>{{ now(k) }}</dd>
        </div>
      </dl>
      <p class="ends"><button type="button" class="act" :disabled="busy" @click="stop">End it and look at it</button></p>
    </template>
    <Notice v-if="failed" :says="failed" />
  </div>
</template>

<style scoped src="./device.css"></style>
<style scoped>
h3 {
  margin: 0;
  padding: 16px 0 4px;
  font-size: var(--s2);
  font-weight: 600;
  color: var(--ink-2);
}
p {
  padding: 4px 0;
}
.quiet {
  max-width: 640px;
  color: var(--ink-2);
}
.device .long {
  width: 260px;
}
em {
  font-style: normal;
  color: var(--heat-text);
}
.now {
  padding-top: 12px;
  font-size: var(--s3);
}
.values {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 4px 24px;
  margin: 8px 0 0;
}
.values div {
  display: flex;
  justify-content: space-between;
  padding: 5px 0;
  border-bottom: 1px solid var(--hair);
}
dt {
  color: var(--ink-2);
}
dt em {
  margin-left: 5px;
}
dd {
  margin: 0;
  padding-left: 10px;
  white-space: nowrap;
  font-weight: 700;
  font-variant-numeric: tabular-nums;
}
.ends {
  padding-top: 12px;
}
</style>
