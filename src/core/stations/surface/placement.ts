import {
  cropAspect,
  cropPixels,
  cropToAspect,
  effectivePpi,
  frameSize,
  keptFull,
  largestAcceptableWidthMm,
  ratioAspect,
  resolutionVerdict,
  type Crop,
} from '@/core/picture';
import { coatPlaces } from '@/core/coat';
import { coveredAreaMm2, largestInside, reachedAreaMm2, type Blank, type RectMm } from '@/core/shape';
import { formPrint } from '@/core/sheet';
import type { PrintPlan } from '../answers';
import type { Job, PictureFacts } from '../job';

/** The picture cropped to the window's shape, placed in it, and formed as it is printed. */
export function placePrint(
  job: Job,
  facts: PictureFacts,
  { window, blank, coarse }: { window: RectMm; blank: Blank; coarse: boolean },
): PrintPlan {
  const choice = job.picture;
  const frame = frameSize(facts, choice);
  const wanted = ratioAspect(choice.ratio, window.widthMm / window.heightMm);
  const shaped = wanted === null ? choice.crop : cropToAspect(choice.crop, frame, wanted);
  const crop = keptFull(shaped, frame, choice.straightenDeg);
  const place = largestInside(window, wanted ?? cropAspect(crop, frame));
  const moved = choice.layers.filter((layer) => layer.mode === 'transfer' && layer.box.widthMm > 0);
  const formed = formPrint(
    blank,
    job.sheet.form,
    place,
    moved.map((layer) => layer.box),
    motifOf(job, crop),
  );
  const croppedPx = cropPixels(crop, frame);
  const ppi = effectivePpi(croppedPx, place);
  return {
    rect: formed.rect,
    formed,
    picture: place,
    areaMm2: coveredAreaMm2(blank, formed.landed),
    reachedMm2: reachedAreaMm2(blank, formed.landed),
    coat: coatPlaces(blank, formed.landed, job.lay.extendMm),
    crop,
    croppedPx: { widthPx: croppedPx.widthPx, heightPx: croppedPx.heightPx },
    ppi,
    verdict: resolutionVerdict(ppi, coarse),
    largestWidthMm: largestAcceptableWidthMm(croppedPx, coarse),
  };
}

/** Which picture, turned how, a motif's outline belongs to. */
export const motifKey = ({ pictureId, turns, straightenDeg }: Job['picture']): string =>
  `${pictureId} ${turns} ${straightenDeg}`;

/** The motif's outline in shares of the crop; null where it is not asked for, or belongs to another picture. */
function motifOf({ picture, sheet }: Job, crop: Crop): { x: number; y: number }[][] | null {
  if (sheet.form.edge !== 'motif' || sheet.motif?.of !== motifKey(picture)) return null;
  return sheet.motif.rings.map((ring) =>
    ring.map(({ x, y }) => ({ x: (x - crop.x) / crop.width, y: (y - crop.y) / crop.height })),
  );
}
