import type { InspectCode, PieceReading } from '@/core/inspect';
import type { Point } from '@/core/photo';
import type { Result } from '@/core/shared';
import type { SheetCode } from '../sheet/protocol';
import type { LandedOrder } from './landed';

/** The print to be looked for. */
export interface SoughtOrder {
  landed: LandedOrder;
  picture: Blob;
}
export interface InspectOrder {
  dry: Blob;
  wet: Blob | null;
  /** The print's box in the dry photo where it was set by hand, shares of the photo's size. */
  corners: readonly Point[] | null;
}

/** A reading, its corners in shares of the dry photo's size, and the photos no larger than they were read. */
export interface Inspected {
  reading: PieceReading;
  photo: { width: number; height: number };
  files: { dry: Blob; wet: Blob | null };
}

export type InspectJobCode = InspectCode | SheetCode;

export interface InspectJob {
  /** Paints the print and looks for what it can be told by, once for all photos of it. */
  prepare(sought: SoughtOrder): Promise<void>;
  /** Photos of what was prepared. */
  read(
    order: InspectOrder,
    /** The dry photo, as soon as it is decoded. */
    onPhoto: (photo: ImageBitmap) => void,
    /** With where the print seems to lie, shares of the dry photo's size, as soon as that is known. */
    onPart: (share: number, outline?: Point[]) => void,
  ): Promise<Result<Inspected, InspectJobCode>>;
}
