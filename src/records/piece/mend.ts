import Joi from 'joi';
import type { Job } from '@/core/stations';
import { instant, list, maybe, section } from '../fields';

type Mend = Job['mend'];

export const newMend = (): Mend => ({ done: [], finishedAt: null });

export const MEND_SECTION: Joi.ObjectSchema<Mend> = section<Mend>({
  done: list(Joi.string().max(40), 40),
  finishedAt: maybe(instant()),
});
