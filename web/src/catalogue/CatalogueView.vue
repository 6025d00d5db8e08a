<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core'
import { computed, nextTick, onMounted, ref, shallowRef } from 'vue'
import { api, Offline, Problem, type CatalogueItem } from '../api/client'
import { figure } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import HomeBar from '../shell/HomeBar.vue'
import { ITEM_KINDS, summary } from './figures'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import Notice from '../ui/Notice.vue'
import EitherOr from '../ui/EitherOr.vue'

/** Cores, pipes, bends, joints to choose from: found by words, changed in place, out to CSV and in again. */
const settings = useSettings()
const items = shallowRef<CatalogueItem[]>([])
const kind = ref('all')
const words = ref('')
const failure = ref('')
const said = ref('')
const picker = ref<HTMLInputElement>()
const removed = shallowRef<CatalogueItem>()

onMounted(load)

async function load(): Promise<void> {
  document.title = 'Catalogue - Enthalpa'
  await guarded(async () => {
    items.value = await api.catalogue()
  })
}

async function guarded(act: () => Promise<void>): Promise<boolean> {
  failure.value = ''
  try {
    await act()
    return true
  } catch (e) {
    if (e instanceof Problem && e.status === 409 && e.theirs)
      items.value = items.value.map((i) => (i.id === (e.theirs as unknown as CatalogueItem).id ? (e.theirs as unknown as CatalogueItem) : i))
    failure.value =
      e instanceof Offline
        ? 'The Enthalpa server does not answer. Nothing was changed.'
        : e instanceof Problem
          ? (e.fault?.sentence ?? e.message)
          : (e as Error).message
    return false
  }
}

const shown = computed(() => {
  const wanted = words.value.toLowerCase().split(/\s+/).filter(Boolean)
  return items.value.filter((i) => {
    if (kind.value !== 'all' && i.kind !== kind.value) return false
    const text = `${i.kind} ${i.name} ${i.note} ${summary(i, 'metric')}`.toLowerCase()
    return wanted.every((w) => text.includes(w))
  })
})

/** Rows drawn: each holds three fields, and some hundred of them at once keep a slow machine busy. */
const SOME = 60
const rows = ref(SOME)
const more = ref<HTMLElement>()
useIntersectionObserver(more, ([at]) => at?.isIntersecting && (rows.value += SOME), { rootMargin: '400px' })

/** Who came to the button by keyboard goes on in the first row it brought. */
async function all(): Promise<void> {
  const before = rows.value
  rows.value = shown.value.length
  const list = more.value?.closest('.items')
  await nextTick()
  list?.querySelectorAll<HTMLInputElement>('tbody td:first-child input')[before]?.focus({ preventScroll: true })
}

async function change(item: CatalogueItem, key: 'name' | 'note' | 'price' | 'mass_kg', event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const typed = input.value.trim().replace(key === 'price' || key === 'mass_kg' ? ',' : /$^/, '.')
  const value = key === 'name' || key === 'note' ? typed : Number(typed)
  if (value === item[key]) return
  if (typeof value === 'number' && !Number.isFinite(value)) {
    failure.value = `${item.name}: "${input.value}" is not a number.`
    return
  }
  const ok = await inTurn(item.id, () =>
    guarded(async () => {
      // The newest of the item: what was changed of it meanwhile stays.
      const newest = items.value.find((i) => i.id === item.id) ?? item
      const kept = await api.changeItem({ ...newest, [key]: value })
      items.value = items.value.map((i) => (i.id === item.id ? kept : i))
      said.value = `${kept.name} changed.`
    }),
  )
  if (!ok) {
    input.value = typed
    input.focus()
  }
}

/** Changes of one item go one after the other, each on what the one before it made. */
const turns = new Map<number, Promise<unknown>>()

function inTurn<T>(id: number, act: () => Promise<T>): Promise<T> {
  const mine = (turns.get(id) ?? Promise.resolve()).then(act, act)
  turns.set(id, mine)
  return mine
}

async function copy(item: CatalogueItem): Promise<void> {
  await guarded(async () => {
    const { id, ...rest } = item
    const added = await api.addItem({ ...rest, name: `${rest.name}, copy` }, crypto.randomUUID())
    const at = items.value.findIndex((i) => i.id === id)
    items.value = [...items.value.slice(0, at + 1), added, ...items.value.slice(at + 1)]
    said.value = `${item.name} copied.`
  })
}

async function remove(item: CatalogueItem): Promise<void> {
  await guarded(async () => {
    await api.removeItem(items.value.find((i) => i.id === item.id) ?? item)
    items.value = items.value.filter((i) => i.id !== item.id)
    removed.value = item
    said.value = `${item.name} taken out.`
  })
}

async function putBack(): Promise<void> {
  const item = removed.value
  if (!item) return
  await guarded(async () => {
    items.value = [...items.value, await api.addItem(item, crypto.randomUUID())]
    removed.value = undefined
    said.value = `${item.name} is back, at the end.`
  })
}

async function open(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  await guarded(async () => {
    const { added, there } = await api.readCatalogue(await file.text())
    await load()
    said.value = `${added} ${added === 1 ? 'item' : 'items'} added from ${file.name}${there ? `; ${there} ${there === 1 ? 'was' : 'were'} here already` : ''}.`
  })
}
</script>

