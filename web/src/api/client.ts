import type { components } from './schema'
import type { BuildDocument } from '../document/types'

type Schemas = components['schemas']
export type SteadyView = Schemas['SteadyView']
export type SoakView = Schemas['SoakView']
export type StationView = Schemas['StationView']
export type SharesView = Schemas['SharesView']
export type NoteView = Schemas['NoteView']
export type VerdictView = Schemas['VerdictView']
export type FaultView = Schemas['FaultView']
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
  const headers: Record<string, string> = { Accept: 'application/json' }
  if (method !== 'GET') headers['X-XSRF-TOKEN'] = token()
  if (body !== undefined) headers['Content-Type'] = 'application/json'
  if (revision !== undefined) headers['If-Match'] = `"${revision}"`
  let response: Response
  try {
    response = await fetch(`/api${path}`, { method, headers, body: typeof body === 'string' ? body : JSON.stringify(body) })
  } catch {
    throw new Offline('The Enthalpa server does not answer.')
  }
  if (response.ok) return (await response.json()) as T
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
}
