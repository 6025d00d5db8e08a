<script setup lang="ts">
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useBuild } from '../build/store'
import { allPieces } from '../document/pieces'
import Elevations from '../space/Elevations.vue'

/** The pipes as they are laid, with all that stands round them, to scale from three sides; pressed, a pipe's figures are come to. */
const build = useBuild()
const route = useRoute()
const router = useRouter()
const fit = computed(() => build.answer?.fit)
const pipes = computed(() => (fit.value?.pipes ?? []).filter((p) => !p.loop))
const none = new Set<string>()
const pieces = computed(() => allPieces(build.option!))
const chosen = computed(() => {
  const name = pieces.value.find((p) => p.at === route.query.piece)?.piece.name
  return pipes.value.find((p) => p.name === name)?.place
})
function pick(place: string | undefined): void {
  const name = fit.value?.bodies.find((b) => b.place === place)?.name
  const piece = pieces.value.find((p) => p.piece.name === name)
  if (piece) void router.replace({ query: { ...route.query, piece: piece.at } })
}
</script>

<template>
  <section v-if="fit && pipes.length" class="laid-pipes">
    <h2>As they are laid</h2>
    <Elevations
      :fit="fit"
      :chosen="chosen"
      :ghosts="[]"
      :costs="[]"
      :structure="none"
      :carried="none"
      still
      hint="Press a pipe to come to its figures."
      @pick="pick"
    />
  </section>
</template>

<style scoped>
.laid-pipes {
  padding-bottom: 14px;
}
</style>
