import {
  bendRect,
  intersection,
  rectRing,
  ringsBox,
  uniteRings,
  unionRect,
  type Blank,
  type PaperLayout,
} from '@/core/shape';
import { TOUCHES_MM, boxOf, type FormInput, type RawBlock } from './print-form';

/** A print bent to a vessel's side; round a whole one it has a glue edge that repeats its beginning. */
export function bentBlock(
  blank: Blank,
  { form, place, layers }: FormInput,
  { bend, round }: Extract<PaperLayout, { kind: 'bent' }>,
): RawBlock {
  const lapped = round && place.widthMm >= bend.plane.widthMm - TOUCHES_MM;
  const seam = lapped ? form.seamMm : 0;
  const ring = bendRect(bend, place);
  const paper = seam > 0 ? bendRect(bend, { ...place, widthMm: place.widthMm + seam }) : ring;
  const faceBox = unionRect([
    ringsBox([paper]),
    ...layers.map((layer) => intersection(layer, boxOf(blank))).filter((rect) => rect !== null),
  ]);
  const end = seam > 0 ? bendRect(bend, { ...place, xMm: place.xMm + place.widthMm, widthMm: seam }) : [];
  const reach = layers.length === 0 ? ring : (uniteRings([ring, ...layers.map(rectRing)])[0] ?? ring);
  const [top, bottom] = [end[0]!, end.at(-1)!];
  return {
    whole: ringsBox([ring]),
    reach,
    block: {
      widthMm: faceBox.widthMm,
      heightMm: faceBox.heightMm,
      part: null,
      solids: [],
      pictures: [],
      views: [{ at: boxOf(faceBox), face: { xMm: faceBox.xMm, yMm: faceBox.yMm } }],
      bent: { bend, origin: { xMm: faceBox.xMm, yMm: faceBox.yMm }, place, seamMm: seam },
      folds:
        seam > 0
          ? [
              {
                x1: top.xMm - faceBox.xMm,
                y1: top.yMm - faceBox.yMm,
                x2: bottom.xMm - faceBox.xMm,
                y2: bottom.yMm - faceBox.yMm,
              },
            ]
          : [],
    },
  };
}
