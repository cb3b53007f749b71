import type { Crop, Turning } from '@/core/picture';
import type { FadeForm, ToneTables } from '@/core/raster';
import type { Optics, SurfaceLook } from '@/core/render';
import type { RectMm, SizeMm, Standing } from '@/core/shape';
import type { PrintBlock } from '@/core/sheet';
import type { DrawnLayer } from '../layers';

/** The picture on the print, by its upright preview. */
export interface LookPicture {
  id: string;
  preview: Blob;
  turning: Turning;
  crop: Crop;
  /** Place of the whole print on the blank's face, and of the picture on its plane, mm. */
  origin: RectMm;
  box: RectMm;
  blocks: readonly PrintBlock[];
  layers: readonly DrawnLayer[];
  /** Outline of what lands, path data on the face, even-odd; null where all of the print does. */
  landed: string | null;
  /** Of solid sides, as a little-endian RGBA word. */
  sideColour: number;
}

export interface LookOrder {
  face: SizeMm;
  pxPerMm: number;
  /** The blank's face; null shows the print alone on white paper. */
  look: SurfaceLook | null;
  /** The picture of the blank’s own face, where its look names one. */
  facePhoto?: Blob | null;
  print: RectMm | null;
  picture: LookPicture | null;
  opaqueWhite: string | null;
  fade: FadeForm;
  fadeMm: number;
  tone: ToneTables;
  kept: number;
  /** Share of the face where toner is lost altogether. */
  worn: number;
  optics: Optics;
  /** Shows the vessel as it stands rather than its side laid flat; null for a flat face. */
  standing: Standing | null;
}

/**
 * Draws a specimen. Ground and picture stay prepared between calls, so that a change of tone or stage answers within a
 * frame.
 */
export interface LookJob {
  draw(order: LookOrder): Promise<ImageBitmap>;
}
