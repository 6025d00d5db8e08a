import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import { api, Problem, type CatalogueItem } from '../api/client'
import { useSettings } from '../settings/store'
import CatalogueView from './CatalogueView.vue'
import { summary } from './figures'

const joint: CatalogueItem = {
  id: 1,
  version: 1,
  kind: 'joint',
  name: 'coupler 63 mm',
  note: 'square seats',
  price: 25,
  mass_kg: 0.2,
  figures: { bore_mm: 63, hoseBore_mm: 67, gap_mm: 8 },
}
const core: CatalogueItem = {
  id: 2,
  version: 1,
  kind: 'core',
  name: 'brick 250',
  note: '',
  price: 340,
  mass_kg: 4,
  figures: { cooledBy: 'water', width_mm: 250, height_mm: 120, depth_mm: 120, portBore_mm: 63 },
}

describe('the catalogue', () => {
  beforeEach(() => {
    localStorage.clear()
    setActivePinia(createPinia())
    vi.restoreAllMocks()
    vi.spyOn(api, 'catalogue').mockResolvedValue([joint, core])
  })

  async function view(attachTo?: HTMLElement) {
    const router = createRouter({ history: createMemoryHistory(), routes: [{ path: '/', component: { template: '<i/>' } }] })
    const wrapper = mount(CatalogueView, { attachTo, global: { plugins: [router] } })
    await flushPromises()
    return wrapper
  }

  it('is found by words and by kind', async () => {
    const wrapper = await view()
    expect(wrapper.findAll('tbody tr')).toHaveLength(2)
    await wrapper.find('input[type=search]').setValue('water 250')
    expect(wrapper.findAll('tbody tr')).toHaveLength(1)
    await wrapper.find('input[type=search]').setValue('nothing like it')
    expect(wrapper.text()).toContain('Nothing matches')
    await wrapper.find('input[type=search]').setValue('')
    await wrapper
      .findAll('.find .either button')
      .find((b) => b.text() === 'joints')!
      .trigger('click')
    expect(wrapper.text()).toContain('1 of 2')
  })

  it('draws the first of many, all when asked, and sorts them all', async () => {
    vi.spyOn(api, 'catalogue').mockResolvedValue(Array.from({ length: 64 }, (_, n) => ({ ...joint, id: n + 1, name: `coupler ${164 - n}` })))
    const wrapper = await view(document.body)
    expect(wrapper.text()).toContain('64 of 64')
    expect(wrapper.findAll('tbody tr')).toHaveLength(60)
    await wrapper.find('th').trigger('click')
    expect((wrapper.find('tbody input').element as HTMLInputElement).value).toBe('coupler 101')
    await wrapper
      .findAll('button')
      .find((b) => b.text() === 'all 64')!
      .trigger('click')
    expect(wrapper.findAll('tbody tr')).toHaveLength(64)
    await flushPromises()
    expect(wrapper.findAll('button').map((b) => b.text())).not.toContain('all 64')
    expect((document.activeElement as HTMLInputElement).value).toBe('coupler 161')
    wrapper.unmount()
  })

  it('keeps a changed price and says so', async () => {
    const kept = vi.spyOn(api, 'changeItem').mockImplementation(async (item) => item)
    const wrapper = await view()
    await wrapper.find('[aria-label="Price of coupler 63 mm"]').setValue('27,5')
    await wrapper.find('[aria-label="Price of coupler 63 mm"]').trigger('change')
    await flushPromises()
    expect(kept.mock.lastCall![0].price).toBe(27.5)
    expect(wrapper.text()).toContain('coupler 63 mm changed.')
  })

  it('refuses what is no number and what the server refuses, and loses nothing', async () => {
    const kept = vi
      .spyOn(api, 'changeItem')
      .mockRejectedValue(
        new Problem(422, 'x', { kind: 'OUT_OF_RANGE', field: '/price', sentence: 'price is -3.0; it must lie between 0 and 1000000.' } as never),
      )
    const wrapper = await view()
    const price = wrapper.find('[aria-label="Price of coupler 63 mm"]')
    await price.setValue('cheap')
    await price.trigger('change')
    expect(wrapper.find('[role=alert]').text()).toContain('"cheap" is not a number')
    expect(kept).not.toHaveBeenCalled()
    await price.setValue('-3')
    await price.trigger('change')
    await flushPromises()
    expect(wrapper.find('[role=alert]').text()).toContain('price is -3.0')
    expect(wrapper.findAll('tbody tr')).toHaveLength(2)
  })

  it('takes an item out and puts it back', async () => {
    vi.spyOn(api, 'removeItem').mockResolvedValue(undefined)
    vi.spyOn(api, 'addItem').mockImplementation(async (item) => ({ ...item, id: 9 }) as CatalogueItem)
    const wrapper = await view()
    await wrapper.find('[aria-label="Take out coupler 63 mm"]').trigger('click')
    await flushPromises()
    expect(wrapper.findAll('tbody tr')).toHaveLength(1)
    await wrapper
      .findAll('button')
      .find((b) => b.text() === 'Put it back')!
      .trigger('click')
    await flushPromises()
    expect(wrapper.findAll('tbody tr')).toHaveLength(2)
  })

  it('copies an item behind the one it came from', async () => {
    vi.spyOn(api, 'addItem').mockImplementation(async (item) => ({ ...item, id: 9 }) as CatalogueItem)
    const wrapper = await view()
    await wrapper.find('[aria-label="Copy coupler 63 mm"]').trigger('click')
    await flushPromises()
    const names = wrapper.findAll('tbody td:first-child input').map((i) => (i.element as HTMLInputElement).value)
    expect(names).toEqual(['coupler 63 mm', 'coupler 63 mm, copy', 'brick 250'])
  })

  it('says each item in a line, in the units of the reader', async () => {
    expect(summary(core, 'metric')).toBe('250 × 120 × 120 mm, port bore 63 mm, water')
    expect(summary(joint, 'us')).toBe('bore 2.48 in, hose bore 2.64 in, gap 0.31 in')
    expect(summary({ ...joint, kind: 'bend', figures: { outside_mm: 63.5, angle_deg: 90, radius_mm: 95, material: 'aluminium' } }, 'metric')).toBe(
      'outside 63.5 mm, 90°, radius 95 mm, aluminium',
    )
    expect(summary({ ...joint, kind: 'reducer', figures: { inletBore_mm: 63, bore_mm: 76, length_mm: 80 } }, 'metric')).toBe(
      'bore 63 mm to 76 mm, 80 mm long',
    )
    const wrapper = await view()
    useSettings().currency = 'kr'
    await flushPromises()
    expect(wrapper.text()).toContain('kr')
  })
})
