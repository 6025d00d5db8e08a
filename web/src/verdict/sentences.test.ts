import { describe, expect, it } from 'vitest'
import type { NoteView, RunView, SharesView, VerdictView } from '../api/client'
import type { BuildDocument } from '../document/types'
import { steadyView } from '../testing/steady'
import { loopView, waterLoop, wayView } from '../testing/cold'
import { soakView } from '../testing/soak'
import { headline, noteLine, particulars, reason, shapeLine, shareParts, sinkName, worthLine } from './sentences'

const document = { climate: { airTemperature_C: 35 }, targets: { intake_C: 55, timingPull_C: 70 }, duty: { repeats: 1 } } as unknown as BuildDocument
const verdict = (v: Partial<VerdictView>): VerdictView => ({
  outcome: 'HOLDS', worst_C: 51.6, worstTime_s: 700, mean_C: 47, overTarget_s: 0, overTiming_s: 0, stillClimbing: false, ...v,
})

describe('verdicts', () => {
  it('say how it ends', () => {
    expect(headline(verdict({}), document, 'metric')).toBe('Holds 52 °C to the end.')
    expect(headline(verdict({}), document, 'us')).toBe('Holds 125 °F to the end.')
    expect(headline(verdict({}), { ...document, duty: { ...document.duty, repeats: 4 } }, 'metric')).toBe('Holds 52 °C through all 4 runs.')
    expect(headline(verdict({ outcome: 'OVER_TARGET', worst_C: 58, firstOverTarget_s: 192, stillClimbing: true }), document, 'metric')).toBe(
      'Over the target after 3:12; tops out at 58 °C, still climbing.',
    )
    expect(headline(verdict({ outcome: 'PULLS_TIMING', worst_C: 82, firstOverTiming_s: 31 }), document, 'metric')).toBe(
      'The ECU pulls timing after 0:31; it reaches 82 °C.',
    )
    expect(headline(verdict({ limitedFrom_s: 12 }), document, 'metric')).toBe('Holds 52 °C to the end, but the blower falls short of the boost.')
    expect(headline(verdict({ outcome: 'NEVER_RUNS', worst_C: undefined }), document, 'metric')).toContain('never runs')
  })

  it('give the figures behind it', () => {
    expect(particulars(verdict({ overTarget_s: 90, limitedFrom_s: 12 }), document, 'metric')).toBe(
      'Target 55 °C: 90 s above it; the timing line at 70 °C is never reached. Mean 47.0 °C. From 0:12 on the blower gives less than asked for at times.',
    )
  })

  it('name the largest resistance and what helps', () => {
    const shares = { charge_pct: 20, wall_pct: 2, coldFilm_pct: 30, coldFlow_pct: 48, radiator_pct: 0, tank_pct: 0, warmedAir_pct: 0 }
    const says = (limit: VerdictView['limit'], more: Partial<SharesView> = {}, cooledBy = 'water', sink = 'radiator', needed_pct = 80) =>
      reason(verdict({ limit, needed_pct, atWorst: { ...shares, ...more } }), cooledBy, sink, document, 'metric')
    expect(says('COLD_SIDE', {}, 'air')).toContain('too little cooling air for the heat: 78 %')
    expect(says('COLD_SIDE', { coldFilm_pct: 60, coldFlow_pct: 18 }, 'air')).toContain('cooling air side')
    expect(says('SINK', { radiator_pct: 90 })).toContain('The radiator is 90 %')
    expect(says('SINK', { radiator_pct: 70 }, 'water', 'ice')).toContain('melts too slowly')
    expect(says('SINK', { radiator_pct: 70 }, 'water', 'chiller')).toContain('gives less than the charge brings')
    expect(says('COLD_SIDE', { coldFlow_pct: 70 })).toContain('Too little water')
    expect(says('CHARGE', { charge_pct: 95 }, 'air')).toContain('more cooling does little')
    expect(says('WALL', { wall_pct: 60 })).toContain('Clean the core')
    expect(says('TANK', { tank_pct: 52 })).toContain('The tank is 52 % of the way')
    expect(says('WARMED_AIR', { warmedAir_pct: 40 }, 'air')).toContain('The cooling air comes warmed: 40 %')
    expect(says('OUTSIDE_AIR', {}, 'air', 'radiator', 95)).toContain('from 35 °C to a target of 55 °C the charge would have to come 95 % of the way down')
    expect(says('OUTSIDE_AIR', {}, 'air', 'radiator', 104)).toContain('no colder than a target of 55 °C needs')
    expect(shareParts(shares, 'air').map((p) => p.name)).toEqual(['charge', 'wall', 'cooling air'])
    expect(shareParts({ ...shares, tank_pct: 12, warmedAir_pct: 3 }, 'water').map((p) => p.name)).toEqual(['charge', 'wall', 'water', 'tank', 'warmed air'])
  })

  it('put every note into words with its numbers', () => {
    const steady = steadyView([34, 38, 187, 187, 49, 49, 49])
    expect(noteLine({ kind: 'MACH_COSTLY', place: '/path/2', value: 0.33, limit: 0.3 }, steady, 'metric')).toBe('hot pipe: Mach 0.33; above 0.30 losses grow steeply.')
    expect(noteLine({ kind: 'AREA_STEP', place: '/path/4', value: -0.36, limit: 0.15 }, steady, 'metric')).toContain('steps down by 36\u00a0%')
    expect(noteLine({ kind: 'BLOWER_LIMITED', place: '/path/1', value: 90e3, limit: 120e3 }, steady, 'metric')).toBe(
      'turbo: it cannot make 120.0 kPa of boost here; it gives 90.0 kPa.',
    )
    for (const kind of ['MACH_BEYOND_FORMULAS', 'CHARGE_FLOW_BEYOND_CARD', 'COLD_FLOW_BEYOND_CARD', 'SIZE_BEYOND_CARD', 'EFFICIENCY_UNUSUAL', 'BENDS_CLOSE', 'PAIR_TOO_SMALL', 'LEGS_UNEQUAL', 'CARD_POINTS_DISAGREE', 'CHARGE_FIN_BEYOND_RANGE', 'COLD_FIN_BEYOND_RANGE', 'UNEVEN_FEED', 'CONDENSATE', 'SURGE'] as const) {
      expect(noteLine({ kind, place: '/path/3', value: 0.85, limit: 0.78 }, steady, 'metric')).toMatch(/^core: .*\d/)
    }
    for (const kind of ['CHOKE', 'BELOW_MAP', 'ABOVE_MAP'] as const) expect(noteLine({ kind, place: '/path/1', value: 0.1, limit: 0 }, steady, 'metric')).toMatch(/^turbo: .* map/)
    expect(noteLine({ kind: 'SURGE', place: '/path/1', value: -0.12, limit: 0.05 }, steady, 'metric')).toContain('left of the surge line by 12\u00a0%')
    expect(noteLine({ kind: 'AIR_DEMANDS_DISAGREE', place: '/engine', value: 0.2, limit: 0.15 }, steady, 'metric')).toContain('20\u00a0% more air')
  })

  it('put what water and cooling air have to say into words, with the piece named', () => {
    const steady = steadyView([34, 38, 187, 187, 49, 49, 49])
    steady.loops = [loopView(waterLoop())]
    steady.airWays = [wayView()]
    const line = (kind: NoteView['kind'], place: string, value: number, limit = 1) => noteLine({ kind, place, value, limit }, steady, 'metric')
    const spigot = '/path/3/water/pieces/6'
    expect(line('LOOP_STRANGLED', spigot, 0.61)).toBe('thin spigot: it alone takes 61\u00a0% of what the pump gives. The smallest bore rules the loop.')
    expect(line('LOOP_HIGH_SPOT', spigot, 0.045, 0.1)).toContain('45 mm above the cap. It stays full')
    expect(line('LOOP_HIGH_SPOT', spigot, 0.2, 0.1)).toContain('will hold air')
    expect(line('ICE_LASTS', '/path/3/water', 214)).toContain('core, water: held at full load the ice is gone after')
    expect(line('LOOP_WARMS', '/path/3/water', 0.2)).toContain('12.0 °C a minute')
    expect(line('AIR_PREHEATED', '/airWays/0/layers/1', 9)).toBe('core: what stands before it warms its air by 9.0 °C.')
    expect(line('AIR_BYPASS', '/airWays/0', 0.3)).toContain('front: 30\u00a0% of the air goes round the stack')
    for (const kind of ['LOOP_LAMINAR', 'LOOP_FAST', 'PUMP_BEYOND_CURVE', 'PUMP_STALLED', 'PORTS_WASH_PART', 'FED_FROM_TOP'] as const) expect(line(kind, spigot, 0.5)).toMatch(/^thin spigot: /)
    for (const kind of ['LOOP_WITHOUT_TANK', 'COOLANT_FREEZES', 'CHILLER_CUT_OUT', 'SWEATS'] as const) expect(line(kind, '/path/3/water', 280, 270)).toMatch(/^core, water: /)
    for (const kind of ['OPENING_WALLED', 'FAN_AGAINST', 'WIND_AGAINST', 'EXIT_STRANGLES'] as const) expect(line(kind, '/airWays/0', 0.4)).toMatch(/^front: /)
    expect(sinkName(steady, '/path/3')).toBe('radiator')
    steady.loops[0]!.radiator = undefined
    steady.loops[0]!.iceLasts_s = 200
    expect(sinkName(steady, '/path/3')).toBe('ice')
  })
})

