<script setup lang="ts">
import { Select } from '../ui/overlays'
import type { DeviceAsked } from '../api/client'

/** One device, and how it is reached; what else belongs to its row. */
const device = defineModel<DeviceAsked>({ required: true })
defineProps<{ kinds: readonly { kind: NonNullable<DeviceAsked['kind']>; name: string }[]; name: string }>()
</script>

<template>
  <div class="device">
    <Select
      :model-value="device.kind"
      :options="[...kinds]"
      option-label="name"
      option-value="kind"
      :aria-label="name"
      @update:model-value="device = { kind: $event }"
    />
    <template v-if="device.kind === 'SOCKET'">
      <label
        >address
        <input
          :value="device.host"
          type="text"
          placeholder="192.168.1.20"
          :aria-label="`${name} address`"
          @input="device = { ...device, host: ($event.target as HTMLInputElement).value }"
      /></label>
      <label
        >port
        <input
          :value="device.port"
          type="text"
          inputmode="numeric"
          placeholder="5025"
          :aria-label="`${name} port`"
          class="short"
          @input="device = { ...device, port: Number(($event.target as HTMLInputElement).value) || undefined }"
      /></label>
    </template>
    <label v-else-if="device.kind === 'SERIAL'"
      >line
      <input
        :value="device.path"
        type="text"
        placeholder="/dev/ttyUSB0"
        :aria-label="`${name} line`"
        @input="device = { ...device, path: ($event.target as HTMLInputElement).value }"
    /></label>
    <slot />
  </div>
</template>

<style scoped src="./device.css"></style>
<style scoped>
.device .short {
  width: 70px;
}
</style>
