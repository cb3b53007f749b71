/** Where a print ends: cut inside its edge, torn, close round a motif, at folded corners, or at a fan's glue edge. */
import {
  bendPoint,
  bendRect,
  intersectRings,
  movedRing,
  offsetRings,
  rectRing,
  signedAreaMm2,
  subtractRings,
  uniteRings,
  type BentBlock,
  type Blank,
  type RectMm,
  type Ring,
} from '@/core/shape';
import type { Line } from '../line';
import { boxOf, type FaceView, type PrintBlock, type PrintForm, type RawBlock } from './print-form';
import { tornRing } from './torn-edge';

/** The motif's outline on the face, stretch by stretch. */
export function motifRings(
  blocks: readonly Pick<PrintBlock, 'pictures' | 'bent'>[],
  place: RectMm,
  motif: readonly (readonly { x: number; y: number }[])[] | null,
): readonly Ring[] | null {
  if (!motif) return null;
  return blocks.flatMap(({ pictures, bent }) =>
    bent
      ? motif.map((ring) =>
          ring.map(({ x, y }) =>
            bendPoint(bent.bend, { xMm: place.xMm + x * place.widthMm, yMm: place.yMm + y * place.heightMm }),
          ),
        )
      : pictures
          .filter(({ flipX, flipY }) => !flipX && !flipY)
          .flatMap(({ at, face, from }) => {
            const rings = motif.map((ring) =>
              ring.map(({ x, y }) => ({
                xMm: face.xMm + x * place.widthMm - from.xMm,
                yMm: face.yMm + y * place.heightMm - from.yMm,
              })),
            );
            return intersectRings(rings, [rectRing({ ...at, ...face })]);
          }),
  );
}

/** What is left of the covered face once the print's edge is cut inside, torn, or cut round the motif. */
export function edged(
  onFace: readonly Ring[],
  form: PrintForm,
  motif: readonly Ring[] | null,
): { rings: readonly Ring[]; changed: boolean } {
  const cut = form.trimMm > 0 ? offsetRings(onFace, -form.trimMm) : onFace;
  if (form.edge === 'motif' && motif && motif.length > 0)
    return { rings: intersectRings(offsetRings(motif, form.motifMm, 'round'), cut), changed: true };
  if (form.edge === 'torn' && form.tornMm > 0) {
    const torn = intersectRings(
      cut.map((ring) => tornRing(ring, form.tornMm)),
      cut,
    );
    // Where two sides meet the line may cross itself: such a loop is a scrap.
    return { rings: torn.filter((ring) => Math.abs(signedAreaMm2(ring)) > form.tornMm ** 2), changed: true };
  }
  return { rings: cut, changed: form.trimMm > 0 };
}

export function finished(
  blank: Blank,
  form: PrintForm,
  block: RawBlock['block'],
  landed: readonly Ring[],
  reach: Ring,
): PrintBlock {
  const box = boxOf(block);
  const own = block.bent && block.bent.seamMm > 0 ? seamed(block.bent, landed, reach) : landed;
  let rings = block.views.flatMap(({ at, face }) => {
    const [dx, dy] = [at.xMm - face.xMm, at.yMm - face.yMm];
    const mine =
      block.views.length === 1 && block.part === null ? own : intersectRings(own, [rectRing({ ...at, ...face })]);
    return mine.map((ring) => movedRing(ring, dx, dy));
  });
  const folds = [...block.folds];
  if (blank.layout.kind === 'sides' && form.corners === 'fold' && form.edge === 'cut') {
    rings = [rectRing(box)];
    folds.push(...cornerFolds(blank, block.views[0]!));
  }
  const plain =
    rings.length === 1 &&
    rings[0]!.length === 4 &&
    Math.abs(Math.abs(signedAreaMm2(rings[0]!)) - box.widthMm * box.heightMm) < 0.01;
  return { ...block, folds, cut: plain ? null : rings };
}

/** A fan's cut line with its glue edge. */
const seamed = ({ bend, place, seamMm }: BentBlock, landed: readonly Ring[], reach: Ring): Ring[] =>
  uniteRings([
    ...landed,
    ...subtractRings(
      [bendRect(bend, { ...place, xMm: place.xMm + place.widthMm - 0.02, widthMm: seamMm + 0.02 })],
      [reach],
    ),
  ]);

/** Folded corners: a crease from the front's corner out, halving the square. */
function cornerFolds(blank: Blank, { at, face }: FaceView): Line[] {
  const { xMm, yMm, widthMm, heightMm } = blank.front;
  const [dx, dy] = [at.xMm - face.xMm, at.yMm - face.yMm];
  const line = (x1: number, y1: number, x2: number, y2: number): Line => ({
    x1: x1 + dx,
    y1: y1 + dy,
    x2: x2 + dx,
    y2: y2 + dy,
  });
  const [right, bottom] = [xMm + widthMm, yMm + heightMm];
  return [
    line(xMm, yMm, 0, 0),
    line(right, yMm, blank.widthMm, 0),
    line(right, bottom, blank.widthMm, blank.heightMm),
    line(xMm, bottom, 0, blank.heightMm),
  ];
}