describe('what the shape says', () => {
  const run = (more: Partial<RunView>): RunView => soakView([40, 50], { figures: more }).figures
  const document = { climate: { airTemperature_C: 35 }, targets: { intake_C: 50, timingPull_C: 62 } } as unknown as BuildDocument

  it('blames the water, not the radiator, where the water is the narrow place of a ramp', () => {
    const says = (shape: RunView['shape'], more: Partial<VerdictView> = {}, cooledBy = 'water') => shapeLine(run({ shape }), verdict(more), cooledBy, 'radiator')
    expect(says('RAMP', { limit: 'COLD_SIDE' })).toContain('too little water flow')
    expect(says('RAMP', { limit: 'COLD_SIDE' }, 'air')).toContain('the air takes away')
    expect(says('RAMP', { limit: 'CHARGE' })).toContain('the core itself')
    expect(says('RAMP', { limit: 'OUTSIDE_AIR' })).toContain('near the outside air')
    const shares = { charge_pct: 40, wall_pct: 1, coldFilm_pct: 10, coldFlow_pct: 9, radiator_pct: 30, tank_pct: 10, warmedAir_pct: 0 }
    const warms = (atWorst: SharesView, cooledBy = 'water') => shapeLine(run({ shape: 'RAMP', climbByCoolant_pct: 80 }), verdict({ limit: 'CHARGE', atWorst }), cooledBy, 'radiator')
    expect(warms(shares)).toContain('the water warms until the radiator takes')
    expect(warms({ ...shares, tank_pct: 45 })).toContain('the water stores')
    expect(warms(shares, 'air')).toContain('Hot air comes round again')
    expect(says('SOAKED')).toContain('heat soak')
    expect(says('SAW_TEETH')).toContain('Healthy')
    expect(says('SAW_TEETH', { outcome: 'PULLS_TIMING' })).toContain('each load goes too high')
    expect(says('FLAT')).toContain('carries whatever')
    expect(says('FLAT', { outcome: 'OVER_TARGET' })).toContain('too high a level')
  })

  it('tells what cooling wins back, the sensor and the water inside', () => {
    const v = { overTiming_s: 12 } as VerdictView
    const line = worthLine(run({ recoveredAfter_s: 8, condensed_g: 143, firstShownOverTiming_s: 71 }), v, document, 'metric')
    expect(line).toBe('The charge is 94 % as dense as it could be at this boost; cooling wins back 82 % of what heat takes. Back at the target 8 s after the worst. The sensor shows 62 °C from 1:11 on. 140 g of water comes out inside over the duty.')
    const audit = { taken_kJ: 1000, stored_kJ: 0, rejected_kJ: 1000, latent_kJ: 180, error_pct: 0 }
    expect(worthLine(run({ condensed_g: 143 }), v, document, 'metric', audit)).toContain('140 g of water comes out inside over the duty and is 18 % of the heat that core and coolant take.')
    expect(worthLine(run({}), v, document, 'metric')).toContain('never shows 62 °C')
    expect(worthLine(run({ density_pct: undefined, wonBack_pct: undefined }), { overTiming_s: 0 } as VerdictView, document, 'metric')).toBe('')
  })
})
