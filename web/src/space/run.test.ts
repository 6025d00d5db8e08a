import { describe, expect, it } from 'vitest'
import { middleOfLongest, ovalsOf } from './run'

const at = (back_mm: number, right_mm: number, up_mm: number, id = '') => ({ back_mm, right_mm, up_mm, id })

describe('a corner more', () => {
  it('comes in the middle of the longest straight, behind the corner before that', () => {
    const corners = [at(300, 0, 0, 'a'), at(300, 401, 0, 'b')]
    expect(middleOfLongest(at(0, 0, 0), corners, at(300, 401, 250))).toEqual({ behind: 'a', at: { back_mm: 300, right_mm: 201, up_mm: 0 } })
  })
  it('comes first where the first straight is the longest, and in a pipe without corners', () => {
    expect(middleOfLongest(at(0, 0, 0), [at(500, 0, 0, 'a')], at(500, 100, 0)).behind).toBeNull()
    expect(middleOfLongest(at(0, 0, 0), [], at(100, 0, -50))).toEqual({ behind: null, at: { back_mm: 50, right_mm: 0, up_mm: -25 } })
  })
})

describe('ovals to write', () => {
  it('keep the rows they take the place of, and are none where a pipe is round', () => {
    const told = [
      { at_mm: 250, length_mm: 60, height_mm: 43 },
      { at_mm: 500, length_mm: 40, height_mm: 50, clocked_deg: 90, pressed: true },
    ]
    const rows = ovalsOf(told, [{ at_mm: 1, length_mm: 2, height_mm: 3, pressed: true, id: 'a' }])!
    expect(rows[0]).toEqual({ at_mm: 250, length_mm: 60, height_mm: 43, id: 'a' })
    expect(rows[1]).toMatchObject({ clocked_deg: 90, pressed: true })
    expect(rows[1]!.id).toBeTruthy()
    expect(ovalsOf([], rows)).toBeUndefined()
  })
})
