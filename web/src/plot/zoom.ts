import { computed, ref, watch, type Ref } from 'vue'
import type { Window } from './timeAxis'

/** How much closer each step looks. */
const STEP = 2
/** No window is shorter, s. */
const SHORTEST = 2

/** @returns a window so many times as long round a moment, the moment staying where it is on the screen; undefined for the whole */
export function zoomed(window: Window, length: number, about: number, times: number): Window | undefined {
  const span = Math.max((window.to - window.from) * times, Math.min(SHORTEST, length))
  if (span >= length) return undefined
  const share = Math.min(Math.max((about - window.from) / (window.to - window.from), 0), 1)
  const from = Math.min(Math.max(about - share * span, 0), length - span)
  return { from, to: from + span }
}

/** @returns the window moved no further than it must be to hold a moment */
export function holding(window: Window, moment: number): Window {
  const by = moment < window.from ? moment - window.from : moment > window.to ? moment - window.to : 0
  return by ? { from: window.from + by, to: window.to + by } : window
}

/** A part of a time plot looked at closely. It follows the cursor; another duty is looked at whole. */
export function useZoom(length: Readonly<Ref<number>>, cursor: Readonly<Ref<number>>) {
  const window = ref<Window>()
  const whole = computed<Window>(() => ({ from: 0, to: length.value }))
  const now = computed(() => window.value ?? whole.value)
  watch(length, () => (window.value = undefined))
  watch(cursor, (to) => {
    if (window.value) window.value = holding(window.value, to)
  })

  const by = (times: number, about?: number) => (window.value = zoomed(now.value, length.value, about ?? cursor.value, times))

  function select(a: number, b: number): void {
    const from = Math.min(a, b)
    const span = Math.max(Math.abs(a - b), Math.min(SHORTEST, length.value))
    window.value = zoomed({ from, to: from + span }, length.value, from, 1)
  }

  return {
    window,
    closer: (about?: number) => by(1 / STEP, about),
    wider: (about?: number) => by(STEP, about),
    all: () => (window.value = undefined),
    select,
  }
}
