import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import { api, type Heard, type RecordingView } from '../api/client'
import { useBuild } from '../build/store'

const EVERY_MS = 500

/**
 * A recording under way, followed row by row; one is seen again after a reload.
 *
 * @param mine which of those of the build it is
 * @param about what it is about; with another the one before is not followed any more
 * @param took what newly came
 * @param forget what was taken before
 */
export function useHeard(mine: (recording: RecordingView) => boolean, about: () => unknown, took: (more: Heard) => void, forget: () => void) {
  const build = useBuild()
  const id = ref<string>()
  const heard = shallowRef<Heard>()
  const failed = ref('')
  const busy = ref(false)
  let timer: ReturnType<typeof setTimeout> | undefined
  let question: AbortController | undefined
  let next = 0

  function clear(): void {
    clearTimeout(timer)
    question?.abort()
    id.value = undefined
    heard.value = undefined
    next = 0
    forget()
  }

  function begin(uid: string): void {
    clear()
    id.value = uid
    void follow(uid)
  }

  async function follow(uid: string): Promise<void> {
    const asked = (question = new AbortController())
    try {
      const more = await api.heard(uid, next, asked.signal)
      if (asked.signal.aborted) return
      failed.value = ''
      next = more.next
      took(more)
      heard.value = more
    } catch (e) {
      if (asked.signal.aborted) return
      failed.value = (e as Error).message
    }
    timer = setTimeout(() => void follow(uid), EVERY_MS)
  }

  watch(
    () => [build.keeper?.told.id, about()] as const,
    async ([of, what]) => {
      clear()
      failed.value = ''
      if (of === undefined) return
      try {
        const found = (await api.recordings(of)).find(mine)
        if (found && !id.value && build.keeper?.told.id === of && about() === what) begin(found.id)
      } catch (e) {
        failed.value = (e as Error).message
      }
    },
    { immediate: true },
  )

  /** Asked of the server, once at a time; why not is told. */
  async function attempt(what: () => Promise<void>): Promise<void> {
    failed.value = ''
    busy.value = true
    try {
      await what()
    } catch (e) {
      failed.value = (e as Error).message
    } finally {
      busy.value = false
    }
  }

  /** Ends it by a request; where that is refused and it is still under way, it is followed on. */
  async function end<T>(by: (uid: string) => Promise<T>): Promise<T> {
    const uid = id.value!
    const of = build.keeper!.told.id
    clearTimeout(timer)
    question?.abort()
    try {
      const answer = await by(uid)
      clear()
      return answer
    } catch (e) {
      const all = await api.recordings(of).catch(() => undefined)
      if (id.value === uid) {
        if (all && !all.some((r) => r.id === uid)) clear()
        else void follow(uid)
      }
      throw e
    }
  }

  onScopeDispose(clear)
  return { id, heard, failed, busy, begin, attempt, end }
}
