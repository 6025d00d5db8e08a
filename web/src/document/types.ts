/** The build file (docs/build-file.md). Numbers carry their unit in the key. */

/** What stands in a list: its identity stays with it while others come and go. */
export interface Row {
  id?: string
}

export interface Bend extends Row {
  angle_deg: number
  /** Absent for a mitre. */
  radius_mm?: number
  mitre?: boolean
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
  waterLoss_kPa?: number
  airLoss_Pa?: number
  /** Size that the card speaks of; the radiator's own where left out. */
  cardWidth_mm?: number
  cardHeight_mm?: number
  cardDepth_mm?: number
  /** By geometry instead of the card. */
  tubes?: { fin: Fin; tubeHeight_mm: number; tubeWall_mm: number; passes?: number }
  air?: FaceAir
}

export interface CurvePoint extends Row {
  flow_L_min: number
  pressure_kPa: number
}

interface LoopPieceBase extends Row {
  name: string
  height_mm: number
}

export const FITTINGS = ['spigot', 'elbow 90', 'elbow 45', 'tee through', 'tee branch', 'ball valve', 'gate valve', 'globe valve', 'check valve'] as const

export type LoopPiece =
  | (LoopPieceBase & { kind: 'pump'; bore_mm: number; beside?: number; speed_pct?: number; drivenAt_rpm?: number; efficiency_pct?: number; curve: CurvePoint[] })
  | (LoopPieceBase & { kind: 'hose'; bore_mm: number; beside?: number; length_mm: number; material?: string; bends?: Bend[] })
  | (LoopPieceBase & { kind: (typeof FITTINGS)[number]; bore_mm: number; beside?: number; length_mm?: number })
  | (LoopPieceBase & { kind: 'core'; ports: string; fedFrom: string; boss?: boolean })
  | (LoopPieceBase & { kind: 'chiller'; loss_kPa: number; flow_L_min: number })
  | (LoopPieceBase & { kind: 'radiator' | 'tank' | 'source' | 'outfall' })
export type LoopPieceKind = LoopPiece['kind']

export interface WaterLoop {
  /** Measured by bucket and watch; found from pump and losses when absent. */
  flow_L_min?: number
  volume_L: number
  glycol_pct?: number
  soak_W_K?: number
  pumpsWhileOff?: boolean
  pieces?: LoopPiece[]
  radiator?: Radiator
  tank?: { holds_L: number; baffled?: boolean; start_C?: number; ice_kg?: number; icePiece_mm?: number; stirred?: string; refilled?: boolean }
  chiller?: { capacity_kW: number; coldest_C: number; dropOutBoost_kPa: number; whileWaiting?: boolean }
  raw?: { temperature_C: number; fouling_m2K_kW?: number }
}

export interface Wall extends Row {
  name: string
  width_mm: number
  height_mm: number
  across_mm: number
  up_mm: number
}

export type LayerKind = 'core' | 'radiator' | 'condenser' | 'engine radiator' | 'oil cooler'

/** Front first; sizes and card only for what the build does not know otherwise. */
export interface AirLayer extends Row {
  kind: LayerKind
  name: string
  across_mm: number
  up_mm: number
  gap_mm: number
  width_mm?: number
  height_mm?: number
  depth_mm?: number
  heat_kW?: number
  hotOnCard_C?: number
  airSpeed_m_s?: number
  airIn_C?: number
  airLoss_Pa?: number
  hot_C?: number
}

export interface AirWay extends Row {
  name: string
  spaceWidth_mm: number
  spaceHeight_mm: number
  opening: { width_mm: number; height_mm: number; pressure_pct: number; open_pct: number; roundedLip?: boolean; walls?: Wall[] }
  seal_pct: number
  ducted: boolean
  layers: AirLayer[]
  fan?: { curve: (Row & { flow_m3_h: number; pressure_Pa: number })[]; backwards?: boolean; offAbove_km_h: number; whileOff?: boolean }
  exit: { area_cm2: number; pressure_pct: number }
  recirculation_pct: number
}

export interface CardPoint extends Row {
  chargeFlow_kg_s: number
  chargePressure_kPa: number
  chargeIn_C: number
  chargeOut_C: number
  loss_kPa: number
  coolantIn_C: number
  airSpeed_m_s?: number
  waterFlow_L_min?: number
}

export interface Card extends CardPoint {
  width_mm: number
  height_mm: number
  depth_mm: number
  mass_kg: number
  chargeShare_pct: number
  wallShare_pct: number
  coolantLoss_Pa?: number
  morePoints?: CardPoint[]
}

export interface Fin {
  type: 'plain' | 'offset strip' | 'louvred'
  gap_mm: number
  pitch_mm: number
  thickness_mm: number
  interval_mm?: number
  louvreAngle_deg?: number
}

export interface Block {
  layers: 'bar-and-plate' | 'tube-and-fin'
  plate_mm: number
  bar_mm: number
  conductivity_W_mK?: number
  chargeFouling_m2K_kW?: number
  coldFouling_m2K_kW?: number
  chargeFin: Fin
  coldFin: Fin
}

export interface FilterPiece extends Row {
  kind: 'filter'
  name: string
  bore_mm: number
  loss_kPa: number
  flow_kg_s: number
  heatGain_K: number
  dirtyLoss_kPa?: number
  soiling_pct?: number
  bayShare_pct?: number
}

