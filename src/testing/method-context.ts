import { NOTHING_SAID } from '@/core/at-hand';
import { placesOf } from '@/core/coat';
import { groundOf, printById, surfaceById } from '@/core/craft';
import type { MethodContext } from '@/core/method';

/** What methods are ranked for: a letter-size laser print on painted wood, nothing said of what is at hand. */
export const methodContext = (patch: Partial<MethodContext> = {}): MethodContext => ({
  surface: surfaceById('painted-wood'),
  finish: 'chalk-type-paint',
  ground: groundOf(patch.surface ?? surfaceById('painted-wood'), {
    finish: patch.finish ?? 'chalk-type-paint',
    baseCoat: patch.hasBaseCoat ? 'chalk-type-paint' : 'none',
  }),
  groundLightness: 94,
  hasBaseCoat: false,
  print: printById('laser-plain'),
  places: placesOf(60_000),
  reachedMm2: 60_000,
  lettering: false,
  whites: 'either',
  look: 'any',
  atHand: NOTHING_SAID,
  use: 'wall',
  room: { temperatureC: 21, humidityPercent: 50, air: 'still' },
  hoursLeft: null,
  waitBy: 'sign',
  ...patch,
});
