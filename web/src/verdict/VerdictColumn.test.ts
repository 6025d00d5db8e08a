import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import { api, type ChangeView, type SoakView } from '../api/client'
import { Keeper } from '../build/keeper'
import { useBuild } from '../build/store'
import type { BuildDocument } from '../document/types'
import { Catalogue } from '../quantity/catalogue'
import { catalogueView } from '../testing/catalogue'
import { steadyView } from '../testing/steady'
import VerdictColumn from './VerdictColumn.vue'

const change: ChangeView = {
  piece: 'cold pipe',
  key: 'bore_mm',
  part: 'pipe',
  from: 57,
  to: 63,
  edits: [{ pointer: '/path/4/bore_mm', value: 63 }],
  worst_K: -1.24,
  loss_kPa: 0.31,
  longer_s: 366,
}

describe('the verdict column', () => {
  beforeEach(() => {
    vi.useFakeTimers()
    localStorage.clear()
    setActivePinia(createPinia())
    const build = useBuild()
    build.catalogue = new Catalogue(catalogueView)
    build.keeper = new Keeper(
      'test',
      {
        targets: { intake_C: 55, timingPull_C: 70 },
        duty: { repeats: 1 },
        options: [{ letter: 'A' }],
      } as BuildDocument,
      { id: 7, revision: 1 },
    )
    const soak = {
      verdict: {
        outcome: 'OVER_TARGET',
        worst_C: 58.2,
        worstTime_s: 727,
        mean_C: 50,
        firstOverTarget_s: 192,
        overTarget_s: 90,
        overTiming_s: 0,
        stillClimbing: false,
        limit: 'COLD_SIDE',
        needed_pct: 70,
        findings: [
          { part: 'HEADLINE', kind: 'OVER_TARGET', values: { first: 192, worst: 58.2, climbing: 0, short: 0 }, says: '' },
          { part: 'LIMIT', kind: 'LIMIT_LITTLE_AIR', values: { share: 72 }, says: '' },
        ],
        atWorst: { charge_pct: 26, wall_pct: 2, coldFilm_pct: 30, coldFlow_pct: 42, radiator_pct: 0 },
      },
    } as unknown as SoakView
    build.answers = { A: { option: 'A', steady: steadyView([34, 38, 187, 187, 58, 58, 58]), soak } }
    vi.spyOn(api, 'changes').mockResolvedValue({ changes: [change] })
  })

  afterEach(() => vi.useRealTimers())

  async function column() {
    const router = createRouter({ history: createMemoryHistory(), routes: [{ path: '/', name: 'endurance', component: { template: '<i/>' } }] })
    const wrapper = mount(VerdictColumn, { global: { plugins: [router] } })
    await vi.advanceTimersByTimeAsync(500)
    await flushPromises()
    return wrapper
  }

  it('says how it ends, why, and what limits it', async () => {
    const wrapper = await column()
    expect(wrapper.find('h1').text()).toBe('Over the target after 3:12; tops out at 58\u00a0°C.')
    expect(wrapper.find('.bar').attributes('aria-label')).toBe('charge 26 %, wall 2 %, cooling air 72 %')
    expect(wrapper.find('.why').text()).toContain('too little cooling air')
  })

  it('offers changes with their gain and their price, coloured by what they do', async () => {
    const cells = (await column()).findAll('tbody td')
    expect(cells[0]!.text()).toBe('Cold pipe bore 57 → 63\u00a0mmkeeps the target 6 min longer')
    expect(cells[1]!.text()).toBe('−1.2 °C')
    expect(cells[1]!.classes()).toContain('better')
    expect(cells[2]!.text()).toBe('+0.3 kPa')
    expect(cells[2]!.classes()).toContain('worse')
  })

  it('makes an option when a change is tried', async () => {
    const add = vi.spyOn(useBuild(), 'addOption').mockResolvedValue({ done: true })
    const wrapper = await column()
    await wrapper.find('tbody button').trigger('click')
    expect(add).toHaveBeenCalledWith(
      'cold pipe bore 57 → 63\u00a0mm',
      change.edits,
      'option from A: Cold pipe bore 57 → 63\u00a0mm',
      expect.objectContaining({ letter: 'A' }),
    )
  })

  it('lets nothing be tried that was found for another document', async () => {
    const wrapper = await column()
    expect(wrapper.find('tbody button').attributes('disabled')).toBeUndefined()
    vi.spyOn(api, 'changes').mockReturnValue(new Promise(() => undefined))
    void useBuild().keeper!.add('target 60', [{ pointer: '/targets/intake_C', value: 60 }])
    await flushPromises()
    expect(wrapper.find('tbody button').attributes('disabled')).toBeDefined()
  })

  it('offers a core where there is none', async () => {
    const core = { kind: 'core', name: 'core', width_mm: 480, height_mm: 240, depth_mm: 75 }
    vi.spyOn(api, 'changes').mockResolvedValue({
      changes: [
        {
          ...change,
          piece: 'core',
          key: '',
          part: '',
          from: 0,
          to: 0,
          edits: [],
          option: { letter: 'A', name: 'air to air', boost_kPa: 90, path: [core] } as never,
        },
      ],
    })
    const wrapper = await column()
    expect(wrapper.findAll('tbody td')[0]!.text()).toContain('An air-to-air core, 480 × 240 × 75\u00a0mm')
    await wrapper.find('tbody button').trigger('click')
    expect(useBuild().document!.options[1]).toMatchObject({ letter: 'B', name: 'air-to-air core', path: [core] })
  })

  it('says plainly why there is no answer', async () => {
    useBuild().answers = {
      A: {
        option: 'A',
        fault: {
          kind: 'NO_SOLUTION',
          field: '/boost_kPa',
          label: 'boost',
          value: '145 kPa',
          allowed: '',
          sentence: 'The air does not get through the hot pipe.',
        },
      },
    }
    const wrapper = await column()
    expect(wrapper.find('h1').text()).toBe('No answer for this.')
    expect(wrapper.find('[role=alert]').text()).toBe('The air does not get through the hot pipe.')
  })
})
