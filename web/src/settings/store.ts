import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, watchEffect } from 'vue'
import type { UnitSystem } from '../quantity/catalogue'

/** What belongs to the reader and not to a build. */
export const useSettings = defineStore('settings', () => {
  const units = useLocalStorage<UnitSystem>('enthalpa.units', 'metric')
  const theme = useLocalStorage<'light' | 'dark'>('enthalpa.theme', 'light')
  /** What prices are in: a word or sign, never converted. */
  const currency = useLocalStorage<string>('enthalpa.currency', '€')
  watchEffect(() => document.documentElement.setAttribute('data-theme', theme.value))
  const unitsLine = computed(() => (units.value === 'metric' ? '°C · kPa · mm' : '°F · psi · in'))
  return {
    units,
    theme,
    currency,
    unitsLine,
    switchUnits: () => (units.value = units.value === 'metric' ? 'us' : 'metric'),
    switchTheme: () => (theme.value = theme.value === 'light' ? 'dark' : 'light'),
  }
})
