import { beforeEach, describe, expect, it, type Mock } from 'vitest'
import type { useBuild } from '../build/store'
import type { PipePiece } from '../document/types'
import { asEdited, listenedBuild, surface, usualPath } from '../testing/surface'
import PipesSurface from './PipesSurface.vue'

describe('the way of the air', () => {
  let build: ReturnType<typeof useBuild>
  let edit: Mock

  beforeEach(() => {
    ;({ build, edit } = listenedBuild())
  })

  it('shows every piece with its price and where the others are edited', async () => {
    const wrapper = await surface(PipesSurface)
    expect(wrapper.findAll('section[data-place]').map((s) => s.attributes('data-place'))).toEqual([
      '/path/#r1',
      '/path/#r2',
      '/path/#r3',
      '/path/#r4',
      '/path/#r5',
      '/path/#r6',
    ])
    expect(wrapper.find('[data-place="/path/#r3"]').text()).toContain('1.00 kPa')
    expect(wrapper.find('[data-place="/path/#r4"]').text()).toContain('on Core')
    expect(wrapper.find('[data-place="/path/#r2"]').text()).not.toContain('costs')
  })

  it('takes a piece out and never the blower, the filter or the plenum', async () => {
    const wrapper = await surface(PipesSurface)
    expect(wrapper.find('[aria-label="Take out turbo"]').exists()).toBe(false)
    expect(wrapper.find('[aria-label="Take out plenum"]').exists()).toBe(false)
    await wrapper.find('[aria-label="Take out hot pipe"]').trigger('click')
    expect(asEdited(build, edit).options[0]!.path.map((p) => p.name)).toEqual(['filter', 'turbo', 'core', 'cold pipe', 'plenum'])
    expect(edit.mock.lastCall![1]).toBe('hot pipe taken out')
  })

  it('mitres a bend and adds one of standard radius', async () => {
    const wrapper = await surface(PipesSurface)
    await wrapper.find('[aria-label="Bend 1 of cold pipe is smooth; change it"]').trigger('click')
    const bends = () => (asEdited(build, edit).options[0]!.path[4] as PipePiece).bends
    expect(bends()).toEqual([{ id: 'r1', angle_deg: 90, mitre: true }])
    await wrapper.find('[aria-label="Add a bend to cold pipe"]').trigger('click')
    expect(bends()[1]).toEqual({ angle_deg: 90 })
    await wrapper.find('[aria-label="Take out bend 1 of cold pipe"]').trigger('click')
    expect(bends()).toEqual([])
  })

  it('compares a piece with the same piece of the other answer, wherever it stood', async () => {
    const was = structuredClone(build.answers.A!)
    was.steady!.pieces[4]!.loss_kPa = 2
    was.steady!.pieces[4]!.place = '/path/7'
    build.before = { answers: { A: was }, change: 'x' }
    build.ghostMode = 'before'
    const wrapper = await surface(PipesSurface)
    expect(wrapper.find('[data-place="/path/#r5"] .better').text()).toBe('−1.00')
  })

  it('marks the piece that was picked on the charge line', async () => {
    const wrapper = await surface(PipesSurface, { piece: '/path/#r5' })
    expect(wrapper.find('[data-place="/path/#r5"]').classes()).toContain('chosen')
  })

  it('ends with a table of all stations', async () => {
    expect(usualPath()).toHaveLength(6)
    const wrapper = await surface(PipesSurface)
    expect(wrapper.findAll('section').at(-1)!.findAll('tbody tr')).toHaveLength(7)
  })
})
