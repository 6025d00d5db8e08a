import type { SoakView } from '../api/client'

/** A run of so many seconds, a second a step, as the server tells it; what a test does not say is still. */
export function soakView(
  intake: number[],
  more: {
    running?: boolean[]
    verdict?: Partial<SoakView['verdict']>
    figures?: Partial<SoakView['figures']>
    trace?: Partial<SoakView['trace']>
  } = {},
): SoakView {
  const n = intake.length
  const flat = (v: number) => Array<number>(n).fill(v)
  const worst = Math.max(...intake)
  return {
    option: 'A',
    optionName: 'first',
    length_s: n,
    sprayed_L: 0,
    trace: {
      time_s: intake.map((_, i) => i + 1),
      intake_C: intake,
      coreIn_C: flat(140),
      cold_C: flat(25),
      boost_kPa: flat(90),
      engineSpeed_rpm: flat(5000),
      roadSpeed_km_h: flat(100),
      flow_kg_s: flat(0.2),
      blowerFlow_kg_s: flat(0.2),
      blowerRatio: flat(2),
      ice_kg: flat(0),
      shown_C: intake.map((t) => t - 1),
      bay_C: flat(40),
      askedBoost_kPa: flat(90),
      condensate_g_s: flat(0),
      loss_kPa: flat(6),
      running: more.running ?? Array<boolean>(n).fill(true),
      stations: [
        { name: 'blower out', temperature_C: flat(142), pressure_kPa: flat(195) },
        { name: 'plenum', temperature_C: intake, pressure_kPa: flat(190) },
      ],
      walls: [{ name: 'cold pipe', place: '/path/4', temperature_C: flat(44) }],
      layers: [],
      switches: [{ kind: 'FAN', of: 'front', on: intake.map((_, i) => i < n / 2) }],
      cold: {
        byWater: false,
        out_C: flat(60),
        air_m_s: flat(6),
        toAir_kW: flat(12),
        tank_C: [],
        water_L_min: [],
        chiller_kW: [],
        airIn_C: flat(26),
        recovered_pct: flat(80),
        effectiveness_pct: flat(84),
        radiator_pct: [],
      },
      ...more.trace,
    },
    metal: {
      along: 2,
      across: 1,
      time_s: [0, n / 2],
      cells_C: [
        [100, 50],
        [110, 60],
      ],
    },
    audit: { taken_kJ: 100, stored_kJ: 10, rejected_kJ: 90, latent_kJ: 0, error_pct: 0.01 },
    verdict: {
      outcome: 'HOLDS',
      worst_C: worst,
      worstTime_s: intake.indexOf(worst) + 1,
      mean_C: 45,
      overTarget_s: 0,
      overTiming_s: 0,
      stillClimbing: false,
      findings: [],
      ...more.verdict,
    },
    figures: {
      shape: 'FLAT',
      shownOverTiming_s: 0,
      density_pct: 94,
      wonBack_pct: 82,
      condensed_g: 0,
      iceLeft_kg: 0,
      runs: [{ from_s: 0, to_s: n, start_C: intake[0]!, worst_C: worst, coldStart_C: 25, coldEnd_C: 25, iceEnd_kg: 0 }],
      ...more.figures,
    },
  } as SoakView
}
