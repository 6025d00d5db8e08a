import type { AirWayView } from '../api/client'
import type { Edit } from '../document/edit'
import { usual, type AirLayer, type AirWay, type BuildOption, type CorePiece } from '../document/types'
import { coreShape } from '../core/drawing'
import { ofKind } from '../document/pieces'

export interface Box {
  width: number
  height: number
  depth: number
}

/** @returns a layer's size in mm, its own or that of the core or radiator it names; undefined when the option has none of that name */
export function sizeOf(layer: AirLayer, option: BuildOption): Box | undefined {
  if (layer.kind !== 'core' && layer.kind !== 'radiator') return { width: layer.width_mm!, height: layer.height_mm!, depth: layer.depth_mm! }
  const core = ofKind(option, 'core').find((c) => c.piece.name === layer.name)?.piece
  return core && standing(layer.kind, core)
}

/** @returns mm of a core or its radiator as it stands: a core on end is as high as it is long along the charge */
function standing(kind: 'core' | 'radiator', core: CorePiece): Box | undefined {
  const part = kind === 'core' ? core : core.water?.radiator
  if (!part) return undefined
  const onEnd = kind === 'core' && (core.inletTowards === 'up' || core.inletTowards === 'down')
  const [width, height] = onEnd ? [part.height_mm, part.width_mm] : [part.width_mm, part.height_mm]
  return { width, height, depth: part.depth_mm }
}

/** @returns tanks and port stubs of a core layer from the front, mm from the middle of its block, y upwards; none of anything else */
export function attached(layer: AirLayer, option: BuildOption): { left: number; top: number; width: number; height: number }[] {
  const core = layer.kind === 'core' ? ofKind(option, 'core').find((c) => c.piece.name === layer.name)?.piece : undefined
  if (!core) return []
  const shape = coreShape(core)
  const x = shape.block.x + shape.block.w / 2
  const y = shape.block.y + shape.block.h / 2
  return [...shape.tanks.map((t) => t.rect), ...shape.ports].map((r) => ({ left: r.x - x, top: y - r.y, width: r.w, height: r.h }))
}

/** A layer in the side view: x rearward from the opening, y up, mm. */
export interface SideLayer {
  index: number
  x0: number
  x1: number
  bottom: number
  top: number
}

/** @returns the layers behind the opening, front first, and how deep all is */
export function sideView(way: AirWay, option: BuildOption): { layers: SideLayer[]; depth: number } {
  let x = 0
  const layers: SideLayer[] = []
  way.layers.forEach((layer, index) => {
    const size = sizeOf(layer, option)
    if (!size) return
    const x0 = x + layer.gap_mm
    x = x0 + size.depth
    layers.push({ index, x0, x1: x, bottom: layer.up_mm - size.height / 2, top: layer.up_mm + size.height / 2 })
  })
  return { layers, depth: x }
}

/** The air between the layers: where, and how warm. */
export interface AirGap {
  x0: number
  x1: number
  bottom: number
  top: number
  temperature_C: number
}

/** @returns the air before each layer and behind the last */
export function gaps(side: { layers: SideLayer[] }, view: AirWayView | undefined, behind: number): AirGap[] {
  if (!view || !side.layers.length || view.layers.length < side.layers.length) return []
  const list = side.layers.map((l, k) => ({
    x0: k === 0 ? 0 : side.layers[k - 1]!.x1,
    x1: l.x0,
    bottom: l.bottom,
    top: l.top,
    temperature_C: view.layers[k]!.airIn_C,
  }))
  const last = side.layers.at(-1)!
  return [...list, { x0: last.x1, x1: last.x1 + behind, bottom: last.bottom, top: last.top, temperature_C: view.behind_C }]
}

/** Evenly spread places for captions, each as near as may be to what it names, without overlap. */
export function spread(wanted: number[], apart: number, from: number, to: number): number[] {
  const at = wanted.map((w) => Math.max(from, Math.min(w, to)))
  for (let i = 1; i < at.length; i++) at[i] = Math.max(at[i]!, at[i - 1]! + apart)
  const over = (at.at(-1) ?? 0) - to
  if (over > 0) {
    at[at.length - 1] = to
    for (let i = at.length - 2; i >= 0; i--) at[i] = Math.min(at[i]!, at[i + 1]! - apart)
  }
  return at
}

