import type { PrintId } from '@/core/craft';
import type { Named } from './named';
import { said } from '../say';

interface PrintWords extends Named {
  note: string;
}

export const PRINT_WORDS: Readonly<Record<PrintId, PrintWords>> = said({
  'laser-plain': {
    name: 'Laser or toner copy on plain paper',
    inText: 'laser or toner copy on plain paper',
    note: 'The standard. A copy shop’s self-serve machine is toner; most home printers are inkjet.',
  },
  'laser-heavy': {
    name: 'Laser or toner on heavier paper',
    inText: 'laser or toner on heavier paper',
    note: 'Works, slowly: a heavier sheet than copy paper costs two more passes of rubbing.',
  },
  'inkjet-plain': {
    name: 'Inkjet on plain paper',
    inText: 'inkjet on plain paper',
    note: 'The dye dissolves in water: it bleeds in the wet binder. A toner copy of it works; heat-setting is the rescue.',
  },
  'inkjet-heat-set': {
    name: 'Inkjet, set with heat in the oven',
    inText: 'inkjet, set with heat in the oven',
    note: 'Heat-set dye holds better but can still bleed, and lands paler. Try a swatch first.',
  },
  'laser-card': {
    name: 'Card stock',
    inText: 'card stock',
    note: 'Card does not break down: the paper cannot be rubbed away.',
  },
  'photo-paper': {
    name: 'Glossy or photo paper, a photograph',
    inText: 'glossy or photo paper, a photograph',
    note: 'The emulsion blocks the binder and the paper does not break down. Never use an original: copy it onto plain paper.',
  },
  'slip-paper': {
    name: 'Slip-coated transfer paper',
    inText: 'slip-coated transfer paper',
    note: 'Soaked and peeled whole, not rubbed: a school of its own.',
  },
  'inkjet-liner': {
    name: 'Inkjet on release liner',
    inText: 'inkjet on release liner',
    note: 'The ink stays wet on it: pressed once and lifted, a school of its own.',
  },
  'release-liner': {
    name: 'Toner on release liner (backing of label sheets)',
    inText: 'toner on release liner (backing of label sheets)',
    note: 'Lifted dry, not rubbed: a school of its own.',
  },
  'inkjet-film': {
    name: 'Inkjet on transparency film',
    inText: 'inkjet on transparency film',
    note: 'Lifted off a gesso bed: a school of its own.',
  },
});
