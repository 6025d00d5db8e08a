import type { Edit } from './edit'
import { hoseSizes, stockBend, stockWall, tubeSizes, type Bend, type PipeMaterial, type PipePiece } from './types'

/* Tube is known by its outside diameter and its wall, hose by its bore; a bend without a radius of its own is stock of that size. */

const round = (mm: number) => Number(mm.toFixed(3))

/** A pipe of the charge, or a hose of the water, which is of silicone where nothing else is said. */
type Run = Pick<PipePiece, 'outside_mm' | 'bore_mm' | 'wall'> & { material?: PipeMaterial }

const stockOf = (run: Run) => stockWall[run.material ?? 'silicone']

/** @returns mm, wall of a pipe */
const wallOf = (run: Run): number => run.wall?.thickness_mm ?? stockOf(run).wall_mm

/** @returns mm, inside */
export const boreOf = (run: Run): number => (run.outside_mm === undefined ? run.bore_mm! : round(run.outside_mm - 2 * wallOf(run)))

/** @returns mm, what it is sold by */
export const sizeOf = (run: Run): number => (stockOf(run).tube ? round(boreOf(run) + 2 * wallOf(run)) : boreOf(run))

/** @returns mm of the centre line; 0 of a mitre */
export const radiusOf = (bend: Bend, run: Run): number => (bend.mitre ? 0 : (bend.radius_mm ?? round(stockBend * sizeOf(run))))

/** @returns which of its sizes a pipe of a material is known by */
export const sizeKey = (material: PipeMaterial): 'outside_mm' | 'bore_mm' => (stockWall[material].tube ? 'outside_mm' : 'bore_mm')

const nearest = (sizes: number[], to: number): number => sizes.reduce((best, s) => (Math.abs(s - to) < Math.abs(best - to) ? s : best))

/** @returns the size that is sold whose bore comes nearest to one */
export function soldFor(material: PipeMaterial, bore: number): { outside_mm: number } | { bore_mm: number } {
  return stockWall[material].tube ? { outside_mm: nearest(tubeSizes, bore + 2 * stockWall[material].wall_mm) } : { bore_mm: nearest(hoseSizes, bore) }
}

/** Another material: tube for tube keeps its outside, hose for tube is the one that goes over it, and the other way round. */
export function ofMaterial(pipe: PipePiece, at: string, material: PipeMaterial): Edit[] {
  const edits: Edit[] = [{ pointer: `${at}/material`, value: material }]
  if (stockWall[material].tube === stockWall[pipe.material].tube) return edits
  const tube = stockWall[material].tube
  return [
    ...edits,
    { pointer: `${at}/outside_mm`, value: tube ? nearest(tubeSizes, sizeOf(pipe)) : undefined },
    { pointer: `${at}/bore_mm`, value: tube ? undefined : nearest(hoseSizes, sizeOf(pipe)) },
  ]
}
