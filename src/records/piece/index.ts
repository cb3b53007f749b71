export { MOST_FAULT_NOTES } from './faults';
export { PIECE_MIGRATIONS } from './migrations';
export { MOST_READINGS } from './rub';
export {
  pieceSchema,
  PIECE_VERSION,
  checkPiece,
  newPiece,
  pieceInTime,
  picturesOf,
  readPiece,
  withPictures,
  type Piece,
} from './piece';
export { nameLike, numberedName, ownLetteringOf, pieceLike, withOwnLettering, withPlanOf } from './like';
