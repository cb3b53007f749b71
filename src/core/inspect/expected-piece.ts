import type { Rgba } from '@/core/photo';
import type { Triple } from './layers';

/** A piece as it should look once it is clean. */
export interface ExpectedPiece {
  /** The print's bounding box as it lands, the right way round, RGBA; white where nothing is printed. */
  picture: Rgba;
  /** How much of each pixel of it lies on the piece, 0–255. */
  landed: Uint8Array;
  pxPerMm: number;
  /**
   * Bare blank round the box, as far as it goes, mm: 0 where the print ends with the blank; null where the blank is no
   * plain rectangle, whose outline is not looked for.
   */
  margin: { leftMm: number; topMm: number; rightMm: number; bottomMm: number } | null;
  /** Linear light of the bare blank, dry, and what is left of it where it is wet, or binder has soaked in. */
  ground: Triple<number>;
  wetted: Triple<number>;
  /** White that the binder lays under the print; null where the blank shows. */
  white: Triple<number> | null;
}
