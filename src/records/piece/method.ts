import { BASE_COATS, BINDERS, PRINTS, SCHOOLS, SURFACES } from '@/core/craft';
import { ASKED_CONDITIONS } from '@/core/method';
import type { Job, Settled, TryOn } from '@/core/stations';
import { anyOf, item, list, maybe, oneOf } from '../fields';
import { chosen, type Fields } from './field';

const MOST_TRIED_ON = 6;
/** What was answered was answered of one pair and print. */
const VOIDS_SETTLED = { settled: () => [] };

export const METHOD: Fields<Job['method']> = {
  print: chosen(() => maybe(anyOf(PRINTS)), null, { voids: VOIDS_SETTLED }),
  school: chosen(() => maybe(anyOf(SCHOOLS)), null, { voids: VOIDS_SETTLED }),
  binder: chosen(() => maybe(anyOf(BINDERS)), null, { voids: VOIDS_SETTLED }),
  whites: chosen(() => oneOf('surface-shows', 'stay-white', 'either'), 'either'),
  look: chosen(() => oneOf('any', 'crisp', 'soft', 'distressed'), 'any'),
  settled: chosen(
    () =>
      list(item<Settled>({ condition: oneOf(...ASKED_CONDITIONS), surface: anyOf(SURFACES) }), ASKED_CONDITIONS.length),
    [],
  ),
  tryOn: chosen(
    () =>
      list(
        item<TryOn>({
          surface: anyOf(SURFACES),
          baseCoat: anyOf(BASE_COATS),
          school: anyOf(SCHOOLS),
          binder: anyOf(BINDERS),
        }),
        MOST_TRIED_ON,
      ),
    [],
  ),
};
