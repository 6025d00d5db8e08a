import type { Match } from '../api/client'
import { change, figure, type UnitSystem } from '../quantity/catalogue'
import { unitOf } from './channels'

/** @returns a channel's figure as the reader wants it; a difference with its sign */
function shownIn(m: Match, value: number | null | undefined, units: UnitSystem, difference = false): string {
  if (value == null) return ''
  const unit = unitOf(m.unit)
  if (!unit) return value.toFixed(1)
  if (difference) return change(value, unit === 'C' ? 'K' : unit, units) || '0'
  return figure(value, unit, units).figure
}

export const MATCH_HEADS = ['channel', 'unit', 'measured', 'predicted', 'predicted less measured', 'without load']

/** @returns measured beside predicted, a row for each channel */
export const matchRows = (matches: readonly Match[], units: UnitSystem): string[][] =>
  matches.map((m) => {
    const unit = unitOf(m.unit)
    return [
      m.words,
      unit ? figure(0, unit, units).unit : m.unit,
      shownIn(m, m.measured, units),
      shownIn(m, m.predicted, units),
      shownIn(m, m.load, units, true),
      shownIn(m, m.rest, units, true),
    ]
  })
