import { intersection, unionRect, type Blank } from '@/core/shape';
import { foldsIn } from './folds';
import { TOUCHES_MM, boxOf, moved, type FormInput, type RawBlock } from './print-form';

/** One print as it lies on the face; round a whole cylinder it laps over its own beginning. */
export function plainBlock(blank: Blank, { form, place, layers }: FormInput): RawBlock {
  const rect = layers.length === 0 ? place : (intersection(unionRect([place, ...layers]), boxOf(blank)) ?? place);
  const lapped =
    blank.layout.kind === 'plain' &&
    blank.layout.round &&
    rect.widthMm >= blank.widthMm - TOUCHES_MM &&
    place.widthMm >= blank.widthMm - TOUCHES_MM;
  const seam = lapped ? form.seamMm : 0;
  const at = moved(place, -rect.xMm, -rect.yMm);
  const picture = {
    at,
    face: { xMm: place.xMm, yMm: place.yMm },
    from: { xMm: 0, yMm: 0 },
    flipX: false,
    flipY: false,
  };
  const view = { at: boxOf(rect), face: { xMm: rect.xMm, yMm: rect.yMm } };
  const lapAt = { xMm: rect.widthMm, yMm: 0, widthMm: seam, heightMm: rect.heightMm };
  return {
    whole: rect,
    reach: [],
    block: {
      widthMm: rect.widthMm + seam,
      heightMm: rect.heightMm,
      part: null,
      bent: null,
      solids: [],
      pictures:
        seam > 0
          ? [
              picture,
              {
                ...picture,
                at: { ...at, xMm: lapAt.xMm, widthMm: seam },
                face: { xMm: rect.xMm, yMm: place.yMm },
                lap: true,
              },
            ]
          : [picture],
      views: seam > 0 ? [view, { at: lapAt, face: view.face, lap: true }] : [view],
      folds: [
        ...foldsIn(blank, rect),
        ...(seam > 0 ? [{ x1: lapAt.xMm, y1: 0, x2: lapAt.xMm, y2: rect.heightMm }] : []),
      ],
    },
  };
}
