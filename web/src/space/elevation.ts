import type { FitView } from '../api/client'

/*
 * Three views of a room on one sheet, as one stands before the car: from the front below, from above over it, from the left beside it.
 * So the car's right is to the left of the sheet from the front and from above, its front is at the bottom from above and to the left from
 * the side; what stands at one height, or as far to the right, lies on one line through two views.
 */
export type View = 'above' | 'front' | 'side'
export const VIEWS: readonly View[] = ['above', 'front', 'side']
export type Axis = 'back' | 'right' | 'up'
/** A place by the tape, mm. */
export type Point = Record<Axis, number>
type Outlines = FitView['bodies'][number]['parts'][number]

/** What a view shows across and upwards on the sheet; -1 where it runs against the tape. */
export const SHOWS: Record<View, { across: Axis; acrossSign: number; upright: Axis; sight: Axis }> = {
  above: { across: 'right', acrossSign: -1, upright: 'back', sight: 'up' },
  front: { across: 'right', acrossSign: -1, upright: 'up', sight: 'back' },
  side: { across: 'back', acrossSign: 1, upright: 'up', sight: 'right' },
}

export interface Rect {
  x: number
  y: number
  w: number
  h: number
}

export type Extent = Record<Axis, [number, number]>

/** How the three views lie on a sheet. */
export interface Sheet {
  scale: number
  extent: Extent
  views: Record<View, Rect>
  width: number
  height: number
}

const BETWEEN = 26
const EDGE = 14
const CAPTION = 20
/** Around the outermost things, of their span. */
const MARGIN = 0.04
/** Nothing measured yet: a metre each way, mm. */
const EMPTY = 500

/** @returns how far everything with an outline reaches */
export function extentOf(fit: FitView): Extent {
  const extent: Extent = { back: [Infinity, -Infinity], right: [Infinity, -Infinity], up: [Infinity, -Infinity] }
  const take = (axis: Axis, v: number) => {
    extent[axis][0] = Math.min(extent[axis][0], v)
    extent[axis][1] = Math.max(extent[axis][1], v)
  }
  for (const part of [...fit.bodies, ...fit.obstacles, ...fit.stacks].flatMap((b) => b.parts)) {
    for (let i = 0; i < part.front.length; i += 2) {
      take('right', part.front[i]!)
      take('up', part.front[i + 1]!)
    }
    for (let i = 0; i < part.side.length; i += 2) take('back', part.side[i]!)
  }
  for (const axis of Object.keys(extent) as Axis[]) {
    const [low, high] = extent[axis]
    if (low > high) extent[axis] = [-EMPTY, EMPTY]
    else {
      const more = Math.max(MARGIN * (high - low), 20)
      extent[axis] = [low - more, high + more]
    }
  }
  return extent
}

const span = (e: Extent, axis: Axis) => e[axis][1] - e[axis][0]

/** @returns the views beside one another, at the largest scale that fits: all in sight at once */
export function rowOf(extent: Extent, width: number, height: number): Sheet {
  const tallest = Math.max(span(extent, 'back'), span(extent, 'up'))
  const scale = Math.min((width - 2 * EDGE - 2 * BETWEEN) / (2 * span(extent, 'right') + span(extent, 'back')), (height - EDGE - CAPTION) / tallest)
  const w = (axis: Axis) => span(extent, axis) * scale
  const gap = Math.max(BETWEEN, (width - 2 * EDGE - 2 * w('right') - w('back')) / 2)
  const bottom = CAPTION + tallest * scale
  const beside = EDGE + w('right') + gap
  return {
    scale,
    extent,
    width,
    height: bottom + EDGE,
    views: {
      front: { x: EDGE, y: bottom - w('up'), w: w('right'), h: w('up') },
      side: { x: beside, y: bottom - w('up'), w: w('back'), h: w('up') },
      above: { x: beside + w('back') + gap, y: bottom - w('back'), w: w('right'), h: w('back') },
    },
  }
}

