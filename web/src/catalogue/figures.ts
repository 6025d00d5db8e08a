import type { CatalogueItem } from '../api/client'
import { figure, type UnitSystem } from '../quantity/catalogue'

/** Kinds of item in the order they are offered, in the words of the trade. */
export const ITEM_KINDS: { kind: string; words: string }[] = [
  { kind: 'core', words: 'cores' },
  { kind: 'pipe', words: 'pipes' },
  { kind: 'bend', words: 'bends' },
  { kind: 'joint', words: 'joints' },
  { kind: 'reducer', words: 'cones and reducers' },
  { kind: 'filter', words: 'filters' },
]

/** @returns what an item is in a line, by the figures that matter for its kind */
export function summary(item: CatalogueItem, system: UnitSystem): string {
  const f = item.figures as Record<string, number & string>
  const mm = (key: string, digits = 0) => {
    const value = f[key]
    if (value === undefined) return ''
    const shown = figure(value, 'mm', system, system === 'us' ? 2 : digits)
    return `${shown.figure} ${shown.unit}`
  }
  const bare = (key: string) => mm(key).replace(/ .*/, '')
  const size = () => (f.outside_mm === undefined ? `bore ${mm('bore_mm', 1)}` : `outside ${mm('outside_mm', 1)}`)
  switch (item.kind) {
    case 'core':
      return `${bare('width_mm')} × ${bare('height_mm')} × ${mm('depth_mm')}, port bore ${mm('portBore_mm')}, ${f.cooledBy === 'water' ? 'water' : 'air'}`
    case 'pipe':
      return `${size()}, ${f.material}`
    case 'bend':
      return `${size()}, ${f.angle_deg}°, ${f.radius_mm === undefined ? 'stock radius' : `radius ${mm('radius_mm')}`}, ${f.material}`
    case 'joint':
      return `bore ${mm('bore_mm')}, hose bore ${mm('hoseBore_mm')}, gap ${mm('gap_mm')}`
    case 'reducer':
      return `bore ${mm('inletBore_mm')} to ${mm('bore_mm')}, ${mm('length_mm')} long`
    case 'filter':
      return `outlet bore ${mm('bore_mm')}, ${f.loss_kPa} kPa at ${f.flow_kg_s} kg/s`
    default:
      return ''
  }
}
