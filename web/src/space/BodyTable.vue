<script setup lang="ts">
import { Menu } from '../ui/overlays'
import { computed, ref } from 'vue'
import type { FitView } from '../api/client'
import { useBuild } from '../build/store'
import { newIdentity } from '../document/edit'
import type { Stand } from '../document/types'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import ClockingDial from './ClockingDial.vue'
import type { Point } from './elevation'
import LargestCores from './LargestCores.vue'
import MountTable from './MountTable.vue'
import PutAgainst from './PutAgainst.vue'
import WaysOut from './WaysOut.vue'

/** Where the bodies of the option stand: typed, turned, hung on what moves, taken out. */
const props = defineProps<{ fit?: FitView; picked?: Stand }>()
const emit = defineEmits<{ pick: [row: string | undefined]; see: [place: string] }>()
const pointing = defineModel<boolean>('pointing', { required: true })
const pointed = defineModel<Point | undefined>('pointed')
const build = useBuild()
const menu = ref<InstanceType<typeof Menu>>()

const stands = computed(() => build.option?.stands ?? [])
const moving = computed(() => build.document!.room!.carriers)
const carriers = computed(() => ['body', ...(moving.value ?? []).map((c) => c.name)])
const row = (s: Stand) => `${build.optionAt}/stands/#${s.id}`
/** As the answer calls it; by its piece until that is there. */
const nameOf = (s: Stand) => props.fit?.bodies.find((b) => b.place === `/stands/${stands.value.indexOf(s)}`)?.name ?? s.of
const usual = (i: number) => props.fit?.bodies.find((b) => b.place === `/stands/${i}`)?.usual
const body = computed(() => props.fit?.bodies.find((b) => b.place === `/stands/${stands.value.findIndex((s) => s === props.picked)}`))
const place = computed(() => body.value?.place)
/** The size of a core and a radiator is told where they are described. */
const sized = (s: Stand) => s.what !== 'core' && s.what !== 'radiator'

const items = computed(() =>
  (props.fit?.unplaced ?? []).map((u) => ({ label: u.name, command: () => put(u.of, u.what.toLowerCase() as Stand['what'], u.name) })),
)

function put(of: string, what: Stand['what'], name: string): void {
  const fresh = { of, what, back_mm: 0, right_mm: 0, up_mm: 0, id: newIdentity() }
  emit('pick', row(fresh))
  void build.act([{ list: `${build.optionAt}/stands`, put: fresh }], `${name} given a place`)
}
function drop(s: Stand): void {
  if (s === props.picked) emit('pick', undefined)
  void build.act([{ row: row(s), out: true }], `${nameOf(s)} taken out of the room`)
}
function carry(carrier: string, pointer: string): void {
  const stand = stands.value.find((s) => pointer === `${row(s)}/carrier`)!
  void build.act([{ pointer, value: carrier === 'body' ? undefined : carrier }], `${nameOf(stand)} hangs on the ${carrier}`)
}
function ownSize(s: Stand, yes: boolean): void {
  void build.act([{ pointer: `${row(s)}/size`, value: yes ? { deep_mm: 100, wide_mm: 100, high_mm: 100 } : undefined }], `size of ${nameOf(s)}`)
}
</script>

<template>
  <section>
    <h2>
      Bodies of this option
      <button v-if="items.length" type="button" class="act add" aria-haspopup="menu" @click="menu?.toggle($event)">give one a place</button>
    </h2>
    <table v-if="stands.length" class="figures places">
      <thead>
        <tr>
          <th scope="col">body</th>
          <th scope="col">back</th>
          <th scope="col">right</th>
          <th scope="col">up</th>
          <th scope="col">turned</th>
          <th scope="col">tipped</th>
          <th scope="col">leaned</th>
          <th scope="col" class="left">hangs on</th>
          <th><span class="hidden-words">take out</span></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(s, i) in stands"
          :key="s.id ?? i"
          v-memo="[s, i, s === picked, nameOf(s), usual(i), carriers, build.optionAt]"
          :class="{ picked: s === picked }"
        >
          <th scope="row">
            <button type="button" class="act" :aria-pressed="s === picked" @click="emit('pick', row(s))">{{ nameOf(s) }}</button>
            <small v-if="usual(i)">, usual size</small>
          </th>
          <td v-for="key in ['back_mm', 'right_mm', 'up_mm']" :key="key">
            <NumberField part="room/place" :name="key" :pointer="`${row(s)}/${key}`" :of="nameOf(s)" bare />
          </td>
          <td v-for="key in ['turned_deg', 'tipped_deg', 'leaned_deg']" :key="key">
            <NumberField part="room/place" :name="key" :pointer="`${row(s)}/${key}`" :of="nameOf(s)" bare optional empty="0" />
          </td>
          <td>
            <ChoiceField
              label="hangs on"
              :of="nameOf(s)"
              :choices="carriers"
              :shown="s.carrier ?? 'body'"
              :pointer="`${row(s)}/carrier`"
              bare
              :pick="carry"
            />
          </td>
          <td class="moves">
            <button type="button" class="act" :aria-label="`Take ${nameOf(s)} out of the room`" @click="drop(s)">out</button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-else class="fine">None has a place yet: what has none is not counted.</p>
    <div v-if="picked && sized(picked)" class="card">
      <template v-if="picked.size">
        <NumberField
          v-for="key in ['deep_mm', 'wide_mm', 'high_mm']"
          :key="key"
          part="stand/size"
          :name="key"
          :pointer="`${row(picked)}/size/${key}`"
          :of="nameOf(picked)"
        />
        <button type="button" class="act" @click="ownSize(picked, false)">back to the usual size</button>
      </template>
      <button v-else type="button" class="act" @click="ownSize(picked, true)">give its size</button>
    </div>
    <div v-if="fit && picked && place" class="study">
      <PutAgainst :fit="fit" :place="place" :name="nameOf(picked)" :row="row(picked)" />
      <ClockingDial v-if="body?.scroll" :key="`clock ${picked.id}`" :stand="picked" :place="place" :name="nameOf(picked)" :row="row(picked)" />
      <MountTable :key="picked.id" :fit="fit" :stand="picked" :place="place" :name="nameOf(picked)" :row="row(picked)" :carriers="carriers" />
      <WaysOut :place="place" @pick="emit('see', $event)" />
      <LargestCores v-if="picked.what === 'core'" v-model:pointing="pointing" v-model:pointed="pointed" :place="place" :name="nameOf(picked)" />
    </div>
    <Menu ref="menu" :model="items" popup />
  </section>
</template>

<style scoped>
.left {
  text-align: left;
}
.add {
  float: right;
  font-size: var(--s1);
  font-weight: 500;
}
.picked th .act {
  font-weight: 700;
  border-bottom: 2px solid var(--blue);
}
td,
th {
  padding-block: 2px;
}
.places :deep(input) {
  text-align: right;
}
th .act {
  min-height: 24px;
}
.card > .act {
  min-height: 24px;
  justify-self: start;
}
.study {
  display: grid;
  gap: 14px;
  padding: 12px 0 0 14px;
  margin-top: 8px;
  border-left: 2px solid var(--blue);
}
.card {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(228px, 1fr));
  column-gap: 30px;
  padding-top: 8px;
}
.fine {
  padding-top: 6px;
  font-size: var(--s1);
  color: var(--ink-2);
}
small {
  font-weight: 400;
  color: var(--ink-2);
}
</style>
