import type { Edit } from './edit'
import { boreOf as pipeBore, soldFor } from './tube'
import {
  usual,
  usualBlower,
  type AirWay,
  type BlowerPiece,
  type BlowerType,
  type BuildOption,
  type CorePiece,
  type Leg,
  type PairPiece,
  type Piece,
  type PieceKind,
  type Row,
} from './types'

/**
 * A piece with where it stands in the option. Its place counts ("/path/3/legs/0/path/1") and tells which answer is its own; `at` names
 * ("/path/#p4/legs/#r1/path/#r2") and is what edits and addresses go by.
 */
export interface Placed<P extends Piece = Piece> {
  place: string
  at: string
  piece: P
  leg?: Leg
  /** The list it stands in, named, and where. */
  list: string
  index: number
}

/** @returns every piece in the order of the air, a pair before what is in its legs */
export function allPieces(option: BuildOption): Placed[] {
  return placed(option.path, '/path', '/path')
}

const name = (row: Row, index: number): string => (row.id === undefined ? String(index) : `#${row.id}`)

function placed(path: Piece[], counted: string, list: string, leg?: Leg): Placed[] {
  return path.flatMap((piece, index): Placed[] => {
    const place = `${counted}/${index}`
    const at = `${list}/${name(piece, index)}`
    const here: Placed = { place, at, piece, list, index, leg }
    return piece.kind === 'pair'
      ? [here, ...piece.legs.flatMap((l, k) => placed(l.path, `${place}/legs/${k}/path`, `${at}/legs/${name(l, k)}/path`, l))]
      : [here]
  })
}

/** @returns the pieces of one kind with their places */
export function ofKind<K extends PieceKind>(option: BuildOption, kind: K): Placed<Extract<Piece, { kind: K }>>[] {
  return allPieces(option).filter((p): p is Placed<Extract<Piece, { kind: K }>> => p.piece.kind === kind)
}

/** @returns bore in mm that the air leaves a piece with */
export function boreOf(piece: Piece): number {
  switch (piece.kind) {
    case 'blower':
      return piece.outletBore_mm
    case 'core':
      return piece.outletBore_mm ?? piece.portBore_mm
    case 'pipe':
      return pipeBore(piece)
    case 'pair':
      return piece.mergedBore_mm ?? lastBore(piece.legs[0]!.path)
    default:
      return piece.bore_mm
  }
}

function lastBore(path: Piece[]): number {
  const last = path.at(-1)
  return last ? boreOf(last) : 63
}

/** Kinds that can be put into a path, in the words of the trade. */
export const NEW_KINDS: { kind: PieceKind; words: string }[] = [
  { kind: 'pipe', words: 'pipe' },
  { kind: 'reducer', words: 'cone or reducer' },
  { kind: 'joint', words: 'joint' },
  { kind: 'throttle', words: 'throttle' },
  { kind: 'core', words: 'core' },
  { kind: 'injection', words: 'injection point' },
  { kind: 'pair', words: 'two pipes side by side' },
]

/** @returns a piece of a kind that fits a bore, filled in with usual figures */
export function newPiece(kind: PieceKind, bore: number, name: string): Piece {
  const round = (v: number) => Math.round(v)
  switch (kind) {
    case 'filter':
      return { kind, name, bore_mm: bore, loss_kPa: usual.filter.loss_kPa, flow_kg_s: usual.filter.flow_kg_s, heatGain_K: usual.filter.heatGain_K }
    case 'blower':
      return { kind, name, type: 'turbo', ...usual.blower, outletBore_mm: bore }
    case 'pipe':
      return { kind, name, material: 'aluminium', ...soldFor('aluminium', bore), length_mm: 400, bends: [{ angle_deg: 90 }] }
    case 'reducer':
      return { kind, name, inletBore_mm: bore, bore_mm: round(bore * 1.1), length_mm: usual.reducer.length_mm }
    case 'joint':
      return { kind, name, bore_mm: bore, hoseBore_mm: bore + usual.joint.hoseBore_mm - usual.joint.bore_mm, gap_mm: usual.joint.gap_mm }
    case 'throttle':
      return { kind, name, bore_mm: bore, shaft_mm: Math.min(usual.throttle.shaft_mm, round(bore / 3)) }
    case 'core':
      return newCore(name, bore)
    case 'injection':
      return { kind, name, ...usual.injection, bore_mm: bore }
    case 'pair':
      return newPair(name, bore)
    case 'plenum':
      return { kind, name, ...usual.plenum, bore_mm: bore }
  }
}

