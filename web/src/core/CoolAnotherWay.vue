<script setup lang="ts">
import { Menu } from '../ui/overlays'
import { computed, ref } from 'vue'
import { api } from '../api/client'
import { useRemaking } from '../build/remaking'
import { useBuild } from '../build/store'
import { coolingMethodWords, type CoolingMethod } from '../document/types'
import Notice from '../ui/Notice.vue'

/** The option cooled another way: sized by default over the duty, one step that can be undone. */
const props = defineProps<{ only?: CoolingMethod[] }>()
const build = useBuild()
const menu = ref<InstanceType<typeof Menu>>()
const { busy, failed, remake } = useRemaking()
const methods = computed(() => coolingMethodWords.filter((m) => !props.only || props.only.includes(m)))
const items = computed(() => methods.value.map((m) => ({ label: m, command: () => cool(m) })))

function cool(method: CoolingMethod): void {
  void remake((document, letter) => api.cooled(document, letter, method), `option ${build.letter} cooled by ${method}`)
}
</script>

<template>
  <span class="ways">
    <template v-if="only">
      <button v-for="m in methods" :key="m" type="button" class="act" :disabled="busy" @click="cool(m)">{{ m }}</button>
    </template>
    <template v-else>
      <button type="button" class="act" aria-haspopup="menu" :disabled="busy" @click="menu?.toggle($event)">cool it another way</button>
      <Menu ref="menu" :model="items" popup />
    </template>
    <span v-if="busy" class="quiet" role="status">being sized over the duty</span>
    <Notice v-if="failed" :says="failed" />
  </span>
</template>

<style scoped>
.ways {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 0 18px;
}
.act {
  min-height: 24px;
}
.quiet {
  color: var(--ink-2);
}
</style>
