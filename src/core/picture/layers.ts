/** What lies on a piece besides its main picture. Places in mm on the blank's face, as it lands. */
import type { RectMm } from '@/core/shape/rectangle';
import type { Crop } from './crop';

/** Moved with the print, or traced from an unmirrored print and painted. */
export type LayerMode = 'transfer' | 'trace';

export const FONT_IDS = [
  'oswald',
  'playfair-display',
  'im-fell-english',
  'dancing-script',
  'special-elite',
  'alfa-slab-one',
  'stardos-stencil',
] as const;
export type FontId = (typeof FONT_IDS)[number];

export interface TextLayer {
  id: string;
  kind: 'text';
  mode: LayerMode;
  text: string;
  font: FontId;
  /** Height of the capitals. */
  sizeMm: number;
  colour: string;
  /** Middle of the line of writing. */
  xMm: number;
  yMm: number;
  turnDeg: number;
  /** Radius of the arc the writing stands on: above 0 arching up, below 0 hanging down; null on a straight line. */
  arcRadiusMm: number | null;
  /** Outline's box, worked out from the font when the layer is changed. */
  box: RectMm;
}

export interface PictureLayer {
  id: string;
  kind: 'picture';
  mode: LayerMode;
  pictureId: string;
  crop: Crop;
  box: RectMm;
}

export type Layer = TextLayer | PictureLayer;
