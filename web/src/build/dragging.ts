import { shallowRef, type Ref } from 'vue'
import { apply, type Edit } from '../document/edit'
import type { BuildDocument } from '../document/types'

/**
 * What is being dragged, before it is let go: shown and answered as the document it would make, against what it was before; never kept.
 *
 * @param newest  the document that is kept
 * @param show    has the document on screen answered; done when its charge line is there
 * @param before  what is compared with
 * @param mode    with which of those
 * @param now     what there is to compare with now
 */
export function dragging<Compared, Mode>(
  newest: () => BuildDocument | undefined,
  show: () => Promise<void>,
  before: Ref<Compared>,
  mode: Ref<Mode | 'before'>,
  now: (change: string) => Compared,
) {
  const dragged = shallowRef<BuildDocument>()
  /** What came while the last was being answered: the newest is enough. */
  let next: Edit[] | undefined
  let busy = false
  /** What was compared with before anything was dragged, and what there was. */
  let was: { with: Compared; mode: Mode | 'before'; now: Compared } | undefined

  /** Until {@link letGo}. */
  async function drag(edits: Edit[], change: string): Promise<void> {
    if (!was) {
      was = { with: before.value, mode: mode.value, now: now(change) }
      before.value = was.now
      mode.value = 'before'
    }
    next = edits
    if (busy) return
    busy = true
    try {
      while (next) {
        const kept = newest()
        const taken: Edit[] = next
        next = undefined
        if (!kept) return
        dragged.value = apply(kept, taken)
        await show()
      }
    } finally {
      busy = false
    }
  }

  /** It is let go, or on another document. @param act what is made of it; nothing where it stays where it was */
  function letGo<T>(act?: () => T): T | undefined {
    const held = was
    was = undefined
    next = undefined
    dragged.value = undefined
    if (held) {
      before.value = held.with
      mode.value = held.mode
    }
    const done = act?.()
    if (held && before.value !== held.with) before.value = held.now
    return done
  }

  return { dragged, drag, letGo }
}
