import { beforeEach, describe, expect, it, vi, type Mock } from 'vitest'
import { flushPromises } from '@vue/test-utils'
import { api } from '../api/client'
import type { useBuild } from '../build/store'
import type { CorePiece } from '../document/types'
import { loopView, waterCore, waterLoop } from '../testing/cold'
import { asEdited, listenedBuild, onScreen, surface, usualPath } from '../testing/surface'
import WaterSurface from './WaterSurface.vue'

describe('the water side', () => {
  let build: ReturnType<typeof useBuild>
  let edit: Mock

  beforeEach(() => {
    const core = waterCore()
    ;({ build, edit } = listenedBuild(usualPath().map((p) => (p.kind === 'core' ? core : p))))
    build.answers.A!.steady!.loops = [loopView(core.water!)]
    vi.spyOn(api, 'waterChanges').mockResolvedValue({
      changes: [
        {
          what: 'WIDER',
          of: ['thin spigot'],
          from_mm: 9,
          to_mm: 19,
          share_pct: 50,
          flow_L_min: 19,
          flowRatio: 1.36,
          intake_K: -2.4,
          water_K: 1,
          edits: [{ pointer: '/path/3/water/pieces/6/bore_mm', value: 19 }],
        },
      ],
    })
  })

  const loopAfter = () => (asEdited(build, edit).options[0]!.path[3] as CorePiece).water!.pieces!

  it('opens on the narrowest piece and says what the loop does', async () => {
    const wrapper = await surface(WaterSurface)
    expect(wrapper.text()).toContain('14.0 L/min')
    expect(wrapper.find('.chosen-piece h2').text()).toBe('thin spigot')
    expect(wrapper.find('[aria-label="thin spigot bore_mm"]').exists()).toBe(true)
  })

  it('takes a piece out', async () => {
    const wrapper = await surface(WaterSurface)
    await wrapper.find('[aria-label="Take out thin spigot"]').trigger('click')
    expect(loopAfter().map((p) => p.name)).not.toContain('thin spigot')
  })

  it('moves a piece along the loop', async () => {
    const wrapper = await surface(WaterSurface)
    await wrapper.find('[aria-label="Move this piece forward"]').trigger('click')
    expect(loopAfter().findIndex((p) => p.name === 'thin spigot')).toBe(5)
    expect(edit.mock.lastCall![1]).toBe('thin spigot moved forward')
  })

  it('offers changes with their reason and makes an option of one', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    const add = vi.fn()
    build.addOption = add as unknown as typeof build.addOption
    const wrapper = await surface(WaterSurface)
    await vi.advanceTimersByTimeAsync(400)
    vi.useRealTimers()
    await flushPromises()
    expect(wrapper.text()).toContain("takes 50 % of the pump's head now; with it 1.4 times the flow")
    await wrapper.find('[aria-label="Try: thin spigot, 9 → 19 mm"]').trigger('click')
    await flushPromises()
    expect(add.mock.lastCall!.slice(0, 2)).toEqual(['thin spigot, 9 → 19 mm', [{ pointer: '/path/3/water/pieces/6/bore_mm', value: 19 }]])
  })

  it('draws out a loop of which only the flow is known', async () => {
    const core = waterCore()
    core.water = { volume_L: 5, flow_L_min: 15, flowGuessed: true, radiator: core.water!.radiator }
    build.document!.options[0]!.path[3] = core
    onScreen(build, build.document)
    const wrapper = await surface(WaterSurface)
    expect(wrapper.text()).toContain('Only the flow of this loop is given, and that is a guess.')
    const drawn = structuredClone(build.document!.options[0]!)
    ;(drawn.path[3] as CorePiece).water = waterLoop()
    const ask = vi.spyOn(api, 'drawnLoop').mockResolvedValue({ option: drawn })
    await wrapper
      .findAll('button')
      .find((b) => b.text().startsWith('draw the loop'))!
      .trigger('click')
    await flushPromises()
    expect(ask).toHaveBeenCalledWith(build.document, 'A', '/path/3')
    const [edits] = edit.mock.lastCall!
    expect(edits.map((e: { pointer: string }) => e.pointer)).toEqual(['/options/#A/path/#r4'])
    expect(edits[0].value.water.pieces).toHaveLength(9)
  })

  it('says where to look when nothing is cooled by water', async () => {
    build.document!.options[0]!.path = usualPath()
    onScreen(build, build.document)
    const wrapper = await surface(WaterSurface)
    expect(wrapper.text()).toContain('No core of this option is cooled by water')
    expect(wrapper.text()).toContain('on Space')
  })
})
