import type { BuildDocument, BuildOption } from './types'

/** One value written at a JSON pointer; undefined takes it out. */
export interface Edit {
  pointer: string
  value: unknown
}

/** @returns the value at a JSON pointer, undefined when there is none */
export function at(document: unknown, pointer: string): unknown {
  let node: unknown = document
  for (const step of steps(pointer)) {
    if (node === null || typeof node !== 'object') return undefined
    node = (node as Record<string, unknown>)[step]
  }
  return node
}

/** @returns a copy with the edits made; the document itself stays as it was */
export function apply(document: BuildDocument, edits: Edit[]): BuildDocument {
  const copy = structuredClone(document)
  for (const { pointer, value } of edits) {
    const path = steps(pointer)
    const last = path.pop()!
    const parent = reach(copy as unknown as Record<string, unknown>, path)
    if (value === undefined) delete parent[last]
    else parent[last] = value
  }
  return copy
}

/** @returns the object at a path; what a file leaves out is made on the way */
function reach(root: Record<string, unknown>, path: string[]): Record<string, unknown> {
  return path.reduce((node, step) => (node[step] ??= {}) as Record<string, unknown>, root)
}

function steps(pointer: string): string[] {
  return pointer === '' ? [] : pointer.slice(1).split('/')
}

/** @returns letters of the options that the edits can change; undefined when they can change all */
export function touched(document: BuildDocument, edits: Edit[]): string[] | undefined {
  const letters = new Set<string>()
  for (const { pointer } of edits) {
    const match = /^\/options\/(\d+)\//.exec(pointer)
    const option = match ? document.options[Number(match[1])] : undefined
    if (!option) return undefined
    letters.add(option.letter)
  }
  return [...letters]
}

/** @returns the first letter A to Z that no option has; undefined when all are taken */
export function freeLetter(options: BuildOption[]): string | undefined {
  return 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'.split('').find((letter) => !options.some((o) => o.letter === letter))
}
