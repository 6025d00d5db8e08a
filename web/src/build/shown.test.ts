import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api } from '../api/client'
import type { BuildDocument, BuildOption, DutyDocument } from '../document/types'
import { bench, settle, stateOf } from '../testing/build'
import { boostOf, goElsewhere, lateKept, openBench, refusedBy } from '../testing/openBench'
import type { useBuild } from './store'

/** Which option stands on screen, against what, with which words. */
describe('what is shown of a build', () => {
  let build: ReturnType<typeof useBuild>

  beforeEach(async () => {
    build = await openBench()
  })

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
      await goElsewhere()
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
      await goElsewhere()
      vi.mocked(api.save).mockRejectedValueOnce(refusedBy('No.'))
      expect(await left.act([{ pointer: '/name', value: 'x' }], 'name')).toMatchObject({ done: false })
      await left.edit([{ pointer: '/summary', value: 'late' }], 'late')
      expect([build.trouble, build.before]).toEqual(['', undefined])
    })

    it('keeps the program unsettled until it is kept and answered', async () => {
      await settle()
      expect(build.settled).toBe(true)
      const kept = lateKept()
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
})
