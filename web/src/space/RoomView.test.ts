import { beforeEach, describe, expect, it, vi, type Mock } from 'vitest'
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { api, type FitView, type PresetView } from '../api/client'
import type { useBuild } from '../build/store'
import type { Obstacle } from '../document/types'
import { asEdited, listenedBuild, onScreen, surface } from '../testing/surface'
import RoomView from './RoomView.vue'
import { SHAPES } from './room'

const square = (element: string, low: number, high: number) => {
  const corners = [low, low, high, low, high, high, low, high]
  return { element, front: corners, side: corners, above: corners }
}

/** A core of 100 about the datum and a box beside it, 3 mm apart: as answered, numbers made up. */
const fit = {
  fits: false,
  findings: [{ kind: 'FIT_SHORT', of: 'the block of core', to: 'box', values: { gap: 3, asked: 8 }, says: '' }],
  trials: [{ trial: 'BONNET_SHUT', goes: true, gap: 0 }],
  bodies: [{ place: '/stands/0', name: 'core', what: 'CORE', usual: false, scroll: false, parts: [square('block', -50, 50)] }],
  pipes: [],
  startings: [],
  loops: [],
  unplaced: [{ of: 'plenum', what: 'PLENUM', name: 'plenum' }],
  gone: ['old core'],
  obstacles: [{ place: '/room/obstacles/0', name: 'box', parts: [square('box', 53, 153)] }],
  stacks: [],
  mountings: [],
  gaps: [
    {
      place: '/stands/0',
      of: 'the block of core',
      against: '/room/obstacles/0',
      to: 'box',
      gap_mm: 3,
      asked_mm: 8,
      missing_mm: 5,
      isShort: true,
      from_mm: [0, 50, 0],
      to_mm: [0, 53, 0],
    },
  ],
} as FitView

