/**
 * Which points of a line are drawn: of all that fall on one column of the screen the first, the last, the lowest and the highest. What is
 * drawn looks the same as with every point, and no peak is lost; a log of a hundred thousand rows draws as quickly as one of a thousand.
 *
 * @param x of each point, px, rising
 * @param values of each; what is no number parts the line
 * @returns indices, rising
 */
export function drawnPoints(x: (index: number) => number, values: ArrayLike<number | null>): number[] {
  const kept: number[] = []
  let from = 0
  while (from < values.length) {
    const column = Math.floor(x(from))
    let to = from + 1
    while (to < values.length && Math.floor(x(to)) === column) to++
    kept.push(...ofColumn(values, from, to))
    from = to
  }
  return kept
}

function ofColumn(values: ArrayLike<number | null>, from: number, to: number): number[] {
  if (to - from <= 4) return Array.from({ length: to - from }, (_, k) => from + k)
  let low = from
  let high = from
  const gaps: number[] = []
  for (let i = from; i < to; i++) {
    const v = values[i]
    if (v == null || Number.isNaN(v)) {
      if (gaps.length === 0) gaps.push(i)
      continue
    }
    if (!(values[low]! <= v)) low = i
    if (!(values[high]! >= v)) high = i
  }
  return [...new Set([from, low, high, ...gaps, to - 1])].sort((a, b) => a - b)
}
