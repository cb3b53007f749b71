import type { PrinterAtHand } from '@/core/at-hand';
import type { PrintId, PrintRecord } from '@/core/craft';
import type { Named } from './named';
import { said, say } from '../say';
import { sentences } from '../text';

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
    note: 'The dye dissolves in water: it bleeds in the wet gel or glue. A toner copy of it works; heat-setting is the rescue.',
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
    note: 'The emulsion blocks the gel or glue and the paper does not break down. Never use an original: copy it onto plain paper.',
  },
  'slip-paper': {
    name: 'Slip-coated transfer paper',
    inText: 'slip-coated transfer paper',
    note: 'Soaked and peeled whole, not rubbed: a way of its own.',
  },
  'inkjet-liner': {
    name: 'Inkjet on release liner',
    inText: 'inkjet on release liner',
    note: 'The ink stays wet on it: pressed once and lifted, a way of its own.',
  },
  'release-liner': {
    name: 'Toner on release liner (backing of label sheets)',
    inText: 'toner on release liner (backing of label sheets)',
    note: 'Lifted dry, not rubbed: a way of its own.',
  },
  'inkjet-film': {
    name: 'Inkjet on transparency film',
    inText: 'inkjet on transparency film',
    note: 'Lifted off a gesso bed: a way of its own.',
  },
});

/** What a page is printed with, and what to ask for where somebody else prints it. */
export function printedWhere(at: PrinterAtHand | null, { id, printer }: PrintRecord): string {
  const asks = (): string | null => {
    if (printer === 'inkjet') return at === 'laser' ? say`Your laser printer can’t: an inkjet does this.` : null;
    if (at === 'laser' || at === null) return null;
    if (id === 'laser-plain' || id === 'laser-heavy')
      return say`Ask the copy shop for laser, plain paper, 100 %: not fitted to the page, not mirrored again.`;
    return say`Ask the copy shop first whether its laser printer takes such a sheet.`;
  };
  return sentences(`${PRINT_WORDS[id].name}.`, asks());
}

/** What it is printed on, which side, with toner or ink; and how it is held from then on. */
export const PRINT_HANDLING: Readonly<Record<PrintId, { material: string; touch: string }>> = said({
  'laser-plain': {
    material: 'Plain copy paper, in a laser printer or at a copy shop: toner, no photo paper.',
    touch: 'Toner lies fast: it may be touched.',
  },
  'laser-heavy': {
    material: 'Heavier plain paper without a coating, in a laser printer or at a copy shop: toner.',
    touch: 'Toner lies fast: it may be touched.',
  },
  'inkjet-plain': {
    material: 'Plain copy paper, in the inkjet printer at its best quality.',
    touch: 'Let the ink dry, and hold it by its rim: a damp finger smears it.',
  },
  'inkjet-heat-set': {
    material: 'Plain copy paper, in the inkjet printer at its best quality.',
    touch: 'Let the ink dry, and hold it by its rim: a damp finger smears it until it is set with heat.',
  },
  'laser-card': {
    material: 'Card does not soften in water: print it on plain copy paper instead.',
    touch: 'Toner lies fast: it may be touched.',
  },
  'photo-paper': {
    material: 'Photo paper does not soften in water: copy it onto plain paper, with toner.',
    touch: 'Toner lies fast: it may be touched.',
  },
  'slip-paper': {
    material: 'Slip-coated transfer paper, in a laser printer: its coated side is printed, one sheet at a time.',
    touch: 'Hold it by its rim, and keep it dry.',
  },
  'inkjet-liner': {
    material:
      'The backing of a label sheet, its labels peeled off: its shiny side is printed, in an inkjet printer. ' +
      'A flimsy one goes on a plain page, held with a glue stick, or it jams.',
    touch: 'The ink stays wet: hold it by its rim, and lay it within minutes.',
  },
  'release-liner': {
    material:
      'The backing of a label sheet, its labels peeled off: its shiny side is printed, in a laser printer. ' +
      'A flimsy one goes on a plain page, held with a glue stick, or it jams.',
    touch: 'Toner lies loose on it: hold it by its rim. No finger, ruler or knife on the picture.',
  },
  'inkjet-film': {
    material: 'Film made for inkjet printers, its rough side printed. Never in a laser printer: it can melt there.',
    touch: 'Let the ink dry, and hold it by its rim.',
  },
});

export const TRIM_WORDS: Readonly<Record<NonNullable<PrintRecord['trim']>, string>> = said({
  knife: 'Trim along the cut line with knife and metal ruler, so that no white rim is left.',
  scissors: 'Trim along the cut line with scissors, holding it by its rim, so that no white rim is left.',
});
