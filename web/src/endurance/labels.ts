import { bisectLeft } from 'd3-array'
import type { SpreadView, TraceView } from '../api/client'
import type { TimeAxis } from '../plot/timeAxis'

/** Half of a name's width, px. */
const LABEL = 74

/** The plot's edges and where its cursor stands, px. */
export interface Frame {
  left: number
  right: number
  top: number
  bottom: number
  cursor: number
}

const valueAt = (t: TraceView, time: number): number => t.intake_C[Math.min(bisectLeft(t.time_s, time), t.time_s.length - 1)]!

/** Labels of the two lines stand where the lines are furthest apart in the last two thirds of what is in sight, clear of the cursor. */
export function linesNamed(t: TraceView, ghost: TraceView | undefined, axis: TimeAxis, y: (value: number) => number, frame: Frame) {
  const n = t.time_s.length
  let best = -1
  let gap = -1
  for (let i = Math.floor(n * 0.35); i < n * 0.8; i++) {
    const px = axis.x(t.time_s[i]!)
    if (px < frame.left || px > frame.right) continue
    if (!t.running[i] || Math.abs(px - frame.cursor) < LABEL || axis.waits.some((w) => px > w.x0 - LABEL && px < w.x1 + LABEL)) continue
    const there = ghost ? valueAt(ghost, t.time_s[i]!) : t.intake_C[i]! + 10
    if (Math.abs(there - t.intake_C[i]!) > gap) {
      gap = Math.abs(there - t.intake_C[i]!)
      best = i
    }
  }
  const fits = best >= 0
  if (!fits) best = t.running.lastIndexOf(true, Math.floor(n * 0.6))
  if (best < 0) best = Math.floor(n * 0.6)
  const x = Math.min(Math.max(axis.x(t.time_s[best]!), frame.left + 60), frame.right - 80)
  const mine = y(t.intake_C[best]!)
  const theirs = ghost ? y(valueAt(ghost, t.time_s[best]!)) : 0
  // A line by itself has its name above it; a name never leaves the plot.
  const below = !!ghost && theirs <= mine
  const within = (at: number, other: number) => (at > frame.bottom - 6 || at < frame.top + 10 ? other : at)
  return {
    x,
    fits,
    mine: below ? within(mine + 24, mine - 14) : within(mine - 14, mine + 24),
    theirs: below ? within(theirs - 14, theirs + 24) : within(theirs + 24, theirs - 14),
  }
}

/** @returns the outline of a band, one closed piece for each run */
export function bandOutline(b: SpreadView, x: (seconds: number) => number, y: (value: number) => number): string {
  const pieces: string[] = []
  const point = (i: number, value: number) => `${x(b.time_s[i]!).toFixed(1)} ${y(value).toFixed(1)}`
  let from = 0
  const close = (to: number) => {
    if (to <= from) return
    const up = Array.from({ length: to - from }, (_, k) => point(from + k, b.high_C[from + k]!))
    const down = Array.from({ length: to - from }, (_, k) => point(to - 1 - k, b.low_C[to - 1 - k]!))
    pieces.push(`M${[...up, ...down].join('L')}Z`)
  }
  b.time_s.forEach((_, i) => {
    if (b.low_C[i] == null) {
      close(i)
      from = i + 1
    }
  })
  close(b.time_s.length)
  return pieces.join('')
}
