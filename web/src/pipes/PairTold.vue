<script setup lang="ts">
import { computed } from 'vue'
import type { PairView, PieceView } from '../api/client'
import { useBuild } from '../build/store'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import { say } from '../verdict/say'

/** What each of two ways side by side carries, what both have of area and lose, and how alike two banks are filled. */
const props = defineProps<{ piece?: PieceView; told?: PairView }>()
const build = useBuild()
const settings = useSettings()
const says = computed(() => (props.told?.says ?? []).map((f) => ({ kind: f.kind, words: say(f, build.catalogue!.sentences, settings.units) })))
</script>

<template>
  <div class="told">
    <dl class="shares">
      <div v-for="leg in piece?.legs ?? []" :key="leg.name">
        <dt>{{ leg.name }}</dt>
        <dd>{{ leg.share_pct.toFixed(1) }} % · {{ spoken(leg.flow_kg_s, 'kg_s', settings.units) }}</dd>
      </div>
    </dl>
    <p v-for="s in says" :key="s.kind" :class="{ worse: s.kind === 'BANKS_UNEVEN' }">{{ s.words }}</p>
  </div>
</template>

<style scoped>
.told {
  padding-top: 8px;
}
.shares div {
  display: flex;
  justify-content: space-between;
  max-width: 300px;
  padding: 4px 0;
}
dt {
  color: var(--ink-2);
}
dd {
  font-weight: 600;
}
p {
  padding-top: 6px;
  color: var(--ink-2);
}
p.worse {
  color: var(--heat-text);
}
</style>
