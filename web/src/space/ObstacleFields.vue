<script setup lang="ts">
import { computed } from 'vue'
import { useBuild } from '../build/store'
import { newIdentity } from '../document/edit'
import { obstacleShapeViewWords, type Obstacle } from '../document/types'
import ChoiceField from '../ui/ChoiceField.vue'
import EitherOr from '../ui/EitherOr.vue'
import NumberField from '../ui/NumberField.vue'
import TextField from '../ui/TextField.vue'
import type { Point } from './elevation'
import ThreePoints from './ThreePoints.vue'
import { FIELDS, MAY_BE, partOf, pushed } from './room'

/** All measures of one obstacle, and what it costs to move it. */
const props = defineProps<{ obstacle: Obstacle; says?: string; pointed?: Point }>()
const build = useBuild()
const at = computed(() => `/room/obstacles/#${props.obstacle.id}`)
const name = computed(() => props.obstacle.name)

function putRow(list: string, last: object | undefined, word: string): void {
  const put = { ...structuredClone(last ?? {}), id: newIdentity() }
  void build.act([{ list: `${at.value}/${list}`, put }], `${name.value}: a ${word} more`)
}
function dropRow(list: string, id: string, word: string): void {
  void build.act([{ row: `${at.value}/${list}/#${id}`, out: true }], `${name.value}: a ${word} less`)
}
function movable(yes: boolean): void {
  void build.act([{ pointer: `${at.value}/move`, value: yes ? { hours: 1 } : undefined }], `${name.value} ${yes ? 'can be moved' : 'stays'}`)
}
</script>

<template>
  <div class="card">
    <TextField label="name" :pointer="`${at}/name`" :of="name" required />
    <NumberField
      v-for="key in FIELDS[obstacle.kind]"
      :key="key"
      :part="partOf(obstacle.kind, key)"
      :name="key"
      :pointer="`${at}/${key}`"
      :of="name"
      :also="(v: number) => pushed(at, obstacle, key, v)"
    />
    <NumberField
      v-for="key in MAY_BE[obstacle.kind]"
      :key="key"
      :part="partOf(obstacle.kind, key)"
      :name="key"
      :pointer="`${at}/${key}`"
      :of="name"
      optional
      :empty="key === 'toDiameter_mm' ? 'the same' : '0'"
    />
    <EitherOr
      v-if="obstacle.kind === 'plane'"
      :of="`${name}: out of bounds`"
      :choices="[
        { value: 'above', label: 'all above it' },
        { value: 'below', label: 'all below it' },
      ]"
      :value="obstacle.above ? 'above' : 'below'"
      @pick="(v) => build.act([{ pointer: `${at}/above`, value: v === 'above' }], `${name}: all ${v} it is out of bounds`)"
    />
    <template v-if="obstacle.kind === 'mesh'">
      <EitherOr
        :of="`${name}: inside it`"
        :choices="[
          { value: 'full', label: 'full inside' },
          { value: 'skin', label: 'a skin, free inside' },
        ]"
        :value="obstacle.skin ? 'skin' : 'full'"
        @pick="
          (v) => build.act([{ pointer: `${at}/skin`, value: v === 'skin' || undefined }], `${name} is ${v === 'skin' ? 'a skin' : 'full inside'}`)
        "
      />
      <p v-if="says" class="told">{{ says }}</p>
      <ThreePoints :mesh="obstacle" :pointed="pointed" />
    </template>
    <ChoiceField v-if="obstacle.kind === 'prism'" label="seen from" :of="name" :choices="obstacleShapeViewWords" :pointer="`${at}/seen`" />
    <div v-if="obstacle.kind === 'tube'" class="rows">
      <p v-for="(p, i) in obstacle.points" :key="p.id ?? i">
        <span>point {{ i + 1 }}</span>
        <NumberField
          v-for="key in ['back_mm', 'right_mm', 'up_mm']"
          :key="key"
          part="room/place"
          :name="key"
          :pointer="`${at}/points/#${p.id}/${key}`"
          :of="`${name} point ${i + 1}`"
        />
        <button
          v-if="obstacle.points.length > 2"
          type="button"
          class="act"
          :aria-label="`Take point ${i + 1} out`"
          @click="dropRow('points', p.id!, 'point')"
        >
          out
        </button>
      </p>
      <button type="button" class="act" @click="putRow('points', obstacle.points.at(-1), 'point')">a point more</button>
    </div>
    <div v-if="obstacle.kind === 'prism'" class="rows">
      <p v-for="(c, i) in obstacle.outline" :key="c.id ?? i">
        <span>corner {{ i + 1 }}</span>
        <NumberField
          v-for="key in ['across_mm', 'up_mm']"
          :key="key"
          part="room/corner"
          :name="key"
          :pointer="`${at}/outline/#${c.id}/${key}`"
          :of="`${name} corner ${i + 1}`"
        />
        <button
          v-if="obstacle.outline.length > 3"
          type="button"
          class="act"
          :aria-label="`Take corner ${i + 1} out`"
          @click="dropRow('outline', c.id!, 'corner')"
        >
          out
        </button>
      </p>
      <button type="button" class="act" @click="putRow('outline', obstacle.outline.at(-1), 'corner')">a corner more</button>
    </div>
    <div v-if="obstacle.nature !== 'structure'" class="move">
      <EitherOr
        :of="`${name}: can it be moved`"
        :choices="[
          { value: 'stays', label: 'it stays' },
          { value: 'moves', label: 'it can be moved' },
        ]"
        :value="obstacle.move ? 'moves' : 'stays'"
        @pick="(v) => movable(v === 'moves')"
      />
      <template v-if="obstacle.move">
        <NumberField part="room/move" name="hours" :pointer="`${at}/move/hours`" :of="name" />
        <NumberField part="room/move" name="price" :pointer="`${at}/move/price`" :of="name" optional empty="0" />
        <TextField label="what it takes" :pointer="`${at}/move/words`" :of="name" />
      </template>
    </div>
  </div>
</template>

<style scoped>
.card {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(228px, 1fr));
  column-gap: 30px;
  padding-top: 10px;
}
.rows,
.told,
.move {
  grid-column: 1 / -1;
}
.told {
  color: var(--ink-2);
}
.rows .act {
  min-height: 24px;
}
.rows p {
  display: flex;
  gap: 20px;
  align-items: baseline;
}
.rows p > span {
  width: 66px;
  color: var(--ink-2);
}
.move {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 30px;
  padding-top: 8px;
}
</style>
