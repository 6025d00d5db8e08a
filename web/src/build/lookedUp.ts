import { ref, watch, type Ref } from 'vue'
import type { BuildDocument } from '../document/types'
import { useBuild } from './store'

/**
 * Asks the server for something about the option on screen, once the reader has stopped typing, and again whenever the document or what
 * else is watched changes. Only the newest question's answer counts; an answer that cannot be had leaves nothing.
 *
 * @param ask undefined when there is nothing to ask
 */
export function useLookedUp<T>(more: () => unknown, ask: (document: BuildDocument, letter: string) => Promise<T[]> | undefined, delay = 300): { found: Ref<T[]>; looking: Ref<boolean> } {
  const build = useBuild()
  const found = ref([]) as Ref<T[]>
  const looking = ref(false)
  let ticket = 0
  watch(
    () => [build.document, build.letter, more()] as const,
    ([document, letter], _, onCleanup) => {
      const mine = ++ticket
      if (!document) return
      looking.value = true
      const timer = setTimeout(async () => {
        const answer = (await ask(document, letter)?.catch(() => [])) ?? []
        if (mine === ticket) {
          found.value = answer
          looking.value = false
        }
      }, delay)
      onCleanup(() => clearTimeout(timer))
    },
    { immediate: true },
  )
  return { found, looking }
}
