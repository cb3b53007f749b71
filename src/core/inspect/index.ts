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
export { readPiece, seek, type InspectCode, type Sought } from './read-piece';
export type { PieceReading } from './reading';
export { rehearse } from './rehearse';
export {
  KEPT_LETTERS,
  MOST_KEPT_CELLS,
  isReadingOf,
  isWholeReading,
  keepReading,
  readKept,
  toldWet,
  type KeptReading,
} from './kept-reading';
export type { ExpectedPiece } from './expected-piece';
