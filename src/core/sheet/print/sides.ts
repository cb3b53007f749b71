import type { Blank, RectMm } from '@/core/shape';
import { foldsIn } from './folds';
import { TOUCHES_MM, boxOf, type FormInput, type PictureStretch, type RawBlock } from './print-form';

/** A wrapped canvas whose sides mirror the picture's edge, or are one colour. */
export function sidedBlock(blank: Blank, { form: { sides }, place }: FormInput, sideMm: number): RawBlock {
  const { front } = blank;
  const touches = {
    left: place.xMm - front.xMm < TOUCHES_MM,
    top: place.yMm - front.yMm < TOUCHES_MM,
    right: front.xMm + front.widthMm - place.xMm - place.widthMm < TOUCHES_MM,
    bottom: front.yMm + front.heightMm - place.yMm - place.heightMm < TOUCHES_MM,
  };
  const [across, down] = [Math.min(sideMm, place.widthMm), Math.min(sideMm, place.heightMm)];
  const { widthMm: w, heightMm: h } = place;
  const columns = [
    ...(touches.left ? [{ at: -across, size: across, from: 0, flip: true }] : []),
    { at: 0, size: w, from: 0, flip: false },
    ...(touches.right ? [{ at: w, size: across, from: w - across, flip: true }] : []),
  ];
  const rows = [
    ...(touches.top ? [{ at: -down, size: down, from: 0, flip: true }] : []),
    { at: 0, size: h, from: 0, flip: false },
    ...(touches.bottom ? [{ at: h, size: down, from: h - down, flip: true }] : []),
  ];
  const [dx, dy] = [touches.left ? across : 0, touches.top ? down : 0];
  const stretches = rows.flatMap((row) =>
    columns.map((column): PictureStretch => ({
      at: { xMm: column.at + dx, yMm: row.at + dy, widthMm: column.size, heightMm: row.size },
      face: { xMm: place.xMm + column.at, yMm: place.yMm + row.at },
      from: { xMm: column.from, yMm: row.from },
      flipX: column.flip,
      flipY: row.flip,
    })),
  );
  const inner = (stretch: PictureStretch) => !stretch.flipX && !stretch.flipY;
  const rect: RectMm = {
    xMm: place.xMm - dx,
    yMm: place.yMm - dy,
    widthMm: dx + w + (touches.right ? across : 0),
    heightMm: dy + h + (touches.bottom ? down : 0),
  };
  return {
    whole: rect,
    reach: [],
    block: {
      widthMm: rect.widthMm,
      heightMm: rect.heightMm,
      part: null,
      bent: null,
      folds: foldsIn(blank, rect),
      pictures: sides === 'mirror' ? stretches : stretches.filter(inner),
      solids: sides === 'solid' ? stretches.filter((stretch) => !inner(stretch)) : [],
      views: [{ at: boxOf(rect), face: { xMm: rect.xMm, yMm: rect.yMm } }],
    },
  };
}
