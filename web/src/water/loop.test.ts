// @vitest-environment node
import { describe, expect, it } from 'vitest'
import type { LoopPiece } from '../document/types'
import { loopView, waterLoop } from '../testing/cold'
import { divided, isChamber, newLoopPiece, plan, portHeight, twoLines } from './loop'

describe('the loop laid out', () => {
  const loop = waterLoop()
  const drawn = plan(loop.pieces!, loopView(loop), 50, 850, 14, 200)

  it('fills the width in the order of the water without gaps', () => {
    expect(drawn.shapes[0]!.x0).toBe(50)
    expect(drawn.shapes.at(-1)!.x1).toBeCloseTo(850)
    drawn.shapes.slice(1).forEach((s, i) => expect(s.x0).toBeCloseTo(drawn.shapes[i]!.x1))
  })

  it('draws heights to scale, higher up the sheet when higher in the car', () => {
    const [tank, , pump] = drawn.shapes
    expect(tank!.ym).toBeLessThan(pump!.ym)
    const perMm = (drawn.y(0) - drawn.y(1000)) / 1000
    expect(pump!.ym - tank!.ym).toBeCloseTo(perMm * (650 - 250))
  })

  it('joins hoses to what they end at', () => {
    const hose = drawn.shapes[3]!
    expect(hose.y0).toBeCloseTo(drawn.y(250))
    expect(hose.y1).toBeCloseTo(drawn.y(portHeight(loop.pieces![4]!, 'in')))
    const spigot = drawn.shapes[6]!
    expect(spigot.y1, 'a fitting screws into the radiator').toBeCloseTo(drawn.y(350))
    expect(spigot.y0).toBeCloseTo(spigot.ym)
  })

  it('puts the ports of a core where they are', () => {
    const core = (fedFrom: string, ports = 'opposite corners') => ({ kind: 'core', name: 'core', height_mm: 500, ports, fedFrom }) as LoopPiece
    expect(portHeight(core('bottom'), 'in')).toBeLessThan(500)
    expect(portHeight(core('bottom'), 'out')).toBeGreaterThan(500)
    expect(portHeight(core('top'), 'in')).toBeGreaterThan(500)
    expect(portHeight(core('bottom', 'middle'), 'in')).toBe(500)
    expect(portHeight({ kind: 'tank', name: 'tank', height_mm: 600 }, 'out'), 'a tank is drawn from under its water').toBeLessThan(600)
  })

  it('draws a bore by its width and boxes without one', () => {
    expect(drawn.shapes[6]!.thick).toBeLessThan(drawn.shapes[3]!.thick)
    expect(drawn.shapes.filter((s) => isChamber(s.piece.kind)).every((s) => s.thick === 0)).toBe(true)
  })

  it('cuts captions at a blank', () => {
    expect(twoLines('radiator spigot')).toEqual(['radiator', 'spigot'])
    expect(twoLines('pump')).toEqual(['pump', ''])
    expect(twoLines('sea water in by')).toEqual(['sea water', 'in by'])
    expect(twoLines('Unbreakableword')).toEqual(['Unbreakableword', ''])
  })
})

describe('new pieces', () => {
  it('take the bore and height they are put in at', () => {
    expect(newLoopPiece('ball valve', 'tap', 17, 300)).toEqual({ kind: 'ball valve', name: 'tap', bore_mm: 17, length_mm: 0, height_mm: 300 })
    expect(newLoopPiece('hose', 'hose', 17, 300)).toMatchObject({ bore_mm: 17, length_mm: 600 })
    expect(newLoopPiece('pump', 'pump', 19, 200)).toMatchObject({ curve: [{ flow_L_min: 0 }, {}, {}] })
    expect(newLoopPiece('chiller', 'plate', 19, 200)).toEqual({ kind: 'chiller', name: 'plate', height_mm: 200, loss_kPa: 8, flow_L_min: 20 })
    expect(newLoopPiece('tank', 'tank', 19, 200)).toEqual({ kind: 'tank', name: 'tank', height_mm: 200 })
  })

  it('parts the box of the core: side by side above each other, behind each other one after the other', () => {
    const box = { x: 10, y: 0, wide: 60, high: 30 }
    expect(divided([], box)).toBe('')
    expect(divided(['beside'], box)).toBe('M10,15 h60')
    expect(divided(['behind'], box)).toBe('M40,0 v30')
    expect(divided(['beside', 'behind'], box)).toBe('M10,15 h30 M40,0 v30')
  })
})