function newCore(name: string, bore: number): CorePiece {
  return {
    kind: 'core',
    name,
    construction: 'bar-and-plate',
    cooledBy: 'air',
    width_mm: 450,
    height_mm: 200,
    depth_mm: Math.max(64, Math.round(bore)),
    portBore_mm: bore,
    tankDepth_mm: bore,
    block: usualBlock(),
    air: { ...usual['core/air'] },
  }
}

/** A bar-and-plate block of usual proportions: invented, neutral. */
export function usualBlock(): NonNullable<CorePiece['block']> {
  return {
    layers: 'bar-and-plate',
    ...usual['core/block'],
    chargeFin: { type: 'offset strip', gap_mm: 7.5, pitch_mm: 4, thickness_mm: 0.2, interval_mm: 8 },
    coldFin: { type: 'louvred', gap_mm: 9, pitch_mm: 2.1, thickness_mm: 0.12, interval_mm: 1.4, louvreAngle_deg: 24 },
  }
}

/** Layers for water between charge layers. */
export function usualBrick(): NonNullable<CorePiece['block']> {
  return {
    ...usualBlock(),
    chargeFin: { type: 'offset strip', gap_mm: 8, pitch_mm: 3, thickness_mm: 0.15, interval_mm: 5 },
    coldFin: { type: 'offset strip', gap_mm: 3, pitch_mm: 3, thickness_mm: 0.2, interval_mm: 4 },
  }
}

function newPair(name: string, bore: number): PairPiece {
  const each = Math.round(bore * 0.75)
  const leg = (which: string): Leg => ({
    name: which,
    path: [
      {
        kind: 'pipe',
        name: `${which} pipe`,
        material: 'aluminium',
        ...soldFor('aluminium', each),
        length_mm: 500,
        bends: [{ angle_deg: 90 }],
      },
    ],
  })
  return { kind: 'pair', name, ...usual.pair, mergedBore_mm: bore, legs: [leg('left'), leg('right')] }
}

/** @returns a name for a new piece that no other has */
export function freeName(option: BuildOption, words: string): string {
  const taken = new Set(allPieces(option).map((p) => p.piece.name))
  if (!taken.has(words)) return words
  for (let n = 2; ; n++) if (!taken.has(`${words} ${n}`)) return `${words} ${n}`
}

/** @returns the layers of those cores and of their radiators, named within the option; a way that is left with none is taken out whole */
export function waysWithout(ways: AirWay[], ...cores: string[]): string[] {
  return ways.flatMap((way) => {
    const gone = way.layers.filter((l) => (l.kind === 'core' || l.kind === 'radiator') && cores.includes(l.name ?? ''))
    const at = `/airWays/#${way.id}`
    return gone.length === way.layers.length ? [at] : gone.map((l) => `${at}/layers/#${l.id}`)
  })
}

/** A piece is called by its name where it stands or is laid in the room, a core in the stacks it stands in and by those that hang on its loop too: they follow it. */
export function calledSo(option: BuildOption, optionAt: string, core: string, name: string): Edit[] {
  const stacks = (option.airWays ?? []).flatMap((way) =>
    way.layers
      .filter((layer) => layer.name === core && (layer.kind === 'core' || layer.kind === 'radiator'))
      .map((layer): Edit => ({ pointer: `${optionAt}/airWays/#${way.id}/layers/#${layer.id}/name`, value: name })),
  )
  const hanging = onLoopOf(option, core).map((c): Edit => ({ pointer: `${optionAt}${c.at}/sharesLoop/core`, value: name }))
  const stands = (option.stands ?? [])
    .filter((stand) => stand.of === core)
    .map((stand): Edit => ({ pointer: `${optionAt}/stands/#${stand.id}/of`, value: name }))
  const runs = (option.runs ?? []).flatMap((run): Edit[] => [
    ...(run.of === core && !run.loop ? [{ pointer: `${optionAt}/runs/#${run.id}/of`, value: name }] : []),
    ...(run.loop === core ? [{ pointer: `${optionAt}/runs/#${run.id}/loop`, value: name }] : []),
  ])
  const joints = (option.joints?.others ?? [])
    .filter((joint) => joint.of === core)
    .map((joint): Edit => ({ pointer: `${optionAt}/joints/others/#${joint.id}/of`, value: name }))
  return [...stacks, ...hanging, ...stands, ...runs, ...joints]
}

