import type { components } from './schema'
import type { BlowerMap, BuildDocument, BuildOption, DutyDocument, DutyRow } from '../document/types'

type Schemas = components['schemas']
export type SteadyView = Schemas['SteadyView']
export type SoakView = Schemas['SoakView']
export type StationView = Schemas['StationView']
export type PieceView = Schemas['PieceView']
export type LegView = Schemas['LegView']
export type CoreView = Schemas['CoreView']
export type LoopView = Schemas['LoopView']
export type AirWayView = Schemas['AirWayView']
export type WaterChange = Schemas['WaterChangeView']
export type OrderView = Schemas['OrderView']
export type CoreStep = Schemas['StepView']
export type ReasonView = Schemas['ReasonView']
export type MethodView = Schemas['MethodView']
export type ChapterView = Schemas['ChapterView']
export type CatalogueItem = Omit<Schemas['ItemView'], 'figures'> & { figures: Record<string, unknown> }
export type AuditView = Schemas['AuditView']
export type SharesView = Schemas['SharesView']
export type NoteView = Schemas['NoteView']
export type VerdictView = Schemas['VerdictView']
export type FaultView = Schemas['FaultView']
export type RunView = Schemas['RunView']
export type DutyView = Schemas['DutyView']
export type DutyEntry = Omit<Schemas['EntryView'], 'duty'> & { duty: DutyDocument }
export type LogHead = Schemas['LogHeadView']
export type LogRole = Schemas['LogRoleView']['role']
export type LogView = Omit<Schemas['LogView'], 'rows'> & { rows: DutyRow[] }
export type JobView = Schemas['JobView']
export type SpreadView = Schemas['SpreadView']
export type ComparedView = Omit<Schemas['ComparedView'], 'option'> & { option?: BuildOption }
export type OptionAnswer = Schemas['OptionAnswer']
export type ChangeView = Schemas['ChangeView']
export type FieldCatalogue = Schemas['FieldCatalogue']
export type BuildState = Omit<Schemas['BuildState'], 'document'> & { document: BuildDocument }

/** The server answered, but not with what was asked for. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly fault?: FaultView,
    readonly theirs?: BuildState,
  ) {
    super(message)
  }
}

/** The server did not answer at all. */
export class Offline extends Error {}

function token(): string {
  return /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? ''
}

async function call<T>(method: string, path: string, body?: unknown, revision?: number): Promise<T> {
  const response = await send(method, path, body, revision)
  return (response.status === 204 ? undefined : await response.json()) as T
}

/** A file goes as it is; everything else as JSON. */
async function send(method: string, path: string, body?: unknown, revision?: number): Promise<Response> {
  const headers: Record<string, string> = { Accept: 'application/json, text/csv' }
  if (method !== 'GET') headers['X-XSRF-TOKEN'] = token()
  if (body !== undefined) headers['Content-Type'] = body instanceof Blob ? 'text/csv' : 'application/json'
  if (revision !== undefined) headers['If-Match'] = `"${revision}"`
  let response: Response
  try {
    response = await fetch(`/api${path}`, { method, headers, body: typeof body === 'string' || body instanceof Blob ? body : JSON.stringify(body) })
  } catch {
    throw new Offline('The Enthalpa server does not answer.')
  }
  if (response.ok) return response
  const problem = await response.json().catch(() => ({}))
  throw new Problem(response.status, problem.detail ?? `The server answered ${response.status}.`, problem.fault, problem.theirs)
}

export const api = {
  fields: () => call<FieldCatalogue>('GET', '/fields'),
  builds: () => call<BuildState[]>('GET', '/builds'),
  build: (id: number) => call<BuildState>('GET', `/builds/${id}`),
  create: (file: string) => call<BuildState>('POST', '/builds', file),
  starter: () => call<BuildState>('POST', '/builds/starter'),
  save: (id: number, revision: number, document: BuildDocument, change: string) =>
    call<BuildState>('PUT', `/builds/${id}`, { document, change }, revision),
  undo: (id: number, revision: number) => call<BuildState>('POST', `/builds/${id}/undo`, undefined, revision),
  redo: (id: number, revision: number) => call<BuildState>('POST', `/builds/${id}/redo`, undefined, revision),
  preview: (document: BuildDocument, options?: string[], part?: 'LINE' | 'DUTY') =>
    call<{ answers: OptionAnswer[] }>('POST', '/preview', { document, options, part }),
  changes: (document: BuildDocument, option: string) =>
    call<{ changes: ChangeView[] }>('POST', '/preview/changes', { document, option }),
  coreSteps: (document: BuildDocument, option: string, place: string) =>
    call<{ steps: CoreStep[] }>('POST', '/preview/core-steps', { document, option, place }),
  waterChanges: (document: BuildDocument, option: string, place: string) =>
    call<{ changes: WaterChange[] }>('POST', '/preview/water-changes', { document, option, place }),
  stackOrders: (document: BuildDocument, option: string, way: number) =>
    call<{ orders: OrderView[] }>('POST', '/preview/stack-orders', { document, option, way }),
  reasons: (document: BuildDocument, option: string) =>
    call<{ reasons: ReasonView[] }>('POST', '/preview/reasons', { document, option }),
  dutyLibrary: (document: BuildDocument) => call<{ entries: DutyEntry[] }>('POST', '/duties/library', { document }),
  dutyRows: (document: BuildDocument) => call<DutyView>('POST', '/duties/rows', { document }),
  laps: (document: BuildDocument, lap: { lap_s: number; corners: number; fast_km_h: number; slow_km_h: number; laps: number }) =>
    call<DutyEntry>('POST', '/duties/laps', { document, ...lap }),
  logColumns: (start: string) => call<LogHead>('POST', '/duties/log-columns', { start }),
  log: (file: Blob, query: URLSearchParams) => call<LogView>('POST', `/duties/log?${query.toString()}`, file),
  trace: async (document: BuildDocument, option: string, how: 'csv' | 'json') => (await send('POST', `/preview/trace/${how}`, { document, option })).blob(),
  startJob: (kind: 'spread' | 'methods', document: BuildDocument, option: string) => call<JobView>('POST', `/jobs/${kind}`, { document, option }),
  job: (id: string) => call<JobView>('GET', `/jobs/${id}`),
  cancelJob: (id: string) => call<undefined>('DELETE', `/jobs/${id}`),
  methods: () => call<ChapterView[]>('GET', '/methods'),
  map: (csv: string) => call<{ map: BlowerMap }>('POST', '/preview/map', { csv }),
  catalogue: (kind?: string, words?: string) => {
    const query = new URLSearchParams({ ...(kind ? { kind } : {}), ...(words ? { q: words } : {}) }).toString()
    return call<CatalogueItem[]>('GET', `/catalogue${query ? `?${query}` : ''}`)
  },
  addItem: (item: Omit<CatalogueItem, 'id'>) => call<CatalogueItem>('POST', '/catalogue', item),
  changeItem: (item: CatalogueItem) => call<CatalogueItem>('PUT', `/catalogue/${item.id}`, item),
  removeItem: (id: number) => call<undefined>('DELETE', `/catalogue/${id}`),
  readCatalogue: (csv: string) => call<{ added: number }>('POST', '/catalogue/file', { csv }),
}
