import type { SoakView } from '../api/client'
import type { BuildDocument } from '../document/types'

/** A temperature that may be drawn beside the intake's. */
export interface ExtraLine {
  key: string
  name: string
  values: number[]
  /** Also while the engine stands. */
  always: boolean
  tone: 'heat' | 'cool' | 'ink'
  /** Asked for often enough to stand in sight. */
  often: boolean
}

/** Everything a run knows beside the intake: before the core, what the sensor shows, the bay, every station, every wall. */
export function extraLines(soak: SoakView, document: BuildDocument): ExtraLine[] {
  const t = soak.trace
  const lines: ExtraLine[] = []
  if (soak.metal.along > 0) lines.push({ key: 'before', name: 'before core', values: t.coreIn_C, always: false, tone: 'heat', often: true })
  lines.push({ key: 'sensor', name: 'sensor', values: t.shown_C, always: true, tone: 'ink', often: true })
  if (document.bay) lines.push({ key: 'bay', name: 'bay', values: t.bay_C, always: true, tone: 'heat', often: true })
  t.stations.forEach((s, i) => lines.push({ key: `station${i}`, name: s.name, values: s.temperature_C, always: false, tone: 'ink', often: false }))
  t.walls.forEach((w, i) => lines.push({ key: `wall${i}`, name: `${w.name}, its wall`, values: w.temperature_C, always: true, tone: 'ink', often: false }))
  return lines
}
