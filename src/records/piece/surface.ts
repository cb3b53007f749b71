import { BASE_COATS, FINISHES, SURFACES } from '@/core/craft';
import { PLAIN_GRAIN } from '@/core/render';
import { MAX_PRINT_MM } from '@/core/sheet';
import { PAINT_AGES, PREP_CODES, type Job, type PrepCode } from '@/core/stations';
import { anyOf, colour, figure, item, list, maybe, oneOf, recordId, section, share, whole, yesOrNo } from '../fields';
import { chosen, done, own, refersTo, type Fields, type PictureRefs } from './field';
import { shapeField } from './shapes';

type Surface = Job['surface'];

/** What lies under paint is done again for another stuff or finish; for other paint, from the painting on. */
const VOIDS_ALL = { prepared: () => [], bakeSafe: () => false };
const VOIDS_PAINT = {
  prepared: (before: Surface['prepared']) => before.filter((code) => !FROM_PAINT_ON.includes(code)),
};
const FROM_PAINT_ON: readonly PrepCode[] = ['under-coat', 'base-coat', 'base-coat-2', 'light-sand', 'dust-again'];

const sizeMm = () => maybe(figure(1, MAX_PRINT_MM));

type Face = NonNullable<Surface['face']>;
const ofFace: PictureRefs<Surface['face']> = {
  most: 1,
  ids: (face) => [face?.pictureId ?? null],
  renamed: (face, idOf) => {
    const pictureId = face && idOf(face.pictureId);
    return face && pictureId !== null ? { ...face, pictureId } : null;
  },
};

export const SURFACE: Fields<Surface> = {
  kind: chosen(() => maybe(anyOf(SURFACES)), null, { voids: VOIDS_ALL }),
  widthMm: chosen(() => sizeMm(), null),
  heightMm: chosen(() => sizeMm(), null),
  thicknessMm: chosen(() => maybe(figure(0, MAX_PRINT_MM)), null),
  finish: chosen(() => anyOf(FINISHES), 'bare', { voids: VOIDS_ALL }),
  baseCoat: chosen(() => anyOf(BASE_COATS), 'none', { voids: { ...VOIDS_PAINT, bakeSafe: () => false } }),
  baseColour: chosen(() => colour(), '#f4f1e8', { voids: VOIDS_PAINT }),
  prepared: done(() => list(oneOf(...PREP_CODES), 40), []),
  shape: chosen(() => shapeField(), { kind: 'rectangle' }),
  grain: chosen(
    () =>
      section<Surface['grain']>({
        angleDeg: figure(-180, 180),
        shiftXMm: figure(-2000, 2000),
        shiftYMm: figure(-2000, 2000),
        spacingMm: maybe(figure(0.2, 60)),
        knots: whole(0, 12),
        seed: whole(0, 9999),
      }),
    PLAIN_GRAIN,
  ),
  bareColour: chosen(() => maybe(colour()), null),
  face: refersTo(
    ofFace,
    own(
      () =>
        maybe(
          section<Face>({
            pictureId: recordId(),
            turns: whole(0, 3),
            grainDeg: maybe(figure(-90, 90)),
            knots: list(
              item<{ x: number; y: number; radius: number }>({ x: share(), y: share(), radius: share() }),
              60,
            ),
          }),
        ),
      null,
    ),
  ),
  paintAge: chosen(() => maybe(oneOf(...PAINT_AGES)), null),
  underColour: chosen(() => maybe(colour()), null, { voids: VOIDS_PAINT }),
  bakeSafe: chosen(() => yesOrNo(), false),
};
