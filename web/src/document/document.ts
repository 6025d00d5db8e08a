/* Made from the records of the build file (formats, package document). Change them there. */

export const roomDocumentCrankAxisWords = ['along', 'across'] as const
export type RoomDocumentCrankAxis = (typeof roomDocumentCrankAxisWords)[number]

export const natureWords = ['trimmed edge', 'body', 'structure', 'air through', 'engine part', 'turning part', 'exhaust', 'shielded exhaust', 'line', 'bonnet', 'tyre', 'keep out', 'ground'] as const
export type Nature = (typeof natureWords)[number]

export const obstacleShapeViewWords = ['front', 'side', 'above'] as const
export type ObstacleShapeView = (typeof obstacleShapeViewWords)[number]

export const intakeFromWords = ['engine bay', 'wheel arch', 'outside', 'scoop'] as const
export type IntakeFrom = (typeof intakeFromWords)[number]

export const blowerTypeWords = ['roots-type', 'screw', 'centrifugal', 'turbo'] as const
export type BlowerType = (typeof blowerTypeWords)[number]

export const pipeMaterialWords = ['aluminium', 'steel', 'stainless', 'silicone'] as const
export type PipeMaterial = (typeof pipeMaterialWords)[number]

export const coolantWords = ['air', 'water'] as const
export type Coolant = (typeof coolantWords)[number]

export const effectivenessWords = ['crossflow', 'crossflow, charge mixed', 'crossflow, coolant mixed', 'counterflow', 'u-flow, passes stacked', 'u-flow, passes behind each other'] as const
export type Effectiveness = (typeof effectivenessWords)[number]

export const portSideWords = ['left', 'right', 'up', 'down'] as const
export type PortSide = (typeof portSideWords)[number]

export const endTankPortPlaceWords = ['middle', 'offset', 'end'] as const
export type EndTankPortPlace = (typeof endTankPortPlaceWords)[number]

export const portTurnWords = ['forwards', 'rearwards', 'left', 'right', 'up', 'down'] as const
export type PortTurn = (typeof portTurnWords)[number]

export const finnedBlockConstructionWords = ['bar-and-plate', 'tube-and-fin'] as const
export type FinnedBlockConstruction = (typeof finnedBlockConstructionWords)[number]

export const finTypeWords = ['plain', 'offset strip', 'louvred'] as const
export type FinType = (typeof finTypeWords)[number]

export const hoseMakeWords = ['plain', 'wired', 'moulded'] as const
export type HoseMake = (typeof hoseMakeWords)[number]

export const corePortsLayoutWords = ['opposite corners', 'one end', 'middle'] as const
export type CorePortsLayout = (typeof corePortsLayoutWords)[number]

export const corePortsFeedWords = ['bottom', 'top'] as const
export type CorePortsFeed = (typeof corePortsFeedWords)[number]

export const fittingLossWords = ['spigot', 'elbow 90', 'elbow 45', 'tee through', 'tee branch', 'ball valve', 'gate valve', 'globe valve', 'check valve', 'kink'] as const
export type FittingLoss = (typeof fittingLossWords)[number]

export const iceStirWords = ['still', 'returned over the ice', 'sprayed'] as const
export type IceStir = (typeof iceStirWords)[number]

export const coolingSideOnLoopWords = ['beside', 'behind'] as const
export type CoolingSideOnLoop = (typeof coolingSideOnLoopWords)[number]

export const layerKindWords = ['core', 'radiator', 'condenser', 'engine radiator', 'oil cooler'] as const
export type LayerKind = (typeof layerKindWords)[number]

export const standWhatWords = ['core', 'radiator', 'tank', 'pump', 'filter', 'blower', 'throttle', 'plenum'] as const
export type StandWhat = (typeof standWhatWords)[number]

export const mountMetalWords = ['steel', 'stainless', 'aluminium'] as const
export type MountMetal = (typeof mountMetalWords)[number]

export const mountAxisWords = ['up', 'back', 'right'] as const
export type MountAxis = (typeof mountAxisWords)[number]

export const scrollRunsWords = ['clockwise', 'anticlockwise'] as const
export type ScrollRuns = (typeof scrollRunsWords)[number]

export const fittingKindWords = ['temperature sensor', 'pressure nipple', 'relief valve', 'injection nozzle', 'plugged boss'] as const
export type FittingKind = (typeof fittingKindWords)[number]

export const couplingWords = ['straight hose', 'hump hose', 'quick joint', 'V-band', 'bellows', 'weld'] as const
export type Coupling = (typeof couplingWords)[number]

export const clampWords = ['worm drive', 'T-bolt', 'constant tension'] as const
export type Clamp = (typeof clampWords)[number]

export const jointsEndWords = ['start', 'end'] as const
export type JointsEnd = (typeof jointsEndWords)[number]

export const uncertainInputWords = ['blower efficiency', 'filling of the cylinders', 'core', 'cooling air', 'water flow', 'radiator', 'outside air', 'start', 'bay', 'ice', 'chiller', 'water ports', 'charge fins', 'cold fins', 'path losses', 'sensor'] as const
export type UncertainInput = (typeof uncertainInputWords)[number]

export const leakRecordSideWords = ['charge', 'water'] as const
export type LeakRecordSide = (typeof leakRecordSideWords)[number]

export const coolingMethodWords = ['no cooler', 'air to air', 'water and radiator', 'ice tank', 'chilled water', 'raw water', 'injection alone', 'injection on top'] as const
export type CoolingMethod = (typeof coolingMethodWords)[number]

/** one build with its duty and options */
export interface BuildDocument {
  format: 'enthalpa-build'
  /** version, 1 to 1000, usually 7: of the file's form */
  version: number
  name: string
  summary: string
  engine: Engine
  climate: Climate
  targets: Targets
  fullLoad: FullLoad
  gearing?: Gearing
  bay?: Bay
  room?: Room
  duty: DutyDocument
  options: BuildOption[]
  fitted?: Fitted
  leakTests?: LeakTest[]
  changes?: MadeChange[]
}

/** shared by all options */
export interface Engine {
  /** displacement, L, 0.05 to 60, usually 2: the engine's data plate */
  displacement_L: number
  /** cylinders, 1 to 24, usually 4: count them */
  cylinders: number
  /** volumetric efficiency, %, 30 to 130, usually 92: two valves 80-88 %, four valves 88-98 %; common practice, no source */
  volumetricEfficiency_pct: number
  /** limiter, rpm, 300 to 20000, usually 6500: where the limiter cuts in */
  maxSpeed_rpm: number
  /** power, kW, 1 to 5000, usually 150: at the crank, present or hoped for: a second opinion on the air it needs */
  power_kW?: number
  /** fuel for the power, g/kWh, 150 to 700, usually 320: boosted petrol 300-360, boosted diesel 210-240 g/kWh; common practice, no source */
  fuelRate_g_kWh?: number
  /** air for the fuel, 4 to 80, usually 12: by mass: boosted petrol 11.5-12.5, diesel 18-25, methanol 4.5-5.5; common practice, no source */
  airFuelRatio?: number
}

/** the air outside */
export interface Climate {
  /** outside air, °C, -40 to 55, usually 25: the hottest day the job must be done on */
  airTemperature_C: number
  /** altitude, m, -400 to 5000, usually 0: above sea level; sets the air pressure by ISO 2533 */
  altitude_m: number
  /** humidity, %, 0 to 100, usually 40: relative, from the weather report */
  humidity_pct: number
  /** barometer, kPa, 40 to 110, usually 101.3: absolute, as measured where you stand; overrides the altitude */
  barometer_kPa?: number
}

/** what the intake temperature is judged by */
export interface Targets {
  /** intake target, °C, 0 to 150, usually 50: there is a best band, not a minimum: 35 to 55 °C suits most; common practice, no source */
  intake_C: number
  /** timing line, °C, 10 to 200, usually 65: where your ECU starts to pull timing */
  timingPull_C: number
  /** sensor's lag, s, 0 to 120, usually 5: time constant in air of 10 m/s: open tip 2-5 s, closed tip 10-20 s; common practice, no source */
  sensorLag_s?: number
}

/** where the charge line is drawn */
export interface FullLoad {
  /** engine speed at full load, rpm, 300 to 20000, usually 5000: where the charge line is drawn; usually peak power */
  engineSpeed_rpm: number
  /** road speed at full load, km/h, 0 to 600, usually 100: decides the cooling air */
  roadSpeed_km_h: number
}

/** from road speed to engine speed */
export interface Gearing {
  /** tyre, once round, mm, 500 to 6000, usually 1950: rolling circumference: chalk mark to chalk mark on the ground */
  tyre_mm: number
  /** final drive, 0.5 to 20, usually 3.9: the axle's plate; with a transfer box its ratio too */
  finalDrive: number
  /** gear, 0.2 to 20, usually 1: first to top */
  ratios: number[]
  /** changes up at, rpm, 500 to 20000, usually 6200: a little under the limiter */
  changeUp_rpm: number
  /** idle, rpm, 100 to 3000, usually 850: engine warm */
  idle_rpm: number
}

/** the engine bay; without it no pipe wall is counted */
export interface Bay {
  /** bay over outside, standing, K, 5 to 110, usually 45: engine warm, idling until it settles: 30-60 K; common practice, no source */
  standing_K: number
  /** bay over outside at 60 km/h, K, 0.5 to 100, usually 14: 8-20 K; common practice, no source */
  rolling_K: number
  /** bay settles in, s, 10 to 3600, usually 240: time constant, standing: 3-6 min; common practice, no source */
  settles_s: number
}

/** the room that every option must fit into, by the tape */
export interface Room {
  datum: string
  carriers?: Carrier[]
  obstacles?: Obstacle[]
  shaking?: Shaking
}

