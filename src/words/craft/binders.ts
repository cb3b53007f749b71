import type { BinderId } from '@/core/craft';
import type { ShortNamed } from './named';
import { said } from '../say';

interface BinderWords extends ShortNamed {
  /** What stands on a bottle of it, whoever made it. */
  onLabel: string;
  character: string;
}

export const BINDER_WORDS: Readonly<Record<BinderId, BinderWords>> = said({
  'fluid-gel': {
    name: 'Fluid gel or polymer medium',
    inText: 'fluid gel or polymer medium',
    shortName: 'Fluid gel',
    onLabel: '“fluid gel medium” or “polymer medium”, gloss or matte',
    character: 'Penetrates and spreads well; the best clarity.',
  },
  'heavy-gel': {
    name: 'Regular or heavy gel medium',
    inText: 'regular or heavy gel medium',
    shortName: 'Heavy gel',
    onLabel: '“gel medium”, “soft gel” or “heavy gel”',
    character: 'Fewer bubbles and wrinkles; penetrates less and is harder to spread.',
  },
  'glue-sealer': {
    name: 'All-in-one decoupage glue-sealer',
    inText: 'all-in-one decoupage glue-sealer',
    shortName: 'Glue-sealer',
    onLabel: '“decoupage glue and sealer”',
    character: 'Cheap; paler and more worn, and it loses more toner when rubbed.',
  },
  'opaque-medium': {
    name: 'Opaque photo-transfer medium',
    inText: 'opaque photo-transfer medium',
    shortName: 'Opaque medium',
    onLabel: '“photo transfer medium”, white',
    character: 'Keeps white parts white; works on dark surfaces and cloth. Leaves a white edge where it shows.',
  },
  'clear-medium': {
    name: 'Clear image-transfer medium',
    inText: 'clear image-transfer medium',
    shortName: 'Clear medium',
    onLabel: '“image transfer medium”, clear',
    character: 'The surface colour shows in the white parts. About five thin passes of rubbing.',
  },
  'furniture-gel': {
    name: 'Transfer gel for furniture paint',
    inText: 'transfer gel for furniture paint',
    shortName: 'Furniture gel',
    onLabel: '“transfer gel”, beside the chalk-type paints',
    character: 'Goes over the whole surface, which hides the outline of the print.',
  },
  'acrylic-varnish': {
    name: 'Water-based acrylic varnish',
    inText: 'water-based acrylic varnish',
    shortName: 'Acrylic varnish',
    onLabel: '“acrylic varnish”, water-based',
    character: 'Just covering. The fastest on bare soft wood; best for trial runs.',
  },
  polyurethane: {
    name: 'Water-based polyurethane varnish',
    inText: 'water-based polyurethane varnish',
    shortName: 'Polyurethane',
    onLabel: '“polyurethane varnish”, water-based',
    character: 'Two coats: the first dries before the second receives the print. May warm the colours a little.',
  },
  'wood-glue': {
    name: 'White wood glue (PVA, wood grade)',
    inText: 'white wood glue (PVA, wood grade)',
    shortName: 'Wood glue',
    onLabel: '“wood glue”, drying clear',
    character: 'Works, and is cheap.',
  },
  'school-glue': {
    name: 'Washable school glue',
    inText: 'washable school glue',
    shortName: 'School glue',
    onLabel: '“school glue”, washable',
    character: 'Water dissolves it again.',
  },
  gesso: {
    name: 'Acrylic gesso or acrylic paint',
    inText: 'acrylic gesso or acrylic paint',
    shortName: 'Gesso',
    onLabel: '“gesso”, white',
    character: 'A bed for prints on film, and a base coat.',
  },
  none: {
    name: 'No gel or glue',
    inText: 'no gel or glue',
    shortName: 'No gel or glue',
    onLabel: '',
    character: 'Nothing wet: tape, heat or pencil carries the picture.',
  },
});
