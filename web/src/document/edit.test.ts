import { describe, expect, it } from 'vitest'
import { apply, at, freeLetter, Gone, identified, identity, named, prepared, touched } from './edit'
import type { BuildDocument } from './types'

const document = {
  name: 'Bench',
  climate: { airTemperature_C: 25, barometer_kPa: 99 },
  options: [
    { letter: 'A', name: 'first', boost_kPa: 90, path: [{ kind: 'plenum', name: 'plenum', bore_mm: 60 }] },
    { letter: 'C', name: 'third', boost_kPa: 80, path: [] },
  ],
} as unknown as BuildDocument

describe('edits by pointer', () => {
  it('change a copy and leave the document alone', () => {
    const next = apply(document, [{ pointer: '/options/0/path/0/bore_mm', value: 70 }])
    expect(at(next, '/options/0/path/0/bore_mm')).toBe(70)
    expect(at(document, '/options/0/path/0/bore_mm')).toBe(60)
  })

  it('share what they do not touch, and change nothing of the document itself', () => {
    const frozen = <T>(value: T): T => {
      if (value !== null && typeof value === 'object') Object.values(Object.freeze(value)).forEach(frozen)
      return value
    }
    const before = frozen(
      structuredClone({
        ...document,
        room: {
          datum: '',
          carriers: [],
          obstacles: [
            { id: 'r1', name: 'bar' },
            { id: 'r2', name: 'fan' },
          ],
        },
      }),
    )
    const next = apply(before as unknown as BuildDocument, [
      { pointer: '/options/#A/path/0/bore_mm', value: 70 },
      { pointer: '/options/#A/path/0/wall/thickness_mm', value: 2 },
      { list: '/options/#C/stands', put: { id: 's1', of: 'core' } },
      { row: '/room/obstacles/#r1', behind: '#r2'.slice(1) },
      { row: '/options/#C/path/#gone', out: true },
    ])
    expect(next.climate).toBe(before.climate)
    expect(at(next, '/options/0/path/0')).toEqual({ kind: 'plenum', name: 'plenum', bore_mm: 70, wall: { thickness_mm: 2 } })
    expect(at(next, '/options/1/path')).toBe(before.options[1]!.path)
    expect(at(next, '/options/1/stands')).toEqual([{ id: 's1', of: 'core' }])
    expect((at(next, '/room/obstacles') as { name: string }[]).map((o) => o.name)).toEqual(['fan', 'bar'])
    expect(at(next, '/room/obstacles/1')).toBe(before.room.obstacles[0])
    expect(at(before, '/options/0/path/0/bore_mm')).toBe(60)
  })

  it('take a value out', () => {
    const { climate } = apply(document, [{ pointer: '/climate/barometer_kPa', value: undefined }])
    expect(Object.keys(climate)).toEqual(['airTemperature_C'])
  })

  it('find nothing where there is nothing', () => {
    expect(at(document, '/options/7/name')).toBeUndefined()
    expect(at(document, '')).toBe(document)
  })

  it('know which options they can change', () => {
    expect(touched(document, [{ pointer: '/options/1/boost_kPa', value: 1 }])).toEqual(['C'])
    expect(touched(document, [{ pointer: '/climate/airTemperature_C', value: 1 }])).toBeUndefined()
    expect(touched(document, [{ pointer: '/options', value: [] }])).toBeUndefined()
  })

  it('give the first free letter', () => {
    expect(freeLetter(document.options)).toBe('B')
  })

  it('name what they change by identity, whatever was put in before it', () => {
    const start = apply(document, [{ list: '/options/#C/path', put: { id: 'p1', kind: 'pipe', name: 'hot', bends: [{ id: 'b1', angle_deg: 90 }] } }])
    const later = apply(start, [{ list: '/options/#C/path', put: { id: 'p2', kind: 'pipe', name: 'before' }, behind: null }])
    const turned = apply(later, [{ pointer: '/options/#C/path/#p1/bends/#b1/angle_deg', value: 45 }])
    expect(at(turned, '/options/#C/path/1/bends/0/angle_deg')).toBe(45)
    expect(named(later, '/options/1/path/1/bends/0/angle_deg')).toBe('/options/#C/path/#p1/bends/#b1/angle_deg')
    expect(named(later, '/options/1/boost_kPa')).toBe('/options/#C/boost_kPa')
  })

  it('put in, move and take out rows by their neighbours', () => {
    const rows = (...edits: Parameters<typeof apply>[1]) => {
      const list = ['a', 'b', 'c'].map((id) => ({ id }))
      return (at(apply({ ...document, options: [{ ...document.options[0]!, path: list as never }] }, edits), '/options/#A/path') as { id: string }[])
        .map((r) => r.id)
        .join('')
    }
    const list = '/options/#A/path'
    expect(rows({ list, put: { id: 'x' } })).toBe('abcx')
    expect(rows({ list, put: { id: 'x' }, behind: null })).toBe('xabc')
    expect(rows({ list, put: { id: 'x' }, behind: 'a' })).toBe('axbc')
    expect(rows({ list, put: { id: 'x' }, behind: 'gone' })).toBe('abcx')
    expect(rows({ list, put: { id: 'b' } }), 'made twice it comes to the same').toBe('abc')
    expect(rows({ row: `${list}/#b`, out: true })).toBe('ac')
    expect(rows({ row: `${list}/#z`, out: true }), 'gone already').toBe('abc')
    expect(rows({ row: `${list}/#c`, behind: null })).toBe('cab')
    expect(rows({ row: `${list}/#a`, behind: 'b' })).toBe('bac')
  })

  it('are refused when what they speak of is gone', () => {
    expect(() => apply(document, [{ pointer: '/options/#A/path/#gone/bore_mm', value: 1 }])).toThrow(Gone)
    expect(() => apply(document, [{ row: '/options/#A/path/#gone', behind: null }])).toThrow(Gone)
    expect(() => apply(document, [{ pointer: '/options/#Z/boost_kPa', value: 1 }])).toThrow(Gone)
  })

  it('give what they bring an identity once', () => {
    const [edit] = prepared([{ list: '/options/#A/path', put: { kind: 'pipe', bends: [{ angle_deg: 90 }, { angle_deg: 45 }] } }])
    const once = apply(document, [edit!])
    expect(apply(document, [edit!])).toEqual(once)
    const bends = (once.options[0]!.path[1] as unknown as { bends: { id: string }[] }).bends
    expect(new Set(bends.map((b) => b.id)).size).toBe(2)
    expect(identified(once)).toEqual(once.options.length ? expect.objectContaining({ name: 'Bench' }) : {})
  })

  it('write the whole document under an empty pointer', () => {
    expect(apply(document, [{ pointer: '', value: { name: 'Other' } }])).toEqual({ name: 'Other' })
  })

  it('make on the way what a file leaves out, objects and lists, never rows', () => {
    const bare = { name: 'Bench', climate: null, options: document.options } as unknown as BuildDocument
    expect(at(apply(bare, [{ pointer: '/climate/air/humidity_pct', value: 40 }]), '/climate')).toEqual({ air: { humidity_pct: 40 } })
    expect(at(apply(bare, [{ list: '/options/#C/airWays', put: { id: 'w1' } }]), '/options/#C/airWays')).toEqual([{ id: 'w1' }])
    expect(() => apply(bare, [{ pointer: '/options/7/boost_kPa', value: 1 }])).toThrow(Gone)
    expect(() => apply(bare, [{ pointer: '/options/#A/path/#gone', value: {} }])).toThrow(Gone)
  })

  it('tell rows by id or letter and nothing else', () => {
    expect(identity({ id: 'p1', letter: 'B' })).toBe('p1')
    expect(identity({ id: 5, letter: 'B' })).toBe('B')
    for (const none of [null, undefined, 'p1', 7, {}, { id: 5 }, { letter: 1 }]) expect(identity(none)).toBeUndefined()
    expect(at({ a: null, b: 'text' }, '/a/length')).toBeUndefined()
    expect(at({ a: null, b: 'text' }, '/b/length')).toBeUndefined()
    expect(at({ a: { b: 1 } }, '/a/#b'), 'no list').toBeUndefined()
  })

  it('put a row in once, one without identity as often as asked', () => {
    const put = (row: object) => at(apply(document, [{ list: '/options', put: row }]), '/options') as object[]
    expect(put({ letter: 'A' })).toHaveLength(2)
    expect(put({ letter: 'B' })).toHaveLength(3)
    const two = apply(document, [
      { list: '/notes', put: { words: 'one' } },
      { list: '/notes', put: { words: 'two' } },
    ])
    expect(at(two, '/notes')).toEqual([{ words: 'one' }, { words: 'two' }])
  })

  it('give identities to rows alone, and to those that have none', () => {
    const given = identified({ list: [null, 'text', 3, { id: 'kept' }, { letter: 'B' }, { rows: [{ x: 1 }] }] })
    expect(given.list.slice(0, 5)).toEqual([null, 'text', 3, { id: 'kept' }, { letter: 'B' }])
    expect(given.list[5]).toEqual({ id: expect.stringMatching(/^n[a-z2-9]{8}$/), rows: [{ id: expect.any(String), x: 1 }] })
    expect(prepared([{ row: '/options/#A', out: true }])).toEqual([{ row: '/options/#A', out: true }])
    expect(prepared([{ pointer: '/name', value: 'New' }])).toEqual([{ pointer: '/name', value: 'New' }])
  })

  it('know which options lists and rows of theirs can change', () => {
    expect(touched(document, [{ list: '/options', put: { letter: 'B' } }])).toEqual(['B'])
    expect(touched(document, [{ row: '/options/#A', out: true }]), 'an option taken out changes none').toEqual([])
    expect(touched(document, [{ row: '/options/#A/path/#p1', out: true }])).toEqual(['A'])
    expect(touched(document, [{ list: '/leakTests', put: { id: 'l1' } }]), 'no answer hangs on what is only written down').toEqual([])
    expect(touched(document, [{ pointer: '/changes/#c1/cost', value: 3 }])).toEqual([])
    expect(touched(document, [{ pointer: '/fitted', value: undefined }]), 'every answer stands on a fit').toBeUndefined()
    expect(touched(document, [{ list: '/options/#C/path', put: { id: 'x' } }])).toEqual(['C'])
    expect(touched(document, [{ list: '/duty/rows', put: { id: 'x' } }])).toBeUndefined()
    expect(touched(document, [{ pointer: '/options/9/name', value: '' }])).toBeUndefined()
  })
})
