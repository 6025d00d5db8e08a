import type { FitView } from '../api/client'
import { newIdentity } from '../document/edit'
import { usual, type Mount } from '../document/types'

export type MountKind = Mount['kind']

/** What can be between a bolt and a body. */
export const HOLDS: readonly { kind: MountKind; label: string }[] = [
  { kind: 'strap', label: 'a strap' },
  { kind: 'bobbin', label: 'a rubber bobbin' },
  { kind: 'lug', label: 'a lug of its own' },
]

type Parts = FitView['bodies'][number]['parts']

/** Where the next of them usually goes: near the two upper corners, clear of ports at the ends, then below, the middle first. */
const PLACES: readonly { name: string; side: number; upper: boolean }[] = [
  { name: 'upper left', side: 0.1, upper: true },
  { name: 'upper right', side: 0.9, upper: true },
  { name: 'lower', side: 0.5, upper: false },
  { name: 'lower left', side: 0.1, upper: false },
  { name: 'lower right', side: 0.9, upper: false },
]
/** How far off the body a strap's bolt is put in, mm. */
const REACH = 60

/** @returns a mount to begin with, its bolt where nothing of the body's is yet */
export function freshMount(kind: MountKind, parts: Parts, back: number, there: readonly Mount[]): Mount {
  const taken = new Set(there.map((m) => m.name))
  const place = PLACES.find((p) => !taken.has(p.name)) ?? { name: `mount ${there.length + 1}`, side: 0.5, upper: true }
  const along = (first: 0 | 1) => parts.flatMap((p) => p.front.filter((_, i) => i % 2 === first))
  const [left, right] = [Math.min(...along(0)), Math.max(...along(0))]
  const [low, high] = [Math.min(...along(1)), Math.max(...along(1))]
  const off = kind === 'strap' ? REACH : 0
  const common = {
    id: newIdentity(),
    name: place.name,
    back_mm: back,
    right_mm: Math.round(left + place.side * (right - left)),
    up_mm: Math.round(place.upper ? high + off : low - off),
    bolt_mm: usual['stand/mount'].bolt_mm,
  }
  const of = usual['stand/mount']
  if (kind === 'strap') return { kind, ...common, width_mm: of.width_mm, thickness_mm: of.thickness_mm, metal: 'steel' }
  if (kind === 'bobbin') return { kind, ...common, axis: 'up', axial_N_mm: of.axial_N_mm, shear_N_mm: of.shear_N_mm }
  return { kind, ...common }
}