/** what moves against the body, as the engine on its mounts */
export interface Carrier {
  name: string
  axis: RoomDocumentCrankAxis
  /** back, mm, -10000 to 10000, usually 0: rearward from the datum; less than 0 before it */
  back_mm: number
  /** right, mm, -10000 to 10000, usually 0: to the right of the datum as one sits; less than 0 to the left */
  right_mm: number
  /** up, mm, -10000 to 10000, usually 0: above the datum; less than 0 below it */
  up_mm: number
  /** rolls, °, 0 to 20, usually 3: to either side about its axis; an engine on rubber 2-4°; common practice, no source */
  roll_deg: number
  /** fore and aft, mm, 0 to 100, usually 4: to either side; an engine on rubber 3-5 mm; common practice, no source */
  foreAft_mm?: number
  /** sideways, mm, 0 to 100, usually 0: to either side */
  sideways_mm?: number
  /** lifts, mm, 0 to 200, usually 5: up and down; an engine on rubber about 5 mm; common practice, no source */
  lift_mm?: number
  id?: string
}

/** a box by its six sides */
export interface BoxObstacle {
  kind: 'box'
  name: string
  nature: Nature
  carrier?: string
  /** gap asked, mm, 0 to 500, usually 8: empty for the usual of what it is */
  gap_mm?: number
  move?: Moving
  /** front face, mm, -10000 to 10000, usually 0: from the datum; the tape's own figure */
  front_mm: number
  /** rear face, mm, -10000 to 10000, usually 100: from the datum; the tape's own figure */
  rear_mm: number
  /** left side, mm, -10000 to 10000, usually -50: from the datum; the tape's own figure */
  left_mm: number
  /** right side, mm, -10000 to 10000, usually 50: from the datum; the tape's own figure */
  right_mm: number
  /** underside, mm, -10000 to 10000, usually -50: from the datum; the tape's own figure */
  bottom_mm: number
  /** top, mm, -10000 to 10000, usually 50: from the datum; the tape's own figure */
  top_mm: number
  /** turned, °, -180 to 180, usually 0: clockwise seen from above */
  turned_deg?: number
  /** tipped, °, -180 to 180, usually 0: its top rearwards */
  tipped_deg?: number
  /** leaned, °, -180 to 180, usually 0: its top to the right */
  leaned_deg?: number
  id?: string
}

/** what it costs to move it out of the way */
export interface Moving {
  /** hours to move it, 0 to 500, usually 1: of work, there and back */
  hours: number
  /** parts to move it, 0 to 1000000, usually 0: in your currency */
  price?: number
  words?: string
}

/** a cylinder or a cone by the middles of its ends */
export interface RoundObstacle {
  kind: 'cylinder'
  name: string
  nature: Nature
  carrier?: string
  /** gap asked, mm, 0 to 500, usually 8: empty for the usual of what it is */
  gap_mm?: number
  move?: Moving
  /** back, mm, -10000 to 10000, usually 0: rearward from the datum; less than 0 before it */
  back_mm: number
  /** right, mm, -10000 to 10000, usually 0: to the right of the datum as one sits; less than 0 to the left */
  right_mm: number
  /** up, mm, -10000 to 10000, usually 0: above the datum; less than 0 below it */
  up_mm: number
  /** diameter, mm, 1 to 5000, usually 60: outside, over all that stands out of it */
  diameter_mm: number
  /** other end, back, mm, -10000 to 10000, usually 100: from the datum; the tape's own figure */
  toBack_mm: number
  /** other end, right, mm, -10000 to 10000, usually 0: from the datum; the tape's own figure */
  toRight_mm: number
  /** other end, up, mm, -10000 to 10000, usually 0: from the datum; the tape's own figure */
  toUp_mm: number
  /** diameter there, mm, 0 to 5000, usually 60: of a cone; empty for a cylinder */
  toDiameter_mm?: number
  id?: string
}

/** a ball */
export interface BallObstacle {
  kind: 'ball'
  name: string
  nature: Nature
  carrier?: string
  /** gap asked, mm, 0 to 500, usually 8: empty for the usual of what it is */
  gap_mm?: number
  move?: Moving
  /** back, mm, -10000 to 10000, usually 0: rearward from the datum; less than 0 before it */
  back_mm: number
  /** right, mm, -10000 to 10000, usually 0: to the right of the datum as one sits; less than 0 to the left */
  right_mm: number
  /** up, mm, -10000 to 10000, usually 0: above the datum; less than 0 below it */
  up_mm: number
  /** diameter, mm, 1 to 5000, usually 60: outside, over all that stands out of it */
  diameter_mm: number
  id?: string
}

/** a hose, cable or line, straight from point to point */
export interface TubeObstacle {
  kind: 'tube'
  name: string
  nature: Nature
  carrier?: string
  /** gap asked, mm, 0 to 500, usually 8: empty for the usual of what it is */
  gap_mm?: number
  move?: Moving
  /** diameter, mm, 1 to 5000, usually 60: outside, over all that stands out of it */
  diameter_mm: number
  points: Point[]
  id?: string
}

/** a point of a hose, cable or line */
export interface Point {
  /** back, mm, -10000 to 10000, usually 0: rearward from the datum; less than 0 before it */
  back_mm: number
  /** right, mm, -10000 to 10000, usually 0: to the right of the datum as one sits; less than 0 to the left */
  right_mm: number
  /** up, mm, -10000 to 10000, usually 0: above the datum; less than 0 below it */
  up_mm: number
  id?: string
}

/** all above or below a plane: bonnet, under-tray, ground */
export interface PlaneObstacle {
  kind: 'plane'
  name: string
  nature: Nature
  carrier?: string
  /** gap asked, mm, 0 to 500, usually 8: empty for the usual of what it is */
  gap_mm?: number
  move?: Moving
  /** back, mm, -10000 to 10000, usually 0: rearward from the datum; less than 0 before it */
  back_mm: number
  /** right, mm, -10000 to 10000, usually 0: to the right of the datum as one sits; less than 0 to the left */
  right_mm: number
  /** up, mm, -10000 to 10000, usually 0: above the datum; less than 0 below it */
  up_mm: number
  /** falls forwards, °, -80 to 80, usually 0: less than 0 rearwards */
  falls_deg?: number
  /** falls to the right, °, -80 to 80, usually 0: less than 0 to the left */
  leans_deg?: number
  above: boolean
  id?: string
}

/** what is alike all along one direction, by its outline */
export interface PrismObstacle {
  kind: 'prism'
  name: string
  nature: Nature
  carrier?: string
  /** gap asked, mm, 0 to 500, usually 8: empty for the usual of what it is */
  gap_mm?: number
  move?: Moving
  seen: ObstacleShapeView
  /** from, mm, -10000 to 10000, usually 0: along the line of sight: seen from the front its front face, from the side its left one, from above its underside */
  from_mm: number
  /** to, mm, -10000 to 10000, usually 100: the other face */
  to_mm: number
  outline: Corner[]
  id?: string
}

/** a corner of a drawn outline */
export interface Corner {
  /** corner, across, mm, -10000 to 10000, usually 0: seen from the front and from above to the right as one sits, from the side rearward */
  across_mm: number
  /** corner, up, mm, -10000 to 10000, usually 0: seen from above it is rearward */
  up_mm: number
  id?: string
}

/** a surface of triangles from a file, its middle at a place, then turned about that */
export interface MeshObstacle {
  kind: 'mesh'
  name: string
  nature: Nature
  carrier?: string
  /** gap asked, mm, 0 to 500, usually 8: empty for the usual of what it is */
  gap_mm?: number
  move?: Moving
  /** back, mm, -10000 to 10000, usually 0: rearward from the datum; less than 0 before it */
  back_mm: number
  /** right, mm, -10000 to 10000, usually 0: to the right of the datum as one sits; less than 0 to the left */
  right_mm: number
  /** up, mm, -10000 to 10000, usually 0: above the datum; less than 0 below it */
  up_mm: number
  /** turned, °, -180 to 180, usually 0: clockwise seen from above */
  turned_deg?: number
  /** tipped, °, -180 to 180, usually 0: its top rearwards */
  tipped_deg?: number
  /** leaned, °, -180 to 180, usually 0: its top to the right */
  leaned_deg?: number
  skin?: boolean
  triangles: string
  id?: string
}

/** what mounts must bear, in times the weight of what hangs on them */
export interface Shaking {
  /** times its weight, up and down, 1 to 50, usually 5: that itself counted: a car or van on roads 5, common practice, no source; a boat or sled more */
  vertical: number
  /** times its weight, sideways, 0 to 50, usually 3: a car or van on roads 3, common practice, no source */
  across: number
}

/** the job, as rows or as pieces */
export interface DutyDocument {
  name: string
  boostFollowsBrief: boolean
  /** start above outside air, K, 0 to 120, usually 10: core and water after the drive to the start; 5-25 K is usual; common practice, no source */
  startAbove_K: number
  /** runs, 1 to 200, usually 1: how often the table is run */
  repeats: number
  /** wait between runs, s, 0 to 36000, usually 0: engine off, car standing */
  wait_s: number
  pieces?: DutyPiece[]
  rows?: DutyRow[]
}

/** hold: that for a time; ramp: straight to these; pull: full boost, up through the gears */
export interface DrivenPiece {
  kind: 'hold' | 'ramp' | 'pull'
  /** for, s, 0.1 to 36000, usually 20: how long this piece lasts */
  time_s: number
  /** road speed, km/h, 0 to 600, usually 100: held, or where a ramp, pull or braking ends */
  roadSpeed_km_h: number
  /** engine speed, rpm, 0 to 20000, usually 4000: empty: by the gearing of the Brief */
  engineSpeed_rpm?: number
  /** boost, kPa, -90 to 500, usually 100: above outside air; below zero is throttled */
  boost_kPa: number
  id?: string
}

