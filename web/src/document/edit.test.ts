import { describe, expect, it } from 'vitest'
import { apply, at, freeLetter, touched } from './edit'
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

  it('take a value out', () => {
    expect(apply(document, [{ pointer: '/climate/barometer_kPa', value: undefined }]).climate).toEqual({ airTemperature_C: 25 })
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
})
