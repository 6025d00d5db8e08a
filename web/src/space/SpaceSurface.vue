<script setup lang="ts">
import { useRouteQuery } from './routeQuery'
import EitherOr from '../ui/EitherOr.vue'
import AirWays from './AirWays.vue'
import RoomView from './RoomView.vue'

/** Where everything stands and whether it fits; and the ways of the cooling air through it. */
const part = useRouteQuery('part', 'room')
const PARTS = [
  { value: 'room', label: 'the room' },
  { value: 'air', label: 'cooling air' },
]
</script>

<template>
  <div class="space">
    <EitherOr class="parts" of="Parts of Space" :choices="PARTS" :value="part" @pick="part = $event" />
    <RoomView v-if="part === 'room'" />
    <AirWays v-else />
  </div>
</template>

<style scoped>
/* It scrolls as a surface does, the choice of its parts with what they hold. */
.space {
  position: relative;
  overflow-y: auto;
  background: var(--sheet);
}
.space :deep(.paper) {
  overflow: visible;
}
.parts {
  position: absolute;
  z-index: 1;
  top: 12px;
  right: 26px;
}
</style>
