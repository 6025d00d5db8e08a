<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { api, Offline, Problem, type BuildState, type OptionAnswer } from '../api/client'
import { useSettings } from '../settings/store'
import HomeBar from '../shell/HomeBar.vue'
import { headline } from '../verdict/sentences'
import SmallRidge from './SmallRidge.vue'

/** All builds, each as a row: its charge line in small, what each option says, and when it was changed. */
const settings = useSettings()
const router = useRouter()
const builds = shallowRef<BuildState[]>()
const answers = ref<Record<number, OptionAnswer[]>>({})
const failure = ref('')
const picker = ref<HTMLInputElement>()

onMounted(async () => {
  document.title = 'Enthalpa'
  try {
    builds.value = await api.builds()
  } catch (e) {
    failure.value = e instanceof Offline ? 'The Enthalpa server does not answer. Start it again (./enthalpa demo or serve), then reload.' : (e as Error).message
    return
  }
  for (const build of builds.value) {
    const result = await api.preview(build.document).catch(() => ({ answers: [] }))
    answers.value = { ...answers.value, [build.id]: result.answers }
  }
})

async function add(make: () => Promise<BuildState>, surface: string): Promise<void> {
  failure.value = ''
  try {
    const made = await make()
    await router.push({ name: surface, params: { id: made.id } })
  } catch (e) {
    failure.value = e instanceof Problem || e instanceof Offline ? e.message : 'The file could not be read.'
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
  const words = await file.text()
  await add(() => api.create(words), 'endurance')
}

function shown(id: number): OptionAnswer | undefined {
  return answers.value[id]?.at(-1)
}

function day(when: string): string {
  return new Date(when).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })
}
</script>

<template>
  <div class="home">
    <HomeBar />
    <main>
      <div class="head">
        <h1>Builds</h1>
        <div class="ways">
          <button type="button" class="act" @click="add(() => api.starter(), 'brief')">New build</button>
          <button type="button" class="act" @click="picker?.click()">Open a file</button>
          <RouterLink class="act" to="/catalogue">Catalogue</RouterLink>
          <input ref="picker" type="file" accept=".json,application/json" hidden @change="openFile" />
        </div>
      </div>
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
      <p v-else-if="builds && !builds.length" class="empty">No builds yet. A new build starts filled in; change what is different on your car.</p>
      <ol v-if="builds?.length">
        <li v-for="b in builds" :key="b.id">
          <RouterLink :to="{ name: 'endurance', params: { id: b.id } }" class="row">
            <span class="what">
              <strong>{{ b.document.name }}</strong>
              <span>{{ b.document.summary }}</span>
              <small>{{ day(b.changedAt) }}, {{ b.change }}</small>
            </span>
            <SmallRidge v-if="shown(b.id)?.steady" :steady="shown(b.id)!.steady!" :path="b.document.options.at(-1)!.path" class="ridge" />
            <span v-else class="ridge"></span>
            <span class="says">
              <span v-for="a in answers[b.id] ?? []" :key="a.option" class="one">
                <b>{{ a.option }}</b>
                <span>
                  <em>{{ b.document.options.find((o) => o.letter === a.option)?.name }}</em>
                  <template v-if="a.soak">
                    <i :class="a.soak.verdict.outcome">{{ headline(a.soak.verdict, b.document, settings.units) }}</i>
                  </template>
                  <i v-else class="PULLS_TIMING">{{ a.fault?.sentence }}</i>
                </span>
              </span>
            </span>
          </RouterLink>
        </li>
      </ol>
    </main>
  </div>
</template>

<style scoped>
.home {
  min-height: 100%;
  display: grid;
  grid-template-rows: 46px 1fr;
}
main {
  background: var(--sheet);
  border-top: 1px solid var(--ink);
  padding: 26px 40px 60px;
}
.head {
  display: flex;
  align-items: baseline;
  gap: 34px;
  padding-bottom: 14px;
}
h1 {
  font-size: var(--s5);
  font-weight: 700;
  font-stretch: 84%;
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
  border-bottom: 1px solid var(--rule);
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
</style>
