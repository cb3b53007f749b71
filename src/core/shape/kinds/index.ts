/** All kinds of shape: one file each, one line here. */
import { fail, type Result } from '@/core/shared';
import type { Blank, ShapeCode } from '../blank';
import type { SizeMm } from '../rectangle';
import { cylinder } from './cylinder';
import { drawerRow } from './drawer-row';
import type { ShapeKindRecord } from './kind';
import { oval } from './oval';
import { panel } from './panel';
import { polygon } from './polygon';
import { rectangle } from './rectangle';
import { round } from './round';
import { slats } from './slats';
import { vessel } from './vessel';
import { wrappedCanvas } from './wrapped-canvas';

export type { ShapeKindRecord, SizeMeaning } from './kind';

const KINDS = {
  rectangle,
  round,
  oval,
  polygon,
  'wrapped-canvas': wrappedCanvas,
  slats,
  panel,
  'drawer-row': drawerRow,
  cylinder,
  vessel,
};

export type ShapeKind = keyof typeof KINDS;
/** A shape with what it needs besides width and height. */
export type BlankShape = ReturnType<(typeof KINDS)[ShapeKind]['defaults']>;
export const SHAPE_KINDS = Object.keys(KINDS) as readonly ShapeKind[];

/** The record of a shape's kind, as it takes any shape of that kind. */
export const shapeKind = (kind: ShapeKind): ShapeKindRecord<BlankShape> =>
  KINDS[kind] as unknown as ShapeKindRecord<BlankShape>;

const LARGEST_FACE_MM = 6000;

/** The blank laid flat. @returns `shape-…` failures where it can't be made */
export function resolveBlank(shape: BlankShape, size: SizeMm): Result<Blank, ShapeCode> {
  const blank = shapeKind(shape.kind).resolve(shape, size);
  if (!blank.ok) return blank;
  const { widthMm, heightMm } = blank.value;
  return Math.max(widthMm, heightMm) > LARGEST_FACE_MM
    ? fail('shape-too-large', `expected a face of at most ${LARGEST_FACE_MM} mm, got ${widthMm} × ${heightMm}`, {
        values: { maxMm: LARGEST_FACE_MM },
      })
    : blank;
}
