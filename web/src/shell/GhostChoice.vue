<script setup lang="ts">
import { computed } from 'vue'
import { useBuild } from '../build/store'

/** Says what the dashed line is, and lets it be another: an option, or this one before the last change. */
const build = useBuild()
const others = computed(() => build.document!.options.filter((o) => o.letter !== build.letter))

function option(letter: string): void {
  build.against = letter
  build.ghostMode = 'option'
}
</script>

<template>
  <div v-if="others.length || build.before" class="ghost-choice" role="group" aria-label="Compare with">
    <span class="dash" aria-hidden="true"></span>
    <span>against</span>
    <button
      v-if="build.before?.answers[build.letter]?.steady"
      type="button"
      :aria-pressed="build.ghostMode === 'before'"
      :class="{ on: build.ghostMode === 'before' }"
      :title="build.before.change"
      @click="build.ghostMode = 'before'"
    >
      before: {{ build.before.change }}
    </button>
    <button
      v-for="o in others"
      :key="o.letter"
      type="button"
      :aria-pressed="build.ghostMode === 'option' && build.against === o.letter"
      :class="{ on: build.ghostMode === 'option' && build.against === o.letter }"
      :title="o.name"
      @click="option(o.letter)"
    >
      {{ o.letter }}
    </button>
  </div>
</template>

<style scoped>
.ghost-choice {
  position: absolute;
  right: 22px;
  top: 7px;
  display: flex;
  align-items: center;
  gap: 4px;
  color: var(--ink-2);
}
.dash {
  width: 22px;
  border-top: 1.4px dashed var(--ink-2);
}
button {
  padding: 4px 7px;
  color: var(--blue);
  max-width: 340px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
button.on {
  color: var(--ink);
  font-weight: 600;
  box-shadow: inset 0 -1.5px 0 var(--ink);
}
</style>
