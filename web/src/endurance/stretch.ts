import { computed, shallowRef, watch, type Ref } from 'vue'
import { api, type TraceView } from '../api/client'
import { useBuild } from '../build/store'
import type { Window } from '../plot/timeAxis'

/** How long a window stands before it is asked for, ms. */
const STANDS = 120

/**
 * A stretch of a run closer than its answer tells it. Until it has come, and where it cannot be had, the answer's own points are looked at.
 *
 * @param letter of the option; undefined for none
 */
export function useStretch(window: Ref<Window | undefined>, letter: Ref<string | undefined>): Readonly<Ref<TraceView | undefined>> {
  const build = useBuild()
  const told = shallowRef<{ of: Window; trace: TraceView }>()
  let question: AbortController | undefined
  let timer: ReturnType<typeof setTimeout> | undefined

  async function ask(): Promise<void> {
    const mine = (question = new AbortController())
    const w = window.value!
    try {
      const trace = await api.stretch(build.document!, letter.value!, w.from, w.to, mine.signal)
      if (mine === question) told.value = { of: w, trace }
    } catch {
      if (mine === question) told.value = undefined
    }
  }

  watch([window, letter, () => build.answer], ([w, l], [, , before]) => {
    clearTimeout(timer)
    question?.abort()
    question = undefined
    if (!w || !l || build.answer !== before) told.value = undefined
    if (w && l) timer = setTimeout(() => void ask(), STANDS)
  })
  // Closer still it goes on being told by what came for more; elsewhere it tells nothing.
  return computed(() => {
    const w = window.value
    const of = told.value?.of
    return w && of && of.from <= w.from && of.to >= w.to ? told.value!.trace : undefined
  })
}
