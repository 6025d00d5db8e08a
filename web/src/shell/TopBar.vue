<script setup lang="ts">
import { Menu } from '../ui/overlays'
import type { MenuItem } from 'primevue/menuitem'
import { computed, ref } from 'vue'
import { useBuild } from '../build/store'
import { useSettings } from '../settings/store'
import HistoryDialog from './HistoryDialog.vue'
import Wordmark from './Wordmark.vue'

const emit = defineEmits<{ shortcuts: [] }>()
const build = useBuild()
const settings = useSettings()
const menu = ref<InstanceType<typeof Menu>>()
const kept = computed(() => build.keeper?.told.id)
const history = ref(false)

const items = computed<MenuItem[]>(() => [
  { label: `Copy option ${build.letter}`, command: (): void => void build.addOption(`copy of ${build.letter}`, [], `option ${build.letter} copied`) },
  {
    label: `Take out option ${build.letter}`,
    disabled: (build.document?.options.length ?? 0) < 2,
    command: (): void => void build.removeOption(build.letter),
  },
  { label: 'Save the build as a file', disabled: kept.value === undefined, url: `/api/builds/${kept.value}/file` },
])
</script>

<template>
  <header class="bar">
    <RouterLink to="/" class="home" aria-label="All builds"><Wordmark /></RouterLink>
    <div class="name">
      <strong>{{ build.document!.name }}</strong>
      <span class="summary">{{ build.document!.summary }}</span>
    </div>
    <nav class="options" aria-label="Options">
      <button
        v-for="o in build.document!.options"
        :key="o.letter"
        type="button"
        :class="{ on: o.letter === build.letter, compared: o.letter === build.against && build.ghostMode === 'option' }"
        :aria-pressed="o.letter === build.letter"
        :title="o.name"
        @click="build.choose(o.letter)"
      >
        <b>{{ o.letter }}</b><span>{{ o.name }}</span>
      </button>
      <button type="button" class="more act" aria-label="Options and file" aria-haspopup="true" @click="menu?.toggle($event)">+</button>
      <Menu ref="menu" :model="items" popup />
    </nav>
    <div class="tools">
      <button type="button" :aria-label="`Units: ${settings.unitsLine}. Switch`" @click="settings.switchUnits()">{{ settings.unitsLine }}</button>
      <button
        type="button"
        aria-label="Undo"
        :disabled="!build.canUndo"
        :title="build.canUndo ? `Undo: ${build.canUndo}` : 'Nothing to undo'"
        @click="build.travel('undo')"
      >
        Undo
      </button>
      <button
        type="button"
        aria-label="Redo"
        :disabled="!build.canRedo"
        :title="build.canRedo ? `Redo: ${build.canRedo}` : 'Nothing to redo'"
        @click="build.travel('redo')"
      >
        Redo
      </button>
      <button type="button" :disabled="kept === undefined" @click="history = true">History</button>
      <button type="button" :aria-label="settings.theme === 'light' ? 'Dark theme' : 'Light theme'" @click="settings.switchTheme()">
        {{ settings.theme === 'light' ? 'Dark' : 'Light' }}
      </button>
      <button type="button" aria-label="Keyboard shortcuts" @click="emit('shortcuts')">?</button>
    </div>
    <HistoryDialog v-model:visible="history" />
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: stretch;
  gap: 22px;
  padding-left: 20px;
  background: var(--bench);
}
.home {
  display: flex;
  align-items: center;
  color: inherit;
}
.name {
  flex: 1 1 0;
  display: flex;
  align-items: baseline;
  gap: 9px;
  min-width: 0;
  align-self: center;
}
.name strong {
  font-size: var(--s3);
  font-weight: 700;
  font-stretch: 92%;
  white-space: nowrap;
}
.summary {
  color: var(--ink-2);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.options {
  display: flex;
  min-width: 0;
}
.options button {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 0 14px;
  border-top: 3px solid transparent;
  color: var(--ink-2);
  min-width: 0;
}
.options span {
  max-width: 190px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.options b {
  font-stretch: 110%;
  color: var(--ink);
}
.options .on {
  background: var(--sheet);
  border-top-color: var(--blue);
  color: var(--ink);
}
.options .compared b {
  border-bottom: 2px dashed var(--ink-2);
}
.options .more {
  padding: 0 12px;
  font-size: var(--s4);
  color: var(--blue);
}
.tools {
  display: flex;
  align-items: stretch;
  padding-right: 12px;
  color: var(--ink-2);
}
.tools button {
  min-width: 28px;
  padding: 0 8px;
  text-align: center;
  white-space: nowrap;
}
.tools button:hover:not(:disabled) {
  color: var(--blue);
}
.tools button:disabled {
  color: var(--rule);
  cursor: default;
}
@media (max-width: 1180px) {
  .summary {
    display: none;
  }
  .bar {
    gap: 14px;
  }
  .name {
    flex: 0 1 auto;
  }
  .options {
    flex: 1 1 0;
    justify-content: flex-end;
  }
  .options button:not(.on, .more) span {
    display: none;
  }
  .tools button {
    padding: 0 6px;
  }
}
</style>
