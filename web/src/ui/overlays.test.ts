import { mount, type VueWrapper } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { h, nextTick, ref } from 'vue'
import { Menu } from './overlays'

const frames: FrameRequestCallback[] = []
let page: VueWrapper | undefined

beforeEach(() => {
  frames.length = 0
  vi.stubGlobal('requestAnimationFrame', (f: FrameRequestCallback) => frames.push(f))
})

afterEach(() => {
  vi.unstubAllGlobals()
  page?.unmount()
  document.body.innerHTML = ''
})

function frame(): Promise<void> {
  frames.splice(0).forEach((f) => f(0))
  return nextTick()
}

/** A page that scrolls, with a button that opens a menu. */
async function opened() {
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
  const button = page.find('button').element
  let top = 100
  button.getBoundingClientRect = () => ({ left: 10, top, bottom: top + 20, right: 60, width: 50, height: 20, x: 10, y: top }) as DOMRect
  await page.find('button').trigger('click')
  const list = () => document.querySelector<HTMLElement>('.p-menu')
  ;(menu.value as unknown as { onEnter: (of: HTMLElement) => void }).onEnter(list()!)
  const moveTo = (y: number): Promise<void> => {
    top = y
    page!.element.dispatchEvent(new Event('scroll'))
    return frame()
  }
  return { button, list, moveTo }
}

it('stays open and goes along when an answer moves the page under it', async () => {
  const { list, moveTo } = await opened()
  const before = parseFloat(list()!.style.top)
  await moveTo(160)
  expect(list()).not.toBeNull()
  expect(parseFloat(list()!.style.top) - before).toBe(60)
})

it.each([
  ['its button has gone', (o: Awaited<ReturnType<typeof opened>>) => o.button.remove()],
  ['its button is above the window', (o: Awaited<ReturnType<typeof opened>>) => o.moveTo(-200)],
])('closes when %s', async (_, happens) => {
  const o = await opened()
  await happens(o)
  await frame()
  expect(o.list()).toBeNull()
})
