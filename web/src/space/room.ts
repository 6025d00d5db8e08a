import { newIdentity, type Edit } from '../document/edit'
import type { BuildDocument, Carrier, Obstacle, Room, Run, RunCorner, Stand } from '../document/types'
import type { Axis, Point } from './elevation'

/** A room in which nothing was measured yet. */
export const emptyRoom = (): Room => ({ datum: '', carriers: [], obstacles: [] })

/** An engine on its mounts; how far it moves is as usual for the field. @param usual of a field of a carrier */
export const usualEngine = (usual: (key: string) => number, at = { back_mm: 600, right_mm: 0, up_mm: -200 }): Carrier => ({
  id: newIdentity(),
  name: 'engine',
  axis: 'along',
  ...at,
  roll_deg: usual('roll_deg'),
  foreAft_mm: usual('foreAft_mm'),
  lift_mm: usual('lift_mm'),
})

export type ObstacleKind = Obstacle['kind']

/** What each shape is put in as, and called in the menu. */
export const SHAPES: readonly { kind: Exclude<ObstacleKind, 'mesh'>; label: string; fresh: Obstacle }[] = [
  {
    kind: 'box',
    label: 'a box by its six sides',
    fresh: { kind: 'box', name: 'box', nature: 'body', front_mm: 0, rear_mm: 100, left_mm: -50, right_mm: 50, bottom_mm: -50, top_mm: 50 },
  },
  {
    kind: 'cylinder',
    label: 'a cylinder or cone',
    fresh: {
      kind: 'cylinder',
      name: 'cylinder',
      nature: 'body',
      back_mm: 0,
      right_mm: 0,
      up_mm: 0,
      diameter_mm: 60,
      toBack_mm: 100,
      toRight_mm: 0,
      toUp_mm: 0,
    },
  },
  { kind: 'ball', label: 'a ball', fresh: { kind: 'ball', name: 'ball', nature: 'body', back_mm: 0, right_mm: 0, up_mm: 0, diameter_mm: 60 } },
  {
    kind: 'tube',
    label: 'a hose, cable or line',
    fresh: {
      kind: 'tube',
      name: 'line',
      nature: 'line',
      diameter_mm: 10,
      points: [
        { back_mm: 0, right_mm: 0, up_mm: 0 },
        { back_mm: 300, right_mm: 0, up_mm: 0 },
      ],
    },
  },
  {
    kind: 'plane',
    label: 'a bonnet or the ground, as a plane',
    fresh: { kind: 'plane', name: 'bonnet', nature: 'bonnet', back_mm: 0, right_mm: 0, up_mm: 300, falls_deg: 5, above: true },
  },
  {
    kind: 'prism',
    label: 'a drawn outline',
    fresh: {
      kind: 'prism',
      name: 'outline',
      nature: 'body',
      seen: 'above',
      from_mm: -100,
      to_mm: 0,
      outline: [
        { across_mm: 0, up_mm: 0 },
        { across_mm: 100, up_mm: 0 },
        { across_mm: 0, up_mm: 100 },
      ],
    },
  },
]

/** @returns the edits that hang on another carrier, or on the body, whatever hangs on one */
export function hanging(document: BuildDocument, from: string, to: string | undefined): Edit[] {
  const options = document.options.flatMap((option) => [
    ...(option.stands ?? []).flatMap((s) => {
      const at = `/options/#${option.letter}/stands/#${s.id}`
      return [{ at, carrier: s.carrier }, ...(s.mounts ?? []).map((m) => ({ at: `${at}/mounts/#${m.id}`, carrier: m.carrier }))]
    }),
    ...(option.runs ?? []).flatMap((r) =>
      (r.braces ?? []).map((b) => ({ at: `/options/#${option.letter}/runs/#${r.id}/braces/#${b.id}`, carrier: b.carrier })),
    ),
  ])
  const room = (document.room?.obstacles ?? []).map((o) => ({ at: `/room/obstacles/#${o.id}`, carrier: o.carrier }))
  return [...room, ...options].filter((what) => what.carrier === from).map((what) => ({ pointer: `${what.at}/carrier`, value: to }))
}

/** Keys of numbers that lie along each axis, of every shape that has them. */
const ALONG: Record<Axis, readonly string[]> = {
  back: ['back_mm', 'toBack_mm', 'front_mm', 'rear_mm'],
  right: ['right_mm', 'toRight_mm', 'left_mm'],
  up: ['up_mm', 'toUp_mm', 'bottom_mm', 'top_mm'],
}
const AXES = Object.keys(ALONG) as Axis[]

/** What a drawn outline's corners and its depth are along, by where it is seen from. */
const SEEN: Record<string, { across: Axis; up: Axis; depth: Axis }> = {
  front: { across: 'right', up: 'up', depth: 'back' },
  side: { across: 'back', up: 'up', depth: 'right' },
  above: { across: 'right', up: 'back', depth: 'up' },
}

