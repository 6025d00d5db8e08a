<script setup lang="ts">
import type { useZoom } from './zoom'

/** Looking closer at a part of a time plot, for those who press. */
defineProps<{ zoom: ReturnType<typeof useZoom>; markable?: boolean }>()
</script>

<template>
  <div class="zoom" role="group" aria-label="Look closer at a part of the time">
    <button type="button" class="act" @click="zoom.closer()">closer</button>
    <template v-if="zoom.window.value">
      <button type="button" class="act" @click="zoom.wider()">wider</button>
      <button type="button" class="act" @click="zoom.all()">the whole</button>
    </template>
    <span v-else-if="markable" class="hint">or mark a stretch on the time axis</span>
  </div>
</template>

<style scoped>
.zoom {
  display: flex;
  align-items: center;
  gap: 14px;
  font-size: var(--s1);
}
.zoom .act {
  min-height: 24px;
  font-size: var(--s1);
  font-weight: 500;
}
.hint {
  color: var(--ink-2);
}
</style>
