import type Joi from 'joi';
import { OVEN_CYCLES, REFERENCE_AIR, type SeenSign } from '@/core/cure';
import type { Job } from '@/core/stations';
import { anyOf, figure, instant, item, list, maybe, oneOf, section } from '../fields';

type Cure = Job['cure'];

export const newCure = (): Cure => ({
  ...REFERENCE_AIR,
  air: 'still',
  school: 'sign',
  labelHours: null,
  cover: 'open',
  oven: null,
  through: 'typed',
  signs: [],
});

export const cureSection = (): Joi.ObjectSchema<Cure> =>
  section<Cure>({
    temperatureC: figure(-20, 60),
    humidityPercent: figure(0, 100),
    air: oneOf('still', 'fan'),
    school: oneOf('sign', 'clock'),
    labelHours: maybe(figure(0.1, 2000)),
    cover: oneOf('open', 'weighted', 'covered'),
    oven: maybe(anyOf(OVEN_CYCLES)),
    through: oneOf('typed', 'room'),
    signs: list(
      item<SeenSign>({
        id: oneOf('translucent', 'cool-edge', 'corner-lifts', 'even', 'corner-holds'),
        at: instant(),
      }),
      100,
    ),
  });
