import type { PieceView } from './client'

/** @returns every piece of an answer, those in the legs of pairs among them */
export const allPieces = (pieces: readonly PieceView[]): PieceView[] => pieces.flatMap((p) => [p, ...p.legs.flatMap((leg) => allPieces(leg.pieces))])