/** @returns the views over and beside one another, at the largest scale that fits the width */
export function sheetOf(extent: Extent, width: number, height: number): Sheet {
  const scale = Math.min(
    (width - 2 * EDGE - BETWEEN) / (span(extent, 'right') + span(extent, 'back')),
    (height - 2 * EDGE - BETWEEN) / (span(extent, 'back') + span(extent, 'up')),
  )
  const w = (axis: Axis) => span(extent, axis) * scale
  // What is left over across stands between the views.
  const left = EDGE
  const beside = Math.max(left + w('right') + BETWEEN, width - EDGE - w('back'))
  const below = EDGE + w('back') + BETWEEN
  return {
    scale,
    extent,
    width,
    height: below + w('up') + EDGE,
    views: {
      above: { x: left, y: EDGE, w: w('right'), h: w('back') },
      front: { x: left, y: below, w: w('right'), h: w('up') },
      side: { x: beside, y: below, w: w('back'), h: w('up') },
    },
  }
}

/** @returns where a length along an axis lies on the sheet, across or upright as the view shows it */
export function onSheet(sheet: Sheet, view: View, across: number, upright: number): [number, number] {
  const { across: a, acrossSign, upright: u } = SHOWS[view]
  const rect = sheet.views[view]
  const x = acrossSign > 0 ? across - sheet.extent[a][0] : sheet.extent[a][1] - across
  return [rect.x + x * sheet.scale, rect.y + (sheet.extent[u][1] - upright) * sheet.scale]
}

/** @returns the place under a point of the sheet, without what the view does not show */
export function underSheet(sheet: Sheet, view: View, x: number, y: number): Partial<Point> {
  const { across: a, acrossSign, upright: u } = SHOWS[view]
  const rect = sheet.views[view]
  const along = (x - rect.x) / sheet.scale
  return {
    [a]: acrossSign > 0 ? sheet.extent[a][0] + along : sheet.extent[a][1] - along,
    [u]: sheet.extent[u][1] - (y - rect.y) / sheet.scale,
  }
}

/** @returns what a step on the sheet is by the tape, mm */
export function stepOf(sheet: Sheet, view: View, dx: number, dy: number): Point {
  const { across, acrossSign, upright } = SHOWS[view]
  return { back: 0, right: 0, up: 0, [across]: (acrossSign * dx) / sheet.scale || 0, [upright]: -dy / sheet.scale || 0 }
}

export const shown = (view: View, p: Point): [number, number] => [p[SHOWS[view].across], p[SHOWS[view].upright]]

export const pointOf = ([back, right, up]: number[]): Point => ({ back: back!, right: right!, up: up! })

/** @returns an outline as an SVG path */
export function pathOf(sheet: Sheet, view: View, part: Outlines): string {
  const numbers = part[view]
  if (!numbers.length) return ''
  let d = ''
  for (let i = 0; i < numbers.length; i += 2) {
    const [x, y] = onSheet(sheet, view, numbers[i]!, numbers[i + 1]!)
    d += `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`
  }
  return `${d}Z`
}

/** Hatched to this depth, px. */
const HATCH = 9

/** @returns the edge of a plane and the strip behind it that is out of bounds, where the view looks along the plane */
export function planeIn(sheet: Sheet, view: View, plane: { at_mm: number[]; normal: number[] }): { edge: string; strip: string } | undefined {
  const n = pointOf(plane.normal)
  const { across, acrossSign, upright, sight } = SHOWS[view]
  if (Math.abs(n[sight]) > 0.02) return undefined
  const [x, y] = onSheet(sheet, view, ...shown(view, pointOf(plane.at_mm)))
  const out = [acrossSign * n[across], -n[upright]] as const
  const far = sheet.width + sheet.height
  const [ax, ay, bx, by] = [x - out[1] * far, y + out[0] * far, x + out[1] * far, y - out[0] * far].map((v) => v.toFixed(1))
  const in1 = [Number(bx) - out[0] * HATCH, Number(by) - out[1] * HATCH].map((v) => v.toFixed(1))
  const in2 = [Number(ax) - out[0] * HATCH, Number(ay) - out[1] * HATCH].map((v) => v.toFixed(1))
  return { edge: `M${ax} ${ay}L${bx} ${by}`, strip: `M${ax} ${ay}L${bx} ${by}L${in1.join(' ')}L${in2.join(' ')}Z` }
}

/** @returns the view in which a distance is seen longest */
export function bestView(from: Point, to: Point): View {
  const length = (view: View) => Math.hypot(from[SHOWS[view].across] - to[SHOWS[view].across], from[SHOWS[view].upright] - to[SHOWS[view].upright])
  return VIEWS.reduce((best, view) => (length(view) > length(best) + 1e-6 ? view : best), 'front' as View)
}

/** To what a drag snaps, mm. */
export const SNAP = 5

export const snapped = (v: number): number => Math.round(v / SNAP) * SNAP
