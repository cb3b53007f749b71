/** A blank from its photo: outline, size, face, grain and knots, and how a picture lies best on it. */
export { cornersApart, traceBoard, type TraceCode, type TracedBoard } from './board';
export { mirroredChoice, proposePlacements, turnedShare, type PlacedOn, type Placement } from './placements';
export { faceOf, type Face } from './wood';
