import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api, type JobView, type SpreadView } from '../api/client'
import { Keeper } from '../build/keeper'
import { useBuild } from '../build/store'
import { buildOnScreen } from '../testing/surface'
import HowSure from './HowSure.vue'
import { UNKNOWNS } from './unknowns'

let told: ((e: { data: string }) => void) | undefined

const spread = {
  samples: 200,
  time_s: [1],
  low_C: [40],
  high_C: [50],
  worstLow_C: 47.4,
  worstMid_C: 51,
  worstHigh_C: 55.2,
  holds_pct: 41,
  pulls_pct: 2,
  ranking: [
    { unknown: 'COOLING_AIR', share_pct: 58, kelvin: -3, spread: 0.2 },
    { unknown: 'CORE_CONDUCTANCE', share_pct: 30, kelvin: -2, spread: 0.1 },
    { unknown: 'START', share_pct: 1, kelvin: 0, spread: 4 },
  ],
} as SpreadView

describe('how sure', () => {
  beforeEach(() => {
    vi.stubGlobal(
      'EventSource',
      class {
        addEventListener(_: string, f: typeof told) {
          told = f
        }
        close() {}
      },
    )
    buildOnScreen()
    vi.spyOn(api, 'startJob').mockResolvedValue({ id: 's', state: 'RUNNING', done: 0, of: 200 } as JobView)
    vi.spyOn(api, 'cancelJob').mockResolvedValue(undefined)
  })
  afterEach(() => {
    vi.unstubAllGlobals()
    vi.restoreAllMocks()
  })

  async function asked() {
    const column = mount(HowSure)
    await column.find('button').trigger('click')
    await flushPromises()
    return column
  }

  it('says the odds, the range, what decides most and what to measure', async () => {
    const column = await asked()
    told!({ data: JSON.stringify({ id: 's', state: 'RUNNING', done: 50, of: 200 }) })
    await flushPromises()
    expect(column.text()).toContain('25 %')
    told!({ data: JSON.stringify({ id: 's', state: 'DONE', done: 200, of: 200, spread }) })
    await flushPromises()
    expect(column.text()).toContain('Keeps 50 °C in 4 of 10 cases: the worst lies between 47 to 55\u00a0°C in 8 of 10.')
    expect(column.findAll('tbody th').map((th) => th.text())).toEqual(['cooling air at the face', 'the core itself'])
    expect(column.find('.measure').text()).toBe(UNKNOWNS.COOLING_AIR.measure)
  })

  it('is stale as soon as the build changes', async () => {
    const column = await asked()
    told!({ data: JSON.stringify({ id: 's', state: 'DONE', done: 200, of: 200, spread }) })
    const build = useBuild()
    build.keeper = new Keeper('test', { ...build.document!, name: 'another' }, { id: 7, revision: 1 })
    await flushPromises()
    expect(column.find('.measure').exists()).toBe(false)
    expect(column.find('button').text()).toContain('Run 200')
  })

  it('can be cancelled, and says why it cannot be', async () => {
    const column = await asked()
    await column
      .findAll('button')
      .find((b) => b.text() === 'Cancel')!
      .trigger('click')
    expect(api.cancelJob).toHaveBeenCalledWith('s')
    vi.spyOn(api, 'startJob').mockRejectedValue(new Error('no such option'))
    await column.find('button').trigger('click')
    await flushPromises()
    expect(column.find('[role=alert]').text()).toBe('no such option')
  })
})
