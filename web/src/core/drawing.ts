import { usual, type CorePiece, type PortSide } from '../document/types'

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
  const parts = [rect(u0, u1, 0, H), rect(u1, u2, 0, H), rect(u2, u3, 0, H)]
  const way: [number, number][] = two
    ? [turn(0, 0.25 * H), turn((u2 + u3) / 2, 0.25 * H), turn((u2 + u3) / 2, 0.75 * H), turn(0, 0.75 * H)]
    : [turn(u1, H / 2), turn(u2, H / 2)]
  const [dx1, dy1] = turn(u0, H / 2)
  const [dx2, dy2] = turn(u1, H / 2)
  return {
    whole: bounds([...parts, ...ports]),
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
    ports,
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
