<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { ref, shallowRef, watch } from 'vue'
import { api, type Revision } from '../api/client'
import { useBuild } from '../build/store'
import { day } from '../quantity/time'
import Notice from '../ui/Notice.vue'

/** Every version of the build, newest first: what changed and when, to look at, to name, to bring back. */
const visible = defineModel<boolean>('visible', { required: true })
const build = useBuild()
const versions = shallowRef<Revision[]>([])
const more = ref(false)
const failure = ref('')
const PAGE = 200

watch(visible, (open) => {
  versions.value = []
  if (open) void load()
})

async function load(): Promise<void> {
  const id = build.keeper?.told.id
  if (id === undefined) return
  failure.value = ''
  try {
    const page = await api.history(id, versions.value.at(-1)?.revision)
    if (build.keeper?.told.id !== id) return
    versions.value = [...versions.value, ...page]
    more.value = page.length === PAGE
  } catch (e) {
    failure.value = (e as Error).message
  }
}

async function name(version: Revision, event: Event): Promise<void> {
  const words = (event.target as HTMLInputElement).value.trim()
  if (words === (version.name ?? '')) return
  failure.value = ''
  try {
    await api.nameRevision(build.keeper!.told.id, version.revision, words)
    versions.value = versions.value.map((v) => (v === version ? { ...v, name: words || undefined } : v))
  } catch (e) {
    failure.value = (e as Error).message
  }
}

async function look(version: Revision): Promise<void> {
  visible.value = false
  await build.look(version.revision === build.keeper?.told.revision ? undefined : version.revision)
}

const time = (v: Revision) => new Date(v.changedAt).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
/** A day stands once, over what was changed on it. */
const newDay = (i: number) => i === 0 || day(versions.value[i]!.changedAt) !== day(versions.value[i - 1]!.changedAt)
</script>

<template>
  <Dialog v-model:visible="visible" modal dismissable-mask header="History" class="history" :draggable="false" :style="{ width: '760px' }">
    <Notice v-if="failure" :says="failure" />
    <p v-else class="lead">
      Every change is kept. Look at a version without changing anything; bring it back and it becomes the newest, with all between still here.
    </p>
    <table>
      <thead class="hidden-words">
        <tr>
          <th>Version</th>
          <th>Time</th>
          <th>Change</th>
          <th>Name</th>
          <th>Look at it</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="(v, i) in versions" :key="v.revision">
          <tr v-if="newDay(i)" class="day">
            <th colspan="5" scope="rowgroup">{{ day(v.changedAt) }}</th>
          </tr>
          <tr :class="{ now: v.revision === build.keeper?.told.revision }">
            <th scope="row">{{ v.revision }}</th>
            <td class="time">{{ time(v) }}</td>
            <td>
              {{ v.change }}
              <small v-if="v.parent != null && v.parent !== v.revision - 1">from version {{ v.parent }}</small>
            </td>
            <td class="name">
              <input
                :value="v.name ?? ''"
                placeholder="name it"
                maxlength="120"
                :aria-label="`Name of version ${v.revision}`"
                @change="name(v, $event)"
              />
            </td>
            <td class="acts">
              <span v-if="v.revision === build.keeper?.told.revision" class="quiet">newest</span>
              <button v-else type="button" class="act" :aria-label="`Look at version ${v.revision}`" @click="look(v)">look at it</button>
            </td>
          </tr>
        </template>
      </tbody>
    </table>
    <button v-if="more" type="button" class="act" @click="load">earlier ones</button>
  </Dialog>
</template>

<style scoped>
.lead {
  padding-bottom: 10px;
  color: var(--ink-2);
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 6px 10px 6px 0;
  text-align: left;
  vertical-align: baseline;
  border-bottom: 1px solid var(--hair);
}
tbody th {
  width: 44px;
  font-weight: 500;
  color: var(--ink-3);
}
.day th {
  padding-top: 14px;
  color: var(--ink);
  font-weight: 700;
  border-bottom-color: var(--rule);
}
.time {
  width: 52px;
  color: var(--ink-2);
}
.now td {
  font-weight: 600;
}
small {
  display: block;
  font-size: var(--s1);
  color: var(--ink-2);
}
.name {
  width: 168px;
}
input {
  width: 100%;
  padding: 3px 0;
  border: 0;
  border-bottom: 1px solid transparent;
  background: none;
  font-weight: 600;
  color: var(--ink);
}
input:hover,
input:focus {
  border-bottom-color: var(--blue);
}
input::placeholder {
  font-weight: 400;
  color: var(--ink-3);
}
.acts {
  width: 84px;
  text-align: right;
  white-space: nowrap;
}
.act {
  padding: 3px 0;
}
.quiet {
  color: var(--ink-2);
  font-weight: 400;
}
</style>
