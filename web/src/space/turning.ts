import type { Vector3 } from 'three'

/** How the room is looked at: from where round it, rad, from how far, and what is in the middle. */
export interface Look {
  /** 0 from the front, to the car's left as it grows. */
  round: number
  /** 0 level, up to a right angle from above. */
  over: number
  /** Metres that are seen across the shorter side. */
  span: number
  at: [number, number, number]
}

export const LOOKS: Record<string, Pick<Look, 'round' | 'over'>> = {
  'from the front': { round: 0, over: 0 },
  'from the left': { round: Math.PI / 2, over: 0 },
  'from above': { round: 0, over: Math.PI / 2 },
  askew: { round: 0.6, over: 0.45 },
}

const STEEPEST = Math.PI / 2
const WIDEST = 20
const CLOSEST = 0.02

/** @returns the look turned by so many rad; it never goes over the top */
export const turned = (look: Look, round: number, over: number): Look => ({
  ...look,
  round: look.round + round,
  over: Math.max(-STEEPEST, Math.min(STEEPEST, look.over + over)),
})

/** @returns the look nearer or farther by a factor */
export const nearer = (look: Look, factor: number): Look => ({ ...look, span: Math.max(CLOSEST, Math.min(WIDEST, look.span * factor)) })

/** The way from the middle to the eye, the way to its right and upwards, in the file's axes: x to the car's left, y up, z to the front. */
export function axes(look: Look): { eye: [number, number, number]; right: [number, number, number]; up: [number, number, number] } {
  const [s, c] = [Math.sin(look.round), Math.cos(look.round)]
  const [so, co] = [Math.sin(look.over), Math.cos(look.over)]
  return { eye: [s * co, so, c * co], right: [c, 0, -s], up: [-s * so, co, -c * so] }
}

const AROUND = 1.06

/** @returns the look from which a box of such a size is seen whole, a little room round it, on a sheet so wide and high */
export function whole(look: Look, size: readonly [number, number, number], width: number, height: number): Look {
  const a = axes(look)
  const seen = (way: [number, number, number]) => way.reduce((sum, v, i) => sum + Math.abs(v) * size[i]!, 0)
  const shorter = Math.min(width, height)
  return { ...look, span: AROUND * Math.max((seen(a.right) * shorter) / width, (seen(a.up) * shorter) / height) }
}

/** @returns the look with its middle shifted across the sheet by so many metres */
export function shiftedLook(look: Look, right: number, up: number): Look {
  const a = axes(look)
  return { ...look, at: look.at.map((v, i) => v - right * a.right[i]! - up * a.up[i]!) as Look['at'] }
}

/** A place of the file by the tape, mm: back, right, up. */
export const byTape = (p: Vector3): [number, number, number] => [-1000 * p.z, -1000 * p.x, 1000 * p.y]

/** A place by the tape, mm, in the file's axes. */
export const inFile = ([back, right, up]: readonly number[]): [number, number, number] => [-right! / 1000, up! / 1000, -back! / 1000]
