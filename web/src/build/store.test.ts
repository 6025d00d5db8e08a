import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, Offline, Problem, type BuildState, type FaultView, type OptionAnswer, type SoakView } from '../api/client'
import type { BuildDocument } from '../document/types'
import { catalogueView } from '../testing/catalogue'
import { steadyView } from '../testing/steady'
import { useBuild } from './store'

const document = {
  name: 'Bench',
  options: [
    { letter: 'A', name: 'first', boost_kPa: 90, path: [] },
    { letter: 'B', name: 'second', boost_kPa: 80, path: [] },
  ],
} as unknown as BuildDocument

function state(revision: number, doc: BuildDocument = document, change = 'x'): BuildState {
  return { id: 7, revision, change, changedAt: '2026-11-25T10:00:00Z', undo: revision > 1 ? change : undefined, document: doc }
}

function answersFor(doc: BuildDocument, letters?: string[], part?: string): { answers: OptionAnswer[] } {
  const options = doc.options.filter((o) => !letters || letters.includes(o.letter))
  return {
    answers: options.map((o) =>
      part === 'DUTY' ? { option: o.letter, soak: { length_s: o.boost_kPa } as SoakView } : { option: o.letter, steady: steadyView([20, 21, o.boost_kPa, 40, 40, 40, 40]) },
    ),
  }
}

const shelved = () => Object.keys(localStorage).map((key) => localStorage.getItem(key))

const settle = () => new Promise((done) => setTimeout(done))

