<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { surfaces } from '../router'

const visible = defineModel<boolean>('visible', { required: true })
const keys = [
  ...surfaces.map((s, i) => [String(i + 1), s.name]),
  ['Shift+A, Shift+B', 'show option A, B'],
  ['Ctrl+Z', 'undo, also from earlier days'],
  ['Ctrl+Shift+Z', 'redo'],
  ['u', 'metric or US units'],
  ['d', 'light or dark'],
  ['Tab, then ← →', 'along the charge line; Enter opens the piece'],
  ['← → on the trace', 'move the time cursor; Shift for larger steps'],
  ['arrows in Space', 'shift what is picked by a millimetre, ten with Shift; turn the turned view'],
  ['Enter in a number', 'take it; Esc leaves it as it was'],
  ['?', 'this list'],
]
</script>

<template>
  <Dialog v-model:visible="visible" modal header="By keyboard" :style="{ width: '460px' }" dismissable-mask>
    <dl>
      <template v-for="[key, what] in keys" :key="key">
        <dt>{{ key }}</dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
  </Dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 150px 1fr;
  margin: 0;
}
dt,
dd {
  margin: 0;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
dt {
  font-weight: 600;
}
</style>
