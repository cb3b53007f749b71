import type { OvenId, OvenRefusal } from '@/core/cure';

export const OVEN_WORDS: Readonly<Record<OvenId, { name: string; how: string }>> = {
  gentle: {
    name: 'Heat and leave, 80 °C',
    how: 'Cold oven, the piece on parchment over foil. Set 80 °C; when it is reached switch off, and leave the piece in for an hour.',
  },
  warm: {
    name: 'One hour at 100 °C',
    how: 'Cold oven, the piece on parchment over foil. Set 100 °C, keep it for an hour, and let it cool with the door ajar.',
  },
  short: { name: 'A quarter of an hour at 65 °C', how: 'Oven at 65 °C, the tile on parchment, a quarter of an hour.' },
};

export const OVEN_REFUSALS: Readonly<Record<OvenRefusal, string>> = {
  'no-shortcut': 'This binder knows no shortcut: it takes its full 24 h.',
  cloth: 'Cloth does not go in: trims and fillings melt.',
  leather: 'Leather shrinks.',
  candle: 'Wax, plastic and batteries never go in.',
  'wall-paint': 'Latex and acrylic wall paint soften and stick.',
  'slick-finish': 'Gloss, varnish, wax and oil soften, smell and can burn.',
  'glued-frame': 'The canvas is stretched on a glued frame.',
  'acrylic-base': 'An acrylic base coat softens: only chalk-type or bake-safe paint goes in.',
  'stone-cycle': 'This short cycle is for tiles and stone.',
  'glass-cycle': 'Glass and glaze crack above a gentle heat.',
  'too-hot': 'Hotter than your oven or its label allows.',
};
