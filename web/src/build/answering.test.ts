import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, shallowRef, type ShallowRef } from 'vue'
import { api, Offline, Problem, type FitView, type OptionAnswer, type SoakView } from '../api/client'
import type { BuildDocument } from '../document/types'
import { steadyView } from '../testing/steady'
import { answering } from './answering'

const bench = (name: string) => ({ name, options: [{ letter: 'A' }, { letter: 'B' }] }) as unknown as BuildDocument
const line = (option: string): OptionAnswer => ({ option, steady: steadyView([20, 21, 90, 40, 40, 40, 40]) })
const duty = (option: string): OptionAnswer => ({ option, soak: { length_s: 60 } as SoakView })
const flush = () => vi.advanceTimersByTimeAsync(0)

describe('what comes of the document', () => {
  let document: ShallowRef<BuildDocument | undefined>
  const failed = vi.fn()
  const asked = vi.spyOn(api, 'preview')
  let shown: ReturnType<typeof answering>

  beforeEach(() => {
    vi.useFakeTimers()
    failed.mockReset()
    asked.mockReset()
    asked.mockImplementation(async (doc, letters, part) => ({
      answers: (letters ?? doc.options.map((o) => o.letter)).map((l) => (part === 'DUTY' ? duty(l) : line(l))),
    }))
    document = shallowRef(bench('one'))
    shown = answering(document, failed)
    shown.forget()
  })
  afterEach(() => vi.useRealTimers())

  it('is the charge line first, then the duty of those that have one', async () => {
    asked.mockImplementationOnce(async () => ({ answers: [line('A'), { option: 'B', fault: { sentence: 'No.' } } as OptionAnswer] }))
    await shown.ask()
    expect(asked.mock.calls.map(([, letters, part]) => [letters, part])).toEqual([
      [undefined, 'LINE'],
      [['A'], 'DUTY'],
    ])
    expect(shown.answers.value['A']!.soak!.length_s).toBe(60)
    expect(shown.answered.value).toBe(document.value)
    expect(shown.asking.value).toBe(0)
  })

  it('is asked anew for what is out of date alone, and not at all when nothing is', async () => {
    await shown.ask()
    shown.outdate(['B'])
    await shown.ask()
    expect(asked.mock.calls.slice(2).map(([, letters]) => letters)).toEqual([['B'], ['B']])
    await shown.ask()
    expect(asked).toHaveBeenCalledTimes(4)
  })

  describe('where the reader looks at the room', () => {
    const room = { fits: true, obstacles: [{ name: 'battery' }], gaps: [{ gap_mm: 8.5 }] } as unknown as FitView
    const nearer = { fits: false, obstacles: [], gaps: [{ gap_mm: -1.5 }] } as unknown as FitView
    const fit = (option: string, now: FitView): OptionAnswer => ({ ...line(option), fit: now })
    let inRoom: string | undefined

    beforeEach(async () => {
      document = shallowRef({ ...bench('one'), room: { obstacles: [] } } as unknown as BuildDocument)
      inRoom = undefined
      shown = answering(document, failed, () => inRoom)
      shown.forget()
      asked.mockImplementationOnce(async () => ({ answers: [fit('A', room), fit('B', room)] }))
      await shown.ask()
      asked.mockClear()
      inRoom = 'B'
    })

    it('is first whether the option on screen fits, long before its line', async () => {
      let rest!: () => void
      asked.mockImplementationOnce(async () => ({ answers: [{ option: 'B', fit: nearer }] }))
      asked.mockImplementationOnce(() => new Promise((done) => (rest = () => done({ answers: [fit('B', nearer)] }))))
      const before = shown.answers.value['B']!.fit!.obstacles
      shown.outdate(['B'])
      const drawn = vi.fn()
      const all = shown.ask()
      void shown.shown().then(drawn)
      await flush()
      expect(drawn, 'not before a frame of it').not.toHaveBeenCalled()
      await vi.advanceTimersByTimeAsync(100)
      expect(drawn).toHaveBeenCalledTimes(1)
      expect(asked.mock.calls.map(([, letters, part]) => [letters, part])).toEqual([
        [['B'], 'BODIES'],
        [['B'], 'LINE'],
      ])
      expect(shown.answers.value['B']!.fit!.obstacles, 'as they are drawn').toBe(before)
      expect(shown.answers.value['B']!.fit!.gaps[0]!.gap_mm).toBe(-1.5)
      expect(shown.answers.value['B']!.soak!.length_s, 'what it was stays until it is there anew').toBe(60)
      expect(shown.answers.value['A']!.fit!.gaps[0]!.gap_mm).toBe(8.5)
      rest()
      await all
      expect(asked).toHaveBeenLastCalledWith(document.value, ['B'], 'DUTY', expect.anything())
    })

    it('brings the obstacles where one of them has changed', async () => {
      const moved = { ...nearer, obstacles: [{ name: 'battery', parts: [] }] } as unknown as FitView
      asked.mockImplementationOnce(async () => ({ answers: [{ option: 'B', fit: moved }] }))
      document.value = { ...document.value!, room: { obstacles: [] } } as unknown as BuildDocument
      shown.outdate()
      void shown.ask()
      await flush()
      expect(asked.mock.lastCall!.slice(1, 3)).toEqual([['B'], 'FIT'])
      expect(shown.answers.value['B']!.fit!.obstacles).toEqual(moved.obstacles)
    })

    it('is no fit asked for where another option alone has changed', async () => {
      shown.outdate(['A'])
      await shown.ask()
      expect(asked.mock.calls.map(([, letters, part]) => [letters, part])).toEqual([
        [['A'], 'LINE'],
        [['A'], 'DUTY'],
      ])
    })
  })

  it('holds up what can wait until its first answer is there, and not for long', async () => {
    let come!: () => void
    asked.mockImplementationOnce(() => new Promise((done) => (come = () => done({ answers: [line('A')] }))))
    const seen = vi.fn()
    void shown.ask()
    void shown.shown().then(seen)
    await vi.advanceTimersByTimeAsync(100)
    expect(seen).not.toHaveBeenCalled()
    come()
    await flush()
    expect(seen).toHaveBeenCalledTimes(1)
    asked.mockImplementationOnce(() => new Promise(() => {}))
    shown.outdate()
    void shown.ask()
    void shown.shown().then(seen)
    await vi.advanceTimersByTimeAsync(140)
    expect(seen).toHaveBeenCalledTimes(1)
    await vi.advanceTimersByTimeAsync(20)
    expect(seen).toHaveBeenCalledTimes(2)
  })

  it('drops what was being asked when something newer is', async () => {
    let answer!: (told: { answers: OptionAnswer[] }) => void
    asked.mockImplementationOnce(() => new Promise((done) => (answer = done)))
    void shown.ask()
    const dropped = asked.mock.calls[0]![3]!
    expect(dropped.aborted).toBe(false)
    await shown.ask()
    expect(dropped.aborted).toBe(true)
    const now = shown.answers.value
    answer({ answers: [] })
    await flush()
    expect(shown.answers.value).toBe(now)
  })

  it('follows a document that came from elsewhere in all its options', async () => {
    await shown.ask()
    asked.mockClear()
    document.value = bench('two')
    await nextTick()
    await flush()
    expect(asked.mock.calls[0]!.slice(0, 3)).toEqual([bench('two'), undefined, 'LINE'])
    expect(shown.answered.value!.name).toBe('two')
  })

  it('is asked for again 2 s after the server did not answer', async () => {
    asked.mockRejectedValueOnce(new Offline('away'))
    await shown.ask()
    expect(shown.away.value).toBe(true)
    await vi.advanceTimersByTimeAsync(1900)
    expect(asked).toHaveBeenCalledTimes(1)
    await vi.advanceTimersByTimeAsync(200)
    expect(shown.away.value).toBe(false)
    expect(shown.answers.value['A']!.soak!.length_s).toBe(60)
    expect(failed).not.toHaveBeenCalled()
  })

  it('says what failed, but for what the save says itself and what was overtaken', async () => {
    asked.mockRejectedValueOnce(new Problem(422, 'Refused.', { sentence: 'Refused.' } as never))
    await shown.ask()
    asked.mockRejectedValueOnce(new Problem(409, 'Overtaken.', undefined, undefined, 'about:superseded'))
    await shown.ask()
    expect(failed).not.toHaveBeenCalled()
    asked.mockRejectedValueOnce(new Problem(500, 'Broken.'))
    await shown.ask()
    expect(failed).toHaveBeenCalledWith('Broken.')
  })
})
