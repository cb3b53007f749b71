import type { Analysis, Crop, MotifCode, MotifRing, Turning } from '@/core/picture';
import type { ToneTables } from '@/core/raster';
import type { Result } from '@/core/shared';

export interface AnalysisOrder {
  pictureId: string;
  file: Blob;
  turning: Turning;
  crop: Crop;
  tone: ToneTables | null;
}
export type MotifOrder = Pick<AnalysisOrder, 'pictureId' | 'file' | 'turning'>;
export type AnalysisCode = 'picture-broken' | 'analysis-failed';

/** Keeps the decoded picture between calls, so that a change of tone reads it anew but does not decode it. */
export interface AnalysisJob {
  analyse(order: AnalysisOrder, onProgress: (share: number) => void): Promise<Result<Analysis, AnalysisCode>>;
  /** Outline of what is not white, in shares of the turned picture. */
  motif(order: MotifOrder): Promise<Result<MotifRing[], AnalysisCode | MotifCode>>;
}
