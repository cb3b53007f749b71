import type { RectMm, SizeMm } from '@/core/shape';
import type { Rgba } from '@/core/photo';

/** Pixels a millimetre that pages are compared at; the coarse search takes a quarter of it. */
export const DENSITY = 2;

export interface ExpectedPage {
  /** The page as it should come out, at `DENSITY` pixels a millimetre. */
  raster: Rgba;
  page: SizeMm;
  /** Where prints and the strip with its marks lie. */
  places: readonly RectMm[];
  strip: RectMm;
  /** The page is fed upright: a landscape one's width runs along the feed. */
  landscape: boolean;
}
