import Joi from 'joi';
import { MAX_PRINT_MM } from '@/core/sheet';
import type { BlankShape, Opening, ShapeKind } from '@/core/shape';
import { count, figure, item, lengthMm, list, oneOf, share } from '../fields';

type ShapeOf<Kind extends ShapeKind> = Extract<BlankShape, { kind: Kind }>;
type Asked<Kind extends ShapeKind> = Omit<ShapeOf<Kind>, 'kind'>;

const shareOfRound = () => figure(0.01, 1);
const opening = () =>
  item<Opening>({
    kind: oneOf('hole', 'knob'),
    xMm: lengthMm(),
    yMm: lengthMm(),
    diameterMm: figure(1, MAX_PRINT_MM),
  });

/** What each kind of shape keeps besides width and height. */
const ASKED: { [Kind in ShapeKind]: Joi.StrictSchemaMap<Asked<Kind>> } = {
  rectangle: {},
  round: {},
  oval: {},
  polygon: { points: list(item<{ x: number; y: number }>({ x: share(), y: share() }), 400).min(3) },
  'wrapped-canvas': { depthMm: lengthMm(), tuckMm: lengthMm() },
  slats: { count: count(60), gapMm: lengthMm(), run: oneOf('vertical', 'horizontal') },
  panel: { openings: list(opening(), 60) },
  'drawer-row': {
    count: count(20),
    gapMm: lengthMm(),
    knobs: Joi.number().valid(0, 1, 2).required(),
    knobMm: figure(1, 500),
  },
  cylinder: { shareOfRound: shareOfRound() },
  vessel: { bottomMm: figure(5, MAX_PRINT_MM), shareOfRound: shareOfRound() },
};

export const shapeField = (): Joi.AlternativesSchema =>
  Joi.alternatives()
    .try(...Object.entries(ASKED).map(([kind, keys]) => Joi.object({ kind: oneOf(kind), ...keys })))
    .required();