/** throttle shut */
export interface BrakePiece {
  kind: 'brake'
  /** for, s, 0.1 to 36000, usually 20: how long this piece lasts */
  time_s: number
  /** road speed, km/h, 0 to 600, usually 100: held, or where a ramp, pull or braking ends */
  roadSpeed_km_h: number
  id?: string
}

/** a hill at one speed */
export interface ClimbPiece {
  kind: 'climb'
  /** length of the hill, m, 10 to 200000, usually 5000: of road */
  length_m: number
  /** road speed, km/h, 0 to 600, usually 100: held, or where a ramp, pull or braking ends */
  roadSpeed_km_h: number
  /** engine speed, rpm, 0 to 20000, usually 4000: empty: by the gearing of the Brief */
  engineSpeed_rpm?: number
  /** boost, kPa, -90 to 500, usually 100: above outside air; below zero is throttled */
  boost_kPa: number
  id?: string
}

/** standing; idling false is engine off */
export interface WaitPiece {
  kind: 'wait'
  /** for, s, 0.1 to 36000, usually 20: how long this piece lasts */
  time_s: number
  idling: boolean
  id?: string
}

/** what stands inside, again and again; up to three deep */
export interface RepeatPiece {
  kind: 'repeat'
  /** times, 1 to 500, usually 2: how often what stands inside is run */
  times: number
  pieces: DutyPiece[]
  id?: string
}

/** a moment; straight between rows, time rising from 0 */
export interface DutyRow {
  /** time, s, 0 to 36000, usually 0: from the start */
  time_s: number
  /** engine speed, rpm, 0 to 20000, usually 3000: 0 is engine off */
  engineSpeed_rpm: number
  /** boost, kPa, -90 to 500, usually 100: above outside air; below zero is throttled */
  boost_kPa: number
  /** road speed, km/h, 0 to 600, usually 60: 0 is standing */
  roadSpeed_km_h: number
  id?: string
}

/** one way of doing the job */
export interface BuildOption {
  letter: string
  name: string
  /** boost, kPa, 0 to 500, usually 100: in the manifold above outside air, as the gauge shows it */
  boost_kPa: number
  path: Piece[]
  airWays?: AirWay[]
  stands?: Stand[]
  runs?: Run[]
  joints?: Joints
}

/** filter and intake in front of the blower */
export interface FilterPiece {
  kind: 'filter'
  name: string
  /** filter outlet bore, mm, 10 to 400, usually 76: inside */
  bore_mm: number
  /** filter loss, kPa, 0 to 30, usually 1.5: clean panel filter with box 1-2.5 kPa at full flow; common practice, no source */
  loss_kPa: number
  /** flow at that loss, kg/s, 0.005 to 10, usually 0.15: the flow the loss was read at */
  flow_kg_s: number
  /** intake warm-up, K, 0 to 60, usually 3: cold snorkel 1-4 K, open filter in the bay 10-25 K; common practice, no source */
  heatGain_K: number
  /** loss when due for change, kPa, 0 to 40, usually 3: about twice the clean loss; common practice, no source */
  dirtyLoss_kPa?: number
  /** how dirty, %, 0 to 100, usually 0: 0 is clean, 100 due for change */
  soiling_pct?: number
  /** drawn from the bay, %, 0 to 100, usually 0: of its air, on top of the warm-up: sealed box 0-10, open filter in the bay 60-100 %; common practice, no source */
  bayShare_pct?: number
  drawsFrom?: IntakeFrom
  /** ram kept, %, 0 to 100, usually 50: of the pressure of the air that is met on the road; a scoop that looks forwards about half, nothing elsewhere; common practice, no source */
  ram_pct?: number
  id?: string
}

/** turbo or supercharger */
export interface BlowerPiece {
  kind: 'blower'
  name: string
  type: BlowerType
  /** blower efficiency, %, 30 to 90, usually 70: isentropic: roots-type 50-60, screw 65-75, centrifugal 68-78, turbo 65-78 %; common practice, no source */
  efficiency_pct: number
  /** most pressure ratio, 1.05 to 6, usually 3: what the blower can make; from its maker */
  maxPressureRatio: number
  /** blower outlet bore, mm, 10 to 400, usually 51: inside */
  outletBore_mm: number
  map?: BlowerMap
  id?: string
}

/** a compressor map */
export interface BlowerMap {
  name?: string
  /** map's inlet temperature, °C, -20 to 60, usually 25: that the map's flow and speed are corrected to; it stands on the map */
  referenceTemperature_C: number
  /** map's inlet pressure, kPa, 80 to 120, usually 100: absolute; it stands on the map */
  referencePressure_kPa: number
  lines: MapLine[]
}

/** one speed, from surge to choke */
export interface MapLine {
  /** map line speed, rpm, 500 to 500000, usually 100000: corrected, as on the map */
  speed_rpm: number
  points: MapPoint[]
  id?: string
}

/** a point of it */
export interface MapPoint {
  /** map flow, kg/s, 0.001 to 20, usually 0.15: corrected, as on the map */
  flow_kg_s: number
  /** map pressure ratio, 1 to 8, usually 2: total to total, as on the map */
  pressureRatio: number
  /** map efficiency, %, 20 to 92, usually 72: isentropic, as on the map */
  efficiency_pct: number
  id?: string
}

/** tube or hose with its bends */
export interface PipePiece {
  kind: 'pipe'
  name: string
  material: PipeMaterial
  /** outside diameter, mm, 10 to 440, usually 63.5: of tube, which is sold so; the bore is less by two walls */
  outside_mm?: number
  /** bore, mm, 10 to 400, usually 63: inside; of hose, which is sold so, or of tube in place of its outside */
  bore_mm?: number
  /** straight length, mm, 0 to 20000, usually 1000: bends not counted */
  length_mm: number
  bends: Bend[]
  wall?: PipeWall
  id?: string
}

/** a bend, or a mitre */
export interface Bend {
  /** bend angle, °, 0 to 180, usually 90: as cut */
  angle_deg: number
  mitre?: boolean
  /** bend radius, mm, 7 to 2000, usually 95: of the centre line; empty: stock, 1.5 times the tube's outside or the hose's bore; none of a mitre */
  radius_mm?: number
  id?: string
}

/** what differs from stock tube in the engine bay */
export interface PipeWall {
  /** wall, mm, 0.3 to 20, usually 1.6: stock: aluminium 1.6, steel 1.5, stainless 1.2, silicone 5 mm; common practice, no source */
  thickness_mm?: number
  outside?: boolean
  /** wrap, mm, 0 to 50, usually 0: fibre or foam round it; one layer of tape 1.5-2 mm */
  wrap_mm?: number
  hot?: Hot
}

/** something hot beside it */
export interface Hot {
  /** hot neighbour, °C, 30 to 1000, usually 600: turbine housing 500-750, manifold 400-700, silencer 200-400 °C; common practice, no source */
  temperature_C: number
  /** its width, mm, 5 to 2000, usually 120: across the pipe */
  width_mm: number
  /** from the pipe's middle, mm, 5 to 3000, usually 100: to its face */
  distance_mm: number
  /** along, mm, 10 to 10000, usually 250: length of pipe that it stands beside */
  along_mm: number
  shielded: boolean
}

/** a cone or a step from one bore to another */
export interface ReducerPiece {
  kind: 'reducer'
  name: string
  /** bore in, mm, 10 to 400, usually 63: inside */
  inletBore_mm: number
  /** bore out, mm, 10 to 400, usually 76: inside */
  bore_mm: number
  /** cone length, mm, 0 to 1000, usually 75: 0 is a step; 20° of included angle or less costs least when it opens */
  length_mm: number
  id?: string
}

/** two pipe ends in a hose */
export interface JointPiece {
  kind: 'joint'
  name: string
  /** pipe bore, mm, 10 to 400, usually 63: inside, of the pipe ends */
  bore_mm: number
  /** hose bore, mm, 10 to 420, usually 67: inside the hose, or its hump: pipe bore and twice the wall */
  hoseBore_mm: number
  /** gap between pipe ends, mm, 0 to 400, usually 8: 5-15 mm is usual; common practice, no source */
  gap_mm: number
  id?: string
}

/** a butterfly; in front of the blower it is drawn through */
export interface ThrottlePiece {
  kind: 'throttle'
  name: string
  /** throttle bore, mm, 10 to 200, usually 60: inside */
  bore_mm: number
  /** shaft thickness, mm, 1 to 40, usually 9: of shaft and plate across the bore; 8-10 mm is usual; common practice, no source */
  shaft_mm: number
  id?: string
}

/** a charge cooler, known by its card or by its geometry */
export interface CorePiece {
  kind: 'core'
  name: string
  construction: string
  cooledBy: Coolant
  /** core width, mm, 30 to 2500, usually 500: finned block along the charge, tanks not counted */
  width_mm: number
  /** core height, mm, 30 to 1500, usually 250: finned block */
  height_mm: number
  /** core depth, mm, 10 to 400, usually 64: finned block */
  depth_mm: number
  arrangement?: Effectiveness
  inletTowards?: PortSide
  /** core port bore, mm, 10 to 400, usually 63: inside; of the outlet too unless that has its own */
  portBore_mm: number
  /** core outlet bore, mm, 10 to 400, usually 63: inside, where it is other than the inlet's */
  outletBore_mm?: number
  /** port stub, mm, 0 to 500, usually 40: that a port stands out of its tank: 35-50 for a hose and its clamp; common practice, no source */
  portStub_mm?: number
  /** end tank depth, mm, 0 to 400, usually 63: from the block's face to the back of the tank; the port's bore is usual, 0 for a block fed over its face */
  tankDepth_mm?: number
  portPlace?: EndTankPortPlace
  portTowards?: PortSide
  outletPlace?: EndTankPortPlace
  outletTowards?: PortSide
  dividedInlet?: boolean
  /** passages blocked, %, 0 to 90, usually 0: by a boss, weld or dirt; share of the passages that get no air */
  blocked_pct?: number
  /** outlets, 1 to 2, usually 1: two for two banks */
  outlets?: number
  inletTurn?: PortTurn
  outletTurn?: PortTurn
  /** elbow radius, mm, 7 to 2000, usually 63: of its middle line; empty for the port's bore, the tightest that is bought; common practice, no source */
  elbowRadius_mm?: number
  /** elbow turns by, °, 10 to 90, usually 90: a right angle where it is not said */
  elbowAngle_deg?: number
  card?: Card
  block?: Block
  air?: FaceAir
  water?: WaterLoop
  sharesLoop?: SharesLoop
  id?: string
}

