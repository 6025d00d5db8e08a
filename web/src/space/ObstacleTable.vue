<script setup lang="ts">
import { computed } from 'vue'
import { useBuild } from '../build/store'
import { at } from '../document/edit'
import { natureWords, type Obstacle } from '../document/types'
import { spoken } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'

/** What must be missed, each in its row; only a row that changed is made anew. */
defineProps<{ obstacles: readonly Obstacle[]; picked?: Obstacle }>()
const emit = defineEmits<{ pick: [place: string]; copy: [obstacle: Obstacle]; takeOut: [obstacle: Obstacle] }>()
const build = useBuild()
const settings = useSettings()
const moving = computed(() => build.document?.room?.carriers)
const carriers = computed(() => ['body', ...(moving.value ?? []).map((c) => c.name)])
const row = (o: Obstacle) => `/room/obstacles/#${o.id}`

function carry(carrier: string, pointer: string): void {
  const { name } = at(build.document, pointer.replace(/\/carrier$/, '')) as Obstacle
  void build.act([{ pointer, value: carrier === 'body' ? undefined : carrier }], `${name} hangs on the ${carrier}`)
}

const where = (o: Obstacle) => {
  const mm = (v: number) => spoken(v, 'mm', settings.units).replace(/ .*/, '')
  switch (o.kind) {
    case 'box':
      return `back ${mm(o.front_mm)} to ${mm(o.rear_mm)}, right ${mm(o.left_mm)} to ${mm(o.right_mm)}, up ${mm(o.bottom_mm)} to ${mm(o.top_mm)}`
    case 'tube':
      return `${o.points.length} points`
    case 'prism':
      return `${o.outline.length} corners seen from ${o.seen === 'above' ? 'above' : `the ${o.seen}`}`
    default:
      return `back ${mm(o.back_mm)}, right ${mm(o.right_mm)}, up ${mm(o.up_mm)}`
  }
}
</script>

<template>
  <table class="figures obstacles">
    <thead>
      <tr>
        <th scope="col">obstacle</th>
        <th scope="col" class="left">what it is</th>
        <th scope="col">gap asked</th>
        <th scope="col" class="left">hangs on</th>
        <th scope="col" class="left">where</th>
        <th><span class="hidden-words">copy or take out</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(o, i) in obstacles" :key="o.id ?? i" v-memo="[o, i, o === picked, carriers, settings.units]" :class="{ picked: o === picked }">
        <th scope="row">
          <button type="button" class="act" :aria-pressed="o === picked" @click="emit('pick', `/room/obstacles/${i}`)">{{ o.name }}</button>
        </th>
        <td>
          <ChoiceField label="what it is" :of="o.name" :choices="natureWords" :pointer="`${row(o)}/nature`" bare />
        </td>
        <td>
          <NumberField part="room/obstacle" name="gap_mm" :pointer="`${row(o)}/gap_mm`" :of="o.name" bare optional empty="usual" />
        </td>
        <td>
          <ChoiceField
            v-if="o.kind !== 'plane'"
            label="hangs on"
            :of="o.name"
            :choices="carriers"
            :shown="o.carrier ?? 'body'"
            :pointer="`${row(o)}/carrier`"
            bare
            :pick="carry"
          />
          <template v-else>body</template>
        </td>
        <td class="left where">{{ where(o) }}</td>
        <td class="moves">
          <button type="button" class="act" :aria-label="`Copy ${o.name}`" @click="emit('copy', o)">copy</button>
          <button type="button" class="act" :aria-label="`Take ${o.name} out of the room`" @click="emit('takeOut', o)">out</button>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
td,
th {
  padding-block: 2px;
}
.picked th .act {
  font-weight: 700;
  border-bottom: 2px solid var(--blue);
}
td:nth-child(3) :deep(input) {
  text-align: right;
}
.left {
  text-align: left;
}
.where {
  color: var(--ink-2);
  white-space: normal;
}
td:nth-child(3) {
  width: 84px;
  min-width: 72px;
}
th .act {
  min-height: 24px;
}
</style>
