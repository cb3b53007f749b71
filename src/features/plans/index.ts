export { PlansProvider, isWaiting, usePlannedPieces, type PlannedPiece } from './plans';
export { partsOf } from './parts-of';
