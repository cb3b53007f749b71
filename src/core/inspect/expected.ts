/** What photos of a planned piece are read against, besides its picture. */
import { linearColour } from '@/core/colour';
import { OPAQUE_WHITE, wettedShares } from '@/core/render';
import { fail, ok, type Result } from '@/core/shared';
import { intersection, ringsBox, type RectMm } from '@/core/shape';
import type { PiecePlan } from '@/core/stations';
import type { ExpectedPiece } from './expected-piece';

export type InspectShapeCode = 'piece-unplanned' | 'piece-not-flat';

/** The blank under and round the print; the print's bounding box as it lands, mm of the face. */
export type ExpectedBlank = Pick<ExpectedPiece, 'margin' | 'ground' | 'wetted' | 'white'> & { box: RectMm };

export function expectedBlank({ surface, method }: PiecePlan): Result<ExpectedBlank, InspectShapeCode> {
  const { print, blank, look, groundColour } = surface;
  if (!print || !blank || !look || print.formed.landed.length === 0)
    return fail('piece-unplanned', 'expected a picture on a measured blank');
  if (blank.layout.kind === 'bent') return fail('piece-not-flat', 'expected a face that one photo shows, got a vessel');
  // A photo from above shows the front of a wrapped canvas, not its sides.
  const isWrapped = blank.layout.kind === 'sides';
  const face = isWrapped ? blank.front : { xMm: 0, yMm: 0, widthMm: blank.widthMm, heightMm: blank.heightMm };
  const box = intersection(ringsBox(print.formed.landed), face);
  if (!box) return fail('piece-unplanned', 'expected a picture on the front');
  return ok({
    box,
    margin:
      blank.isFullRectangle || isWrapped
        ? {
            leftMm: Math.max(0, box.xMm - face.xMm),
            topMm: Math.max(0, box.yMm - face.yMm),
            rightMm: Math.max(0, face.xMm + face.widthMm - box.xMm - box.widthMm),
            bottomMm: Math.max(0, face.yMm + face.heightMm - box.yMm - box.heightMm),
          }
        : null,
    ground: linearColour(groundColour),
    wetted: [...wettedShares(look)],
    white: method.binder?.base === 'white' ? linearColour(OPAQUE_WHITE) : null,
  });
}
