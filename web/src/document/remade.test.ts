import { describe, expect, it } from 'vitest'
import { apply } from './edit'
import { newPiece } from './pieces'
import { remade } from './remade'
import type { BuildDocument, BuildOption, CorePiece, Piece } from './types'

const ids = (path: Piece[]): Piece[] => path.map((p, i) => ({ ...p, id: `p${i}` }))
const plain = (path: Piece[]): Piece[] => structuredClone(path).map((p) => ({ ...p, id: `r${Math.random()}` }))
const path = ids([newPiece('filter', 76, 'filter'), newPiece('blower', 51, 'turbo'), newPiece('core', 63, 'core'), newPiece('plenum', 63, 'plenum')])
const option = (p: Piece[], name = 'first'): BuildOption => ({ letter: 'A', name, boost_kPa: 100, path: p })
const document = { options: [option(path)] } as BuildDocument

function made(is: BuildOption): BuildOption {
  return apply(document, remade('/options/#A', document.options[0]!, is)).options[0]!
}

describe('an option made anew', () => {
  it('writes nothing where nothing is other', () => {
    expect(remade('/options/#A', option(path), option(plain(path)))).toEqual([])
  })

  it('writes the piece that is other, which stays the row it was', () => {
    const wet = plain(path)
    wet[2] = { ...(wet[2] as CorePiece), cooledBy: 'water', air: undefined, water: { volume_L: 8 } }
    const edits = remade('/options/#A', option(path), option(wet, 'wet'))
    expect(edits.map((e) => ('pointer' in e ? e.pointer : ''))).toEqual(['/options/#A/name', '/options/#A/path/#p2'])
    const after = made(option(wet, 'wet'))
    expect(after.path.map((p) => p.id)).toEqual(['p0', 'p1', 'p2', 'p3'])
    expect((after.path[2] as CorePiece).cooledBy).toBe('water')
    expect('air' in after.path[2]! && after.path[2].air).toBeFalsy()
  })

  it('keeps the rows that stay when one goes', () => {
    const bare = plain(path).filter((p) => p.kind !== 'core')
    expect(made(option(bare)).path.map((p) => p.id)).toEqual(['p0', 'p1', 'p3'])
  })

  it('finds pieces again in the legs of a pair', () => {
    const pair = newPiece('pair', 63, 'pair')
    if (pair.kind !== 'pair') throw new Error()
    pair.legs = pair.legs.map((l, i) => ({ ...l, id: `l${i}`, path: ids(l.path) }))
    const was = option([...path.slice(0, 2), { ...pair, id: 'pp' }])
    const is = structuredClone(was)
    const leg = (is.path[2] as typeof pair).legs[0]!
    leg.path = [...plain(leg.path), newPiece('core', 63, 'left core')]
    const [edit] = remade('/o', was, is)
    const value = (edit as { value: typeof pair }).value
    expect(value.legs.map((l) => l.path.map((p) => p.id))).toEqual([['p0', undefined], ['p0']])
  })
})
