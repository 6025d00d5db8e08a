import type { BuildDocument, BuildOption } from './types'

/*
 * An edit says what to change by identity: "/options/#B/path/#p7/bends/#k2/radius_mm" is a radius whatever was put in or taken out
 * before it meanwhile. So an edit is a function of the newest document, can wait in a queue, be laid over another window's version,
 * and be made again after a reload. A row of a list is named by its `id`, an option by its letter.
 */

/** A value written at a place; undefined takes it out. An empty pointer is the whole document. */
export interface Write {
  pointer: string
  value: unknown
}

/** A row put into a list: behind the row of that identity, first where null, last where left out. */
export interface PutIn {
  list: string
  put: object
  behind?: string | null
}

/** A row taken out of its list. */
export interface TakeOut {
  row: string
  out: true
}

/** A row moved within its list: behind the row of that identity, first where null. */
export interface Move {
  row: string
  behind: string | null
}

export type Edit = Write | PutIn | TakeOut | Move

/** What an edit speaks of is not in the document any more. */
export class Gone extends Error {
  constructor() {
    super('What this changes is not there any more: it was taken out in the meantime. Nothing was changed.')
  }
}

type Node = Record<string, unknown>

function steps(pointer: string): string[] {
  return pointer === '' ? [] : pointer.slice(1).split('/')
}

/** @returns what tells a row from its neighbours; undefined for what is no row */
export function identity(row: unknown): string | undefined {
  if (row === null || typeof row !== 'object') return undefined
  const { id, letter } = row as Node
  return typeof id === 'string' ? id : typeof letter === 'string' ? letter : undefined
}

const find = (list: unknown[], id: string): number => list.findIndex((row) => identity(row) === id)

function step(node: unknown, name: string): unknown {
  if (node === null || typeof node !== 'object') return undefined
  if (!name.startsWith('#')) return (node as Node)[name]
  return Array.isArray(node) ? node[find(node, name.slice(1))] : undefined
}

/** @returns the value at a pointer, undefined when there is none */
export function at(document: unknown, pointer: string): unknown {
  return steps(pointer).reduce(step, document)
}

/** @returns the same place told by identities instead of by counting; as it was where the document has none */
export function named(document: unknown, pointer: string): string {
  let node: unknown = document
  return steps(pointer)
    .map((name) => {
      const list = Array.isArray(node) ? node : undefined
      node = step(node, name)
      const id = list && identity(node)
      return id ? `#${id}` : name
    })
    .reduce((all, name) => `${all}/${name}`, '')
}

/**
 * @returns a copy with the edits made; the document itself stays as it was. What no edit touches is shared by both, so that what hangs on it
 *   alone has nothing to do anew. Throws {@link Gone}.
 */
export function apply(document: BuildDocument, edits: Edit[]): BuildDocument {
  let copy = { ...document }
  for (const edit of structuredClone(edits)) {
    if ('pointer' in edit && edit.pointer === '') copy = edit.value as BuildDocument
    else if ('pointer' in edit) write(copy, edit)
    else if ('put' in edit) putIn(copy, edit)
    else takeOutOrMove(copy, edit)
  }
  return copy
}

/** @returns what is under a name, made the copy's own; what a file leaves out is made on the way, a row is not */
function own(node: unknown, name: string): unknown {
  const next = step(node, name)
  const parent = node as Node
  if (next === undefined || next === null) {
    if (name.startsWith('#') || Array.isArray(node)) throw new Gone()
    return (parent[name] = {})
  }
  if (typeof next !== 'object') return next
  const key = name.startsWith('#') ? find(node as unknown[], name.slice(1)) : name
  return (parent[key] = Array.isArray(next) ? [...(next as unknown[])] : { ...next })
}

function write(document: BuildDocument, { pointer, value }: Write): void {
  const path = steps(pointer)
  const last = path.pop()!
  const parent = path.reduce<unknown>(own, document) as Node
  const key = last.startsWith('#') ? find(parent as unknown as unknown[], last.slice(1)) : last
  if (key === -1) throw new Gone()
  if (value === undefined) delete parent[key]
  else parent[key] = value
}

