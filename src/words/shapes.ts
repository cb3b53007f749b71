import { shapeKind, type ShapeKind, type SizeMeaning } from '@/core/shape';
import type { Job } from '@/core/stations';
import { said, say } from './say';
import { remarks } from './text';
import type { Wording } from './units';

export const SHAPE_WORDS: Readonly<
  Record<ShapeKind, { name: string; shortName: string; inText: string; area: string; laidFlat: string }>
> = said({
  rectangle: {
    name: 'Rectangle: board, tile, cloth',
    shortName: 'Rectangle',
    inText: 'rectangle',
    area: 'face to work on',
    laidFlat: '',
  },
  round: { name: 'Round: disc, plate', shortName: 'Round', inText: 'round', area: 'face to work on', laidFlat: '' },
  oval: { name: 'Oval', shortName: 'Oval', inText: 'oval', area: 'face to work on', laidFlat: '' },
  polygon: {
    name: 'Any outline: stone, cut shape',
    shortName: 'Any outline',
    inText: 'any outline',
    area: 'face to work on',
    laidFlat: '',
  },
  'wrapped-canvas': {
    name: 'Wrapped canvas',
    shortName: 'Wrapped canvas',
    inText: 'wrapped canvas',
    area: 'front, sides and tuck to cover',
    laidFlat: 'laid flat: front, sides and tuck',
  },
  slats: {
    name: 'Slats with gaps',
    shortName: 'Slats',
    inText: 'slats with gaps',
    area: 'of slats, without the gaps',
    laidFlat: '',
  },
  panel: {
    name: 'Panel with holes or knobs',
    shortName: 'Holes or knobs',
    inText: 'panel with holes or knobs',
    area: 'face, without the openings',
    laidFlat: '',
  },
  'drawer-row': {
    name: 'Row of drawer fronts',
    shortName: 'Drawer fronts',
    inText: 'row of drawer fronts',
    area: 'of fronts, without gaps and knobs',
    laidFlat: '',
  },
  cylinder: {
    name: 'Cylinder: jar, bottle, tin',
    shortName: 'Jar or bottle',
    inText: 'cylinder',
    area: 'of the side to cover',
    laidFlat: 'the side laid flat',
  },
  vessel: {
    name: 'Tapered vessel: bucket, pot',
    shortName: 'Bucket or pot',
    inText: 'tapered vessel',
    area: 'of the side to cover',
    laidFlat: 'the side laid flat',
  },
});

/** What a typed size is. */
export const SIZE_NAMES: Readonly<Record<SizeMeaning, string>> = said({
  width: 'Width',
  height: 'Height',
  diameter: 'Diameter',
  'top-diameter': 'Diameter at the top',
  'side-height': 'Height along the side',
  'front-width': 'Width of the front',
  'front-height': 'Height of the front',
  'slats-width': 'Width over all slats',
  'slats-height': 'Height over all slats',
  'fronts-width': 'Width over all fronts',
  'fronts-height': 'Height of the fronts',
});

/** A blank as it was entered: its sizes, and its shape where that is not plain; null where a size is missing. */
export function blankAsEntered(
  { shape, widthMm, heightMm }: Pick<Job['surface'], 'shape' | 'widthMm' | 'heightMm'>,
  units: Wording,
): string | null {
  const { sizes } = shapeKind(shape.kind);
  if (widthMm === null || (sizes.height && heightMm === null)) return null;
  return remarks(
    sizes.height && heightMm !== null ? units.size(widthMm, heightMm) : say`${units.length(widthMm)} across`,
    shape.kind !== 'rectangle' && SHAPE_WORDS[shape.kind].inText,
  );
}
