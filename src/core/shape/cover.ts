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

/** Of outlines on the blank, the area that hands reach: without what is tucked behind, mm². */
export const reachedAreaMm2 = (blank: Blank, rings: readonly Ring[]): number =>
  coveredAreaMm2({ ...blank, parts: blank.reached, areaMm2: reachedFaceMm2(blank) }, rings);

/** The face that is reached, less its openings, mm². */
export const reachedFaceMm2 = ({ reached, parts, areaMm2: faceMm2 }: Blank): number =>
  faceMm2 - sum(parts.map(({ areaMm2 }) => areaMm2)) + sum(reached.map(({ areaMm2 }) => areaMm2));

/** The sides of a blank so thick that the print leaves bare, mm²: none where they are folded in or it closes round. */
export function bareSidesMm2({ layout, parts }: Blank, thicknessMm: number | null): number {
  if (
    thicknessMm === null ||
    layout.kind === 'sides' ||
    layout.kind === 'bent' ||
    (layout.kind === 'plain' && layout.round)
  )
    return 0;
  return thicknessMm * sum(parts.map(({ ring }) => ringLengthMm(ring)));
}

const ringLengthMm = (ring: Ring): number =>
  sum(
    ring.map(({ xMm, yMm }, index) => {
      const next = ring[(index + 1) % ring.length]!;
      return Math.hypot(next.xMm - xMm, next.yMm - yMm);
    }),
  );

/** Where a coat goes that reaches past a landed print by some millimetres, on the blank. */
export const coatRings = (blank: Blank, landed: readonly Ring[], pastMm: number): Ring[] =>
  onBlank(blank, pastMm > 0 ? offsetRings(landed, pastMm) : landed);
