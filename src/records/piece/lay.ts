import type Joi from 'joi';
import type { Job } from '@/core/stations';
import { figure, instant, list, maybe, oneOf, section } from '../fields';

type Lay = Job['lay'];

export const newLay = (): Lay => ({ faces: null, filmUm: null, extendMm: 5, mediumUsedMl: null, laidAt: null });

export const laySection = (): Joi.ObjectSchema<Lay> =>
  section<Lay>({
    faces: maybe(list(oneOf('paper', 'surface'), 2).min(1).unique()),
    filmUm: maybe(figure(20, 2000)),
    extendMm: figure(0, 100),
    mediumUsedMl: maybe(figure(0, 100_000)),
    laidAt: maybe(instant()),
  });
