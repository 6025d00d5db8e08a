/** Seconds as people say them on a stopwatch: 0:06, 12:40, 1:02:10. */
export function clock(seconds: number): string {
  const s = Math.round(seconds)
  const two = (n: number) => String(n).padStart(2, '0')
  const hours = Math.floor(s / 3600)
  const minutes = Math.floor((s % 3600) / 60)
  return hours > 0 ? `${hours}:${two(minutes)}:${two(s % 60)}` : `${minutes}:${two(s % 60)}`
}

/** Seconds in words: 40 s, 12 min, 1 h 10 min. */
export function span(seconds: number): string {
  if (seconds < 100) return `${Math.round(seconds)} s`
  const minutes = Math.round(seconds / 60)
  if (minutes < 60) return `${minutes} min`
  const rest = minutes % 60
  return rest === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${rest} min`
}

/** "28 Nov 2026" */
export function day(when: string): string {
  return new Date(when).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })
}
