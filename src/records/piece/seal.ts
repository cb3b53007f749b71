import type Joi from 'joi';
import { SEALERS, SHEENS, USES } from '@/core/craft';
import type { Job } from '@/core/stations';
import { anyOf, instant, list, maybe, oneOf, section, whole } from '../fields';

type Seal = Job['seal'];

export const newSeal = (): Seal => ({
  use: 'wall',
  sheen: null,
  sealer: null,
  coats: null,
  coatsAt: [],
  finishedAt: null,
});

export const sealSection = (): Joi.ObjectSchema<Seal> =>
  section<Seal>({
    use: oneOf(...USES),
    sheen: maybe(oneOf(...SHEENS)),
    sealer: maybe(anyOf(SEALERS)),
    coats: maybe(whole(1, 20)),
    coatsAt: list(instant(), 200),
    finishedAt: maybe(instant()),
  });
