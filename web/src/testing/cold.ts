import type { AirWayView, LoopView } from '../api/client'
import { usual, type AirWay, type CorePiece, type LoopPiece, type WaterLoop } from '../document/types'
import { newPiece } from '../document/pieces'
import { newLoopPiece } from '../water/loop'

/** A loop of usual pieces with one narrow spigot before its radiator, as answered: numbers made up, only their order matters. */
export function waterLoop(): WaterLoop {
  const radiator = { width_mm: 320, height_mm: 240, depth_mm: 42, heat_kW: 11, waterFlow_L_min: 20, waterIn_C: 60, airSpeed_m_s: 6, airIn_C: 25 }
  const pieces = usualPieces({ volume_L: 5, radiator })
  pieces.splice(6, 0, newLoopPiece('spigot', 'thin spigot', 9, 400))
  return { volume_L: 5, radiator, tank: { holds_L: 4 }, pieces }
}

export function waterCore(): CorePiece {
  const core = newPiece('core', 57, 'core') as CorePiece
  return { ...core, cooledBy: 'water', air: undefined, water: waterLoop() }
}

export function loopView(loop: WaterLoop, place = '/path/3'): LoopView {
  const pieces = loop.pieces!.map((p, i) => ({
    place: `${place}/water/pieces/${i}`,
    name: p.name,
    loss_kPa: p.kind === 'pump' ? -30 : p.name === 'thin spigot' ? 15 : p.kind === 'tank' ? 0 : 2,
    share_pct: p.kind === 'pump' ? 0 : p.name === 'thin spigot' ? 50 : p.kind === 'tank' ? 0 : 7,
    velocity_m_s: 1,
    reynolds: 20000,
    laminar: false,
    in_C: p.kind === 'core' ? 45 : 40,
    out_C: p.kind === 'core' ? 55 : 40,
  }))
  return {
    place,
    core: 'core',
    open: false,
    measured: false,
    flow_L_min: 14,
    head_kPa: 30,
    pumpPower_W: 25,
    waterIn_C: 45,
    waterOut_C: 55,
    heat_kW: 9,
    radiator: { heat_kW: 9, airFlow_kg_s: 0.5, faceSpeed_m_s: 6, airIn_C: 27, airOut_C: 42 },
    chiller_kW: 0,
    chillerOut: false,
    ice_kW: 0,
    rise_K_min: 0,
    freezing_C: 0,
    boiling_C: 100,
    narrowest: 6,
    highest: 7,
    overCap_mm: -10,
    sweats: false,
    heads: Array.from({ length: 17 }, (_, k) => ({ flow_L_min: 2.5 * k, given_kPa: 42 - k * k * 0.16, taken_kPa: 0.15 * (2.5 * k) ** 2 })),
    pieces,
    cores: [{ place, name: 'core', flow_L_min: 14, in_C: 45, out_C: 55, heat_kW: 9 }],
  } as LoopView
}

export function airWay(): AirWay {
  return {
    name: 'front',
    spaceWidth_mm: 800,
    spaceHeight_mm: 560,
    opening: {
      width_mm: 600,
      height_mm: 200,
      pressure_pct: 90,
      open_pct: 80,
      walls: [{ name: 'plate', width_mm: 520, height_mm: 110, across_mm: 0, up_mm: 0 }],
    },
    seal_pct: 80,
    ducted: true,
    layers: [
      {
        kind: 'condenser',
        name: 'condenser',
        across_mm: 0,
        up_mm: 0,
        gap_mm: 60,
        width_mm: 560,
        height_mm: 340,
        depth_mm: 18,
        heat_kW: 8,
        hotOnCard_C: 58,
        airSpeed_m_s: 4,
        airIn_C: 35,
        hot_C: 58,
      },
      { kind: 'core', name: 'core', across_mm: 0, up_mm: -40, gap_mm: 15 },
    ],
    exit: { area_cm2: 1200, pressure_pct: -10 },
    recirculation_pct: 15,
  }
}

export function wayView(): AirWayView {
  const layer = (name: string, kind: string, i: number, airIn_C: number, airOut_C: number, hot_C?: number) => ({
    place: `/airWays/0/layers/${i}`,
    name,
    kind,
    width_mm: 500,
    height_mm: 300,
    depth_mm: 40,
    faceSpeed_m_s: 3,
    airIn_C,
    airOut_C,
    heat_kW: 7,
    asked_kW: hot_C == null ? undefined : 8,
    hot_C,
    fallsShort: hot_C != null,
  })
  return {
    place: '/airWays/0',
    name: 'front',
    flow_m3_h: 4200,
    bypass_pct: 21,
    freeOpening_cm2: 600,
    uncovered_pct: 52,
    stackFace_cm2: 1900,
    wind_Pa: 90,
    fan_Pa: 0,
    buoyancy_Pa: 0.4,
    inLoss_Pa: 40,
    stackLoss_Pa: 40,
    outLoss_Pa: 10.4,
    against: false,
    front_C: 34,
    behind_C: 60,
    layers: [layer('condenser', 'CONDENSER', 0, 34, 44, 58), layer('core', 'CORE', 1, 43, 60)],
    speeds: [0, 40, 80, 120].map((v) => ({ roadSpeed_km_h: v, faces_m_s: [0.3 + v / 30, 0.25 + v / 32] })),
  } as AirWayView
}

/** @returns a drawn-out loop with usual pieces, for one of which only the flow is known */
function usualPieces(loop: WaterLoop): LoopPiece[] {
  const bends = (n: number) => Array.from({ length: n }, () => ({ angle_deg: 90, radius_mm: 40 }))
  const list: LoopPiece[] = [
    { kind: 'tank', name: 'header tank', height_mm: 650 },
    { kind: 'hose', name: 'tank to pump', bore_mm: usual['water/piece'].bore_mm, length_mm: 800, height_mm: 620, bends: bends(1) },
    newLoopPiece('pump', 'pump', usual['water/piece'].bore_mm, 250),
    { kind: 'hose', name: 'pump to core', bore_mm: usual['water/piece'].bore_mm, length_mm: 1200, height_mm: 480, bends: bends(2) },
    { kind: 'core', name: 'core', height_mm: 520, ports: 'opposite corners', fedFrom: 'bottom', boss: false },
    {
      kind: 'hose',
      name: loop.radiator ? 'core to radiator' : 'core to tank',
      bore_mm: usual['water/piece'].bore_mm,
      length_mm: 1200,
      height_mm: 600,
      bends: bends(2),
    },
  ]
  if (loop.radiator) {
    list.push({ kind: 'radiator', name: 'radiator', height_mm: 350 })
    list.push({ kind: 'hose', name: 'radiator to tank', bore_mm: usual['water/piece'].bore_mm, length_mm: 900, height_mm: 640, bends: bends(1) })
  }
  return list
}
