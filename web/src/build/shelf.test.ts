import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { page } from '../api/client'
import type { BuildDocument } from '../document/types'
import { clearShelf, shelve, takeOver, type Shelved } from './shelf'

const left = (change: string, uid = 'u7'): Shelved => ({
  build: 7,
  uid,
  revision: 3,
  base: { name: 'Bench' } as BuildDocument,
  steps: [{ id: 's1', change, edits: [{ pointer: '/name', value: change }] }],
})
const seven = (s: Shelved) => s.build === 7

/** What another page of that name left on its shelf, and which pages are alive. */
function another(page: string, change: string, alive: string[] = []) {
  localStorage.setItem(`enthalpa.unsaved.u7.${page}`, JSON.stringify(left(change)))
  vi.stubGlobal('navigator', { locks: { query: async () => ({ held: alive.map((name) => ({ name: `enthalpa.page.${name}` })) }) } })
}

describe('the shelf of unsaved edits', () => {
  beforeEach(() => localStorage.clear())
  afterEach(() => vi.unstubAllGlobals())

  it('gives back what this page put there until it is kept', async () => {
    expect(shelve(left('mine'))).toBe(true)
    expect((await takeOver(seven))?.steps[0]!.change).toBe('mine')
    expect(await takeOver((s) => s.build === 8)).toBeUndefined()
    clearShelf('u7')
    expect(await takeOver(seven)).toBeUndefined()
  })

  it("brings back the edits of a page that is gone and makes them this page's own", async () => {
    another('1-2', 'left behind')
    expect((await takeOver(seven))?.steps[0]!.change).toBe('left behind')
    expect(Object.keys(localStorage)).not.toContain('enthalpa.unsaved.u7.1-2')
    expect((await takeOver(seven))?.steps[0]!.change).toBe('left behind')
  })

  it('leaves alone what a living page is still saving', async () => {
    another('1-2', 'being saved', ['1-2'])
    expect(await takeOver(seven)).toBeUndefined()
    expect(Object.keys(localStorage)).toContain('enthalpa.unsaved.u7.1-2')
  })

  it('throws away what cannot be read', async () => {
    localStorage.setItem('enthalpa.unsaved.u7.1-2', '{"build')
    expect(await takeOver(seven)).toBeUndefined()
    expect(localStorage.length).toBe(0)
  })

  it.each(['null', '{}', '[]', '7', ...['uid', 'base', 'steps'].map((without) => JSON.stringify({ ...left('torn'), [without]: undefined }))])(
    'throws away what is no edit: %s',
    async (text) => {
      localStorage.setItem('enthalpa.unsaved.u7.1-2', text)
      expect(await takeOver(() => true)).toBeUndefined()
      expect(localStorage.length).toBe(0)
    },
  )

  it.each([{ steps: [] }, { steps: 'none' }])('throws away edits without a step: %j', async (steps) => {
    localStorage.setItem('enthalpa.unsaved.u7.1-2', JSON.stringify({ ...left('torn'), ...steps }))
    expect(await takeOver(() => true)).toBeUndefined()
    expect(localStorage.length).toBe(0)
  })

  it('leaves alone what else the browser keeps', async () => {
    localStorage.setItem('enthalpa.theme', 'dark')
    localStorage.setItem('other', JSON.stringify(left('not ours')))
    expect(await takeOver(() => true)).toBeUndefined()
    expect(localStorage.length).toBe(2)
  })

  it('asks no browser for its locks before there is anything to take over', async () => {
    const query = vi.fn()
    vi.stubGlobal('navigator', { locks: { query } })
    expect(await takeOver(seven)).toBeUndefined()
    expect(query).not.toHaveBeenCalled()
  })

  it('works in a browser without locks, and in one that tells of none', async () => {
    another('1-2', 'left behind')
    vi.stubGlobal('navigator', {})
    expect((await takeOver(seven))?.steps[0]!.change).toBe('left behind')
    another('3-4', 'left behind too')
    vi.stubGlobal('navigator', { locks: { query: async () => ({}) } })
    localStorage.removeItem(`enthalpa.unsaved.u7.${page}`)
    expect((await takeOver(seven))?.steps[0]!.change).toBe('left behind too')
  })

  it("takes this page's own back whatever locks it holds", async () => {
    shelve(left('mine'))
    vi.stubGlobal('navigator', { locks: { query: async () => ({ held: [{ name: `enthalpa.page.${page}` }] }) } })
    expect((await takeOver(seven))?.steps[0]!.change).toBe('mine')
  })

  it('says so when the browser has no room', () => {
    vi.spyOn(Storage.prototype, 'setItem').mockImplementationOnce(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    expect(shelve(left('mine'))).toBe(false)
  })
})
