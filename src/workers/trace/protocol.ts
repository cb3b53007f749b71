import type { Face, TraceCode, TracedBoard } from '@/core/trace';
import type { Result } from '@/core/shared';

/** What a photo of a blank told: its outline in the photo in shares of its size, and its face as a picture. */
export interface Traced {
  board: Pick<TracedBoard, 'form' | 'widthMm' | 'heightMm' | 'outline'>;
  edge: { x: number; y: number }[];
  face: Omit<Face, 'pixels'>;
  /** The face evenly lit, JPEG. */
  file: Blob;
}

export type TraceJobCode = TraceCode | 'picture-broken' | 'trace-failed';

export interface TraceJob {
  /**
   * @param longMm the longest side or the diameter, as typed
   * @param onPhoto the photo as soon as it is decoded
   */
  trace(photo: Blob, longMm: number, onPhoto: (photo: ImageBitmap) => void): Promise<Result<Traced, TraceJobCode>>;
}
