<script setup lang="ts">
import { Menu } from '../ui/overlays'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { api, Offline, type BuildCard, type HomeVerdict } from '../api/client'
import { day } from '../quantity/time'
import { useSettings } from '../settings/store'
import HomeBar from '../shell/HomeBar.vue'
import { told } from '../verdict/say'
import BackupDialog from './BackupDialog.vue'
import DeleteDialog from './DeleteDialog.vue'
import SmallRidge from './SmallRidge.vue'
import Notice from '../ui/Notice.vue'

/** All builds, each as a row: its charge line in small, what each option says, and when it was changed. */
const settings = useSettings()
const router = useRouter()
const builds = shallowRef<BuildCard[]>()
const verdicts = ref<Record<number, HomeVerdict>>({})
const sentences = shallowRef<Record<string, string>>({})
const failure = ref('')
const said = ref('')
const picker = ref<HTMLInputElement>()
const menu = ref<InstanceType<typeof Menu>>()
const chosen = shallowRef<BuildCard>()
const backups = ref(false)
const deleting = ref(false)
const shownAway = ref(false)
const onTable = computed(() => (builds.value ?? []).filter((b) => b.putAwayAt == null))
const away = computed(() => (builds.value ?? []).filter((b) => b.putAwayAt != null))
const lists = computed(() => [{ builds: onTable.value, away: false }, ...(shownAway.value ? [{ builds: away.value, away: true }] : [])])
let here = true

onMounted(load)
onBeforeUnmount(() => (here = false))

async function load(): Promise<void> {
  document.title = 'Enthalpa'
  await guarded(async () => {
    const [list, known, fields] = await Promise.all([api.builds(), api.verdicts(), api.fields()])
    sentences.value = fields.sentences
    builds.value = list
    verdicts.value = Object.fromEntries(known.map((v) => [v.id, v]))
    void computeRest(list)
  })
}

/** What is not known of the newest version is computed, one build after the other, those on the table first. */
async function computeRest(list: BuildCard[]): Promise<void> {
  const rest = list
    .filter((b) => b.unreadable == null && verdicts.value[b.id]?.revision !== b.revision)
    .sort((a, b) => Number(a.putAwayAt != null) - Number(b.putAwayAt != null))
  for (const build of rest) {
    if (!here) return
    const verdict = await api.verdict(build.id).catch(() => undefined)
    if (verdict) verdicts.value = { ...verdicts.value, [build.id]: verdict }
  }
}

async function guarded(act: () => Promise<void>): Promise<void> {
  failure.value = ''
  try {
    await act()
  } catch (e) {
    failure.value =
      e instanceof Offline ? 'The Enthalpa server does not answer. Start it again (./enthalpa demo or serve), then reload.' : (e as Error).message
  }
}

async function openFile(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  if (file.size > 4_000_000) {
    failure.value = `${file.name} has ${(file.size / 1e6).toFixed(1)} MB; a build file has at most 4. Choose a file exported from a build's page.`
    return
  }
  await guarded(async () => {
    const made = await api.create(await file.text(), crypto.randomUUID())
    if (here) await router.push({ name: 'endurance', params: { id: made.id } })
  })
}

const items = computed(() => {
  const b = chosen.value
  if (!b) return []
  return [
    { label: 'Duplicate', disabled: b.unreadable != null, command: () => duplicate(b) },
    { label: b.putAwayAt == null ? 'Put away' : 'Bring back', command: () => putAway(b, b.putAwayAt == null) },
    { label: 'Save as a file', url: `/api/builds/${b.id}/file` },
    { label: 'Delete for good', command: () => (deleting.value = true) },
  ]
})

function ask(event: Event, b: BuildCard): void {
  chosen.value = b
  menu.value?.toggle(event)
}

function duplicate(b: BuildCard): void {
  void guarded(async () => {
    await api.duplicate(b.id, crypto.randomUUID())
    await load()
    said.value = `${b.name} duplicated.`
  })
}

function putAway(b: BuildCard, putAway: boolean): void {
  void guarded(async () => {
    const now = await api.putAway(b.id, putAway)
    builds.value = builds.value!.map((x) => (x.id === b.id ? now : x))
    said.value = putAway ? `${b.name} is put away, below.` : `${b.name} is back on the table.`
  })
}

function remove(b: BuildCard): void {
  void guarded(async () => {
    await api.deleteBuild(b.id)
    builds.value = builds.value!.filter((x) => x.id !== b.id)
    said.value = `${b.name} is deleted.`
  })
}
</script>

