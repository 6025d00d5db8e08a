<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { useBuild } from '../build/store'

/** One line at the foot: why something was not done, what holds the saving up, what was done, or which version is being looked at. */
const build = useBuild()
const router = useRouter()
const away = 'The server does not answer. Your edits are kept in this browser and will be saved when it is back.'
const words = computed(() => build.failure || build.hold?.words || (build.offline ? away : build.notice))
const bad = computed(() => Boolean(build.failure || build.hold || build.offline))

async function asNew(): Promise<void> {
  const id = await build.keeper!.asNew()
  await router.replace({ name: 'endurance', params: { id } })
}
</script>

<template>
  <div v-if="build.looking" class="strip" role="status">
    Version {{ build.looking.revision }}, after "{{ build.looking.change }}". To look at only.
    <button type="button" class="act" @click="build.bringBack()">Bring it back</button>
    <button type="button" class="act" @click="build.look()">Back to the newest</button>
    <span v-if="build.failure" class="more">{{ build.failure }}</span>
  </div>
  <div v-else-if="words" class="strip" :class="{ bad }" role="status">
    {{ words }}
    <button v-if="build.hold?.kind === 'gone'" type="button" class="act" @click="asNew">Save as a new build</button>
  </div>
</template>

<style scoped>
.strip {
  position: fixed;
  left: 0;
  bottom: 0;
  max-width: calc(100% - 364px);
  padding: 9px 22px;
  background: var(--ink);
  color: var(--sheet);
  font-weight: 500;
  z-index: 5;
}
.strip.bad {
  background: #8f3413;
  color: #fff;
}
.act {
  margin-left: 18px;
  color: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.more {
  display: block;
  padding-top: 4px;
}
@media (max-width: 1100px) {
  .strip {
    max-width: calc(100% - 320px);
  }
}
</style>
