import { describe, expect, it } from 'vitest'
import type { LegView } from '../api/client'
import { steadyView } from '../testing/steady'
import { usualPath } from '../testing/surface'
import type { Piece } from '../document/types'
import { newPiece } from '../document/pieces'
import { profile, ridge, sameStation, spans, weightOf } from './geometry'

const path = ['filter', 'blower', 'pipe', 'core', 'pipe', 'plenum'].map((kind) => ({ kind, name: kind, length_mm: 1000 })) as unknown as Piece[]
const frame = { width: 1280, left: 62, right: 1236, top: 12, bottom: 154, thickest: 32 }

describe('the charge line', () => {
  it('fills the width without gaps', () => {
    const places = spans(path.map(weightOf), 62, 1236)
    expect(places[0]![0]).toBe(62)
    expect(places.at(-1)![1]).toBeCloseTo(1236, 6)
    places.slice(1).forEach((p, i) => expect(p[0]).toBeCloseTo(places[i]![1], 9))
  })

  it.each(['filter', 'blower', 'pipe', 'core'])('leads a %s from its inlet to its outlet temperature', (kind) => {
    expect(profile(kind, 180, 50, 0)).toBeCloseTo(180, 9)
    expect(profile(kind, 180, 50, 1)).toBeCloseTo(50, 9)
    for (let s = 0.1; s <= 1; s += 0.1) expect(profile(kind, 180, 50, s)).toBeLessThanOrEqual(profile(kind, 180, 50, s - 0.1))
  })

  it('draws hot air higher than cold and stays inside its frame', () => {
    const shape = ridge(steadyView([34, 38, 187, 187, 49, 49, 49]), path, frame)
    expect(shape.y(187)).toBeLessThan(shape.y(49))
    for (const piece of shape.pieces) {
      for (const share of [0, 0.5, 1]) {
        expect(piece.middle(share) - piece.half(share)).toBeGreaterThanOrEqual(frame.top - 8)
        expect(piece.middle(share) + piece.half(share)).toBeLessThanOrEqual(frame.bottom + 8)
      }
    }
  })

  it('is thick where the bore is wide', () => {
    const shape = ridge(steadyView([34, 38, 187, 187, 49, 49, 49], [70, 70, 51, 51, 57, 63, 60]), path, frame)
    expect(shape.pieces[2]!.half(0.5)).toBeLessThan(shape.pieces[4]!.half(0.5))
  })

  it('puts numbers at the ends and at every turn, apart from each other', () => {
    const shape = ridge(steadyView([34, 38, 187, 187, 49, 49, 49]), path, frame)
    expect(shape.plumbs.map((p) => p.index)).toEqual([0, 2, 3, 4, 6])
    shape.plumbs.slice(1).forEach((p, i) => expect(p.x - shape.plumbs[i]!.x).toBeGreaterThan(80))
  })

  it('finds the same place in another answer by its name', () => {
    const now = steadyView([34, 38, 187, 187, 49, 49, 49])
    const bare = { ...now, stations: now.stations.filter((s) => s.name !== 'core out') }
    expect(sameStation(now, 4, bare)).toBeUndefined()
    expect(sameStation(now, 6, bare)?.name).toBe('plenum out')
    expect(sameStation(now, 2, bare)?.name).toBe('turbo out')
  })

  it('gives a short pipe less room than a long one', () => {
    const short = { ...path[2], length_mm: 80 } as Piece
    expect(weightOf(short)).toBeLessThan(weightOf(path[2]!) / 2)
  })

  it('has a ghost only for the same pieces', () => {
    const now = steadyView([34, 38, 187, 187, 49, 49, 49])
    const was = steadyView([34, 38, 188, 188, 82, 82, 82])
    expect(ridge(now, path, frame, was).ghost).not.toBe('')
    expect(ridge(now, path, frame, was).ghostEnd).toBe(82)
    expect(ridge(now, path, frame, { ...was, pieces: was.pieces.slice(1) }).ghost).toBe('')
  })

  it('draws a pair as two bands that part and join again', () => {
    const steady = steadyView([34, 38, 187, 187, 49, 49, 49])
    const leg = (name: string, bore: number) => ({
      name,
      share_pct: 50,
      flow_kg_s: 0.06,
      splitLoss_kPa: 0.1,
      mergeLoss_kPa: 0.1,
      stations: [steady.stations[4]!, { ...steady.stations[5]!, bore_mm: bore }],
      pieces: [{ ...steady.pieces[4]!, kind: 'pipe', name: `${name} pipe` }],
    })
    steady.pieces[4] = { ...steady.pieces[4]!, kind: 'pair', legs: [leg('left', 40), leg('right', 40)] }
    const withPair = [...path.slice(0, 4), newPiece('pair', 57, 'pair'), ...path.slice(5)]
    const pair = ridge(steady, withPair, frame).pieces[4]!
    expect(pair.legs.map((l) => l.share_pct)).toEqual([50, 50])
    expect(pair.legs[0]!.body).not.toBe(pair.legs[1]!.body)
    expect(pair.legs[0]!.stops).toHaveLength(11)
  })

  it('takes the ghost through a pair as its first leg goes, not straight across', () => {
    const answer = (hot: number) => {
      const steady = steadyView([20, 20, hot, hot, 50, 50, 50])
      const station = (t: number) => ({ ...steady.stations[0]!, temperature_C: t })
      const leg = (name: string) => ({
        ...({} as LegView),
        name,
        share_pct: 50,
        stations: [20, 20, hot, hot].map(station),
        pieces: steady.pieces.slice(0, 3),
      })
      return {
        ...steady,
        stations: [0, 3, 4, 5, 6].map((i) => steady.stations[i]!),
        pieces: [{ ...steady.pieces[0]!, kind: 'pair', legs: [leg('left'), leg('right')] }, ...steady.pieces.slice(3)],
      }
    }
    const way = usualPath()
    const pair = { kind: 'pair', name: 'two turbos', legs: ['left', 'right'].map((name) => ({ name, path: way.slice(0, 3) })) } as Piece
    const drawn = ridge(answer(170), [pair, ...way.slice(3)], frame, answer(150))
    const ys = [...drawn.ghost.matchAll(/[ML]([\d.]+),([\d.]+)/g)].map((m) => Number(m[2]))
    expect(ys[4], 'still cool in the filter').toBeCloseTo(drawn.y(20), 0)
    expect(ys[22], 'hot behind the turbo').toBeCloseTo(drawn.y(150), 0)
  })
})
