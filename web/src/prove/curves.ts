import { onScopeDispose, shallowRef, watch, type Ref } from 'vue'
import { api, type Channel, type LogCurves } from '../api/client'
import { useDesign } from '../build/design'
import { useBuild } from '../build/store'
import type { Window } from '../plot/timeAxis'

/** How long a window stands before it is asked for, ms. */
const STANDS = 60

/**
 * What is drawn of a log: of each column of pixels the lowest and highest of every row there, so that ten hours draw like ten seconds. What came last
 * stays until the next has come.
 */
export function useCurves(
  log: Ref<number | undefined>,
  window: Ref<Window>,
  columns: Ref<number>,
  channels: Ref<Channel[]>,
): Readonly<Ref<LogCurves | undefined>> {
  const build = useBuild()
  const design = useDesign()
  const curves = shallowRef<LogCurves>()
  let question: AbortController | undefined
  let timer: ReturnType<typeof setTimeout> | undefined

  async function ask(): Promise<void> {
    const mine = (question = new AbortController())
    const w = window.value
    const stretch = { from_s: w.from, to_s: w.to, columns: columns.value, channels: channels.value }
    const id = log.value!
    try {
      const told = await api
        .logCurves(id, { document: build.document, option: build.letter, ...stretch }, mine.signal)
        // What was measured can be seen whatever is the matter with the build.
        .catch(async (e: unknown) => {
          if (mine.signal.aborted) throw e
          return api.logCurves(id, stretch, mine.signal)
        })
      if (mine === question) {
        curves.value = told
        question = undefined
      }
    } catch {
      // What was drawn stays; why nothing can be answered is told where the log is laid beside the option.
    }
  }

  function drop(): void {
    question?.abort()
    question = undefined
  }
  onScopeDispose(() => {
    clearTimeout(timer)
    drop()
  })
  watch(
    [log, window, columns, () => channels.value.join(), () => design.document, () => build.letter],
    ([id, w, n], before) => {
      clearTimeout(timer)
      // What is dropped must be gone before the next is asked, or the server would tell it that it was.
      const stands = question || curves.value ? STANDS : 0
      drop()
      if (id !== before?.[0]) curves.value = undefined
      if (id !== undefined && n > 0 && w.to > w.from) timer = setTimeout(() => void ask(), stands)
    },
    { immediate: true },
  )
  return curves
}