export interface MapPoint extends Row {
  flow_kg_s: number
  pressureRatio: number
  efficiency_pct: number
}

export interface BlowerMap {
  name?: string
  referenceTemperature_C: number
  referencePressure_kPa: number
  lines: (Row & { speed_rpm: number; points: MapPoint[] })[]
}

export interface BlowerPiece extends Row {
  kind: 'blower'
  name: string
  type: string
  efficiency_pct: number
  maxPressureRatio: number
  outletBore_mm: number
  map?: BlowerMap
}

/** What differs from stock tube in the engine bay. */
export interface PipeWall {
  thickness_mm?: number
  outside?: boolean
  wrap_mm?: number
  hot?: { temperature_C: number; width_mm: number; distance_mm: number; along_mm: number; shielded: boolean }
}

export interface PipePiece extends Row {
  kind: 'pipe'
  name: string
  material: string
  bore_mm: number
  length_mm: number
  bends: Bend[]
  wall?: PipeWall
}

export interface ReducerPiece extends Row {
  kind: 'reducer'
  name: string
  inletBore_mm: number
  bore_mm: number
  length_mm: number
}

export interface JointPiece extends Row {
  kind: 'joint'
  name: string
  bore_mm: number
  hoseBore_mm: number
  gap_mm: number
}

export interface ThrottlePiece extends Row {
  kind: 'throttle'
  name: string
  bore_mm: number
  shaft_mm: number
}

export type PortSide = 'left' | 'right' | 'up' | 'down'

export interface CorePiece extends Row {
  kind: 'core'
  name: string
  construction: string
  cooledBy: 'air' | 'water'
  width_mm: number
  height_mm: number
  depth_mm: number
  portBore_mm: number
  arrangement?: string
  inletTowards?: PortSide
  tankDepth_mm?: number
  portPlace?: string
  dividedInlet?: boolean
  blocked_pct?: number
  outlets?: number
  card?: Card
  block?: Block
  air?: FaceAir
  water?: WaterLoop
}

export interface InjectionPiece extends Row {
  kind: 'injection'
  name: string
  bore_mm: number
  alcohol_pct: number
  nozzleFlow_L_min: number
  ratedPressure_kPa: number
  pumpPressure_kPa: number
  startBoost_kPa: number
  fullBoost_kPa: number
  tank_L: number
  evaporated_pct: number
}

export interface Leg extends Row {
  name: string
  path: Piece[]
}

export interface PairPiece extends Row {
  kind: 'pair'
  name: string
  splitAngle_deg?: number
  mergeAngle_deg?: number
  mergedBore_mm?: number
  balance?: { bore_mm: number; length_mm: number }
  legs: Leg[]
}

export interface PlenumPiece extends Row {
  kind: 'plenum'
  name: string
  bore_mm: number
  volume_L?: number
  wall?: { mass_kg: number; area_cm2: number; head_C: number; toHead_W_K: number }
}

export type Piece =
  | FilterPiece
  | BlowerPiece
  | PipePiece
  | ReducerPiece
  | JointPiece
  | ThrottlePiece
  | CorePiece
  | InjectionPiece
  | PairPiece
  | PlenumPiece
export type PieceKind = Piece['kind']

export interface BuildOption {
  letter: string
  name: string
  boost_kPa: number
  path: Piece[]
  airWays?: AirWay[]
}

export interface DutyRow extends Row {
  time_s: number
  engineSpeed_rpm: number
  boost_kPa: number
  roadSpeed_km_h: number
}

/** A piece of a duty; each begins where the one before it ended. */
export type DutyPiece = Row &
  (
  | { kind: 'hold' | 'ramp' | 'pull'; time_s: number; roadSpeed_km_h: number; engineSpeed_rpm?: number; boost_kPa: number }
  | { kind: 'brake'; time_s: number; roadSpeed_km_h: number }
  | { kind: 'climb'; length_m: number; roadSpeed_km_h: number; engineSpeed_rpm?: number; boost_kPa: number }
  | { kind: 'wait'; time_s: number; idling: boolean }
  | { kind: 'repeat'; times: number; pieces: DutyPiece[] }
  )
export type DutyPieceKind = DutyPiece['kind']

export interface DutyDocument {
  name: string
  boostFollowsBrief: boolean
  startAbove_K: number
  repeats: number
  wait_s: number
  /** One of the two. */
  rows?: DutyRow[]
  pieces?: DutyPiece[]
}

export interface Gearing {
  tyre_mm: number
  finalDrive: number
  ratios: number[]
  changeUp_rpm: number
  idle_rpm: number
}

export interface Bay {
  standing_K: number
  rolling_K: number
  settles_s: number
}

export interface BuildDocument {
  format: 'enthalpa-build'
  version: number
  name: string
  summary: string
  engine: Record<string, number>
  climate: Record<string, number>
  targets: { intake_C: number; timingPull_C: number; sensorLag_s?: number }
  fullLoad: { engineSpeed_rpm: number; roadSpeed_km_h: number }
  gearing?: Gearing
  bay?: Bay
  duty: DutyDocument
  options: BuildOption[]
}
