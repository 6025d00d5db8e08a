import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import PrimeVue from 'primevue/config'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { Keeper, type Outcome } from '../build/keeper'
import { useBuild } from '../build/store'
import type { BuildDocument } from '../document/types'
import { Catalogue } from '../quantity/catalogue'
import { useSettings } from '../settings/store'
import { catalogueView } from '../testing/catalogue'
import NumberField from './NumberField.vue'

describe('a number field', () => {
  beforeEach(() => {
    localStorage.clear()
    setActivePinia(createPinia())
    const build = useBuild()
    build.catalogue = new Catalogue(catalogueView)
    build.keeper = new Keeper('test', { options: [{ path: [{ bore_mm: 57 }] }] } as unknown as BuildDocument, { id: 7, revision: 1 })
  })

  function field() {
    return mount(NumberField, {
      props: { part: 'pipe', name: 'bore_mm', pointer: '/options/0/path/0/bore_mm', of: 'hot pipe' },
      global: { plugins: [PrimeVue] },
    })
  }

  async function type(text: string) {
    const edit = vi.spyOn(useBuild(), 'edit').mockResolvedValue({ done: true })
    const wrapper = field()
    await wrapper.find('input').setValue(text)
    await wrapper.find('input').trigger('keydown', { key: 'Enter' })
    await new Promise((done) => setTimeout(done))
    return { wrapper, edit }
  }

  it('shows the value in the units of the reader', async () => {
    const wrapper = field()
    expect(wrapper.find('input').element.value).toBe('57 mm')
    useSettings().switchUnits()
    await wrapper.vm.$nextTick()
    expect(wrapper.find('input').element.value).toBe('2.244 in')
  })

  it.each([{ done: true } as const, { done: false, fault: { sentence: 'No.' } as never } as const])(
    'keeps what is typed while the value before it is still on its way: %j',
    async (outcome) => {
      let answer!: (outcome: Outcome) => void
      const edit = vi.spyOn(useBuild(), 'edit').mockImplementationOnce(() => new Promise((done) => (answer = done)))
      const wrapper = field()
      const input = wrapper.find('input')
      await input.setValue('70')
      await input.trigger('keydown', { key: 'Enter' })
      await input.setValue('63')
      answer(outcome)
      await new Promise((done) => setTimeout(done))
      expect(input.element.value).toBe('63')
      edit.mockResolvedValue({ done: true })
      await input.trigger('keydown', { key: 'Enter' })
      expect(edit).toHaveBeenLastCalledWith([{ pointer: '/options/0/path/0/bore_mm', value: 63 }], 'hot pipe bore 57 mm → 63 mm')
    },
  )

  it('keeps what is typed when the value before it goes back, and shows the new value when nothing is', async () => {
    const wrapper = mount(NumberField, {
      props: { part: 'pipe', name: 'bore_mm', pointer: '', shown: 57, set: () => undefined },
      global: { plugins: [PrimeVue] },
    })
    const input = wrapper.find('input')
    await input.setValue('70')
    await input.trigger('keydown', { key: 'Enter' })
    await wrapper.setProps({ shown: 70 })
    await input.setValue('63')
    await wrapper.setProps({ shown: 57 })
    expect(input.element.value).toBe('63')
    await input.trigger('keydown', { key: 'Enter' })
    expect(input.element.value).toBe('57 mm')
    await input.setValue('9000')
    await input.trigger('keydown', { key: 'Enter' })
    await wrapper.setProps({ shown: 60 })
    expect(wrapper.find('[role=alert]').exists()).toBe(false)
    expect(input.element.value).toBe('60 mm')
  })

  it('takes any unit and says what changed', async () => {
    const { edit } = await type('2 1/2 in')
    expect(edit).toHaveBeenCalledWith([{ pointer: '/options/0/path/0/bore_mm', value: 63.5 }], 'hot pipe bore 57 mm → 63.5 mm')
  })

  it.each([
    ['12 psi', '"psi" does not measure bore. Use mm, cm, m, in, ft.'],
    ['', 'Bore is empty. Give a value from 10 mm to 400 mm.'],
    ['big', '"big" is not a number. Write 63 mm or 2 1/2 mm.'],
    ['-5', 'Bore is −5 mm; it must lie between 10 mm and 400 mm.'],
    ['9000', 'Bore is 9000 mm; it must lie between 10 mm and 400 mm.'],
  ])('refuses "%s" plainly and keeps what was typed', async (text, words) => {
    const { wrapper, edit } = await type(text)
    expect(edit).not.toHaveBeenCalled()
    expect(wrapper.find('[role=alert]').text()).toBe(words)
    expect(wrapper.find('input').element.value).toBe(text)
    expect(wrapper.find('input').attributes('aria-invalid')).toBe('true')
  })

  it('goes back on Escape', async () => {
    const wrapper = field()
    await wrapper.find('input').setValue('70')
    await wrapper.find('input').trigger('keydown', { key: 'Escape' })
    expect(wrapper.find('input').element.value).toBe('57 mm')
  })
})
