// @vitest-environment node
import { describe, expect, it } from 'vitest'
import { stretches, timeAxis } from './timeAxis'

const seconds = (n: number) => Array.from({ length: n }, (_, i) => i + 1)

describe('the time axis', () => {
  it('is straight for one run', () => {
    const axis = timeAxis(seconds(100), Array(100).fill(true), 0, 1000)
    expect(axis.waits).toEqual([])
    expect(axis.x(50)).toBeCloseTo(500, 6)
    expect(axis.time(250)).toBeCloseTo(25, 6)
    expect(axis.unit).toBe('seconds')
  })

  it('draws long waits short and runs alike', () => {
    const time = [...seconds(100), 1100, 1101, ...seconds(99).map((s) => 1101 + s)]
    const running = time.map((t) => t <= 100 || t > 1100)
    const axis = timeAxis(time, running, 0, 1000)
    expect(axis.waits).toHaveLength(1)
    expect(axis.waits[0]!.seconds).toBe(1000)
    expect(axis.x(100)).toBeCloseTo(axis.x(1200) - axis.x(1100), 6)
    expect(axis.time(axis.x(1150))).toBeCloseTo(1150, 6)
    expect(axis.ticks.filter((t) => t.label === '0')).toHaveLength(2)
  })

  it('splits a trace where the engine starts and stops', () => {
    expect(stretches([1, 2, 3, 4], [true, true, false, true])).toEqual([
      { from: 0, to: 2, running: true },
      { from: 2, to: 3, running: false },
      { from: 3, to: 4, running: true },
    ])
  })

  it('looked at closely fills the width with its part, and leaves it straight', () => {
    const axis = timeAxis(seconds(100), Array(100).fill(true), 0, 1000, { from: 40, to: 60 })
    expect(axis.x(40)).toBeCloseTo(0, 6)
    expect(axis.x(50)).toBeCloseTo(500, 6)
    expect(axis.x(30), 'what lies before goes on beyond the edge').toBeCloseTo(-500, 6)
    expect(axis.time(-90), 'but no moment out of sight is told').toBe(40)
    expect(axis.time(2000)).toBe(60)
    expect(axis.ticks.map((t) => t.label)).toEqual(['0:40', '0:42', '0:44', '0:46', '0:48', '0:50', '0:52', '0:54', '0:56', '0:58', '1:00'])
    expect(axis.unit).toBe('of the duty')
  })

  it('cuts a wait at the edge of what is looked at', () => {
    const time = [...seconds(100), 1100, 1101, ...seconds(99).map((s) => 1101 + s)]
    const running = time.map((t) => t <= 100 || t > 1100)
    const axis = timeAxis(time, running, 0, 1000, { from: 90, to: 600 })
    expect(axis.waits[0]!.seconds).toBe(500)
    expect(axis.x(100) - axis.x(90)).toBeCloseTo(1000 - 54, 6)
  })

  it('is straight where the trace does not reach into the window', () => {
    const axis = timeAxis(seconds(100), Array(100).fill(true), 0, 1000, { from: 200, to: 220 })
    expect(axis.x(210)).toBeCloseTo(500, 6)
    expect(axis.ticks.every((t) => Number.isFinite(t.x))).toBe(true)
  })
})
