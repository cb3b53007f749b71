import type Joi from 'joi';
import { BASE_COATS, FINISHES, SURFACES } from '@/core/craft';
import { PLAIN_GRAIN } from '@/core/render';
import { MAX_PRINT_MM } from '@/core/sheet';
import { PAINT_AGES, PREP_CODES, type Job } from '@/core/stations';
import { anyOf, colour, figure, item, list, maybe, oneOf, recordId, section, share, whole } from '../fields';
import { shapeField } from './shapes';

type Surface = Job['surface'];

export const newSurface = (): Surface => ({
  kind: null,
  widthMm: null,
  heightMm: null,
  thicknessMm: null,
  finish: 'bare',
  baseCoat: 'none',
  baseColour: '#f4f1e8',
  prepared: [],
  shape: { kind: 'rectangle' },
  grain: PLAIN_GRAIN,
  bareColour: null,
  face: null,
  paintAge: null,
  underColour: null,
});

const sizeMm = () => maybe(figure(1, MAX_PRINT_MM));

export const surfaceSection = (): Joi.ObjectSchema<Surface> =>
  section<Surface>({
    kind: maybe(anyOf(SURFACES)),
    widthMm: sizeMm(),
    heightMm: sizeMm(),
    thicknessMm: maybe(figure(0, MAX_PRINT_MM)),
    finish: anyOf(FINISHES),
    baseCoat: anyOf(BASE_COATS),
    baseColour: colour(),
    prepared: list(oneOf(...PREP_CODES), 40),
    shape: shapeField(),
    bareColour: maybe(colour()),
    face: maybe(
      section<NonNullable<Surface['face']>>({
        pictureId: recordId(),
        turns: whole(0, 3),
        grainDeg: maybe(figure(-90, 90)),
        knots: list(item<{ x: number; y: number; radius: number }>({ x: share(), y: share(), radius: share() }), 60),
      }),
    ),
    paintAge: maybe(oneOf(...PAINT_AGES)),
    underColour: maybe(colour()),
    grain: section<Surface['grain']>({
      angleDeg: figure(-180, 180),
      shiftXMm: figure(-2000, 2000),
      shiftYMm: figure(-2000, 2000),
      spacingMm: maybe(figure(0.2, 60)),
      knots: whole(0, 12),
      seed: whole(0, 9999),
    }),
  });
