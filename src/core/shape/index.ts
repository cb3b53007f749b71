export {
  areaMm2,
  insideMargins,
  intersection,
  largestInside,
  unionRect,
  type MarginsMm,
  type RectMm,
  type SizeMm,
} from './rectangle';
export {
  PLAIN_LAYOUT,
  bendFor,
  goesRound,
  type Blank,
  type Opening,
  type PaperLayout,
  type ShapeCode,
  type Standing,
} from './blank';
export { bareSidesMm2, coatRings, coveredAreaMm2, onBlank, reachedAreaMm2, reachedFaceMm2 } from './cover';
export { SHAPE_KINDS, resolveBlank, shapeKind, type BlankShape, type ShapeKind, type SizeMeaning } from './kinds';
export { bendOf, bendPoint, bendRect, curlPoint, fanOf, unbendPoint, type Bend, type BentBlock } from './fan';
export {
  containsPoint,
  intersectRings,
  movedRing,
  offsetRings,
  ovalRing,
  rectRing,
  ringAreaMm2,
  ringBox,
  ringPath,
  ringsAreaMm2,
  ringsBox,
  signedAreaMm2,
  subtractRings,
  uniteRings,
  type PointMm,
  type Ring,
} from './polygon';
// The reader of drawings loads when a drawing is read: import './svg-outline' then.
export type { OutlineCode, SvgOutline } from './svg-outline';
