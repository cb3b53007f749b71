export { areaMm2, grownWithin, insideMargins, intersection, largestInside, unionRect, type MarginsMm, type RectMm, type SizeMm } from './rectangle';
export { coatPaths, coveredAreaMm2, isPlainRectangle, resolveBlank, type Blank, type BlankPart, type BlankShape, type Opening, type ShapeCode, type ShapeKind } from './blank';
export { fanAreaMm2, fanBox, fanOf, type Fan } from './fan';
export { intersectRings, offsetRings, ovalRing, rectRing, ringAreaMm2, ringBox, ringPath, ringsAreaMm2, type PointMm, type Ring } from './polygon';
export { readSvgOutline, type OutlineCode, type SvgOutline } from './svg-outline';
