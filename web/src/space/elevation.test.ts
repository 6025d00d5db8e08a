// @vitest-environment node
import { describe, expect, it } from 'vitest'
import type { FitView } from '../api/client'
import { bestView, extentOf, onSheet, pathOf, planeIn, rowOf, sheetOf, snapped, stepOf, underSheet, type Extent } from './elevation'

const extent: Extent = { back: [0, 400], right: [-500, 500], up: [-300, 300] }
/** 1000 + 400 across in 1400, 400 + 600 upright in 1000: one to one, with 14 round it and 26 between. */
const sheet = sheetOf(extent, 1454, 1054)

describe('three views on one sheet', () => {
  it('lie over and beside one another at one scale', () => {
    expect(sheet.scale).toBe(1)
    expect(sheet.views).toEqual({
      above: { x: 14, y: 14, w: 1000, h: 400 },
      front: { x: 14, y: 440, w: 1000, h: 600 },
      side: { x: 1040, y: 440, w: 400, h: 600 },
    })
    expect(sheet.height).toBe(1054)
  })

  it('lie in a row on one floor where all must be in sight', () => {
    // 2000 + 400 across in 2400, with 14 round it and 26 between; 600 high under a caption of 20.
    const row = rowOf(extent, 2480, 634)
    expect(row.scale).toBe(1)
    expect(row.views).toEqual({
      front: { x: 14, y: 20, w: 1000, h: 600 },
      side: { x: 1040, y: 20, w: 400, h: 600 },
      above: { x: 1466, y: 220, w: 1000, h: 400 },
    })
    expect(rowOf(extent, 3000, 334).scale, 'half as high').toBe(0.5)
  })

  it('show the car as one stands before it', () => {
    // The car's right is to the left; 300 up is at the top of the front view.
    expect(onSheet(sheet, 'front', 500, 300)).toEqual([14, 440])
    expect(onSheet(sheet, 'above', 500, 0), 'its front at the bottom').toEqual([14, 414])
    expect(onSheet(sheet, 'side', 0, 300), 'its front to the left').toEqual([1040, 440])
  })

  it('read a place back and a step as the tape runs', () => {
    expect(underSheet(sheet, 'above', 114, 114)).toEqual({ right: 400, back: 300 })
    expect(underSheet(sheet, 'side', 1140, 540)).toEqual({ back: 100, up: 200 })
    expect(stepOf(sheet, 'front', 10, 20)).toEqual({ back: 0, right: -10, up: -20 })
    expect(stepOf(sheet, 'above', 10, -20)).toEqual({ back: 20, right: -10, up: 0 })
    expect(stepOf(sheet, 'side', 10, 0)).toEqual({ back: 10, right: 0, up: 0 })
  })

  it('reach as far as what stands in them', () => {
    const part = { element: 'x', front: [-100, -50, 100, -50, 100, 50], side: [0, -50, 500, 50], above: [-100, 0, 100, 500] }
    const fit = { bodies: [{ parts: [part] }], obstacles: [{ parts: [] }], stacks: [] } as unknown as FitView
    // 4 % more, 20 mm at least.
    expect(extentOf(fit)).toEqual({ back: [-20, 520], right: [-120, 120], up: [-70, 70] })
    expect(extentOf({ bodies: [], obstacles: [], stacks: [] } as unknown as FitView).back).toEqual([-500, 500])
    expect(pathOf(sheet, 'front', part)).toBe('M614.0 790.0L414.0 790.0L414.0 690.0Z')
  })

  it('draw a plane where they look along it', () => {
    // A bonnet 100 up, filled above: its normal points down; the strip lies above its edge.
    const bonnet = { at_mm: [0, 0, 100], normal: [0, 0, -1] }
    expect(planeIn(sheet, 'above', bonnet)).toBeUndefined()
    expect(planeIn(sheet, 'front', bonnet)!.edge).toMatch(/ 640\.0L.* 640\.0$/)
    expect(planeIn(sheet, 'front', bonnet)!.strip).toContain(' 631.0')
    expect(planeIn(sheet, 'front', { at_mm: [0, 0, 100], normal: [0.5, 0, -0.866] })).toBeUndefined()
  })

  it('measure a distance where it is seen longest', () => {
    expect(bestView({ back: 0, right: 0, up: 0 }, { back: 0, right: 10, up: 3 })).toBe('front')
    expect(bestView({ back: 0, right: 0, up: 0 }, { back: 10, right: 0, up: 3 })).toBe('side')
    expect(bestView({ back: 0, right: 0, up: 0 }, { back: 10, right: 10, up: 1 })).toBe('above')
  })

  it('snap to five millimetres', () => {
    expect([snapped(12.4), snapped(-12.6), snapped(2)]).toEqual([10, -15, 0])
  })
})
