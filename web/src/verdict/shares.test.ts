// @vitest-environment node
import { describe, expect, it } from 'vitest'
import { steadyView } from '../testing/steady'
import { loopView, waterLoop } from '../testing/cold'
import { shareParts, sinkName } from './shares'

describe('verdicts', () => {
  it('name the shares of the resistance by what can be done about them', () => {
    const shares = { charge_pct: 20, wall_pct: 2, coldFilm_pct: 30, coldFlow_pct: 48, radiator_pct: 0, tank_pct: 0, warmedAir_pct: 0 }
    expect(shareParts(shares, 'air').map((p) => p.name)).toEqual(['charge', 'wall', 'cooling air'])
    expect(shareParts({ ...shares, tank_pct: 12, warmedAir_pct: 3 }, 'water').map((p) => p.name)).toEqual([
      'charge',
      'wall',
      'water',
      'tank',
      'warmed air',
    ])
  })

  it('name what stands at the end of the water', () => {
    const steady = steadyView([34, 38, 187, 187, 49, 49, 49])
    steady.loops = [loopView(waterLoop())]
    expect(sinkName(steady, '/path/3')).toBe('radiator')
    steady.loops[0]!.radiator = undefined
    steady.loops[0]!.iceLasts_s = 200
    expect(sinkName(steady, '/path/3')).toBe('ice')
  })
})
