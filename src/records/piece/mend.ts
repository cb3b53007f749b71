import Joi from 'joi';
import type { Wear } from '@/core/mend';
import type { Job } from '@/core/stations';
import { colour, figure, instant, item, list, maybe, oneOf, section } from '../fields';

type Mend = Job['mend'];

export const newMend = (): Mend => ({ done: [], finishedAt: null, wear: null, glaze: null });

export const mendSection = (): Joi.ObjectSchema<Mend> =>
  section<Mend>({
    done: list(Joi.string().max(40), 40),
    finishedAt: maybe(instant()),
    wear: maybe(item<Wear>({ share: figure(0, 0.5), where: oneOf('edges', 'corners', 'all-over') })),
    glaze: maybe(colour()),
  });
