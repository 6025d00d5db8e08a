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
  if (soak.metal.along > 0) lines.push({ key: 'metal', name: 'core metal, mean', values: meanMetal(soak), always: true, tone: 'ink', often: false })
  if (soak.metal.along > 0) lines.push({ key: 'before', name: 'before core', values: t.coreIn_C, always: false, tone: 'heat', often: true })
  if (t.cold)
    lines.push({
      key: 'coldOut',
      name: t.cold.byWater ? 'water behind the core' : 'air behind the core',
      values: t.cold.out_C,
      always: true,
      tone: 'cool',
      often: false,
    })
  if (t.cold && !(t.layers.length && !t.cold.byWater))
    lines.push({
      key: 'airIn',
      name: t.cold.byWater ? 'air before the radiator' : 'air before the core',
      values: t.cold.airIn_C,
      always: true,
      tone: 'cool',
      often: false,
    })
  if (t.cold?.byWater) lines.push({ key: 'tank', name: 'water leaving the tank', values: t.cold.tank_C, always: true, tone: 'cool', often: false })
  lines.push({ key: 'sensor', name: 'sensor', values: t.shown_C, always: true, tone: 'ink', often: true })
  if (document.bay) lines.push({ key: 'bay', name: 'bay', values: t.bay_C, always: true, tone: 'heat', often: true })
  t.layers.forEach((l, i) => {
    const of = l.kind === 'RADIATOR' ? `radiator of the ${l.name}` : l.name
    lines.push({ key: `layerIn${i}`, name: `air before ${of}, ${l.way}`, values: l.in_C, always: true, tone: 'cool', often: false })
    lines.push({ key: `layerOut${i}`, name: `air behind ${of}, ${l.way}`, values: l.out_C, always: true, tone: 'heat', often: false })
  })
  t.stations.forEach((s, i) => lines.push({ key: `station${i}`, name: s.name, values: s.temperature_C, always: false, tone: 'ink', often: false }))
  t.walls.forEach((w, i) =>
    lines.push({ key: `wall${i}`, name: `${w.name}, its wall`, values: w.temperature_C, always: true, tone: 'ink', often: false }),
  )
  return lines
}

/** Mean of the core's metal at the trace's times, straight between its pictures. */
function meanMetal(soak: SoakView): number[] {
  const { time_s, cells_C } = soak.metal
  const means = cells_C.map((cells) => cells.reduce((sum, t) => sum + t, 0) / cells.length)
  let k = 0
  return soak.trace.time_s.map((t) => {
    while (k < time_s.length - 2 && time_s[k + 1]! < t) k++
    const from = time_s[k]!
    const to = time_s[k + 1] ?? from
    const share = to > from ? Math.min(Math.max((t - from) / (to - from), 0), 1) : 0
    return means[k]! + share * ((means[k + 1] ?? means[k]!) - means[k]!)
  })
}
