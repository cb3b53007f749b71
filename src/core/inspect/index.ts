export {
  changeBetween,
  judgePiece,
  type Change,
  type InspectArea,
  type InspectDecision,
  type InspectReason,
  type Judgement,
} from './judge';
export { expectedBlank, type ExpectedBlank, type InspectShapeCode } from './expected';
export { readPiece } from './read-piece';
export type { InspectCode } from './register';
export { seek, type Sought } from './seek';
export type { PieceReading } from './reading';
export { rehearse } from './rehearse';
export {
  KEPT_LETTERS,
  MOST_KEPT_CELLS,
  isPlaced,
  isReadingOf,
  isWholeReading,
  keepReading,
  lastPlaced,
  placedByEye,
  readKept,
  toldWet,
  type KeptReading,
} from './kept-reading';
export type { ExpectedPiece } from './expected-piece';
