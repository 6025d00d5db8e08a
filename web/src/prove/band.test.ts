// @vitest-environment node
import { describe, expect, it } from 'vitest'
import type { LogCurves } from '../api/client'
import { bandOf, middlesOf } from './band'

const curve = (low: (number | null)[], high: (number | null)[]) =>
  ({ channel: 'INTAKE', unit: '°C', low, high }) as unknown as LogCurves['measured'][number]

describe('a curve of lowest and highest', () => {
  it('has its middle between them, none where nothing was logged', () => {
    expect(middlesOf(curve([40, null, 42], [44, null, 42]))).toEqual([42, null, 42])
  })

  it('is outlined over the highest and back under the lowest, parted where nothing was logged', () => {
    const path = bandOf(
      curve([1, 2, null, 3], [5, 6, null, 3]),
      (i) => 10 * i,
      (v) => 100 - v,
    )
    expect(path).toBe('M0 95L10 94L10 98L0 99ZM30 97L30 97Z')
  })
})
