/**
 * Sets of one size: nine cushions' pictures must all be the same. The common size is the largest that every window
 * holds; each piece's margins follow from it.
 */
import type { MarginsMm, SizeMm } from '@/core/shape';

const SAME_MM = 0.2;

export const areOneSize = (sizes: readonly SizeMm[]): boolean =>
  sizes.every(
    (size) =>
      Math.abs(size.widthMm - sizes[0]!.widthMm) < SAME_MM && Math.abs(size.heightMm - sizes[0]!.heightMm) < SAME_MM,
  );

export const commonSize = (windows: readonly SizeMm[]): SizeMm => ({
  widthMm: Math.min(...windows.map((window) => window.widthMm)),
  heightMm: Math.min(...windows.map((window) => window.heightMm)),
});

/** Margins that leave a window of a size in a blank, centred in the window that its own margins leave. */
export function marginsFor(blank: SizeMm, margins: MarginsMm, { widthMm, heightMm }: SizeMm): MarginsMm {
  const [spareX, spareY] = [
    blank.widthMm - margins.leftMm - margins.rightMm - widthMm,
    blank.heightMm - margins.topMm - margins.bottomMm - heightMm,
  ];
  return {
    topMm: margins.topMm + spareY / 2,
    bottomMm: margins.bottomMm + spareY / 2,
    leftMm: margins.leftMm + spareX / 2,
    rightMm: margins.rightMm + spareX / 2,
  };
}
