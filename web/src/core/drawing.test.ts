// @vitest-environment node
import { describe, expect, it } from 'vitest'
import { newPiece } from '../document/pieces'
import type { CorePiece } from '../document/types'
import { coreShape, elbowTurned, turned, turnedTo, turnsOf } from './drawing'

const core = (more: Partial<CorePiece> = {}): CorePiece => ({
  ...(newPiece('core', 60, 'core') as CorePiece),
  width_mm: 500,
  height_mm: 240,
  depth_mm: 80,
  tankDepth_mm: 50,
  ...more,
})

describe('core drawing', () => {
  it('is to scale: block, tanks and ports add up', () => {
    const s = coreShape(core({ inletTowards: 'left' }))
    expect(s.block).toMatchObject({ w: 500, h: 240 })
    expect(s.whole.w).toBe(500 + 2 * 50 + 2 * 40)
    expect(coreShape(core({ inletTowards: 'left', portStub_mm: 12 })).whole.w).toBe(500 + 2 * 50 + 2 * 12)
    expect(s.ports).toHaveLength(2)
    expect(s.ports.every((p) => p.h === 60)).toBe(true)
  })

  it('turns so that the inlet looks where it should', () => {
    const inlet = (side: 'left' | 'right' | 'up' | 'down') => {
      const s = coreShape(core({ inletTowards: side }))
      const port = s.ports.find((p) => p.role === 'in')!
      return { dx: port.x + port.w / 2 - (s.block.x + s.block.w / 2), dy: port.y + port.h / 2 - (s.block.y + s.block.h / 2) }
    }
    expect(inlet('left').dx).toBeLessThan(-250)
    expect(inlet('right').dx).toBeGreaterThan(250)
    expect(inlet('up').dy).toBeLessThan(-250)
    expect(inlet('down').dy).toBeGreaterThan(250)
    expect(['right', 'down', 'left', 'up'].map((s) => turned(s as 'right'))).toEqual(['down', 'left', 'up', 'right'])
  })

  it('draws an elbow out of the tank and the way it turns, its spigot behind the bend', () => {
    // Bend on 60 and a spigot of 40: 60 and half a bore out, 100 up from the middle of the port.
    const s = coreShape(core({ inletTowards: 'left', inletTurn: 'up' }))
    const [first, second] = s.ports
    expect(first).toMatchObject({ w: 90, h: 60, role: 'in' })
    expect(second).toMatchObject({ w: 60, h: 100, role: 'in' })
    expect(second!.y + second!.h).toBe(first!.y + 30)
    expect(s.whole.w).toBe(500 + 2 * 50 + 90 + 40)
    expect(coreShape(core({ inletTowards: 'left', inletTurn: 'rearwards' })).ports).toHaveLength(2)
  })

  it('turns elbows with their core and offers those square to their port', () => {
    expect((['up', 'right', 'down', 'left', 'forwards'] as const).map(elbowTurned)).toEqual(['right', 'down', 'left', 'up', 'forwards'])
    expect(turnedTo(core({ inletTowards: 'left', inletTurn: 'up', outletTurn: 'rearwards' }), '/p', 'right')).toEqual([
      { pointer: '/p/inletTowards', value: 'right' },
      { pointer: '/p/inletTurn', value: 'down' },
    ])
    expect(turnsOf(core({ inletTowards: 'left' }), false)).toEqual(['forwards', 'rearwards', 'up', 'down'])
    expect(turnsOf(core({ inletTowards: 'up', portPlace: 'end' }), true)).toEqual(['forwards', 'rearwards', 'up', 'down'])
  })

  const middle = (s: ReturnType<typeof coreShape>, role: 'in' | 'out') => {
    const p = s.ports.find((q) => q.role === role)!
    return [p.x + p.w / 2 - s.block.x - s.block.w / 2, p.y + p.h / 2 - s.block.y - s.block.h / 2]
  }

  it('stands the outlet elsewhere than the inlet', () => {
    // Inlet on the lower end of the left tank, outlet offset upwards by 60 on the right one.
    const c = core({ inletTowards: 'left', portPlace: 'end', portTowards: 'down', outletPlace: 'offset', outletTowards: 'up' })
    expect(middle(coreShape(c), 'in')).toEqual([-275, 140])
    expect(middle(coreShape(c), 'out')).toEqual([320, -60])
    expect(turnsOf(c, false)).toEqual(['forwards', 'rearwards', 'left', 'right'])
    expect(turnsOf(c, true)).toEqual(['forwards', 'rearwards', 'up', 'down'])
    // Nothing said: across from the inlet.
    expect(middle(coreShape({ ...c, outletTowards: undefined }), 'out')).toEqual([320, -60])
    expect(middle(coreShape({ ...c, portTowards: undefined, outletTowards: undefined }), 'out')).toEqual([320, 60])
  })

  it('turns ports with their core', () => {
    const c = core({ inletTowards: 'left', portPlace: 'end', portTowards: 'down', outletPlace: 'offset' })
    const edits = turnedTo(c, '', 'up')
    expect(edits).toEqual([
      { pointer: '/inletTowards', value: 'up' },
      { pointer: '/portTowards', value: 'left' },
      { pointer: '/outletTowards', value: 'right' },
    ])
    const turnedCore = { ...c, ...Object.fromEntries(edits.map((e) => ('pointer' in e ? [e.pointer.slice(1), e.value] : []))) } as CorePiece
    // A quarter clockwise on a sheet whose y runs down: (x, y) comes to (-y, x).
    expect(middle(coreShape(turnedCore), 'in')).toEqual([-140, -275])
    expect(middle(coreShape(turnedCore), 'out')).toEqual([60, 320])
    // What counts nowhere any more does not stay behind to be refused.
    expect(turnedTo(core({ inletTowards: 'left', portTowards: 'down' }), '', 'up')).toContainEqual({ pointer: '/portTowards', value: undefined })
  })

  it('gives a U-flow inlet the lower half', () => {
    const s = coreShape(core({ arrangement: 'u-flow, passes stacked', inletTowards: 'left', portTowards: 'down', outletPlace: 'end' }))
    expect(s.inletFirst).toBe(false)
    expect(s.tanks.map((t) => [t.role, t.rect.y])).toEqual([
      ['in', 120],
      ['out', 0],
      ['turn', 0],
    ])
    expect(middle(s, 'in')).toEqual([-320, 60])
    expect(middle(s, 'out')).toEqual([-275, -140])
  })

  it('draws two outlets on both ends of their tank', () => {
    const s = coreShape(core({ outlets: 2, outletPlace: 'end', inletTowards: 'left', outletTurn: 'right' }))
    expect(s.ports.filter((p) => p.role === 'out').map((p) => p.looks)).toEqual(['up', 'up', 'down', 'down'])
  })

  it('keeps its dimensions however it is turned', () => {
    for (const side of ['left', 'right', 'up', 'down'] as const) {
      const s = coreShape(core({ inletTowards: side, portPlace: 'end' }))
      expect([s.block.w, s.block.h].sort()).toEqual([240, 500])
      expect(s.level).toBe(side === 'left' || side === 'right')
    }
  })

  it('draws both ports of a U-flow on one divided tank', () => {
    const s = coreShape(core({ arrangement: 'u-flow, passes stacked', inletTowards: 'left' }))
    expect(s.divider).toBeDefined()
    expect(s.ports.map((p) => p.x)).toEqual([0, 0])
    expect(s.tanks.map((t) => [t.role, t.rect.y, t.rect.h])).toEqual([
      ['in', 0, 120],
      ['out', 120, 120],
      ['turn', 0, 240],
    ])
    expect(s.way).toHaveLength(4)
  })

  it('draws an outlet of its own bore, and a block without tanks as it is', () => {
    const s = coreShape(core({ inletTowards: 'left', outletBore_mm: 76 }))
    expect(s.ports.map((p) => [p.role, p.h])).toEqual([
      ['in', 60],
      ['out', 76],
    ])
    const bare = coreShape(core({ inletTowards: 'up', tankDepth_mm: 0 }))
    expect(bare.ports).toEqual([])
    expect(bare.whole).toEqual({ x: 0, y: 0, w: 240, h: 500 })
  })

  it('draws two outlets for two banks and ports at the tank ends', () => {
    expect(coreShape(core({ outlets: 2 })).ports.filter((p) => p.role === 'out')).toHaveLength(2)
    const end = coreShape(core({ portPlace: 'end', inletTowards: 'left' }))
    expect(end.ports[0]!.y).toBeLessThan(end.block.y)
    expect(end.ports[1]!.y).toBeGreaterThanOrEqual(end.block.y + end.block.h)
  })
})
