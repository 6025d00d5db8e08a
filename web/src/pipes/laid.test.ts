import { describe, expect, it } from 'vitest'
import type { FitView } from '../api/client'
import type { PipePiece } from '../document/types'
import { asLaid } from './laid'

const pipe: PipePiece = { kind: 'pipe', name: 'hot pipe', material: 'steel', outside_mm: 51, length_mm: 400, bends: [{ angle_deg: 90 }] }
const turn = (angle_deg: number, radius_mm: number) => ({ straight_mm: 100, turned_deg: 0, angle_deg, radius_mm })
const fit = {
  pipes: [{ place: '/runs/0', name: 'hot pipe', straight_mm: 612, length_mm: 800, turns: [turn(45, 76), turn(0, 76), turn(30, 0)] }],
} as unknown as FitView

describe('a pipe that is laid', () => {
  it('is as long and bent as that; a corner that goes straight on is no bend', () => {
    expect(asLaid(pipe, fit)).toEqual({
      ...pipe,
      length_mm: 612,
      bends: [
        { angle_deg: 45, radius_mm: 76 },
        { angle_deg: 30, mitre: true },
      ],
    })
  })
  it('is as typed where another is laid, or none', () => {
    expect(asLaid({ ...pipe, name: 'cold pipe' }, fit).length_mm).toBe(400)
    expect(asLaid(pipe, undefined)).toBe(pipe)
  })
})
