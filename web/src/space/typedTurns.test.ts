import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, shallowRef } from 'vue'
import { api, type FitView } from '../api/client'
import type { BuildDocument, Run } from '../document/types'
import { buildOnScreen, usualPath } from '../testing/surface'
import { useTypedTurns } from './typedTurns'

type Laid = FitView['pipes'][number]
const run = { id: 'r', of: 'hot pipe', corners: [{ id: 'a', back_mm: 0, right_mm: 100, up_mm: 50, radius_mm: 60 }] }
const laid = (straight_mm: number, turned_deg = 0) =>
  ({ turns: [{ straight_mm, turned_deg, angle_deg: 90, radius_mm: 60 }], last_mm: 210 }) as unknown as Laid
const settle = () => new Promise((done) => setTimeout(done, 5))

describe('turns that are typed', () => {
  let build: ReturnType<typeof buildOnScreen>
  let now: ReturnType<typeof shallowRef<Laid | undefined>>
  const asked = () => vi.mocked(api.turned).mock.calls.map((c) => c[3])
  const corners = () => (build.keeper!.told.newest as BuildDocument).options[0]!.runs![0]!.corners

  /** What the server would tell: a corner as far back as the straight before it. */
  beforeEach(() => {
    vi.restoreAllMocks()
    build = buildOnScreen(undefined, { options: [{ letter: 'A', name: 'first', boost_kPa: 90, path: usualPath(), runs: [run] }] })
    now = shallowRef<Laid | undefined>(laid(100))
    vi.spyOn(api, 'save').mockImplementation(async (_, revision, __, change) => ({ revision: revision + 1, change, changedAt: '', undo: change }))
    vi.spyOn(api, 'turned').mockImplementation(async (_, __, ___, turns) => {
      await settle()
      return { corners: [{ back_mm: turns.turns[0]!.straight_mm, right_mm: turns.turns[0]!.turned_deg, up_mm: 0, radius_mm: 60 }] }
    })
  })
  const typed = () =>
    useTypedTurns(
      () => build.document?.options[0]!.runs![0] as Run | undefined,
      () => now.value,
    )

  it('are not saved from the moment they are typed until they are', async () => {
    const done = typed().turn(0, 'straight_mm', 140)
    expect(build.settled).toBe(false)
    await done
    expect(corners()).toEqual([{ id: 'a', back_mm: 140, right_mm: 0, up_mm: 0, radius_mm: 60 }])
    expect(build.settled).toBe(true)
    expect(asked()).toEqual([{ turns: [{ straight_mm: 140, turned_deg: 0, bent_deg: 90, radius_mm: 60 }], straight_mm: 210 }])
  })

  it('go on from what was typed last while the answer is under way', async () => {
    const turns = typed()
    await Promise.all([turns.turn(0, 'straight_mm', 140), turns.turn(0, 'turned_deg', 30), turns.turn(1, 'straight_mm', 250)])
    expect(asked().at(-1)).toEqual({ turns: [{ straight_mm: 140, turned_deg: 30, bent_deg: 90, radius_mm: 60 }], straight_mm: 250 })
    expect(corners()[0]).toMatchObject({ back_mm: 140, right_mm: 30 })
    // Once it is drawn anew, from what is drawn.
    now.value = laid(170)
    await nextTick()
    await turns.turn(0, 'turned_deg', 10)
    expect(asked().at(-1)!.turns[0]).toMatchObject({ straight_mm: 170, turned_deg: 10 })
  })

  it('are asked anew when something else was changed meanwhile, and overwrite nothing of it', async () => {
    const done = typed().turn(0, 'straight_mm', 140)
    await build.edit([{ pointer: '/name', value: 'Renamed' }], 'name')
    await done
    expect(vi.mocked(api.turned).mock.calls.map((c) => (c[0] as BuildDocument).name)).toEqual(['Bench', 'Renamed'])
    expect(build.document!.name).toBe('Renamed')
    expect(corners()[0]!.back_mm).toBe(140)
  })

  it('are made in the build they were typed in, also when another is on screen by then', async () => {
    const mine = build.keeper!
    const done = typed().turn(0, 'straight_mm', 140)
    build.leave()
    await done
    expect(mine.told.newest.options[0]!.runs![0]!.corners[0]!.back_mm).toBe(140)
  })

  it('that cannot be are told and not gone on from', async () => {
    vi.mocked(api.turned).mockRejectedValueOnce(new Error('bent by is 300; 0 to 175 is allowed.'))
    const turns = typed()
    await turns.turn(0, 'bent_deg', 300)
    expect(turns.failed.value).toBe('hot pipe: bent by is 300; 0 to 175 is allowed. Type it again.')
    expect(build.settled).toBe(true)
    await turns.turn(0, 'straight_mm', 90)
    expect(asked().at(-1)!.turns[0]).toMatchObject({ straight_mm: 90, bent_deg: 90 })
    expect(turns.failed.value).toBe('')
  })
})
