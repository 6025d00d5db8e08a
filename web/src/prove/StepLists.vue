<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, type CommissionView, type StepView } from '../api/client'
import { useLookedUp } from '../build/lookedUp'
import { useBuild } from '../build/store'
import { useSettings } from '../settings/store'
import Notice from '../ui/Notice.vue'
import { say } from '../verdict/say'
import { byPart, onPaper, print } from './steps'
import StepParts from './StepParts.vue'

/** A list from what was built: fill and bleed, the first drive, joints; on the screen and on paper. */
const props = defineProps<{ list: 'fill' | 'start' | 'joints' }>()
const build = useBuild()
const settings = useSettings()
const TITLES = { fill: 'Fill and bleed', start: 'First start and drive', joints: 'Joints and what pushes them' }
type Answer = { view: CommissionView } | { fault: string }
const { found, looking } = useLookedUp<Answer>(
  () => 0,
  async (document, letter, dropped) => {
    try {
      return [{ view: await api.commission(document, letter, dropped) }]
    } catch (e) {
      if (dropped.aborted) throw e
      return [{ fault: (e as Error).message }]
    }
  },
)
const answer = computed(() => found.value[0])
const view = computed(() => (answer.value && 'view' in answer.value ? answer.value.view : undefined))
const fault = computed(() => (answer.value && 'fault' in answer.value ? answer.value.fault : ''))
const words = (s: StepView) => say(s, build.catalogue!.sentences, settings.units)
const lists = computed(() => {
  const v = view.value
  if (!v) return []
  if (props.list === 'fill') return v.fill.map((l) => ({ name: v.fill.length > 1 ? l.core : '', parts: byPart(l.steps, words) }))
  return [{ name: '', parts: byPart(props.list === 'start' ? v.start : v.joints, words) }].filter((l) => l.parts.length)
})
const NONE = {
  fill: 'No core of this option is cooled by water: there is nothing to fill.',
  start: 'Nothing to look at.',
  joints: 'No pipe of this option is joined to anything.',
}
const failed = ref('')
watch(
  () => props.list,
  () => (failed.value = ''),
)
async function paper(): Promise<void> {
  failed.value = await print(
    {
      title: TITLES[props.list],
      under: `${build.document!.name}, option ${build.letter} ${build.option?.name ?? ''}`,
      sections: lists.value.flatMap((l) => onPaper(l.parts, l.name)),
      signed: true,
    },
    `${build.document!.name} ${TITLES[props.list]}`,
  )
}
</script>

<template>
  <div class="list" role="group" :aria-label="TITLES[list]">
    <Notice v-if="fault" :says="fault" />
    <template v-else-if="view">
      <p v-if="!lists.length" class="none">{{ NONE[list] }}</p>
      <div v-for="l in lists" :key="l.name">
        <h2 v-if="l.name">Loop of {{ l.name }}</h2>
        <StepParts :parts="l.parts" />
      </div>
      <p v-if="lists.length" class="ends"><button type="button" class="act" @click="paper">On paper, to tick and sign</button></p>
      <Notice v-if="failed" :says="failed" />
    </template>
    <p v-else-if="looking" class="none">Looking at what was built</p>
  </div>
</template>

<style scoped>
.list {
  max-width: 860px;
}
h2 {
  padding-top: 16px;
}
.none {
  padding: 18px 0;
  color: var(--ink-2);
}
.ends {
  padding-top: 18px;
}
</style>
