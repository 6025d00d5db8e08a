/** The build file (docs/build-file.md). Numbers carry their unit in the key. */
export interface Bend {
  angle_deg: number
  radius_mm: number
}

export interface FaceAir {
  faceShare_pct: number
  standstill_m_s: number
}

export interface Radiator {
  width_mm: number
  height_mm: number
  depth_mm: number
  heat_kW: number
  waterFlow_L_min: number
  waterIn_C: number
  airSpeed_m_s: number
  airIn_C: number
  air: FaceAir
}

export interface Card {
  width_mm: number
  height_mm: number
  depth_mm: number
  [key: string]: number
}

export interface FilterPiece {
  kind: 'filter'
  name: string
  bore_mm: number
  loss_kPa: number
  flow_kg_s: number
  heatGain_K: number
}

export interface BlowerPiece {
  kind: 'blower'
  name: string
  type: string
  efficiency_pct: number
  maxPressureRatio: number
  outletBore_mm: number
}

export interface PipePiece {
  kind: 'pipe'
  name: string
  material: string
  bore_mm: number
  length_mm: number
  bends: Bend[]
}

export interface CorePiece {
  kind: 'core'
  name: string
  construction: string
  cooledBy: 'air' | 'water'
  width_mm: number
  height_mm: number
  depth_mm: number
  portBore_mm: number
  card: Card
  air?: FaceAir
  water?: { flow_L_min: number; volume_L: number; radiator: Radiator }
}

export interface PlenumPiece {
  kind: 'plenum'
  name: string
  bore_mm: number
}

export type Piece = FilterPiece | BlowerPiece | PipePiece | CorePiece | PlenumPiece

export interface BuildOption {
  letter: string
  name: string
  boost_kPa: number
  path: Piece[]
}

export interface DutyRow {
  time_s: number
  engineSpeed_rpm: number
  boost_kPa: number
  roadSpeed_km_h: number
}

export interface BuildDocument {
  format: 'enthalpa-build'
  version: number
  name: string
  summary: string
  engine: Record<string, number>
  climate: Record<string, number>
  targets: { intake_C: number; timingPull_C: number }
  fullLoad: { engineSpeed_rpm: number; roadSpeed_km_h: number }
  duty: {
    name: string
    boostFollowsBrief: boolean
    startAbove_K: number
    repeats: number
    wait_s: number
    rows: DutyRow[]
  }
  options: BuildOption[]
}
