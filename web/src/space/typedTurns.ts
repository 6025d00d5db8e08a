import { computed, ref, watch, type ComputedRef } from 'vue'
import { api, type FitView } from '../api/client'
import { useBuild } from '../build/store'
import type { Edit } from '../document/edit'
import type { Run, RunTurn } from '../document/types'
import { cornersOf, placeAt } from './run'

type Laid = FitView['pipes'][number]
/** What of a piece between two corners can be typed. */
export const TURN_KEYS = ['straight_mm', 'turned_deg', 'bent_deg'] as const
export type TurnKey = (typeof TURN_KEYS)[number]

interface Typed {
  turns: RunTurn[]
  last_mm: number
}

/**
 * A laid pipe as it is cut: lengths, turns and bends, the same pipe as its corners. The server works out the corners of what is typed;
 * what is typed before they have come goes on from what was typed last.
 */
export function useTypedTurns(run: () => Run | undefined, now: () => Laid | undefined) {
  const build = useBuild()
  const failed = ref('')
  let typed: Typed | undefined
  let before: Promise<unknown> = Promise.resolve()
  let asking = 0

  const told: ComputedRef<Typed> = computed(() => ({
    turns: (now()?.turns ?? []).map((t, i) => ({
      straight_mm: Math.max(0, t.straight_mm),
      turned_deg: t.angle_deg > 0.05 ? t.turned_deg : 0,
      bent_deg: t.angle_deg,
      ...(run()?.corners[i]?.radius_mm === undefined ? {} : { radius_mm: run()!.corners[i]!.radius_mm }),
    })),
    last_mm: Math.max(0, now()?.last_mm ?? 0),
  }))
  watch(
    () => [run()?.id, now()],
    () => {
      if (!asking) typed = undefined
    },
  )
  watch(
    () => run()?.id,
    () => {
      typed = undefined
      failed.value = ''
    },
  )

  /** @param at which corner, or how many there are for the last straight */
  async function turn(at: number, key: TurnKey, value: number): Promise<void> {
    const [r, letter, row] = [run()!, build.letter, `${build.optionAt}/runs/#${run()!.id}`]
    const { worked } = build.here()
    const from = typed ?? told.value
    const mine = (typed = {
      turns: from.turns.map((t, i) => (i === at ? { ...t, [key]: value } : t)),
      last_mm: at === from.turns.length ? value : from.last_mm,
    })
    failed.value = ''
    asking++
    const prior = before
    const ask = worked(async (document): Promise<Edit[]> => {
      await prior
      const there = await api.turned(document, letter, { of: r.of, loop: r.loop }, { turns: mine.turns, straight_mm: mine.last_mm })
      const end: Edit[] = there.to_mm ? [{ pointer: `${row}/to`, value: placeAt(there.to_mm) }] : []
      return [{ pointer: `${row}/corners`, value: cornersOf(there.corners, r.corners) }, ...end]
    }, `${r.of} cut otherwise`)
    before = ask.catch(() => undefined)
    try {
      await ask
    } catch (e) {
      // What could not be asked is not gone on from.
      if (typed === mine) typed = undefined
      failed.value = `${r.of}: ${(e as Error).message} Type it again.`
    } finally {
      asking--
    }
  }

  return { told, turn, failed }
}
