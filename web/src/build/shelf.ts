import type { BuildDocument } from '../document/types'

/** An edit that the server has not kept yet; survives a reload. */
export interface Unsaved {
  build: number
  revision: number
  change: string
  document: BuildDocument
}

/*
 * Every open page has a shelf of its own, so that two windows on one build cannot take each other's edits. A page holds a lock
 * under its name as long as it lives; a shelf whose page is gone may be emptied by whoever opens the build next.
 */
const prefix = 'enthalpa.unsaved.'
const page = crypto.getRandomValues(new Uint32Array(2)).join('-')
const key = (build: number, owner: string) => `${prefix}${build}.${owner}`
const lock = (owner: string) => `enthalpa.page.${owner}`

void navigator.locks?.request(lock(page), () => new Promise(() => undefined))

export function shelve(mine: Unsaved): void {
  localStorage.setItem(key(mine.build, page), JSON.stringify(mine))
}

export function clearShelf(build: number): void {
  localStorage.removeItem(key(build, page))
}

/** An edit left behind by this page or by one that is gone, taken over by this one. */
export async function takeOver(build: number): Promise<Unsaved | undefined> {
  const start = key(build, '')
  const keys = Object.keys(localStorage).filter((k) => k.startsWith(start))
  if (keys.length === 0) return undefined
  const alive = new Set((await navigator.locks?.query())?.held?.map((l) => l.name))
  for (const k of keys) {
    if (k !== key(build, page) && alive.has(lock(k.slice(start.length)))) continue
    const text = localStorage.getItem(k)
    localStorage.removeItem(k)
    try {
      const left = JSON.parse(text ?? 'null') as Unsaved | null
      if (left) {
        shelve(left)
        return left
      }
    } catch {
      // Not readable: nothing to bring back from it.
    }
  }
  return undefined
}
