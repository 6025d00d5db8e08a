import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, shallowRef, type ShallowRef } from 'vue'
import { api, Offline, Problem, type OptionAnswer, type SoakView } from '../api/client'
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
