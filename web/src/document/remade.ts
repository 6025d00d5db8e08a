import type { Edit } from './edit'
import type { BuildOption, Piece } from './types'

/*
 * An option that the server made anew from one on screen comes without the identities of its rows. What is in it as it was stays the very
 * row it was; only what is other is written.
 */

/** @returns the edits that make the second of the first; of rows that are the same nothing is said */
export function remade(at: string, was: BuildOption, is: BuildOption): Edit[] {
  const path = carried(was.path, is.path)
  const edits: Edit[] = was.name === is.name ? [] : [{ pointer: `${at}/name`, value: is.name }]
  if (path.length === was.path.length && path.every((piece, i) => piece.id === was.path[i]!.id)) {
    path.forEach((piece, i) => {
      if (piece !== was.path[i]) edits.push({ pointer: `${at}/path/#${piece.id}`, value: piece })
    })
  } else edits.push({ pointer: `${at}/path`, value: path })
  if (bare(was.airWays ?? []) !== bare(is.airWays ?? [])) edits.push({ pointer: `${at}/airWays`, value: is.airWays })
  return edits
}

/** Pieces are known again by kind and name. */
function carried(was: Piece[], is: Piece[]): Piece[] {
  return is.map((piece) => {
    const old = was.find((p) => p.kind === piece.kind && p.name === piece.name)
    if (!old) return { ...piece, id: undefined }
    if (bare(old) === bare(piece)) return old
    if (old.kind !== 'pair' || piece.kind !== 'pair') return { ...piece, id: old.id }
    const legs = piece.legs.map((leg) => {
      const before = old.legs.find((l) => l.name === leg.name)
      return { ...leg, id: before?.id, path: carried(before?.path ?? [], leg.path) }
    })
    return { ...piece, id: old.id, legs }
  })
}

/** As text, identities and order of keys left out. */
function bare(value: unknown): string {
  return JSON.stringify(value, (key, inside: unknown) =>
    key === 'id'
      ? undefined
      : inside && typeof inside === 'object' && !Array.isArray(inside)
        ? Object.fromEntries(Object.entries(inside).sort(([a], [b]) => (a < b ? -1 : 1)))
        : inside,
  )
}
