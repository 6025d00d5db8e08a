import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import Dialog from 'primevue/dialog'
import { afterEach, expect, it, vi } from 'vitest'
import { h, nextTick } from 'vue'
import { dialogs } from './dialogs'

afterEach(() => {
  document.body.innerHTML = ''
})

async function opened() {
  const wrapper = mount(Dialog, {
    attachTo: document.body,
    props: { visible: true, header: 'History' },
    slots: { default: () => [h('input', { class: 'one' }), h('input', { class: 'two' })] },
    global: { plugins: [[PrimeVue, { pt: { dialog: dialogs } }]], stubs: { teleport: true } },
  })
  await nextTick()
  const find = (selector: string) => wrapper.find<HTMLElement>(selector).element
  // The transition has ended.
  const cameIn = () => (wrapper.vm as unknown as { onAfterEnter: () => void }).onAfterEnter()
  return { find, cameIn }
}

it('leaves the focus to whoever types before the dialog has come in', async () => {
  const { find, cameIn } = await opened()
  find('.one').focus()
  find('.two').focus()
  cameIn()
  await vi.waitFor(() => expect(document.activeElement).toBe(find('.two')))
  expect(find('.one').hasAttribute('autofocus')).toBe(false)
})

it('puts the focus on its close button when nobody has it', async () => {
  const { find, cameIn } = await opened()
  cameIn()
  expect(document.activeElement).toBe(find('.p-dialog-close-button'))
})