/** what its maker measured */
export interface Card {
  /** card: core width, mm, 30 to 2500, usually 500: size that was measured */
  width_mm: number
  /** card: core height, mm, 30 to 1500, usually 250: size that was measured */
  height_mm: number
  /** card: core depth, mm, 10 to 400, usually 64: size that was measured */
  depth_mm: number
  /** card: core mass, kg, 0.1 to 300, usually 6: dry, with tanks */
  mass_kg: number
  /** card: charge flow, kg/s, 0.005 to 10, usually 0.2: maker's card */
  chargeFlow_kg_s: number
  /** card: charge pressure, kPa, 80 to 700, usually 200: absolute, at the inlet */
  chargePressure_kPa: number
  /** card: charge in, °C, 20 to 300, usually 140: maker's card */
  chargeIn_C: number
  /** card: charge out, °C, -20 to 250, usually 45: maker's card */
  chargeOut_C: number
  /** card: loss, kPa, 0.05 to 100, usually 3.5: maker's card, port to port */
  loss_kPa: number
  /** card: face air, m/s, 0.2 to 40, usually 8: maker's card, of a core cooled by air */
  airSpeed_m_s?: number
  /** card: water flow, L/min, 0.5 to 1000, usually 20: maker's card, of a core cooled by water */
  waterFlow_L_min?: number
  /** card: coolant in, °C, -20 to 90, usually 25: air or water, maker's card */
  coolantIn_C: number
  /** card: charge side share, %, 5 to 90, usually 35: of the whole resistance; air-cooled about 35, water-cooled about 75 %; common practice, no source */
  chargeShare_pct: number
  /** card: wall share, %, 0.1 to 50, usually 3: wall and fouling; a clean brazed core 1-4 %; common practice, no source */
  wallShare_pct: number
  /** card: coolant loss, Pa, 1 to 200000, usually 8000: of water or air at the card's flow; where it is silent 8 kPa of water, 150 Pa of air for each metre of depth at 1 m/s; common practice, no source */
  coolantLoss_Pa?: number
  morePoints?: CardPoint[]
}

/** one more point of a card */
export interface CardPoint {
  /** card: charge flow, kg/s, 0.005 to 10, usually 0.2: maker's card */
  chargeFlow_kg_s: number
  /** card: charge pressure, kPa, 80 to 700, usually 200: absolute, at the inlet */
  chargePressure_kPa: number
  /** card: charge in, °C, 20 to 300, usually 140: maker's card */
  chargeIn_C: number
  /** card: charge out, °C, -20 to 250, usually 45: maker's card */
  chargeOut_C: number
  /** card: loss, kPa, 0.05 to 100, usually 3.5: maker's card, port to port */
  loss_kPa: number
  /** card: face air, m/s, 0.2 to 40, usually 8: maker's card, of a core cooled by air */
  airSpeed_m_s?: number
  /** card: water flow, L/min, 0.5 to 1000, usually 20: maker's card, of a core cooled by water */
  waterFlow_L_min?: number
  /** card: coolant in, °C, -20 to 90, usually 25: air or water, maker's card */
  coolantIn_C: number
  id?: string
}

/** its geometry */
export interface Block {
  layers: FinnedBlockConstruction
  /** plate or tube wall, mm, 0.1 to 5, usually 0.5: bar-and-plate 0.4-0.6 mm, tubes 0.3-0.5 mm; common practice, no source */
  plate_mm: number
  /** bar width, mm, 0.2 to 30, usually 5: closing bars 4-8 mm; nose of a tube about 1 mm; common practice, no source */
  bar_mm: number
  /** metal's conductivity, W/mK, 10 to 400, usually 180: brazing sheet 170-190; copper 380; stainless 16; Incropera & DeWitt, from memory */
  conductivity_W_mK?: number
  /** fouling, charge side, m²K/kW, 0 to 5, usually 0.05: clean 0; oil film behind a blower 0.1-0.3; common practice, no source */
  chargeFouling_m2K_kW?: number
  /** fouling, cooling side, m²K/kW, 0 to 5, usually 0: clean 0; flies and dust 0.2-0.5; sea water 0.1-0.2; common practice, no source */
  coldFouling_m2K_kW?: number
  chargeFin: Fin
  coldFin: Fin
}

/** a fin */
export interface Fin {
  type: FinType
  /** fin height, mm, 0.5 to 40, usually 6: between the plates: height of the layer */
  gap_mm: number
  /** fin pitch, mm, 0.3 to 30, usually 2: from fin to fin: 25.4 over fins per inch */
  pitch_mm: number
  /** fin thickness, mm, 0.03 to 3, usually 0.15: 0.08-0.3 mm is usual; common practice, no source */
  thickness_mm: number
  /** strip length or louvre pitch, mm, 0.5 to 50, usually 3: offset strips 2-6 mm, louvres 0.9-1.7 mm; common practice, no source; none of a plain fin */
  interval_mm?: number
  /** louvre angle, °, 8 to 40, usually 27: 20-30° is usual; common practice, no source; of a louvred fin */
  louvreAngle_deg?: number
}

/** air by a share of road speed, for what stands in no way of the air */
export interface FaceAir {
  /** face air share, %, 0.5 to 100, usually 22: speed at the face over road speed: open front 15-35 %, sealed duct 30-50 %; common practice, no source */
  faceShare_pct?: number
  /** face air standing, m/s, 0.05 to 30, usually 0.5: what fan or warm air still moves; no fan about 0.3 m/s; common practice, no source */
  standstill_m_s?: number
}

/** the water of a core */
export interface WaterLoop {
  /** water flow given, L/min, 0.5 to 3000, usually 20: by bucket and watch, or a guess; leave empty to find it from pump and losses */
  flow_L_min?: number
  flowGuessed?: boolean
  /** water in all, L, 1 to 500, usually 6: tank, hoses, core and radiator */
  volume_L: number
  /** heat from the bay, W/K, 0 to 200, usually 4: through hoses, tank and core: 2-8 W/K bare, 1-3 wrapped; common practice, no source */
  soak_W_K?: number
  pumpsWhileOff?: boolean
  /** glycol, %, 0 to 60, usually 0: ethylene glycol by volume as poured; 0 where the rules want plain water */
  glycol_pct?: number
  pieces?: LoopPiece[]
  radiator?: Radiator
  tank?: Tank
  chiller?: Chiller
  raw?: RawWater
}

/** a pump with its curve */
export interface PumpPiece {
  kind: 'pump'
  name: string
  /** height, mm, -3000 to 5000, usually 400: above the ground or any datum, the same for all; of a hose its highest place */
  height_mm: number
  /** bore, mm, 3 to 200, usually 19: inside; the smallest bore of a loop rules it */
  bore_mm: number
  /** side by side, 1 to 6, usually 1: equal ones that share the flow */
  beside?: number
  /** pump speed, %, 5 to 200, usually 100: over that of its curve; voltage changes it about in proportion */
  speed_pct?: number
  /** driven by the engine at, rpm, 100 to 20000, usually 2000: engine speed that the curve belongs to; empty for its own motor */
  drivenAt_rpm?: number
  /** pump efficiency, %, 2 to 90, usually 25: hydraulic power over power drawn: small electric pumps 20-40 %; common practice, no source */
  efficiency_pct?: number
  curve: CurvePoint[]
  id?: string
}

/** a point of a pump's curve */
export interface CurvePoint {
  /** curve flow, L/min, 0 to 3000, usually 30: from its maker, or bucket and watch */
  flow_L_min: number
  /** curve pressure, kPa, 0 to 600, usually 40: from its maker, or a gauge */
  pressure_kPa: number
  id?: string
}

/** a hose */
export interface HosePiece {
  kind: 'hose'
  name: string
  /** height, mm, -3000 to 5000, usually 400: above the ground or any datum, the same for all; of a hose its highest place */
  height_mm: number
  /** bore, mm, 3 to 200, usually 19: inside; the smallest bore of a loop rules it */
  bore_mm: number
  /** side by side, 1 to 6, usually 1: equal ones that share the flow */
  beside?: number
  material?: PipeMaterial
  /** length, mm, 0 to 20000, usually 800: straight length of a hose, bends not counted; of a spigot its narrow part */
  length_mm: number
  bends?: Bend[]
  /** wrap, mm, 0 to 50, usually 0: foam or fibre round it, so that a cold hose does not drip; its heat from the bay is that of the loop */
  wrap_mm?: number
  make?: HoseMake
  /** bends to no less than, mm, 5 to 2000, usually 50: radius of its middle line, as its maker says; empty for 5 bores plain, 2.5 wired, 1.5 moulded */
  least_mm?: number
  id?: string
}

