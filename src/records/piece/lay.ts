import type { Job } from '@/core/stations';
import { figure, instant, list, maybe, oneOf } from '../fields';
import { chosen, done, type Fields } from './field';

export const LAY: Fields<Job['lay']> = {
  faces: chosen(() => maybe(list(oneOf('paper', 'surface'), 2).min(1).unique()), null),
  filmUm: chosen(() => maybe(figure(20, 2000)), null),
  extendMm: chosen(() => figure(0, 100), 5),
  mediumUsedMl: done(() => maybe(figure(0, 100_000)), null),
  laidAt: done(() => maybe(instant()), null),
};