function putIn(document: BuildDocument, { list, put, behind }: PutIn): void {
  const there = at(document, list)
  if (there === undefined) write(document, { pointer: list, value: [] })
  const rows = steps(list).reduce<unknown>(own, document) as object[]
  const id = identity(put)
  if (id !== undefined && find(rows, id) >= 0) return
  rows.splice(spot(rows, behind), 0, put)
}

function spot(rows: object[], behind: string | null | undefined): number {
  if (behind === undefined) return rows.length
  if (behind === null) return 0
  const found = find(rows, behind)
  // The row it was to stand behind has gone: at the end nothing is lost.
  return found < 0 ? rows.length : found + 1
}

function takeOutOrMove(document: BuildDocument, edit: TakeOut | Move): void {
  const path = steps(edit.row)
  const id = path.pop()!.slice(1)
  const there = path.reduce<unknown>(step, document) as object[] | undefined
  const found = there ? find(there, id) : -1
  if (found < 0) {
    if ('out' in edit) return
    throw new Gone()
  }
  const rows = path.reduce<unknown>(own, document) as object[]
  const [row] = rows.splice(found, 1)
  if (!('out' in edit)) rows.splice(spot(rows, edit.behind), 0, row!)
}

const FIGURES = 'abcdefghijkmnpqrstuvwxyz23456789'

/** @returns an identity that no other row has */
export function newIdentity(): string {
  return `n${[...crypto.getRandomValues(new Uint8Array(8))].map((b) => FIGURES[b % FIGURES.length]).join('')}`
}

/** @returns a copy in which every row of every list has an identity */
export function identified<T>(value: T): T {
  const copy = structuredClone(value)
  identify(copy)
  return copy
}

function identify(node: unknown): void {
  if (node === null || typeof node !== 'object') return
  if (Array.isArray(node)) for (const row of node) if (row !== null && typeof row === 'object' && identity(row) === undefined) row.id = newIdentity()
  for (const child of Object.values(node)) identify(child)
}

/** @returns the edits with identities given to what they bring, so that made twice they come to the same */
export function prepared(edits: Edit[]): Edit[] {
  return edits.map((edit) => {
    if ('put' in edit) return { ...edit, put: identified([edit.put])[0]! }
    return 'pointer' in edit && typeof edit.value === 'object' ? { ...edit, value: identified(edit.value) } : edit
  })
}

/** What was tried on the car and written down: no answer hangs on it. */
const RECORDS = /^\/(leakTests|changes)(\/|$)/

/** @returns whether two states of a document differ in records at most; by identity, for edits leave alone what they do not change */
export function sameDesign(one: BuildDocument, other: BuildDocument): boolean {
  const [a, b] = [one, other] as unknown as [Record<string, unknown>, Record<string, unknown>]
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => a[key] === b[key] || RECORDS.test(`/${key}`))
}

/** @returns letters of the options that the edits can change; undefined when they can change all */
export function touched(document: BuildDocument, edits: Edit[]): string[] | undefined {
  const letters = new Set<string>()
  for (const edit of edits) {
    if ('list' in edit && edit.list === '/options') {
      letters.add(identity(edit.put)!)
      continue
    }
    if ('row' in edit && /^\/options\/[^/]+$/.test(edit.row)) continue
    const place = 'pointer' in edit ? edit.pointer : 'list' in edit ? `${edit.list}/` : edit.row
    if (RECORDS.test(place)) continue
    const match = /^\/options\/(?:#([A-Z])|(\d+))\//.exec(place)
    const letter = match?.[1] ?? document.options[Number(match?.[2] ?? -1)]?.letter
    if (!letter) return undefined
    letters.add(letter)
  }
  return [...letters]
}

/** @returns the first letter A to Z that no option has; undefined when all are taken */
export function freeLetter(options: BuildOption[]): string | undefined {
  return 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'.split('').find((letter) => !options.some((o) => o.letter === letter))
}
