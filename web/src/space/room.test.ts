// @vitest-environment node
import { describe, expect, it } from 'vitest'
import { apply } from '../document/edit'
import type { BuildDocument, Obstacle, Stand } from '../document/types'
import { FIELDS, hanging, MAY_BE, pushed, SHAPES, shifted } from './room'

const at = '/room/obstacles/#o'
const shape = (kind: Obstacle['kind']) => ({ ...structuredClone(SHAPES.find((s) => s.kind === kind)!.fresh), id: 'o' }) as Obstacle

function after(obstacle: Obstacle, by: { back: number; right: number; up: number }): Obstacle {
  const document = { room: { datum: '', obstacles: [obstacle] }, options: [] } as unknown as BuildDocument
  return apply(document, shifted(at, obstacle, by)).room!.obstacles![0]!
}

describe('what stands in a room', () => {
  it('goes along every axis with all that lies along it', () => {
    expect(after(shape('box'), { back: 10, right: -20, up: 30 })).toMatchObject({
      front_mm: 10,
      rear_mm: 110,
      left_mm: -70,
      right_mm: 30,
      bottom_mm: -20,
      top_mm: 80,
    })
    expect(after(shape('cylinder'), { back: 0, right: 5, up: 0 })).toMatchObject({
      back_mm: 0,
      right_mm: 5,
      toRight_mm: 5,
      toBack_mm: 100,
      toUp_mm: 0,
    })
    const stand = { of: 'core', what: 'core', back_mm: 1.005, right_mm: 0, up_mm: 0, id: 's' } as Stand
    const run = { of: 'hot pipe', from: { back_mm: 1, right_mm: 2, up_mm: 3 }, corners: [{ back_mm: 10, right_mm: 20, up_mm: 30, id: 'c' }] }
    expect(shifted('/r', run, { back: 5, right: 0, up: 0 })).toEqual([
      { pointer: '/r/from/back_mm', value: 6 },
      { pointer: '/r/corners/#c/back_mm', value: 15 },
    ])
    expect(shifted('/s', stand, { back: 0.1, right: 0, up: 0 })).toEqual([{ pointer: '/s/back_mm', value: 1.11 }])
  })

  it('goes as a whole where it is drawn by points or corners', () => {
    const line = shape('tube') as Extract<Obstacle, { kind: 'tube' }>
    line.points.forEach((p, i) => (p.id = `p${i}`))
    expect((after(line, { back: 0, right: 0, up: 7 }) as typeof line).points.map((p) => p.up_mm)).toEqual([7, 7])
    const outline = shape('prism') as Extract<Obstacle, { kind: 'prism' }>
    outline.outline.forEach((c, i) => (c.id = `c${i}`))
    // Seen from above: across is right, up on the sheet is back, its depth is up.
    const moved = after(outline, { back: 1, right: 2, up: 3 }) as typeof outline
    expect(moved.outline.map((c) => [c.across_mm, c.up_mm])).toEqual([
      [2, 1],
      [102, 1],
      [2, 101],
    ])
    expect([moved.from_mm, moved.to_mm]).toEqual([-97, 3])
    outline.seen = 'side'
    const aside = after(outline, { back: 1, right: 2, up: 3 }) as typeof outline
    expect([aside.outline[0]!.across_mm, aside.outline[0]!.up_mm, aside.from_mm]).toEqual([1, 3, -98])
  })

  it('keeps its thickness when a face is typed beyond the one across from it', () => {
    const box = shape('box')
    expect(pushed(at, box, 'front_mm', 250)).toEqual([{ pointer: `${at}/rear_mm`, value: 350 }])
    expect(pushed(at, box, 'top_mm', -80)).toEqual([{ pointer: `${at}/bottom_mm`, value: -180 }])
    expect(pushed(at, box, 'front_mm', 99)).toEqual([])
    expect(pushed(at, shape('cylinder'), 'right_mm', 500)).toEqual([])
  })

  it('hangs on the body again, or on another name, when its carrier goes', () => {
    const document = {
      room: {
        datum: '',
        obstacles: [
          { ...shape('box'), carrier: 'engine' },
          { ...shape('ball'), id: 'b' },
        ],
      },
      options: [
        {
          letter: 'B',
          stands: [{ id: 's', carrier: 'engine', mounts: [{ id: 'm', carrier: 'engine' }, { id: 'n' }] }],
          runs: [{ id: 'r', braces: [{ id: 'b', carrier: 'engine' }] }],
        },
      ],
    } as unknown as BuildDocument
    expect(hanging(document, 'engine', undefined)).toEqual([
      { pointer: '/room/obstacles/#o/carrier', value: undefined },
      { pointer: '/options/#B/stands/#s/carrier', value: undefined },
      { pointer: '/options/#B/stands/#s/mounts/#m/carrier', value: undefined },
      { pointer: '/options/#B/runs/#r/braces/#b/carrier', value: undefined },
    ])
    expect(hanging(document, 'engine', 'motor').map((e) => 'value' in e && e.value)).toEqual(['motor', 'motor', 'motor', 'motor'])
  })

  it('has a field for every measure of every shape that is put in', () => {
    for (const { kind, fresh } of SHAPES) {
      const measures = Object.keys(fresh).filter((key) => /_(mm|deg)$/.test(key))
      expect([...FIELDS[kind], ...MAY_BE[kind]]).toEqual(expect.arrayContaining(measures))
    }
  })
})
