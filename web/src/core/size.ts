import type { CorePiece } from '../document/types'
import { figure, type UnitSystem } from '../quantity/catalogue'

/** @returns "620 × 300 × 64 mm", a finned block as it is asked for */
export function blockText(core: CorePiece, units: UnitSystem): string {
  const sides = [core.width_mm, core.height_mm, core.depth_mm].map((mm) => figure(mm, 'mm', units, units === 'us' ? 1 : 0))
  return `${sides.map((s) => s.figure).join(' × ')} ${sides[0]!.unit}`
}
