import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, Offline, Problem, type BuildState, type FaultView } from '../api/client'
import type { BuildDocument } from '../document/types'
import { answersFor, bench as document, settle, stateOf as state } from '../testing/build'
import { catalogueView } from '../testing/catalogue'
import { counted } from '../testing/surface'
import { useBuild } from './store'

const shelved = () => Object.keys(localStorage).map((key) => localStorage.getItem(key))

describe('the build on screen', () => {
  beforeEach(() => {
    setActivePinia(createPinia())
    localStorage.clear()
    vi.restoreAllMocks()
    vi.spyOn(api, 'fields').mockResolvedValue(catalogueView)
    vi.spyOn(api, 'build').mockResolvedValue(state(1))
    vi.spyOn(api, 'preview').mockImplementation(async (doc, letters, part) => answersFor(doc, letters, part))
    saves()
  })

  const saves = () =>
    vi.spyOn(api, 'save').mockImplementation(async (_, revision, __, change) => ({ revision: revision + 1, change, changedAt: '', undo: change }))

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
    const save = saves()
    const build = await opened()
    await build.edit([{ pointer: '/options/#B/boost_kPa', value: 110 }], 'boost 80 → 110 kPa')
    expect(build.answer?.steady?.stations[2]!.temperature_C).toBe(110)
    expect(build.answer?.soak?.length_s).toBe(110)
    expect(build.ghost).toMatchObject({ label: 'before', answer: { steady: { stations: { 2: { temperature_C: 80 } } } } })
    await settle()
    expect(save).toHaveBeenCalledWith(7, 1, expect.objectContaining({ name: 'Bench' }), 'boost 80 → 110 kPa', expect.stringMatching(/^n/))
    expect(build.keeper?.told.revision).toBe(2)
    expect(shelved()).toEqual([])
    const edited = expect.objectContaining({ options: expect.arrayContaining([expect.objectContaining({ letter: 'B', boost_kPa: 110 })]) })
    expect(api.preview).toHaveBeenCalledWith(edited, ['B'], 'DUTY', expect.anything())
  })

  it('has an edit on the shelf at once and sends it when the eye has its answer', async () => {
    const save = saves()
    const build = await opened()
    let come!: () => void
    vi.mocked(api.preview).mockImplementationOnce(
      (doc, letters, part) => new Promise((done) => (come = () => done(answersFor(doc, letters, part) as never))),
    )
    void build.edit([{ pointer: '/options/#B/boost_kPa', value: 110 }], 'boost 80 → 110 kPa')
    expect(shelved()[0]).toContain('boost 80 → 110 kPa')
    expect(build.settled).toBe(false)
    await settle()
    expect(save).not.toHaveBeenCalled()
    come()
    await settle()
    expect(save).toHaveBeenCalledTimes(1)
    expect(build.settled).toBe(true)
  })

  it('keeps the order of edits whichever answer comes back first', async () => {
    const saved: number[] = []
    vi.spyOn(api, 'save').mockImplementation(async (_, revision, doc, change) => {
      saved.push(doc.options[1]!.boost_kPa)
      return { revision: revision + 1, change, changedAt: '', undo: change }
    })
    const build = await opened()
    vi.mocked(api.preview).mockImplementationOnce(async (doc, letters, part) => {
      await new Promise((done) => setTimeout(done, 30))
      return answersFor(doc, letters, part)
    })
    const slow = build.edit([{ pointer: '/options/#B/boost_kPa', value: 100 }], 'to 100')
    const quick = build.edit([{ pointer: '/options/#B/boost_kPa', value: 120 }], 'to 120')
    await Promise.all([slow, quick])
    await settle()
    expect(saved).toEqual([100, 120])
    await new Promise((done) => setTimeout(done, 40))
    expect(build.answer?.steady?.stations[2]!.temperature_C).toBe(120)
    expect(build.document?.options[1]!.boost_kPa).toBe(120)
  })

  it('leaves everything as it was when an edit is refused', async () => {
    const build = await opened()
    const fault = {
      kind: 'OUT_OF_RANGE',
      field: '/options/1/boost_kPa',
      label: 'boost',
      value: '-5 kPa',
      allowed: '0 to 500',
      sentence: 'No.',
    } as const
    vi.mocked(api.save).mockRejectedValueOnce(new Problem(422, 'No.', fault))
    expect(await build.edit([{ pointer: '/options/#B/boost_kPa', value: -5 }], 'boost')).toEqual({ done: false, fault })
    expect([build.ghostMode, build.before]).toEqual(['option', undefined])
    expect(build.document).toEqual(document)
    await settle()
    expect(build.answer?.steady?.stations[2]!.temperature_C).toBe(80)
    expect(shelved()).toEqual([])
  })

  it('says in the strip why a button could not do what it says', async () => {
    const fault = {
      field: '/options/1/path',
      label: 'pieces',
      sentence: 'water loop is without a pump; it must be driven by at least one.',
    } as FaultView
    const build = await opened()
    vi.spyOn(api, 'save').mockRejectedValue(new Problem(422, 'no', fault))
    expect((await build.act([{ pointer: '/options/#B/boost_kPa', value: 3 }], 'pump taken out')).done).toBe(false)
    expect(build.failure).toBe(fault.sentence)
    expect(build.document).toEqual(document)
    await build.addOption('copy', [], 'copied')
    expect(build.failure).toBe(fault.sentence)
    expect(build.letter).toBe('B')
  })

  it('keeps an edit in the browser while the server is away and brings it back later', async () => {
    vi.spyOn(api, 'save').mockRejectedValue(new Offline('away'))
    const build = await opened()
    await build.edit([{ pointer: '/name', value: 'Renamed' }], 'name')
    await settle()
    expect(build.offline).toBe(true)
    expect(shelved()).toEqual([expect.stringContaining('Renamed')])
    setActivePinia(createPinia())
    const save = saves()
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
    expect(build.conflict).toMatchObject({ revision: 5 })
    saves()
    await build.keepMine()
    await settle()
    expect(save).toHaveBeenLastCalledWith(7, 5, expect.objectContaining({ name: 'Mine' }), 'name "Mine"', expect.anything())
    expect(build.keeper?.told.revision).toBe(6)
  })

  it('goes on with theirs but leaves mine in the history', async () => {
    const theirs = state(5, { ...document, name: 'Theirs' }, 'name "Theirs"')
    vi.spyOn(api, 'save').mockRejectedValueOnce(new Problem(409, 'stale', undefined, theirs))
    const build = await opened()
    await build.edit([{ pointer: '/name', value: 'Mine' }], 'name "Mine"')
    await settle()
    saves()
    const undo = vi.spyOn(api, 'undo').mockResolvedValue(theirs)
    await build.takeTheirs()
    expect(undo).toHaveBeenCalledWith(7, 6)
    expect(build.document?.name).toBe('Theirs')
    expect(build.conflict).toBeUndefined()
  })

  it('makes a new option from the shown one and compares them', async () => {
    const build = await opened()
    await build.addOption('more boost', [{ pointer: '/boost_kPa', value: 120 }], 'option from B')
    expect(build.letter).toBe('C')
    expect(build.against).toBe('B')
    expect(build.option).toMatchObject({ name: 'more boost', boost_kPa: 120 })
    expect(build.document?.options[1]!.boost_kPa).toBe(80)
    await build.removeOption('C')
    expect(build.document?.options.map((o) => o.letter)).toEqual(['A', 'B'])
  })

  it('tries what was found on a document that has moved on since, in the right place', async () => {
    const build = await opened()
    build.keeper!.show(
      state(
        1,
        counted({
          ...document,
          options: [
            {
              ...document.options[0]!,
              path: [
                { kind: 'pipe', name: 'hot', bore_mm: 57 },
                { kind: 'pipe', name: 'cold', bore_mm: 57 },
              ],
            },
          ],
        }) as unknown as BuildDocument,
      ),
    )
    build.letter = 'A'
    const asked = { document: build.document!, letter: 'A' }
    await build.edit([{ list: '/options/#A/path', put: { kind: 'pipe', name: 'new', bore_mm: 57 }, behind: null }], 'pipe in')
    await build.addOption('wider', [{ pointer: '/path/1/bore_mm', value: 63 }], 'tried', asked)
    expect(build.option!.path.map((p) => [p.name, (p as { bore_mm: number }).bore_mm])).toEqual([
      ['new', 57],
      ['hot', 57],
      ['cold', 63],
    ])
  })

  it('writes a late answer into no other build', async () => {
    const build = useBuild()
    let answer: ((s: BuildState) => void) | undefined
    vi.mocked(api.build).mockImplementationOnce(() => new Promise((tell) => (answer = tell)))
    const slow = build.open(7)
    await settle()
    vi.mocked(api.build).mockResolvedValueOnce({ ...state(3, { ...document, name: 'Other' }), id: 8, uid: 'u8' })
    await build.open(8)
    answer!(state(1))
    await slow
    expect(build.document?.name).toBe('Other')
    await build.edit([{ pointer: '/name', value: 'Changed' }], 'name')
    expect(vi.mocked(api.save).mock.lastCall!.slice(0, 2)).toEqual([8, 3])
  })

  it('saves to the end what was left unsaved when another build was opened', async () => {
    const build = await opened()
    let keep: (() => void) | undefined
    vi.mocked(api.save).mockImplementationOnce(
      (_, revision, __, change) => new Promise((tell) => (keep = () => tell({ revision: revision + 1, change, changedAt: '', undo: change }))),
    )
    void build.edit([{ pointer: '/name', value: 'First' }], 'first')
    void build.edit([{ pointer: '/summary', value: 'and more' }], 'second')
    vi.mocked(api.build).mockResolvedValueOnce({ ...state(3, { ...document, name: 'Other' }), id: 8, uid: 'u8' })
    await build.open(8)
    await build.open(7)
    expect(build.document, 'what it has, not what the server had').toMatchObject({ name: 'First', summary: 'and more' })
    keep!()
    await settle()
    expect(vi.mocked(api.save).mock.calls.map((c) => [c[0], c[1], c[3]])).toEqual([
      [7, 1, 'first'],
      [7, 2, 'second'],
    ])
    expect(shelved()).toEqual([])
  })

  it('edits of a build that is left go into that build', async () => {
    const build = await opened()
    const { edit } = build.here()
    vi.mocked(api.build).mockResolvedValueOnce({ ...state(3, { ...document, name: 'Other' }), id: 8, uid: 'u8' })
    await build.open(8)
    await edit([{ pointer: '/summary', value: 'late' }], 'late')
    expect(vi.mocked(api.save).mock.lastCall!.slice(0, 2)).toEqual([7, 1])
    expect(build.document?.name).toBe('Other')
  })

  it('looks at an earlier version without changing anything and brings it back as a new one', async () => {
    const build = await opened()
    vi.spyOn(api, 'revision').mockResolvedValue(state(1, { ...document, name: 'Before' }, 'first'))
    await build.look(1)
    expect(build.document?.name).toBe('Before')
    expect(build.canUndo).toBeUndefined()
    expect(await build.edit([{ pointer: '/name', value: 'x' }], 'x')).toMatchObject({
      done: false,
      fault: { sentence: expect.stringContaining('to look at') },
    })
    expect(api.save).not.toHaveBeenCalled()
    await build.bringBack()
    expect(vi.mocked(api.save).mock.lastCall!.slice(2, 4)).toEqual([expect.objectContaining({ name: 'Before' }), 'version 1 brought back'])
    expect(build.looking).toBeUndefined()
  })

  it('undoes on the server when all is kept, and shows nothing of it in another build', async () => {
    const build = await opened()
    await build.edit([{ pointer: '/name', value: 'Renamed' }], 'name')
    let answer: ((s: BuildState) => void) | undefined
    vi.spyOn(api, 'undo').mockImplementation(() => new Promise((tell) => (answer = tell)))
    const undo = build.travel('undo')
    await settle()
    vi.mocked(api.build).mockResolvedValueOnce({ ...state(3, { ...document, name: 'Other' }), id: 8, uid: 'u8' })
    await build.open(8)
    answer!(state(1))
    await undo
    expect(build.document?.name).toBe('Other')
    expect(build.notice).toBe('')
  })
})