/** the core itself, by its water ports */
export interface CoreSidePiece {
  kind: 'core'
  name: string
  /** height, mm, -3000 to 5000, usually 400: above the ground or any datum, the same for all; of a hose its highest place */
  height_mm: number
  ports: CorePortsLayout
  fedFrom: CorePortsFeed
  boss?: boolean
  id?: string
}

/** radiator and tank, described beside the pieces; first and last of an open line */
export interface PlainPiece {
  kind: 'radiator' | 'tank' | 'source' | 'outfall'
  name: string
  /** height, mm, -3000 to 5000, usually 400: above the ground or any datum, the same for all; of a hose its highest place */
  height_mm: number
  id?: string
}

/** the chiller, described beside the pieces */
export interface ChillerPiece {
  kind: 'chiller'
  name: string
  /** height, mm, -3000 to 5000, usually 400: above the ground or any datum, the same for all; of a hose its highest place */
  height_mm: number
  /** chiller loss, kPa, 0 to 100, usually 8: of water through it */
  loss_kPa: number
  /** at flow, L/min, 0.5 to 1000, usually 20: that the loss was read at */
  flow_L_min: number
  id?: string
}

/** a fitting or a valve */
export interface FittingPiece {
  kind: FittingLoss
  name: string
  /** height, mm, -3000 to 5000, usually 400: above the ground or any datum, the same for all; of a hose its highest place */
  height_mm: number
  /** bore, mm, 3 to 200, usually 19: inside; the smallest bore of a loop rules it */
  bore_mm: number
  /** side by side, 1 to 6, usually 1: equal ones that share the flow */
  beside?: number
  /** length, mm, 0 to 20000, usually 800: straight length of a hose, bends not counted; of a spigot its narrow part */
  length_mm?: number
  id?: string
}

/** the radiator of a loop, known by its card or by its tubes */
export interface Radiator {
  /** radiator width, mm, 30 to 2500, usually 400: finned block */
  width_mm: number
  /** radiator height, mm, 30 to 1500, usually 250: finned block */
  height_mm: number
  /** radiator depth, mm, 10 to 400, usually 32: finned block */
  depth_mm: number
  /** width on its card, mm, 30 to 2500, usually 400: finned block that the card speaks of; the same where left out */
  cardWidth_mm?: number
  /** height on its card, mm, 30 to 1500, usually 250: finned block that the card speaks of; the same where left out */
  cardHeight_mm?: number
  /** depth on its card, mm, 10 to 400, usually 32: finned block that the card speaks of; the same where left out */
  cardDepth_mm?: number
  /** radiator heat on its card, kW, 0.1 to 1000, usually 12: maker's card */
  heat_kW?: number
  /** water flow on its card, L/min, 0.5 to 1000, usually 20: maker's card */
  waterFlow_L_min?: number
  /** water in on its card, °C, 5 to 120, usually 60: maker's card */
  waterIn_C?: number
  /** face air on its card, m/s, 0.2 to 40, usually 5: maker's card */
  airSpeed_m_s?: number
  /** air in on its card, °C, -20 to 60, usually 25: maker's card */
  airIn_C?: number
  /** water loss on its card, kPa, 0.1 to 100, usually 6: maker's card; about 6 kPa where it is silent */
  waterLoss_kPa?: number
  /** air loss on its card, Pa, 1 to 3000, usually 80: maker's card; 150 Pa for each metre of depth at 1 m/s where it is silent; common practice, no source */
  airLoss_Pa?: number
  tubes?: Tubes
  air?: FaceAir
}

/** its geometry */
export interface Tubes {
  fin: Fin
  /** tube height, mm, 0.8 to 20, usually 2: outside, across the flat tube */
  tubeHeight_mm: number
  /** tube wall, mm, 0.1 to 2, usually 0.3: 0.25-0.4 mm is usual; common practice, no source */
  tubeWall_mm: number
  /** passes, 1 to 4, usually 1: 1 straight through, 2 there and back */
  passes?: number
}

/** a tank, with ice or without */
export interface Tank {
  /** tank holds, L, 0.2 to 500, usually 8: street and strip about 20 L, ice about 38 L; common practice, no source */
  holds_L: number
  baffled?: boolean
  refilled?: boolean
  /** water at the start, °C, -20 to 95, usually 20: empty: as soaked after the drive to the start, or ice water */
  start_C?: number
  /** ice, kg, 0 to 400, usually 0: put in before the start */
  ice_kg?: number
  /** ice pieces, mm, 5 to 400, usually 30: edge: cubes 25-35 mm, broken block 60-100 mm; common practice, no source */
  icePiece_mm?: number
  stirred?: IceStir
  /** cap holds, kPa, 0 to 250, usually 90: printed on it: 50-110 kPa, or 0.5-1.1 bar; empty or 0: open; common practice, no source */
  cap_kPa?: number
}

/** cold from the car's air conditioning */
export interface Chiller {
  /** chiller capacity, kW, 0.1 to 60, usually 4: at 20 °C water and 25 °C outside; a car's air conditioning gives 3-6 kW; common practice, no source */
  capacity_kW: number
  /** coldest water, °C, -25 to 40, usually 4: where its thermostat stops */
  coldest_C: number
  /** cut out from boost, kPa, -50 to 600, usually 20: full throttle cuts the compressor out in most cars */
  dropOutBoost_kPa: number
  whileWaiting?: boolean
}

/** sea, lake or mains water that passes once */
export interface RawWater {
  /** raw water, °C, -2 to 45, usually 18: the warmest sea, lake or mains of the season */
  temperature_C: number
  /** fouling, water side, m²K/kW, 0 to 3, usually 0.15: clean 0; sea water 0.1-0.2; TEMA's allowances, from memory */
  fouling_m2K_kW?: number
}

/** a core without a loop of its own: it hangs on another core's */
export interface SharesLoop {
  core: string
  stands: CoolingSideOnLoop
}

/** water and methanol sprayed into the charge */
export interface InjectionPiece {
  kind: 'injection'
  name: string
  /** pipe bore, mm, 10 to 400, usually 63: inside, where the nozzle stands */
  bore_mm: number
  /** methanol in the mix, %, 0 to 100, usually 50: by volume; half and half is usual; common practice, no source */
  alcohol_pct: number
  /** nozzle flow, L/min, 0.01 to 20, usually 0.4: all nozzles together, at the pressure they are rated for */
  nozzleFlow_L_min: number
  /** rated at, kPa, 50 to 3000, usually 700: pressure difference that the nozzle's flow is given at */
  ratedPressure_kPa: number
  /** pump pressure, kPa, 100 to 3000, usually 1000: at the nozzle, above outside air */
  pumpPressure_kPa: number
  /** starts at boost, kPa, 0 to 500, usually 40: controller setting */
  startBoost_kPa: number
  /** full at boost, kPa, 0 to 500, usually 90: controller setting; straight between start and full */
  fullBoost_kPa: number
  /** tank, L, 0.1 to 400, usually 5: usable content */
  tank_L: number
  /** evaporates before the plenum, %, 0 to 100, usually 50: 40-70 % with fine nozzles 300 mm or more ahead; the rest in the cylinder; common practice, no source */
  evaporated_pct: number
  id?: string
}

/** two legs side by side */
export interface PairPiece {
  kind: 'pair'
  name: string
  /** angle at the split, °, 0 to 90, usually 30: between a leg and the common pipe; 90 is a straight tee */
  splitAngle_deg?: number
  /** angle at the merge, °, 0 to 90, usually 20: between a leg and the common pipe; collectors have 10-20° */
  mergeAngle_deg?: number
  /** bore behind the merge, mm, 10 to 400, usually 76: inside */
  mergedBore_mm?: number
  legs: Leg[]
  balance?: Balance
  id?: string
}

/** one of the two */
export interface Leg {
  name: string
  path: Piece[]
  id?: string
}

/** where the path ends */
export interface PlenumPiece {
  kind: 'plenum'
  name: string
  /** plenum inlet bore, mm, 10 to 400, usually 63: throttle body or plenum neck, inside */
  bore_mm: number
  /** plenum volume, L, 0.05 to 100, usually 3: plenum and runners up to the valves; counts for filling only */
  volume_L?: number
  wall?: PlenumWall
  id?: string
}

/** its metal, which the charge warms and cools */
export interface PlenumWall {
  /** metal of the plenum, kg, 0.2 to 200, usually 4: with its runners; aluminium */
  mass_kg: number
  /** inside area, cm², 50 to 100000, usually 1500: of plenum and runners */
  area_cm2: number
  /** engine at its flange, °C, 40 to 160, usually 92: about the coolant's temperature */
  head_C: number
  /** through the gasket, W/K, 0 to 300, usually 12: plain gasket 8-25 W/K, thick plastic spacer 1-3; common practice, no source */
  toHead_W_K: number
}

/** a tube from plenum to plenum */
export interface Balance {
  /** balance tube bore, mm, 5 to 200, usually 38: inside */
  bore_mm: number
  /** balance tube length, mm, 10 to 3000, usually 400: from plenum to plenum */
  length_mm: number
}

/** a way of the cooling air: an opening, a stack and an exit */
export interface AirWay {
  name: string
  /** space width, mm, 30 to 3000, usually 900: between what cannot move, left and right */
  spaceWidth_mm: number
  /** space height, mm, 30 to 2500, usually 600: between what cannot move, below and above */
  spaceHeight_mm: number
  opening: Opening
  /** seal round the stack, %, 0 to 100, usually 80: 100 is foam all round; an open front 60-80 %; common practice, no source */
  seal_pct: number
  ducted: boolean
  layers: AirLayer[]
  fan?: Fan
  exit: Exit
  /** comes round again, standing, %, 0 to 80, usually 15: share of the warm air that reaches the front again; 5-30 %; common practice, no source */
  recirculation_pct: number
  inRoom?: InRoom
  id?: string
}

