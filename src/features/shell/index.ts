export { Shell } from './shell';
export { useSettings } from './settings';
export { useNotice } from './notices';
export { useDemo } from './demo';
export { usePlannedPieces, useShelf, type PlannedPiece } from './use-shelf';
export { useNewPiece } from './use-new-piece';
export { newId } from './ids';
export { useObjectUrl, useStoredPicture } from './use-picture';
export { stepWords } from './step-words';
