import type { SheenReason } from '@/core/advice';
import type { SealDate, SealDateCode } from '@/core/seal';
import { said, say } from './say';

const DATES: Readonly<Record<Exclude<SealDateCode, 'coat'>, { name: string; title: string; how: string }>> = said({
  touch: { name: 'dry to the touch', title: 'dry to the touch', how: 'Handle it by its edges.' },
  hang: { name: 'may hang', title: 'hang it', how: 'Nothing may press on its face yet.' },
  wipe: { name: 'may be dusted and wiped', title: 'may be wiped', how: 'A soft cloth, slightly damp at most.' },
  'first-wash': { name: 'first wash', title: 'first wash', how: 'Inside out, gentle and cool, no tumble drying.' },
  'hand-over': {
    name: 'may be handed over',
    title: 'hand it over',
    how: 'With its care card. Wrap nothing round it that sticks.',
  },
  hard: { name: 'fully hard', title: 'fully hard', how: 'Full use from now on.' },
});

export const sealDateName = ({ code, number }: SealDate): string =>
  code === 'coat' ? say`coat ${number ?? 1}` : DATES[code].name;
/** As an entry in a list of days: what it is, and what to mind. */
export const sealDateEntry = ({ code, number }: SealDate): { title: string; how: string } =>
  code === 'coat' ? { title: say`seal, coat ${number ?? 1}`, how: say`Thin and even, dust-free.` } : DATES[code];

export const SHEEN_ADVICE: Readonly<Record<SheenReason, string>> = said({
  'clears-haze': 'Haze is left in it: gloss takes most of it out of sight.',
  'hides-lip': 'It is clean, and the print has an edge: matte hides it.',
  either: 'Little haze is left: satin is between the two.',
});

/** A sprayed sealer in its own words. */
export const SPRAY_WORDS = say`Two or three light coats, 15 to 30 min apart, from an arm’s length, each stroke
  half over the last. Outside or with strong ventilation, dry and calm, at 15 to 25 °C; lay it flat, or it runs.`;