describe('the room', () => {
  let build: ReturnType<typeof useBuild>
  let edit: Mock

  beforeEach(() => {
    ;({ build, edit } = listenedBuild())
    const box = { ...structuredClone(SHAPES[0]!.fresh), carrier: 'engine' } as Obstacle
    const carriers = [{ name: 'engine', axis: 'along', back_mm: 0, right_mm: 0, up_mm: 0, roll_deg: 3 }]
    const stands = [{ of: 'core', what: 'core', back_mm: 0, right_mm: 0, up_mm: 0 }]
    onScreen(build, {
      ...build.document!,
      room: { datum: 'latch', carriers, obstacles: [box] },
      options: [{ ...build.document!.options[0]!, stands }],
    })
    build.answers.A!.fit = fit
    build.catalogue!.sentences.FIT_SHORT = 'Does not fit: {of} keeps {gap mm 1} from {to}, {asked mm 0} asked.'
  })

  const things = (wrapper: VueWrapper, name: string) => wrapper.find(`[aria-label="${name}"]`)

  it('says whether it fits, and lists what is missing', async () => {
    const wrapper = await surface(RoomView)
    expect(wrapper.find('.says.first').text()).toBe('Does not fit: the block of core keeps 3.0 mm from box, 8 mm asked.')
    expect(wrapper.find('.says.first').classes()).toContain('worse')
    expect(wrapper.find('.trials').text()).toContain('bonnet shut goes')
    expect(wrapper.find('.gaps tbody tr').text()).toContain('short by 5.0 mm')
    expect(wrapper.text()).toContain('Kept, though not in this option any more: old core.')
  })

  it('nudges what has the focus and gives it in when the hand rests', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    const wrapper = await surface(RoomView)
    const core = things(wrapper, 'core, from the front')
    await core.trigger('keydown', { key: 'ArrowUp' })
    await core.trigger('keydown', { key: 'ArrowUp' })
    await core.trigger('keydown', { key: 'ArrowRight', shiftKey: true })
    expect(edit).not.toHaveBeenCalled()
    vi.advanceTimersByTime(600)
    // From the front the car's right is to the left.
    expect(asEdited(build, edit).options[0]!.stands![0]).toMatchObject({ back_mm: 0, right_mm: -10, up_mm: 2 })
    expect(edit.mock.lastCall![1]).toBe('core moved in the room')
    vi.useRealTimers()
  })

  it('puts bodies and obstacles in and takes them out', async () => {
    const wrapper = await surface(RoomView)
    await wrapper.find('[aria-label="Take core out of the room"]').trigger('click')
    expect(asEdited(build, edit).options[0]!.stands).toEqual([])
    await wrapper.find('[aria-label="Copy box"]').trigger('click')
    expect(asEdited(build, edit).room!.obstacles!.map((o) => o.name)).toEqual(['box', 'box 2'])
    await wrapper
      .findAll('button')
      .find((b) => b.text() === 'take engine out')!
      .trigger('click')
    expect(asEdited(build, edit).room, 'what hung on it hangs on the body').toMatchObject({ carriers: [], obstacles: [{ name: 'box' }] })
    expect(asEdited(build, edit).room!.obstacles![0]!.carrier).toBeUndefined()
  })

  it('begins with an empty room where none was measured', async () => {
    onScreen(build, { ...build.document!, room: undefined })
    build.answers.A!.fit = undefined
    const wrapper = await surface(RoomView)
    await wrapper
      .findAll('button')
      .find((b) => b.text() === 'measure a room')!
      .trigger('click')
    expect(asEdited(build, edit).room).toEqual({ datum: '', carriers: [], obstacles: [] })
  })

  it('takes a usual place over with what was typed, and leaves the datum that is there', async () => {
    const preset = { key: 'front', title: 'front of a car', datum: 'elsewhere', measures: [{ key: 'bar', label: 'bar', how: '', usual_mm: 5 }] }
    vi.spyOn(api, 'roomPresets').mockResolvedValue({ presets: [preset as PresetView] })
    const made = vi
      .spyOn(api, 'presetObstacles')
      .mockResolvedValue({ obstacles: [{ ...structuredClone(SHAPES[2]!.fresh), name: 'bar' } as Obstacle] })
    const wrapper = await surface(RoomView)
    await wrapper
      .findAll('button')
      .find((b) => b.text() === 'a usual place by the tape')!
      .trigger('click')
    await flushPromises()
    await wrapper.find('.measure input').setValue('12')
    await wrapper.find('.measure input').trigger('blur')
    await wrapper
      .findAll('button')
      .find((b) => b.text() === 'put it into the room')!
      .trigger('click')
    await flushPromises()
    expect(made).toHaveBeenCalledWith('front', { bar: 12 })
    const room = asEdited(build, edit).room!
    expect(room.datum).toBe('latch')
    expect(room.obstacles!.map((o) => o.name)).toEqual(['box', 'bar'])
  })

  it('hangs what a place has on an engine on one that moves, and puts the list away that made the room', async () => {
    onScreen(build, { ...build.document!, room: undefined })
    build.answers.A!.fit = undefined
    const preset = { key: 'box', title: 'boat engine box', datum: 'bearer', measures: [] }
    vi.spyOn(api, 'roomPresets').mockResolvedValue({ presets: [preset as unknown as PresetView] })
    const block = { ...structuredClone(SHAPES[0]!.fresh), name: 'engine', carrier: 'engine' } as Obstacle
    const crankshaft = { back_mm: 675, right_mm: 300, up_mm: 147 }
    vi.spyOn(api, 'presetObstacles').mockResolvedValue({ obstacles: [block], crankshaft })
    const wrapper = await surface(RoomView)
    const press = async (text: string) => {
      await wrapper
        .findAll('button')
        .find((b) => b.text() === text)!
        .trigger('click')
      await flushPromises()
    }
    await press('measure a usual place by the tape')
    const list = wrapper.find('.tape')
    ;(list.findComponent({ name: 'EitherOr' }) as unknown as VueWrapper).vm.$emit('pick', 'box')
    await flushPromises()
    await press('put it into the room')
    const made = asEdited(build, edit)
    expect(made.room!.carriers).toMatchObject([{ name: 'engine', ...crankshaft }])
    expect(made.room!.obstacles).toMatchObject([{ name: 'engine', carrier: 'engine' }])
    onScreen(build, made)
    await flushPromises()
    expect(wrapper.text()).toContain('What must be missed')
    expect(wrapper.find('.tape').exists()).toBe(false)
  })

  it('lays a pipe, gives it corners and ends, and takes it out', async () => {
    const pipe = build.option!.path.find((p) => p.kind === 'pipe')!
    build.answers.A!.fit = { ...fit, startings: [{ of: pipe.name, corners_mm: [], to_mm: [200, 0, 100] }] }
    let wrapper = await surface(RoomView)
    await wrapper.find(`[aria-label="Lay ${pipe.name}"]`).trigger('click')
    const laid = asEdited(build, edit)
    expect(laid.options[0]!.runs).toMatchObject([{ of: pipe.name, corners: [], to: { back_mm: 200, right_mm: 0, up_mm: 100 } }])
    const from_mm = [0, 0, 0]
    const to_mm = [200, 0, 100]
    const view = {
      place: '/runs/0',
      name: pipe.name,
      from_mm,
      to_mm,
      outside_mm: 51,
      length_mm: 224,
      straight_mm: 224,
      turns: [],
      last_mm: 224,
      mends: [],
      fittings: [],
      ovals: [],
      usual_mm: 76,
    }
    onScreen(build, laid)
    build.answers.A!.fit = { ...fit, pipes: [view] }
    wrapper = await surface(RoomView)
    const press = (text: string) =>
      wrapper
        .findAll('button')
        .find((b) => b.text() === text)!
        .trigger('click')
    await wrapper.find('.pipes tbody button').trigger('click')
    await press('a corner more, in the middle of the longest straight')
    expect(asEdited(build, edit).options[0]!.runs![0]!.corners).toMatchObject([{ back_mm: 100, right_mm: 0, up_mm: 50 }])
    await press('type where it begins')
    expect(asEdited(build, edit).options[0]!.runs![0]!.from).toEqual({ back_mm: 0, right_mm: 0, up_mm: 0 })
    await press('ends on what stands there')
    expect(asEdited(build, edit).options[0]!.runs![0]!.to).toBeUndefined()
    await wrapper.find(`[aria-label="Do not lay ${pipe.name} any more"]`).trigger('click')
    expect(asEdited(build, edit).options[0]!.runs).toEqual([])
  })

  it('puts points that hold a body in, at its corners, and tells what comes on them', async () => {
    const { freshMount } = await import('./mounts')
    const parts = [{ element: 'block', front: [-300, -100, 300, -100, 300, 100, -300, 100], side: [], above: [] }]
    const first = freshMount('strap', parts, 40, [])
    expect(first).toMatchObject({ kind: 'strap', name: 'upper left', back_mm: 40, right_mm: -240, up_mm: 160, bolt_mm: 6, metal: 'steel' })
    const second = freshMount('lug', parts, 40, [first])
    expect(second).toMatchObject({ kind: 'lug', name: 'upper right', right_mm: 240, up_mm: 100 })
    expect(freshMount('bobbin', parts, 40, [first, second])).toMatchObject({ name: 'lower', right_mm: 0, up_mm: -100, axis: 'up' })

    const stand = { ...build.option!.stands![0]!, id: 's', mounts: [first, second] }
    onScreen(build, { ...build.document!, options: [{ ...build.document!.options[0]!, stands: [stand] }] })
    build.answers.A!.fit = {
      ...fit,
      mountings: [
        {
          place: '/stands/0',
          mass_kg: 4.25,
          held: [
            { bolt_mm: [40, -300, 160], at_mm: [40, -300, 100], reach_mm: 60, load_N: 312, standing_N: 20, stress_MPa: 141, used_pct: 120 },
            { bolt_mm: [40, 300, 100], at_mm: [40, 300, 100], reach_mm: 0, load_N: 100, standing_N: 20 },
          ],
          existing: 1,
          growth_mm: 1.1,
          play_mm: 0.6,
          level_deg: 0,
          off_mm: -12,
        },
      ],
    }
    const wrapper = await surface(RoomView)
    await wrapper.find('.places tbody th button').trigger('click')
    const held = wrapper.find('.mounts')
    expect(held.text()).toContain(
      '4.3 kg hang there, 1 of 2 bolts are there already, level, 12 mm to the left of the middle, grows 1.1 mm between its hard points, 0.6 mm of play.',
    )
    const row = held.findAll('tbody tr')[0]!
    expect(row.text()).toContain('312 N')
    expect(row.find('.worse').text()).toContain('120 %')
    await held.find('[aria-label="Take core upper left out"]').trigger('click')
    expect(asEdited(build, edit).options[0]!.stands![0]!.mounts!.map((m) => m.name)).toEqual(['upper right'])
  })
})
