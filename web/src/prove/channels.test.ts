// @vitest-environment node
import { describe, expect, it } from 'vitest'
import type { LogBeside, Match } from '../api/client'
import type { BuildOption } from '../document/types'
import { atStations } from './channels'

const match = (channel: Match['channel'], measured?: number): Match => ({ channel, words: '', unit: '°C', measured }) as Match
const option = {
  path: [{ kind: 'filter' }, { kind: 'blower' }, { kind: 'pipe' }, { kind: 'core' }, { kind: 'pipe' }, { kind: 'plenum' }],
} as unknown as BuildOption
const beside = (outsideMeasured: boolean, ...matches: Match[]) => ({ outsideMeasured, outside_C: 21, matches }) as LogBeside

describe('what was measured at stations', () => {
  it('stands before and behind the core, at the plenum, and outside where that was measured', () => {
    const all = beside(true, match('BEFORE_CORE', 120), match('AFTER_CORE', 50), match('INTAKE', 52), match('WATER_TANK', 30))
    expect(atStations(all, option)).toEqual({ 0: 21, 3: 120, 4: 50, 6: 52 })
    expect(atStations(beside(false, match('INTAKE', 52)), option)).toEqual({ 6: 52 })
  })

  it('leaves out what has no load, and a core that stands in none of the main way', () => {
    const pair = { path: [{ kind: 'filter' }, { kind: 'pair' }, { kind: 'plenum' }] } as unknown as BuildOption
    expect(atStations(beside(false, match('BEFORE_CORE', 120), match('INTAKE')), pair)).toEqual({})
    expect(atStations(undefined, option)).toEqual({})
  })
})
