<script setup lang="ts">
import Message from 'primevue/message'

/** What went wrong, where it went wrong, told at once to those who hear the page too; or, quietly, what was done. */
defineProps<{ says: string; quiet?: boolean }>()
</script>

<template>
  <Message
    class="notice"
    :class="quiet ? 'quiet' : 'worse'"
    :severity="quiet ? 'secondary' : 'error'"
    variant="simple"
    :role="quiet ? 'status' : 'alert'"
    :pt="{ root: { 'aria-live': quiet ? 'polite' : 'assertive' } }"
  >
    {{ says }} <slot />
  </Message>
</template>

<style scoped>
.notice {
  padding: 4px 0;
}
.notice.quiet {
  color: var(--ink-2);
}
</style>
