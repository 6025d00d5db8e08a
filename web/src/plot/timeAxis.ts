import { scaleLinear } from 'd3-scale'
import { clock } from '../quantity/time'

/** A stretch of the duty, engine running or not. */
export interface Stretch {
  from: number
  to: number
  running: boolean
}

export interface TimeAxis {
  x: (seconds: number) => number
  time: (px: number) => number
  ticks: { x: number; label: string }[]
  /** Long waits, drawn short. */
  waits: { x0: number; x1: number; seconds: number }[]
  unit: string
}

/** Waits longer than this are drawn short, so that the runs can be read. */
const LONG_WAIT = 60
const WAIT_PX = 54

/** @returns the stretches that a trace consists of */
export function stretches(time: number[], running: boolean[]): Stretch[] {
  const list: Stretch[] = []
  let from = 0
  for (let i = 0; i < time.length; i++) {
    const last = i === time.length - 1
    if (last || running[i + 1] !== running[i]) {
      list.push({ from, to: time[i]!, running: running[i]! })
      from = time[i]!
    }
  }
  return list
}

/** A part of the time that is looked at, s. */
export interface Window {
  from: number
  to: number
}

/** @returns what of the stretches lies within a window */
function within(list: Stretch[], window: Window): Stretch[] {
  return list.map((s) => ({ ...s, from: Math.max(s.from, window.from), to: Math.min(s.to, window.to) })).filter((s) => s.to > s.from)
}

/**
 * A time axis on which every running second has the same width and long waits are only marked.
 *
 * What lies outside its window is laid out beyond its ends, for lines to leave the plot straight; a place beyond them is told as the end.
 */
export function timeAxis(time: number[], running: boolean[], left: number, right: number, window?: Window): TimeAxis {
  const all = stretches(time, running)
  const inSight = window ? within(all, window) : all
  // A trace that does not reach into the window, as while another is on its way, has a straight axis.
  const list = inSight.length || !window ? inSight : [{ ...window, running: true }]
  const start = window?.from ?? 0
  const short = (s: Stretch) => !s.running && s.to - s.from > LONG_WAIT && list.length > 1
  const waits = list.filter(short)
  const open = list.filter((s) => !short(s)).reduce((sum, s) => sum + s.to - s.from, 0)
  const px = (right - left - waits.length * WAIT_PX) / Math.max(open, 1e-9)
  const domain = [start]
  const range = [left]
  const marked: TimeAxis['waits'] = []
  for (const s of list) {
    const width = short(s) ? WAIT_PX : (s.to - s.from) * px
    if (short(s)) marked.push({ x0: range.at(-1)!, x1: range.at(-1)! + width, seconds: s.to - s.from })
    domain.push(s.to)
    range.push(range.at(-1)! + width)
  }
  const scale = scaleLinear().domain(domain).range(range)
  const end = domain.at(-1)!
  const { ticks, unit } = ticksOf(
    list.filter((s) => !short(s)),
    px,
    scale,
    waits.length > 0,
    start,
  )
  return { x: scale, time: (p) => Math.min(Math.max(scale.invert(p), start), end), ticks, waits: marked, unit }
}

function ticksOf(runs: Stretch[], px: number, x: (s: number) => number, each: boolean, start: number): { ticks: TimeAxis['ticks']; unit: string } {
  const steps = [1, 2, 5, 10, 20, 30, 60, 120, 300, 600, 1200, 1800, 3600]
  const step = steps.find((s) => s * px > (each ? 44 : 62)) ?? 3600
  const ticks: TimeAxis['ticks'] = []
  // Looked at closely the clock goes on from the duty's start; else each run between waits has its own.
  const close = start > 0 || step < 5
  const groups = each && !close ? runs : [{ from: close ? start : 0, to: runs.at(-1)?.to ?? 0 }]
  const minutes = step >= 60
  const label = (t: number) => (close ? clock(t) : String(minutes ? t / 60 : t))
  for (const run of groups) {
    const first = close ? Math.ceil(run.from / step - 1e-9) * step : run.from
    for (let t = first; t <= run.to + 1e-6; t += step) {
      if (!each || !close || runs.some((r) => t >= r.from && t <= r.to)) ticks.push({ x: x(t), label: label(close ? t : t - run.from) })
    }
  }
  return { ticks, unit: close ? 'of the duty' : minutes ? 'minutes' : 'seconds' }
}
