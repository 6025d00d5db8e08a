<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { Select } from '../ui/overlays'
import { api, type Channel, type LogStart } from '../api/client'
import { say } from '../verdict/say'
import { useBuild } from '../build/store'
import { useSettings } from '../settings/store'
import Notice from '../ui/Notice.vue'
import { useLogs } from './logs'

/** Reads a log from any CSV: what its columns are is found by their headings, shown, and changed where it is wrong. */
const emit = defineEmits<{ done: [] }>()
const build = useBuild()
const logs = useLogs()
const settings = useSettings()
/** Bytes that are enough to know a file by. */
const BEGINNING = 60_000
const NOT_READ = ''
const file = shallowRef<File>()
const name = ref('')
const start = shallowRef<LogStart>()
/** What each column of the file is read as. */
const picked = ref<{ channel: Channel | ''; unit: string }[]>([])
const failed = ref('')
const reading = ref(false)
const all = ref(false)
/** The log's own identity: sent once more after a lost answer it is the same. */
let uid = ''

const choices = computed(() => [{ value: NOT_READ, label: 'not read' }, ...start.value!.choices.map((c) => ({ value: c.channel, label: c.words }))])
const unitsOf = (channel: Channel | '') => start.value!.choices.find((c) => c.channel === channel)?.units ?? []
const shown = computed(() => {
  const rows = start.value!.headings.map((heading, i) => ({ heading, i, sample: start.value!.sample.map((row) => row[i] ?? '').join('   ') }))
  return all.value ? rows : rows.filter((r) => wasRead.value.has(r.i))
})
/** Columns that were read at first stay in sight when they are not read any more. */
const wasRead = ref(new Set<number>())
const rest = computed(() => start.value!.headings.length - wasRead.value.size)
const notes = computed(() => start.value!.notes.map((n) => say(n, build.catalogue!.sentences, settings.units)))

async function choose(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const f = input.files?.[0]
  input.value = ''
  if (f) await look(f)
}

async function look(f: File): Promise<void> {
  file.value = f
  name.value = f.name.replace(/\.[a-z]+$/i, '').slice(0, 60)
  failed.value = ''
  start.value = undefined
  all.value = false
  uid = crypto.randomUUID()
  try {
    const told = await api.logStart(f.slice(0, BEGINNING))
    picked.value = told.headings.map((_, i) => {
      const choice = told.choices.find((c) => c.column === i)
      return { channel: choice?.channel ?? NOT_READ, unit: choice?.unit ?? '' }
    })
    wasRead.value = new Set(picked.value.flatMap((p, i) => (p.channel ? [i] : [])))
    start.value = told
  } catch (e) {
    failed.value = (e as Error).message
  }
}

/** A channel is read from one column: the other that held it is read no more. */
function pick(column: number, channel: Channel | ''): void {
  picked.value.forEach((p, i) => {
    if (channel && i !== column && p.channel === channel) p.channel = NOT_READ
  })
  const units = unitsOf(channel)
  picked.value[column] = { channel, unit: units.includes(picked.value[column]!.unit) ? picked.value[column]!.unit : (units[0] ?? '') }
  if (channel) wasRead.value = new Set([...wasRead.value, column])
  uid = crypto.randomUUID()
}

const columns = computed(() => picked.value.flatMap((p, i) => (p.channel ? [`${p.channel}:${i}:${p.unit}`] : [])).join(','))

async function take(): Promise<void> {
  if (reading.value) return
  reading.value = true
  failed.value = ''
  const id = build.keeper!.told.id
  try {
    const card = await api.takeLog(file.value!, { build: id, uid, name: name.value, columns: columns.value })
    if (build.keeper?.told.id !== id) return
    logs.put(card)
    logs.chosen = card.id
    emit('done')
  } catch (e) {
    failed.value = (e as Error).message
  } finally {
    reading.value = false
  }
}

