import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, Offline, Problem, type BuildState, type FaultView } from '../api/client'
import type { BuildDocument, BuildOption, DutyDocument } from '../document/types'
import { answersFor, bench, settle, stateOf } from '../testing/build'
import { catalogueView } from '../testing/catalogue'
import { useBuild } from './store'

const refusedBy = (sentence: string) => new Problem(422, 'refused', { kind: 'CONTRADICTION', sentence } as FaultView)
const other = (doc: Partial<BuildDocument> = {}) => ({ ...stateOf(3, { ...bench, name: 'Other', ...doc }), id: 8, uid: 'u8' })
const boostOf = (letter: string) => `/options/#${letter}/boost_kPa`

/** What stands on screen beside the document: which option, against what, which words, what can be undone. */
describe('what is shown of a build', () => {
  let build: ReturnType<typeof useBuild>

  beforeEach(async () => {
    setActivePinia(createPinia())
    localStorage.clear()
    vi.restoreAllMocks()
    vi.spyOn(api, 'fields').mockResolvedValue(catalogueView)
    vi.spyOn(api, 'build').mockResolvedValue(stateOf(2, bench, 'boost'))
    vi.spyOn(api, 'preview').mockImplementation(async (doc, letters, part) => answersFor(doc, letters, part))
    vi.spyOn(api, 'save').mockImplementation(async (_, revision, __, change) => ({ revision: revision + 1, change, changedAt: '', undo: change }))
    build = useBuild()
    await build.open(7)
  })

  const away = () => vi.mocked(api.save).mockRejectedValue(new Offline('away'))
  async function elsewhere(doc?: Partial<BuildDocument>) {
    vi.mocked(api.build).mockResolvedValueOnce(other(doc))
    await build.open(8)
  }
  /** Answers in the test's own time. */
  function late(of: 'undo' | 'revision' | 'build') {
    let answer!: (state: BuildState) => void
    let fail!: (error: Error) => void
    vi.spyOn(api, of).mockImplementationOnce(
      () =>
        new Promise<BuildState>((tell, refuse) => {
          answer = tell
          fail = refuse
        }),
    )
    return { answer: (state: BuildState) => answer(state), fail: (error: Error) => fail(error) }
  }

  describe('options', () => {
    it.each([
      ['A', 'B', 'A', 'B'],
      ['Q', 'R', 'B', 'A'],
      ['A', undefined, 'A', 'B'],
    ])('opens on those asked for where they are there: %s against %s', async (wanted, versus, letter, against) => {
      await build.open(7, wanted, versus)
      expect([build.letter, build.against]).toEqual([letter, against])
    })

    it('opens against the one asked for, of several', async () => {
      vi.mocked(api.build).mockResolvedValue(stateOf(1, { ...bench, options: [...bench.options, { ...bench.options[0]!, letter: 'C' }] }))
      await build.open(7, 'A', 'C')
      expect([build.letter, build.against]).toEqual(['A', 'C'])
      await build.removeOption('A')
      expect([build.letter, build.against], 'the last takes the place of what is taken out').toEqual(['C', 'B'])
    })

    it('compares a chosen one with the one before, never with itself', async () => {
      await build.edit([{ pointer: boostOf('B'), value: 70 }], 'boost')
      build.choose('B')
      expect(build.ghostMode, 'the same again changes nothing').toBe('before')
      build.choose('A')
      expect([build.letter, build.against, build.ghost?.label]).toEqual(['A', 'B', 'B'])
      build.against = 'A'
      expect(build.ghost).toBeUndefined()
    })

    it('goes to one beside when the one on screen is taken out, keeps the last', async () => {
      await build.addOption('third', [], 'option from B')
      build.choose('A')
      await build.removeOption('C')
      expect([build.letter, build.against]).toEqual(['A', 'B'])
      await build.removeOption('B')
      expect([build.letter, build.against]).toEqual(['A', undefined])
      await build.removeOption('A')
      expect(build.document!.options).toHaveLength(1)
      expect(build.trouble).toBe('')
    })

    it('goes back to the one it came from when a new one is refused, unless the reader has gone on', async () => {
      const made = { letter: 'C', name: 'new', boost_kPa: 60, path: [] } as unknown as BuildOption
      vi.mocked(api.save).mockRejectedValueOnce(refusedBy('No.'))
      const put = build.putOption(made, 'A', 'put in')
      expect([build.letter, build.against, build.ghost?.label]).toEqual(['C', 'A', 'A'])
      await put
      expect([build.letter, build.trouble]).toEqual(['A', 'No.'])
      build.choose('B')
      vi.mocked(api.save).mockRejectedValueOnce(refusedBy('No.'))
      const again = build.putOption(made, 'A', 'put in')
      build.choose('B')
      await again
      expect(build.letter).toBe('B')
      build.leave()
      await build.putOption(made, 'A', 'put in')
      expect(build.letter, 'no build, nothing to show').toBe('B')
    })

    it('says why what was found cannot be tried any more, and changes nothing', async () => {
      const asked = { document: { ...bench, options: [{ ...bench.options[0]!, path: [] }] } as BuildDocument, letter: 'A' }
      const tried = await build.addOption('longer', [{ pointer: '/path/#gone/bore_mm', value: 63 }], 'tried', asked)
      expect(tried.done).toBe(false)
      expect(build.trouble).toMatch(/./)
      expect(build.letter).toBe('B')
      expect(api.save).not.toHaveBeenCalled()
      await build.addOption('from A', [], 'tried', { document: build.document!, letter: 'A' })
      expect([build.against, build.option!.boost_kPa], 'of the option it was found for').toEqual(['A', 90])
    })
  })

  describe('what it is compared with', () => {
    it('is what was before the edit, over another duty not on the same time', async () => {
      await build.edit([{ pointer: boostOf('B'), value: 70 }], 'boost')
      await settle()
      expect(build.ghost).toMatchObject({ label: 'before', sameDuty: true, answer: { soak: { length_s: 80 } } })
      await build.edit([{ pointer: '/duty', value: { name: 'hill' } as DutyDocument }], 'duty')
      await settle()
      expect(build.ghost).toMatchObject({ label: 'before', sameDuty: false })
    })

    it('comes back with an edit that was refused, where no other was made since', async () => {
      await build.edit([{ pointer: boostOf('B'), value: 70 }], 'first')
      await settle()
      build.ghostMode = 'option'
      vi.mocked(api.save).mockRejectedValueOnce(refusedBy('No.'))
      await build.edit([{ pointer: boostOf('B'), value: 60 }], 'second')
      expect([build.before?.change, build.ghostMode]).toEqual(['first', 'option'])
      vi.mocked(api.save).mockRejectedValueOnce(refusedBy('No.'))
      const refused = build.edit([{ pointer: boostOf('B'), value: 50 }], 'third')
      await build.edit([{ pointer: '/name', value: 'Later' }], 'fourth')
      await refused
      expect([build.before?.change, build.ghostMode]).toEqual(['fourth', 'before'])
    })

    it('is nothing of another build', async () => {
      await build.edit([{ pointer: boostOf('B'), value: 70 }], 'boost')
      build.trouble = 'No.'
      await elsewhere()
      expect([build.before, build.trouble, build.notice, build.ghostMode]).toEqual([undefined, '', '', 'option'])
    })
  })

  describe('an edit', () => {
    it('that changes nothing is no step', async () => {
      expect(await build.edit([{ pointer: '/name', value: 'Bench' }], 'name')).toEqual({ done: true })
      expect(api.save).not.toHaveBeenCalled()
      await build.edit(
        [
          { pointer: '/name', value: 'Bench' },
          { pointer: boostOf('A'), value: 70 },
        ],
        'boost of A',
      )
      expect(vi.mocked(api.preview).mock.lastCall!.slice(1, 3), 'only what it touches is asked about').toEqual([['A'], 'DUTY'])
    })

    it('of what is not there any more changes nothing on screen', async () => {
      build.notice = 'Undone: x.'
      expect(await build.edit([{ pointer: boostOf('Z'), value: 70 }], 'boost')).toMatchObject({ done: false })
      expect([build.before, build.ghostMode, build.notice]).toEqual([undefined, 'option', 'Undone: x.'])
    })

    it('takes the words of the one before from the screen', async () => {
      build.trouble = 'No.'
      build.notice = 'Undone: x.'
      void build.edit([{ pointer: boostOf('A'), value: 70 }], 'boost')
      expect([build.trouble, build.notice]).toEqual(['', ''])
    })

    it('of a build that was left says nothing on the screen of another', async () => {
      const left = build.here()
      await elsewhere()
      vi.mocked(api.save).mockRejectedValueOnce(refusedBy('No.'))
      expect(await left.act([{ pointer: '/name', value: 'x' }], 'name')).toMatchObject({ done: false })
      await left.edit([{ pointer: '/summary', value: 'late' }], 'late')
      expect([build.trouble, build.before]).toEqual(['', undefined])
    })

    it('keeps the program unsettled until it is kept and answered', async () => {
      await settle()
      expect(build.settled).toBe(true)
      let kept!: () => void
      vi.mocked(api.save).mockImplementationOnce(
        () => new Promise((tell) => (kept = () => tell({ revision: 3, change: 'name', changedAt: '', undo: 'name' }))),
      )
      void build.edit([{ pointer: '/name', value: 'x' }], 'name')
      await settle()
      expect(build.settled).toBe(false)
      kept()
      await settle()
      expect(build.settled).toBe(true)
      vi.mocked(api.preview).mockImplementationOnce(() => new Promise(() => {}))
      await build.edit([{ pointer: boostOf('A'), value: 70 }], 'boost')
      expect(build.settled).toBe(false)
    })
  })

  describe('undo and redo', () => {
    it('name what they do and say what they did', async () => {
      vi.spyOn(api, 'undo').mockResolvedValue({ ...stateOf(3, { ...bench, name: 'Was' }, 'boost'), undo: undefined, redo: 'boost' })
      const redo = vi.spyOn(api, 'redo').mockResolvedValue(stateOf(4, bench, 'boost'))
      await build.travel('redo')
      expect(redo, 'there is nothing to do again').not.toHaveBeenCalled()
      expect(build.canUndo).toBe('boost')
      await build.travel('undo')
      expect([build.document!.name, build.notice, build.canUndo, build.canRedo]).toEqual(['Was', 'Undone: boost.', undefined, 'boost'])
      expect(vi.mocked(api.preview).mock.lastCall![0].name, 'answered anew').toBe('Was')
      expect([build.before?.change, build.ghostMode], 'beside what was').toEqual(['Undone: boost.', 'before'])
      await build.travel('redo')
      expect([build.document!.name, build.notice]).toEqual(['Bench', 'Done again: boost.'])
    })

    it('work on what is not sent yet while the server is away', async () => {
      away()
      await build.edit([{ pointer: '/name', value: 'one' }], 'first')
      await build.edit([{ pointer: '/name', value: 'two' }], 'second')
      expect([build.canUndo, build.canRedo]).toEqual(['second', undefined])
      await build.travel('undo')
      expect([build.document!.name, build.notice, build.canRedo]).toEqual(['one', 'Undone: second.', 'second'])
      await build.travel('redo')
      expect([build.document!.name, build.notice]).toEqual(['two', 'Done again: second.'])
      await build.travel('undo')
      await build.travel('undo')
      expect(build.trouble, 'the first has been sent').toContain('on its way')
    })

    it('asked for twice at once take back what there is, once', async () => {
      const undo = vi.spyOn(api, 'undo').mockResolvedValue({ ...stateOf(3), undo: undefined })
      await Promise.all([build.travel('undo'), build.travel('undo')])
      expect(undo).toHaveBeenCalledTimes(1)
      expect(build.notice).toBe('Undone: boost.')
    })

    it('of what is not sent yet say nothing in another build', async () => {
      away()
      await build.edit([{ pointer: '/name', value: 'one' }], 'first')
      await build.edit([{ pointer: '/name', value: 'two' }], 'second')
      const undone = build.travel('undo')
      await elsewhere()
      await undone
      expect([build.notice, build.before]).toEqual(['', undefined])
    })

    it('show what another window made of the build meanwhile', async () => {
      vi.spyOn(api, 'undo').mockRejectedValueOnce(new Problem(409, 'stale', undefined, stateOf(5, { ...bench, options: [bench.options[0]!] })))
      await build.travel('undo')
      expect(build.notice).toContain('changed in another window')
      expect([build.letter, build.against]).toEqual(['A', 'A'])
    })

    it.each([
      [new Offline('away'), 'The server does not answer; nothing was undone. Try again when it is back.'],
      [new Error('Full.'), 'Full.'],
    ])('say why they could not: %s', async (error, words) => {
      vi.spyOn(api, 'undo').mockRejectedValueOnce(error)
      await build.travel('undo')
      expect(build.trouble).toBe(words)
    })

    it('say nothing of it in another build', async () => {
      const undo = late('undo')
      const travelling = build.travel('undo')
      await settle()
      await elsewhere()
      undo.fail(new Error('Full.'))
      await travelling
      expect(build.trouble).toBe('')
    })

    it('leave an option that is not there any more', async () => {
      vi.spyOn(api, 'undo').mockResolvedValue(stateOf(3, { ...bench, options: [{ ...bench.options[0]!, letter: 'C' }] as BuildOption[] }))
      await build.travel('undo')
      expect([build.letter, build.against]).toEqual(['C', undefined])
    })
  })

  describe('two windows', () => {
    beforeEach(async () => {
      vi.mocked(api.save).mockRejectedValueOnce(new Problem(409, 'stale', undefined, stateOf(5, { ...bench, name: 'Theirs' })))
      await build.edit([{ pointer: '/name', value: 'Mine' }], 'name "Mine"')
      await settle()
    })

    it('mine is laid over theirs and said so', async () => {
      await build.keepMine()
      expect(build.notice).toContain('Yours is laid over')
      expect(build.document!.name).toBe('Mine')
    })

    it('theirs is taken and said how mine comes back', async () => {
      vi.spyOn(api, 'undo').mockResolvedValue(stateOf(7, { ...bench, name: 'Theirs' }))
      await build.takeTheirs()
      expect(build.notice).toBe('Went on with the other window\'s version. Redo brings back yours: name "Mine".')
      build.notice = ''
      await build.takeTheirs()
      expect(build.notice, 'there is no quarrel any more').toBe('')
    })

    it('theirs could not be taken: why, and mine is still there', async () => {
      vi.mocked(api.save).mockRejectedValueOnce(new Error('Full.'))
      await build.takeTheirs()
      expect([build.trouble, build.document!.name, build.conflict?.revision]).toEqual(['Full.', 'Mine', 5])
    })
  })

  describe('an earlier version', () => {
    const old = stateOf(1, { ...bench, name: 'Before', options: [bench.options[0]!] }, 'first')

    it('is shown by itself, without undo, until the newest is asked for', async () => {
      await build.edit([{ pointer: boostOf('B'), value: 70 }], 'boost')
      vi.spyOn(api, 'revision').mockResolvedValue(old)
      const undo = vi.spyOn(api, 'undo')
      await build.look(1)
      expect([build.letter, build.against, build.before, build.canUndo, build.canRedo]).toEqual(['A', undefined, undefined, undefined, undefined])
      expect(vi.mocked(api.preview).mock.lastCall![0].name).toBe('Before')
      await build.travel('undo')
      expect(undo).not.toHaveBeenCalled()
      await build.look()
      expect([build.document!.name, build.against]).toEqual(['Bench', 'B'])
    })

    it('that cannot be had says why; one that comes late is not shown in another build', async () => {
      vi.spyOn(api, 'revision').mockRejectedValueOnce(new Error('Gone.'))
      await build.look(1)
      expect([build.trouble, build.looking]).toEqual(['Gone.', undefined])
      const asked = late('revision')
      const looking = build.look(1)
      await elsewhere()
      asked.answer(old)
      await looking
      expect([build.document!.name, build.looking]).toEqual(['Other', undefined])
      const failing = late('revision')
      const again = build.look(1)
      await build.open(7)
      failing.fail(new Error('Gone.'))
      await again
      expect(build.trouble).toBe('')
    })

    it('is left with the build', async () => {
      vi.spyOn(api, 'revision').mockResolvedValue(old)
      await build.look(1)
      await elsewhere()
      expect(build.document!.name).toBe('Other')
    })
  })

  describe('what holds an edit up', () => {
    it('is told, and what was left unsaved is named when the build is opened anew', async () => {
      away()
      await build.edit([{ pointer: boostOf('B'), value: 70 }], 'boost of B')
      expect([build.offline, build.failure]).toEqual([true, ''])
      setActivePinia(createPinia())
      build = useBuild()
      await build.open(7)
      expect(build.notice).toBe('Brought back what was not saved: boost of B.')
      expect(vi.mocked(api.save).mock.calls.length, 'and is sent again at once').toBe(2)
    })

    it('is over: all is asked anew', async () => {
      vi.useFakeTimers()
      vi.mocked(api.save).mockRejectedValueOnce(new Offline('away'))
      await build.edit([{ pointer: boostOf('B'), value: 70 }], 'boost of B')
      await vi.advanceTimersByTimeAsync(1)
      const asked = vi.mocked(api.preview).mock.calls.length
      await vi.advanceTimersByTimeAsync(3000)
      expect(build.offline).toBe(false)
      expect(
        vi
          .mocked(api.preview)
          .mock.calls.slice(asked)
          .map((c) => c[1]),
      ).toEqual([undefined, ['A', 'B']])
      vi.useRealTimers()
    })

    it('the server that answers nothing is away, what it refuses late is told', async () => {
      vi.mocked(api.preview).mockRejectedValueOnce(new Offline('away'))
      await build.edit([{ pointer: boostOf('B'), value: 70 }], 'boost of B')
      expect(build.offline).toBe(true)
      build.keeper!.told.refused = 'Not kept: boost.'
      expect(build.failure).toBe('Not kept: boost.')
      build.trouble = 'No.'
      expect(build.failure).toBe('No.')
      build.trouble = ''
      build.keeper!.told.refused = ''
      build.keeper!.told.unshelved = true
      expect(build.failure).toContain('no room left')
    })

    it('a build left with all kept is asked for anew when it is opened again', async () => {
      await build.edit([{ pointer: '/name', value: 'x' }], 'name')
      await elsewhere()
      vi.mocked(api.build).mockResolvedValueOnce(stateOf(9, { ...bench, name: 'Newer' }))
      await build.open(7)
      expect(build.document!.name).toBe('Newer')
    })

    it.each(['left', 'opened again'])('a build left with something on its way is forgotten when that is kept: %s meanwhile', async (what) => {
      let kept!: () => void
      vi.mocked(api.save).mockImplementationOnce(
        () => new Promise((tell) => (kept = () => tell({ revision: 3, change: 'name', changedAt: '', undo: 'name' }))),
      )
      void build.edit([{ pointer: '/name', value: 'x' }], 'name')
      await elsewhere()
      if (what !== 'left') await build.open(7)
      kept()
      await settle()
      await elsewhere()
      vi.mocked(api.build).mockResolvedValueOnce(stateOf(9, { ...bench, name: 'Newer' }))
      await build.open(7)
      expect(build.document!.name).toBe('Newer')
    })
  })
})
