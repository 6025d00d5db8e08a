import type { SteadyView } from '../api/client'

const KINDS = ['filter', 'blower', 'pipe', 'core', 'pipe', 'plenum']
const NAMES = ['filter', 'turbo', 'hot pipe', 'core', 'cold pipe', 'plenum']

/** A charge line with given station temperatures in °C; everything else is plain. */
export function steadyView(temperatures: number[], bores: number[] = [70, 70, 51, 51, 57, 57, 60]): SteadyView {
  return {
    option: 'A',
    optionName: 'first',
    stations: temperatures.map((t, i) => ({
      name: i === 0 ? 'air in' : `${NAMES[i - 1]} out`,
      temperature_C: t,
      totalPressure_kPa: i < 2 ? 100 - i : 240 - i,
      staticPressure_kPa: i < 2 ? 100 - i : 240 - i,
      density_kg_m3: 1,
      velocity_m_s: 20,
      mach: 0.06,
      bore_mm: bores[i]!,
    })),
    pieces: KINDS.map((kind, i) => ({
      kind,
      name: NAMES[i]!,
      loss_kPa: kind === 'blower' ? -140 : 1,
      temperatureChange_K: temperatures[i + 1]! - temperatures[i]!,
      heat_kW: 0,
      velocity_m_s: 20,
      mach: 0.06,
    })),
    flow_kg_s: 0.12,
    pressureRatio: 2.4,
    shaftPower_kW: 18,
    boost_kPa: 135,
    askedBoost_kPa: 135,
    throttleLoss_kPa: 0,
    blowerLimited: false,
    totalLoss_kPa: 5,
    chargeDensity_kg_m3: 2.5,
    residual: 1e-9,
    iterations: 4,
    notes: [],
    core: {
      piece: 3, cooledBy: 'air', effectiveness: 0.9, recovered: 0.9, ntu: 3, heat_kW: 17, coldIn_C: 34, coldOut_C: 56, faceSpeed_m_s: 5,
      metalMass_kg: 7, chargeFlowRatio: 0.6, coldFlowRatio: 0.6, volumeRatio: 1,
      shares: { charge_pct: 26, wall_pct: 2, coldFilm_pct: 49, coldFlow_pct: 23, radiator_pct: 0 },
    },
  }
}
