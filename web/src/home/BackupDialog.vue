<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { ref, shallowRef, watch } from 'vue'
import { api, Offline, type Backup } from '../api/client'
import { day } from '../quantity/time'
import Notice from '../ui/Notice.vue'

/** Backups to save and to put back, and all builds as one open file, out and in. */
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ changed: [] }>()
const kept = shallowRef<Backup[]>([])
const failure = ref('')
const said = ref('')
const busy = ref(false)
const wanted = shallowRef<File>()
const restorePicker = ref<HTMLInputElement>()
const importPicker = ref<HTMLInputElement>()

watch(visible, async (open) => {
  wanted.value = undefined
  failure.value = said.value = ''
  if (open) await guarded(async () => void (kept.value = await api.backups()))
})

async function guarded(act: () => Promise<void>): Promise<void> {
  failure.value = said.value = ''
  busy.value = true
  try {
    await act()
  } catch (e) {
    failure.value = e instanceof Offline ? 'The Enthalpa server does not answer. Nothing was changed.' : (e as Error).message
  } finally {
    busy.value = false
  }
}

function picked(event: Event): File | undefined {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  return file
}

function restore(): void {
  const file = wanted.value!
  wanted.value = undefined
  void guarded(async () => {
    const { setAside } = await api.restore(file)
    said.value = `The builds of ${file.name} are back. What was there before is kept as ${setAside}.`
    emit('changed')
  })
}

function read(event: Event): void {
  const file = picked(event)
  if (!file) return
  void guarded(async () => {
    const { builds, revisions, items } = await api.readArchive(file)
    const parts = [
      builds && `${builds} ${builds === 1 ? 'build' : 'builds'}`,
      revisions && `${revisions} ${revisions === 1 ? 'version' : 'versions'}`,
      items && `${items} catalogue ${items === 1 ? 'item' : 'items'}`,
    ].filter(Boolean)
    said.value = parts.length
      ? `New from ${file.name}: ${parts.join(', ')}. What was here already was left as it is.`
      : `All of ${file.name} was here already.`
    emit('changed')
  })
}

const WHY: [string, string][] = [
  ['-daily.zip', 'of the day'],
  ['-before-update.zip', 'before an update'],
]
const why = (b: Backup) => WHY.find(([end]) => b.name.endsWith(end))?.[1] ?? ''
const size = (bytes: number) => (bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${(bytes / 1e6).toFixed(1)} MB`)
</script>

<template>
  <Dialog v-model:visible="visible" modal dismissable-mask header="Backup" :draggable="false" :style="{ width: '640px' }">
    <section>
      <p>
        Everything in one file, histories and catalogue included. One is made by itself each day that something was changed; the last ten are kept in
        the data folder.
      </p>
      <p class="ways">
        <a class="act" href="/api/backups/now">Save a backup</a>
        <button type="button" class="act" :disabled="busy" @click="restorePicker?.click()">Put a backup back</button>
        <input ref="restorePicker" type="file" accept=".zip,application/zip" hidden aria-label="Backup file" @change="(e) => (wanted = picked(e))" />
      </p>
      <div v-if="wanted" class="question">
        <p>
          <b>Put {{ wanted.name }} in place of all builds and the catalogue here?</b> What is here now is set aside in the data folder, not removed.
        </p>
        <p class="ways">
          <button type="button" class="act" @click="wanted = undefined">Leave it</button>
          <button type="button" class="act" @click="restore">Put it back</button>
        </p>
      </div>
      <table v-if="kept.length" class="figures">
        <thead class="hidden-words">
          <tr>
            <th>Made</th>
            <th>Why</th>
            <th>Size</th>
            <th>Save</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="b in kept" :key="b.name">
            <th scope="row">{{ day(b.madeAt) }}</th>
            <td class="why">{{ why(b) }}</td>
            <td>{{ size(b.bytes) }}</td>
            <td><a class="act" :href="`/api/backups/${b.name}`" :aria-label="`Save the backup of ${day(b.madeAt)}`">save</a></td>
          </tr>
        </tbody>
      </table>
    </section>
    <section>
      <h2>As an open file</h2>
      <p>
        All builds with their histories as lines of JSON, the catalogue as CSV: to read with other programs, or to bring into another Enthalpa. Read
        twice, everything is there once.
      </p>
      <p class="ways">
        <a class="act" href="/api/archive">Export all</a>
        <button type="button" class="act" :disabled="busy" @click="importPicker?.click()">Import</button>
        <input ref="importPicker" type="file" accept=".zip,application/zip" hidden aria-label="Archive file" @change="read" />
      </p>
    </section>
    <p v-if="busy" class="quiet" role="status">Working</p>
    <Notice v-if="failure" :says="failure" />
    <p v-else-if="said" role="status">{{ said }}</p>
  </Dialog>
</template>

<style scoped>
section {
  padding-bottom: 18px;
}
h2 {
  font-size: var(--s3);
  font-weight: 700;
  padding-bottom: 4px;
}
.ways {
  display: flex;
  gap: 28px;
}
.ways .act {
  padding: 8px 0;
}
.question {
  margin: 6px 0;
  padding: 10px 0 4px;
  border-block: 1px solid var(--rule);
}
.why {
  text-align: left;
  color: var(--ink-2);
}
.quiet {
  color: var(--ink-2);
}
</style>
