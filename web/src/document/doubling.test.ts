// @vitest-environment node
import { describe, expect, it } from 'vitest'
import { drawnThrough, hasTwoBanks, hasTwoBlowers, withOneBank, withOneBlower, withTwoBanks, withTwoBlowers } from './doubling'
import { allPieces, newPiece } from './pieces'
import type { BuildOption, Piece } from './types'

const path: Piece[] = [
  newPiece('filter', 76, 'filter'),
  newPiece('blower', 63, 'turbo'),
  newPiece('pipe', 63, 'hot pipe'),
  newPiece('core', 63, 'core'),
  newPiece('pipe', 63, 'cold pipe'),
  newPiece('plenum', 60, 'plenum'),
]
const option = (p: Piece[]): BuildOption => ({ letter: 'A', name: '', boost_kPa: 90, path: p })

describe('doubling', () => {
  it('gives each of two blowers its own filter and takes it back', () => {
    const two = withTwoBlowers(path)
    expect(hasTwoBlowers(option(two))).toBe(true)
    expect(allPieces(option(two)).map((p) => p.piece.name)).toEqual([
      'two blowers',
      'left filter',
      'left turbo',
      'right filter',
      'right turbo',
      'hot pipe',
      'core',
      'cold pipe',
      'plenum',
    ])
    expect(two[0]).toMatchObject({ mergedBore_mm: 60.3 })
    expect(withOneBlower(two)).toEqual(path)
  })

  it('gives each bank its own pipe and plenum and takes it back', () => {
    const two = withTwoBanks(path)
    expect(hasTwoBanks(option(two))).toBe(true)
    expect(two.map((p) => p.kind)).toEqual(['filter', 'blower', 'pipe', 'core', 'pair'])
    expect(withOneBank(two)).toEqual(path)
  })

  it('does both at once', () => {
    const both = withTwoBanks(withTwoBlowers(path))
    expect(hasTwoBlowers(option(both)) && hasTwoBanks(option(both))).toBe(true)
    expect(withOneBlower(withOneBank(both))).toEqual(path)
  })

  it('knows where the throttle stands', () => {
    expect(drawnThrough(option(path))).toBe(false)
    expect(drawnThrough(option([path[0]!, newPiece('throttle', 60, 'throttle'), ...path.slice(1)]))).toBe(true)
    expect(drawnThrough(option([...path.slice(0, 5), newPiece('throttle', 60, 'throttle'), path[5]!]))).toBe(false)
  })
})