<template>
  <div class="sheet">
    <HomeBar />
    <main>
      <div class="head">
        <h1>Builds</h1>
        <div class="ways">
          <RouterLink class="act" to="/new">New build</RouterLink>
          <button type="button" class="act" @click="picker?.click()">Open a file</button>
          <RouterLink class="act" to="/catalogue">Catalogue</RouterLink>
          <button type="button" class="act" @click="backups = true">Backup</button>
          <input ref="picker" type="file" accept=".json,application/json" hidden @change="openFile" />
        </div>
      </div>
      <Notice v-if="failure" :says="failure" />
      <p v-else-if="builds && !builds.length" class="empty">No builds yet. A new build asks five things and opens with an answer.</p>
      <p v-else-if="said" class="said" role="status">{{ said }}</p>
      <template v-for="list in lists" :key="String(list.away)">
        <h2 v-if="list.away">Put away</h2>
        <ol v-if="list.builds.length">
          <li v-for="b in list.builds" :key="b.id">
            <RouterLink :to="{ name: 'endurance', params: { id: b.id } }" class="row">
              <span class="what">
                <strong>{{ b.name }}</strong>
                <span>{{ b.summary }}</span>
                <small>{{ day(b.changedAt) }}, {{ b.change }}</small>
              </span>
              <SmallRidge v-if="verdicts[b.id]?.line" :steady="verdicts[b.id]!.line!" :path="verdicts[b.id]!.line!.path" class="ridge" />
              <span v-else class="ridge"></span>
              <span class="says">
                <i v-if="b.unreadable" class="PULLS_TIMING">{{ b.unreadable }}</i>
                <em v-else-if="!verdicts[b.id]">being worked out</em>
                <span v-for="o in verdicts[b.id]?.options ?? []" :key="o.letter" class="one">
                  <b>{{ o.letter }}</b>
                  <span>
                    <em>{{ o.name }}</em>
                    <i v-if="o.verdict" :class="o.verdict.outcome">{{ told(o.verdict.findings, 'HEADLINE', sentences, settings.units) }}</i>
                    <i v-else class="PULLS_TIMING">{{ o.fault?.sentence }}</i>
                  </span>
                </span>
              </span>
            </RouterLink>
            <button type="button" class="act more" aria-haspopup="menu" :aria-label="`More about ${b.name}`" @click="ask($event, b)">&hellip;</button>
          </li>
        </ol>
      </template>
      <button v-if="away.length" type="button" class="act drawer" :aria-expanded="shownAway" @click="shownAway = !shownAway">
        {{ shownAway ? 'Hide' : 'Show' }} {{ away.length }} put away
      </button>
      <Menu ref="menu" :model="items" popup />
      <DeleteDialog v-if="chosen" v-model:visible="deleting" :build="chosen" @sure="remove(chosen)" />
      <BackupDialog v-model:visible="backups" @changed="load" />
      <footer><RouterLink class="act" to="/licences">Licences of what ships with this</RouterLink></footer>
    </main>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  align-items: baseline;
  gap: 34px;
  padding-bottom: 14px;
}
.ways {
  display: flex;
  gap: 22px;
}
.act {
  padding: 8px 0;
  font-size: var(--s3);
}
.failure {
  padding: 10px 0;
  font-weight: 600;
  color: var(--heat-text);
}
.empty {
  color: var(--ink-2);
}
ol {
  margin: 0;
  padding: 0;
  list-style: none;
  border-top: 1px solid var(--rule);
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 34px;
  align-items: center;
  border-bottom: 1px solid var(--rule);
}
.more {
  min-height: 44px;
  text-align: right;
  font-size: var(--s4);
}
h2 {
  padding: 30px 0 10px;
  font-size: var(--s4);
  font-weight: 700;
  font-stretch: 92%;
}
.drawer {
  margin-top: 18px;
  padding: 8px 0;
}
.said {
  padding: 10px 0;
  color: var(--ink-2);
}
.row {
  display: grid;
  grid-template-columns: minmax(200px, 300px) minmax(240px, 1fr) minmax(300px, 420px);
  gap: 34px;
  align-items: center;
  padding: 18px 0;
  color: inherit;
}
.row:hover strong {
  color: var(--blue);
}
.what {
  display: grid;
  gap: 3px;
}
strong {
  font-size: var(--s4);
  font-stretch: 92%;
}
.what span {
  color: var(--ink-2);
}
small {
  font-size: var(--s1);
  color: var(--ink-3);
}
.ridge {
  height: 96px;
}
.says {
  display: grid;
  gap: 7px;
}
.one {
  display: grid;
  grid-template-columns: 18px 1fr;
  line-height: 1.3;
}
.one b {
  font-stretch: 110%;
}
em {
  font-style: normal;
  color: var(--ink-2);
  display: block;
}
i {
  font-style: normal;
  font-weight: 600;
}
i.HOLDS {
  color: var(--cool-text);
}
i.PULLS_TIMING {
  color: var(--heat-text);
}
footer {
  padding-top: 34px;
  font-size: var(--s1);
}
footer .act {
  font-weight: 500;
  color: var(--ink-2);
}
</style>
