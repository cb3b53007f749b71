export { ShelfProvider, useShelf } from './shelf';
export { PlansProvider, isWaiting, usePlannedPieces, type PlannedPiece } from './plans';
export { useFreshPiece, useNewPiece } from './use-new-piece';
export { partsOf } from './parts-of';
export { useObjectUrl, useStoredPicture } from './use-picture';
export { useFirst, useInSlices } from './in-slices';
