<script setup lang="ts">
import { computed } from 'vue'
import { useBuild } from '../build/store'
import { radiusOf } from '../document/tube'
import type { PipePiece, PlenumPiece } from '../document/types'
import ChoiceField from '../ui/ChoiceField.vue'
import NumberField from '../ui/NumberField.vue'
import Tick from '../ui/Tick.vue'
import { asLaid } from './laid'

/** What the wall of a pipe or plenum meets outside. */
const props = defineProps<{ piece: PipePiece | PlenumPiece; at: string }>()
const build = useBuild()
const pipe = computed(() => (props.piece.kind === 'pipe' ? props.piece : undefined))
const plenum = computed(() => (props.piece.kind === 'plenum' ? props.piece : undefined))
const usual = (part: string, key: string) => build.catalogue!.field(part, key).usual

function where(value: string): void {
  void build.act(
    [{ pointer: `${props.at}/wall/outside`, value: value === 'outside' ? true : undefined }],
    `${props.piece.name}: in ${value === 'outside' ? 'outside air' : 'the bay'}`,
  )
}

function hot(): void {
  const has = pipe.value?.wall?.hot
  const keys = ['temperature_C', 'width_mm', 'distance_mm', 'along_mm']
  const run = asLaid(pipe.value!, build.answer?.fit)
  const length = run.length_mm + run.bends.reduce((sum, b) => sum + ((b.angle_deg * Math.PI) / 180) * radiusOf(b, run), 0)
  const value = has
    ? undefined
    : {
        ...Object.fromEntries(keys.map((k) => [k, usual('pipe/wall/hot', k)])),
        along_mm: Math.max(10, Math.min(usual('pipe/wall/hot', 'along_mm'), Math.floor(length))),
        shielded: false,
      }
  void build.act([{ pointer: `${props.at}/wall/hot`, value }], `${props.piece.name}: ${has ? 'nothing hot beside it' : 'something hot beside it'}`)
}

function shield(value: boolean): void {
  void build.act([{ pointer: `${props.at}/wall/hot/shielded`, value }], `${props.piece.name}: ${value ? 'a shield between' : 'no shield'}`)
}

function soak(): void {
  const keys = ['mass_kg', 'area_cm2', 'head_C', 'toHead_W_K']
  const value = plenum.value?.wall ? undefined : Object.fromEntries(keys.map((k) => [k, usual('plenum/wall', k)]))
  void build.act([{ pointer: `${props.at}/wall`, value }], `${props.piece.name}: its metal ${value ? 'counted' : 'left out'}`)
}
</script>

<template>
  <template v-if="pipe">
    <ChoiceField
      label="stands in"
      :pointer="`${at}/wall/outside`"
      :shown="pipe.wall?.outside ? 'outside' : 'bay'"
      :choices="[
        { value: 'bay', label: 'engine bay' },
        { value: 'outside', label: 'outside air' },
      ]"
      :pick="where"
      :of="piece.name"
    />
    <NumberField part="pipe/wall" name="wrap_mm" :pointer="`${at}/wall/wrap_mm`" :of="piece.name" optional empty="bare" />
    <template v-if="pipe.wall?.hot">
      <NumberField part="pipe/wall/hot" name="temperature_C" :pointer="`${at}/wall/hot/temperature_C`" :of="piece.name" />
      <NumberField part="pipe/wall/hot" name="width_mm" :pointer="`${at}/wall/hot/width_mm`" :of="piece.name" />
      <NumberField part="pipe/wall/hot" name="distance_mm" :pointer="`${at}/wall/hot/distance_mm`" :of="piece.name" />
      <NumberField part="pipe/wall/hot" name="along_mm" :pointer="`${at}/wall/hot/along_mm`" :of="piece.name" />
      <Tick class="shield" label="bright shield between" :on="pipe.wall.hot.shielded ?? false" @turn="shield" />
    </template>
    <p class="way">
      <button type="button" class="act" @click="hot">{{ pipe.wall?.hot ? 'nothing hot beside it' : 'something hot beside it' }}</button>
    </p>
  </template>
  <template v-else-if="plenum">
    <template v-if="plenum.wall">
      <NumberField part="plenum/wall" name="mass_kg" :pointer="`${at}/wall/mass_kg`" :of="piece.name" />
      <NumberField part="plenum/wall" name="area_cm2" :pointer="`${at}/wall/area_cm2`" :of="piece.name" />
      <NumberField part="plenum/wall" name="head_C" :pointer="`${at}/wall/head_C`" :of="piece.name" />
      <NumberField part="plenum/wall" name="toHead_W_K" :pointer="`${at}/wall/toHead_W_K`" :of="piece.name" />
    </template>
    <p class="way">
      <button type="button" class="act" @click="soak">{{ plenum.wall ? 'leave its metal out' : 'count its metal on the hot engine' }}</button>
    </p>
  </template>
</template>

<style scoped>
.way {
  padding: 7px 0;
}
.way .act {
  font-size: var(--s1);
  font-weight: 500;
}
.shield {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 34px;
  color: var(--ink-2);
}
</style>
