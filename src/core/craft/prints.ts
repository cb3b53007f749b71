/** Kinds of print and paper. `weightGsm` is the typical sheet; heavier paper costs passes of rubbing. Source: bench practice. */
export type PrintId =
  | 'laser-plain' | 'laser-heavy' | 'laser-card' | 'photo-paper' | 'inkjet-plain' | 'inkjet-heat-set' | 'inkjet-film'
  | 'release-liner' | 'inkjet-liner' | 'slip-paper';

export interface PrintRecord {
  id: PrintId;
  name: string;
  weightGsm: number;
  /** In the wet face-down schools: yes, slow, risky, never, or a school of its own. */
  wet: 'yes' | 'slow' | 'risky' | 'never' | 'own-school';
  note: string;
  /** What prints it. */
  printer: 'toner' | 'inkjet';
  source: string;
}

const source = 'bench practice';

export const PRINTS: readonly PrintRecord[] = [
  { id: 'laser-plain', name: 'Laser or toner copy on plain paper, 75–80 g/m²', weightGsm: 80, wet: 'yes', printer: 'toner', source,
    note: 'The standard. A copy shop’s self-serve machine is toner; most home printers are inkjet.' },
  { id: 'laser-heavy', name: 'Laser or toner on 90–120 g/m² paper', weightGsm: 110, wet: 'slow', printer: 'toner', source,
    note: 'Works, slowly: every 15 g/m² more costs about one more pass of rubbing.' },
  { id: 'inkjet-plain', name: 'Inkjet on plain paper', weightGsm: 80, wet: 'never', printer: 'inkjet', source,
    note: 'The dye dissolves in water: it bleeds in the wet binder. A toner copy of it works; heat-setting is the rescue.' },
  { id: 'inkjet-heat-set', name: 'Inkjet, heat-set about 20 min at 95 °C', weightGsm: 80, wet: 'risky', printer: 'inkjet', source,
    note: 'Heat-set dye holds better but can still bleed, and lands paler. Try a swatch first.' },
  { id: 'laser-card', name: 'Card stock', weightGsm: 200, wet: 'never', printer: 'toner', source,
    note: 'Card does not break down: the paper cannot be rubbed away.' },
  { id: 'photo-paper', name: 'Glossy or photo paper, a photograph', weightGsm: 220, wet: 'never', printer: 'toner', source,
    note: 'The emulsion blocks the binder and the paper does not break down. Never use an original: copy it onto plain paper.' },
  { id: 'slip-paper', name: 'Slip-coated transfer paper', weightGsm: 90, wet: 'own-school', printer: 'toner', source,
    note: 'Soaked and peeled whole, not rubbed: a school of its own.' },
  { id: 'inkjet-liner', name: 'Inkjet on release liner', weightGsm: 70, wet: 'own-school', printer: 'inkjet', source,
    note: 'The ink stays wet on it: pressed once and lifted, a school of its own.' },
  { id: 'release-liner', name: 'Toner on release liner (backing of label sheets)', weightGsm: 70, wet: 'own-school', printer: 'toner', source,
    note: 'Lifted dry, not rubbed: a school of its own.' },
  { id: 'inkjet-film', name: 'Inkjet on transparency film', weightGsm: 130, wet: 'own-school', printer: 'inkjet', source,
    note: 'Lifted off a gesso bed: a school of its own.' },
];

export const printById = (id: PrintId): PrintRecord => {
  const record = PRINTS.find((print) => print.id === id);
  if (!record) throw new Error(`unknown print ${id}`);
  return record;
};
