<template>
  <span class="mark">Enthalp<i>a</i></span>
</template>

<style scoped>
.mark {
  font-size: var(--s4);
  font-weight: 800;
  font-stretch: 118%;
  letter-spacing: -0.01em;
}
i {
  font-style: normal;
  color: var(--heat);
}
</style>
