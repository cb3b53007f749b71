export { LoadedPiece } from './loaded-piece';
export { PiecePage } from './piece-page';
