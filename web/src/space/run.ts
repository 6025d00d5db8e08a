import { newIdentity } from '../document/edit'
import type { OvalRow } from '../api/client'
import type { RunCorner, RunOval } from '../document/types'

/** A place by the tape, mm. */
export interface Place {
  back_mm: number
  right_mm: number
  up_mm: number
}

/** @param mm back, right, up */
export const placeAt = (mm: readonly number[]): Place => ({ back_mm: mm[0]!, right_mm: mm[1]!, up_mm: mm[2]! })

/**
 * @param from    where a pipe begins
 * @param corners in the order of the flow
 * @returns the middle of its longest straight, to the millimetre, and the corner behind which it comes: null where it is the first
 */
export function middleOfLongest(from: Place, corners: readonly (Place & { id?: string })[], to: Place): { behind: string | null; at: Place } {
  const points: (Place & { id?: string })[] = [from, ...corners, to]
  const far = (i: number) => {
    const [a, b] = [points[i]!, points[i + 1]!]
    return Math.hypot(b.back_mm - a.back_mm, b.right_mm - a.right_mm, b.up_mm - a.up_mm)
  }
  let longest = 0
  for (let i = 1; i < points.length - 1; i++) if (far(i) > far(longest)) longest = i
  const [a, b] = [points[longest]!, points[longest + 1]!]
  const between = (key: keyof Place) => Math.round((a[key] + b[key]) / 2)
  return {
    behind: longest === 0 ? null : corners[longest - 1]!.id!,
    at: { back_mm: between('back_mm'), right_mm: between('right_mm'), up_mm: between('up_mm') },
  }
}

/**
 * @param told as an answer tells them; no radius for that of stock
 * @param rows that they take the place of, one for one
 * @returns rows of a run
 */
export const cornersOf = (told: readonly (Place & { radius_mm?: number | null })[], rows: readonly RunCorner[] = []): RunCorner[] =>
  told.map(({ back_mm, right_mm, up_mm, radius_mm }, i) => ({
    back_mm,
    right_mm,
    up_mm,
    ...(radius_mm == null ? {} : { radius_mm }),
    id: rows[i]?.id ?? newIdentity(),
  }))

/**
 * @param told as the program found them
 * @param rows that they take the place of, one for one
 * @returns rows of a run; none at all where it is round
 */
export const ovalsOf = (told: readonly OvalRow[], rows: readonly RunOval[] = []): RunOval[] | undefined =>
  told.length === 0
    ? undefined
    : told.map(({ at_mm, length_mm, height_mm, clocked_deg, pressed }, i) => ({
        at_mm,
        length_mm,
        height_mm,
        ...(clocked_deg == null ? {} : { clocked_deg }),
        ...(pressed ? { pressed } : {}),
        id: rows[i]?.id ?? newIdentity(),
      }))

/** @returns whether both are of the same pipe, or of the same hose on the water of the same core */
export const isOf = (one: { of: string; loop?: string | null }, other: { of: string; loop?: string | null }): boolean =>
  one.of === other.of && (one.loop ?? undefined) === (other.loop ?? undefined)