/** Figures to a hundredth of a millimetre: none runs on behind the point. */
const plus = (v: number, by: number) => Math.round((v + by) * 100) / 100

/** @returns the edits that shift an obstacle or a body by so much; of a pipe what is typed of it, its ports stay */
export function shifted(at: string, what: Obstacle | Stand | Run | RunCorner, by: Point): Edit[] {
  if ('corners' in what)
    return [
      ...(['from', 'to'] as const).flatMap((end) => (what[end] ? along(`${at}/${end}`, what[end], by) : [])),
      ...what.corners.flatMap((c) => along(`${at}/corners/#${c.id}`, c, by)),
    ]
  if ('kind' in what && what.kind === 'prism') return shiftedOutline(at, what, by)
  if ('kind' in what && what.kind === 'tube') return what.points.flatMap((p) => along(`${at}/points/#${p.id}`, p, by))
  return along(at, what, by)
}

function along(at: string, what: object, by: Point): Edit[] {
  const figures = what as Record<string, number | undefined>
  return AXES.flatMap((axis) =>
    by[axis] === 0
      ? []
      : ALONG[axis].filter((key) => figures[key] !== undefined).map((key) => ({ pointer: `${at}/${key}`, value: plus(figures[key]!, by[axis]) })),
  )
}

function shiftedOutline(at: string, what: Extract<Obstacle, { kind: 'prism' }>, by: Point): Edit[] {
  const { across, up, depth } = SEEN[what.seen]!
  const edits: Edit[] = what.outline.flatMap((c) => [
    { pointer: `${at}/outline/#${c.id}/across_mm`, value: plus(c.across_mm, by[across]) },
    { pointer: `${at}/outline/#${c.id}/up_mm`, value: plus(c.up_mm, by[up]) },
  ])
  if (by[depth] === 0) return edits
  return [
    ...edits,
    { pointer: `${at}/from_mm`, value: plus(what.from_mm, by[depth]) },
    { pointer: `${at}/to_mm`, value: plus(what.to_mm, by[depth]) },
  ]
}

/** Faces that look away from one another: the first lies before the second along the tape. */
const FACES: readonly [string, string][] = [
  ['front_mm', 'rear_mm'],
  ['left_mm', 'right_mm'],
  ['bottom_mm', 'top_mm'],
  ['from_mm', 'to_mm'],
]

/** A face typed beyond the one across from it pushes that on: the thing stays as thick as it is, in whatever order its sides are typed. */
export function pushed(at: string, obstacle: Obstacle, key: string, value: number): Edit[] {
  const figures = obstacle as unknown as Record<string, number>
  for (const [low, high] of FACES) {
    const thick = figures[high]! - figures[low]!
    if (key === low && value >= figures[high]!) return [{ pointer: `${at}/${high}`, value: plus(value, thick) }]
    if (key === high && value <= figures[low]!) return [{ pointer: `${at}/${low}`, value: plus(value, -thick) }]
  }
  return []
}

/** Keys of the numbers that tell a shape, in the order of the tape. */
export const FIELDS: Record<ObstacleKind, readonly string[]> = {
  box: ['front_mm', 'rear_mm', 'left_mm', 'right_mm', 'bottom_mm', 'top_mm'],
  cylinder: ['back_mm', 'right_mm', 'up_mm', 'toBack_mm', 'toRight_mm', 'toUp_mm', 'diameter_mm'],
  ball: ['back_mm', 'right_mm', 'up_mm', 'diameter_mm'],
  tube: ['diameter_mm'],
  plane: ['back_mm', 'right_mm', 'up_mm'],
  prism: ['from_mm', 'to_mm'],
  mesh: ['back_mm', 'right_mm', 'up_mm'],
}

/** Those that may be left empty. */
export const MAY_BE: Record<ObstacleKind, readonly string[]> = {
  box: ['turned_deg', 'tipped_deg', 'leaned_deg'],
  cylinder: ['toDiameter_mm'],
  ball: [],
  tube: [],
  plane: ['falls_deg', 'leans_deg'],
  prism: [],
  mesh: ['turned_deg', 'tipped_deg', 'leaned_deg'],
}

const IN_PLACE = new Set(['back_mm', 'right_mm', 'up_mm', 'turned_deg', 'tipped_deg', 'leaned_deg'])

/** @returns the part of the field catalogue that a key of an obstacle stands in; a box's right side is its own */
export const partOf = (kind: ObstacleKind, key: string): string =>
  IN_PLACE.has(key) && !(kind === 'box' && key === 'right_mm') ? 'room/place' : 'room/obstacle'
