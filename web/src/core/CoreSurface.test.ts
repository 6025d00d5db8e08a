import { beforeEach, describe, expect, it, vi, type Mock } from 'vitest'
import { api } from '../api/client'
import type { useBuild } from '../build/store'
import type { CorePiece } from '../document/types'
import { buildOnScreen, listenedBuild, surface } from '../testing/surface'
import CoreSurface from './CoreSurface.vue'

describe('the core surface', () => {
  let build: ReturnType<typeof useBuild>
  let edit: Mock

  beforeEach(() => {
    ;({ build, edit } = listenedBuild())
    vi.spyOn(api, 'coreSteps').mockResolvedValue({ steps: [] })
  })

  const press = async (words: string) => {
    const wrapper = await surface(CoreSurface)
    await wrapper
      .findAll('button')
      .find((b) => b.text() === words)!
      .trigger('click')
    return edit.mock.lastCall!
  }

  it('says what the core does in the numbers of the answer', async () => {
    const text = (await surface(CoreSurface)).text()
    expect(text).toContain('170.0 °C')
    expect(text).toContain('48.0 °C')
    expect(text).toContain('90 %')
    expect(text).toContain('30 °C')
  })

  it('turns the core clockwise', async () => {
    const [edits, what] = await press('turn it')
    expect(edits).toEqual([{ pointer: '/options/#A/path/#r4/inletTowards', value: 'down' }])
    expect(what).toBe('core turned, inlet down')
  })

  it('goes from geometry to a card filled in with what the core does now', async () => {
    const [edits] = await press('rating card')
    expect(edits[0]).toEqual({ pointer: '/options/#A/path/#r4/block', value: undefined })
    expect(edits[1].value).toMatchObject({ width_mm: 450, chargeFlow_kg_s: 0.12, chargeIn_C: 170, chargeOut_C: 48, airSpeed_m_s: 5, loss_kPa: 1 })
  })

  it('leaves the core as it is when it is known that way already', async () => {
    const wrapper = await surface(CoreSurface)
    await wrapper
      .findAll('button')
      .find((b) => b.text() === 'geometry')!
      .trigger('click')
    expect(edit).not.toHaveBeenCalled()
  })

  it('takes an item over the core and drops the card that no longer holds', async () => {
    const core = build.document!.options[0]!.path[3] as CorePiece
    delete core.block
    core.card = { width_mm: 1 } as CorePiece['card']
    vi.spyOn(api, 'catalogue').mockResolvedValue([
      {
        id: 1,
        version: 1,
        kind: 'core',
        name: 'bar-and-plate 600',
        note: '',
        price: 1,
        mass_kg: 1,
        figures: { cooledBy: 'air', width_mm: 600, block: { layers: 'bar-and-plate' } },
      },
      { id: 2, version: 1, kind: 'core', name: 'brick', note: '', price: 1, mass_kg: 1, figures: { cooledBy: 'water' } },
    ])
    const wrapper = await surface(CoreSurface)
    await wrapper
      .findAll('button')
      .find((b) => b.text() === 'from the catalogue')!
      .trigger('click')
    await vi.waitFor(() => expect(wrapper.find('[aria-label="Take bar-and-plate 600"]').exists()).toBe(true))
    expect(wrapper.find('[aria-label="Take brick"]').exists(), 'water-cooled items are not offered to an air-cooled core').toBe(false)
    await wrapper.find('[aria-label="Take bar-and-plate 600"]').trigger('click')
    const pointers = edit.mock.lastCall![0].map((e: { pointer: string }) => e.pointer)
    expect(pointers).toEqual(['/options/#A/path/#r4/width_mm', '/options/#A/path/#r4/block', '/options/#A/path/#r4/card'])
  })

  it('says so when there is no core', async () => {
    buildOnScreen(build.document!.options[0]!.path.filter((p) => p.kind !== 'core'))
    expect((await surface(CoreSurface)).text()).toContain('This option has no core')
  })
})
