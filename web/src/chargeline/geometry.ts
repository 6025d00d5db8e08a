import { extent, max } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import { area, line } from 'd3-shape'
import type { LegView, SteadyView, StationView } from '../api/client'
import type { Piece } from '../document/types'
import { axisTicks, type AxisTick, type UnitSystem } from '../quantity/catalogue'
import { temperatureColour } from './colour'

/** As much of an answer as a charge line is drawn from. */
export type Line = Pick<SteadyView, 'stations' | 'pieces'>

/** Room for the drawing, in px. */
export interface Frame {
  width: number
  left: number
  right: number
  top: number
  bottom: number
  thickest: number
  /** Whose round temperatures the axis carries. */
  system?: UnitSystem
}

export interface Stop {
  offset: number
  colour: string
}

/** One piece of the path as drawn. */
export interface PieceShape {
  index: number
  kind: string
  name: string
  x0: number
  x1: number
  body: string
  upper: string
  lower: string
  stops: Stop[]
  /** Middle of the band at a share of the piece's length. */
  middle: (share: number) => number
  /** Half the thickness there. */
  half: (share: number) => number
  /** The two ways of a pair, each a band of its own; else empty. */
  legs: LegShape[]
}

/** One of two ways side by side. */
export interface LegShape {
  name: string
  share_pct: number
  body: string
  upper: string
  lower: string
  stops: Stop[]
  /** Where a core stands on it, as parts of its band. */
  cores: string[]
}

/** A place with a number. */
export interface Plumb {
  index: number
  x: number
  y: number
}

export interface Ridge {
  pieces: PieceShape[]
  plumbs: Plumb[]
  ticks: (AxisTick & { y: number })[]
  y: (celsius: number) => number
  /** Height of the other answer at a share of a piece; undefined when there is none. */
  ghostMiddle: (piece: number, share: number) => number | undefined
  /** Dashed way of another answer through the same pieces; empty when the pieces differ. */
  ghost: string
  ghostEnd?: number
}

const SAMPLES = 24

/** How much of the width a piece asks for: pipes by their length, the rest by kind. */
export function weightOf(piece: Piece): number {
  switch (piece.kind) {
    case 'filter':
      return 1
    case 'blower':
      return 0.66
    case 'pipe':
      return 0.9 + 2.4 * Math.min(piece.length_mm / 1000, 1)
    case 'core':
      return 2.2
    case 'plenum':
      return 1.1
    case 'pair':
      return Math.max(...piece.legs.map((leg) => leg.path.reduce((sum, p) => sum + weightOf(p), 0.3)))
    case 'throttle':
    case 'injection':
      return 0.5
    case 'reducer':
    case 'joint':
      return 0.4
  }
}

/** @returns station temperatures between two ends of a piece: a rise in the blower, an approach in the core, straight elsewhere */
export function profile(kind: string, from: number, to: number, share: number): number {
  if (kind === 'blower') return from + (to - from) * share * share * (3 - 2 * share)
  if (kind === 'core') {
    const reach = 3
    return from + ((to - from) * (1 - Math.exp(-reach * share))) / (1 - Math.exp(-reach))
  }
  return from + (to - from) * share
}

/** Places for the pieces across the frame, by weight. */
export function spans(weights: number[], left: number, right: number): [number, number][] {
  const unit = (right - left) / weights.reduce((a, b) => a + b, 0)
  let x = left
  return weights.map((w) => {
    const span: [number, number] = [x, x + w * unit]
    x = span[1]
    return span
  })
}

