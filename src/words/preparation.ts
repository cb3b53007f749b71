import { baseCoatById, type BaseCoatId } from '@/core/craft';
import type { PrepCode, PrepStep } from '@/core/stations';
import { BASE_COAT_WORDS } from './craft';
import { said, say } from './say';
import type { Wording } from './units';

interface PrepWords {
  title: string;
  why: string;
}

const PREP_WORDS: Readonly<Record<PrepCode, PrepWords>> = said({
  'lead-test': {
    title: 'Test the old finish for lead',
    why: 'Old paint may hold lead; sanding it spreads the dust.',
  },
  strip: { title: 'Strip the old finish', why: 'A slick finish gives the gel or glue nothing to grip.' },
  scuff: {
    title: 'Scuff or strip the old finish, 120 then 220',
    why: 'A slick finish gives the gel or glue nothing to grip.',
  },
  sand: {
    title: 'Sand along the grain, 120 then 220',
    why: 'Toner bridges no scratches; leave the wood without a finish.',
  },
  'fine-sand': {
    title: 'Sand really smooth, 320 then 400',
    why: 'The sheet must touch everywhere: rough places stay bare.',
  },
  'seal-edges': {
    title: 'Seal the cut edges',
    why: 'Edges of sheet wood drink the medium out of the coat.',
  },
  'label-off': {
    title: 'Soak the label off, and take off its glue',
    why: 'Under the picture a rest of glue stays as a hole. A jar without a label is ready: mark it done.',
  },
  degrease: { title: 'Degrease', why: 'A fingerprint or a trace of polish is enough to let the picture go.' },
  derust: { title: 'Brush off loose rust', why: 'Rust lifts with the paper.' },
  'wash-dry': {
    title: 'Wash it',
    why: 'Trapped water and dust stop the gel or glue from reaching the stone.',
  },
  prewash: {
    title: 'Wash it without softener, dry and iron flat',
    why: 'Dressing and softener repel the medium; creases become holes.',
  },
  'lay-flat': {
    title: 'Put a barrier inside and lay it flat',
    why: 'Medium that soaks through glues both layers together.',
  },
  dust: { title: 'Dust off', why: 'Dust is a layer of holes.' },
  'under-coat': {
    title: 'First colour, to come through',
    why: 'Where the edges are sanded through, this colour shows.',
  },
  'base-coat': {
    title: 'Base coat',
    why: 'An even, porous, light ground: this is what shows where the picture is white.',
  },
  'base-coat-2': {
    title: 'Second base coat',
    why: 'One coat lets the ground through: two cover.',
  },
  'dust-again': { title: 'Dust off again', why: 'Sanding dust under the print is a layer of holes.' },
  'light-sand': {
    title: 'Light sanding, 320',
    why: 'Takes off nibs that would hold the paper away.',
  },
});

/** “Base coat: chalk-type paint”. */
export const prepTitle = ({ code, coat }: Pick<PrepStep, 'code' | 'coat'>): string =>
  coat === null ? PREP_WORDS[code].title : `${PREP_WORDS[code].title}: ${BASE_COAT_WORDS[coat].inText}`;

/** How a coat is mixed that isn't brushed on as it comes; null where it is. */
export function mixWash(coat: BaseCoatId | null, paintMl: number, units: Wording): string | null {
  const parts = coat === null ? 0 : baseCoatById(coat).waterParts;
  if (parts === 0 || paintMl === 0) return null;
  return say`Mix ${units.volume(paintMl)} of paint with ${units.volume(paintMl * parts)} of water, brush it on along the
    grain and wipe it back: the thinner, the more grain shows.`;
}

export const prepWhy = (code: PrepCode): string => PREP_WORDS[code].why;
