import type { components } from './schema'
import type { BlowerMap, BuildDocument, BuildOption, CoolingMethod, CoolingSideOnLoop, NewJobDocument, Obstacle, TurnsDocument } from '../document/types'

type Schemas = components['schemas']
export type JointsView = Schemas['JointsView']
export type PairView = Schemas['PairView']
export type JointView = Schemas['JointView']
export type SchoolView = Schemas['SchoolView']
export type JoinedView = Schemas['JoinedView']
export type HeldPipeView = Schemas['HeldPipeView']
export type SteadyView = Schemas['SteadyView']
export type SoakView = Schemas['SoakView']
export type TraceView = Schemas['TraceView']
export type StationView = Schemas['StationView']
export type PieceView = Schemas['PieceView']
export type LegView = Schemas['LegView']
export type CoreView = Schemas['CoreView']
export type LoopView = Schemas['LoopView']
export type AirWayView = Schemas['AirWayView']
export type WaterChange = Schemas['WaterChangeView']
export type OrderView = Schemas['OrderView']
export type CoreStep = Schemas['CoreStepView']
export type ReasonView = Schemas['ReasonView']
export type MethodView = Schemas['MethodView']
export type ChapterView = Schemas['ChapterView']
export type CatalogueItem = Omit<Schemas['ItemView'], 'figures'> & { figures: Record<string, unknown> }
export type AuditView = Schemas['AuditView']
export type SharesView = Schemas['SharesView']
export type NoteView = Schemas['NoteView']
export type VerdictView = Schemas['VerdictView']
export type FindingView = Schemas['FindingView']
export type FaultView = Schemas['FaultView']
export type RunView = Schemas['RunView']
export type DutyView = Schemas['DutyView']
export type DutyEntry = Schemas['EntryView']
export type LogHead = Schemas['LogHeadView']
export type LogRole = Schemas['LogRoleView']['role']
export type LogView = Schemas['LogView']
export type LogCard = Schemas['LogCardView']
export type LogMarks = Schemas['MarksView']
export type LogStart = Schemas['LogStartView']
export type LogChoice = Schemas['LogChoiceView']
export type LogBeside = Schemas['LogBesideView']
export type LogCurves = Schemas['LogCurvesView']
export type LogFinding = Schemas['LogFindingView']
export type Segment = Schemas['SegmentView']
export type Match = Schemas['MatchView']
export type Channel = LogChoice['channel']
export type JobView = Schemas['JobView']
export type SpreadView = Schemas['SpreadView']
export type ComparedView = Schemas['ComparedView']
export type OptionAnswer = Schemas['OptionAnswer']
export type FitView = Schemas['FitView']
export type FitFinding = Schemas['FitFindingView']
export type JobKind = 'spread' | 'methods' | 'routes' | 'fit' | 'faults' | 'band'
export type Faults = Schemas['FaultsView']
export type LogBand = Schemas['LogBandView']
export type LogFit = Schemas['LogFitView']
export type StepView = Schemas['StepView']
export type CommissionView = Schemas['CommissionView']
export type LeakPlan = Schemas['LeakPlanView']
export type SheetRequest = Schemas['SheetRequest']
export type SchoolCase = Schemas['CaseView']
export type SchoolGrade = Schemas['GradeView']
export type SchoolRecord = Schemas['SchoolRecordView']
export type DeviceAsked = Schemas['DeviceRequest']
export type RecordingView = Schemas['RecordingView']
export type Heard = Schemas['HeardView']
export type PipeWays = Schemas['PipeWaysView']
export type PipeWay = Schemas['WayView']
export type OvalRow = Schemas['OvalRowView']
export type Taste = Schemas['RoutesRequest']['taste']
export type Ribbon = Schemas['RibbonView']
/** A pipe by its name, a hose by that and by the core on whose water it is. */
export interface RunName {
  of: string
  loop?: string
}
export type RibbonSpot = Schemas['SpotView']
export type GapView = Schemas['RoomGapView']
export type WayOutView = Schemas['WayOutView']
export type ClockingAnswer = Schemas['ClockingAnswer']
export type Way = WayOutView['way']
export type LargestCore = Schemas['LargestCoreView']
export type LargestAnswer = Schemas['LargestAnswer']
export type PresetView = Schemas['PresetView']
export type ChangeView = Schemas['ChangeView']
export type FieldCatalogue = Schemas['FieldCatalogue']
export type BuildKept = Schemas['BuildKept']
export type BuildCard = Schemas['BuildCard']
export type HomeVerdict = Schemas['HomeVerdict']
export type Revision = Schemas['RevisionView']
export type Backup = Schemas['Kept']
export type BuildState = Schemas['BuildState']
export type Starter = { document: BuildDocument; bare: BuildDocument; job: NewJobDocument; duties: Schemas['DutyChoice'][] }

