import type { Crop, Turning } from '@/core/picture';
import type { FadeForm, ToneTables } from '@/core/raster';
import type { Optics, SurfaceLook } from '@/core/render';
import type { RectMm, SizeMm } from '@/core/shape';
import type { DrawnLayer } from '../layers';

/** The picture on the print, by its upright preview. */
export interface LookPicture { id: string; preview: Blob; turning: Turning; crop: Crop;
  /** Place of the whole print, of the main picture and of the layers, mm on the blank's face. */
  origin: RectMm; box: RectMm; layers: readonly DrawnLayer[] }

export interface LookOrder {
  face: SizeMm;
  pxPerMm: number;
  /** The blank's face; null shows the print alone on white paper. */
  look: SurfaceLook | null;
  print: RectMm | null;
  picture: LookPicture | null;
  opaqueWhite: string | null;
  fade: FadeForm;
  fadeMm: number;
  tone: ToneTables;
  kept: number;
  optics: Optics;
}

/** Draws a specimen. Ground and picture stay prepared between calls, so that a change of tone or stage answers within a frame. */
export interface LookJob { draw(order: LookOrder): Promise<ImageBitmap> }
