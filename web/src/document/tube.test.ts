// @vitest-environment node
import { describe, expect, it } from 'vitest'
import { boreOf, ofMaterial, radiusOf, sizeOf, soldFor } from './tube'
import type { PipePiece } from './types'

const tube: PipePiece = { kind: 'pipe', name: 'hot pipe', material: 'aluminium', outside_mm: 76.2, length_mm: 400, bends: [] }
const hose: PipePiece = { kind: 'pipe', name: 'hose', material: 'silicone', bore_mm: 63, length_mm: 400, bends: [] }

describe('tube and hose', () => {
  it('are known by what they are sold by', () => {
    expect(boreOf(tube)).toBe(73)
    expect(boreOf({ ...tube, wall: { thickness_mm: 2 } })).toBe(72.2)
    expect(sizeOf(tube)).toBe(76.2)
    expect(sizeOf({ ...tube, outside_mm: undefined, bore_mm: 57 })).toBe(60.2)
    expect([boreOf(hose), sizeOf(hose)]).toEqual([63, 63])
  })

  it('bend on stock radius unless typed', () => {
    expect(radiusOf({ angle_deg: 90 }, tube)).toBe(114.3)
    expect(radiusOf({ angle_deg: 90 }, hose)).toBe(94.5)
    expect(radiusOf({ angle_deg: 90, radius_mm: 80 }, tube)).toBe(80)
    expect(radiusOf({ angle_deg: 45, mitre: true }, tube)).toBe(0)
  })

  it('are taken in sizes that are sold', () => {
    expect(soldFor('aluminium', 41)).toEqual({ outside_mm: 45 })
    expect(soldFor('steel', 60)).toEqual({ outside_mm: 63.5 })
    expect(soldFor('silicone', 60.3)).toEqual({ bore_mm: 63 })
  })

  it('keep their outside from tube to tube and change size with hose', () => {
    expect(ofMaterial(tube, '/p', 'stainless')).toEqual([{ pointer: '/p/material', value: 'stainless' }])
    expect(ofMaterial(tube, '/p', 'silicone')).toEqual([
      { pointer: '/p/material', value: 'silicone' },
      { pointer: '/p/outside_mm', value: undefined },
      { pointer: '/p/bore_mm', value: 76 },
    ])
    expect(ofMaterial(hose, '/p', 'steel')).toEqual([
      { pointer: '/p/material', value: 'steel' },
      { pointer: '/p/outside_mm', value: 63.5 },
      { pointer: '/p/bore_mm', value: undefined },
    ])
  })
})
