import type { SurfaceId } from '@/core/craft';

/** How the stuff of the blank lies under the print. */
export interface Grain {
  /** Degrees clockwise that the grain is turned from running across (left to right). */
  angleDeg: number;
  shiftXMm: number;
  shiftYMm: number;
  /** Distance of the rings, mm; null as usual for the surface. */
  spacingMm: number | null;
  knots: number;
  seed: number;
}

export const PLAIN_GRAIN: Grain = { angleDeg: 0, shiftXMm: 0, shiftYMm: 0, spacingMm: null, knots: 1, seed: 1 };

export interface SurfaceLook {
  surface: SurfaceId;
  colour: string;
  grain: Grain;
  coat: { colour: string; opacity: number } | null;
  /** The real face, seen from a photo, quarter turns clockwise; null or missing where it is drawn as is usual. */
  face?: { pictureId: string; turns: 0 | 1 | 2 | 3 } | null;
}

/** The colour of a white binder that covers. */
export const OPAQUE_WHITE = '#fcfbf8';
