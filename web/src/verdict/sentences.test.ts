import { describe, expect, it } from 'vitest'
import type { VerdictView } from '../api/client'
import type { BuildDocument } from '../document/types'
import { steadyView } from '../testing/steady'
import { headline, noteLine, particulars, reason, shareParts } from './sentences'

const document = { targets: { intake_C: 55, timingPull_C: 70 }, duty: { repeats: 1 } } as BuildDocument
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
    const shares = { charge_pct: 20, wall_pct: 2, coldFilm_pct: 30, coldFlow_pct: 48, radiator_pct: 0 }
    expect(reason(shares, 'air')).toContain('too little cooling air for the heat: 78 %')
    expect(reason({ ...shares, coldFilm_pct: 60, coldFlow_pct: 18 }, 'air')).toContain('cooling air side')
    expect(reason({ ...shares, radiator_pct: 90 }, 'water')).toContain('radiator')
    expect(reason({ ...shares, coldFlow_pct: 70 }, 'water')).toContain('Too little water')
    expect(reason({ ...shares, charge_pct: 95 }, 'air')).toContain('more cooling does little')
    expect(shareParts(shares, 'air').map((p) => p.name)).toEqual(['charge', 'wall', 'cooling air'])
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
})
