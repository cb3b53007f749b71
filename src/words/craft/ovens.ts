import type { OvenCondition, OvenId, OvenRefusal } from '@/core/cure';
import { said, say } from '../say';

/** How a cycle goes, with its temperature as the person says it. */
export const OVEN_WORDS: Readonly<Record<OvenId, (temperature: string) => string>> = {
  gentle: (temperature) =>
    say`Cold oven, the piece on parchment over foil. Set ${temperature}; when it is reached switch off, and leave
      the piece in for an hour.`,
  warm: (temperature) =>
    say`Cold oven, the piece on parchment over foil. Set ${temperature}; when it is reached keep it for an hour,
      and let it cool with the door ajar.`,
  short: (temperature) => say`Oven at ${temperature}, the tile on parchment; a thick coat takes longer.`,
};

export const OVEN_REFUSALS: Readonly<Record<OvenRefusal, string>> = said({
  'no-shortcut': 'This gel or glue knows no shortcut: it takes its full 24 h.',
  cloth: 'Cloth does not go in: trims and fillings melt.',
  leather: 'Leather shrinks.',
  candle: 'Wax, plastic and batteries never go in.',
  'wall-paint': 'Latex and acrylic wall paint soften and stick.',
  'slick-finish': 'Gloss, varnish, wax and oil soften, smell and can burn.',
  'glued-frame': 'The canvas is stretched on a glued frame.',
  'acrylic-base': 'An acrylic base coat softens: only chalk-type or bake-safe paint goes in.',
  'unknown-paint':
    'Paint of an unknown kind: only paint that is named chalk-type or bake-safe goes in. Say at Surface what it is.',
  'stone-cycle': 'This short cycle is for tiles and stone.',
  'glass-cycle': 'Glass and glaze crack above a gentle heat.',
  'too-hot': 'Hotter than your oven or its label allows.',
});

export const OVEN_CONDITIONS: Readonly<Record<OvenCondition, string>> = said({
  'no-resin':
    'Works if the wood has no resin in it and no glued joint: above a gentle heat resin runs and glue lets go.',
});
