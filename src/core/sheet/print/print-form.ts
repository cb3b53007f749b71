/**
 * What the crafter decides about a print's form, and what comes of it: blocks, each one piece of paper. A block's
 * stretches say which part of the picture lies where on it and where that lands. Millimetres, as it lands, not
 * mirrored.
 */
import type { BentBlock, PointMm, RectMm, Ring, SizeMm } from '@/core/shape';
import type { Line } from '../line';

export type PartsWay = 'skip' | 'spread' | 'each';
export type SidesWay = 'picture' | 'mirror' | 'solid';
type CornersWay = 'cut' | 'fold';
export type EdgeWay = 'cut' | 'torn' | 'motif';

/** What the crafter decides about the print's form. */
export interface PrintForm {
  /**
   * Slats and drawer fronts: what lies over a gap is skipped, the picture is spread, or each part carries the whole
   * picture.
   */
  parts: PartsWay;
  /** Sides of a wrapped canvas. */
  sides: SidesWay;
  sideColour: string;
  corners: CornersWay;
  /** How far a print that goes all the way round laps over itself, mm. */
  seamMm: number;
  edge: EdgeWay;
  /** Cut this far inside the edge, mm. */
  trimMm: number;
  /** How far a torn edge wanders inwards, and how far a close cut stays away from the motif, mm. */
  tornMm: number;
  motifMm: number;
}

export const PLAIN_FORM: PrintForm = {
  parts: 'skip',
  sides: 'picture',
  sideColour: '#4a4a4a',
  corners: 'cut',
  seamMm: 6,
  edge: 'cut',
  trimMm: 0,
  tornMm: 5,
  motifMm: 2,
};

/** Where the face's own coordinates lie on a block. A lap repeats the print's beginning and is glued over it. */
export interface FaceView {
  at: RectMm;
  face: PointMm;
  lap?: true;
}
/** A stretch of the picture, unscaled. `from` is its top left in the placed picture; flipped, it is read backwards. */
export interface PictureStretch extends FaceView {
  from: PointMm;
  flipX: boolean;
  flipY: boolean;
}
export interface PrintBlock extends SizeMm {
  /** Of several parts, which: 0-based; null where the print is one. */
  part: number | null;
  pictures: readonly PictureStretch[];
  solids: readonly FaceView[];
  views: readonly FaceView[];
  bent: BentBlock | null;
  /** Where to cut, with openings; null where it is cut along the block's own edges. */
  cut: readonly Ring[] | null;
  folds: readonly Line[];
}

export interface FormedPrint {
  /** Round all that lands, on the face. */
  rect: RectMm;
  /** What of the face the print covers once it is cut, torn or folded. */
  landed: readonly Ring[];
  /** The landed print has another edge than its rectangle on the blank. */
  shaped: boolean;
  blocks: readonly PrintBlock[];
}

/** A block before it is cut, with the ground it covers. */
export interface RawBlock {
  block: Omit<PrintBlock, 'cut'>;
  /** Round all that it lands as, where it is the whole print; null where it is one of several parts. */
  whole: RectMm | null;
  /** What a bent block covers of the face. */
  reach: Ring;
}

/** What a layout forms blocks from. */
export interface FormInput {
  form: PrintForm;
  /** The picture on its plane. */
  place: RectMm;
  /** Boxes on the face of what is printed with it. */
  layers: readonly RectMm[];
}

/** A print that comes this near to an edge runs to it, mm. */
export const TOUCHES_MM = 0.6;

export const boxOf = ({ widthMm, heightMm }: SizeMm): RectMm => ({ xMm: 0, yMm: 0, widthMm, heightMm });
export const moved = (rect: RectMm, dx: number, dy: number): RectMm => ({
  ...rect,
  xMm: rect.xMm + dx,
  yMm: rect.yMm + dy,
});
