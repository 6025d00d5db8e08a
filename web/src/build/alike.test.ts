import { describe, expect, it } from 'vitest'
import { alike } from './alike'

describe('a newer answer', () => {
  const before = {
    fits: true,
    gaps: [
      { of: 'core', mm: 5 },
      { of: 'tank', mm: 8 },
    ],
    line: { stations: [1, 2, 3] },
  }

  it('is the one from before where it says the same', () => {
    expect(alike(before, structuredClone(before))).toBe(before)
    expect(alike([1, null, NaN], [1, null, NaN])).toEqual([1, null, NaN])
  })

  it('shares what did not change, and says what did', () => {
    const now = structuredClone(before)
    now.gaps[1]!.mm = 7
    const next = alike(before, now)
    expect(next).toEqual(now)
    expect(next.line).toBe(before.line)
    expect(next.gaps[0]).toBe(before.gaps[0])
    expect(next.gaps[1]).not.toBe(before.gaps[1])
    expect(before.gaps[1]!.mm).toBe(8)
  })

  it('is taken as it is where it has more, less or something else', () => {
    expect(alike({ a: 1, b: 2 }, { a: 1 })).toEqual({ a: 1 })
    expect(alike({ a: 1 }, { a: 1, b: undefined })).toHaveProperty('b')
    expect(alike([1, 2], [1])).toEqual([1])
    expect(alike([1], { 0: 1 })).toEqual({ 0: 1 })
    expect(alike({ 0: 1 }, [1])).toEqual([1])
    expect(alike(undefined, { a: [] })).toEqual({ a: [] })
    expect(alike({ a: null }, { a: {} })).toEqual({ a: {} })
  })
})
