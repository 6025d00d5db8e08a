import { scaleLinear } from 'd3-scale'

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

/** A time axis on which every running second has the same width and long waits are only marked. */
export function timeAxis(time: number[], running: boolean[], left: number, right: number): TimeAxis {
  const list = stretches(time, running)
  const short = (s: Stretch) => !s.running && s.to - s.from > LONG_WAIT && list.length > 1
  const waits = list.filter(short)
  const open = list.filter((s) => !short(s)).reduce((sum, s) => sum + s.to - s.from, 0)
  const px = (right - left - waits.length * WAIT_PX) / Math.max(open, 1e-9)
  const domain = [0]
  const range = [left]
  const marked: TimeAxis['waits'] = []
  for (const s of list) {
    const width = short(s) ? WAIT_PX : (s.to - s.from) * px
    if (short(s)) marked.push({ x0: range.at(-1)!, x1: range.at(-1)! + width, seconds: s.to - s.from })
    domain.push(s.to)
    range.push(range.at(-1)! + width)
  }
  const scale = scaleLinear().domain(domain).range(range).clamp(true)
  const { ticks, unit } = ticksOf(
    list.filter((s) => !short(s)),
    px,
    scale,
    waits.length > 0,
  )
  return { x: scale, time: (p) => scale.invert(p), ticks, waits: marked, unit }
}

function ticksOf(runs: Stretch[], px: number, x: (s: number) => number, each: boolean): { ticks: TimeAxis['ticks']; unit: string } {
  const steps = [5, 10, 20, 30, 60, 120, 300, 600, 1200, 1800, 3600]
  const step = steps.find((s) => s * px > (each ? 44 : 62)) ?? 3600
  const minutes = step >= 60
  const ticks: TimeAxis['ticks'] = []
  const groups = each ? runs : [{ from: 0, to: runs.at(-1)?.to ?? 0, running: true }]
  for (const run of groups) {
    for (let t = 0; t <= run.to - run.from + 1e-6; t += step) ticks.push({ x: x(run.from + t), label: String(minutes ? t / 60 : t) })
  }
  return { ticks, unit: minutes ? 'minutes' : 'seconds' }
}
