<script setup lang="ts">
import { computed } from 'vue'
import { useBuild } from '../build/store'
import KnowButton from '../reasons/KnowButton.vue'
import NumberField from '../ui/NumberField.vue'

/** The air of the engine bay, by two readings of a thermometer; without them no pipe wall is counted. */
const build = useBuild()
const bay = computed(() => build.document!.bay)

function toggle(): void {
  const usual = (key: string) => build.catalogue!.field('bay', key).usual
  const value = bay.value ? undefined : { standing_K: usual('standing_K'), rolling_K: usual('rolling_K'), settles_s: usual('settles_s') }
  void build.act([{ pointer: '/bay', value }], bay.value ? 'engine bay left out' : 'engine bay counted')
}
</script>

<template>
  <section>
    <h2>Engine bay <KnowButton subject="/bay" of="engine bay" /></h2>
    <template v-if="bay">
      <NumberField part="bay" name="standing_K" pointer="/bay/standing_K" />
      <NumberField part="bay" name="rolling_K" pointer="/bay/rolling_K" />
      <NumberField part="bay" name="settles_s" pointer="/bay/settles_s" />
      <p class="said">Pipes, plenum and loop stand in it. <button type="button" class="act" @click="toggle">leave it out</button></p>
    </template>
    <p v-else class="said">
      Not counted: pipes and plenum give no heat and take none. <button type="button" class="act" @click="toggle">count it</button>
    </p>
  </section>
</template>

<style scoped>
h2 {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.said {
  padding: 7px 0 6px;
  color: var(--ink-2);
}
</style>
