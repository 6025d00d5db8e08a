import { sizeOf } from '../document/tube'
import { stockWall, type PipePiece } from '../document/types'
import { spoken, type UnitSystem } from '../quantity/catalogue'

/** @returns "76.2 mm OD" of tube, "63 mm" of hose: what it is bought by */
export function sizeText(pipe: PipePiece, units: UnitSystem): string {
  const mm = sizeOf(pipe)
  const text = spoken(mm, 'mm', units, units === 'us' ? 2 : mm % 1 ? 1 : 0)
  return stockWall[pipe.material].tube ? `${text} OD` : text
}
