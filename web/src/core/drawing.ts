import type { Edit } from '../document/edit'
import { usual, type CorePiece, type PortSide, type PortTurn } from '../document/types'

/** A rectangle in mm on the sheet, y downwards. */
export interface Rect {
  x: number
  y: number
  w: number
  h: number
}

export interface Port extends Rect {
  role: 'in' | 'out'
  looks: PortSide
}

/** A core with its tanks and ports as seen from the front of the car, and its depth beside it. */
export interface CoreShape {
  /** Everything, ports included. */
  whole: Rect
  block: Rect
  tanks: { rect: Rect; role: 'in' | 'out' | 'turn' }[]
  ports: Port[]
  /** Divider of a U-flow tank. */
  divider?: { x1: number; y1: number; x2: number; y2: number }
  /** Where the charge goes, as a polyline from inlet to outlet. */
  way: [number, number][]
  /** Layers lie along the charge: true when it runs across the sheet. */
  level: boolean
  twoPass: boolean
  /** Of two passes: whether the inlet's is the upper one, of a core on end the left one. */
  inletFirst: boolean
}

export function isTwoPass(core: CorePiece): boolean {
  return (core.arrangement ?? '').startsWith('u-flow')
}

/** The next way to turn a core, clockwise. */
export function turned(side: PortSide): PortSide {
  const order: PortSide[] = ['right', 'down', 'left', 'up']
  return order[(order.indexOf(side) + 1) % 4]!
}

/** Ways on the sheet, y downwards. */
const SHEET: Record<PortSide, [number, number]> = { left: [-1, 0], right: [1, 0], up: [0, -1], down: [0, 1] }

/** Where an elbow looks when its core is turned a quarter clockwise; forwards and rearwards stay. */
export const elbowTurned = (turn: PortTurn): PortTurn => (turn === 'forwards' || turn === 'rearwards' ? turn : turned(turn))

/** @returns the end of its tank that a port stands at, or of two passes whose half is its own: the upper, of a core on end the left, the outlet across from it */
export function portEnd(core: CorePiece, outlet: boolean): PortSide {
  const said = outlet && !isTwoPass(core) ? core.outletTowards : undefined
  if (said) return said
  const inlet = core.portTowards ?? usualEnd(core)
  return outlet ? across(inlet) : inlet
}

const isLevel = (core: CorePiece) => ['left', 'right'].includes(core.inletTowards ?? 'right')
const usualEnd = (core: CorePiece): PortSide => (isLevel(core) ? 'up' : 'left')

/** @returns the two ends that a tank has, the usual one first */
export const endsOf = (core: CorePiece): PortSide[] => [usualEnd(core), across(usualEnd(core))]

/** @returns where on its tank a port stands */
export const placeOf = (core: CorePiece, outlet: boolean) => (outlet && core.outletPlace) || (core.portPlace ?? 'middle')

/** @returns whether it matters to which end of its tank a port stands */
export function hasEnd(core: CorePiece, outlet: boolean): boolean {
  if (isTwoPass(core)) return !outlet
  return placeOf(core, outlet) !== 'middle' && !(outlet && core.outlets === 2)
}

/** @returns the edits that turn a core until its inlet looks that way; its ports and elbows turn with it */
export function turnedTo(core: CorePiece, at: string, side: PortSide): Edit[] {
  const edits: Edit[] = [{ pointer: `${at}/inletTowards`, value: side }]
  const write = (key: keyof CorePiece, from: PortTurn | undefined, kept: boolean) => {
    let turn = from
    for (let way = core.inletTowards ?? 'right'; turn && way !== side; way = turned(way)) turn = elbowTurned(turn)
    if (!kept || turn !== core[key]) edits.push({ pointer: `${at}/${key}`, value: kept ? turn : undefined })
  }
  write('inletTurn', core.inletTurn, true)
  write('outletTurn', core.outletTurn, true)
  for (const outlet of [false, true]) {
    const key = outlet ? 'outletTowards' : 'portTowards'
    // What counts nowhere is not carried round: it would stand towards an end that the tank has no more.
    if (hasEnd(core, outlet)) write(key, portEnd(core, outlet), true)
    else if (core[key]) write(key, undefined, false)
  }
  return edits
}

/** @returns which ways an elbow can turn a port: square to the way that it looks, on the inlet's side or on the other */
export function turnsOf(core: CorePiece, outlet: boolean): PortTurn[] {
  const looks = portLooks(core, outlet)
  return (['forwards', 'rearwards', 'left', 'right', 'up', 'down'] as PortTurn[]).filter((t) => t !== looks && t !== across(looks))
}

const across = (side: PortSide): PortSide => turned(turned(side))

/** Ports at the ends of their tanks look along them, the others along the charge. */
function portLooks(core: CorePiece, outlet: boolean): PortSide {
  const side = core.inletTowards ?? 'right'
  if (placeOf(core, outlet) === 'end') return portEnd(core, outlet)
  return outlet && !isTwoPass(core) ? across(side) : side
}

