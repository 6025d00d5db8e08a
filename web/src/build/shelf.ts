import { page } from '../api/client'
import type { Edit } from '../document/edit'
import type { BuildDocument } from '../document/types'

/** One change of the reader's, as it will stand in the history: by its own identity, so that sent twice it is kept once. */
export interface Step {
  id: string
  change: string
  edits: Edit[]
}

/** What the server has not kept yet of a build; survives a reload. */
export interface Shelved {
  build: number
  uid: string
  /** What the steps are made on, and its number on the server. */
  revision: number
  base: BuildDocument
  steps: Step[]
}

/*
 * Every open page has shelves of its own, so that two windows on one build cannot take each other's edits. A page holds a lock
 * under its name as long as it lives; a shelf whose page is gone may be emptied by whoever opens the build next.
 */
const prefix = 'enthalpa.unsaved.'
const lock = (owner: string) => `enthalpa.page.${owner}`
const key = (uid: string, owner: string) => `${prefix}${uid}.${owner}`

void navigator.locks?.request(lock(page), () => new Promise(() => undefined))

/** @returns whether it is on the shelf; a browser may have no room left */
export function shelve(mine: Shelved): boolean {
  try {
    localStorage.setItem(key(mine.uid, page), JSON.stringify(mine))
    return true
  } catch {
    return false
  }
}

export function clearShelf(uid: string): void {
  localStorage.removeItem(key(uid, page))
}

/** @returns what this page or pages that are gone left unsaved, now this page's own */
export async function takeOver(wanted: (left: Shelved) => boolean): Promise<Shelved | undefined> {
  const keys = Object.keys(localStorage).filter((k) => k.startsWith(prefix))
  if (keys.length === 0) return undefined
  const alive = new Set((await navigator.locks?.query())?.held?.map((l) => l.name))
  for (const k of keys) {
    const owner = k.slice(k.lastIndexOf('.') + 1)
    if (owner !== page && alive.has(lock(owner))) continue
    const left = readable(localStorage.getItem(k))
    if (!left) localStorage.removeItem(k)
    else if (wanted(left)) {
      localStorage.removeItem(k)
      shelve(left)
      return left
    }
  }
  return undefined
}

function readable(text: string | null): Shelved | undefined {
  try {
    const left = JSON.parse(text ?? 'null') as Partial<Shelved> | null
    return left?.uid && left.base && Array.isArray(left.steps) && left.steps.length ? (left as Shelved) : undefined
  } catch {
    return undefined
  }
}
