import { clock, span } from '../quantity/time'
import { spoken, type UnitSystem } from '../quantity/catalogue'
import type { DutyPiece, DutyPieceKind } from '../document/types'

export const KINDS: { kind: DutyPieceKind; name: string; says: string }[] = [
  { kind: 'hold', name: 'hold', says: 'one speed and boost, held' },
  { kind: 'ramp', name: 'ramp', says: 'straight from where it was to these' },
  { kind: 'pull', name: 'pull', says: 'full boost, up through the gears' },
  { kind: 'brake', name: 'brake', says: 'throttle shut, down to a speed' },
  { kind: 'climb', name: 'climb', says: 'a hill at one speed' },
  { kind: 'wait', name: 'wait', says: 'standing, idling or switched off' },
  { kind: 'repeat', name: 'repeat', says: 'what stands inside, several times' },
]

/** Keys of a kind in the order they are asked. */
export const ASKS: Record<DutyPieceKind, string[]> = {
  hold: ['time_s', 'roadSpeed_km_h', 'engineSpeed_rpm', 'boost_kPa'],
  ramp: ['time_s', 'roadSpeed_km_h', 'engineSpeed_rpm', 'boost_kPa'],
  pull: ['time_s', 'roadSpeed_km_h', 'engineSpeed_rpm', 'boost_kPa'],
  brake: ['time_s', 'roadSpeed_km_h'],
  climb: ['length_m', 'roadSpeed_km_h', 'engineSpeed_rpm', 'boost_kPa'],
  wait: ['time_s'],
  repeat: ['times'],
}

/** A piece to begin with: engine speed is left to the gearing where there is one. */
export function newPiece(kind: DutyPieceKind, boost: number, limiter: number, geared: boolean): DutyPiece {
  const speed = (share: number) => (geared ? {} : { engineSpeed_rpm: Math.round((share * limiter) / 100) * 100 })
  switch (kind) {
    case 'hold':
      return { kind, time_s: 30, roadSpeed_km_h: 80, ...speed(0.5), boost_kPa: Math.round(0.3 * boost) }
    case 'ramp':
      return { kind, time_s: 10, roadSpeed_km_h: 100, ...speed(0.6), boost_kPa: Math.round(0.6 * boost) }
    case 'pull':
      return { kind, time_s: 12, roadSpeed_km_h: 150, ...speed(0.95), boost_kPa: boost }
    case 'brake':
      return { kind, time_s: 5, roadSpeed_km_h: 50 }
    case 'climb':
      return { kind, length_m: 5000, roadSpeed_km_h: 50, ...speed(0.7), boost_kPa: Math.round(0.85 * boost) }
    case 'wait':
      return { kind, time_s: 120, idling: true }
    case 'repeat':
      return { kind, times: 3, pieces: [newPiece('pull', boost, limiter, geared), newPiece('brake', boost, limiter, geared)] }
  }
}

export function seconds(piece: DutyPiece): number {
  if (piece.kind === 'repeat') return piece.times * piece.pieces.reduce((sum, p) => sum + seconds(p), 0)
  return piece.kind === 'climb' ? (3.6 * piece.length_m) / piece.roadSpeed_km_h : piece.time_s
}

/** A piece in few words: "pull to 150 km/h, 12 s". */
export function summary(piece: DutyPiece, system: UnitSystem): string {
  const speed = (v: number) => spoken(v, 'km_h', system)
  switch (piece.kind) {
    case 'hold':
      return piece.roadSpeed_km_h > 0 ? `${speed(piece.roadSpeed_km_h)}, ${span(piece.time_s)}` : `standing, ${span(piece.time_s)}`
    case 'ramp':
    case 'pull':
    case 'brake':
      return `to ${speed(piece.roadSpeed_km_h)}, ${span(piece.time_s)}`
    case 'climb':
      return `${(piece.length_m / 1000).toFixed(1)} km at ${speed(piece.roadSpeed_km_h)}`
    case 'wait':
      return `${piece.idling ? 'idling' : 'engine off'}, ${piece.time_s < 100 ? span(piece.time_s) : clock(piece.time_s)}`
    case 'repeat':
      return `${piece.times} times, ${clock(seconds(piece))}`
  }
}

/** Where the list that a piece stands in is, and who it is there: "/duty/pieces/#r3/pieces/#r1" is r1 of "/duty/pieces/#r3/pieces". */
export function place(pointer: string): { list: string; id: string } {
  const cut = pointer.lastIndexOf('/')
  return { list: pointer.slice(0, cut), id: pointer.slice(cut + 2) }
}

/** @returns where a piece of a list stands */
export const pieceAt = (list: string, piece: DutyPiece | undefined): string => `${list}/#${piece?.id}`