/** The charge line as shapes: across the way of the air, up its temperature, thick its bore. */
export function ridge(steady: Line, path: Piece[], frame: Frame, ghost?: Line): Ridge {
  const temperatures = steady.stations.map((s) => s.temperature_C)
  const inLegs = steady.pieces.flatMap((p) => (p.legs ?? []).flatMap((leg) => leg.stations.map((s) => s.temperature_C)))
  const alike = ghost && ghost.pieces.length === steady.pieces.length && ghost.pieces.every((p, i) => p.kind === steady.pieces[i]!.kind)
  const others = alike ? ghost.stations.map((s) => s.temperature_C) : []
  const [low = 0, high = 100] = extent([...temperatures, ...others, ...inLegs])
  /** Two ways side by side need the room of both. */
  const beside = steady.pieces.map((p) => p.legs.reduce((sum, leg) => sum + (max(leg.stations, (s) => s.bore_mm) ?? 0), 0) * 1.1)
  const widest = max([...steady.stations.map((s) => s.bore_mm), ...beside]) ?? 60
  const px = frame.thickest / Math.max(widest, 60)
  const y = scaleLinear()
    .domain([low - 4, Math.max(high, low + 30) + 4])
    .range([frame.bottom - frame.thickest / 2 - 2, frame.top + frame.thickest / 2])
  const kinds = steady.pieces.map((p) => p.kind)
  const places = spans(
    steady.pieces.map((_, i) => (path[i] ? weightOf(path[i]!) : 1)),
    frame.left,
    frame.right,
  )
  const pieces = steady.pieces.map((piece, i): PieceShape => {
    const [x0, x1] = places[i]!
    const from = temperatures[i]!
    const to = temperatures[i + 1]!
    const thin = thickness(steady, i, px)
    const middle = (share: number) => y(profile(piece.kind, from, to, share))
    const half = (share: number) => (thin(share) / 2) * lean(middle, share, x1 - x0)
    const samples = Array.from({ length: SAMPLES + 1 }, (_, k) => k / SAMPLES)
    const x = (share: number) => x0 + share * (x1 - x0)
    return {
      index: i,
      kind: piece.kind,
      name: piece.name,
      x0,
      x1,
      body: area<number>()
        .x(x)
        .y0((s) => middle(s) + half(s))
        .y1((s) => middle(s) - half(s))(samples)!,
      upper: line<number>()
        .x(x)
        .y((s) => middle(s) - half(s))(samples)!,
      lower: line<number>()
        .x(x)
        .y((s) => middle(s) + half(s))(samples)!,
      stops: [0, 0.15, 0.3, 0.45, 0.6, 0.8, 1].map((s) => ({ offset: s, colour: temperatureColour(profile(piece.kind, from, to, s)) })),
      middle,
      half,
      legs: (piece.legs ?? []).map((leg, k) => legShape(leg, path[i], k, x0, x1, y, px, i > 0, i < steady.pieces.length - 1)),
    }
  })
  return {
    pieces,
    plumbs: plumbs(steady, places, temperatures, y),
    ticks: axisTicks(low - 4, high + 4, 4, 'C', frame.system ?? 'metric').map((t) => ({ ...t, y: y(t.value) })),
    y,
    ghostMiddle: (i, share) => {
      const from = others[i]
      const to = others[i + 1]
      return from === undefined || to === undefined ? undefined : y(profile(kinds[i]!, from, to, share))
    },
    ghost: alike ? ghostLine(ghost, path, places, y) : '',
    ghostEnd: others.at(-1),
  }
}

/** Which piece of a leg stands at a share of it, and how warm the charge is there. */
function along(
  leg: LegView,
  pair: Piece | undefined,
  which: number,
): { places: [number, number][]; at: (share: number) => number; degrees: (share: number) => number } {
  const pieces = pair?.kind === 'pair' ? (pair.legs[which]?.path ?? []) : []
  const places = spans(
    leg.pieces.map((_, i) => (pieces[i] ? weightOf(pieces[i]!) : 1)),
    0,
    1,
  )
  const at = (share: number) =>
    Math.max(
      0,
      places.findIndex(([, end]) => share <= end + 1e-9),
    )
  const degrees = (share: number) => {
    const i = at(share)
    const [from, to] = places[i]!
    return profile(
      leg.pieces[i]!.kind,
      leg.stations[i]!.temperature_C,
      leg.stations[i + 1]!.temperature_C,
      (share - from) / Math.max(to - from, 1e-9),
    )
  }
  return { places, at, degrees }
}

/** A leg as a thinner band beside the middle of its pair: it parts from the common way and joins it again where there is one. */
function legShape(
  leg: LegView,
  pair: Piece | undefined,
  which: number,
  x0: number,
  x1: number,
  y: (c: number) => number,
  px: number,
  parts: boolean,
  joins: boolean,
): LegShape {
  const { places, at, degrees } = along(leg, pair, which)
  const thick = (share: number) => (leg.stations[at(share) + 1]!.bore_mm * px) / 2
  const side = which === 0 ? -1 : 1
  const ease = (share: number) => {
    const out = parts ? Math.min(share / 0.12, 1) : 1
    const back = joins ? Math.min((1 - share) / 0.12, 1) : 1
    const e = Math.min(out, back)
    return e * e * (3 - 2 * e)
  }
  const middle = (share: number) => y(degrees(share)) + side * ease(share) * (thick(share) + 2)
  const samples = Array.from({ length: 2 * SAMPLES + 1 }, (_, k) => k / (2 * SAMPLES))
  const x = (share: number) => x0 + share * (x1 - x0)
  const band = area<number>()
    .x(x)
    .y0((s) => middle(s) + thick(s))
    .y1((s) => middle(s) - thick(s))
  return {
    name: leg.name,
    share_pct: leg.share_pct,
    body: band(samples)!,
    upper: line<number>()
      .x(x)
      .y((s) => middle(s) - thick(s))(samples)!,
    lower: line<number>()
      .x(x)
      .y((s) => middle(s) + thick(s))(samples)!,
    stops: [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1].map((s) => ({ offset: s, colour: temperatureColour(degrees(s)) })),
    cores: leg.pieces.flatMap((p, i) => {
      if (p.kind !== 'core') return []
      const [from, to] = places[i]!
      return [band(Array.from({ length: 13 }, (_, k) => from + (k / 12) * (to - from)))!]
    }),
  }
}

