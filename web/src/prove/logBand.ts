import { bisectLeft } from 'd3-array'
import { computed, watch } from 'vue'
import type { Channel, LogBand } from '../api/client'
import { useLogJob } from './logJob'
import { useLogs } from './logs'

/** How far what is predicted for the log on screen may be off: asked for as soon as it is laid beside the option, for that takes many runs. */
export function useLogBand() {
  const logs = useLogs()
  const { done, failed, start, cancel } = useLogJob('band', () => logs.chosen ?? 0)
  watch(
    () => logs.beside,
    (b) => (b && !b.fault ? start() : cancel()),
    { immediate: true },
  )
  return { band: computed(() => done.value?.band), failed }
}

/** @returns what lies within half the width of each value; null where there is none */
export function widened(
  band: LogBand | undefined,
  channel: Channel,
  values: readonly (number | null | undefined)[],
  time: (column: number) => number,
): { low: (number | null)[]; high: (number | null)[] } | undefined {
  const width = band?.widths.find((w) => w.channel === channel)
  if (!band || !width || !band.time_s.length) return undefined
  const halves = values.map((v, i) => (v == null ? null : halfAt(band.time_s, width.half, time(i))))
  return {
    low: values.map((v, i) => (v == null ? null : v - halves[i]!)),
    high: values.map((v, i) => (v == null ? null : v + halves[i]!)),
  }
}

function halfAt(times: readonly number[], half: readonly number[], at: number): number {
  const next = Math.min(bisectLeft(times, at), times.length - 1)
  const before = Math.max(next - 1, 0)
  const share = (at - times[before]!) / (times[next]! - times[before]! || 1)
  return half[before]! + Math.max(0, Math.min(share, 1)) * (half[next]! - half[before]!)
}
