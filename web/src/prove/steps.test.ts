import { describe, expect, it } from 'vitest'
import type { StepView } from '../api/client'
import { sentences } from '../testing/sentences'
import { say } from '../verdict/say'
import { matchRows } from './matches'
import { byPart, onPaper } from './steps'
import { partsOnPaper } from './segments'
import { today } from './today'

const step = (part: StepView['part'], kind: StepView['kind'], of = '', values: Record<string, number> = {}): StepView => ({
  part,
  kind,
  of,
  to: '',
  values,
  says: '',
})

describe('lists from what was built', () => {
  const steps = [
    step('BEWARE', 'LEAK_ENERGY', '', { test: 95, volume: 8, energy: 1045, hammer: 106_600 }),
    step('CAPS', 'LEAK_CAP', 'screw blower', { size: 63, force: 296 }),
    step('BEWARE', 'LEAK_LIMIT', '', { limit: 200 }),
  ]

  it('are told part by part in the reader’s units, each line beginning as a sentence does', () => {
    const metric = byPart(steps, (s) => say(s, sentences, 'metric'))
    expect(metric.map((p) => p.part)).toEqual(['BEWARE', 'CAPS'])
    expect(metric[0]!.lines.map((l) => l.text)).toEqual([
      'Pumped to 95 kPa, the 8.0 L hold 1045 J: a cap that lets go strikes like a 1 kg hammer dropped from 107 m. Eyes and ears covered, nobody in line with a cap.',
      'Never above 200 kPa.',
    ])
    expect(metric[1]!.lines[0]!.text).toBe('Screw blower: a cap of 63 mm, pushed off with 296 N.')
    const us = byPart(steps, (s) => say(s, sentences, 'us'))
    // 8 L are 2.11 US gallons, 106.6 m 350 ft.
    expect(us[0]!.lines[0]!.text).toContain('the 2.11 gal hold')
    expect(us[0]!.lines[0]!.text).toContain('dropped from 350 ft')
  })

  it('have a box to tick on paper where something is done, and none where one is only warned', () => {
    const paper = onPaper(
      byPart(steps, (s) => s.kind),
      'Loop of core',
    )
    expect(paper.map((s) => [s.heading, s.ticked])).toEqual([
      ['Loop of core: before anything else', false],
      ['Loop of core: shut', true],
    ])
  })
})

it('days are written as they sort', () => {
  expect(today(new Date(2026, 4, 2, 23, 59))).toBe('2026-05-02')
})

it('measured beside predicted is told in the reader’s units, a difference with its sign', () => {
  const match = { channel: 'INTAKE' as const, words: 'intake', unit: '°C', measured: 59.6, predicted: 56.5, load: -3.1, rms: 1 }
  expect(matchRows([match], 'metric')).toEqual([['intake', '°C', '59.6', '56.5', '\u22123.1', '']])
  expect(matchRows([match], 'us')[0]!.slice(1, 5)).toEqual(['°F', '139.3', '133.7', '\u22125.6'])
})

it('parts of a drive on paper', () => {
  const part = {
    kind: 'PULL' as const,
    from_s: 65,
    to_s: 80,
    start_C: 40,
    lowest_C: 39,
    highest_C: 55.5,
    mean_C: 50,
    rate_K_s: 1,
    overTarget_s: 0,
    overTimingLine_s: 0,
  }
  expect(partsOnPaper([part], 'metric')[1]).toEqual(['pull', '1:05', '0:15', '40.0', '39.0', '55.5', '50.0'])
})
