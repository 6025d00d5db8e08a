import { describe, expect, it } from 'vitest'
import { allPieces, boreOf, calledSo, freeName, goneWith, hoseCalledSo, NEW_KINDS, newPiece, ofKind, ofType } from './pieces'
import { counted } from '../testing/surface'
import { at } from './edit'
import type { AirLayer, AirWay, BlowerPiece, BuildOption, CorePiece, PairPiece } from './types'

const option: BuildOption = {
  letter: 'A',
  name: 'first',
  boost_kPa: 90,
  path: [
    newPiece('filter', 76, 'filter'),
    newPiece('blower', 63, 'turbo'),
    newPiece('pair', 63, 'pair'),
    newPiece('core', 63, 'core'),
    newPiece('plenum', 60, 'plenum'),
  ],
}

describe('pieces', () => {
  it('are listed in the order of the air with the legs after their pair', () => {
    expect(allPieces(option).map((p) => p.place)).toEqual([
      '/path/0',
      '/path/1',
      '/path/2',
      '/path/2/legs/0/path/0',
      '/path/2/legs/1/path/0',
      '/path/3',
      '/path/4',
    ])
    expect(ofKind(option, 'pipe').map((p) => p.leg?.name)).toEqual(['left', 'right'])
    expect(allPieces(counted(option)).map((p) => p.at)[4]).toBe('/path/#r3/legs/#r2/path/#r1')
    expect(at({ options: [counted(option)] }, `/options/#A${allPieces(counted(option))[4]!.at}/name`)).toBe('right pipe')
  })

  it('that are new fit the bore they are put behind', () => {
    for (const { kind } of NEW_KINDS) {
      const piece = newPiece(kind, 70, 'new')
      if (piece.kind === 'pair') expect(boreOf(piece)).toBe(70)
      else if (piece.kind === 'reducer') expect(piece.inletBore_mm).toBe(70)
      // A tube is one that is sold: 76.2 mm of 1.6 mm wall comes nearest.
      else expect(boreOf(piece)).toBe(kind === 'pipe' ? 73 : 70)
    }
  })

  it('get a name that no other has', () => {
    expect(freeName(option, 'joint')).toBe('joint')
    expect(freeName(option, 'core')).toBe('core 2')
    expect(freeName(option, 'left pipe')).toBe('left pipe 2')
  })

  it('of another type take its name, and its efficiency where theirs is none of it', () => {
    const turbo = { ...newPiece('blower', 63, 'left turbo'), efficiency_pct: 70 } as BlowerPiece
    expect(ofType(turbo, '/b', 'screw')).toEqual([
      { pointer: '/b/type', value: 'screw' },
      { pointer: '/b/name', value: 'left screw blower' },
    ])
    expect(ofType(turbo, '/b', 'roots-type')).toContainEqual({ pointer: '/b/efficiency_pct', value: 55 })
    expect(ofType({ ...turbo, name: 'the big one' }, '/b', 'screw')).toEqual([{ pointer: '/b/type', value: 'screw' }])
  })

  it('are called anew in the stacks they stand in, other layers of that name are not', () => {
    const layer = (id: string, kind: AirLayer['kind']) => ({ id, kind, name: 'core', across_mm: 0, up_mm: 0, gap_mm: 20 })
    const airWays = [{ id: 'w', layers: [layer('a', 'core'), layer('b', 'radiator'), layer('c', 'condenser')] } as AirWay]
    expect(calledSo({ ...option, airWays }, '/options/#A', 'core', 'front core')).toEqual([
      { pointer: '/options/#A/airWays/#w/layers/#a/name', value: 'front core' },
      { pointer: '/options/#A/airWays/#w/layers/#b/name', value: 'front core' },
    ])
  })
  it('are told apart from hoses of their name, and a hose follows its own name and that of its core', () => {
    const runs = [
      { id: 'p', of: 'riser', corners: [] },
      { id: 'h', of: 'riser', loop: 'core', corners: [] },
      { id: 'o', of: 'riser', loop: 'other', corners: [] },
    ]
    const room = { ...option, runs } as BuildOption
    expect(calledSo(room, '/o', 'riser', 'cold pipe')).toEqual([{ pointer: '/o/runs/#p/of', value: 'cold pipe' }])
    expect(calledSo(room, '/o', 'core', 'front core')).toEqual([{ pointer: '/o/runs/#h/loop', value: 'front core' }])
    expect(hoseCalledSo(room, '/o', 'core', 'riser', 'feed')).toEqual([{ pointer: '/o/runs/#h/of', value: 'feed' }])
  })
  it('are called anew where they stand and are laid in the room', () => {
    const room = {
      ...option,
      stands: [{ id: 's', of: 'riser', what: 'throttle', back_mm: 0, right_mm: 0, up_mm: 0 }],
      runs: [{ id: 'r', of: 'riser', corners: [] }],
      joints: { coupling: 'weld', clamp: 'T-bolt', others: [{ id: 'j', of: 'riser', end: 'end', coupling: 'V-band', clamp: 'T-bolt' }] },
    }
    expect(calledSo(room as BuildOption, '/o', 'riser', 'cold pipe')).toEqual([
      { pointer: '/o/stands/#s/of', value: 'cold pipe' },
      { pointer: '/o/runs/#r/of', value: 'cold pipe' },
      { pointer: '/o/joints/others/#j/of', value: 'cold pipe' },
    ])
  })

  const onLoop = (id: string, name: string, more: Partial<CorePiece>) =>
    ({ ...newPiece('core', 57, name), air: undefined, cooledBy: 'water', id, ...more }) as CorePiece
  const loop = { volume_L: 6, flow_L_min: 20 }
  const sharing: BuildOption = {
    ...option,
    path: [
      onLoop('l', 'left', { water: loop }),
      onLoop('r', 'right', { sharesLoop: { core: 'left', stands: 'beside' } }),
      onLoop('b', 'back', { sharesLoop: { core: 'left', stands: 'behind' } }),
    ],
    airWays: [{ id: 'w', layers: [{ id: 'a', kind: 'radiator', name: 'left', across_mm: 0, up_mm: 0, gap_mm: 20 }] } as AirWay],
  }

  it('that hang on a loop follow the name of the core whose it is', () => {
    expect(calledSo(sharing, '/o', 'left', 'near')).toEqual([
      { pointer: '/o/airWays/#w/layers/#a/name', value: 'near' },
      { pointer: '/o/path/#r/sharesLoop/core', value: 'near' },
      { pointer: '/o/path/#b/sharesLoop/core', value: 'near' },
    ])
  })

  it('taken out leave their loop to the first that hung on it, and their radiator', () => {
    const [left, right] = allPieces(sharing)
    expect(goneWith(sharing, '/o', left!)).toEqual([
      { pointer: '/o/path/#r/sharesLoop', value: undefined },
      { pointer: '/o/path/#r/water', value: loop },
      { pointer: '/o/path/#b/sharesLoop/core', value: 'right' },
      { pointer: '/o/airWays/#w/layers/#a/name', value: 'right' },
      { row: '/o/path/#l', out: true },
    ])
    expect(goneWith(sharing, '/o', right!)).toEqual([{ row: '/o/path/#r', out: true }])
  })

  it('taken out with the pair they stand in take all that stood for them in the air', () => {
    const pair = { ...newPiece('pair', 57, 'pair'), id: 'p' } as PairPiece
    pair.legs.forEach((leg, k) => Object.assign(leg, { id: `g${k}`, path: [onLoop(`c${k}`, `core ${k}`, { water: loop })] }))
    const layers = [0, 1].map((k) => ({ id: `y${k}`, kind: 'radiator', name: `core ${k}` }) as AirLayer)
    const both = { ...option, path: [pair], airWays: [{ id: 'w', layers } as AirWay] }
    expect(goneWith(both, '/o', allPieces(both)[0]!)).toEqual([
      { row: '/o/airWays/#w', out: true },
      { row: '/o/path/#p', out: true },
    ])
  })
})
