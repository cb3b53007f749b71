import { OVEN_CYCLES, REFERENCE_AIR, type SeenSign } from '@/core/cure';
import type { Job } from '@/core/stations';
import { anyOf, figure, instant, item, list, maybe, oneOf } from '../fields';
import { chosen, done, type Fields } from './field';

export const CURE: Fields<Job['cure']> = {
  temperatureC: chosen(() => figure(-20, 60), REFERENCE_AIR.temperatureC),
  humidityPercent: chosen(() => figure(0, 100), REFERENCE_AIR.humidityPercent),
  air: chosen(() => oneOf('still', 'fan'), 'still'),
  waitBy: chosen(() => oneOf('sign', 'clock'), 'sign'),
  labelHours: chosen(() => maybe(figure(0.1, 2000)), null),
  cover: chosen(() => oneOf('open', 'weighted', 'covered'), 'open'),
  oven: chosen(() => maybe(anyOf(OVEN_CYCLES)), null),
  through: chosen(() => oneOf('typed', 'room'), 'typed'),
  signs: done(
    () =>
      list(
        item<SeenSign>({
          id: oneOf('translucent', 'cool-edge', 'corner-lifts', 'even', 'corner-holds'),
          at: instant(),
        }),
        100,
      ),
    [],
  ),
};
