import { createPinia, setActivePinia } from 'pinia'
import { vi } from 'vitest'
import { api, Offline, Problem, type BuildState, type FaultView } from '../api/client'
import { useBuild } from '../build/store'
import type { BuildDocument } from '../document/types'
import { answersFor, bench, stateOf } from './build'
import { catalogueView } from './catalogue'

/** The bench on screen, on a server that keeps and answers all it is asked; one change of it can be undone. */
export async function openBench() {
  setActivePinia(createPinia())
  localStorage.clear()
  vi.restoreAllMocks()
  vi.spyOn(api, 'fields').mockResolvedValue(catalogueView)
  vi.spyOn(api, 'build').mockResolvedValue(stateOf(2, bench, 'boost'))
  vi.spyOn(api, 'preview').mockImplementation(async (doc, letters, part) => answersFor(doc, letters, part))
  vi.spyOn(api, 'save').mockImplementation(async (_, revision, __, change) => ({ revision: revision + 1, change, changedAt: '', undo: change }))
  const build = useBuild()
  await build.open(7)
  return build
}

/** The reader goes to another build. */
export async function goElsewhere(doc?: Partial<BuildDocument>): Promise<void> {
  vi.mocked(api.build).mockResolvedValueOnce({ ...stateOf(3, { ...bench, name: 'Other', ...doc }), id: 8, uid: 'u8' })
  await useBuild().open(8)
}

export const refusedBy = (sentence: string) => new Problem(422, 'refused', { kind: 'CONTRADICTION', sentence } as FaultView)

/** From now on nothing is kept. */
export const goAway = () => vi.mocked(api.save).mockRejectedValue(new Offline('away'))

/** The next answer comes in the test's own time. */
export function late(of: 'undo' | 'revision') {
  let answer!: (state: BuildState) => void
  let fail!: (error: Error) => void
  vi.spyOn(api, of).mockImplementationOnce(
    () =>
      new Promise<BuildState>((tell, refuse) => {
        answer = tell
        fail = refuse
      }),
  )
  return { answer: (state: BuildState) => answer(state), fail: (error: Error) => fail(error) }
}

/** The next edit is kept when the test says so. */
export function lateKept() {
  let kept!: () => void
  vi.mocked(api.save).mockImplementationOnce(
    (_, revision, __, change) => new Promise((tell) => (kept = () => tell({ revision: revision + 1, change, changedAt: '', undo: change }))),
  )
  return () => kept()
}

export const boostOf = (letter: string) => `/options/#${letter}/boost_kPa`