/** The server answered, but not with what was asked for. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly fault?: FaultView,
    readonly theirs?: BuildState,
    readonly type = '',
  ) {
    super(message)
  }
}

/** The server did not answer at all. */
export class Offline extends Error {}

function token(): string {
  return /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? ''
}

async function call<T>(method: string, path: string, body?: unknown, revision?: number, signal?: AbortSignal): Promise<T> {
  const response = await send(method, path, body, revision, signal)
  return (response.status === 204 ? undefined : await response.json()) as T
}

/** A file goes as it is; everything else as JSON. A token that has gone stale (the server was started anew) is asked for once more. */
async function send(method: string, path: string, body?: unknown, revision?: number, signal?: AbortSignal): Promise<Response> {
  const response = await once(method, path, body, revision, signal)
  if (response.status !== 403 || method === 'GET') return checked(response)
  await once('GET', '/fields')
  return checked(await once(method, path, body, revision, signal))
}

const fileType = (path: string) =>
  path.startsWith('/duties/') || path.startsWith('/logs?') || path.startsWith('/preview/leak') ? 'text/csv' : path === '/logs/start' ? 'application/octet-stream' : path.startsWith('/room/') ? 'application/octet-stream' : 'application/zip'

/** Ends what is only looked at when the page is left: the server drops it then, which is nothing to hear of. */
let leaving = new AbortController()

async function once(method: string, path: string, body?: unknown, revision?: number, signal?: AbortSignal): Promise<Response> {
  const headers: Record<string, string> = { Accept: 'application/json, text/csv, application/pdf, model/*', 'X-Page': page }
  if (method !== 'GET') headers['X-XSRF-TOKEN'] = token()
  if (body !== undefined) headers['Content-Type'] = body instanceof Blob ? fileType(path) : 'application/json'
  if (revision !== undefined) headers['If-Match'] = `"${revision}"`
  try {
    return await fetch(`/api${path}`, {
      method,
      headers,
      signal: path.startsWith('/preview') ? AbortSignal.any(signal ? [signal, leaving.signal] : [leaving.signal]) : signal,
      body: typeof body === 'string' || body instanceof Blob ? body : JSON.stringify(body),
    })
  } catch (e) {
    if (signal?.aborted) throw e
    if (body instanceof Blob && !(await stillThere(body))) throw new Error('The file was changed or moved since it was chosen. Choose it again.', { cause: e })
    throw new Offline('The Enthalpa server does not answer.')
  }
}

/** A file that was written anew since it was chosen cannot be read through the old choice. */
const stillThere = (file: Blob): Promise<boolean> =>
  file
    .slice(0, 1)
    .arrayBuffer()
    .then(
      () => true,
      () => false,
    )

async function checked(response: Response): Promise<Response> {
  if (response.ok) return response
  const problem = await response.json().catch(() => ({}))
  throw new Problem(response.status, problem.detail ?? `The server answered ${response.status}.`, problem.fault, problem.theirs, problem.type)
}

/** This page's own name: what it asks anew takes the place of what it asked before; when it is left, all it asked is dropped. */
export const page = crypto.getRandomValues(new Uint32Array(2)).join('-')
addEventListener('pagehide', () => {
  leaving.abort()
  // Come back to, the page asks again.
  leaving = new AbortController()
  void fetch(`/api/preview/pages/${page}`, { method: 'DELETE', keepalive: true, headers: { 'X-XSRF-TOKEN': token() } }).catch(() => undefined)
})

