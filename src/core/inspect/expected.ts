/** What photos of a planned piece are read against, besides its picture. */
import { linearColour } from '@/core/colour';
import { OPAQUE_WHITE, wettedShares } from '@/core/render';
import { fail, ok, type Result } from '@/core/shared';
import { ringsBox, type RectMm } from '@/core/shape';
import type { PiecePlan } from '@/core/stations';
import type { ExpectedPiece } from './read-piece';

export type InspectShapeCode = 'piece-unplanned' | 'piece-not-flat';

/** The blank under and round the print; the print's bounding box as it lands, mm of the face. */
export type ExpectedBlank = Pick<ExpectedPiece, 'margin' | 'ground' | 'wetted' | 'white'> & { box: RectMm };

export function expectedBlank({ surface, method }: PiecePlan): Result<ExpectedBlank, InspectShapeCode> {
  const { print, blank, look, groundColour } = surface;
  if (!print || !blank || !look || print.formed.landed.length === 0)
    return fail('piece-unplanned', 'expected a picture on a measured blank');
  if (blank.layout.kind !== 'plain') return fail('piece-not-flat', `expected one flat face, got ${blank.layout.kind}`);
  const box = ringsBox(print.formed.landed);
  return ok({
    box,
    margin: blank.isFullRectangle
      ? {
          leftMm: Math.max(0, box.xMm),
          topMm: Math.max(0, box.yMm),
          rightMm: Math.max(0, blank.widthMm - box.xMm - box.widthMm),
          bottomMm: Math.max(0, blank.heightMm - box.yMm - box.heightMm),
        }
      : null,
    ground: linearColour(groundColour),
    wetted: [...wettedShares(look)],
    white: method.binder?.base === 'white' ? linearColour(OPAQUE_WHITE) : null,
  });
}
