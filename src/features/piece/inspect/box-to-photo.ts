import { boxCorners, homographyOf, type Homography } from '@/core/photo';
import type { KeptReading } from '@/core/inspect';

/** Millimetres of the print's box to pixels of the photo as it is kept. */
export const boxToPhoto = ({ cell, corners, photo }: KeptReading): Homography | null =>
  homographyOf(
    boxCorners(cell.widthMm * cell.columns, cell.heightMm * cell.rows),
    corners.map(({ x, y }) => ({ x: x * photo.width, y: y * photo.height })),
  );
