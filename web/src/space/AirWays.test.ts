import { beforeEach, describe, expect, it, vi, type Mock } from 'vitest'
import { flushPromises } from '@vue/test-utils'
import { api, type OrderView } from '../api/client'
import type { useBuild } from '../build/store'
import { airWay, wayView } from '../testing/cold'
import { asEdited, listenedBuild, onScreen, surface } from '../testing/surface'
import AirWays from './AirWays.vue'

const placed = (layer: number, name: string, kind: string, heat_kW: number, hot_C?: number) => ({
  layer,
  name,
  kind,
  airIn_C: 34,
  heat_kW,
  asked_kW: hot_C ? 7 : 0,
  hot_C,
  fallsShort: !!hot_C && heat_kW < 7,
})

describe('the cooling air', () => {
  let build: ReturnType<typeof useBuild>
  let edit: Mock

  beforeEach(() => {
    ;({ build, edit } = listenedBuild())
    onScreen(build, { ...build.document!, options: [{ ...build.document!.options[0]!, airWays: [airWay()] }] })
    build.answers.A!.steady!.airWays = [wayView()]
    vi.spyOn(api, 'stackOrders').mockResolvedValue({
      orders: [
        { order: [0, 1], intake_C: 60, total_kW: 16, layers: [placed(0, 'condenser', 'CONDENSER', 7, 58), placed(1, 'core', 'CORE', 9)] },
        { order: [1, 0], intake_C: 53, total_kW: 15.5, layers: [placed(1, 'core', 'CORE', 12), placed(0, 'condenser', 'CONDENSER', 6.1, 70)] },
      ] as OrderView[],
    })
  })

  it('tables the layers with their air and tells what drives it', async () => {
    const wrapper = await surface(AirWays)
    const rows = wrapper.findAll('table.layers tbody tr')
    expect(rows.map((r) => r.find('th').text())).toEqual(['condenser', 'core'])
    expect(rows[1]!.text()).toContain('43.0 °C')
    expect(rows[0]!.text(), 'at the most it may').toContain('7.0 kW of 8.0 kW')
    expect(wrapper.find('[role="img"][aria-label*="road wind 90 Pa"]').exists()).toBe(true)
    expect(wrapper.find('[role="img"][aria-label*="stack 40 Pa"]').exists()).toBe(true)
    expect(wrapper.find('[aria-label="Air at the face of core: 0.3 m/s standing, 3.0 m/s at 100 km/h"]').exists()).toBe(true)
  })

  it('moves a layer and keeps the gaps where they are', async () => {
    const wrapper = await surface(AirWays)
    await wrapper.find('[aria-label="Move core to the front"]').trigger('click')
    expect(asEdited(build, edit).options[0]!.airWays![0]!.layers.map((l) => [l.name, l.gap_mm])).toEqual([
      ['core', 60],
      ['condenser', 15],
    ])
    expect(edit.mock.lastCall![1]).toBe('core moved to the front')
  })

  it('compares all orders in one click and takes one over', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    const wrapper = await surface(AirWays)
    await wrapper
      .findAll('button')
      .find((b) => b.text() === 'compare all orders')!
      .trigger('click')
    await vi.advanceTimersByTimeAsync(300)
    vi.useRealTimers()
    await flushPromises()
    expect(wrapper.text()).toContain('as it stands')
    expect(wrapper.text()).toContain('−7.0')
    expect(wrapper.text(), 'what the cabin loses').toContain('+12.0 70.0 °C')
    expect(wrapper.text(), 'and what is missing at the most it may').toContain('6.1 kW of 7.0 kW')
    await wrapper.find('[aria-label="Use the order core, condenser"]').trigger('click')
    expect(asEdited(build, edit).options[0]!.airWays![0]!.layers.map((l) => l.name)).toEqual(['core', 'condenser'])
  })

  it('puts a plate before the opening and a fan behind the stack', async () => {
    const wrapper = await surface(AirWays)
    await wrapper
      .findAll('button')
      .find((b) => b.text() === 'a plate or bar')!
      .trigger('click')
    expect(asEdited(build, edit).options[0]!.airWays![0]!.opening.walls).toMatchObject([{ name: 'plate' }, { name: 'number plate' }])
    await wrapper
      .findAll('button')
      .find((b) => b.text() === 'put a fan in')!
      .trigger('click')
    expect(edit.mock.lastCall![0][0]).toMatchObject({ pointer: '/options/#A/airWays/#r1/fan', value: { backwards: false } })
  })

  it('takes what stands before the opening from the room, once that knows where it is', async () => {
    const press = (words: string) =>
      wrapper
        .findAll('button, [role="radio"], .p-togglebutton')
        .find((b) => b.text() === words)!
        .trigger('click')
    const stand = { id: 's', of: 'core', what: 'core' as const, back_mm: 100, right_mm: 20, up_mm: -300 }
    const option = { ...build.document!.options[0]!, stands: [stand] }
    onScreen(build, { ...build.document!, room: { datum: '' }, options: [option] })
    let wrapper = await surface(AirWays)
    await press('give its opening a place')
    const way = asEdited(build, edit).options[0]!.airWays![0]!
    // 60 before the condenser, that 40 deep, 15 before the core, half of its 40; the core's middle 40 below the opening's.
    expect(way.inRoom).toEqual({ back_mm: 100 - 60 - 40 - 15 - 20, right_mm: 20, up_mm: -300 + 40 })
    onScreen(build, { ...build.document!, options: [{ ...option, airWays: [way] }] })
    build.answers.A!.steady!.airWays = [{ ...wayView(), inRoom: { uncovered_pct: 62.4, covers: ['crash bar'], exit_cm2: 640 } }]
    wrapper = await surface(AirWays)
    expect(wrapper.text()).toContain('The room leaves 62 % of the opening free; before it: crash bar. Behind the stack the air has 640 cm².')
    await press('from the room')
    expect(asEdited(build, edit).options[0]!.airWays![0]!.inRoom).toMatchObject({ walls: true })
  })

  it('begins from a usual way round the core when none is described', async () => {
    onScreen(build, { ...build.document!, options: [{ ...build.document!.options[0]!, airWays: undefined }] })
    const wrapper = await surface(AirWays)
    await wrapper
      .findAll('button')
      .find((b) => b.text().startsWith('describe the opening'))!
      .trigger('click')
    expect(asEdited(build, edit).options[0]!.airWays).toMatchObject([{ name: 'front', layers: [{ kind: 'core', name: 'core' }] }])
  })
})
