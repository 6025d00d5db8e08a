import type { FindingView, FitFinding, LogFinding, NoteView, StepView } from '../api/client'
import { spoken, type UnitSystem } from '../quantity/catalogue'
import { clock, span } from '../quantity/time'

const PLACE = /\{(\w+)(?: (\w+)(?: (\d))?|\?([^}]*)|=([^}]*))?\}/g

/** Words what was found of a run or an answer in the reader's units; the sentences and what is filled into them are the program's (formats, Sentences). */
export function say(
  finding: {
    kind: FindingView['kind'] | NoteView['kind'] | FitFinding['kind'] | LogFinding['kind'] | StepView['kind']
    values: Record<string, number>
    of?: string
    to?: string
  },
  sentences: Record<string, string>,
  system: UnitSystem,
): string {
  return (sentences[finding.kind] ?? '').replace(PLACE, (_, name: string, unit?: string, digits?: string, when?: string, choices?: string) => {
    if (name === 'of') return finding.of ?? ''
    if (name === 'to') return finding.to ?? ''
    const value = finding.values[name]!
    if (when !== undefined) return value === 0 ? '' : when
    if (choices !== undefined) return choices.split('/')[value]!
    switch (unit) {
      case 'C':
        return spoken(value, 'C', system, Number(digits ?? 0))
      case 'pct':
        return `${value.toFixed(Number(digits ?? 0))} %`
      case 'clock':
        return clock(value)
      case 'span':
        return span(value)
      case 'mass':
        return value < 1 ? `${Number((1000 * value).toPrecision(2))} g` : `${value.toFixed(1)} kg`
      case 'm':
        return spoken(value / 1000, 'm', system)
      case 'K':
      case 'L':
      case 'kPa':
      case 'Pa':
      case 'mm':
      case 'm_s':
      case 'L_min':
      case 'N':
      case 'MPa':
      case 'Hz':
      case 'kW':
        return spoken(value, unit, system, system === 'us' ? undefined : Number(digits ?? 0))
      case 'deg':
        return `${value.toFixed(Number(digits ?? 0))}°`
      case 'rpm':
        return `${value.toFixed(0)} rpm`
      case 'num':
        return value.toFixed(Number(digits ?? 0))
      default:
        return value.toFixed(0)
    }
  })
}

/** All that a verdict says in one place, as one text. */
export function told(findings: FindingView[], part: FindingView['part'], sentences: Record<string, string>, system: UnitSystem): string {
  return findings
    .filter((f) => f.part === part)
    .map((f) => say(f, sentences, system))
    .join(' ')
}
