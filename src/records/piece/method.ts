import { BASE_COATS, BINDERS, PRINTS, SCHOOLS, SURFACES } from '@/core/craft';
import type { Job, TryOn } from '@/core/stations';
import { anyOf, item, list, maybe, oneOf } from '../fields';
import { chosen, type Fields } from './field';

const MOST_TRIED_ON = 6;

export const METHOD: Fields<Job['method']> = {
  print: chosen(() => anyOf(PRINTS), 'laser-plain'),
  school: chosen(() => maybe(anyOf(SCHOOLS)), null),
  binder: chosen(() => maybe(anyOf(BINDERS)), null),
  whites: chosen(() => oneOf('surface-shows', 'stay-white', 'either'), 'either'),
  look: chosen(() => oneOf('any', 'crisp', 'soft', 'distressed'), 'any'),
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