/** The port with its elbow as seen from the front: out of the tank, then the way it turns; of one that turns towards the reader its first leg. */
function elbowed(core: CorePiece, port: Port): Port[] {
  const turn = port.role === 'in' ? core.inletTurn : core.outletTurn
  if (!turn) return [port]
  const out = SHEET[port.looks]
  const stub = core.portStub_mm ?? usual.core.portStub_mm
  const bore = out[0] ? port.h : port.w
  const radius = core.elbowRadius_mm ?? bore
  const angle = ((core.elbowAngle_deg ?? 90) * Math.PI) / 180
  const [far, aside] = [radius * Math.sin(angle) + stub * Math.cos(angle), radius * (1 - Math.cos(angle)) + stub * Math.sin(angle)]
  const middle = [port.x + port.w / 2, port.y + port.h / 2] as const
  const root = [middle[0] - (out[0] * port.w) / 2, middle[1] - (out[1] * port.h) / 2] as const
  const leg = (from: readonly [number, number], way: readonly [number, number], length: number): Port => ({
    ...port,
    x: Math.min(from[0], from[0] + way[0] * length) - (way[0] ? 0 : bore / 2),
    y: Math.min(from[1], from[1] + way[1] * length) - (way[1] ? 0 : bore / 2),
    w: way[0] ? length : bore,
    h: way[1] ? length : bore,
  })
  const first = leg(root, out, far + (bore / 2) * Math.sin(angle))
  if (turn === 'forwards' || turn === 'rearwards') return [first]
  return [first, leg([root[0] + out[0] * far, root[1] + out[1] * far], SHEET[turn], aside)]
}

/**
 * Lays the core out with the charge running along u (inlet tank first) and its height along v, then turns it so that the inlet tank
 * looks the way it should.
 */
export function coreShape(core: CorePiece): CoreShape {
  const W = core.width_mm
  const H = core.height_mm
  const T = core.tankDepth_mm ?? core.portBore_mm
  const p = core.portBore_mm
  const bore = { in: p, out: core.outletBore_mm ?? p }
  // A block without tanks is fed over its whole face: no ports stand out.
  const open = T === 0
  const stub = open ? 0 : (core.portStub_mm ?? usual.core.portStub_mm)
  const side = core.inletTowards ?? 'right'
  const two = isTwoPass(core)
  const outlets = core.outlets ?? 1
  const length = 2 * stub + 2 * T + W
  const u0 = stub
  const u1 = u0 + T
  const u2 = u1 + W
  const u3 = u2 + T

  const turn = (u: number, v: number): [number, number] => {
    switch (side) {
      case 'left':
        return [u, v]
      case 'right':
        return [length - u, v]
      case 'up':
        return [v, u]
      case 'down':
        return [v, length - u]
    }
  }
  const rect = (ua: number, ub: number, va: number, vb: number): Rect => {
    const [x1, y1] = turn(ua, va)
    const [x2, y2] = turn(ub, vb)
    return { x: Math.min(x1, x2), y: Math.min(y1, y2), w: Math.abs(x2 - x1), h: Math.abs(y2 - y1) }
  }
  const port = (role: 'in' | 'out', v: number): Port => {
    const half = bore[role] / 2
    const near = role === 'in' || two
    if (placeOf(core, role === 'out') !== 'end') {
      return { role, looks: near ? side : across(side), ...(near ? rect(0, u0, v - half, v + half) : rect(u3, length, v - half, v + half)) }
    }
    const middle = near ? (u0 + u1) / 2 : (u2 + u3) / 2
    const [first, other] = endsOf(core)
    return v < H / 2
      ? { role, looks: first!, ...rect(middle - half, middle + half, -stub, 0) }
      : { role, looks: other!, ...rect(middle - half, middle + half, H, H + stub) }
  }
  /** How far off the middle a port stands: one of two in its half of the tank, one alone half way to its end as far as it has room. */
  const off = (role: 'in' | 'out', halves: boolean): number => {
    const place = placeOf(core, role === 'out')
    if (place === 'end') return H / 2
    if (halves) return H / 4
    return place === 'offset' ? Math.min(H / 4, Math.max(H / 2 - bore[role] / 2, 0)) : 0
  }
  const towards = (role: 'in' | 'out'): number => (portEnd(core, role === 'out') === usualEnd(core) ? -1 : 1)

  const ports: Port[] = []
  if (!open) {
    ports.push(port('in', H / 2 + towards('in') * off('in', two)))
    if (outlets === 2 && !two) ports.push(...[-1, 1].map((s) => port('out', H / 2 + s * off('out', true))))
    else ports.push(port('out', H / 2 + towards('out') * off('out', two)))
  }
  const bent = ports.flatMap((p) => elbowed(core, p))
  const parts = [rect(u0, u1, 0, H), rect(u1, u2, 0, H), rect(u2, u3, 0, H)]
  const inletFirst = towards('in') < 0
  const [there, back] = inletFirst ? [0.25 * H, 0.75 * H] : [0.75 * H, 0.25 * H]
  const way: [number, number][] = two
    ? [turn(0, there), turn((u2 + u3) / 2, there), turn((u2 + u3) / 2, back), turn(0, back)]
    : [turn(u1, H / 2), turn(u2, H / 2)]
  const [dx1, dy1] = turn(u0, H / 2)
  const [dx2, dy2] = turn(u1, H / 2)
  return {
    whole: bounds([...parts, ...bent]),
    block: parts[1]!,
    tanks: two
      ? [
          { rect: rect(u0, u1, there - H / 4, there + H / 4), role: 'in' },
          { rect: rect(u0, u1, back - H / 4, back + H / 4), role: 'out' },
          { rect: parts[2]!, role: 'turn' },
        ]
      : [
          { rect: parts[0]!, role: 'in' },
          { rect: parts[2]!, role: 'out' },
        ],
    ports: bent,
    divider: two ? { x1: dx1, y1: dy1, x2: dx2, y2: dy2 } : undefined,
    way,
    level: side === 'left' || side === 'right',
    twoPass: two,
    inletFirst,
  }
}

function bounds(rects: Rect[]): Rect {
  const x = Math.min(...rects.map((r) => r.x))
  const y = Math.min(...rects.map((r) => r.y))
  return { x, y, w: Math.max(...rects.map((r) => r.x + r.w)) - x, h: Math.max(...rects.map((r) => r.y + r.h)) - y }
}
