export { areaMm2, grownWithin, insideMargins, largestInside, type MarginsMm, type RectMm, type SizeMm } from './rectangle';
