/** Width of a caption at its size and stretch, near enough to tell whether it fits. */
export const PX_PER_LETTER = 6.1
const LINE = 16
const CLEAR = 6

export interface Caption {
  title: string
  price: string
  x: number
  y: number
  /** Stands in two lines that begin at x; any other in one, across it. */
  core: boolean
}

interface Box {
  x0: number
  x1: number
  y0: number
  y1: number
}

function box(c: Caption): Box {
  const line = (c.core ? Math.max(c.title.length, c.price.length) : c.title.length + (c.price ? c.price.length + 1 : 0)) * PX_PER_LETTER
  const x0 = c.core ? c.x : c.x - line / 2
  return { x0, x1: x0 + line, y0: c.y - LINE + CLEAR, y1: c.y + (c.core && c.price ? LINE : 0) }
}

const touch = (a: Box, b: Box): boolean => a.x0 < b.x1 + CLEAR && b.x0 < a.x1 + CLEAR && a.y0 < b.y1 && b.y0 < a.y1

const meets = <T extends Caption>(kept: T[], tried: T): boolean => kept.some((k) => touch(box(k), box(tried)))

/** Cores come before other pieces; where two of them meet the later gives up its price, then the earlier, then the later itself. */
function ofCores<T extends Caption>(cores: T[]): T[] {
  let kept: T[] = []
  for (const c of cores) {
    const bare = kept.map((k) => ({ ...k, price: '' }))
    if (!meets(kept, c)) kept = [...kept, c]
    else if (!meets(kept, { ...c, price: '' })) kept = [...kept, { ...c, price: '' }]
    else if (!meets(bare, c)) kept = [...bare, c]
    else if (!meets(bare, { ...c, price: '' })) kept = [...bare, { ...c, price: '' }]
  }
  return kept
}

/** @returns captions that do not touch: beside a core's own, a piece's gives up its price first, then itself */
export function apart<T extends Caption>(captions: T[]): T[] {
  const kept: T[] = ofCores(captions.filter((c) => c.core))
  for (const c of captions) {
    if (c.core) continue
    const fits = [c, { ...c, price: '' }].find((tried) => !meets(kept, tried))
    if (fits) kept.push(fits)
  }
  return kept
}
