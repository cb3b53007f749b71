import Joi from 'joi';
import type { Draw, Job, StepDone } from '@/core/stations';
import { figure, instant, item, list, maybe, named, section, stepField } from '../fields';

type Work = Job['work'];

export const newWork = (): Work => ({ done: [], draws: [] });

const MOST_STEPS = 300;
const minutes = () => figure(0, 10_000);

export const workSection = (): Joi.ObjectSchema<Work> =>
  section<Work>({
    done: list(
      item<StepDone>({
        step: stepField(),
        at: instant(),
        minutes: maybe(minutes()),
        planned: minutes(),
        early: Joi.boolean().required(),
      }),
      MOST_STEPS,
    ),
    draws: list(
      item<Draw>({ step: stepField(), item: named(120), amount: figure(0, 1_000_000), at: instant() }),
      MOST_STEPS,
    ),
  });
