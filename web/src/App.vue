<script setup lang="ts">
import { useSettings } from './settings/store'

useSettings()
</script>

<template>
  <RouterView />
</template>
