<script setup lang="ts">
import Dialog from 'primevue/dialog'
import type { BuildCard } from '../api/client'

/** A plain question before a build goes for good. */
defineProps<{ build: BuildCard }>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ sure: [] }>()

function sure(): void {
  visible.value = false
  emit('sure')
}
</script>

<template>
  <Dialog v-model:visible="visible" modal dismissable-mask :header="`Delete ${build.name} for good?`" :draggable="false" :style="{ width: '460px' }">
    <p>
      It goes with its whole history, {{ build.revision === 1 ? 'one version' : `${build.revision} versions` }}. It cannot be undone here; only a
      backup made before still holds it. To keep it out of the way, put it away instead.
    </p>
    <div class="decide">
      <button type="button" class="act" autofocus @click="visible = false">Keep it</button>
      <button type="button" class="act gone" @click="sure">Delete for good</button>
    </div>
  </Dialog>
</template>

<style scoped>
.gone {
  color: var(--heat-text);
}
</style>
