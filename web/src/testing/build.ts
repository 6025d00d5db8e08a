import type { BuildState, OptionAnswer, SoakView } from '../api/client'
import type { BuildDocument } from '../document/types'
import { steadyView } from './steady'

/** A build of two options without any pieces. */
export const bench = {
  name: 'Bench',
  options: [
    { letter: 'A', name: 'first', boost_kPa: 90, path: [] },
    { letter: 'B', name: 'second', boost_kPa: 80, path: [] },
  ],
} as unknown as BuildDocument

export function stateOf(revision: number, doc: BuildDocument = bench, change = 'x'): BuildState {
  return { id: 7, uid: 'u7', revision, change, changedAt: '2026-11-25T10:00:00Z', undo: revision > 1 ? change : undefined, document: doc }
}

/** Answers by which an option's boost is known again: behind the blower, and as the length of the duty. */
export function answersFor(doc: BuildDocument, letters?: string[], part?: string): { answers: OptionAnswer[] } {
  const options = doc.options.filter((o) => !letters || letters.includes(o.letter))
  return {
    answers: options.map((o) =>
      part === 'DUTY'
        ? { option: o.letter, soak: { length_s: o.boost_kPa } as SoakView }
        : { option: o.letter, steady: steadyView([20, 21, o.boost_kPa, 40, 40, 40, 40]) },
    ),
  }
}

/** The store's own callbacks run. */
export const settle = () => new Promise((done) => setTimeout(done))