/** @returns what can be laid in the room: the pipes, then the hoses of the loops by the core on whose water they are */
export function layable(option: BuildOption): { of: string; loop?: string }[] {
  return [
    ...ofKind(option, 'pipe').map((p) => ({ of: p.piece.name })),
    ...ofKind(option, 'core').flatMap((c) =>
      (c.piece.water?.pieces ?? []).filter((p) => p.kind === 'hose').map((p) => ({ of: p.name, loop: c.piece.name })),
    ),
  ]
}

/** A hose of a loop is called by its name where it is laid. */
export function hoseCalledSo(option: BuildOption, optionAt: string, core: string, hose: string, name: string): Edit[] {
  return (option.runs ?? [])
    .filter((run) => run.loop === core && run.of === hose)
    .map((run): Edit => ({ pointer: `${optionAt}/runs/#${run.id}/of`, value: name }))
}

/** @returns the cores that hang on the loop of one of that name */
export function onLoopOf(option: BuildOption, core: string): Placed<CorePiece>[] {
  return ofKind(option, 'core').filter((c) => c.piece.sharesLoop?.core === core)
}

/**
 * A piece is taken out, with all that is in it. The loop of a core stays with the first that hung on it, and the radiator in the air goes
 * by that one's name; what else stood for the core in the air goes with it.
 */
export function goneWith(option: BuildOption, optionAt: string, gone: Placed): Edit[] {
  const inside = (c: Placed) => c.at === gone.at || c.at.startsWith(`${gone.at}/`)
  const cores = ofKind(option, 'core')
    .filter(inside)
    .map((c) => c.piece)
  const hanging = (core: CorePiece) => onLoopOf(option, core.name).filter((c) => !inside(c))
  const handed = cores.flatMap((core): Edit[] => {
    const [heir, ...others] = hanging(core)
    if (!heir) return []
    return [
      { pointer: `${optionAt}${heir.at}/sharesLoop`, value: undefined },
      { pointer: `${optionAt}${heir.at}/water`, value: core.water },
      ...others.map((c): Edit => ({ pointer: `${optionAt}${c.at}/sharesLoop/core`, value: heir.piece.name })),
      ...calledSo({ ...option, path: [] }, optionAt, core.name, heir.piece.name),
    ]
  })
  const alone = cores.filter((core) => hanging(core).length === 0).map((core) => core.name)
  const ways = waysWithout(option.airWays ?? [], ...alone).map((row): Edit => ({ row: optionAt + row, out: true }))
  return [...handed, ...ways, { row: optionAt + gone.at, out: true }]
}

/** Another type: its name where the blower went by that of the old one, its efficiency where the present one is none of its. */
export function ofType(blower: BlowerPiece, at: string, type: BlowerType, also: (name: string) => Edit[] = () => []): Edit[] {
  const was = usualBlower[blower.type]
  const is = usualBlower[type]
  const edits: Edit[] = [{ pointer: `${at}/type`, value: type }]
  if (blower.name.includes(was.name)) {
    const name = blower.name.replace(was.name, is.name)
    edits.push({ pointer: `${at}/name`, value: name }, ...also(name))
  }
  if (blower.efficiency_pct < is.low_pct || blower.efficiency_pct > is.high_pct)
    edits.push({ pointer: `${at}/efficiency_pct`, value: is.efficiency_pct })
  return edits
}
