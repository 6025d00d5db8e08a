import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { BuildDocument } from '../document/types'
import { clearShelf, shelve, takeOver } from './shelf'

const edit = (change: string) => ({ build: 7, revision: 3, change, document: { name: change } as BuildDocument })

/** What another page of that name left on its shelf, and which pages are alive. */
function another(page: string, change: string, alive: string[] = []) {
  localStorage.setItem(`enthalpa.unsaved.7.${page}`, JSON.stringify(edit(change)))
  vi.stubGlobal('navigator', { locks: { query: async () => ({ held: alive.map((name) => ({ name: `enthalpa.page.${name}` })) }) } })
}

describe('the shelf of unsaved edits', () => {
  beforeEach(() => localStorage.clear())
  afterEach(() => vi.unstubAllGlobals())

  it('gives back what this page put there until it is kept', async () => {
    shelve(edit('mine'))
    expect((await takeOver(7))?.change).toBe('mine')
    expect(await takeOver(8)).toBeUndefined()
    clearShelf(7)
    expect(await takeOver(7)).toBeUndefined()
  })

  it('brings back the edit of a page that is gone and makes it this page\'s own', async () => {
    another('1-2', 'left behind')
    expect((await takeOver(7))?.change).toBe('left behind')
    expect(Object.keys(localStorage)).not.toContain('enthalpa.unsaved.7.1-2')
    expect((await takeOver(7))?.change).toBe('left behind')
  })

  it('leaves alone what a living page is still saving', async () => {
    another('1-2', 'being saved', ['1-2'])
    expect(await takeOver(7)).toBeUndefined()
    expect(Object.keys(localStorage)).toContain('enthalpa.unsaved.7.1-2')
  })

  it('throws away what cannot be read', async () => {
    localStorage.setItem('enthalpa.unsaved.7.1-2', '{"build')
    expect(await takeOver(7)).toBeUndefined()
    expect(localStorage.length).toBe(0)
  })
})