/** the hole in the bodywork */
export interface Opening {
  /** opening width, mm, 10 to 3000, usually 600: hole in the bodywork */
  width_mm: number
  /** opening height, mm, 10 to 2000, usually 200: hole in the bodywork */
  height_mm: number
  /** pressure at the opening, %, -50 to 120, usually 90: of the road wind's: facing it 85-100, scoop 60-80, sidepod 50-70, under-tray 30-50 %; common practice, no source */
  pressure_pct: number
  /** open share of the grille, %, 5 to 100, usually 80: mesh 60-75, bars 75-90, none 100 %; common practice, no source */
  open_pct: number
  roundedLip?: boolean
  walls?: Wall[]
}

/** what stands before the opening */
export interface Wall {
  name: string
  /** width, mm, 1 to 3000, usually 520: of what stands before the opening */
  width_mm: number
  /** height, mm, 1 to 2000, usually 110: of what stands before the opening */
  height_mm: number
  /** off the middle, mm, -2000 to 2000, usually 0: to the right, middle to middle of the opening */
  across_mm: number
  /** above the middle, mm, -2000 to 2000, usually 0: middle to middle of the opening */
  up_mm: number
  id?: string
}

/** a layer of the stack, front first: a core or radiator of the option by its name, or another exchanger by its card */
export interface AirLayer {
  kind: LayerKind
  name: string
  /** off the middle, mm, -2000 to 2000, usually 0: to the right, middle to middle of the opening */
  across_mm: number
  /** above the middle, mm, -2000 to 2000, usually 0: middle to middle of the opening */
  up_mm: number
  /** free before it, mm, 0 to 2000, usually 15: to the layer in front, or to the opening */
  gap_mm: number
  /** width, mm, 30 to 2500, usually 600: finned block */
  width_mm?: number
  /** height, mm, 30 to 1500, usually 380: finned block */
  height_mm?: number
  /** depth, mm, 8 to 400, usually 20: finned block: condensers 16-25, radiators 26-50 mm; common practice, no source */
  depth_mm?: number
  /** width on its card, mm, 30 to 2500, usually 600: finned block that the card speaks of; the same where left out */
  cardWidth_mm?: number
  /** height on its card, mm, 30 to 1500, usually 380: the same where left out */
  cardHeight_mm?: number
  /** depth on its card, mm, 8 to 400, usually 20: the same where left out */
  cardDepth_mm?: number
  /** heat on its card, kW, 0.1 to 1000, usually 10: maker's card */
  heat_kW?: number
  /** hot side on its card, °C, 20 to 200, usually 60: maker's card */
  hotOnCard_C?: number
  /** face air on its card, m/s, 0.2 to 40, usually 4: maker's card */
  airSpeed_m_s?: number
  /** air in on its card, °C, -20 to 60, usually 35: maker's card */
  airIn_C?: number
  /** air loss on its card, Pa, 1 to 3000, usually 40: maker's card */
  airLoss_Pa?: number
  /** hot side at most, °C, 20 to 200, usually 68: in the car: condensing 60-75 °C, where the pressure switch cuts out; coolant 105-118, oil 125-145 °C; common practice, no source */
  hot_C?: number
  /** heat it has to give, kW, 0 to 1000, usually 8: in the car, full load, 35 °C outside; empty: a condenser its card's, engine radiator 6.9 and oil cooler 0.9 MJ for each kg of fuel; common practice, no source */
  load_kW?: number
  id?: string
}

/** a fan behind the stack */
export interface Fan {
  curve: FanPoint[]
  backwards?: boolean
  /** off above, km/h, 0 to 600, usually 60: road speed from which it is switched off */
  offAbove_km_h: number
  whileOff?: boolean
}

/** a point of its curve */
export interface FanPoint {
  /** fan flow, m³/h, 0 to 30000, usually 2200: from its maker */
  flow_m3_h: number
  /** fan pressure, Pa, 0 to 2000, usually 200: from its maker */
  pressure_Pa: number
  id?: string
}

/** where the air leaves */
export interface Exit {
  /** exit area, cm², 1 to 30000, usually 1200: smallest section behind the stack that the air must leave through */
  area_cm2: number
  /** pressure at the exit, %, -100 to 100, usually -10: of the road wind's: engine bay 0 to 20, under the car -10 to -20, behind a wheel or over the bonnet -20 to -40 %; common practice, no source */
  pressure_pct: number
}

/** where the middle of the opening is in the room; what is taken from there counts instead of what is typed */
export interface InRoom {
  /** back, mm, -10000 to 10000, usually 0: rearward from the datum; less than 0 before it */
  back_mm: number
  /** right, mm, -10000 to 10000, usually 0: to the right of the datum as one sits; less than 0 to the left */
  right_mm: number
  /** up, mm, -10000 to 10000, usually 0: above the datum; less than 0 below it */
  up_mm: number
  walls?: boolean
  exit?: boolean
}

/** where a body of the option stands in the room */
export interface Stand {
  of: string
  what: StandWhat
  /** back, mm, -10000 to 10000, usually 0: rearward from the datum; less than 0 before it */
  back_mm: number
  /** right, mm, -10000 to 10000, usually 0: to the right of the datum as one sits; less than 0 to the left */
  right_mm: number
  /** up, mm, -10000 to 10000, usually 0: above the datum; less than 0 below it */
  up_mm: number
  /** turned, °, -180 to 180, usually 0: clockwise seen from above */
  turned_deg?: number
  /** tipped, °, -180 to 180, usually 0: its top rearwards */
  tipped_deg?: number
  /** leaned, °, -180 to 180, usually 0: its top to the right */
  leaned_deg?: number
  carrier?: string
  size?: BodySize
  /** weight, kg, 0.05 to 500, usually 4: with what is in it, on a scale */
  mass_kg?: number
  mounts?: Mount[]
  scroll?: Scroll
  id?: string
}

/** the size of a body that the charge line does not need to know */
export interface BodySize {
  /** deep, mm, 5 to 3000, usually 100: front to rear, before it is turned */
  deep_mm: number
  /** wide, mm, 5 to 3000, usually 100: left to right, before it is turned */
  wide_mm: number
  /** high, mm, 5 to 3000, usually 100: before it is turned */
  high_mm: number
}

/** a flat strap from a bolt to the body */
export interface StrapMount {
  kind: 'strap'
  name: string
  carrier?: string
  /** back, mm, -10000 to 10000, usually 0: rearward from the datum; less than 0 before it */
  back_mm: number
  /** right, mm, -10000 to 10000, usually 0: to the right of the datum as one sits; less than 0 to the left */
  right_mm: number
  /** up, mm, -10000 to 10000, usually 0: above the datum; less than 0 below it */
  up_mm: number
  /** bolt, mm, 3 to 24, usually 6: its diameter; M6 for brackets of coolers, common practice, no source */
  bolt_mm: number
  existing?: boolean
  /** strap wide, mm, 5 to 200, usually 25: of the strap's flat */
  width_mm: number
  /** strap thick, mm, 0.5 to 20, usually 5: 5 mm strap, or 12 to 14 gauge (2.7 to 1.9 mm) with one bend; common practice, no source */
  thickness_mm: number
  metal: MountMetal
  standing?: boolean
  id?: string
}

/** a rubber bobbin between bolt and body */
export interface BobbinMount {
  kind: 'bobbin'
  name: string
  carrier?: string
  /** back, mm, -10000 to 10000, usually 0: rearward from the datum; less than 0 before it */
  back_mm: number
  /** right, mm, -10000 to 10000, usually 0: to the right of the datum as one sits; less than 0 to the left */
  right_mm: number
  /** up, mm, -10000 to 10000, usually 0: above the datum; less than 0 below it */
  up_mm: number
  /** bolt, mm, 3 to 24, usually 6: its diameter; M6 for brackets of coolers, common practice, no source */
  bolt_mm: number
  existing?: boolean
  axis: MountAxis
  /** stiffness along its axis, N/mm, 0.5 to 5000, usually 60: on the maker's sheet; a bobbin of 20 mm about 60 to 120 N/mm, value from memory */
  axial_N_mm: number
  /** stiffness across it, N/mm, 0.2 to 5000, usually 12: on the maker's sheet; a fifth to an eighth of that along its axis, value from memory */
  shear_N_mm: number
  /** weight it is made for, N, 1 to 20000, usually 100: on the maker's sheet, standing; empty where nobody knows */
  load_N?: number
  id?: string
}

/** a lug of the body itself under a bolt */
export interface TabMount {
  kind: 'lug'
  name: string
  carrier?: string
  /** back, mm, -10000 to 10000, usually 0: rearward from the datum; less than 0 before it */
  back_mm: number
  /** right, mm, -10000 to 10000, usually 0: to the right of the datum as one sits; less than 0 to the left */
  right_mm: number
  /** up, mm, -10000 to 10000, usually 0: above the datum; less than 0 below it */
  up_mm: number
  /** bolt, mm, 3 to 24, usually 6: its diameter; M6 for brackets of coolers, common practice, no source */
  bolt_mm: number
  existing?: boolean
  slotted?: boolean
  id?: string
}

/** how the housing of a turbo or centrifugal blower is clocked; its inlet looks forwards before it is turned */
export interface Scroll {
  /** outlet clocked, °, -360 to 360, usually 0: clockwise from straight up, seen from its inlet */
  clocked_deg: number
  runs: ScrollRuns
}

/** how a pipe of the option, or a hose of a water loop, is laid in the room; its length and bends follow from it */
export interface Run {
  of: string
  loop?: string
  from?: RunEnd
  corners: RunCorner[]
  to?: RunEnd
  braces?: RunBrace[]
  fittings?: RunFitting[]
  ovals?: RunOval[]
  id?: string
}

