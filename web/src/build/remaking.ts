import { ref } from 'vue'
import { remade } from '../document/remade'
import type { BuildDocument, BuildOption } from '../document/types'
import { useBuild } from './store'

/** Asks the server to make the option on screen anew, and takes what it made as one change. */
export function useRemaking() {
  const build = useBuild()
  const busy = ref(false)
  const failed = ref('')

  /** What came for a document that was changed meanwhile is asked for once more; another build on screen is left alone. */
  async function remake(ask: (document: BuildDocument, letter: string) => Promise<{ option: BuildOption }>, change: string): Promise<void> {
    const keeper = build.keeper
    const letter = build.letter
    busy.value = true
    failed.value = ''
    try {
      for (let tries = 0; tries < 4; tries++) {
        const document = build.document!
        const { option } = await ask(document, letter)
        if (build.keeper !== keeper) return
        if (build.document !== document) continue
        const was = document.options.find((o) => o.letter === letter)!
        await build.act(remade(`/options/#${letter}`, was, option), change)
        return
      }
      failed.value = 'The build goes on changing; ask again when it stands still.'
    } catch (e) {
      if (build.keeper === keeper) failed.value = (e as Error).message
    } finally {
      busy.value = false
    }
  }

  return { busy, failed, remake }
}