const size = computed(() => ((file.value?.size ?? 0) / 1e6).toFixed(1))
function drop(event: DragEvent): void {
  const f = event.dataTransfer?.files[0]
  if (f) void look(f)
}
</script>

<template>
  <section class="read" aria-label="Read a log" @dragover.prevent @drop.prevent="drop">
    <label class="file">
      <span class="act">{{ file ? 'Choose another file' : 'Choose a CSV file' }}</span>
      <input type="file" accept=".csv,.txt,.log,text/csv" aria-label="Log as CSV" @change="choose" />
      <i v-if="file">{{ file.name }}, {{ size }} MB</i>
      <i v-else>or drop it here: any logger's, with a time and at least one temperature; names, units, commas and points as they come</i>
    </label>
    <template v-if="start">
      <p v-if="start.remembered" class="quiet">Columns as they were read from a file with these headings the last time.</p>
      <p v-for="n in notes" :key="n" class="quiet">{{ n }}</p>
      <table class="figures">
        <thead>
          <tr>
            <th scope="col">column of the file</th>
            <th scope="col">begins with</th>
            <th scope="col">is read as</th>
            <th scope="col">in</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in shown" :key="r.i" :class="{ off: !picked[r.i]!.channel }">
            <th scope="row">{{ r.heading || `column ${r.i + 1}` }}</th>
            <td class="sample">{{ r.sample }}</td>
            <td>
              <Select
                :model-value="picked[r.i]!.channel"
                :options="choices"
                option-label="label"
                option-value="value"
                placeholder="not read"
                :aria-label="`${r.heading || `column ${r.i + 1}`} is read as`"
                @update:model-value="(c: Channel | '') => pick(r.i, c)"
              />
            </td>
            <td>
              <Select
                v-if="unitsOf(picked[r.i]!.channel).length > 1"
                v-model="picked[r.i]!.unit"
                :options="unitsOf(picked[r.i]!.channel)"
                :aria-label="`Unit of ${r.heading || `column ${r.i + 1}`}`"
              />
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="rest > 0">
        <button type="button" class="act" @click="all = !all">
          {{ all ? 'only what is read' : `and ${rest} more column${rest > 1 ? 's' : ''}, not read` }}
        </button>
      </p>
      <label class="name">
        <span>called</span>
        <input v-model="name" type="text" maxlength="120" aria-label="Name of the log" />
      </label>
      <p>
        <button type="button" class="act go" :disabled="reading" @click="take">{{ reading ? `Reading ${size} MB` : 'Read it' }}</button>
      </p>
    </template>
    <Notice v-if="failed" :says="failed" />
  </section>
</template>

<style scoped>
.read {
  padding: 4px 0 14px;
}
.file {
  display: flex;
  gap: 14px;
  align-items: baseline;
  padding: 4px 0 10px;
}
.file input {
  position: absolute;
  width: 1px;
  height: 1px;
  opacity: 0;
}
.file:focus-within .act {
  outline: 2px solid var(--blue);
  outline-offset: 2px;
}
.file i {
  font-style: normal;
  color: var(--ink-2);
}
.quiet {
  padding: 2px 0;
  color: var(--ink-2);
}
table {
  width: 100%;
  max-width: 780px;
}
tr.off th,
tr.off td {
  color: var(--ink-3);
}
th,
td {
  text-align: left;
}
.sample {
  color: var(--ink-2);
  white-space: pre;
  overflow: hidden;
  max-width: 210px;
  text-overflow: ellipsis;
}
td :deep(.p-select) {
  max-width: 250px;
}
td :deep(.p-select-label) {
  padding: 3px 4px 3px 0;
  font-size: var(--s2);
}
.name {
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 10px 0 4px;
  color: var(--ink-2);
}
.name input {
  width: 320px;
  min-height: 32px;
  padding: 0 8px;
  border: 0;
  border-bottom: 1px solid var(--rule);
  background: transparent;
  color: var(--ink);
}
.go {
  padding: 8px 0;
  font-size: var(--s3);
}
</style>
