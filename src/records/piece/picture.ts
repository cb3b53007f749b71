import type Joi from 'joi';
import {
  FONT_IDS,
  FULL_CROP,
  MOST_STRAIGHTEN_DEG,
  NOT_TURNED,
  RATIOS,
  type PictureLayer,
  type TextLayer,
} from '@/core/picture';
import { PLAIN_TONE } from '@/core/raster';
import { MAX_PRINT_MM } from '@/core/sheet';
import type { Job } from '@/core/stations';
import { colour, figure, item, list, maybe, named, oneOf, recordId, section, share, whole } from '../fields';

type Picture = Job['picture'];

export const newPicture = (): Picture => ({
  pictureId: null,
  crop: FULL_CROP,
  ratio: 'blank',
  lettering: null,
  ...NOT_TURNED,
  tone: PLAIN_TONE,
  layers: [],
  keepClear: [],
});

export const MOST_LAYERS = 24;
const MOST_CLEAR = 12;
const LEAST_CROP = 1e-6;
const MODES = ['transfer', 'trace'] as const;

const crop = () =>
  section<Picture['crop']>({
    x: share(),
    y: share(),
    width: figure(LEAST_CROP, 1),
    height: figure(LEAST_CROP, 1),
  });

const amount = () => figure(-100, 100);
const tone = () =>
  section<Picture['tone']>({
    lightness: amount(),
    contrast: amount(),
    gamma: figure(0.3, 3),
    warmth: amount(),
    compensate: figure(0, 100),
    mono: maybe(item<NonNullable<Picture['tone']['mono']>>({ red: share(), green: share(), blue: share() })),
    fade: oneOf('none', 'rectangle', 'oval', 'ragged'),
    fadeMm: figure(0, 300),
  });

const placeMm = () => figure(-MAX_PRINT_MM, 2 * MAX_PRINT_MM);
const box = () =>
  section<TextLayer['box']>({
    xMm: placeMm(),
    yMm: placeMm(),
    widthMm: figure(0, 2 * MAX_PRINT_MM),
    heightMm: figure(0, 2 * MAX_PRINT_MM),
  });

const textLayer = () =>
  item<TextLayer>({
    id: recordId(),
    kind: oneOf('text'),
    mode: oneOf(...MODES),
    text: named(200),
    font: oneOf(...FONT_IDS),
    sizeMm: figure(1, 1000),
    colour: colour(),
    xMm: placeMm(),
    yMm: placeMm(),
    turnDeg: figure(-180, 180),
    arcRadiusMm: maybe(figure(-5000, 5000)),
    box: box(),
  });

const pictureLayer = () =>
  item<PictureLayer>({
    id: recordId(),
    kind: oneOf('picture'),
    mode: oneOf(...MODES),
    pictureId: recordId(),
    crop: crop(),
    box: box(),
  });

export const pictureSection = (): Joi.ObjectSchema<Picture> =>
  section<Picture>({
    pictureId: maybe(recordId()),
    crop: crop(),
    ratio: oneOf(...RATIOS),
    lettering: maybe(oneOf('yes', 'no')),
    turns: whole(0, 3),
    straightenDeg: figure(-MOST_STRAIGHTEN_DEG, MOST_STRAIGHTEN_DEG),
    tone: tone(),
    layers: list([textLayer(), pictureLayer()], MOST_LAYERS),
    keepClear: list(
      item<Picture['keepClear'][number]>({ x: share(), y: share(), width: share(), height: share() }),
      MOST_CLEAR,
    ),
  });
