import type { InspectCode, Judgement, PieceReading } from '@/core/inspect';
import type { Point } from '@/core/photo';
import type { Result } from '@/core/shared';
import type { SheetCode } from '../sheet/protocol';
import type { LandedOrder } from './landed';

export interface InspectOrder {
  landed: LandedOrder;
  picture: Blob;
  dry: Blob;
  wet: Blob | null;
  /** The print's box in the dry photo where it was set by hand, shares of the photo's size. */
  corners: readonly Point[] | null;
}

/** A reading with what follows from it; corners are shares of the photo's size. */
export interface Inspected {
  reading: PieceReading;
  judgement: Judgement;
  photo: { width: number; height: number };
}

export type InspectJobCode = InspectCode | SheetCode;

export interface InspectJob {
  read(order: InspectOrder, onPart: (share: number) => void): Promise<Result<Inspected, InspectJobCode>>;
}
