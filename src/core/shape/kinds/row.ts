import { fail, ok, type Result } from '@/core/shared';
import { blankOf, rectPart, type Blank, type Opening, type ShapeCode } from '../blank';
import type { RectMm, SizeMm } from '../rectangle';

/** Equal parts with gaps between them, and knobs at shares of each part's width. */
export interface Row {
  along: 'x' | 'y';
  count: number;
  gapMm: number;
  knobs: { shares: readonly number[]; diameterMm: number };
}

export const NO_KNOBS: Row['knobs'] = { shares: [], diameterMm: 0 };

/** Parts side by side (along x) or one above the other (along y). */
export function rowOf({ along, count, gapMm, knobs }: Row, size: SizeMm): Result<Blank, ShapeCode> {
  const lengthMm = along === 'x' ? size.widthMm : size.heightMm;
  const eachMm = (lengthMm - (count - 1) * gapMm) / count;
  if (eachMm < 1)
    return fail(
      'shape-gaps-too-wide',
      `expected gaps that leave room for ${count} parts in ${lengthMm} mm, got ${gapMm} mm`,
      { values: { count, gapMm } },
    );
  const rects = Array.from({ length: count }, (_, index): RectMm => {
    const at = index * (eachMm + gapMm);
    return along === 'x'
      ? { xMm: at, yMm: 0, widthMm: eachMm, heightMm: size.heightMm }
      : { xMm: 0, yMm: at, widthMm: size.widthMm, heightMm: eachMm };
  });
  const openings = rects.flatMap(({ xMm, yMm, widthMm, heightMm }) =>
    knobs.shares.map((share): Opening => ({
      kind: 'knob',
      xMm: xMm + widthMm * share,
      yMm: yMm + heightMm / 2,
      diameterMm: knobs.diameterMm,
    })),
  );
  if (openings.length > 0 && knobs.diameterMm >= Math.min(eachMm / 2, size.heightMm))
    return fail('shape-opening-outside', `expected knobs that fit a front of ${eachMm} mm, got ${knobs.diameterMm} mm`);
  return ok(blankOf({ size, parts: rects.map(rectPart), openings, layout: { kind: 'parts', along } }));
}
