/** The build file (docs/build-file.md) as the page names it; its types are made from the program's own records. */
import { fittingLossWords, type DutyPiece, type LoopPiece, type Piece } from './document'

export * from './document'

/** What stands in a list: its identity stays with it while others come and go. */
export interface Row {
  id?: string
}

export type PieceKind = Piece['kind']
export type LoopPieceKind = LoopPiece['kind']
export type DutyPieceKind = DutyPiece['kind']

export const FITTINGS = fittingLossWords
