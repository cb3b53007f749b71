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
import { chosen, onePicture, own, refersTo, type Fields, type PictureRefs } from './field';

type Picture = Job['picture'];

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

/** Pictures of layers; the layer of one that is not to be had falls away. */
const ofLayers: PictureRefs<Picture['layers']> = {
  most: MOST_LAYERS,
  ids: (layers) => layers.map((layer) => (layer.kind === 'picture' ? layer.pictureId : null)),
  renamed: (layers, idOf) =>
    layers.flatMap((layer): Picture['layers'] => {
      if (layer.kind === 'text') return [layer];
      const pictureId = idOf(layer.pictureId);
      return pictureId === null ? [] : [{ ...layer, pictureId }];
    }),
};

const samePictureOnly = true;

export const PICTURE: Fields<Picture> = {
  // What was turned, cut out, answered and kept clear was so of that picture.
  pictureId: refersTo(
    onePicture,
    own(() => maybe(recordId()), null, {
      voids: {
        crop: () => FULL_CROP,
        turns: () => NOT_TURNED.turns,
        straightenDeg: () => NOT_TURNED.straightenDeg,
        lettering: () => null,
        keepClear: () => [],
      },
    }),
  ),
  crop: chosen(() => crop(), FULL_CROP, { samePictureOnly }),
  ratio: chosen(() => oneOf(...RATIOS), 'blank'),
  lettering: chosen(() => maybe(oneOf('yes', 'no')), null, { samePictureOnly }),
  turns: chosen(() => whole(0, 3), NOT_TURNED.turns, { samePictureOnly }),
  straightenDeg: chosen(() => figure(-MOST_STRAIGHTEN_DEG, MOST_STRAIGHTEN_DEG), NOT_TURNED.straightenDeg, {
    samePictureOnly,
  }),
  tone: chosen(() => tone(), PLAIN_TONE),
  layers: refersTo(
    ofLayers,
    chosen(() => list([textLayer(), pictureLayer()], MOST_LAYERS), []),
  ),
  keepClear: chosen(
    () =>
      list(item<Picture['keepClear'][number]>({ x: share(), y: share(), width: share(), height: share() }), MOST_CLEAR),
    [],
    { samePictureOnly },
  ),
};
