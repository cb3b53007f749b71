import { fail, ok } from '@/core/shared';
import { blankOf, goesRound, middleOf, type Blank } from '../blank';
import { bendOf, bendPoint, bendRect, fanAreaMm2, fanBox, fanOf } from '../fan';
import { unrolled } from './cylinder';
import type { ShapeKindRecord } from './kind';

/** The width is the diameter at the top, the height the slant height along the side. */
export interface VesselShape {
  kind: 'vessel';
  bottomMm: number;
  shareOfRound: number;
}

/** Diameters that differ by less are those of a cylinder. */
const SAME_MM = 0.05;
const BOTTOM_SHARE = 0.75;

export const vessel: ShapeKindRecord<VesselShape> = {
  kind: 'vessel',
  defaults: (widthMm) => ({ kind: 'vessel', bottomMm: Math.round(widthMm * BOTTOM_SHARE), shareOfRound: 0.5 }),
  sizes: { width: 'top-diameter', height: 'side-height' },
  coversEdges: false,
  seenInPart: true,
  gripped: null,
  resolve: ({ bottomMm, shareOfRound }, { widthMm: topMm, heightMm: slantMm }) => {
    if (Math.abs(topMm - bottomMm) < SAME_MM) return ok(unrolled({ widthMm: topMm, heightMm: slantMm }, shareOfRound));
    // A side shorter than half the difference of the diameters would be a cone turned inside out.
    const leastMm = Math.abs(topMm - bottomMm) / 2;
    if (slantMm <= leastMm) return fail('shape-flat', `expected a slant height over ${leastMm} mm, got ${slantMm} mm`);
    return ok(fanned({ topMm, bottomMm, slantMm, shareOfRound }));
  },
};

interface Side {
  topMm: number;
  bottomMm: number;
  slantMm: number;
  shareOfRound: number;
}

/** The side laid flat: a piece of a ring, its wide end where the vessel's is. */
function fanned({ topMm, bottomMm, slantMm, shareOfRound }: Side): Blank {
  const wideUp = topMm > bottomMm;
  const [largerMm, smallerMm] = [Math.max(topMm, bottomMm), Math.min(topMm, bottomMm)];
  const fan = fanOf(largerMm, smallerMm, slantMm, shareOfRound);
  const box = fanBox(fan);
  const bend = bendOf(fan, wideUp);
  // Anticlockwise from the outer arc's left end, whichever way up.
  const at = (share: number, outer: boolean) =>
    bendPoint(bend, { xMm: share * bend.plane.widthMm, yMm: outer === wideUp ? 0 : bend.plane.heightMm });
  const [outerLeft, outerRight, innerRight, innerLeft] = [at(0, true), at(1, true), at(1, false), at(0, false)];
  const large = fan.angleRad > Math.PI ? 1 : 0;
  const [there, back] = wideUp ? [1, 0] : [0, 1];
  const { outerRadiusMm, innerRadiusMm } = fan;
  const path = [
    `M${outerLeft.xMm} ${outerLeft.yMm}`,
    `A${outerRadiusMm} ${outerRadiusMm} 0 ${large} ${there} ${outerRight.xMm} ${outerRight.yMm}`,
    `L${innerRight.xMm} ${innerRight.yMm}`,
    `A${innerRadiusMm} ${innerRadiusMm} 0 ${large} ${back} ${innerLeft.xMm} ${innerLeft.yMm}Z`,
  ].join('');
  const ring = bendRect(bend, { xMm: 0, yMm: 0, ...bend.plane });
  return blankOf({
    size: box,
    parts: [{ ring, path, box: { xMm: 0, yMm: 0, ...box }, areaMm2: fanAreaMm2(fan) }],
    front: middleOf(box, largerMm),
    standing: { topMm, bottomMm, sideMm: slantMm, shareOfRound, bend },
    layout: { kind: 'bent', bend, round: goesRound(shareOfRound) },
  });
}