/** where it begins or ends; without one on what stands before or behind it */
export interface RunEnd {
  /** back, mm, -10000 to 10000, usually 0: rearward from the datum; less than 0 before it */
  back_mm: number
  /** right, mm, -10000 to 10000, usually 0: to the right of the datum as one sits; less than 0 to the left */
  right_mm: number
  /** up, mm, -10000 to 10000, usually 0: above the datum; less than 0 below it */
  up_mm: number
}

/** where two straights of it would meet */
export interface RunCorner {
  /** back, mm, -10000 to 10000, usually 0: rearward from the datum; less than 0 before it */
  back_mm: number
  /** right, mm, -10000 to 10000, usually 0: to the right of the datum as one sits; less than 0 to the left */
  right_mm: number
  /** up, mm, -10000 to 10000, usually 0: above the datum; less than 0 below it */
  up_mm: number
  /** bend radius, mm, 0 to 3000, usually 95: of its middle line, 0 for a mitre; without one as of stock, 1.5 times the pipe's size; common practice, no source */
  radius_mm?: number
  id?: string
}

/** what holds it between its ends */
export interface RunBrace {
  /** brace at, mm, 0 to 20000, usually 300: from where the pipe begins, along its middle */
  at_mm: number
  carrier?: string
  hard?: boolean
  id?: string
}

/** what is welded or screwed into the wall of it; sizes that are not said are the usual ones of its kind */
export interface RunFitting {
  kind: FittingKind
  /** fitting at, mm, 0 to 20000, usually 300: its middle, from where the pipe begins, along the pipe's middle */
  at_mm: number
  /** looks, °, -180 to 180, usually 0: from straight up, clockwise in the way of the flow; where the pipe goes upright, from the rear */
  clocked_deg?: number
  /** stands out, mm, 2 to 400, usually 50: from the tube */
  out_mm?: number
  /** across, mm, 4 to 200, usually 25: the round that holds all of it */
  across_mm?: number
  /** hole, mm, 1 to 150, usually 12: in the wall of the pipe */
  hole_mm?: number
  id?: string
}

/** where a tube is made flat to pass a tight place: two flats with half a round at either side, its ends led over to the round besides */
export interface RunOval {
  /** oval at, mm, 0 to 20000, usually 300: its middle, from where the pipe begins, along the pipe's middle */
  at_mm: number
  /** flat for, mm, 5 to 2000, usually 100: all along; the ends come besides */
  length_mm: number
  /** height, mm, 10 to 250, usually 45: outside, from flat to flat; no less than half the tube */
  height_mm: number
  /** flat looks, °, -180 to 180, usually 0: a flat of it, from straight up, clockwise in the way of the flow; where the pipe goes upright, from the rear */
  clocked_deg?: number
  pressed?: boolean
  id?: string
}

/** how the pipes of the option are joined; straight silicone, T-bolt clamps and beads where nothing is said */
export interface Joints {
  coupling: Coupling
  clamp: Clamp
  plain?: boolean
  /** a T-bolt clamp on a bead holds, N, 100 to 20000, usually 2500: M6 at 5 N m, oily: 2 pi times 4.2 kN at a friction of 0.1; worm drive 0.4 and constant tension 0.8 of it, on a plain end a fifth; common practice, no source */
  hold_N?: number
  /** a joint bears across, mm, 0 to 50, usually 2: on the maker's sheet; straight hose 2, hump 6, quick joint 1.5 mm; common practice, no source */
  across_mm?: number
  /** a joint bears along, mm, 0 to 50, usually 3: on the maker's sheet; straight hose 3, hump 8, quick joint 2 mm; common practice, no source */
  along_mm?: number
  /** a joint bends by, °, 0 to 30, usually 2: on the maker's sheet; straight hose 2, hump 6, quick joint 3 degrees; common practice, no source */
  bend_deg?: number
  /** a joint lasts up to, °C, 60 to 900, usually 177: air in it for long; silicone 177 (350 °F), lined with fluorosilicone as its sheet says, seals of fluorine rubber 200 °C; common practice, no source */
  most_C?: number
  others?: OtherJoint[]
}

/** a joint that is made otherwise than most */
export interface OtherJoint {
  of: string
  end: JointsEnd
  coupling: Coupling
  clamp: Clamp
  plain?: boolean
  id?: string
}

/** what a log taught of the build; every answer stands on it until it is taken out */
export interface Fitted {
  option: string
  log: string
  on: string
  knowns: FittedKnown[]
  together?: FittedTogether[]
}

/** one of what is seldom known exactly */
export interface FittedKnown {
  unknown: UncertainInput
  /** off by, %, -95 to 500, usually 0: from what the build says, as fitted to the log */
  by_pct: number
  /** give or take, %, 0 to 100, usually 5: one standard deviation that the log left */
  within_pct: number
  id?: string
}

/** two that the log cannot tell apart entirely */
export interface FittedTogether {
  one: UncertainInput
  other: UncertainInput
  /** goes together, -1 to 1, usually 0: correlation: 1 entirely, -1 one up as the other goes down */
  alike: number
  id?: string
}

/** a side shut, pumped up and watched, as it was written down */
export interface LeakTest {
  side: LeakRecordSide
  option: string
  loop?: string
  by: string
  on: string
  /** shut in, L, 0.1 to 10000, usually 10: empty for what the pieces of the option hold */
  volume_L?: number
  /** outside at the test, kPa, 40 to 110, usually 101.3: absolute, as measured where you stand; empty for the Brief's */
  barometer_kPa?: number
  /** weakest part rated to, kPa, 1 to 2000, usually 200: above outside, as its maker says: core, hose, cap; the test never goes above it */
  rated_kPa?: number
  /** gauge reads to, kPa, 0.001 to 50, usually 0.5: half of its smallest division is usual; common practice, no source */
  gaugeError_kPa: number
  gauge?: string
  soaped: string
  readings: LeakReading[]
  id?: string
}

/** gauge and clock */
export interface LeakReading {
  /** clock, s, 0 to 864000, usually 0: since the pump was shut off */
  time_s: number
  /** gauge, kPa, -100 to 2000, usually 100: above outside */
  gauge_kPa: number
  /** air inside, °C, -40 to 150, usually 20: of the pipe's wall, if not inside */
  air_C: number
  id?: string
}

/** a change made to the car, and what came of it */
export interface MadeChange {
  what: string
  on: string
  /** parts for the change, 0 to 1000000, usually 0: in your currency */
  cost?: number
  /** hours for the change, 0 to 10000, usually 1: of work */
  hours?: number
  /** predicted gain, K, -200 to 200, usually 0: colder under load, as predicted before it was made */
  predicted_K?: number
  before: string
  after: string
  /** measured gain, K, -200 to 200, usually 0: colder under load, weather and boost taken out */
  gain_K?: number
  /** measured gain, give or take, K, 0 to 200, usually 1: one standard deviation */
  within_K?: number
  id?: string
}

/** what a new build is made from */
export interface NewJobDocument {
  /** displacement, L, 0.05 to 60, usually 2: the engine's data plate */
  displacement_L: number
  /** limiter, rpm, 300 to 20000, usually 6500: where the limiter cuts in */
  maxSpeed_rpm: number
  blower: BlowerType
  /** blowers, 1 to 2, usually 1: two side by side draw their own air */
  blowers: number
  /** boost, kPa, 0 to 500, usually 100: in the manifold above outside air, as the gauge shows it */
  boost_kPa: number
  cooled: CoolingMethod
  duty: string
}

/** a laid pipe by lengths, turns and bends */
export interface TurnsDocument {
  turns: RunTurn[]
  /** straight before, mm, 0 to 20000, usually 200: from where the pipe begins, or from the end of the bend before */
  straight_mm: number
}

/** a bend with the straight before it */
export interface RunTurn {
  /** straight before, mm, 0 to 20000, usually 200: from where the pipe begins, or from the end of the bend before */
  straight_mm: number
  /** turned, °, -180 to 180, usually 0: from the plane of the bend before, clockwise in the way of the flow; the first from straight up, of an upright beginning from the rear */
  turned_deg: number
  /** bent by, °, 0 to 175, usually 90: as cut */
  bent_deg: number
  /** bend radius, mm, 0 to 3000, usually 95: of its middle line, 0 for a mitre; without one as of stock, 1.5 times the pipe's size; common practice, no source */
  radius_mm?: number
}

export type Obstacle = BoxObstacle | RoundObstacle | BallObstacle | TubeObstacle | PlaneObstacle | PrismObstacle | MeshObstacle

export type DutyPiece = DrivenPiece | BrakePiece | ClimbPiece | WaitPiece | RepeatPiece

export type Piece = FilterPiece | BlowerPiece | PipePiece | ReducerPiece | JointPiece | ThrottlePiece | CorePiece | InjectionPiece | PairPiece | PlenumPiece

export type LoopPiece = PumpPiece | HosePiece | CoreSidePiece | PlainPiece | ChillerPiece | FittingPiece

export type Mount = StrapMount | BobbinMount | TabMount

