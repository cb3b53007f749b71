import type { Rgba } from '@/core/photo';
import { readPiece } from './read-piece';
import type { Sought } from './seek';

/** Longer side of the photo, pixels, and how much larger it is than the print. */
const SIDE = 600;
const ROUND = 1.3;
const TABLE = 180;

/**
 * Reads the print itself once, as a photo of it would be, before there is one: code that has run before runs faster, by
 * a quarter of a reading.
 *
 * @returns whether it found what it looked for
 */
export function rehearse(sought: Sought): boolean {
  return readPiece(sought, { dry: onTable(sought.expected.picture), wet: null }).ok;
}

/** A picture as it lies on a table, seen from straight above. */
function onTable(picture: Rgba): Rgba {
  const by = (ROUND * Math.max(picture.width, picture.height)) / SIDE;
  const [width, height] = [Math.round((ROUND * picture.width) / by), Math.round((ROUND * picture.height) / by)];
  const data = new Uint8ClampedArray(width * height * 4).fill(TABLE);
  const [left, top] = [(picture.width - width * by) / 2, (picture.height - height * by) / 2];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [px, py] = [Math.floor(left + x * by), Math.floor(top + y * by)];
      if (px < 0 || py < 0 || px >= picture.width || py >= picture.height) continue;
      const from = (py * picture.width + px) * 4;
      data.set(picture.data.subarray(from, from + 4), (y * width + x) * 4);
    }
  return { data, width, height };
}
