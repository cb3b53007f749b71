import type Joi from 'joi';
import { BASE_COATS, BINDERS, PRINTS, SCHOOLS, SURFACES } from '@/core/craft';
import type { Job, TryOn } from '@/core/stations';
import { anyOf, item, list, maybe, oneOf, section } from '../fields';

type Method = Job['method'];

export const newMethod = (): Method => ({
  print: 'laser-plain',
  school: null,
  binder: null,
  whites: 'either',
  look: 'any',
  tryOn: [],
});

const MOST_TRIED_ON = 6;

export const methodSection = (): Joi.ObjectSchema<Method> =>
  section<Method>({
    print: anyOf(PRINTS),
    school: maybe(anyOf(SCHOOLS)),
    binder: maybe(anyOf(BINDERS)),
    whites: oneOf('surface-shows', 'stay-white', 'either'),
    look: oneOf('any', 'crisp', 'soft', 'distressed'),
    tryOn: list(
      item<TryOn>({
        surface: anyOf(SURFACES),
        baseCoat: anyOf(BASE_COATS),
        school: anyOf(SCHOOLS),
        binder: anyOf(BINDERS),
      }),
      MOST_TRIED_ON,
    ),
  });
