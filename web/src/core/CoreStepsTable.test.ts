import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api } from '../api/client'
import { Keeper } from '../build/keeper'
import { useBuild } from '../build/store'
import type { BuildDocument } from '../document/types'
import { catalogueView } from '../testing/catalogue'
import { AnyField } from '../testing/surface'
import CoreStepsTable from './CoreStepsTable.vue'

describe('a little more core', () => {
  beforeEach(() => {
    vi.useFakeTimers()
    localStorage.clear()
    setActivePinia(createPinia())
    useBuild().keeper = new Keeper('test', { options: [{ letter: 'A', path: [] }] } as unknown as BuildDocument, { id: 7, revision: 1 })
    useBuild().catalogue = new AnyField(catalogueView)
    vi.spyOn(api, 'coreSteps').mockResolvedValue({
      steps: [
        {
          step: 'CHARGE_ROW',
          key: 'height_mm',
          part: 'core',
          from: 250,
          to: 267.5,
          edits: [{ pointer: '/path/3/height_mm', value: 267.5 }],
          worst_K: -1.4,
          intake_K: -1.63,
          loss_kPa: -0.06,
          mass_kg: 0.42,
          coldLoss_Pa: -1,
        },
        {
          step: 'WIDER',
          key: 'width_mm',
          part: 'core',
          from: 500,
          to: 580,
          edits: [{ pointer: '/path/3/width_mm', value: 580 }],
          worst_K: 0.2,
          intake_K: -1.2,
          loss_kPa: 0.07,
          mass_kg: 0.19,
        },
      ],
    })
  })

  afterEach(() => vi.useRealTimers())

  it('shows gain and price of each step and makes an option of it', async () => {
    const add = vi.spyOn(useBuild(), 'addOption').mockResolvedValue({ done: true })
    const wrapper = mount(CoreStepsTable, { props: { place: '/path/3' } })
    await vi.advanceTimersByTimeAsync(400)
    await flushPromises()
    const [row, wider] = wrapper.findAll('tbody tr')
    expect(row!.text()).toContain('−1.63 °C')
    expect(row!.findAll('td')[0]!.classes()).toContain('better')
    expect(row!.findAll('td')[1]!.text()).toContain('−1.40 °C')
    expect(wider!.text()).toContain('80 mm wider')
    expect(wider!.findAll('td')[1]!.classes()).toContain('worse')
    expect(wider!.findAll('td')[2]!.classes()).toContain('worse')
    expect(wider!.findAll('td')[4]!.text()).toBe('')
    await row!.find('button').trigger('click')
    expect(add).toHaveBeenCalledWith(
      'one more charge row',
      [{ pointer: '/path/3/height_mm', value: 267.5 }],
      'option from A: one more charge row',
      expect.objectContaining({ letter: 'A' }),
    )
  })
})