/** @returns the station of another answer that stands for the same place: by name, the last for the last */
export function sameStation(steady: Line, index: number, other?: Line): StationView | undefined {
  if (!other) return undefined
  if (index === steady.stations.length - 1) return other.stations.at(-1)
  return other.stations.find((s) => s.name === steady.stations[index]!.name)
}

/** Bore in px along a piece: pipes keep theirs, filter, blower and core lead from one bore to the next. */
function thickness(steady: Line, i: number, px: number): (share: number) => number {
  const bore = steady.stations[i + 1]!.bore_mm * px
  const into = i === 0 ? bore : steady.stations[i]!.bore_mm * px
  return ['blower', 'reducer'].includes(steady.pieces[i]!.kind) ? (s) => into + (bore - into) * s : () => bore
}

/** A leaning band looks as thick as a level one when its upright thickness grows with the lean. */
function lean(middle: (share: number) => number, share: number, width: number): number {
  const step = 0.02
  const a = Math.max(share - step, 0)
  const b = Math.min(share + step, 1)
  const slope = (middle(b) - middle(a)) / ((b - a) * width)
  return Math.sqrt(1 + Math.min(slope * slope, 1.2))
}

/** Where numbers stand: the ends and every change of temperature, as far apart as their text needs. */
function plumbs(steady: Line, places: [number, number][], temperatures: number[], y: (c: number) => number): Plumb[] {
  const at = (i: number) => (i === 0 ? places[0]![0] : places[i - 1]![1])
  const last = steady.stations.length - 1
  const turns = steady.stations
    .map((_, i) => i)
    .filter((i) => {
      const before = i > 0 && Math.abs(temperatures[i]! - temperatures[i - 1]!) > 8
      const after = i < last && Math.abs(temperatures[i + 1]! - temperatures[i]!) > 8
      return before || after
    })
  const wanted = [...new Set([0, last, ...turns])].sort((a, b) => a - b)
  const room = 108
  const kept: number[] = []
  for (const i of wanted) {
    const previous = kept.at(-1)
    if (previous !== undefined && at(i) - at(previous) < (i === last && previous !== 0 ? 1.4 * room : room)) {
      if (previous === 0 || i === last) {
        if (i === last) kept[kept.length - 1] = i
        else if (at(i) - at(0) >= room * 0.8) kept.push(i)
        continue
      }
      kept[kept.length - 1] = i
      continue
    }
    kept.push(i)
  }
  return kept.map((i) => ({ index: i, x: at(i), y: y(temperatures[i]!) }))
}

/** Through a pair the other answer goes as its first leg does. */
function ghostLine(ghost: Line, path: Piece[], places: [number, number][], y: (c: number) => number): string {
  const points: [number, number][] = []
  ghost.pieces.forEach((piece, i) => {
    const from = ghost.stations[i]!.temperature_C
    const to = ghost.stations[i + 1]!.temperature_C
    const [x0, x1] = places[i]!
    const leg = piece.legs[0] && along(piece.legs[0], path[i], 0)
    for (let k = 0; k <= SAMPLES; k++) {
      const share = k / SAMPLES
      points.push([x0 + share * (x1 - x0), y(leg ? leg.degrees(share) : profile(piece.kind, from, to, share))])
    }
  })
  return line()(points)!
}

/** A joint is two rings, a throttle a leaf across the stream, an injection point a spray from above. */
export function mark(piece: PieceShape): string {
  const x = (s: number) => piece.x0 + s * (piece.x1 - piece.x0)
  const y = piece.middle(0.5)
  const h = piece.half(0.5)
  if (piece.kind === 'joint') return `M${x(0.25)} ${y - h - 3} V${y + h + 3} M${x(0.75)} ${y - h - 3} V${y + h + 3}`
  if (piece.kind === 'throttle') return `M${x(0.2)} ${y + 3} L${x(0.8)} ${y - 3}`
  return `M${x(0.3)} ${y - h - 6} V${y - h + 2} M${x(0.3)} ${y - h + 2} l6 7 M${x(0.3)} ${y - h + 2} l9 1`
}
