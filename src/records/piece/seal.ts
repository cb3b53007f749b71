import { SEALERS, SHEENS, USES } from '@/core/craft';
import type { Job } from '@/core/stations';
import { anyOf, instant, list, maybe, oneOf, whole } from '../fields';
import { chosen, done, type Fields } from './field';

export const SEAL: Fields<Job['seal']> = {
  use: chosen(() => oneOf(...USES), 'wall'),
  sheen: chosen(() => maybe(oneOf(...SHEENS)), null),
  sealer: chosen(() => maybe(anyOf(SEALERS)), null),
  coats: chosen(() => maybe(whole(1, 20)), null),
  coatsAt: done(() => list(instant(), 200), []),
  finishedAt: done(() => maybe(instant()), null),
};
