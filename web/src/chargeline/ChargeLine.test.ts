import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import type { BuildOption } from '../document/types'
import { useSettings } from '../settings/store'
import { steadyView } from '../testing/steady'
import ChargeLine from './ChargeLine.vue'

const option = {
  letter: 'A',
  name: 'first',
  boost_kPa: 135,
  path: [
    { kind: 'filter', name: 'filter' },
    { kind: 'blower', name: 'turbo' },
    { kind: 'pipe', name: 'hot pipe', material: 'aluminium', outside_mm: 50.8, length_mm: 1200, bends: [{ angle_deg: 90, radius_mm: 76 }] },
    { kind: 'core', name: 'core', width_mm: 540, height_mm: 260, depth_mm: 76 },
    { kind: 'pipe', name: 'cold pipe', material: 'silicone', bore_mm: 57, length_mm: 900, bends: [] },
    { kind: 'plenum', name: 'plenum' },
  ],
} as unknown as BuildOption

describe('the charge line on screen', () => {
  beforeEach(() => {
    localStorage.clear()
    setActivePinia(createPinia())
  })

  function line(ghost?: number[]) {
    return mount(ChargeLine, {
      attachTo: document.body,
      props: {
        steady: steadyView([34, 38, 187.9, 187.9, 48.9, 48.9, 48.9]),
        option,
        point: ['held at full load', '2800 rpm'],
        ghost: ghost && steadyView(ghost),
        ghostLabel: 'B',
      },
    })
  }

  it('writes figures, names and pressures under the stations', () => {
    const text = line().find('[data-station="2"]').text()
    expect(text).toContain('187.9°')
    expect(text).toContain('turbo out 238.0 kPa')
  })

  it('writes the change against the ghost with its sign, cooler as better', () => {
    const wrapper = line([34, 38, 187.9, 187.9, 82.2, 82.2, 82.2])
    const delta = wrapper.find('[data-station="4"] .delta')
    expect(delta.text()).toBe('−33.3')
    expect(delta.classes()).toContain('better')
    expect(wrapper.find('[data-station="2"] .delta').exists()).toBe(false)
    expect(wrapper.find('.ghost-label').text()).toBe('B 82.2°')
  })

  it('names each piece with its price', () => {
    const captions = line()
      .findAll('.caption')
      .map((c) => c.text().replace(/\s+/g, ' '))
    expect(captions).toContain('hot pipe 50.8 mm OD 1.0 kPa · 1 bend')
    expect(captions.find((c) => c.startsWith('core'))).toContain('540 × 260 × 76 mm')
    expect(captions.find((c) => c.startsWith('core'))).toContain('90 % of the way down · 1.0 kPa · 17.0 kW')
  })

  it('follows the units of the reader', async () => {
    const wrapper = line()
    useSettings().switchUnits()
    await wrapper.vm.$nextTick()
    expect(wrapper.find('[data-station="2"]').text()).toContain('370.2°')
    expect(wrapper.find('[data-station="2"]').text()).toContain('psi')
  })

  it('is walked with the arrows and opened with Enter', async () => {
    const wrapper = line()
    const first = wrapper.find('[data-piece="2"]')
    await first.trigger('keydown', { key: 'ArrowRight' })
    expect(document.activeElement?.getAttribute('data-piece')).toBe('3')
    await wrapper.find('[data-piece="3"]').trigger('keydown', { key: 'Enter' })
    await wrapper.find('[data-piece="4"]').trigger('click')
    expect(wrapper.emitted('pick')).toEqual([[3], [4]])
  })

  it('says each piece aloud', () => {
    expect(line().find('[data-piece="2"]').attributes('aria-label')).toBe('hot pipe: costs 1.00 kPa, Mach 0.06')
    expect(line().find('[data-piece="3"]').attributes('aria-label')).toContain('−139.0 °C')
    expect(line().find('[data-piece="1"]').attributes('aria-label')).toContain('turbo: makes 140.0 kPa, +149.9 °C')
  })
})
