// @vitest-environment node
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { FindingView, NoteView } from '../api/client'
import { sentences } from '../testing/sentences'
import { say, told } from './say'

interface Case {
  kind: FindingView['kind'] | NoteView['kind']
  of?: string
  figures: Record<string, [string, number, number]>
  metric: string
  us: string
}

/** The program words the same cases on the command line (formats, SentencesTest). */
const cases = JSON.parse(readFileSync('../formats/src/test/resources/sentence-cases.json', 'utf8')) as Case[]

describe('what was found of a run, and what is worth knowing of an answer', () => {
  it.each(cases)('is said in the reader\u2019s units: $metric', ({ kind, of, figures, metric, us }) => {
    const values = Object.fromEntries(Object.entries(figures).map(([name, [, , value]]) => [name, value]))
    expect(say({ kind, of, values }, sentences, 'metric')).toBe(metric)
    expect(say({ kind, of, values }, sentences, 'us')).toBe(us)
  })

  it('has every number with its unit, whichever a sentence asks for', () => {
    const asked = new Set(Object.values(sentences).flatMap((text) => [...text.matchAll(/\{\w+ (\w+)/g)].map((m) => m[1]!)))
    expect(asked).toContain('kW')
    for (const unit of asked) {
      const words = say({ kind: 'MEAN', values: { x: 7 } }, { MEAN: `{x ${unit} 0}` }, 'metric')
      expect([unit, /[^\d.]/.test(words)]).toEqual([unit, unit !== 'num'])
    }
  })

  it('stands in the order it was found, each in its place', () => {
    const finding = (part: FindingView['part'], kind: FindingView['kind'], values: Record<string, number>): FindingView => ({
      part,
      kind,
      values,
      says: '',
    })
    const findings = [
      finding('PARTICULARS', 'TARGET_KEPT', { target: 55 }),
      finding('SHAPE', 'FLAT_AND_HOLDS', {}),
      finding('PARTICULARS', 'MEAN', { mean: 47 }),
    ]
    expect(told(findings, 'PARTICULARS', sentences, 'metric')).toBe('Target 55 °C: never passed under load. Mean 47.0 °C.')
    expect(told(findings, 'BESIDE', sentences, 'metric')).toBe('')
  })
})
