import type { Draw, Job, StepDone } from '@/core/stations';
import { figure, instant, item, list, maybe, named, stepField, yesOrNo } from '../fields';
import { done, type Fields } from './field';

const MOST_STEPS = 300;
const minutes = () => figure(0, 10_000);

export const WORK: Fields<Job['work']> = {
  done: done(
    () =>
      list(
        item<StepDone>({
          step: stepField(),
          at: instant(),
          minutes: maybe(minutes()),
          planned: minutes(),
          early: yesOrNo(),
        }),
        MOST_STEPS,
      ),
    [],
  ),
  draws: done(
    () =>
      list(
        item<Draw>({ step: stepField(), item: named(120), amount: figure(0, 1_000_000), at: instant() }),
        MOST_STEPS,
      ),
    [],
  ),
};
