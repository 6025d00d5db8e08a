import type { Segment } from '../api/client'
import { figure, type UnitSystem } from '../quantity/catalogue'
import { clock } from '../quantity/time'

/** Parts of a drive as people say them. */
export const KINDS: Record<Segment['kind'], string> = {
  OFF: 'engine off',
  IDLE: 'idling',
  CRUISE: 'cruise',
  PULL: 'pull',
  LAP: 'lap',
}

/** Parts of a drive on paper at most. */
const ON_PAPER = 400

/** @returns the parts as rows of a table */
export function partsOnPaper(segments: Segment[], units: UnitSystem): string[][] {
  const t = (v: number) => figure(v, 'C', units).figure
  return [
    ['part', 'begins', 'lasts', 'starts at', 'lowest', 'highest', `mean, ${figure(0, 'C', units).unit}`],
    ...segments
      .slice(0, ON_PAPER)
      .map((s) => [KINDS[s.kind], clock(s.from_s), clock(s.to_s - s.from_s), t(s.start_C), t(s.lowest_C), t(s.highest_C), t(s.mean_C)]),
  ]
}
