import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api, Offline, Problem, type BuildKept, type BuildState, type FaultView } from '../api/client'
import { counted } from '../testing/surface'
import type { BuildDocument, PipePiece } from '../document/types'
import { Keeper } from './keeper'
import type { Shelved } from './shelf'

const pipe = (name: string) => ({ kind: 'pipe', name, bore_mm: 57, length_mm: 400, material: 'aluminium', bends: [{ angle_deg: 90, radius_mm: 86 }] })
const document = counted({
  name: 'Bench',
  options: [{ letter: 'A', name: 'first', boost_kPa: 90, path: [pipe('hot'), pipe('cold')] }],
}) as unknown as BuildDocument
const state = (revision: number, doc: BuildDocument = document, change = 'x'): BuildState => ({
  id: 7,
  uid: 'u7',
  revision,
  change,
  changedAt: '2026-11-28T10:00:00Z',
  undo: 'x',
  document: doc,
})
const bore = '/options/#A/path/#r2/bore_mm'
const bend = { list: '/options/#A/path/#r2/bends', put: { angle_deg: 45, radius_mm: 86 } }
const cold = (doc: BuildDocument) => doc.options[0]!.path.find((p) => p.name === 'cold') as PipePiece
const settle = () => new Promise((done) => setTimeout(done, 5))
const shelved = () => Object.values(localStorage).map((text) => JSON.parse(text as string) as Shelved)[0]

/** A server that keeps what it is sent, as the real one does: once for each edit, and only on the newest. */
class Server {
  revision = 1
  document = document
  readonly kept = new Map<string, number>()
  readonly changes: string[] = []
  refuses: (doc: BuildDocument) => FaultView | undefined = () => undefined
  loses = 0

  async save(_: number, on: number, doc: BuildDocument, change: string, edit: string): Promise<BuildKept> {
    await settle()
    const before = this.kept.get(edit)
    if (before) return this.told(before, change)
    const fault = this.refuses(doc)
    if (fault) throw new Problem(422, fault.sentence, fault)
    if (on !== this.revision) throw new Problem(409, 'stale', undefined, state(this.revision, this.document, 'theirs'))
    this.document = structuredClone(doc)
    this.kept.set(edit, ++this.revision)
    this.changes.push(change)
    if (this.loses-- > 0) throw new Offline('lost')
    return this.told(this.revision, change)
  }

  /** One step back, to a bore 10 less than it is. */
  async undo(on: number): Promise<BuildState> {
    await settle()
    if (on !== this.revision) throw new Problem(409, 'stale', undefined, state(this.revision, this.document, 'theirs'))
    this.document = structuredClone(this.document)
    cold(this.document).bore_mm! -= 10
    return state(++this.revision, this.document)
  }

  private told(revision: number, change: string): BuildKept {
    return { revision, change, changedAt: '', undo: change }
  }
}

