<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { api } from '../api/client'
import { useBuild } from '../build/store'
import { newIdentity, type Edit } from '../document/edit'
import type { Obstacle } from '../document/types'
import ChoiceField from '../ui/ChoiceField.vue'
import Notice from '../ui/Notice.vue'

/** A scan or a drawing of something, from a file of triangles. The file does not say its unit: it is asked for. */
const props = defineProps<{ freeName: (words: string) => string }>()
const emit = defineEmits<{ done: [placed: string | undefined] }>()
const build = useBuild()
const units = ref<string[]>([])
const unit = ref('')
const file = shallowRef<File>()
const reading = ref(false)
const failed = ref('')

onMounted(async () => {
  try {
    units.value = (await api.meshUnits()).units
  } catch (e) {
    failed.value = (e as Error).message
  }
})

function choose(event: Event): void {
  const input = event.target as HTMLInputElement
  file.value = input.files?.[0] ?? file.value
  // The same file, written anew, can be chosen again.
  input.value = ''
  failed.value = ''
}

async function put(): Promise<void> {
  if (!file.value) return
  failed.value = ''
  reading.value = true
  try {
    const name = props.freeName(file.value.name.replace(/\.[a-z]+$/i, '').slice(0, 50) || 'surface')
    const taken = await api.mesh(file.value, unit.value, name)
    const row = { ...(taken.obstacle as unknown as Obstacle), id: newIdentity() }
    const edits: Edit[] = [{ list: '/room/obstacles', put: row }]
    const outcome = await build.edit(edits, `${name} put into the room from a file`)
    if (outcome.done) emit('done', `/room/obstacles/#${row.id}`)
    else failed.value = outcome.fault.sentence
  } catch (e) {
    failed.value = (e as Error).message
  } finally {
    reading.value = false
  }
}
</script>

<template>
  <section class="mesh">
    <p class="line">
      <label class="file">
        <span class="act">{{ file ? 'choose another file' : 'choose a file' }}</span>
        <input type="file" accept=".stl,.obj,model/stl,model/obj" aria-label="File of triangles" @change="choose" />
        <i>{{ file ? file.name : 'STL or OBJ, from a scan or a drawing' }}</i>
      </label>
      <ChoiceField
        label="its numbers are in"
        of="file"
        :choices="[{ value: '', label: 'choose' }, ...units]"
        :shown="unit"
        pointer=""
        :pick="(u: string) => (unit = u)"
      />
      <button type="button" class="act" :disabled="!file || !unit || reading" @click="put">{{ reading ? 'reading' : 'put it into the room' }}</button>
      <button type="button" class="act" @click="emit('done', undefined)">not now</button>
    </p>
    <p class="fine">
      Its x, y and z are taken as back, right and up from the datum; it is turned and moved to its place afterwards, by three points of it if you
      like.
    </p>
    <Notice v-if="failed" :says="failed" />
  </section>
</template>

<style scoped>
.mesh {
  padding: 10px 0 4px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 24px;
}
.act {
  min-height: 24px;
}
.file {
  display: flex;
  gap: 14px;
  align-items: baseline;
}
.file input {
  position: absolute;
  width: 1px;
  height: 1px;
  opacity: 0;
}
.file:focus-within .act {
  outline: 2px solid var(--blue);
  outline-offset: 2px;
}
.fine {
  font-size: var(--s1);
  color: var(--ink-2);
}
</style>
