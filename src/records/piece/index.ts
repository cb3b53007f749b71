export { PIECE_MIGRATIONS } from './migrations';
export {
  PIECE_SCHEMA,
  PIECE_VERSION,
  checkPiece,
  newPiece,
  picturesOf,
  readPiece,
  withPictures,
  type Piece,
} from './piece';
