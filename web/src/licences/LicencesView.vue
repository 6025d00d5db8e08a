<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import HomeBar from '../shell/HomeBar.vue'
import { licences, type Part } from './licences'
import Notice from '../ui/Notice.vue'

/** What ships with Enthalpa and is not its own, each with its licence in full. */
const groups = shallowRef<{ title: string; parts: Part[] }[]>([])
const failure = ref('')

onMounted(async () => {
  document.title = 'Licences - Enthalpa'
  try {
    groups.value = await licences()
  } catch (e) {
    failure.value = (e as Error).message
  }
})
</script>

<template>
  <div class="sheet">
    <HomeBar away />
    <main>
      <div class="head">
        <h1>Licences</h1>
        <p>What ships with Enthalpa and is not its own. Open a line to read its licence.</p>
      </div>
      <Notice v-if="failure" :says="failure" />
      <section v-for="g in groups" :key="g.title">
        <h2>{{ g.title }}</h2>
        <details v-for="p in g.parts" :key="p.name">
          <summary>
            <b>{{ p.name }}</b> <span class="version">{{ p.version }}</span> <span class="licence">{{ p.licence }}</span>
          </summary>
          <pre v-for="(text, i) in p.texts" :key="i">{{ text }}</pre>
        </details>
      </section>
    </main>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  align-items: baseline;
  gap: 22px;
}
.head p {
  flex: 1;
  color: var(--ink-2);
}
section {
  max-width: 760px;
}
h2 {
  padding: 22px 0 6px;
}
summary {
  display: grid;
  grid-template-columns: 260px 90px 120px;
  gap: 18px;
  padding: 7px 0;
  border-bottom: 1px solid var(--hair);
  cursor: pointer;
  list-style: none;
}
summary:hover b {
  color: var(--blue);
}
details[open] summary b {
  color: var(--blue);
}
.version {
  color: var(--ink-2);
}
pre {
  margin: 0;
  padding: 14px 0 14px 22px;
  white-space: pre-wrap;
  max-width: 760px;
  font-family: inherit;
  font-size: var(--s1);
  color: var(--ink-2);
}
.failure {
  padding: 12px 0;
  color: var(--heat-text);
}
</style>
