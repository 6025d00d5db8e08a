import type { PieceView } from '../api/client'
import { change, spoken, type UnitSystem } from '../quantity/catalogue'

/** @returns a piece of the line as it is read aloud */
export function spokenPiece(view: PieceView, units: UnitSystem): string {
  const legs = view.legs.length ? `, ${view.legs.map((leg) => `${leg.name} ${leg.share_pct.toFixed(1)} %`).join(', ')}` : ''
  const what = view.loss_kPa < 0 ? `makes ${spoken(-view.loss_kPa, 'kPa', units)}` : `costs ${spoken(view.loss_kPa, 'kPa', units, 2)}`
  const warms = change(view.temperatureChange_K, 'C', 'metric')
  return `${view.name}: ${what}${warms ? `, ${change(view.temperatureChange_K, 'K', units)} ${units === 'us' ? '°F' : '°C'}` : ''}, Mach ${view.mach.toFixed(2)}${legs}`
}
