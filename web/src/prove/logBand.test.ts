import { describe, expect, it } from 'vitest'
import { widened } from './logBand'

const BAND = { time_s: [10, 20, 40], widths: [{ channel: 'INTAKE' as const, unit: 'C', half: [1, 3, 2] }], says: [] }

describe('the band of what is predicted', () => {
  it('is as wide as it was told, straight between its moments, and as at the ends beyond them', () => {
    const at = [0, 15, 20, 30, 99]
    const band = widened(BAND, 'INTAKE', [50, 50, 50, 50, 50], (i) => at[i]!)
    expect(band?.low).toEqual([49, 48, 47, 47.5, 48])
    expect(band?.high).toEqual([51, 52, 53, 52.5, 52])
  })

  it('has a hole where nothing is predicted', () => {
    expect(widened(BAND, 'INTAKE', [50, null], () => 10)?.low).toEqual([49, null])
  })

  it('is none of a channel that it does not know', () => {
    expect(widened(BAND, 'WATER_TANK', [50], () => 10)).toBeUndefined()
    expect(widened(undefined, 'INTAKE', [50], () => 10)).toBeUndefined()
  })
})
