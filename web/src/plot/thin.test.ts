// @vitest-environment node
import { describe, expect, it } from 'vitest'
import { drawnPoints } from './thin'

describe('the points of a line that are drawn', () => {
  it('are all of them where a column holds few', () => {
    expect(drawnPoints((i) => i * 0.5, [1, 2, 3, 4, 5])).toEqual([0, 1, 2, 3, 4])
  })

  it('are the ends, the lowest and the highest of each column', () => {
    const values = Array.from({ length: 2000 }, () => 50)
    values[333] = 90
    values[1777] = -4
    const kept = drawnPoints((i) => i / 1000, values)
    expect(kept).toEqual([0, 333, 999, 1000, 1777, 1999])
  })

  it('do not join what a gap parts', () => {
    const values: (number | null)[] = Array.from({ length: 100 }, () => 50)
    values[40] = null
    values[41] = null
    expect(drawnPoints(() => 7, values)).toContain(40)
  })

  it('keep a peak that stands before its column has any number', () => {
    const values = [NaN, NaN, NaN, NaN, NaN, 3, 9, 2]
    expect(drawnPoints(() => 0, values)).toEqual(expect.arrayContaining([6, 7]))
  })
})