export const api = {
  fields: () => call<FieldCatalogue>('GET', '/fields'),
  builds: () => call<BuildCard[]>('GET', '/builds'),
  verdicts: () => call<HomeVerdict[]>('GET', '/home'),
  verdict: (id: number) => call<HomeVerdict>('POST', `/home/${id}`),
  build: (id: number) => call<BuildState>('GET', `/builds/${id}`),
  create: (file: string, uid: string, change?: string) =>
    call<BuildState>('POST', `/builds?${new URLSearchParams({ uid, ...(change ? { change } : {}) }).toString()}`, file),
  starter: (job?: NewJobDocument, signal?: AbortSignal) => call<Starter>(job ? 'POST' : 'GET', '/builds/starter', job, undefined, signal),
  cooled: (document: BuildDocument, option: string, cooled: CoolingMethod) =>
    call<{ option: BuildOption }>('POST', '/preview/cooled', { document, option, cooled }),
  sharedLoop: (document: BuildDocument, option: string, place: string, join: { with: string; stands: CoolingSideOnLoop } | null) =>
    call<{ option: BuildOption }>('POST', '/preview/shared-loop', { document, option, place, ...(join ?? {}) }),
  drawnLoop: (document: BuildDocument, option: string, place: string) =>
    call<{ option: BuildOption }>('POST', '/preview/drawn-loop', { document, option, place }),
  save: (id: number, revision: number, document: BuildDocument, change: string, edit: string) =>
    call<BuildKept>('PUT', `/builds/${id}`, { document, change, edit }, revision),
  putAway: (id: number, putAway: boolean) => call<BuildCard>('POST', `/builds/${id}/put-away`, { putAway }),
  duplicate: (id: number, uid: string) => call<BuildState>('POST', `/builds/${id}/duplicate?uid=${uid}`),
  deleteBuild: (id: number) => call<undefined>('DELETE', `/builds/${id}`),
  history: (id: number, below?: number) => call<Revision[]>('GET', `/builds/${id}/revisions${below ? `?below=${below}` : ''}`),
  revision: (id: number, revision: number) => call<BuildState>('GET', `/builds/${id}/revisions/${revision}`),
  nameRevision: (id: number, revision: number, name: string) => call<undefined>('PUT', `/builds/${id}/revisions/${revision}/name`, { name }),
  backups: () => call<Backup[]>('GET', '/backups'),
  restore: (file: Blob) => call<{ setAside: string }>('POST', '/backups/restore', file),
  readArchive: (file: Blob) => call<{ builds: number; revisions: number; items: number }>('POST', '/archive', file),
  undo: (id: number, revision: number) => call<BuildState>('POST', `/builds/${id}/undo`, undefined, revision),
  redo: (id: number, revision: number) => call<BuildState>('POST', `/builds/${id}/redo`, undefined, revision),
  preview: (document: BuildDocument, options?: string[], part?: 'BODIES' | 'FIT' | 'LINE' | 'DUTY', signal?: AbortSignal) =>
    call<{ answers: OptionAnswer[] }>('POST', '/preview', { document, options, part }, undefined, signal),
  against: (document: BuildDocument, option: string, place: string, to: { against: string; side: Way; gap_mm: number; centred: boolean }) =>
    call<Schemas['PlaceAnswer']>('POST', '/preview/against', { document, option, place, ...to }),
  between: (document: BuildDocument, option: string, place: string, against: string, signal?: AbortSignal) =>
    call<Schemas['BetweenAnswer']>('POST', '/preview/between', { document, option, place, against }, undefined, signal),
  waysOut: (document: BuildDocument, option: string, place: string, signal?: AbortSignal) =>
    call<{ ways: WayOutView[] }>('POST', '/preview/ways-out', { document, option, place }, undefined, signal),
  clocking: (document: BuildDocument, option: string, place: string, signal?: AbortSignal) =>
    call<ClockingAnswer>('POST', '/preview/clocking', { document, option, place }, undefined, signal),
  largestCore: (document: BuildDocument, option: string, place: string, of: { airBehind?: boolean; deepest_mm?: number; back_mm?: number; right_mm?: number; up_mm?: number }, signal?: AbortSignal) =>
    call<LargestAnswer>('POST', '/preview/largest-core', { document, option, place, ...of }, undefined, signal),
  ribbon: (document: BuildDocument, option: string, of: RunName, signal?: AbortSignal) =>
    call<Ribbon>('POST', '/preview/ribbon', { document, option, ...of }, undefined, signal),
  turned: (document: BuildDocument, option: string, of: RunName, turns: TurnsDocument) =>
    call<Schemas['TurnedAnswer']>('POST', '/preview/turned', { document, option, ...of, turns }),
  mirrored: (document: BuildDocument, option: string, of: string) =>
    call<Schemas['MirroredAnswer']>('POST', '/preview/mirrored', { document, option, of }),
  joints: (document: BuildDocument, option: string, signal?: AbortSignal) =>
    call<JointsView>('POST', '/preview/joints', { document, option }, undefined, signal),
  pairs: (document: BuildDocument, option: string, signal?: AbortSignal) =>
    call<Schemas['PairsAnswer']>('POST', '/preview/pairs', { document, option }, undefined, signal),
  changes: (document: BuildDocument, option: string, signal?: AbortSignal) =>
    call<{ changes: ChangeView[] }>('POST', '/preview/changes', { document, option }, undefined, signal),
  coreSteps: (document: BuildDocument, option: string, place: string, signal?: AbortSignal) =>
    call<{ steps: CoreStep[] }>('POST', '/preview/core-steps', { document, option, place }, undefined, signal),
  waterChanges: (document: BuildDocument, option: string, place: string, signal?: AbortSignal) =>
    call<{ changes: WaterChange[] }>('POST', '/preview/water-changes', { document, option, place }, undefined, signal),
  stackOrders: (document: BuildDocument, option: string, way: number, signal?: AbortSignal) =>
    call<{ orders: OrderView[] }>('POST', '/preview/stack-orders', { document, option, way }, undefined, signal),
  reasons: (document: BuildDocument, option: string, signal?: AbortSignal) =>
    call<{ reasons: ReasonView[] }>('POST', '/preview/reasons', { document, option }, undefined, signal),
  dutyLibrary: (document: BuildDocument) => call<{ entries: DutyEntry[] }>('POST', '/duties/library', { document }),
  dutyRows: (document: BuildDocument, signal?: AbortSignal) => call<DutyView>('POST', '/duties/rows', { document }, undefined, signal),
  laps: (document: BuildDocument, lap: { lap_s: number; corners: number; fast_km_h: number; slow_km_h: number; laps: number }) =>
    call<DutyEntry>('POST', '/duties/laps', { document, ...lap }),
  logColumns: (start: string) => call<LogHead>('POST', '/duties/log-columns', { start }),
  logs: (build: number) => call<LogCard[]>('GET', `/logs?build=${build}`),
  logStart: (start: Blob) => call<LogStart>('POST', '/logs/start', start),
  takeLog: (file: Blob, of: { build: number; uid: string; name: string; columns: string }) =>
    call<LogCard>('POST', `/logs?${new URLSearchParams({ ...of, build: String(of.build) }).toString()}`, file),
  renameLog: (id: number, name: string) => call<LogCard>('PUT', `/logs/${id}/name`, { name }),
  deleteLog: (id: number) => call<undefined>('DELETE', `/logs/${id}`),
  besideLog: (id: number, document: BuildDocument, option: string, signal?: AbortSignal) =>
    call<LogBeside>('POST', `/logs/${id}/beside`, { document, option }, undefined, signal),
  markLog: (id: number, marks: Schemas['MarksView']) => call<LogCard>('PUT', `/logs/${id}/marks`, marks),
  logChange: (id: number, before: number, document: BuildDocument, option: string, signal?: AbortSignal) =>
    call<Schemas['LogChangeView']>('POST', `/logs/${id}/change`, { document, option, before }, undefined, signal),
  commission: (document: BuildDocument, option: string, signal?: AbortSignal) =>
    call<CommissionView>('POST', '/preview/commission', { document, option }, undefined, signal),
  changesMade: (document: BuildDocument, signal?: AbortSignal) =>
    call<Schemas['ChangesMadeView']>('POST', '/preview/changes-made', { document }, undefined, signal),
  leakTest: (document: BuildDocument, test: number, signal?: AbortSignal) =>
    call<LeakPlan>('POST', '/preview/leak-test', { document, test }, undefined, signal),
  schoolCase: (level: SchoolCase['level'], seed?: number) => call<SchoolCase>('POST', '/school/cases', { level, seed }),
  schoolAnswer: (answer: Schemas['SchoolAnswerRequest']) => call<SchoolGrade>('POST', '/school/answers', answer),
  schoolRecord: () => call<SchoolRecord>('GET', '/school/record'),
  recordings: (build: number) => call<RecordingView[]>('GET', `/recordings?build=${build}`),
  record: (what: Schemas['RecordingRequest']) => call<Schemas['RecordingView']>('POST', '/recordings', what),
  heard: (id: string, from: number, signal?: AbortSignal) => call<Heard>('GET', `/recordings/${id}/rows?from=${from}`, undefined, undefined, signal),
  stopRecording: (id: string) => call<Schemas['RecordedView']>('POST', `/recordings/${id}/stop`),
  recordedReadings: (id: string) => call<Schemas['LeakReadingsView']>('GET', `/recordings/${id}/leak-readings`),
  dropRecording: (id: string) => call<void>('DELETE', `/recordings/${id}`),
  leakReadings: (file: Blob) => call<Schemas['LeakReadingsView']>('POST', '/preview/leak-readings', file),
  sheet: async (sheet: SheetRequest) => (await send('POST', '/preview/sheet', sheet)).blob(),
  logCurves: (id: number, of: { document?: BuildDocument; option?: string; from_s: number; to_s: number; columns: number; channels: Channel[] }, signal?: AbortSignal) =>
    call<LogCurves>('POST', `/logs/${id}/curves`, of, undefined, signal),
  log: (file: Blob, query: URLSearchParams) => call<LogView>('POST', `/duties/log?${query.toString()}`, file),
  stretch: (document: BuildDocument, option: string, from_s: number, to_s: number, signal?: AbortSignal) =>
    call<TraceView>('POST', '/preview/stretch', { document, option, from_s, to_s }, undefined, signal),
  room: async (document: BuildDocument, option: string, how: 'stl' | 'obj' | 'glb' | 'csv', signal?: AbortSignal) =>
    (await send('POST', `/preview/room/${how}`, { document, option }, undefined, signal)).blob(),
  trace: async (document: BuildDocument, option: string, how: 'csv' | 'json') =>
    (await send('POST', `/preview/trace/${how}`, { document, option })).blob(),
  startJob: (kind: JobKind, document: BuildDocument, option: string, more: object) =>
    call<JobView>('POST', `/jobs/${kind}`, { document, option, ...more }),
  job: (id: string) => call<JobView>('GET', `/jobs/${id}`),
  cancelJob: (id: string) => call<undefined>('DELETE', `/jobs/${id}`),
  roomPresets: () => call<{ presets: PresetView[] }>('GET', '/room/presets'),
  meshUnits: () => call<{ units: string[] }>('GET', '/room/mesh/units'),
  mesh: (file: Blob, unit: string, name: string) =>
    call<Schemas['MeshTakenView']>('POST', `/room/mesh?${new URLSearchParams({ unit, name }).toString()}`, file),
  meshPlaced: (three: Schemas['ThreeRequest']) => call<Schemas['ThreeAnswer']>('POST', '/room/mesh/placed', three),
  presetObstacles: (key: string, measured: Record<string, number>) =>
    call<{ obstacles: Obstacle[]; crankshaft?: Schemas['PlaceView'] }>('POST', `/room/presets/${key}`, { measured }),
  methods: () => call<ChapterView[]>('GET', '/methods'),
  map: (csv: string) => call<{ map: BlowerMap }>('POST', '/preview/map', { csv }),
  catalogue: (kind?: string, words?: string) => {
    const query = new URLSearchParams({ ...(kind ? { kind } : {}), ...(words ? { q: words } : {}) }).toString()
    return call<CatalogueItem[]>('GET', `/catalogue${query ? `?${query}` : ''}`)
  },
  addItem: (item: Omit<CatalogueItem, 'id' | 'version'>, uid: string) => call<CatalogueItem>('POST', `/catalogue?uid=${uid}`, item),
  changeItem: (item: CatalogueItem) => call<CatalogueItem>('PUT', `/catalogue/${item.id}`, item, item.version),
  removeItem: (item: CatalogueItem) => call<undefined>('DELETE', `/catalogue/${item.id}`, undefined, item.version),
  readCatalogue: (csv: string) => call<{ added: number; there: number }>('POST', '/catalogue/file', { csv }),
}
