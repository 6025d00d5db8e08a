<script setup lang="ts">
import { useBuild } from '../build/store'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import TextField from '../ui/TextField.vue'
import { hanging, usualEngine } from './room'

/** What moves against the body, and how far: the engine on its mounts, anything else that swings. */
const build = useBuild()

function put(): void {
  void build.act([{ list: '/room/carriers', put: usualEngine((key) => build.catalogue!.field('room/carrier', key).usual) }], 'an engine that moves')
}
/** What hangs on a carrier that goes hangs on the body. */
function drop(id: string, name: string): void {
  void build.act([...hanging(build.document!, name, undefined), { row: `/room/carriers/#${id}`, out: true }], `${name} no longer moves`)
}
</script>

<template>
  <section>
    <h2>
      What moves
      <button v-if="!build.document!.room!.carriers?.length" type="button" class="act add" @click="put">an engine on its mounts</button>
    </h2>
    <div v-for="c in build.document!.room!.carriers ?? []" :key="c.id" class="card">
      <TextField
        label="name"
        :pointer="`/room/carriers/#${c.id}/name`"
        :of="c.name"
        required
        :also="(name) => hanging(build.document!, c.name, name)"
      />
      <ChoiceField label="its crankshaft lies" :of="c.name" :choices="['along', 'across']" :pointer="`/room/carriers/#${c.id}/axis`" />
      <NumberField
        v-for="key in ['back_mm', 'right_mm', 'up_mm']"
        :key="key"
        part="room/place"
        :name="key"
        :pointer="`/room/carriers/#${c.id}/${key}`"
        :label="`axis, ${key.replace('_mm', '')}`"
        :of="c.name"
      />
      <NumberField part="room/carrier" name="roll_deg" :pointer="`/room/carriers/#${c.id}/roll_deg`" :of="c.name" />
      <NumberField
        v-for="key in ['foreAft_mm', 'sideways_mm', 'lift_mm']"
        :key="key"
        part="room/carrier"
        :name="key"
        :pointer="`/room/carriers/#${c.id}/${key}`"
        :of="c.name"
        optional
        empty="0"
      />
      <button type="button" class="act" @click="drop(c.id!, c.name)">take {{ c.name }} out</button>
    </div>
  </section>
</template>

<style scoped>
.add {
  float: right;
  font-size: var(--s1);
  font-weight: 500;
}
.card > .act {
  min-height: 24px;
  justify-self: start;
}
.card {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(228px, 1fr));
  column-gap: 30px;
  padding-top: 8px;
}
</style>
