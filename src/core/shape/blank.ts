/**
 * Blanks as geometry. A blank is described by its shape with the sizes a crafter reads off a ruler, and resolved into
 * its working face laid flat: the parts to be covered as closed outlines, its openings, folds, and its area.
 * Millimetres, origin at the face's top left, y down.
 */
import { sum } from '@/core/shared';
import type { Bend } from './fan';
import { ovalPathOf, ovalRing, rectRing, ringPath, type PointMm, type Ring } from './polygon';
import { areaMm2, type RectMm, type SizeMm } from './rectangle';

export interface Opening {
  kind: 'hole' | 'knob';
  xMm: number;
  yMm: number;
  diameterMm: number;
}

export interface BlankPart {
  ring: Ring;
  path: string;
  box: RectMm;
  areaMm2: number;
}

/** How a picture goes onto the face on paper: what printing asks for, never the shape's name. */
export type PaperLayout =
  /** As it lies; `round` where the face closes on itself and a print may lap over its own beginning. */
  | { kind: 'plain'; round: boolean }
  /** In parts with gaps between, side by side along x or one above the other along y. */
  | { kind: 'parts'; along: 'x' | 'y' }
  /** A front with sides folded back, each so deep, tuck included. */
  | { kind: 'sides'; sideMm: number }
  /** Bent to the side of a vessel. */
  | { kind: 'bent'; bend: Bend; round: boolean };

/** A vessel upright: its diameters, its side's slant length, how far round the face goes, and how the face is bent. */
export interface Standing {
  topMm: number;
  bottomMm: number;
  sideMm: number;
  shareOfRound: number;
  bend: Bend | null;
}

export interface Blank extends SizeMm {
  parts: readonly BlankPart[];
  openings: readonly Opening[];
  /** Area to be covered: parts less openings, mm². */
  areaMm2: number;
  /** The parts without what is tucked behind: where hands reach and eyes see. */
  reached: readonly BlankPart[];
  /** What is seen from the front, in the face's coordinates; for a vessel and a cylinder the middle of its side. */
  front: RectMm;
  folds: readonly { x1: number; y1: number; x2: number; y2: number }[];
  /** Outline of all parts and openings, SVG path data, even-odd. */
  path: string;
  layout: PaperLayout;
  /** How it stands, where its face goes round a vessel; null where it is flat. */
  standing: Standing | null;
  /** The face is one rectangle without openings: no outline needs to be cut. */
  isFullRectangle: boolean;
}

export type ShapeCode =
  | 'shape-gaps-too-wide'
  | 'shape-opening-outside'
  | 'shape-crosses-itself'
  | 'shape-too-few-points'
  | 'shape-flat'
  | 'shape-too-large';

/** A share of the way round from here on is the whole way. */
const WHOLE_ROUND = 0.9995;
export const goesRound = (shareOfRound: number): boolean => shareOfRound >= WHOLE_ROUND;

/** How a flat picture is bent to this face; null where the face is flat as it is. */
export const bendFor = (blank: Pick<Blank, 'layout'> | null): Bend | null =>
  blank?.layout.kind === 'bent' ? blank.layout.bend : null;

export const PLAIN_LAYOUT: PaperLayout = { kind: 'plain', round: false };

interface Face {
  size: SizeMm;
  parts: readonly BlankPart[];
  reached?: readonly BlankPart[];
  layout?: PaperLayout;
  standing?: Standing;
  openings?: readonly Opening[];
  folds?: Blank['folds'];
  front?: RectMm;
  isFullRectangle?: boolean;
}

export const blankOf = ({
  size: { widthMm, heightMm },
  parts,
  reached = parts,
  layout = PLAIN_LAYOUT,
  standing,
  openings = [],
  folds = [],
  front = { xMm: 0, yMm: 0, widthMm, heightMm },
  isFullRectangle = false,
}: Face): Blank => ({
  widthMm,
  heightMm,
  parts,
  reached,
  openings,
  folds,
  front,
  layout,
  standing: standing ?? null,
  isFullRectangle,
  areaMm2: sum(parts.map((part) => part.areaMm2)) - sum(openings.map(openingAreaMm2)),
  path: [...parts.map((part) => part.path), ...openings.map(openingPath)].join(' '),
});

export const rectPart = (rect: RectMm): BlankPart => ({
  ring: rectRing(rect),
  path: ringPath(rectRing(rect)),
  box: rect,
  areaMm2: areaMm2(rect),
});

export const ovalPart = (centre: PointMm, rx: number, ry: number): BlankPart => ({
  ring: ovalRing(centre, rx, ry),
  path: ovalPathOf(centre, rx, ry),
  box: { xMm: centre.xMm - rx, yMm: centre.yMm - ry, widthMm: 2 * rx, heightMm: 2 * ry },
  areaMm2: Math.PI * rx * ry,
});

export const openingRing = ({ xMm, yMm, diameterMm }: Opening): PointMm[] =>
  ovalRing({ xMm, yMm }, diameterMm / 2, diameterMm / 2);

export const openingAreaMm2 = ({ diameterMm }: Opening): number => (Math.PI * diameterMm ** 2) / 4;

const openingPath = ({ xMm, yMm, diameterMm }: Opening): string =>
  ovalPathOf({ xMm, yMm }, diameterMm / 2, diameterMm / 2);

/** The middle of an unrolled side, as much of it as is seen from the front. */
export const middleOf = (face: SizeMm, seenMm: number): RectMm => ({
  xMm: Math.max(0, (face.widthMm - seenMm) / 2),
  yMm: 0,
  widthMm: Math.min(seenMm, face.widthMm),
  heightMm: face.heightMm,
});
