/** Height of the duty's picture under the plot, px. */
export const STRIP_HEIGHT = 42
/** Height of a rail that tells when a fan, pump or chiller works. */
export const RAIL = 14

/** @returns height that so many rails take */
export const railsHeight = (rails: number): number => (rails ? 6 + RAIL * rails : 0)
