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

/** @returns the edits that turn a core until its inlet looks that way; its elbows turn with it */
export function turnedTo(core: CorePiece, at: string, side: PortSide): Edit[] {
  const edits: Edit[] = [{ pointer: `${at}/inletTowards`, value: side }]
  for (const key of ['inletTurn', 'outletTurn'] as const) {
    const before = core[key]
    let turn = before
    for (let way = core.inletTowards ?? 'right'; turn && way !== side; way = turned(way)) turn = elbowTurned(turn)
    if (turn !== before) edits.push({ pointer: `${at}/${key}`, value: turn })
  }
  return edits
}

/** @returns which ways an elbow can turn a port: square to the way that it looks, on the inlet's side or on the other */
export function turnsOf(core: CorePiece, outlet: boolean): PortTurn[] {
  const looks = portLooks(core, outlet)
  return (['forwards', 'rearwards', 'left', 'right', 'up', 'down'] as PortTurn[]).filter((t) => t !== looks && t !== across(looks))
}

const across = (side: PortSide): PortSide => turned(turned(side))

/** Ports at the ends of their tanks look across the charge: the inlet upwards, or to the left of a core on end. */
function portLooks(core: CorePiece, outlet: boolean): PortSide {
  const side = core.inletTowards ?? 'right'
  const two = isTwoPass(core)
  if (core.portPlace === 'end' && !two) {
    const first = side === 'left' || side === 'right' ? 'up' : 'left'
    return outlet ? across(first) : first
  }
  return outlet && !two ? across(side) : side
}

/** The port with its elbow as seen from the front: out of the tank, then the way it turns; of one that turns towards the reader its first leg. */
function elbowed(core: CorePiece, port: Port): Port[] {
  const turn = port.role === 'in' ? core.inletTurn : core.outletTurn
  if (!turn) return [port]
  const out = SHEET[portLooks(core, port.role === 'out')]
  const stub = core.portStub_mm ?? usual.core.portStub_mm
  const bore = out[0] ? port.h : port.w
  const radius = core.elbowRadius_mm ?? bore
  const angle = ((core.elbowAngle_deg ?? 90) * Math.PI) / 180
  const [far, aside] = [radius * Math.sin(angle) + stub * Math.cos(angle), radius * (1 - Math.cos(angle)) + stub * Math.sin(angle)]
  const middle = [port.x + port.w / 2, port.y + port.h / 2] as const
  const root = [middle[0] - (out[0] * port.w) / 2, middle[1] - (out[1] * port.h) / 2] as const
  const leg = (from: readonly [number, number], way: readonly [number, number], length: number): Port => ({
    role: port.role,
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
  const end = core.portPlace === 'end' && !two
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
  const facing = (role: 'in' | 'out', atInlet: boolean, v: number): Port => {
    const half = bore[role] / 2
    return { role, ...(atInlet ? rect(0, u0, v - half, v + half) : rect(u3, length, v - half, v + half)) }
  }
  const atEnd = (role: 'in' | 'out', ua: number, ub: number, top: boolean): Port => {
    const middle = (ua + ub) / 2
    const half = bore[role] / 2
    return { role, ...(top ? rect(middle - half, middle + half, -stub, 0) : rect(middle - half, middle + half, H, H + stub)) }
  }

  const ports: Port[] = []
  if (open) {
    // nothing to draw
  } else if (two) {
    ports.push(facing('in', true, 0.25 * H), facing('out', true, 0.75 * H))
  } else {
    const shift = core.portPlace === 'offset' ? Math.min(0.25 * H, Math.max(H / 2 - p / 2, 0)) : 0
    ports.push(end ? atEnd('in', u0, u1, true) : facing('in', true, H / 2 - shift))
    if (outlets === 2) ports.push(facing('out', false, 0.25 * H), facing('out', false, 0.75 * H))
    else ports.push(end ? atEnd('out', u2, u3, false) : facing('out', false, H / 2 + shift))
  }
  const bent = ports.flatMap((port) => elbowed(core, port))
  const parts = [rect(u0, u1, 0, H), rect(u1, u2, 0, H), rect(u2, u3, 0, H)]
  const way: [number, number][] = two
    ? [turn(0, 0.25 * H), turn((u2 + u3) / 2, 0.25 * H), turn((u2 + u3) / 2, 0.75 * H), turn(0, 0.75 * H)]
    : [turn(u1, H / 2), turn(u2, H / 2)]
  const [dx1, dy1] = turn(u0, H / 2)
  const [dx2, dy2] = turn(u1, H / 2)
  return {
    whole: bounds([...parts, ...bent]),
    block: parts[1]!,
    tanks: two
      ? [
          { rect: rect(u0, u1, 0, H / 2), role: 'in' },
          { rect: rect(u0, u1, H / 2, H), role: 'out' },
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
  }
}

function bounds(rects: Rect[]): Rect {
  const x = Math.min(...rects.map((r) => r.x))
  const y = Math.min(...rects.map((r) => r.y))
  return { x, y, w: Math.max(...rects.map((r) => r.x + r.w)) - x, h: Math.max(...rects.map((r) => r.y + r.h)) - y }
}