describe('the keeper of a build', () => {
  let server: Server
  let keeper: Keeper

  beforeEach(() => {
    localStorage.clear()
    server = new Server()
    vi.spyOn(api, 'save').mockImplementation((...sent) => server.save(...sent))
    keeper = new Keeper('u7', document, state(1))
  })
  afterEach(() => {
    vi.useRealTimers()
    vi.restoreAllMocks()
  })

  it('shelves an edit before anything else and forgets it when it is on the disk', async () => {
    const outcome = keeper.add('bore 63', [{ pointer: bore, value: 63 }])
    expect(shelved()!.steps.map((s) => s.change)).toEqual(['bore 63'])
    expect(cold(keeper.told.newest).bore_mm).toBe(63)
    expect(await outcome).toEqual({ done: true })
    await settle()
    expect(keeper.settled).toBe(true)
    expect(localStorage.length).toBe(0)
    expect(cold(server.document).bore_mm).toBe(63)
  })

  it('keeps every edit as a step of its own, in their order, however slow the answers', async () => {
    await Promise.all([63, 70, 76].map((v) => keeper.add(`bore ${v}`, [{ pointer: bore, value: v }])))
    expect(server.changes).toEqual(['bore 63', 'bore 70', 'bore 76'])
    expect(keeper.told.revision).toBe(4)
  })

  it('adds four bends when pressed four times, and none lands in another piece', async () => {
    void keeper.add('pipe in', [{ list: '/options/#A/path', put: pipe('new'), behind: null }])
    for (let i = 0; i < 4; i++) void keeper.add('bend added', [bend])
    void keeper.add('bore 63', [{ pointer: bore, value: 63 }])
    await keeper.drained()
    expect(server.document.options[0]!.path.map((p) => p.name)).toEqual(['new', 'hot', 'cold'])
    expect(cold(server.document).bends).toHaveLength(5)
    expect(cold(server.document).bore_mm).toBe(63)
    expect(new Set(cold(server.document).bends.map((b) => b.id)).size).toBe(5)
  })

  it('takes out only what the server refuses and makes the rest without it', async () => {
    const fault = { kind: 'OUT_OF_RANGE', sentence: 'bore is 5 mm; it must lie between 10 and 400 mm.' } as FaultView
    server.refuses = (doc) => (doc.options[0]!.path.some((p) => (p as PipePiece).bore_mm === 5) ? fault : undefined)
    const bad = keeper.add('pipe of 5 mm put in', [{ list: '/options/#A/path', put: { ...pipe('thin'), bore_mm: 5 }, behind: null }])
    const good = keeper.add('bore 63', [{ pointer: bore, value: 63 }])
    expect(await bad).toEqual({ done: false, fault })
    expect(await good).toEqual({ done: true })
    expect(server.document.options[0]!.path.map((p) => p.name)).toEqual(['hot', 'cold'])
    expect(cold(server.document).bore_mm).toBe(63)
    expect(keeper.told.newest).toEqual(server.document)
  })

  it('sends an edit whose answer was lost once more, and it is kept once', async () => {
    vi.useFakeTimers()
    server.loses = 1
    void keeper.add('bend added', [bend])
    await vi.advanceTimersByTimeAsync(100)
    expect(keeper.told.hold?.kind).toBe('offline')
    expect(shelved()!.steps).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(4000)
    expect(keeper.settled).toBe(true)
    expect(server.changes).toEqual(['bend added'])
    expect(cold(server.document).bends).toHaveLength(2)
  })

  it('keeps an edit after a failure of the server, says why, and sends it again', async () => {
    vi.useFakeTimers()
    vi.mocked(api.save).mockRejectedValueOnce(new Problem(507, 'The disk that holds the builds is full.'))
    void keeper.add('bore 63', [{ pointer: bore, value: 63 }])
    await vi.advanceTimersByTimeAsync(100)
    expect(keeper.told.hold?.words).toContain('disk that holds the builds is full')
    expect(shelved()!.steps).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(4000)
    expect(keeper.told.hold).toBeUndefined()
    expect(cold(server.document).bore_mm).toBe(63)
  })

  it('names a value that only the server refuses when nobody waits for it any more, and holds back nothing else', async () => {
    vi.useFakeTimers()
    vi.mocked(api.save).mockRejectedValueOnce(new Offline('away'))
    const fault = { kind: 'CONTRADICTION', sentence: 'No.' } as FaultView
    server.refuses = (doc) => (cold(doc).length_mm === 1 ? fault : undefined)
    void keeper.add('length 1 mm', [{ pointer: '/options/#A/path/#r2/length_mm', value: 1 }])
    await vi.advanceTimersByTimeAsync(10)
    await vi.advanceTimersByTimeAsync(10)
    void keeper.add('bore 63', [{ pointer: bore, value: 63 }])
    await vi.advanceTimersByTimeAsync(5000)
    expect(keeper.told.refused).toBe('Not kept: length 1 mm. No.')
    expect(server.changes).toEqual(['bore 63'])
    expect(cold(keeper.told.newest)).toMatchObject({ bore_mm: 63, length_mm: 400 })
  })

  it('goes on after a reload in the middle of a save without quarrelling with itself', async () => {
    server.loses = 1
    void keeper.add('bend added', [bend])
    void keeper.add('bore 63', [{ pointer: bore, value: 63 }])
    await settle()
    await settle()
    const left = shelved()!
    expect(left.steps).toHaveLength(2)
    const again = new Keeper('u7', server.document, state(server.revision, server.document), left)
    void again.run()
    expect(await again.drained()).toBe(true)
    expect(again.told.conflict).toBeUndefined()
    expect(server.changes).toEqual(['bend added', 'bore 63'])
    expect(cold(server.document)).toMatchObject({ bore_mm: 63, bends: [{}, {}] })
  })

  it('keeps what is typed during a conflict, and lays all of it over theirs as steps of their own', async () => {
    server.revision = 5
    server.document = { ...document, name: 'Theirs' }
    void keeper.add('bore 63', [{ pointer: bore, value: 63 }])
    await settle()
    await settle()
    expect(keeper.told.conflict?.document.name).toBe('Theirs')
    void keeper.add('bend added', [bend])
    await keeper.keepMine()
    expect(await keeper.drained()).toBe(true)
    expect(server.changes).toEqual(['bore 63', 'bend added'])
    expect(server.document.name).toBe('Theirs')
    expect(cold(server.document)).toMatchObject({ bore_mm: 63, bends: [{}, {}] })
  })

  it('lays the whole of mine over theirs where theirs has lost what mine speaks of', async () => {
    server.revision = 5
    server.document = { ...document, options: [{ ...document.options[0]!, path: [document.options[0]!.path[0]!] }] }
    void keeper.add('bore 63', [{ pointer: bore, value: 63 }])
    await settle()
    await settle()
    await keeper.keepMine()
    await keeper.drained()
    expect(cold(server.document).bore_mm).toBe(63)
  })

  it('refuses an edit of a row that is gone and changes nothing', async () => {
    const outcome = await keeper.add('bore 63', [{ pointer: '/options/#A/path/#r9/bore_mm', value: 63 }])
    expect(outcome).toMatchObject({ done: false, fault: { sentence: expect.stringContaining('not there any more') } })
    expect(keeper.told.newest).toBe(document)
    expect(localStorage.length).toBe(0)
  })

  it('takes back an edit that was not sent while the server is away, or says why not', async () => {
    vi.useFakeTimers()
    vi.mocked(api.save).mockRejectedValue(new Offline('away'))
    void keeper.add('bore 63', [{ pointer: bore, value: 63 }])
    await vi.advanceTimersByTimeAsync(10)
    void keeper.add('bend added', [bend])
    expect(keeper.undoUnsent()).toEqual({ change: 'bend added' })
    expect(cold(keeper.told.newest).bends).toHaveLength(1)
    expect(keeper.undoUnsent()).toMatchObject({ not: expect.stringContaining('on its way to the server') })
    expect(keeper.redoUnsent()).toEqual({ change: 'bend added' })
    expect(cold(keeper.told.newest).bends).toHaveLength(2)
    vi.mocked(api.save).mockImplementation((...sent) => server.save(...sent))
    await vi.advanceTimersByTimeAsync(20000)
    expect(server.changes).toEqual(['bore 63', 'bend added'])
  })

  it('sends what is changed while an undo is on its way after it, and takes a second undo in its turn', async () => {
    vi.spyOn(api, 'undo').mockImplementation((_, on) => server.undo(on))
    const twice = [keeper.travel('undo'), keeper.travel('undo')]
    expect([keeper.settled, keeper.travelling]).toEqual([false, true])
    await keeper.add('bend added', [bend])
    expect(await Promise.all(twice)).toEqual(['x', 'x'])
    expect([server.revision, keeper.told.revision, keeper.told.undo]).toEqual([4, 4, 'bend added'])
    expect(keeper.told.conflict).toBeUndefined()
    expect([cold(server.document).bore_mm, cold(server.document).bends.length]).toEqual([37, 2])
    expect(keeper.told.newest).toEqual(server.document)
  })

  it('lets no undo overtake a change of the same moment: it takes that one back', async () => {
    vi.spyOn(api, 'undo').mockImplementation((_, on) => server.undo(on))
    void keeper.add('bore 63', [{ pointer: bore, value: 63 }])
    expect(await keeper.travel('undo')).toBe('bore 63')
    expect(keeper.told.conflict).toBeUndefined()
    expect(cold(keeper.told.newest).bore_mm).toBe(53)
    expect(keeper.told.revision).toBe(3)
    expect(keeper.told.sending).toBe(false)
  })

  it('shows the newest where another window was quicker than an undo, and makes what came meanwhile on it', async () => {
    vi.spyOn(api, 'undo').mockImplementation((_, on) => server.undo(on))
    server.revision = 5
    const undo = keeper.travel('undo')
    const added = keeper.add('bend added', [bend])
    await expect(undo).rejects.toMatchObject({ status: 409 })
    expect(await added).toEqual({ done: true })
    expect(server.revision).toBe(6)
    expect(keeper.told.conflict).toBeUndefined()
  })

  it('begins with what was left on what it was made on, unless that is what the server has', () => {
    const steps = [{ id: 's1', change: 'bore 63', edits: [{ pointer: bore, value: 63 }] }]
    const wider = structuredClone(document)
    wider.options[0]!.boost_kPa = 120
    const left = { build: 7, uid: 'u7', revision: 1, base: document, steps }
    const behind = new Keeper('u7', wider, state(2, wider), left)
    expect([behind.told.revision, behind.told.newest.options[0]!.boost_kPa, cold(behind.told.newest).bore_mm]).toEqual([1, 90, 63])
    const beside = new Keeper('u7', wider, state(1, wider), left)
    expect([beside.told.revision, beside.told.newest.options[0]!.boost_kPa, cold(beside.told.newest).bore_mm]).toEqual([1, 120, 63])
  })

  it('does nothing again that was taken back before another change, and forgets a refusal with the next change', async () => {
    vi.mocked(api.save).mockRejectedValue(new Offline('away'))
    void keeper.add('bore 63', [{ pointer: bore, value: 63 }])
    await settle()
    void keeper.add('bend added', [bend])
    keeper.undoUnsent()
    keeper.told.refused = 'Not kept: length 1 mm.'
    void keeper.add('bore 70', [{ pointer: bore, value: 70 }])
    expect(keeper.told.refused).toBe('')
    expect(keeper.redoUnsent()).toMatchObject({ not: expect.any(String) })
  })

  it('lets nobody wait for a change that cannot be sent: while two versions stand against each other, or for all to be kept while it is away', async () => {
    server.revision = 5
    await keeper.add('bore 63', [{ pointer: bore, value: 63 }])
    expect(keeper.told.conflict).toBeDefined()
    expect(await keeper.add('bend added', [bend])).toEqual({ done: true })
    const away = new Keeper('u8', document, state(1))
    vi.mocked(api.save).mockRejectedValue(new Offline('away'))
    await away.add('bore 63', [{ pointer: bore, value: 63 }])
    vi.useFakeTimers()
    const kept = vi.fn()
    void away.drained().then(kept)
    await vi.advanceTimersByTimeAsync(100)
    expect(kept).toHaveBeenCalledWith(false)
  })

  it('sends again after 2 s, then later and later, never later than 15 s, and after 2 s again once something was kept', async () => {
    vi.useFakeTimers()
    const times: number[] = []
    const begun = Date.now()
    let fails = 12
    vi.mocked(api.save).mockImplementation(async (_, revision) => {
      times.push((Date.now() - begun) / 1000)
      if (fails-- > 0) throw new Offline('away')
      return { revision: revision + 1, change: '', changedAt: '' }
    })
    void keeper.add('bore 63', [{ pointer: bore, value: 63 }])
    await vi.advanceTimersByTimeAsync(200_000)
    const waits = times.slice(1).map((t, i) => t - times[i]!)
    expect(waits.slice(0, 3)).toEqual([2, 3, 4.5])
    expect(Math.max(...waits)).toBe(15)
    expect(keeper.settled).toBe(true)
    fails = 1
    times.length = 0
    void keeper.add('bore 70', [{ pointer: bore, value: 70 }])
    await vi.advanceTimersByTimeAsync(10_000)
    expect(times[1]! - times[0]!).toBe(2)
  })

  it('takes a refusal without another version for trouble, not for a clash', async () => {
    vi.mocked(api.save).mockRejectedValue(new Problem(409, 'Try again.'))
    await keeper.add('bore 63', [{ pointer: bore, value: 63 }])
    expect(keeper.told.conflict).toBeUndefined()
    expect(keeper.told.hold).toEqual({ kind: 'trouble', words: 'Try again. Your edits are kept in this browser and sent again.' })
  })

  it('lets no second undo follow at once when something was changed since the first', async () => {
    vi.spyOn(api, 'undo').mockImplementation((_, on) => server.undo(on))
    const undo = keeper.travel('undo')
    expect(keeper.travelling).toBe(true)
    void keeper.add('bend added', [bend])
    expect(keeper.travelling).toBe(false)
    await undo
  })

  it('offers a deleted build as a new one', async () => {
    vi.mocked(api.save).mockRejectedValue(new Problem(404, 'gone'))
    void keeper.add('bore 63', [{ pointer: bore, value: 63 }])
    await settle()
    expect(keeper.told.hold?.kind).toBe('gone')
    const create = vi.spyOn(api, 'create').mockResolvedValue(state(1))
    await keeper.asNew()
    expect(cold(JSON.parse(create.mock.calls[0]![0]) as BuildDocument).bore_mm).toBe(63)
    expect(localStorage.length).toBe(0)
  })
})
