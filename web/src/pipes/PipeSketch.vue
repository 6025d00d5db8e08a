<script setup lang="ts">
import { computed } from 'vue'
import { temperatureColour } from '../chargeline/colour'
import { boreOf, radiusOf } from '../document/tube'
import type { PipePiece } from '../document/types'

/**
 * The run unrolled into one plane, to scale: bends alternate left and right, the straight is shared out evenly.
 * It shows proportions, not the way through the car.
 */
const props = defineProps<{ pipe: PipePiece; from: number }>()
const BOX = { width: 220, height: 132 }
/** Places along a bend that are looked at for how far it reaches. */
const STEPS = 8

const centre = computed(() => {
  const { bends, length_mm: length } = props.pipe
  const bore = boreOf(props.pipe)
  const straight = length / (bends.length + 1)
  let x = 0
  let y = 0
  let heading = 0
  let d = `M0 0`
  const points: [number, number][] = [[0, 0]]
  const go = (distance: number) => {
    x += distance * Math.cos(heading)
    y += distance * Math.sin(heading)
    points.push([x, y])
    d += ` L${x} ${y}`
  }
  go(straight)
  bends.forEach((bend, i) => {
    const radius = radiusOf(bend, props.pipe)
    const turn = ((i % 2 === 0 ? 1 : -1) * (bend.angle_deg * Math.PI)) / 180
    const side = Math.sign(turn)
    const cx = x - side * radius * Math.sin(heading)
    const cy = y + side * radius * Math.cos(heading)
    // The bulge of a wide bend reaches further than its ends.
    for (let k = 1; k <= STEPS; k++) {
      const along = heading + (turn * k) / STEPS
      x = cx + side * radius * Math.sin(along)
      y = cy - side * radius * Math.cos(along)
      points.push([x, y])
    }
    heading += turn
    d += ` A${radius} ${radius} 0 0 ${side > 0 ? 1 : 0} ${x} ${y}`
    go(straight)
  })
  const xs = points.map((p) => p[0])
  const ys = points.map((p) => p[1])
  const pad = bore
  const box = {
    x: Math.min(...xs) - pad,
    y: Math.min(...ys) - pad,
    w: Math.max(...xs) - Math.min(...xs) + 2 * pad,
    h: Math.max(...ys) - Math.min(...ys) + 2 * pad,
  }
  return { d, box, bore }
})
</script>

<template>
  <figure>
    <svg :width="BOX.width" :height="BOX.height" :viewBox="`${centre.box.x} ${centre.box.y} ${centre.box.w} ${centre.box.h}`" aria-hidden="true">
      <path :d="centre.d" fill="none" stroke="var(--ink)" :stroke-width="centre.bore + centre.box.w / 90" />
      <path :d="centre.d" fill="none" :stroke="temperatureColour(from)" :stroke-width="centre.bore" />
    </svg>
    <figcaption>unrolled, to scale</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 10px 0 0;
}
figcaption {
  font-size: var(--s1);
  color: var(--ink-3);
}
</style>
