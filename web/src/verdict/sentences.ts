import type { NoteView, SharesView, SteadyView, VerdictView } from '../api/client'
import type { BuildDocument } from '../document/types'
import { spoken, type UnitSystem } from '../quantity/catalogue'
import { clock, span } from '../quantity/time'

/** What a run says, as a fabricator would. */
export function headline(v: VerdictView, document: BuildDocument, system: UnitSystem): string {
  const says = ending(v, document, system)
  return v.limitedFrom_s == null ? says : `${says.slice(0, -1)}, but the blower falls short of the boost.`
}

function ending(v: VerdictView, document: BuildDocument, system: UnitSystem): string {
  if (v.outcome === 'NEVER_RUNS') return 'The engine never runs in this duty.'
  const worst = spoken(v.worst_C!, 'C', system, 0)
  const climbing = v.stillClimbing ? ', still climbing' : ''
  if (v.outcome === 'HOLDS') return document.duty.repeats > 1 ? `Holds ${worst} through all ${document.duty.repeats} runs.` : `Holds ${worst} to the end${climbing}.`
  if (v.outcome === 'OVER_TARGET') return `Over the target after ${clock(v.firstOverTarget_s!)}; tops out at ${worst}${climbing}.`
  return `The ECU pulls timing after ${clock(v.firstOverTiming_s!)}; it reaches ${worst}${climbing}.`
}

/** The figures behind the headline. */
export function particulars(v: VerdictView, document: BuildDocument, system: UnitSystem): string {
  if (v.outcome === 'NEVER_RUNS') return 'Give the duty some engine speed in the Brief.'
  const target = spoken(document.targets.intake_C, 'C', system, 0)
  const line = spoken(document.targets.timingPull_C, 'C', system, 0)
  const over = v.overTarget_s > 0 ? `${span(v.overTarget_s)} above it` : 'never passed'
  const timing = v.overTiming_s > 0 ? `${span(v.overTiming_s)} above the timing line at ${line}` : `the timing line at ${line} is never reached`
  const limited = v.limitedFrom_s == null ? '' : ` From ${clock(v.limitedFrom_s)} on the blower gives less than asked for at times.`
  return `Target ${target}: ${over}; ${timing}. Mean ${spoken(v.mean_C!, 'C', system)}.${limited}`
}

export interface SharePart {
  name: string
  percent: number
  tone: 'heat' | 'wall' | 'cool' | 'cooler'
}

/** Where the resistance is, by what a fabricator can do about it. */
export function shareParts(s: SharesView, cooledBy: string): SharePart[] {
  const cold = s.coldFilm_pct + s.coldFlow_pct
  const parts: SharePart[] =
    cooledBy === 'air'
      ? [
          { name: 'charge', percent: s.charge_pct, tone: 'heat' },
          { name: 'wall', percent: s.wall_pct, tone: 'wall' },
          { name: 'cooling air', percent: cold, tone: 'cool' },
        ]
      : [
          { name: 'charge', percent: s.charge_pct, tone: 'heat' },
          { name: 'wall', percent: s.wall_pct, tone: 'wall' },
          { name: 'water', percent: cold, tone: 'cool' },
          { name: 'radiator', percent: s.radiator_pct, tone: 'cooler' },
        ]
  return parts.filter((p) => p.percent >= 0.5)
}

/** The reason in one sentence, from the largest share. */
export function reason(s: SharesView, cooledBy: string): string {
  const largest = shareParts(s, cooledBy).reduce((a, b) => (b.percent > a.percent ? b : a))
  const percent = `${largest.percent.toFixed(0)} % of the way from charge to outside air`
  if (largest.name === 'cooling air') {
    return s.coldFlow_pct > s.coldFilm_pct
      ? `There is too little cooling air for the heat: ${percent}. More air through the face does more than a bigger core.`
      : `The cooling air side is ${percent}. More air, or more fin on that side, does most.`
  }
  if (largest.name === 'water') {
    return s.coldFlow_pct > s.coldFilm_pct
      ? `Too little water flows: ${percent}. Bigger bores or a stronger pump do most.`
      : `The water side of the core is ${percent}. More water flow does most.`
  }
  if (largest.name === 'radiator') return `The radiator is ${percent}. More face, or more air through it, does most.`
  return `The charge side is ${percent}. More core does most${largest.percent > 60 ? '; more cooling does little' : ''}.`
}

/** Things worth knowing about the charge line. */
export function noteLine(note: NoteView, steady: SteadyView, system: UnitSystem): string {
  const piece = steady.pieces[note.piece]!.name
  const times = (v: number) => `${v.toFixed(2)} times`
  switch (note.kind) {
    case 'MACH_COSTLY':
      return `${piece}: Mach ${note.value.toFixed(2)}; above 0.30 losses grow steeply.`
    case 'MACH_BEYOND_FORMULAS':
      return `${piece}: Mach ${note.value.toFixed(2)}; above 0.40 the loss formulas no longer hold. Take a larger bore.`
    case 'AREA_STEP':
      return `${piece}: the bore's area steps ${note.value > 0 ? 'up' : 'down'} by ${Math.abs(100 * note.value).toFixed(0)} % at its inlet. Over 15\u00a0% wants a cone; the step's own loss is not counted.`
    case 'CHARGE_FLOW_BEYOND_CARD':
      return `${piece}: the charge flow is ${times(note.value)} that of the rating card; trusted from 0.3 to 1.8.`
    case 'COLD_FLOW_BEYOND_CARD':
      return `${piece}: the cooling flow is ${times(note.value)} that of the rating card; trusted from 0.3 to 1.8.`
    case 'SIZE_BEYOND_CARD':
      return `${piece}: its volume is ${times(note.value)} that of the rating card; trusted from 0.5 to 2.`
    case 'EFFICIENCY_UNUSUAL':
      return `${piece}: ${(100 * note.value).toFixed(0)} % efficiency lies outside what is usual for its type (${(100 * note.limit).toFixed(0)} %).`
    case 'BLOWER_LIMITED':
      return `${piece}: it cannot make ${spoken(note.limit / 1000, 'kPa', system)} of boost here; it gives ${spoken(note.value / 1000, 'kPa', system)}.`
  }
}