/** A sensible default of each number, by the part it stands in. */
export const usual = {
  'engine': { displacement_L: 2, cylinders: 4, volumetricEfficiency_pct: 92, maxSpeed_rpm: 6500, power_kW: 150, fuelRate_g_kWh: 320, airFuelRatio: 12 },
  'climate': { airTemperature_C: 25, altitude_m: 0, humidity_pct: 40, barometer_kPa: 101.3 },
  'targets': { intake_C: 50, timingPull_C: 65, sensorLag_s: 5 },
  'fullLoad': { engineSpeed_rpm: 5000, roadSpeed_km_h: 100 },
  'gearing': { tyre_mm: 1950, finalDrive: 3.9, ratios: 1, changeUp_rpm: 6200, idle_rpm: 850 },
  'bay': { standing_K: 45, rolling_K: 14, settles_s: 240 },
  'room/place': { back_mm: 0, right_mm: 0, up_mm: 0, turned_deg: 0, tipped_deg: 0, leaned_deg: 0 },
  'room/carrier': { roll_deg: 3, foreAft_mm: 4, sideways_mm: 0, lift_mm: 5 },
  'room/obstacle': { gap_mm: 8, front_mm: 0, rear_mm: 100, left_mm: -50, right_mm: 50, bottom_mm: -50, top_mm: 50, diameter_mm: 60, toBack_mm: 100, toRight_mm: 0, toUp_mm: 0, toDiameter_mm: 60, falls_deg: 0, leans_deg: 0, from_mm: 0, to_mm: 100 },
  'room/move': { hours: 1, price: 0 },
  'room/corner': { across_mm: 0, up_mm: 0 },
  'room/shaking': { vertical: 5, across: 3 },
  'duty': { startAbove_K: 10, repeats: 1, wait_s: 0 },
  'duty/pieces': { time_s: 20, roadSpeed_km_h: 100, engineSpeed_rpm: 4000, boost_kPa: 100, length_m: 5000, times: 2 },
  'duty/rows': { time_s: 0, engineSpeed_rpm: 3000, boost_kPa: 100, roadSpeed_km_h: 60 },
  'option': { boost_kPa: 100 },
  'filter': { bore_mm: 76, loss_kPa: 1.5, flow_kg_s: 0.15, heatGain_K: 3, dirtyLoss_kPa: 3, soiling_pct: 0, bayShare_pct: 0, ram_pct: 50 },
  'blower': { efficiency_pct: 70, maxPressureRatio: 3, outletBore_mm: 51 },
  'blower/map': { referenceTemperature_C: 25, referencePressure_kPa: 100 },
  'blower/map/lines': { speed_rpm: 100000 },
  'blower/map/lines/points': { flow_kg_s: 0.15, pressureRatio: 2, efficiency_pct: 72 },
  'pipe': { outside_mm: 63.5, bore_mm: 63, length_mm: 1000 },
  'pipe/bends': { angle_deg: 90, radius_mm: 95 },
  'pipe/wall': { thickness_mm: 1.6, wrap_mm: 0 },
  'pipe/wall/hot': { temperature_C: 600, width_mm: 120, distance_mm: 100, along_mm: 250 },
  'reducer': { inletBore_mm: 63, bore_mm: 76, length_mm: 75 },
  'joint': { bore_mm: 63, hoseBore_mm: 67, gap_mm: 8 },
  'throttle': { bore_mm: 60, shaft_mm: 9 },
  'core': { width_mm: 500, height_mm: 250, depth_mm: 64, portBore_mm: 63, outletBore_mm: 63, portStub_mm: 40, tankDepth_mm: 63, blocked_pct: 0, outlets: 1, elbowRadius_mm: 63, elbowAngle_deg: 90 },
  'core/card': { width_mm: 500, height_mm: 250, depth_mm: 64, mass_kg: 6, chargeFlow_kg_s: 0.2, chargePressure_kPa: 200, chargeIn_C: 140, chargeOut_C: 45, loss_kPa: 3.5, airSpeed_m_s: 8, waterFlow_L_min: 20, coolantIn_C: 25, chargeShare_pct: 35, wallShare_pct: 3, coolantLoss_Pa: 8000 },
  'core/block': { plate_mm: 0.5, bar_mm: 5, conductivity_W_mK: 180, chargeFouling_m2K_kW: 0.05, coldFouling_m2K_kW: 0 },
  'core/block/fin': { gap_mm: 6, pitch_mm: 2, thickness_mm: 0.15, interval_mm: 3, louvreAngle_deg: 27 },
  'core/air': { faceShare_pct: 22, standstill_m_s: 0.5 },
  'core/water': { flow_L_min: 20, volume_L: 6, soak_W_K: 4, glycol_pct: 0 },
  'water/piece': { height_mm: 400, bore_mm: 19, beside: 1, length_mm: 800, wrap_mm: 0, least_mm: 50 },
  'water/pump': { speed_pct: 100, drivenAt_rpm: 2000, efficiency_pct: 25 },
  'water/pump/curve': { flow_L_min: 30, pressure_kPa: 40 },
  'water/chiller': { loss_kPa: 8, flow_L_min: 20 },
  'core/water/radiator': { width_mm: 400, height_mm: 250, depth_mm: 32, cardWidth_mm: 400, cardHeight_mm: 250, cardDepth_mm: 32, heat_kW: 12, waterFlow_L_min: 20, waterIn_C: 60, airSpeed_m_s: 5, airIn_C: 25, waterLoss_kPa: 6, airLoss_Pa: 80 },
  'core/water/radiator/tubes': { tubeHeight_mm: 2, tubeWall_mm: 0.3, passes: 1 },
  'core/water/tank': { holds_L: 8, start_C: 20, ice_kg: 0, icePiece_mm: 30, cap_kPa: 90 },
  'core/water/chiller': { capacity_kW: 4, coldest_C: 4, dropOutBoost_kPa: 20 },
  'core/water/raw': { temperature_C: 18, fouling_m2K_kW: 0.15 },
  'injection': { bore_mm: 63, alcohol_pct: 50, nozzleFlow_L_min: 0.4, ratedPressure_kPa: 700, pumpPressure_kPa: 1000, startBoost_kPa: 40, fullBoost_kPa: 90, tank_L: 5, evaporated_pct: 50 },
  'pair': { splitAngle_deg: 30, mergeAngle_deg: 20, mergedBore_mm: 76 },
  'plenum': { bore_mm: 63, volume_L: 3 },
  'plenum/wall': { mass_kg: 4, area_cm2: 1500, head_C: 92, toHead_W_K: 12 },
  'pair/balance': { bore_mm: 38, length_mm: 400 },
  'airWay': { spaceWidth_mm: 900, spaceHeight_mm: 600, seal_pct: 80, recirculation_pct: 15 },
  'airWay/opening': { width_mm: 600, height_mm: 200, pressure_pct: 90, open_pct: 80 },
  'airWay/opening/wall': { width_mm: 520, height_mm: 110, across_mm: 0, up_mm: 0 },
  'airWay/layer': { across_mm: 0, up_mm: 0, gap_mm: 15 },
  'airWay/layer/other': { width_mm: 600, height_mm: 380, depth_mm: 20, cardWidth_mm: 600, cardHeight_mm: 380, cardDepth_mm: 20, heat_kW: 10, hotOnCard_C: 60, airSpeed_m_s: 4, airIn_C: 35, airLoss_Pa: 40, hot_C: 68, load_kW: 8 },
  'airWay/fan': { offAbove_km_h: 60 },
  'airWay/fan/curve': { flow_m3_h: 2200, pressure_Pa: 200 },
  'airWay/exit': { area_cm2: 1200, pressure_pct: -10 },
  'stand': { mass_kg: 4 },
  'stand/size': { deep_mm: 100, wide_mm: 100, high_mm: 100 },
  'stand/mount': { bolt_mm: 6, width_mm: 25, thickness_mm: 5, axial_N_mm: 60, shear_N_mm: 12, load_N: 100 },
  'stand/scroll': { clocked_deg: 0 },
  'run/corner': { radius_mm: 95 },
  'run/brace': { at_mm: 300 },
  'run/fitting': { at_mm: 300, clocked_deg: 0, out_mm: 50, across_mm: 25, hole_mm: 12 },
  'run/oval': { at_mm: 300, length_mm: 100, height_mm: 45, clocked_deg: 0 },
  'joints': { hold_N: 2500, across_mm: 2, along_mm: 3, bend_deg: 2, most_C: 177 },
  'fitted/known': { by_pct: 0, within_pct: 5 },
  'fitted/together': { alike: 0 },
  'leakTest': { volume_L: 10, barometer_kPa: 101.3, rated_kPa: 200, gaugeError_kPa: 0.5 },
  'leakTest/reading': { time_s: 0, gauge_kPa: 100, air_C: 20 },
  'change': { cost: 0, hours: 1, predicted_K: 0, gain_K: 0, within_K: 1 },
}

/** What a blower of each type is called, and the efficiency a well-matched one shows, by default and from to. */
export const usualBlower: Record<BlowerType, { name: string; efficiency_pct: number; low_pct: number; high_pct: number }> = {
  'roots-type': { name: 'roots-type blower', efficiency_pct: 55, low_pct: 50, high_pct: 60 },
  'screw': { name: 'screw blower', efficiency_pct: 70, low_pct: 65, high_pct: 75 },
  'centrifugal': { name: 'centrifugal blower', efficiency_pct: 73, low_pct: 68, high_pct: 78 },
  'turbo': { name: 'turbo', efficiency_pct: 71.5, low_pct: 65, high_pct: 78 },
}

/** Wall of usual stock, mm; of what is sold by its outside diameter, and of hose, sold by its bore. */
export const stockWall: Record<PipeMaterial, { tube: boolean; wall_mm: number }> = {
  aluminium: { tube: true, wall_mm: 1.6 },
  steel: { tube: true, wall_mm: 1.5 },
  stainless: { tube: true, wall_mm: 1.2 },
  silicone: { tube: false, wall_mm: 5 },
}

/** Centre line radius of a stock bend over the tube's outside or the hose's bore. */
export const stockBend = 1.5

/** Tube that is sold, by its outside diameter, and charge hose, by its bore, mm. */
export const tubeSizes = [38, 45, 50.8, 57, 63.5, 70, 76.2, 89, 101.6, 127]
export const hoseSizes = [38, 45, 51, 57, 63, 70, 76, 89, 102, 127]
