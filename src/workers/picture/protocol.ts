import type { AcceptedPicture, IntakeCode, PictureRemark, ToneShares } from '@/core/picture';
import type { Result } from '@/core/shared';

/**
 * What the worker found in a picture file, and a copy of it that outlives changes to the file on the disk. The preview
 * is an upright JPEG over white, at most `PREVIEW_PX` on its longer side.
 */
export interface InspectedPicture extends AcceptedPicture, ToneShares {
  sha256: string;
  sketch: string;
  reads: boolean;
  file: Blob;
  preview: Blob;
  /** Said once, when it is taken. */
  remarks: readonly PictureRemark[];
}

export interface PictureJob {
  /** @param onFirstPreview is given a bitmap to show and close, as soon as the file is decoded */
  inspect(file: Blob, onFirstPreview: (preview: ImageBitmap) => void): Promise<Result<InspectedPicture, IntakeCode>>;
  /** The same of the picture mirrored: its left on the right. */
  mirrored(file: Blob, onFirstPreview: (preview: ImageBitmap) => void): Promise<Result<InspectedPicture, IntakeCode>>;
}

export const PREVIEW_PX = 1600;
