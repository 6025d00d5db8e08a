import { describe, expect, it } from 'vitest'
import { apply } from '../document/edit'
import type { BuildDocument, BuildOption, CorePiece } from '../document/types'
import { newPiece, waysWithout } from '../document/pieces'
import { airWay, waterCore, wayView } from '../testing/cold'
import { counted, usualPath } from '../testing/surface'
import { attached, fitted, gaps, newWay, OTHERS, reorder, sideView, sizeOf, spread, unplaced } from './stack'

const option = (ways = [airWay()]): BuildOption => ({ letter: 'A', name: 'first', boost_kPa: 90, path: usualPath(), airWays: ways })

describe('the stack', () => {
  it('takes sizes from the core it names and its own for the others', () => {
    const way = airWay()
    expect(sizeOf(way.layers[0]!, option())).toEqual({ width: 560, height: 340, depth: 18 })
    expect(sizeOf(way.layers[1]!, option())).toEqual({ width: 450, height: 200, depth: 64 })
    expect(sizeOf({ ...way.layers[1]!, name: 'gone' }, option())).toBeUndefined()
  })

  it('stands behind each other with its gaps, from the side', () => {
    const side = sideView(airWay(), option())
    expect(side.layers.map((l) => [l.x0, l.x1])).toEqual([
      [60, 78],
      [93, 157],
    ])
    expect(side.layers[1]).toMatchObject({ bottom: -140, top: 60 })
    expect(side.depth).toBe(157)
  })

  it('knows how warm the air is before, between and behind', () => {
    const list = gaps(sideView(airWay(), option()), wayView(), 90)
    expect(list.map((g) => g.temperature_C)).toEqual([34, 43, 60])
    expect(list[1]).toMatchObject({ x0: 78, x1: 93 })
    expect(gaps(sideView(airWay(), option()), undefined, 90)).toEqual([])
    expect(gaps(sideView(airWay(), option()), { ...wayView(), layers: [] }, 90), 'an answer of another stack').toEqual([])
  })

  it('puts in nothing larger than the space', () => {
    expect(fitted(OTHERS[0]!.layer, { ...airWay(), spaceHeight_mm: 300 })).toMatchObject({ width_mm: 560, height_mm: 300 })
  })

  it('keeps gaps where they are when layers change places', () => {
    const document = counted({ options: [option()] }) as unknown as BuildDocument
    const swapped = apply(document, reorder('/options/#A/airWays/#r1/layers', document.options[0]!.airWays![0]!.layers, [1, 0]))
    expect(swapped.options[0]!.airWays![0]!.layers.map((l) => [l.name, l.gap_mm])).toEqual([
      ['core', 60],
      ['condenser', 15],
    ])
  })

  it('spreads captions without overlap, inside their room', () => {
    const at = spread([100, 102, 104, 390], 50, 20, 400)
    expect(at[0]).toBe(100)
    at.slice(1).forEach((x, i) => expect(x - at[i]!).toBeGreaterThanOrEqual(50))
    expect(Math.max(...at)).toBeLessThanOrEqual(400)
    expect(spread([380, 390, 395], 50, 20, 400)).toEqual([300, 350, 400])
  })

  it('knows what no way brings air to, and makes a way round it', () => {
    expect(unplaced(option())).toEqual([])
    const bare = { ...option([]), path: usualPath().map((p) => (p.kind === 'core' ? waterCore() : p)) }
    const [free] = unplaced(bare)
    expect(free).toMatchObject({ kind: 'radiator', core: { name: 'core' } })
    const way = newWay('front', free!)
    expect(way.layers).toMatchObject([{ kind: 'radiator', name: 'core' }])
    expect(way.spaceWidth_mm).toBeGreaterThan(320)
    expect(unplaced({ ...bare, airWays: [way] })).toEqual([])
  })

  it('loses a core that is taken out, and the way that was only for it', () => {
    expect(waysWithout(counted([airWay()]), 'core')).toEqual(['/airWays/#r1/layers/#r2'])
    const only = { ...airWay(), layers: [airWay().layers[1]!] }
    expect(waysWithout(counted([only]), 'core')).toEqual(['/airWays/#r1'])
  })

  it('stands a core on end with its tanks over and under it', () => {
    const core = newPiece('core', 60, 'core') as CorePiece
    Object.assign(core, { width_mm: 500, height_mm: 240, depth_mm: 80, tankDepth_mm: 50, inletTowards: 'up' })
    const option = { letter: 'A', name: 'A', boost_kPa: 100, path: [core] }
    const layer = { kind: 'core' as const, name: 'core', across_mm: 0, up_mm: 0, gap_mm: 10 }
    expect(sizeOf(layer, option)).toEqual({ width: 240, height: 500, depth: 80 })
    expect(attached(layer, option)).toEqual([
      { left: -120, top: 300, width: 240, height: 50 },
      { left: -120, top: -250, width: 240, height: 50 },
      { left: -30, top: 340, width: 60, height: 40 },
      { left: -30, top: -300, width: 60, height: 40 },
    ])
    expect(newWay('front', { kind: 'core', core })).toMatchObject({ spaceWidth_mm: 290, spaceHeight_mm: 700 })
  })
})
