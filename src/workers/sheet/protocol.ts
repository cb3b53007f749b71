import type { Crop, Turning } from '@/core/picture';
import type { Tone, ToneTables } from '@/core/raster';
import type { RectMm } from '@/core/shape';
import type { PrintBlock, SheetPack, SheetText } from '@/core/sheet';
import type { PrinterTruth } from '@/core/at-hand';
import type { SheetImages } from '@/core/sheet/pdf';
import type { Result } from '@/core/shared';
import type { DrawnLayer } from '../layers';

/** One print: the block that is printed, and the picture that lies on it; without a picture only layers are printed. */
export interface PrintOrder {
  picture: {
    source: number;
    turning: Turning;
    crop: Crop;
    tone: ToneTables;
    fade: Pick<Tone, 'fade' | 'fadeMm'>;
    place: RectMm;
  } | null;
  block: PrintBlock;
  sideColour: string;
  layers: readonly DrawnLayer[];
}

export interface SheetOrder {
  /** Picture files, each once. */
  sources: readonly Blob[];
  prints: readonly PrintOrder[];
  mirrored: boolean;
  pack: SheetPack;
  truth: PrinterTruth;
  text: SheetText;
}

export type SheetCode = 'picture-broken' | 'crop-empty' | 'sheet-failed';

/** Rows of a placed print's raster. */
export interface Band {
  page: number;
  place: number;
  top: number;
  rows: number;
}

/** A page or a part of it as pixels, RGBA. */
export interface PageRaster {
  rgba: Uint8ClampedArray<ArrayBuffer>;
  widthPx: number;
  heightPx: number;
}

/** What a worker's time went into, ms: together over several workers it can be more than the sheet took. */
export interface SheetSpent {
  decode: number;
  resample: number;
  encode: number;
  write: number;
}

/**
 * One of the workers that share a sheet. The first decodes the pictures; what it gives back are frames for the others,
 * which close them. All buffers are transferred: the receiver owns them.
 */
export interface SheetWorker {
  open(
    order: SheetOrder,
    frames: readonly (VideoFrame | null)[] | null,
  ): Promise<Result<readonly (VideoFrame | null)[], SheetCode>>;
  band(band: Band): Promise<Result<Uint8Array<ArrayBuffer>, SheetCode>>;
  write(images: SheetImages): Promise<Uint8Array<ArrayBuffer>>;
  /** A whole page with its marks, as PNG with its density, or as pixels. */
  pagePng(page: number, ppi: number): Promise<Result<Uint8Array<ArrayBuffer>, SheetCode>>;
  pageRaster(page: number, pxPerMm: number): Promise<Result<PageRaster, SheetCode>>;
  /** Lets go of the sheet, ready for the next. */
  close(): SheetSpent;
}
