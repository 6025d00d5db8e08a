import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, Problem } from '../api/client'
import type { useBuild } from '../build/store'
import { ofKind } from '../document/pieces'
import type { BlowerMap } from '../document/types'
import { buildOnScreen } from '../testing/surface'
import BlowerMapPanel from './BlowerMapPanel.vue'

const map: BlowerMap = {
  referenceTemperature_C: 25,
  referencePressure_kPa: 100,
  lines: [60000, 90000].map((speed_rpm, i) => ({
    speed_rpm,
    points: [0.05, 0.1].map((flow) => ({ flow_kg_s: flow * (1 + i), pressureRatio: 1.4 + i, efficiency_pct: 70 })),
  })),
}

describe('the map of a blower', () => {
  let build: ReturnType<typeof useBuild>
  let edit: ReturnType<typeof vi.fn>

  beforeEach(() => {
    vi.restoreAllMocks()
    build = buildOnScreen()
    edit = vi.fn().mockResolvedValue({ done: true })
    build.edit = edit as unknown as typeof build.edit
    build.here = (() => ({ edit, act: edit })) as unknown as typeof build.here
  })

  const panel = () => mount(BlowerMapPanel, { props: { blower: ofKind(build.option!, 'blower')[0]! }, global: { stubs: { Popover: true } } })

  async function give(wrapper: ReturnType<typeof panel>, text: string) {
    const input = wrapper.find('input[type=file]')
    Object.defineProperty(input.element, 'files', { value: [{ name: 'turbo.csv', text: async () => text }], configurable: true })
    await input.trigger('change')
    await flushPromises()
  }

  it('tells what a file must hold while there is none', () => {
    expect(panel().text()).toContain('A CSV has a row for each measured point')
  })

  it('puts the map that the server read into the blower', async () => {
    vi.spyOn(api, 'map').mockResolvedValue({ map })
    await give(panel(), 'speed')
    expect(edit).toHaveBeenCalledWith([{ pointer: '/options/#A/path/#r2/map', value: { name: 'turbo', ...map } }], 'turbo: map from turbo.csv')
  })

  it('says why a file is refused and changes nothing', async () => {
    vi.spyOn(api, 'map').mockRejectedValue(new Problem(422, 'x', { sentence: 'map file: no column "speed" among a, b.' } as never))
    const wrapper = panel()
    await give(wrapper, 'a,b')
    expect(wrapper.find('[role=alert]').text()).toContain('no column "speed"')
    expect(edit).not.toHaveBeenCalled()
  })

  it.each([
    ['INSIDE', '73 %, 82k rpm corrected; 12 % of flow above surge, 30 % below choke'],
    ['SURGE', 'It surges at full load'],
    ['CHOKE', 'beyond the choke end'],
    ['ABOVE', 'makes no more here'],
    ['BELOW', 'below the slowest line'],
  ])('names the margins when full load stands %s', (place, words) => {
    Object.assign(build.document!.options[0]!.path[1]!, { map })
    const view = { flow_kg_s: 0.1, ratio: 2, efficiency_pct: 73, speed_rpm: 82000, surgeMargin_pct: 12, chokeMargin_pct: 30, place }
    build.answers.A!.steady!.pieces[1]!.map = view as never
    expect(panel().text()).toContain(words)
  })

  it('is taken off again', async () => {
    Object.assign(build.document!.options[0]!.path[1]!, { map })
    const wrapper = panel()
    await wrapper
      .findAll('button')
      .find((b) => b.text() === 'take it off')!
      .trigger('click')
    expect(edit.mock.lastCall![0]).toEqual([{ pointer: '/options/#A/path/#r2/map', value: undefined }])
  })
})
