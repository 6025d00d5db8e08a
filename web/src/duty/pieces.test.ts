// @vitest-environment node
import { describe, expect, it } from 'vitest'
import { ASKS, KINDS, newPiece, pieceAt, place, seconds, summary } from './pieces'

describe('pieces of a duty', () => {
  it('every kind begins with everything it asks, engine speed only where no gears give it', () => {
    for (const { kind } of KINDS) {
      const plain = newPiece(kind, 90, 7000, false) as unknown as Record<string, unknown>
      const geared = newPiece(kind, 90, 7000, true) as unknown as Record<string, unknown>
      for (const key of ASKS[kind]) expect(plain[key], `${kind} ${key}`).toBeDefined()
      expect(geared.engineSpeed_rpm).toBeUndefined()
    }
  })

  it('lasts its time, a climb its length over its speed, a repeat what stands inside', () => {
    expect(seconds({ kind: 'climb', length_m: 9000, roadSpeed_km_h: 45, boost_kPa: 80 })).toBeCloseTo(720, 9)
    expect(
      seconds({
        kind: 'repeat',
        times: 3,
        pieces: [
          { kind: 'wait', time_s: 10, idling: true },
          { kind: 'brake', time_s: 5, roadSpeed_km_h: 40 },
        ],
      }),
    ).toBe(45)
  })

  it('is said in few words in the reader’s units', () => {
    expect(summary({ kind: 'pull', time_s: 12, roadSpeed_km_h: 150, boost_kPa: 90 }, 'metric')).toBe('to 150 km/h, 12 s')
    expect(summary({ kind: 'pull', time_s: 12, roadSpeed_km_h: 160.9344, boost_kPa: 90 }, 'us')).toBe('to 100 mph, 12 s')
    expect(summary({ kind: 'wait', time_s: 600, idling: false }, 'metric')).toBe('engine off, 10:00')
    expect(summary({ kind: 'hold', time_s: 180, roadSpeed_km_h: 0, boost_kPa: 70, engineSpeed_rpm: 6500 }, 'metric')).toBe('standing, 3 min')
  })

  it('is told by its list and its identity', () => {
    expect(place('/duty/pieces/#r3/pieces/#r1')).toEqual({ list: '/duty/pieces/#r3/pieces', id: 'r1' })
    expect(pieceAt('/duty/pieces', { kind: 'wait', id: 'r2', time_s: 1, idling: true })).toBe('/duty/pieces/#r2')
  })
})
