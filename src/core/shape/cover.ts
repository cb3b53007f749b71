import { sum } from '@/core/shared';
import { openingRing, type Blank } from './blank';
import { intersectRings, offsetRings, ringBox, signedAreaMm2, subtractRings, type Ring } from './polygon';
import type { RectMm, SizeMm } from './rectangle';

/**
 * What outlines cover of the blank: inside its parts, outside its openings. Outer rings and holes run in opposite ways.
 */
export function onBlank(blank: Blank, rings: readonly Ring[]): Ring[] {
  if (blank.isFullRectangle && rings.length === 1 && boxInside(ringBox(rings[0]!), blank)) return [...rings];
  const inside = intersectRings(
    blank.parts.map((part) => part.ring),
    rings,
  );
  return blank.openings.length === 0 ? inside : subtractRings(inside, blank.openings.map(openingRing));
}

const boxInside = (box: RectMm, size: SizeMm): boolean =>
  box.xMm >= 0 && box.yMm >= 0 && box.xMm + box.widthMm <= size.widthMm && box.yMm + box.heightMm <= size.heightMm;

/** Area of the blank that outlines cover, mm². */
export function coveredAreaMm2(blank: Blank, rings: readonly Ring[]): number {
  // The whole face is known exactly; circles of polygons are a trifle short.
  if (rings.length === 1 && rings[0]!.length === 4) {
    const box = ringBox(rings[0]!);
    if (
      box.xMm <= 0 &&
      box.yMm <= 0 &&
      box.xMm + box.widthMm >= blank.widthMm &&
      box.yMm + box.heightMm >= blank.heightMm
    )
      return blank.areaMm2;
  }
  return Math.abs(sum(onBlank(blank, rings).map(signedAreaMm2)));
}

/** Where a coat goes that reaches past a landed print by some millimetres, on the blank. */
export const coatRings = (blank: Blank, landed: readonly Ring[], pastMm: number): Ring[] =>
  onBlank(blank, pastMm > 0 ? offsetRings(landed, pastMm) : landed);
