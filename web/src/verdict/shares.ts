import type { SharesView, SteadyView } from '../api/client'

export interface SharePart {
  name: string
  percent: number
  tone: 'heat' | 'wall' | 'cool' | 'cooler' | 'store' | 'air'
}

/** Where the resistance is, by what a fabricator can do about it. */
export function shareParts(s: SharesView, cooledBy: string, sink = 'radiator'): SharePart[] {
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
          { name: sink, percent: s.radiator_pct, tone: 'cooler' },
          { name: 'tank', percent: s.tank_pct, tone: 'store' },
        ]
  parts.push({ name: 'warmed air', percent: s.warmedAir_pct, tone: 'air' })
  return parts.filter((p) => p.percent >= 0.5)
}

/** @returns what stands at the end of a core's water: radiator, ice or chiller */
export function sinkName(steady: SteadyView | undefined, place: string | undefined): string {
  const loop = steady?.loops.find((l) => l.cores.some((c) => c.place === place))
  return !loop || loop.radiator ? 'radiator' : loop.iceLasts_s != null ? 'ice' : 'chiller'
}
