import type { LoopView } from '../api/client'
import { usual, type CoolingSideOnLoop, type LoopPiece, type LoopPieceKind } from '../document/types'

/** Where a piece of a loop is drawn. */
export interface LoopShape {
  piece: LoopPiece
  index: number
  x0: number
  x1: number
  /** Middle of the band at its ends and at the middle, px. */
  y0: number
  ym: number
  y1: number
  /** Thickness of the band; 0 for what is drawn as a box. */
  thick: number
  in_C: number
  out_C: number
  loss_kPa: number
  share_pct: number
}

const CHAMBERS: LoopPieceKind[] = ['core', 'radiator', 'tank', 'chiller', 'source', 'outfall']

/** @returns whether water spreads in it, so that it is drawn as a box */
export const isChamber = (kind: LoopPieceKind): boolean => CHAMBERS.includes(kind)

/** How much of the width a piece asks for: hoses by length, small pieces a little, boxes enough to draw ports on. */
function want(piece: LoopPiece): number {
  if (piece.kind === 'hose') return 70 + Math.min(piece.length_mm, 3000) / 40
  if (piece.kind === 'core') return 92
  if (piece.kind === 'radiator' || piece.kind === 'tank') return 80
  if (isChamber(piece.kind)) return 62
  return piece.kind === 'pump' ? 62 : 50
}

/** @returns lines that part a box into cores: those of one stage above each other, the stages one after the other as the water meets them */
export function divided(stands: CoolingSideOnLoop[], box: { x: number; y: number; wide: number; high: number }): string {
  const stages = stands.reduce<number[]>((all, s) => (s === 'behind' ? [...all, 1] : [...all.slice(0, -1), all.at(-1)! + 1]), [1])
  const each = box.wide / stages.length
  return stages
    .flatMap((n, k) => {
      const x = box.x + k * each
      const rows = Array.from({ length: n - 1 }, (_, r) => `M${x},${box.y + ((r + 1) * box.high) / n} h${each}`)
      return k ? [`M${x},${box.y} v${box.high}`, ...rows] : rows
    })
    .join(' ')
}

export interface LoopPlan {
  shapes: LoopShape[]
  /** Height in mm to px. */
  y: (height: number) => number
  low: number
  high: number
}

/** @returns the loop laid out in the order of the water, heights to scale */
export function plan(pieces: LoopPiece[], view: LoopView | undefined, left: number, right: number, top: number, bottom: number): LoopPlan {
  const heights = pieces.map((p) => p.height_mm)
  const low = Math.min(...heights) - 60
  const high = Math.max(...heights) + 90
  const y = (height: number) => bottom - ((height - low) / (high - low)) * (bottom - top)
  const asked = pieces.reduce((sum, p) => sum + want(p), 0)
  const scale = (right - left) / asked
  let x = left
  const shapes = pieces.map((piece, index): LoopShape => {
    const x0 = x
    x += want(piece) * scale
    const before = pieces[index - 1] ?? pieces.at(-1)!
    const after = pieces[index + 1] ?? pieces[0]!
    const here = y(piece.height_mm)
    const v = view?.pieces[index]
    return {
      piece,
      index,
      x0,
      x1: x,
      y0: y(meets(piece, before, 'out')),
      ym: here,
      y1: y(meets(piece, after, 'in')),
      thick: isChamber(piece.kind)
        ? 0
        : Math.max(3, Math.min(16, 0.42 * (piece as { bore_mm: number }).bore_mm * Math.sqrt((piece as { beside?: number }).beside ?? 1))),
      in_C: v?.in_C ?? 20,
      out_C: v?.out_C ?? 20,
      loss_kPa: v?.loss_kPa ?? 0,
      share_pct: v?.share_pct ?? 0,
    }
  })
  return { shapes, y, low, high }
}

/** @returns mm at which a piece begins or ends: a hose comes to where its neighbour stands, a fitting to the port of a box it screws into */
function meets(piece: LoopPiece, neighbour: LoopPiece, end: 'in' | 'out'): number {
  if (isChamber(piece.kind) || piece.kind === 'pump') return piece.height_mm
  if (piece.kind === 'hose' || isChamber(neighbour.kind) || neighbour.kind === 'pump') return portHeight(neighbour, end)
  return piece.height_mm
}

/** Half of a core's drawn height, mm: what its bottom and top ports are apart from its middle. */
const CORE_HALF = 55
/** A tank is drawn from low down, mm under its water. */
const TANK_OUT = 90

/** @returns mm at which a hose meets a piece: a core at its low or high port, a tank under its water */
export function portHeight(piece: LoopPiece, end: 'in' | 'out'): number {
  if (piece.kind === 'tank') return piece.height_mm - (end === 'out' ? TANK_OUT : 0)
  if (piece.kind !== 'core' || piece.ports === 'middle') return piece.height_mm
  const low = (piece.fedFrom === 'bottom') === (end === 'in')
  return piece.height_mm + (low ? -CORE_HALF : CORE_HALF)
}

/** Two-line captions: a name cut at a blank so that both halves are short. */
export function twoLines(name: string): [string, string] {
  if (name.length <= 11) return [name, '']
  const blanks = [...name.matchAll(/ /g)].map((m) => m.index)
  if (!blanks.length) return [name, '']
  const middle = blanks.reduce((best, b) => (Math.abs(b - name.length / 2) < Math.abs(best - name.length / 2) ? b : best))
  return [name.slice(0, middle), name.slice(middle + 1)]
}

/** @returns a new piece of a kind that fits a bore and stands at a height */
export function newLoopPiece(kind: LoopPieceKind, name: string, bore: number, height: number): LoopPiece {
  switch (kind) {
    case 'hose':
      return {
        kind,
        name,
        bore_mm: bore,
        length_mm: 600,
        height_mm: height,
        bends: [{ angle_deg: 90 }],
      }
    case 'pump':
      return {
        kind,
        name,
        bore_mm: bore,
        height_mm: height,
        speed_pct: usual['water/pump'].speed_pct,
        efficiency_pct: usual['water/pump'].efficiency_pct,
        curve: [
          { flow_L_min: 0, pressure_kPa: 45 },
          { flow_L_min: 20, pressure_kPa: 32 },
          { flow_L_min: 40, pressure_kPa: 5 },
        ],
      }
    case 'core':
      return { kind, name, height_mm: height, ports: 'opposite corners', fedFrom: 'bottom' }
    case 'chiller':
      return { kind, name, height_mm: height, ...usual['water/chiller'] }
    case 'radiator':
    case 'tank':
    case 'source':
    case 'outfall':
      return { kind, name, height_mm: height }
    case 'kink':
      return { kind, name, bore_mm: Math.max(3, Math.round(bore / 2)), height_mm: height }
    default:
      return { kind, name, bore_mm: bore, length_mm: kind === 'spigot' ? 30 : 0, height_mm: height }
  }
}
