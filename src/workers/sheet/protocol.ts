import type { Crop, Turning } from '@/core/picture';
import type { Tone, ToneTables } from '@/core/raster';
import type { RectMm } from '@/core/shape';
import type { PrinterTruth, SheetPack } from '@/core/sheet';
import type { SheetText } from '@/core/sheet/pdf';
import type { Result } from '@/core/shared';
import type { DrawnLayer } from '../layers';

export interface SheetOrder {
  file: Blob;
  turning: Turning;
  crop: Crop;
  tone: ToneTables;
  fade: Pick<Tone, 'fade' | 'fadeMm'>;
  /** Places on the blank's face, mm: the whole print, and the main picture within it. */
  print: RectMm;
  picture: RectMm;
  layers: readonly DrawnLayer[];
  mirrored: boolean;
  pack: SheetPack;
  truth: PrinterTruth;
  text: SheetText;
}

export type SheetCode = 'picture-broken' | 'crop-empty' | 'sheet-failed';

/** The finished PDF, transferred: the receiver owns its buffer. */
export interface SheetJob { make(order: SheetOrder, onProgress: (share: number) => void): Promise<Result<Uint8Array<ArrayBuffer>, SheetCode>> }
