import type { FitView } from '../api/client'
import type { PipePiece } from '../document/types'

type LaidPipe = FitView['pipes'][number]

/** deg: a corner that turns less goes straight on. */
const STRAIGHT_ON = 0.05

/** @returns how a pipe is laid in the room; undefined for one that is as long and bent as it is typed */
export const laidAs = (pipe: PipePiece, fit: FitView | undefined): LaidPipe | undefined => fit?.pipes.find((p) => p.name === pipe.name && !p.loop)

export const bendsOf = (laid: LaidPipe): LaidPipe['turns'] => laid.turns.filter((t) => t.angle_deg > STRAIGHT_ON)

export const inBends = (count: number): string => (count === 1 ? '1 bend' : `${count} bends`)

/** @returns the pipe as long and bent as it is laid; itself where it is not */
export function asLaid(pipe: PipePiece, fit: FitView | undefined): PipePiece {
  const laid = laidAs(pipe, fit)
  if (!laid) return pipe
  const bends = bendsOf(laid).map((t) =>
    t.radius_mm === 0 ? { angle_deg: t.angle_deg, mitre: true } : { angle_deg: t.angle_deg, radius_mm: t.radius_mm },
  )
  return { ...pipe, length_mm: laid.straight_mm, bends }
}
