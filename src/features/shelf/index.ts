export { ShelfProvider, useShelf } from './shelf';
export { useFreshPiece, useNewPiece } from './use-new-piece';
export { useObjectUrl, useStoredPicture } from './use-picture';
export { useFirst, useInSlices } from './in-slices';
