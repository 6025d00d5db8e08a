interface Curve {
  low: readonly (number | null)[]
  high: readonly (number | null)[]
}

/** @returns the middle between lowest and highest of each column; null where it has no row */
export const middlesOf = (curve: Curve): (number | null)[] =>
  curve.low.map((low, i) => {
    const high = curve.high[i]
    return low == null || high == null ? null : (low + high) / 2
  })

/**
 * What lies between lowest and highest, column by column: every peak reaches as far as it was measured. Parts where nothing was logged stay open.
 *
 * @param x of a column, px
 * @param y of a value, px
 */
export function bandOf(curve: Curve, x: (column: number) => number, y: (value: number) => number): string {
  let path = ''
  let from = 0
  while (from < curve.low.length) {
    if (curve.low[from] == null) {
      from++
      continue
    }
    let to = from
    while (to < curve.low.length && curve.low[to] != null) to++
    const columns = Array.from({ length: to - from }, (_, k) => from + k)
    const up = columns.map((i) => `${x(i)} ${y(curve.high[i]!)}`)
    const down = columns.reverse().map((i) => `${x(i)} ${y(curve.low[i]!)}`)
    path += `M${[...up, ...down].join('L')}Z`
    from = to
  }
  return path
}
