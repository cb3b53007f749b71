import Joi from 'joi';
import { LIKED_BY_PRESS, type Wear } from '@/core/mend';
import type { Job } from '@/core/stations';
import { colour, figure, instant, item, list, maybe, oneOf } from '../fields';
import { chosen, done, type Fields } from './field';

export const MEND: Fields<Job['mend']> = {
  done: done(() => list(Joi.string().max(40), 40), []),
  finishedAt: done(() => maybe(instant()), null),
  wear: chosen(() => maybe(item<Wear>({ share: figure(0, 0.5), where: oneOf('edges', 'corners', 'all-over') })), null),
  glaze: chosen(() => maybe(colour()), null),
  liked: chosen(() => list(oneOf(...LIKED_BY_PRESS), LIKED_BY_PRESS.length), []),
};
