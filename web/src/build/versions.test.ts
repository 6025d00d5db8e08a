import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, Offline, Problem } from '../api/client'
import type { BuildOption } from '../document/types'
import { bench, settle, stateOf } from '../testing/build'
import { boostOf, goAway, goElsewhere, late, lateKept, openBench } from '../testing/openBench'
import { useBuild } from './store'

/** Undo and redo, two windows, earlier versions, what holds an edit up. */
describe('versions of a build', () => {
  let build: ReturnType<typeof useBuild>

  beforeEach(async () => {
    build = await openBench()
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
      goAway()
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
      goAway()
      await build.edit([{ pointer: '/name', value: 'one' }], 'first')
      await build.edit([{ pointer: '/name', value: 'two' }], 'second')
      const undone = build.travel('undo')
      await goElsewhere()
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
      await goElsewhere()
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
      await goElsewhere()
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
      await goElsewhere()
      expect(build.document!.name).toBe('Other')
    })
  })

  describe('what holds an edit up', () => {
    it('is told, and what was left unsaved is named when the build is opened anew', async () => {
      goAway()
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
      await goElsewhere()
      vi.mocked(api.build).mockResolvedValueOnce(stateOf(9, { ...bench, name: 'Newer' }))
      await build.open(7)
      expect(build.document!.name).toBe('Newer')
    })

    it.each(['left', 'opened again'])('a build left with something on its way is forgotten when that is kept: %s meanwhile', async (what) => {
      const kept = lateKept()
      void build.edit([{ pointer: '/name', value: 'x' }], 'name')
      await goElsewhere()
      if (what !== 'left') await build.open(7)
      kept()
      await settle()
      await goElsewhere()
      vi.mocked(api.build).mockResolvedValueOnce(stateOf(9, { ...bench, name: 'Newer' }))
      await build.open(7)
      expect(build.document!.name).toBe('Newer')
    })
  })
})
