import type { NoteView, PieceView, SharesView, SteadyView } from '../api/client'
import { spoken, type UnitSystem } from '../quantity/catalogue'
import { span } from '../quantity/time'

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
  const loop = steady?.loops.find((l) => l.place === place)
  return !loop || loop.radiator ? 'radiator' : loop.iceLasts_s != null ? 'ice' : 'chiller'
}

/** @returns the name of the piece at a place of the answer */
export function pieceName(steady: SteadyView, place: string): string {
  const find = (pieces: PieceView[]): PieceView | undefined => {
    for (const p of pieces) {
      if (p.place === place) return p
      for (const leg of p.legs) {
        const found = find(leg.pieces)
        if (found) return found
      }
    }
    return undefined
  }
  const layers = steady.airWays.flatMap((w) => w.layers)
  const cold =
    steady.loops.flatMap((l) => l.pieces).find((p) => p.place === place) ??
    layers.find((l) => l.place === place) ??
    steady.airWays.find((w) => w.place === place)
  const loop = steady.loops.find((l) => `${l.place}/water` === place)
  if (cold) return cold.name
  if (loop) return `${loop.core}, water`
  return find(steady.pieces)?.name ?? (place === '/engine' ? 'engine' : 'blower')
}

/** Things worth knowing about the charge line. */
export function noteLine(note: NoteView, steady: SteadyView, system: UnitSystem): string {
  const piece = pieceName(steady, note.place)
  const times = (v: number) => `${v.toFixed(2)} times`
  const percent = (v: number) => `${(100 * v).toFixed(0)}\u00a0%`
  switch (note.kind) {
    case 'MACH_COSTLY':
      return `${piece}: Mach ${note.value.toFixed(2)}; above 0.30 losses grow steeply.`
    case 'MACH_BEYOND_FORMULAS':
      return `${piece}: Mach ${note.value.toFixed(2)}; above 0.40 the loss formulas no longer hold. Take a larger bore.`
    case 'AREA_STEP':
      return `${piece}: the bore's area steps ${note.value > 0 ? 'up' : 'down'} by ${percent(Math.abs(note.value))} at its inlet. Over 15\u00a0% wants a cone; as a step it is counted.`
    case 'BENDS_CLOSE':
      return `${piece}: its bends stand ${note.value.toFixed(1)} bores apart; under 5 they disturb each other and may cost up to a quarter more.`
    case 'PAIR_TOO_SMALL':
      return `${piece}: the two pipes together have ${percent(note.value / note.limit)} of the area of the one they replace.`
    case 'LEGS_UNEQUAL':
      return `${piece}: the legs carry unequal flow, ${percent(note.value)} off half and half.`
    case 'CHARGE_FLOW_BEYOND_CARD':
      return `${piece}: the charge flow is ${times(note.value)} that of the rating card; trusted ${note.value < note.limit ? 'from' : 'to'} ${note.limit.toFixed(1)}.`
    case 'COLD_FLOW_BEYOND_CARD':
      return `${piece}: the cooling flow is ${times(note.value)} that of the rating card; trusted ${note.value < note.limit ? 'from' : 'to'} ${note.limit.toFixed(1)}.`
    case 'SIZE_BEYOND_CARD':
      return `${piece}: its volume is ${times(note.value)} that of the rating card; trusted from 0.5 to 2.`
    case 'CARD_POINTS_DISAGREE':
      return `${piece}: the points of its rating card disagree by up to ${percent(note.value)}. One of them may be misread.`
    case 'CHARGE_FIN_BEYOND_RANGE':
      return `${piece}: Reynolds number ${note.value.toFixed(0)} between the charge fins lies outside what their formula was measured for.`
    case 'COLD_FIN_BEYOND_RANGE':
      return `${piece}: Reynolds number ${note.value.toFixed(0)} between the cooling fins lies outside what their formula was measured for.`
    case 'UNEVEN_FEED':
      return `${piece}: its tanks feed the passages unevenly, ${percent(note.value)} off the mean. A larger port, a deeper tank or a divided inlet helps.`
    case 'CONDENSATE':
      return `${piece}: ${(3600 * note.value).toFixed(2)} kg of water an hour comes out of the charge inside; its dew point there is ${spoken(note.limit - 273.15, 'C', system, 0)}. Give it a drain.`
    case 'EFFICIENCY_UNUSUAL':
      return `${piece}: ${percent(note.value)} efficiency lies outside what is usual for its type (${percent(note.limit)}).`
    case 'BLOWER_LIMITED':
      return `${piece}: it cannot make ${spoken(note.limit / 1000, 'kPa', system)} of boost here; it gives ${spoken(note.value / 1000, 'kPa', system)}.`
    case 'SURGE':
      return note.value < 0
        ? `${piece}: left of the surge line by ${percent(-note.value)} of flow. It would surge here.`
        : `${piece}: only ${percent(note.value)} of flow away from surge.`
    case 'CHOKE':
      return `${piece}: beyond the choke end of its map. Its efficiency there is not measured.`
    case 'BELOW_MAP':
      return `${piece}: slower than the slowest line of its map; the efficiency of that line is used.`
    case 'ABOVE_MAP':
      return `${piece}: above the fastest line of its map.`
    case 'LOOP_LAMINAR':
      return `${piece}: the water creeps through it, Reynolds number ${note.value.toFixed(0)}; below 2300 it carries little heat. Less glycol, warmer water or more flow.`
    case 'LOOP_STRANGLED':
      return `${piece}: it alone takes ${percent(note.value)} of what the pump gives. The smallest bore rules the loop.`
    case 'LOOP_FAST':
      return `${piece}: the water runs at ${spoken(note.value, 'm_s', system)}; above ${spoken(note.limit, 'm_s', system, 0)} it costs much. A bigger bore is the cure.`
    case 'PUMP_BEYOND_CURVE':
      return `${piece}: it works beyond the last point of its curve, at ${spoken(note.value * 60e3, 'L_min', system)}. What it gives there is drawn out, not measured.`
    case 'PUMP_STALLED':
      return `${piece}: next to nothing flows. The pump stands, or cannot lift the water to the outfall.`
    case 'PORTS_WASH_PART':
      return `${piece}: its water ports wash only about ${percent(note.value)} of it. Opposite corners reach all; common practice, no source.`
    case 'FED_FROM_TOP':
      return `${piece}: fed from the top it never fills. Bring the water in below and take it out above.`
    case 'LOOP_HIGH_SPOT':
      return note.value <= note.limit
        ? `${piece}: it stands ${spoken(1000 * note.value, 'mm', system)} above the cap. It stays full while the pump runs, but a pin-hole there drains it back.`
        : `${piece}: it stands ${spoken(1000 * note.value, 'mm', system)} above the cap and will hold air. Raise the header, or give it a bleed.`
    case 'LOOP_WITHOUT_TANK':
      return `${piece}: nothing in this loop takes air and expansion. It wants a header with a cap at its highest place.`
    case 'COOLANT_FREEZES':
      return `${piece}: it is ${spoken(note.value - 273.15, 'C', system, 0)} outside and the coolant freezes at ${spoken(note.limit - 273.15, 'C', system, 0)}. More glycol, or drain it.`
    case 'ICE_LASTS':
      return `${piece}: held at full load the ice is gone after ${span(note.value)}.`
    case 'CHILLER_CUT_OUT':
      return `${piece}: from ${spoken(note.limit / 1000, 'kPa', system)} of boost the compressor is cut out. Full load runs on what was chilled before.`
    case 'LOOP_WARMS':
      return `${piece}: nothing takes the heat for good. The line shows the start; the water warms by ${spoken(60 * note.value, 'K', system)} a minute.`
    case 'SWEATS':
      return `${piece}: hoses and core stand at ${spoken(note.value - 273.15, 'C', system, 0)}, under the outside dew point of ${spoken(note.limit - 273.15, 'C', system, 0)}. They drip.`
    case 'OPENING_WALLED':
      return `${piece}: only ${percent(note.value)} of the opening is free. What stands before it is a wall.`
    case 'AIR_BYPASS':
      return `${piece}: ${percent(note.value)} of the air goes round the stack. Foam and sheet at its sides keep it in.`
    case 'FAN_AGAINST':
      return `${piece}: the fan blows against the road wind. Turn it, or swap its leads if it is made for that.`
    case 'WIND_AGAINST':
      return `${piece}: the wind presses harder at the exit than at the opening, by ${spoken(-note.value, 'Pa', system)}. Move the exit to where it sucks, or the opening into the wind.`
    case 'EXIT_STRANGLES':
      return `${piece}: the air has a harder way out (${spoken(note.value, 'Pa', system)}) than through the stack. Open the exit.`
    case 'AIR_PREHEATED':
      return `${piece}: what stands before it warms its air by ${spoken(note.value, 'K', system)}.`
    case 'AIR_DEMANDS_DISAGREE':
      return `The power asked for wants ${percent(Math.abs(note.value))} ${note.value > 0 ? 'more' : 'less'} air than this engine takes at this boost. Power, boost or volumetric efficiency does not fit the others.`
  }
}
