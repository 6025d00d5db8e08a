import { describe, expect, it } from 'vitest'
import type { NoteView } from '../api/client'
import { steadyView } from '../testing/steady'
import { loopView, waterLoop, wayView } from '../testing/cold'
import { noteLine, shareParts, sinkName } from './sentences'

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

  it('put every note into words with its numbers', () => {
    const steady = steadyView([34, 38, 187, 187, 49, 49, 49])
    expect(noteLine({ kind: 'MACH_COSTLY', place: '/path/2', value: 0.33, limit: 0.3 }, steady, 'metric')).toBe(
      'hot pipe: Mach 0.33; above 0.30 losses grow steeply.',
    )
    expect(noteLine({ kind: 'AREA_STEP', place: '/path/4', value: -0.36, limit: 0.15 }, steady, 'metric')).toContain('steps down by 36\u00a0%')
    expect(noteLine({ kind: 'BLOWER_LIMITED', place: '/path/1', value: 90e3, limit: 120e3 }, steady, 'metric')).toBe(
      'turbo: it cannot make 120.0 kPa of boost here; it gives 90.0 kPa.',
    )
    for (const kind of [
      'MACH_BEYOND_FORMULAS',
      'CHARGE_FLOW_BEYOND_CARD',
      'COLD_FLOW_BEYOND_CARD',
      'SIZE_BEYOND_CARD',
      'EFFICIENCY_UNUSUAL',
      'BENDS_CLOSE',
      'PAIR_TOO_SMALL',
      'LEGS_UNEQUAL',
      'CARD_POINTS_DISAGREE',
      'CHARGE_FIN_BEYOND_RANGE',
      'COLD_FIN_BEYOND_RANGE',
      'UNEVEN_FEED',
      'CONDENSATE',
      'SURGE',
    ] as const) {
      expect(noteLine({ kind, place: '/path/3', value: 0.85, limit: 0.78 }, steady, 'metric')).toMatch(/^core: .*\d/)
    }
    for (const kind of ['CHOKE', 'BELOW_MAP', 'ABOVE_MAP'] as const)
      expect(noteLine({ kind, place: '/path/1', value: 0.1, limit: 0 }, steady, 'metric')).toMatch(/^turbo: .* map/)
    expect(noteLine({ kind: 'SURGE', place: '/path/1', value: -0.12, limit: 0.05 }, steady, 'metric')).toContain(
      'left of the surge line by 12\u00a0%',
    )
    expect(noteLine({ kind: 'AIR_DEMANDS_DISAGREE', place: '/engine', value: 0.2, limit: 0.15 }, steady, 'metric')).toContain('20\u00a0% more air')
  })

  it('put what water and cooling air have to say into words, with the piece named', () => {
    const steady = steadyView([34, 38, 187, 187, 49, 49, 49])
    steady.loops = [loopView(waterLoop())]
    steady.airWays = [wayView()]
    const line = (kind: NoteView['kind'], place: string, value: number, limit = 1) => noteLine({ kind, place, value, limit }, steady, 'metric')
    const spigot = '/path/3/water/pieces/6'
    expect(line('LOOP_STRANGLED', spigot, 0.61)).toBe(
      'thin spigot: it alone takes 61\u00a0% of what the pump gives. The smallest bore rules the loop.',
    )
    expect(line('LOOP_HIGH_SPOT', spigot, 0.045, 0.1)).toContain('45 mm above the cap. It stays full')
    expect(line('LOOP_HIGH_SPOT', spigot, 0.2, 0.1)).toContain('will hold air')
    expect(line('ICE_LASTS', '/path/3/water', 214)).toContain('core, water: held at full load the ice is gone after')
    expect(line('LOOP_WARMS', '/path/3/water', 0.2)).toContain('12.0 °C a minute')
    expect(line('AIR_PREHEATED', '/airWays/0/layers/1', 9)).toBe('core: what stands before it warms its air by 9.0 °C.')
    expect(line('AIR_BYPASS', '/airWays/0', 0.3)).toContain('front: 30\u00a0% of the air goes round the stack')
    for (const kind of ['LOOP_LAMINAR', 'LOOP_FAST', 'PUMP_BEYOND_CURVE', 'PUMP_STALLED', 'PORTS_WASH_PART', 'FED_FROM_TOP'] as const)
      expect(line(kind, spigot, 0.5)).toMatch(/^thin spigot: /)
    for (const kind of ['LOOP_WITHOUT_TANK', 'COOLANT_FREEZES', 'CHILLER_CUT_OUT', 'SWEATS'] as const)
      expect(line(kind, '/path/3/water', 280, 270)).toMatch(/^core, water: /)
    for (const kind of ['OPENING_WALLED', 'FAN_AGAINST', 'WIND_AGAINST', 'EXIT_STRANGLES'] as const)
      expect(line(kind, '/airWays/0', 0.4)).toMatch(/^front: /)
    expect(sinkName(steady, '/path/3')).toBe('radiator')
    steady.loops[0]!.radiator = undefined
    steady.loops[0]!.iceLasts_s = 200
    expect(sinkName(steady, '/path/3')).toBe('ice')
  })
})
