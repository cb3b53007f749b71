export { changedBy } from './changed';
export { MOST_FAULT_NOTES } from './faults';
export { PIECE_MIGRATIONS } from './migrations';
export { MOST_LAYERS } from './picture';
export { MOST_PICTURES, picturesOf, withPictures } from './pictures';
export { MOST_READINGS } from './rub';
export { pieceSchema, PIECE_VERSION, checkPiece, newPiece, pieceInTime, readPiece, type Piece } from './piece';
export { nameLike, numberedName, ownLetteringOf, pieceLike, withOwnLettering, withChoicesOf } from './like';
