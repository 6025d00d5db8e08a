import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api, type ComparedView, type JobView } from '../api/client'
import { useBuild } from '../build/store'
import { buildOnScreen, surface } from '../testing/surface'
import { soakView } from '../testing/soak'
import EnduranceSurface from './EnduranceSurface.vue'

/** Events of a job, told by hand. */
class Events {
  static last: Events | undefined
  onerror: (() => void) | null = null
  closed = false
  private told: ((e: { data: string }) => void) | undefined
  constructor(readonly url: string) {
    Events.last = this
  }
  addEventListener(_: string, told: (e: { data: string }) => void): void {
    this.told = told
  }
  tell(view: Partial<JobView>): void {
    this.told!({ data: JSON.stringify(view) })
  }
  close(): void {
    this.closed = true
  }
}

const line = (more: Partial<ComparedView>): ComparedView =>
  ({
    name: 'x',
    meets: true,
    worst_C: 48,
    mean_C: 40,
    loss_kPa: 4,
    mass_kg: 9,
    price: 333,
    iceToFetch_kg: 0,
    mixUsed_L: 0,
    condensed_g: 0,
    cutsOut: false,
    time_s: [1, 2, 3],
    intake_C: [40, null, 48],
    ...more,
  }) as ComparedView

describe('the endurance surface', () => {
  beforeEach(() => {
    vi.stubGlobal('EventSource', Events)
    const build = buildOnScreen()
    build.answers = { A: { ...build.answers.A!, soak: soakView([40, 44, 52, 47]) } }
    vi.spyOn(api, 'startJob').mockResolvedValue({ id: 'j1', state: 'RUNNING', done: 0, of: 9 } as JobView)
    vi.spyOn(api, 'cancelJob').mockResolvedValue(undefined)
  })
  afterEach(() => {
    vi.unstubAllGlobals()
    vi.restoreAllMocks()
  })

  async function open(tab?: string) {
    const page = await surface(EnduranceSurface)
    if (tab) {
      await page
        .findAll('[role=tab]')
        .find((t) => t.text() === tab)!
        .trigger('click')
      await flushPromises()
    }
    return page
  }

  it('shows run by run only where there are several', async () => {
    expect((await open()).findAll('[role=tab]').map((t) => t.text())).toEqual(['Trace', 'Side by side', 'Methods', 'Figures'])
    const build = useBuild()
    const run = build.answers.A!.soak!.figures.runs[0]!
    build.answers = {
      A: { ...build.answers.A!, soak: soakView([40, 44, 52, 47], { figures: { runs: [run, { ...run, from_s: 900, to_s: 950, worst_C: 55 }] } }) },
    }
    const page = await open('Run by run')
    const rows = page.findAll('.runs tbody tr')
    expect(rows).toHaveLength(2)
    expect(rows[1]!.text()).toContain('15:00')
    expect(rows[1]!.find('.worse').text()).toBe('55.0')
  })

  it('compares methods in one click, keeps the target first, and takes one as an option', async () => {
    const page = await open('Methods')
    expect(page.find('[role=progressbar]').exists()).toBe(true)
    expect(Events.last!.url).toBe('/api/jobs/j1/events')
    Events.last!.tell({
      id: 'j1',
      state: 'DONE',
      done: 9,
      of: 9,
      methods: [
        line({ name: 'no cooler', method: 'NONE', meets: false, worst_C: 150 }),
        line({ letter: 'A', name: 'first', worst_C: 52, meets: false }),
        line({
          name: 'ice tank',
          method: 'ICE',
          iceToFetch_kg: 12.3,
          condensed_g: 40,
          option: { letter: 'A', name: 'ice tank', boost_kPa: 90, path: [] },
        }),
      ] as JobView['methods'],
    })
    await flushPromises()
    expect(Events.last!.closed).toBe(true)
    expect(page.findAll('tbody tr').map((r) => r.find('th').text())).toEqual(['ice tank', 'A first', 'no cooler'])
    expect(page.find('tbody tr').text()).toContain('12 kg of ice to fetch, drips 40 g inside')
    const build = useBuild()
    const put = vi.spyOn(build, 'putOption').mockResolvedValue({ done: true })
    await page.find('[aria-label="Take ice tank as an option"]').trigger('click')
    expect(put.mock.calls[0]!.slice(0, 2)).toEqual([{ letter: 'B', name: 'ice tank', boost_kPa: 90, path: [] }, 'A'])
  })

  it('cancels a comparison and begins it again', async () => {
    const page = await open('Methods')
    await page
      .findAll('button')
      .find((b) => b.text() === 'Cancel')!
      .trigger('click')
    expect(api.cancelJob).toHaveBeenCalledWith('j1')
    expect(page.text()).toContain('Cancelled.')
    await page
      .findAll('button')
      .find((b) => b.text() === 'Compare every method')!
      .trigger('click')
    await flushPromises()
    expect(api.startJob).toHaveBeenCalledTimes(2)
  })

  it('saves every step as CSV', async () => {
    const trace = vi.spyOn(api, 'trace').mockResolvedValue(new Blob(['time_s\n']))
    URL.createObjectURL = vi.fn(() => 'blob:x')
    URL.revokeObjectURL = vi.fn()
    const page = await open('Figures')
    await page
      .findAll('button')
      .find((b) => b.text() === 'save as CSV')!
      .trigger('click')
    await flushPromises()
    expect(trace.mock.calls[0]!.slice(1)).toEqual(['A', 'csv'])
    trace.mockRejectedValue(new Error('gone'))
    await page
      .findAll('button')
      .find((b) => b.text() === 'save as JSON')!
      .trigger('click')
    await flushPromises()
    expect(page.find('[role=alert]').text()).toBe('gone')
  })
})
