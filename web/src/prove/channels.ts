import type { Channel, LogBeside } from '../api/client'
import type { BuildOption } from '../document/types'
import type { AnswerUnit } from '../quantity/catalogue'

/** The units in which the program tells what was logged, as the page names them. */
const UNITS: Record<string, AnswerUnit> = { '°C': 'C', kPa: 'kPa', 'km/h': 'km_h', 'L/min': 'L_min' }

/** @returns the page's name of a channel's unit; undefined for what is told as it is */
export const unitOf = (symbol: string): AnswerUnit | undefined => UNITS[symbol]

/** What is drawn over the intake on request, with the tone of its line. */
export const BESIDE: { channel: Channel; name: string; tone: 'heat' | 'cool' | 'plain' }[] = [
  { channel: 'BEFORE_CORE', name: 'before the core', tone: 'heat' },
  { channel: 'AFTER_CORE', name: 'behind the core', tone: 'plain' },
  { channel: 'WATER_TO_CORE', name: 'water to the core', tone: 'cool' },
  { channel: 'WATER_FROM_CORE', name: 'water behind the core', tone: 'cool' },
  { channel: 'WATER_FROM_RADIATOR', name: 'water behind the radiator', tone: 'cool' },
  { channel: 'WATER_TANK', name: 'tank', tone: 'cool' },
  { channel: 'OUTSIDE', name: 'outside', tone: 'cool' },
]

/**
 * What a log measured under load, by the station of the charge line at which the sensor stands: behind the last piece the intake, before and behind the
 * first core of the main way what is measured at a core.
 */
export function atStations(beside: LogBeside | undefined, option: BuildOption): Record<number, number> {
  const at: Record<number, number> = {}
  if (!beside) return at
  const core = option.path.findIndex((piece) => piece.kind === 'core')
  const places: Partial<Record<Channel, number>> = {
    INTAKE: option.path.length,
    ...(core >= 0 ? { BEFORE_CORE: core, AFTER_CORE: core + 1 } : {}),
  }
  if (beside.outsideMeasured) at[0] = beside.outside_C
  for (const match of beside.matches) {
    const place = places[match.channel]
    if (place !== undefined && match.measured != null) at[place] = match.measured
  }
  return at
}

/** Where the boss of a sensor goes. */
export const BOSSES: Partial<Record<Channel, string>> = {
  BEFORE_CORE: 'its boss in the pipe to the core, a hand before the tank',
  AFTER_CORE: 'its boss in the pipe behind the core, three bores down',
  INTAKE: 'its boss in the plenum, its tip in the stream',
  WATER_TO_CORE: 'in the hose to the core, close before the spigot',
  WATER_FROM_CORE: 'in the hose behind the core, close after the spigot',
  WATER_TANK: 'at the outlet of the tank',
  WATER_FLOW: 'a meter in the return, where the bore stays',
}
