export { areaMm2, insideMargins, intersection, largestInside, unionRect, type MarginsMm, type RectMm, type SizeMm } from './rectangle';
export { coatRings, coveredAreaMm2, onBlank, resolveBlank, type Blank, type BlankPart, type BlankShape, type Opening, type ShapeCode, type ShapeKind } from './blank';
export { bendOf, bendPoint, bendRect, curlPoint, fanAreaMm2, fanBox, fanOf, unbendPoint, type Bend, type BentBlock, type Fan } from './fan';
export { intersectRings, movedRing, offsetRings, ovalRing, rectRing, ringAreaMm2, ringBox, ringPath, ringsAreaMm2, ringsBox, signedAreaMm2, subtractRings, uniteRings, type PointMm, type Ring } from './polygon';
export { readSvgOutline, type OutlineCode, type SvgOutline } from './svg-outline';
