import { mount, type VueWrapper } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { afterEach, expect, it, vi } from 'vitest'
import { h, ref } from 'vue'
import { Menu } from './overlays'

let page: VueWrapper | undefined

afterEach(() => {
  page?.unmount()
  document.body.innerHTML = ''
})

const list = (): HTMLElement | null => document.querySelector('.p-menu')

/** A page that scrolls, with a button that opened a menu. */
async function opened(): Promise<HTMLElement> {
  const menu = ref<InstanceType<typeof Menu>>()
  page = mount(
    {
      render: () =>
        h('main', { style: 'overflow: auto' }, [
          h('button', { onClick: (e: Event) => menu.value!.toggle(e) }, 'put in'),
          h(Menu, { ref: menu, popup: true, model: [{ label: 'a pipe' }] }),
        ]),
    },
    { attachTo: document.body, global: { plugins: [PrimeVue] } },
  )
  const button = page.find('button')
  await button.trigger('click')
  ;(menu.value as unknown as { onEnter: (of: HTMLElement) => void }).onEnter(list()!)
  return button.element
}

it('stays open and where it is when an answer moves the page under it', async () => {
  const button = await opened()
  const top = list()!.style.top
  button.style.marginTop = '60px'
  page!.element.dispatchEvent(new Event('scroll'))
  list()!.dispatchEvent(new Event('wheel', { bubbles: true }))
  await new Promise((later) => setTimeout(later))
  expect(list()).not.toBeNull()
  expect(list()!.style.top).toBe(top)
})

it.each([
  ['its button has gone', (button: HTMLElement) => button.remove()],
  ['the reader scrolls', (button: HTMLElement) => button.dispatchEvent(new Event('wheel', { bubbles: true }))],
])('closes when %s', async (_, happens) => {
  happens(await opened())
  await vi.waitFor(() => expect(list()).toBeNull())
})
