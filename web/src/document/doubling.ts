import { allPieces, boreOf, ofKind } from './pieces'
import type { BuildOption, Piece } from './types'

/** @returns whether two blowers stand side by side */
export function hasTwoBlowers(option: BuildOption): boolean {
  return ofKind(option, 'blower').length === 2
}

/** @returns whether two plenums end the path, one for each bank */
export function hasTwoBanks(option: BuildOption): boolean {
  return ofKind(option, 'plenum').length === 2
}

/** The same pieces for the other side, renamed so that each is told apart. */
function otherSide(path: Piece[], side: string): Piece[] {
  return structuredClone(path).map((piece) => ({ ...piece, name: `${side} ${piece.name}`.slice(0, 60) }))
}

function oneSide(path: Piece[], side: string): Piece[] {
  return structuredClone(path).map((piece) => ({
    ...piece,
    name: piece.name.startsWith(`${side} `) ? piece.name.slice(side.length + 1) : piece.name,
  }))
}

/** @returns the path with everything up to the blower doubled, each side drawing its own air into the common pipe; unchanged when it cannot be */
export function withTwoBlowers(path: Piece[]): Piece[] {
  const at = path.findIndex((p) => p.kind === 'blower')
  if (at < 0) return path
  const head = path.slice(0, at + 1)
  const next = path[at + 1]
  const merged = next && next.kind !== 'pair' ? boreOf(next) : boreOf(path[at]!)
  return [
    {
      kind: 'pair',
      name: 'two blowers',
      mergeAngle_deg: 20,
      mergedBore_mm: merged,
      legs: ['left', 'right'].map((side) => ({ name: side, path: otherSide(head, side) })),
    },
    ...path.slice(at + 1),
  ]
}

/** @returns the path with the first side alone */
export function withOneBlower(path: Piece[]): Piece[] {
  const at = path.findIndex((p) => p.kind === 'pair' && p.legs.some((leg) => leg.path.some((piece) => piece.kind === 'blower')))
  const pair = path[at]
  if (pair?.kind !== 'pair') return path
  return [...path.slice(0, at), ...oneSide(pair.legs[0]!.path, pair.legs[0]!.name), ...path.slice(at + 1)]
}

/** @returns the path with its last pipe and its plenum doubled, one for each bank */
export function withTwoBanks(path: Piece[]): Piece[] {
  const plenum = path.length - 1
  if (path[plenum]?.kind !== 'plenum') return path
  let from = plenum
  while (from > 0 && ['pipe', 'reducer', 'joint', 'throttle'].includes(path[from - 1]!.kind)) from--
  const tail = path.slice(from)
  return [
    ...path.slice(0, from),
    {
      kind: 'pair',
      name: 'two banks',
      splitAngle_deg: 30,
      legs: ['left', 'right'].map((side) => ({ name: `${side} bank`, path: otherSide(tail, side) })),
    },
  ]
}

/** @returns the path with the first bank's way alone */
export function withOneBank(path: Piece[]): Piece[] {
  const last = path.at(-1)
  if (last?.kind !== 'pair') return path
  return [...path.slice(0, -1), ...oneSide(last.legs[0]!.path, last.legs[0]!.name.replace(/ bank$/, ''))]
}

/** @returns whether the engine is drawn through its throttle, a throttle standing in front of the blower */
export function drawnThrough(option: BuildOption): boolean {
  const pieces = allPieces(option).map((p) => p.piece.kind)
  const throttle = pieces.indexOf('throttle')
  return throttle >= 0 && throttle < pieces.indexOf('blower')
}
