<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core'
import { computed, onMounted, onUnmounted, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { Offline, type SteadyView } from '../api/client'
import { useBuild } from '../build/store'
import ChargeLine from '../chargeline/ChargeLine.vue'
import { allPieces } from '../document/pieces'
import { atStations } from '../prove/channels'
import { useLogs } from '../prove/logs'
import type { BuildOption } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { surfaces } from '../router'
import { useSettings } from '../settings/store'
import VerdictColumn from '../verdict/VerdictColumn.vue'
import ConflictDialog from './ConflictDialog.vue'
import GhostChoice from './GhostChoice.vue'
import ReasonsDialog from '../reasons/ReasonsDialog.vue'
import RuleNav from './RuleNav.vue'
import StatusStrip from './StatusStrip.vue'
import ShortcutsDialog from './ShortcutsDialog.vue'
import TopBar from './TopBar.vue'

const route = useRoute()
const router = useRouter()
const build = useBuild()
const settings = useSettings()
const broken = ref('')
const shortcuts = ref(false)
const chosen = ref<number>()
const logs = useLogs()
/** Where a log is looked at, what it measured stands under the stations. */
const measured = computed(() => (route.name === 'prove' && last.value && logs.log ? atStations(logs.beside, last.value.option) : undefined))

const shown = computed(() => build.answer?.steady)
const point = computed<[string, string]>(() => {
  const load = build.document!.fullLoad
  return ['held at full load', `${load.engineSpeed_rpm.toFixed(0)} rpm, ${spoken(load.roadSpeed_km_h, 'km_h', settings.units)}`]
})
/** The last answer stays in sight with the pieces it belongs to, marked as old, while the present one cannot be had. */
const last = shallowRef<{ steady: SteadyView; option: BuildOption }>()
watch(
  shown,
  (steady) => {
    const option = build.answered?.options.find((o) => o.letter === build.letter)
    if (steady && option) last.value = { steady, option }
  },
  { immediate: true },
)

async function load(): Promise<void> {
  broken.value = ''
  last.value = undefined
  try {
    await build.open(Number(route.params.id), text(route.query.option), text(route.query.vs))
    if (!build.document) return
    document.title = `${build.document!.name} - Enthalpa`
  } catch (e) {
    broken.value =
      e instanceof Offline ? 'The Enthalpa server does not answer. Start it again (./enthalpa demo or serve), then reload.' : (e as Error).message
  }
}

onMounted(load)
watch(
  () => route.params.id,
  (id) => {
    if (id && !(id === String(build.keeper?.told.id))) void load()
  },
)
onUnmounted(() => build.leave())
watch(
  () => [build.letter, build.against],
  ([option, vs]) => {
    if (build.document) void router.replace({ query: { ...route.query, option, vs } })
  },
)

function text(value: unknown): string | undefined {
  return typeof value === 'string' ? value : undefined
}

function pick(piece: number): void {
  chosen.value = piece
  const kind = build.option?.path[piece]?.kind
  const surface = kind === 'core' ? 'core' : kind === 'filter' || kind === 'blower' || kind === 'plenum' ? 'brief' : 'pipes'
  const at = allPieces(build.option!).find((p) => p.place === `/path/${piece}`)?.at
  void router.push({ name: surface, params: route.params, query: { ...route.query, piece: at } })
}

function typing(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement
  return ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) || target.isContentEditable
}

onKeyStroke((event) => {
  const command = event.ctrlKey || event.metaKey
  if (command && event.key.toLowerCase() === 'z' && !typing(event)) {
    event.preventDefault()
    void build.travel(event.shiftKey ? 'redo' : 'undo')
  } else if (command && event.key.toLowerCase() === 'y' && !typing(event)) {
    event.preventDefault()
    void build.travel('redo')
  } else if (!command && !event.altKey && !typing(event)) {
    const surface = surfaces[Number(event.key) - 1]
    if (surface) void router.push({ name: surface.key, params: route.params, query: route.query })
    else if (event.key === '?') shortcuts.value = true
    else if (event.key === 'u') settings.switchUnits()
    else if (event.key === 'd') settings.switchTheme()
    else if (/^[A-Z]$/.test(event.key) && build.document?.options.some((o) => o.letter === event.key)) build.choose(event.key)
  }
})
</script>

<template>
  <div v-if="broken" class="broken">
    <h1>Cannot open this build.</h1>
    <p>{{ broken }}</p>
    <p><RouterLink to="/">Back to all builds</RouterLink></p>
  </div>
  <div v-else-if="build.document && build.option && build.catalogue" class="build" :data-settled="build.settled">
    <TopBar @shortcuts="shortcuts = true" />
    <div class="spine">
      <ChargeLine
        v-if="last"
        :steady="last.steady"
        :option="last.option"
        :fit="build.answer?.fit"
        :ghost="build.ghost?.answer.steady"
        :ghost-label="build.ghost?.label"
        :chosen="chosen"
        :measured="measured"
        :point="point"
        :class="{ old: !shown }"
        @pick="pick"
      />
      <div v-else class="waiting">Solving the charge line</div>
      <p v-if="last && !shown" class="old-mark">last good answer</p>
    </div>
    <RuleNav><GhostChoice /></RuleNav>
    <main class="work">
      <RouterView :key="build.keeper?.uid" />
      <VerdictColumn />
    </main>
    <StatusStrip />
    <ConflictDialog v-if="build.conflict" />
    <ReasonsDialog />
    <ShortcutsDialog v-model:visible="shortcuts" />
  </div>
</template>

<style scoped>
.build {
  position: relative;
  display: grid;
  grid-template: 46px auto 38px minmax(0, 1fr) / minmax(0, 1fr);
  height: 100%;
  overflow: clip;
}
.spine {
  position: relative;
  background: var(--sheet);
  min-height: 212px;
}
.old {
  opacity: 0.45;
}
.old-mark {
  position: absolute;
  left: 204px;
  top: 12px;
  font-weight: 600;
  color: var(--heat-text);
}
.waiting {
  padding: 90px 62px;
  color: var(--ink-2);
}
.work {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 364px;
  min-height: 0;
}
.broken {
  padding: 80px;
  display: grid;
  gap: 12px;
}
@media (max-width: 1100px) {
  .work {
    grid-template-columns: minmax(0, 1fr) 320px;
  }
}
/* The line is thinner there. */
@media (max-height: 790px) {
  .spine {
    min-height: 166px;
  }
}
</style>
