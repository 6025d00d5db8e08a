import { apply, named, type Edit } from '../document/edit'
import type { BuildDocument, BuildOption } from '../document/types'

/**
 * A copy of an option under a letter of its own, with edits made in it.
 *
 * @param edits   by places within the option
 * @param counted the document that those places count in: an answer may have brought them, and the document may have moved on
 * @throws Gone when an edit speaks of what the option does not have any more
 */
export function copyOf(
  from: BuildOption,
  letter: string,
  name: string,
  edits: (Edit | { pointer: string; value?: unknown })[],
  counted: BuildDocument,
): BuildOption {
  const root = `/options/${counted.options.findIndex((o) => o.letter === from.letter)}`
  const inCopy = (place: string) => `/options/#@${named(counted, root + place).slice(`/options/#${from.letter}`.length)}`
  const places = edits.map((e): Edit =>
    'pointer' in e ? { pointer: inCopy(e.pointer), value: e.value } : 'list' in e ? { ...e, list: inCopy(e.list) } : { ...e, row: inCopy(e.row) },
  )
  const copy = { ...structuredClone(from), letter: '@', name: name.slice(0, 60) }
  return { ...apply({ ...counted, options: [copy] }, places).options[0]!, letter }
}
