export { ShelfProvider, useShelf } from './shelf';
export { PlansProvider, isWaiting, usePlannedPieces, type PlannedPiece } from './plans';
export { useNewPiece } from './use-new-piece';
export { useObjectUrl, useStoredPicture } from './use-picture';
export { useInSlices } from './in-slices';
