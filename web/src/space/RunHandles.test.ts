import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { buildOnScreen } from '../testing/surface'
import { rowOf, onSheet, shown } from './elevation'
import RunHandles from './RunHandles.vue'

async function point(on: Element, type: string, init: MouseEventInit): Promise<void> {
  on.dispatchEvent(new MouseEvent(type, { bubbles: true, ...init }))
  await nextTick()
}

const run = {
  of: 'hot pipe',
  corners: [
    { id: 'a', back_mm: 0, right_mm: 100, up_mm: 50 },
    { id: 'b', back_mm: 300, right_mm: -200, up_mm: 0 },
  ],
}

describe('handles of a pipe', () => {
  beforeEach(() => void buildOnScreen())
  const sheet = rowOf({ back: [-500, 500], right: [-500, 500], up: [-500, 500] }, 900, 330)

  /** A pointer on a handle; the sheet is as large as it is drawn. */
  const handles = () => {
    const wrapper = mount({
      components: { RunHandles },
      data: () => ({ run, sheet, costs: ['0.12 kPa', ''] }),
      template: '<svg><RunHandles :run :costs :sheet view="front" /></svg>',
    })
    const svg = wrapper.element as SVGSVGElement
    svg.getBoundingClientRect = () => ({ left: 0, top: 0, width: sheet.width, height: sheet.height }) as DOMRect
    const told = (what: string) => wrapper.findComponent(RunHandles).emitted(what)
    return { wrapper, first: wrapper.find('.corner'), moved: () => told('shift'), told }
  }

  it('stand where the corners are', () => {
    const [x, y] = onSheet(sheet, 'front', ...shown('front', { back: 0, right: 100, up: 50 }))
    expect(handles().first.find('circle').attributes()).toMatchObject({ cx: String(x), cy: String(y) })
    expect(handles().first.text()).toContain('0.12 kPa')
  })

  it('write what a bend costs inwards near the edge of the view', () => {
    const edge = {
      of: 'hot pipe',
      corners: [
        { ...run.corners[0]!, right_mm: -495 },
        { ...run.corners[1]!, right_mm: 495 },
      ],
    }
    const anchors = mount({
      components: { RunHandles },
      data: () => ({ run: edge, sheet, costs: ['0.12 kPa', '0.30 kPa'] }),
      template: '<svg><RunHandles :run :costs :sheet view="front" /></svg>',
    })
      .findAll('text')
      .map((t) => t.attributes('text-anchor'))
    // From the front the car's left is on the right of the sheet.
    expect(anchors).toEqual(['end', 'start'])
  })

  it('are dragged across the view, and tell by how much', async () => {
    const { wrapper, first, moved, told } = handles()
    await point(first.element, 'pointerdown', { clientX: 100, clientY: 100 })
    // From the front what goes to the right of the sheet goes to the car's left.
    await point(first.element, 'pointermove', { clientX: 140, clientY: 100, altKey: true })
    expect(wrapper.text()).toContain('right by')
    // Told before it is let go, and where it stands meanwhile.
    expect(told('bending')).toHaveLength(1)
    expect(moved()).toBeUndefined()
    await first.trigger('pointerup')
    expect(moved()![0]![0]).toBe('a')
    const by = moved()![0]![1] as { back: number; right: number; up: number }
    expect(by).toMatchObject({ back: 0, up: 0 })
    expect(by.right).toBeLessThan(0)
  })

  it('that were only pressed, or lost the pointer, move nothing', async () => {
    const { first, moved, told } = handles()
    await point(first.element, 'pointerdown', { clientX: 100, clientY: 100 })
    await first.trigger('pointerup')
    await point(first.element, 'pointerdown', { clientX: 100, clientY: 100 })
    await point(first.element, 'pointermove', { clientX: 160, clientY: 100 })
    await first.trigger('pointercancel')
    expect(moved()).toBeUndefined()
    expect(told('rest')).toHaveLength(2)
  })
})