describe('the build on screen', () => {
  beforeEach(() => {
    setActivePinia(createPinia())
    localStorage.clear()
    vi.restoreAllMocks()
    vi.spyOn(api, 'fields').mockResolvedValue(catalogueView)
    vi.spyOn(api, 'build').mockResolvedValue(state(1))
    vi.spyOn(api, 'preview').mockImplementation(async (doc, letters, part) => answersFor(doc, letters, part))
  })

  async function opened() {
    const build = useBuild()
    await build.open(7)
    return build
  }

  it('opens on the last option against another', async () => {
    const build = await opened()
    expect(build.letter).toBe('B')
    expect(build.against).toBe('A')
    expect(build.ghost?.label).toBe('A')
  })

  it('answers an edit at once, keeps what was as the ghost and saves behind', async () => {
    const save = vi.spyOn(api, 'save').mockImplementation(async (_, revision, doc, change) => state(revision + 1, doc, change))
    const build = await opened()
    await build.edit([{ pointer: '/options/1/boost_kPa', value: 110 }], 'boost 80 → 110 kPa')
    expect(build.answer?.steady?.stations[2]!.temperature_C).toBe(110)
    expect(build.answer?.soak?.length_s).toBe(110)
    expect(build.ghost).toMatchObject({ label: 'before', answer: { steady: { stations: { 2: { temperature_C: 80 } } } } })
    await settle()
    expect(save).toHaveBeenCalledWith(7, 1, expect.objectContaining({ name: 'Bench' }), 'boost 80 → 110 kPa')
    expect(build.state?.revision).toBe(2)
    expect(shelved()).toEqual([])
    expect(api.preview).toHaveBeenLastCalledWith(expect.anything(), ['B'], 'DUTY')
  })

  it('keeps the order of edits whichever answer comes back first', async () => {
    const saved: number[] = []
    vi.spyOn(api, 'save').mockImplementation(async (_, revision, doc, change) => {
      saved.push(doc.options[1]!.boost_kPa)
      return state(revision + 1, doc, change)
    })
    const build = await opened()
    vi.mocked(api.preview).mockImplementationOnce(async (doc, letters, part) => {
      await new Promise((done) => setTimeout(done, 30))
      return answersFor(doc, letters, part)
    })
    const slow = build.edit([{ pointer: '/options/1/boost_kPa', value: 100 }], 'to 100')
    const quick = build.edit([{ pointer: '/options/1/boost_kPa', value: 120 }], 'to 120')
    await Promise.all([slow, quick])
    await settle()
    expect(saved.at(-1)).toBe(120)
    expect(build.answer?.steady?.stations[2]!.temperature_C).toBe(120)
    expect(build.state?.document.options[1]!.boost_kPa).toBe(120)
  })

  it('leaves everything as it was when an edit is refused', async () => {
    const save = vi.spyOn(api, 'save')
    const build = await opened()
    const fault = { kind: 'OUT_OF_RANGE', field: '/options/1/boost_kPa', label: 'boost', value: '-5 kPa', allowed: '0 to 500', sentence: 'No.' } as const
    vi.mocked(api.preview).mockRejectedValueOnce(new Problem(422, 'No.', fault))
    expect(await build.edit([{ pointer: '/options/1/boost_kPa', value: -5 }], 'boost')).toEqual({ done: false, fault })
    expect(build.document).toEqual(document)
    expect(save).not.toHaveBeenCalled()
  })

  it('says in the strip why a button could not do what it says', async () => {
    const fault = { field: '/options/1/path', label: 'pieces', sentence: 'water loop is without a pump; it must be driven by at least one.' } as FaultView
    const build = await opened()
    vi.spyOn(api, 'preview').mockRejectedValue(new Problem(422, 'no', fault))
    expect((await build.act([{ pointer: '/options/1/boost_kPa', value: 3 }], 'pump taken out')).done).toBe(false)
    expect(build.failure).toBe(fault.sentence)
    expect(build.document).toEqual(document)
    await build.addOption('copy', [], 'copied')
    expect(build.failure).toBe(fault.sentence)
  })

  it('keeps an edit in the browser while the server is away and brings it back later', async () => {
    vi.spyOn(api, 'save').mockRejectedValue(new Offline('away'))
    const build = await opened()
    await build.edit([{ pointer: '/name', value: 'Renamed' }], 'name')
    await settle()
    expect(build.offline).toBe(true)
    expect(shelved()).toEqual([expect.stringContaining('Renamed')])
    setActivePinia(createPinia())
    const save = vi.spyOn(api, 'save').mockImplementation(async (_, revision, doc, change) => state(revision + 1, doc, change))
    const later = await opened()
    await settle()
    expect(later.document?.name).toBe('Renamed')
    expect(save).toHaveBeenCalled()
    expect(shelved()).toEqual([])
  })

  it('shows both sides of a clash and puts mine on top when asked', async () => {
    const theirs = state(5, { ...document, name: 'Theirs' }, 'name "Theirs"')
    const save = vi.spyOn(api, 'save').mockRejectedValueOnce(new Problem(409, 'stale', undefined, theirs))
    const build = await opened()
    await build.edit([{ pointer: '/name', value: 'Mine' }], 'name "Mine"')
    await settle()
    expect(build.conflict).toMatchObject({ theirs: { revision: 5 }, mine: { change: 'name "Mine"' } })
    save.mockImplementation(async (_, revision, doc, change) => state(revision + 1, doc, change))
    await build.keepMine()
    await settle()
    expect(save).toHaveBeenLastCalledWith(7, 5, expect.objectContaining({ name: 'Mine' }), 'name "Mine"')
    expect(build.state?.revision).toBe(6)
  })

  it('goes on with theirs but leaves mine in the history', async () => {
    const theirs = state(5, { ...document, name: 'Theirs' }, 'name "Theirs"')
    const save = vi.spyOn(api, 'save').mockRejectedValueOnce(new Problem(409, 'stale', undefined, theirs))
    const build = await opened()
    await build.edit([{ pointer: '/name', value: 'Mine' }], 'name "Mine"')
    await settle()
    save.mockImplementation(async (_, revision, doc, change) => state(revision + 1, doc, change))
    const undo = vi.spyOn(api, 'undo').mockResolvedValue(theirs)
    await build.takeTheirs()
    expect(undo).toHaveBeenCalledWith(7, 6)
    expect(build.document?.name).toBe('Theirs')
    expect(build.conflict).toBeUndefined()
  })

  it('makes a new option from the shown one and compares them', async () => {
    vi.spyOn(api, 'save').mockImplementation(async (_, revision, doc, change) => state(revision + 1, doc, change))
    const build = await opened()
    await build.addOption('more boost', [{ pointer: '/boost_kPa', value: 120 }], 'option from B')
    expect(build.letter).toBe('C')
    expect(build.against).toBe('B')
    expect(build.option).toMatchObject({ name: 'more boost', boost_kPa: 120 })
    expect(build.document?.options[1]!.boost_kPa).toBe(80)
    await build.removeOption('C')
    expect(build.document?.options.map((o) => o.letter)).toEqual(['A', 'B'])
  })
})
