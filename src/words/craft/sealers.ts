import type { SealerId } from '@/core/craft';
import type { Named } from './named';
import { said } from '../say';

interface SealerWords extends Named {
  note: string;
}

export const SEALER_WORDS: Readonly<Record<SealerId, SealerWords>> = said({
  'acrylic-varnish': {
    name: 'Water-based acrylic varnish',
    inText: 'water-based acrylic varnish',
    note: 'Does not yellow. Light use after 3 days, full cure after 21.',
  },
  'same-medium': {
    name: 'The gel or glue itself, as a top coat',
    inText: 'the gel or glue itself, as a top coat',
    note: 'Enough for wall pieces and canvas.',
  },
  polyurethane: {
    name: 'Water-based polyurethane',
    inText: 'water-based polyurethane',
    note: 'Tough. Warms the colours slightly with the years.',
  },
  'hard-top-coat': {
    name: 'Hard furniture top coat',
    inText: 'hard furniture top coat',
    note: 'For table tops and seats.',
  },
  'uv-varnish': {
    name: 'UV-protecting varnish',
    inText: 'UV-protecting varnish',
    note: 'For a sunlit wall or a picture that cannot be made again.',
  },
  spray: {
    name: 'Spray lacquer or clear glaze spray',
    inText: 'spray lacquer or clear glaze spray',
    note: 'Decorative. Outside, or with strong ventilation.',
  },
  'glue-sealer': {
    name: 'Decoupage glue-sealer',
    inText: 'decoupage glue-sealer',
    note: 'Light use. Some find it cloudy, thick and tacky as a top coat: keep it thin.',
  },
  wax: { name: 'Soft wax', inText: 'soft wax', note: 'For furniture with little wear. Nothing sticks over it.' },
  none: { name: 'No sealer', inText: 'no sealer', note: 'Canvas that hangs indoors, and cloth.' },
});