<template>
  <div class="sheet">
    <HomeBar away />
    <main>
      <div class="head">
        <h1>Catalogue</h1>
        <p>{{ shown.length }} of {{ items.length }}; invented, neutral items to start from. Change what you know better.</p>
        <span class="ways">
          <a class="act" href="/api/catalogue/file">Save as CSV</a>
          <button type="button" class="act" @click="picker?.click()">Read a CSV</button>
          <input ref="picker" type="file" accept=".csv,text/csv" hidden @change="open" />
        </span>
      </div>
      <div class="find">
        <input v-model="words" type="search" placeholder="find: 63, tight, water" aria-label="Find in the catalogue" />
        <EitherOr
          of="Kinds"
          :choices="[{ value: 'all', label: 'all' }, ...ITEM_KINDS.map((k) => ({ value: k.kind, label: k.words }))]"
          :value="kind"
          @pick="kind = $event"
        />
        <label>currency <input v-model="settings.currency" maxlength="4" size="3" aria-label="Currency" /></label>
      </div>
      <Notice v-if="failure" :says="failure" />
      <p v-else class="said" role="status">{{ said }} <button v-if="removed" type="button" class="act" @click="putBack">Put it back</button></p>
      <DataTable v-if="shown.length" :value="shown" data-key="id" removable-sort paginator :rows="rows" :always-show-paginator="false" class="items">
        <template #paginatorcontainer>
          <button ref="more" type="button" class="act more" @click="all">all {{ shown.length }}</button>
        </template>
        <Column field="name" header="name" sortable>
          <template #body="{ data: i }"><input :value="i.name" :aria-label="`Name of ${i.name}`" @change="change(i, 'name', $event)" /></template>
        </Column>
        <Column header="figures" body-class="what">
          <template #body="{ data: i }">{{ summary(i, settings.units) }}</template>
        </Column>
        <Column field="note" header="note" sortable>
          <template #body="{ data: i }"
            ><input :value="i.note" :title="i.note" :aria-label="`Note on ${i.name}`" @change="change(i, 'note', $event)"
          /></template>
        </Column>
        <Column field="mass_kg" header="mass" sortable class="num">
          <template #body="{ data: i }">
            <input
              v-if="settings.units === 'metric'"
              class="num"
              :value="i.mass_kg"
              :aria-label="`Mass of ${i.name} in kg`"
              @change="change(i, 'mass_kg', $event)"
            /><template v-else>{{ figure(i.mass_kg, 'kg', 'us').figure }}</template>
            {{ settings.units === 'us' ? 'lb' : 'kg' }}
          </template>
        </Column>
        <Column field="price" header="price" sortable class="num">
          <template #body="{ data: i }">
            <input class="num" :value="i.price" :aria-label="`Price of ${i.name}`" @change="change(i, 'price', $event)" /> {{ settings.currency }}
          </template>
        </Column>
        <Column body-class="acts">
          <template #header><span class="hidden-words">do</span></template>
          <template #body="{ data: i }">
            <button type="button" class="act" :aria-label="`Copy ${i.name}`" @click="copy(i)">copy</button>
            <button type="button" class="act" :aria-label="`Take out ${i.name}`" @click="remove(i)">take out</button>
          </template>
        </Column>
      </DataTable>
      <p v-if="items.length && !shown.length" class="none">Nothing matches. Try fewer words.</p>
    </main>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  align-items: baseline;
  gap: 22px;
}
.head p {
  flex: 1;
  color: var(--ink-2);
}
.ways {
  display: flex;
  gap: 20px;
}
.find {
  display: flex;
  align-items: center;
  gap: 26px;
  padding: 14px 0 8px;
  flex-wrap: wrap;
}
.find > input {
  width: 260px;
  padding: 8px 10px;
  background: var(--sheet);
  border: 1px solid var(--rule);
  border-radius: 0;
}
.find .either {
  flex: 1;
}
.on {
  border-bottom: 2px solid var(--blue);
}
label {
  color: var(--ink-2);
}
label input {
  padding: 5px 6px;
  text-align: center;
  font-weight: 600;
  color: var(--ink);
  background: none;
  border: 0;
  border-bottom: 1px solid var(--rule);
}
.said {
  min-height: 20px;
  color: var(--ink-2);
}
.items :deep(th),
.items :deep(td) {
  padding: 2px 6px;
  text-align: left;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--hair);
}
.items :deep(th) {
  padding: 7px 6px;
  color: var(--ink-2);
  border-bottom: 1px solid var(--ink);
}
.items :deep(.p-datatable-column-title) {
  font-weight: 500;
}
.items :deep(.p-datatable-sort-icon) {
  width: 10px;
  height: 10px;
  color: var(--ink-3);
}
.items :deep(.p-datatable-column-sorted) {
  color: var(--ink);
  background: none;
}
.items :deep(td:first-child) {
  width: 24%;
}
.items input {
  width: 100%;
  padding: 6px 0;
  background: none;
  border: 0;
  border-bottom: 1px solid transparent;
}
.items :deep(td:first-child) input {
  font-weight: 600;
}
.items input:hover {
  border-bottom-color: var(--blue);
}
.items :deep(.what) {
  color: var(--ink-2);
  white-space: nowrap;
}
.items :deep(.num) {
  text-align: right;
  white-space: nowrap;
}
.items :deep(.num .p-datatable-column-header-content) {
  justify-content: flex-end;
}
.items :deep(td input.num) {
  width: 58px;
  font-weight: 600;
}
.items :deep(.acts) {
  white-space: nowrap;
  text-align: right;
}
.items .act {
  margin-left: 12px;
  font-weight: 500;
  font-size: var(--s1);
}
.none {
  padding: 20px 0;
  color: var(--ink-2);
}
</style>
