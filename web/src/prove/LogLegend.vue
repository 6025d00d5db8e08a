<script setup lang="ts">
/** What the lines over a log are. */
defineProps<{ left: number; predicted: boolean; band: boolean }>()
</script>

<template>
  <g>
    <line class="measured" :x1="left + 6" :x2="left + 28" y1="15" y2="15" />
    <text :x="left + 34" y="19">measured</text>
    <template v-if="predicted">
      <rect v-if="band" class="doubt" :x="left + 104" y="9" width="30" height="12" />
      <line class="predicted" :x1="left + 108" :x2="left + 130" y1="15" y2="15" />
      <text :x="left + 139" y="19">predicted{{ band ? ', with the middle 80 % of what is not known exactly' : '' }}</text>
    </template>
  </g>
</template>

<style scoped>
text {
  font-size: var(--s1);
  fill: var(--ink-2);
}
.measured {
  stroke: var(--ink);
  stroke-width: 1.6;
}
.predicted {
  stroke: var(--ink-2);
  stroke-width: 1.4;
  stroke-dasharray: 5 3.5;
}
.doubt {
  fill: var(--ink-3);
  opacity: 0.2;
}
</style>
