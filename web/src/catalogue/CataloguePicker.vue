<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, type CatalogueItem } from '../api/client'
import { useSettings } from '../settings/store'
import { ITEM_KINDS, summary } from './figures'

/** Chooses one item of a kind. */
const props = defineProps<{ kind: string; only?: (item: CatalogueItem) => boolean }>()
const emit = defineEmits<{ choose: [item: CatalogueItem] }>()
const visible = defineModel<boolean>('visible', { required: true })
const settings = useSettings()
const items = shallowRef<CatalogueItem[]>([])
const words = ref('')
const failure = ref('')
const title = computed(() => `From the catalogue: ${ITEM_KINDS.find((k) => k.kind === props.kind)?.words ?? props.kind}`)
const shown = computed(() => {
  const wanted = words.value.toLowerCase().split(/\s+/).filter(Boolean)
  return items.value.filter(
    (i) => (props.only?.(i) ?? true) && wanted.every((w) => `${i.name} ${i.note} ${summary(i, 'metric')}`.toLowerCase().includes(w)),
  )
})

watch(visible, async (open) => {
  if (!open) return
  failure.value = ''
  items.value = await api.catalogue(props.kind).catch((e: Error) => {
    failure.value = e.message
    return []
  })
})

function take(item: CatalogueItem): void {
  visible.value = false
  emit('choose', item)
}
</script>

<template>
  <Dialog v-model:visible="visible" modal dismissable-mask :header="title" class="picker" :draggable="false">
    <input v-model="words" type="search" placeholder="find" aria-label="Find" class="find" />
    <p v-if="failure" class="worse">{{ failure }}</p>
    <ul>
      <li v-for="i in shown" :key="i.id">
        <button type="button" :aria-label="`Take ${i.name}`" @click="take(i)">
          <b>{{ i.name }}</b>
          <span>{{ summary(i, settings.units) }}{{ i.note ? ` · ${i.note}` : '' }}</span>
          <span class="num">{{ i.mass_kg }} kg</span>
          <span class="num">{{ i.price }} {{ settings.currency }}</span>
        </button>
      </li>
    </ul>
    <p v-if="!shown.length && !failure">Nothing matches.</p>
  </Dialog>
</template>

<style>
.picker {
  width: min(900px, 92vw);
}
</style>
<style scoped>
.find {
  width: 260px;
  padding: 8px 10px;
  margin-bottom: 8px;
  background: var(--sheet);
  border: 1px solid var(--rule);
  border-radius: 0;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
button {
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1.5fr) 70px 80px;
  gap: 16px;
  width: 100%;
  padding: 8px 4px;
  border-bottom: 1px solid var(--hair);
}
button:hover {
  background: var(--bench);
}
button span {
  color: var(--ink-2);
}
.num {
  text-align: right;
}
</style>
