import type Joi from 'joi';
import type { Job, RubbedPass } from '@/core/stations';
import { figure, instant, item, list, maybe, section, whole } from '../fields';

type Rub = Job['rub'];

export const newRub = (): Rub => ({ passes: null, done: [], finishedAt: null });

const MINUTES_PER_DAY = 1440;

export const RUB_SECTION: Joi.ObjectSchema<Rub> = section<Rub>({
  passes: maybe(whole(1, 20)),
  done: list(item<RubbedPass>({ at: instant(), minutes: figure(0, MINUTES_PER_DAY) }), 50),
  finishedAt: maybe(instant()),
});