/** @returns cores and radiators of the option that no way brings air to */
export function unplaced(option: BuildOption): { kind: 'core' | 'radiator'; core: CorePiece }[] {
  const placed = new Set((option.airWays ?? []).flatMap((w) => w.layers.filter((l) => l.kind === 'core' || l.kind === 'radiator').map((l) => l.name)))
  return ofKind(option, 'core')
    .map((c) => c.piece)
    .filter((c) => !placed.has(c.name))
    .flatMap((core): { kind: 'core' | 'radiator'; core: CorePiece }[] =>
      core.cooledBy === 'air' ? [{ kind: 'core', core }] : core.water?.radiator ? [{ kind: 'radiator', core }] : [],
    )
}

/** @returns a way of usual proportions round what it is to cool */
export function newWay(name: string, inside: { kind: 'core' | 'radiator'; core: CorePiece }): AirWay {
  const part = standing(inside.kind, inside.core)!
  // Tanks and stubs want their room too.
  const shape = coreShape(inside.core).whole
  const whole = inside.kind === 'core' ? { width: shape.w, height: shape.h } : part
  const round = (v: number) => Math.round(v / 10) * 10
  return {
    name,
    spaceWidth_mm: round(Math.max(part.width * 1.2, whole.width * 1.03)),
    spaceHeight_mm: round(Math.max(part.height * 1.3, whole.height * 1.03)),
    opening: {
      width_mm: round(part.width * 0.9),
      height_mm: round(part.height * 0.6),
      pressure_pct: usual['airWay/opening'].pressure_pct,
      open_pct: usual['airWay/opening'].open_pct,
      roundedLip: false,
      walls: [],
    },
    seal_pct: usual.airWay.seal_pct,
    ducted: false,
    layers: [{ kind: inside.kind, name: inside.core.name, across_mm: 0, up_mm: 0, gap_mm: 60 }],
    exit: { area_cm2: Math.round((part.width * part.height) / 100), pressure_pct: usual['airWay/exit'].pressure_pct },
    recirculation_pct: usual.airWay.recirculation_pct,
  }
}

/** What else stands in a stack, with usual figures (common practice, no source). */
export const OTHERS: { kind: 'condenser' | 'engine radiator' | 'oil cooler'; layer: AirLayer }[] = [
  {
    kind: 'condenser',
    layer: {
      kind: 'condenser',
      name: 'condenser',
      across_mm: 0,
      up_mm: 0,
      gap_mm: 15,
      width_mm: 560,
      height_mm: 340,
      depth_mm: 18,
      heat_kW: 8,
      hotOnCard_C: 58,
      airSpeed_m_s: 4,
      airIn_C: 35,
      airLoss_Pa: 38,
      hot_C: 70,
    },
  },
  {
    kind: 'engine radiator',
    layer: {
      kind: 'engine radiator',
      name: 'engine radiator',
      across_mm: 0,
      up_mm: 0,
      gap_mm: 20,
      width_mm: 600,
      height_mm: 380,
      depth_mm: 34,
      heat_kW: 45,
      hotOnCard_C: 95,
      airSpeed_m_s: 5,
      airIn_C: 35,
      airLoss_Pa: 95,
      hot_C: 112,
    },
  },
  {
    kind: 'oil cooler',
    layer: {
      kind: 'oil cooler',
      name: 'oil cooler',
      across_mm: 0,
      up_mm: 0,
      gap_mm: 20,
      width_mm: 280,
      height_mm: 150,
      depth_mm: 50,
      heat_kW: 9,
      hotOnCard_C: 115,
      airSpeed_m_s: 5,
      airIn_C: 35,
      airLoss_Pa: 140,
      hot_C: 135,
    },
  },
]

/** @returns a layer made no larger than the space it goes into */
export function fitted(layer: AirLayer, way: AirWay): AirLayer {
  return { ...layer, width_mm: Math.min(layer.width_mm!, way.spaceWidth_mm), height_mm: Math.min(layer.height_mm!, way.spaceHeight_mm) }
}

/** @returns edits that put the layers of a list into an order, front first; the gaps stay where they are */
export function reorder(list: string, layers: AirLayer[], order: number[]): Edit[] {
  return order.flatMap((from, to): Edit[] => {
    const row = `${list}/#${layers[from]!.id}`
    const before = to === 0 ? null : (layers[order[to - 1]!]!.id ?? null)
    return [
      { row, behind: before },
      { pointer: `${row}/gap_mm`, value: layers[to]!.gap_mm },
    ]
  })
}
