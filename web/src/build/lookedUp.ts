import { computed, ref, shallowRef, watch, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import type { BuildDocument } from '../document/types'
import { useDesign } from './design'
import { useBuild, type Asked } from './store'

/**
 * Asks the server for something about the option on screen, once the reader has stopped typing, and again whenever the document or what
 * else is watched changes; what is only written down of the car counts where it is asked about. Only the newest question's answer counts; an answer that cannot be had leaves nothing.
 *
 * @param records whether it is asked about what is written down of the car
 * @param ask undefined when there is nothing to ask; its signal ends it when a newer question is on its way or nobody looks any more
 * @returns what was found and what it was asked about: places in it count in that document; stale while a newer answer is on its way, when
 *   nothing of it should be pressed
 */
export function useLookedUp<T>(
  more: () => unknown,
  ask: (document: BuildDocument, letter: string, dropped: AbortSignal) => Promise<T[]> | undefined,
  delay = 300,
  records = false,
): { found: ShallowRef<T[]>; asked: ShallowRef<Asked | undefined>; looking: Ref<boolean>; stale: ComputedRef<boolean> } {
  const build = useBuild()
  const design = useDesign()
  const about = computed(() => (records ? build.document : design.document))
  // Shallow: what was found is put into edits as it is.
  const found = shallowRef<T[]>([])
  const asked = shallowRef<Asked>()
  const looking = ref(false)
  let ticket = 0
  watch(
    () => [about.value, build.letter, more()] as const,
    ([document, letter], _, onCleanup) => {
      const mine = ++ticket
      if (!document) return
      looking.value = true
      const question = new AbortController()
      const timer = setTimeout(async () => {
        const answer = (await ask(document, letter, question.signal)?.catch(() => [])) ?? []
        if (mine === ticket) {
          found.value = answer
          asked.value = { document, letter }
          looking.value = false
        }
      }, delay)
      onCleanup(() => {
        clearTimeout(timer)
        question.abort()
      })
    },
    { immediate: true },
  )
  const stale = computed(() => looking.value || asked.value?.document !== about.value || asked.value?.letter !== build.letter)
  return { found, asked, looking, stale }
}
