import { describe, expect, it } from 'vitest'
import type { BuildOption, Joints } from '../document/types'
import { joinedSo, made, usualMade } from './joints'

const USUAL = { coupling: 'straight hose', clamp: 'T-bolt', beaded: true }
const option = (joints?: Joints) => ({ letter: 'A', path: [], joints, stands: [{ id: 's', of: 'core' }] }) as unknown as BuildOption
const value = (edit: unknown) => (edit as { value: Joints }).value

describe('joints', () => {
  it('all made otherwise keep what they hold, not what another kind bears', () => {
    const was: Joints = { coupling: 'straight hose', clamp: 'T-bolt', hold_N: 1800, across_mm: 4, most_C: 150 }
    expect(usualMade(option(was), '/o', USUAL, { coupling: 'hump hose' })).toEqual({
      pointer: '/o/joints',
      value: { coupling: 'hump hose', clamp: 'T-bolt', hold_N: 1800 },
    })
    expect(value(usualMade(option(was), '/o', USUAL, { clamp: 'worm drive' })).across_mm).toBe(4)
    expect(value(usualMade(option(), '/o', USUAL, { plain: true }))).toEqual({ coupling: 'straight hose', clamp: 'T-bolt', plain: true })
  })

  it('one made otherwise stands on its own, and made as all no more', () => {
    const one = value(made(option(), '/o', USUAL, 'hot pipe', 'start', { coupling: 'V-band', clamp: 'T-bolt' }))
    expect(one.others).toMatchObject([{ of: 'hot pipe', end: 'start', coupling: 'V-band' }])
    const again = value(made(option(one), '/o', USUAL, 'hot pipe', 'start', { coupling: 'quick joint', clamp: 'T-bolt' }))
    expect(again.others).toHaveLength(1)
    expect(again.others![0]!.id).toBe(one.others![0]!.id)
    expect(value(made(option(again), '/o', USUAL, 'hot pipe', 'start', { coupling: 'straight hose', clamp: 'T-bolt' })).others).toBeUndefined()
    // All made as that one is, it is one of them.
    expect(value(usualMade(option(one), '/o', USUAL, { coupling: 'V-band' })).others).toBeUndefined()
  })

  it('are taken as they were found, with what is hung elsewhere', () => {
    const joined = { joints: undefined, hung: [{ place: '/stands/0', of: 'core', carrier: 'engine' }] }
    expect(joinedSo(option(), '/o', joined)).toEqual([
      { pointer: '/o/stands/#s/carrier', value: 'engine' },
      { pointer: '/o/joints', value: undefined },
    ])
    const back = joinedSo(option(), '/o', { ...joined, hung: [{ place: '/stands/0', of: 'core', carrier: 'body' }] })
    expect(back[0]).toEqual({ pointer: '/o/stands/#s/carrier', value: undefined })
  })
})
