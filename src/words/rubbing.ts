import type { BinderRecord } from '@/core/craft';
import { said } from './say';

/** The schools of water, and the one without: what to do at the bench, and why it is this one. */
export const WATER_WORDS: Readonly<Record<BinderRecord['water'], { bench: string; rule: string }>> = said({
  none: {
    bench: 'No water at all: the film is minutes old, and water ruins it.',
    rule: 'No water at all: the film is minutes old, and water ruins it. Roll with a dry fingertip.',
  },
  damp: {
    bench:
      'Lay a wrung sponge on it, a section at a time, from a light corner. Damp, not soaked: too wet lifts everything.',
    rule: 'Damp only, with a wrung sponge or cloth: this gel or glue lets go when it gets too wet.',
  },
  soak: {
    bench:
      'Wet it well with spray or sponge, a section at a time, from a light corner, until the picture shows through the paper.',
    rule: 'Wet it well, section by section: this film, fully dry, no longer minds water. Begin when the picture shows through.',
  },
});

/** What the paper says while it is wetted and rubbed. */
export const SIGN_WHILE_RUBBING = said([
  'The picture shows through: wet enough, begin.',
  'White spots stay: not wetted yet, or medium on the back.',
  'It turns opaque again: it is drying, wet it lightly.',
  'Colour on the fingertip: stop there at once.',
  'Lukewarm water; a drop of dish soap only where the label asks for it.',
] as const);
