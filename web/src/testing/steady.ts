import type { CoreView, SteadyView } from '../api/client'

const KINDS = ['filter', 'blower', 'pipe', 'core', 'pipe', 'plenum']
const NAMES = ['filter', 'turbo', 'hot pipe', 'core', 'cold pipe', 'plenum']

const CORE: CoreView = {
  place: '/path/3',
  name: 'core',
  cooledBy: 'air',
  chargeFlow_kg_s: 0.12,
  chargeIn_C: 170,
  chargeOut_C: 48,
  effectiveness: 0.9,
  recovered: 0.9,
  ntu: 3,
  heat_kW: 17,
  coldIn_C: 34,
  coldOut_C: 56,
  faceSpeed_m_s: 5,
  metalMass_kg: 7,
  chargeVolume_L: 4,
  shares: { charge_pct: 26, wall_pct: 2, coldFilm_pct: 49, coldFlow_pct: 23, radiator_pct: 0, tank_pct: 0, warmedAir_pct: 0 },
  condensate: { dewPoint_C: 30, flow_g_s: 0, latent_kW: 0 },
  card: {
    chargeFlowRatio: 0.6,
    chargeFlowMin: 0.3,
    chargeFlowMax: 1.8,
    coldFlowRatio: 0.6,
    coldFlowMin: 0.3,
    coldFlowMax: 1.8,
    volumeRatio: 1,
    misfit_pct: 0,
    filmsSeparated: false,
  },
}

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
      place: `/path/${i}`,
      stepLoss_kPa: 0,
      volume_L: 1,
      legs: [],
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
    outside: { temperature_C: 34, pressure_kPa: 94, dewPoint_C: 18 },
    filling: { volume_L: 9, time_s: 0.1 },
    core: CORE,
    cores: [CORE],
    loops: [],
    airWays: [],
  }
}
