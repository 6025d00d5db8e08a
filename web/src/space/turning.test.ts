import { Vector3 } from 'three'
import { describe, expect, it } from 'vitest'
import { axes, byTape, inFile, LOOKS, nearer, shiftedLook, turned, whole, type Look } from './turning'

const look = (name: string): Look => ({ ...LOOKS[name]!, span: 1, at: [0, 0, 0] })
const near = (got: readonly number[], wanted: readonly number[]) => got.forEach((v, i) => expect(v).toBeCloseTo(wanted[i]!, 9))

describe('looks at a room', () => {
  it("sees the car's right to the left from the front, its front to the left from its left, its front below from above", () => {
    near(axes(look('from the front')).eye, [0, 0, 1])
    near(axes(look('from the front')).right, [1, 0, 0])
    near(axes(look('from the left')).eye, [1, 0, 0])
    // To the right of the sheet is the car's rear.
    near(axes(look('from the left')).right, [0, 0, -1])
    near(axes(look('from above')).eye, [0, 1, 0])
    near(axes(look('from above')).up, [0, 0, -1])
  })

  it('sees a box whole, by its height or by its width', () => {
    // 2 m across and 1 m high: on a wide sheet the height fills it, 1 m over 400 px; on a narrow one the width, 2 m over 200 of its 200 px.
    expect(whole(look('from the front'), [2, 1, 4], 1200, 400).span).toBeCloseTo(1.06, 9)
    expect(whole(look('from the front'), [2, 1, 4], 200, 400).span).toBeCloseTo(2.12, 9)
    expect(whole(look('from the left'), [2, 1, 4], 400, 400).span).toBeCloseTo(4.24, 9)
  })

  it('keeps its three ways square to one another however it is turned', () => {
    const { eye, right, up } = axes(turned(look('askew'), 1.234, -0.3))
    const dot = (a: number[], b: number[]) => a[0]! * b[0]! + a[1]! * b[1]! + a[2]! * b[2]!
    for (const v of [eye, right, up]) expect(dot(v, v)).toBeCloseTo(1, 12)
    for (const [a, b] of [
      [eye, right],
      [eye, up],
      [right, up],
    ])
      expect(dot(a!, b!)).toBeCloseTo(0, 12)
  })

  it('never goes over the top, nor through the middle', () => {
    expect(turned(look('askew'), 0, 9).over).toBe(Math.PI / 2)
    expect(turned(look('askew'), 0, -9).over).toBe(-Math.PI / 2)
    expect(nearer(look('askew'), 1e-9).span).toBe(0.02)
  })

  it('takes what is seen along with the hand', () => {
    near(shiftedLook(look('from the front'), 0.1, 0.2).at, [-0.1, -0.2, 0])
    near(shiftedLook(look('from above'), 0, 0.2).at, [0, 0, 0.2])
  })

  it('says places by the tape: back, right, up', () => {
    near(inFile([100, 200, 300]), [-0.2, 0.3, -0.1])
    near(byTape(new Vector3(-0.2, 0.3, -0.1)), [100, 200, 300])
  })
})
