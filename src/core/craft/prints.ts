/**
 * Kinds of print and paper. `weightGsm` is the typical sheet; heavier paper costs passes of rubbing. Source: bench
 * practice.
 */
export type PrintId =
  | 'laser-plain'
  | 'laser-heavy'
  | 'inkjet-plain'
  | 'inkjet-heat-set'
  | 'laser-card'
  | 'photo-paper'
  | 'slip-paper'
  | 'inkjet-liner'
  | 'release-liner'
  | 'inkjet-film';

export interface PrintRecord {
  id: PrintId;
  weightGsm: number;
  /** In the wet face-down schools: yes, slow, risky, never, or a school of its own. */
  wet: 'yes' | 'slow' | 'risky' | 'never' | 'own-school';
  /** What prints it. */
  printer: 'toner' | 'inkjet';
  /** Every copier holds it: no paper to buy for it. */
  everywhere: boolean;
  /** Its ink is set with heat before it is used: so hot, so long; null where it isn't. */
  heatSet: { temperatureC: number; minutes: number; coolMinutes: number } | null;
  /**
   * How the picture lies on its sheet: fast, loose, so that nothing may touch it, or wet for so many minutes: it goes
   * onto the piece before they are over.
   */
  face: { lies: 'fast' | 'loose' } | { lies: 'wet'; minutes: number };
  /** What trims it; null where it is never trimmed. */
  trim: 'knife' | 'scissors' | null;
  /** Of the toner's darkness, what its ink lands with. */
  inkKept: number;
  source: string;
}

const source = 'bench practice';
/** In a gentle oven, attended; paper gives its heat off within minutes. */
const HEAT_SETTING = { temperatureC: 95, minutes: 20, coolMinutes: 5 } as const;

const USUAL = {
  ...{ everywhere: false, heatSet: null, inkKept: 1, source },
  ...{ face: { lies: 'fast' }, trim: 'knife' },
} as const satisfies Partial<PrintRecord>;
/** Liquid ink on what takes up none of it. */
const WET_MINUTES = 10;

export const PRINTS: readonly PrintRecord[] = [
  { ...USUAL, id: 'laser-plain', weightGsm: 80, wet: 'yes', printer: 'toner', everywhere: true },
  { ...USUAL, id: 'laser-heavy', weightGsm: 110, wet: 'slow', printer: 'toner' },
  { ...USUAL, id: 'inkjet-plain', weightGsm: 80, wet: 'risky', printer: 'inkjet', inkKept: 0.65 },
  {
    ...USUAL,
    id: 'inkjet-heat-set',
    weightGsm: 80,
    wet: 'risky',
    printer: 'inkjet',
    heatSet: HEAT_SETTING,
    inkKept: 0.78,
  },
  { ...USUAL, id: 'laser-card', weightGsm: 200, wet: 'never', printer: 'toner' },
  { ...USUAL, id: 'photo-paper', weightGsm: 220, wet: 'never', printer: 'toner' },
  { ...USUAL, id: 'slip-paper', trim: 'scissors', weightGsm: 90, wet: 'own-school', printer: 'toner' },
  {
    ...USUAL,
    id: 'inkjet-liner',
    face: { lies: 'wet', minutes: WET_MINUTES },
    trim: null,
    weightGsm: 70,
    wet: 'own-school',
    printer: 'inkjet',
  },
  {
    ...USUAL,
    id: 'release-liner',
    face: { lies: 'loose' },
    trim: null,
    weightGsm: 70,
    wet: 'own-school',
    printer: 'toner',
  },
  { ...USUAL, id: 'inkjet-film', trim: 'scissors', weightGsm: 130, wet: 'own-school', printer: 'inkjet' },
];

/** Ink on plain paper that nothing has set: wet, it runs. No binder is brushed over it, in any school. */
export const isUnsetInk = ({ printer, wet, heatSet }: PrintRecord): boolean =>
  printer === 'inkjet' && wet === 'risky' && heatSet === null;

export const printById = (id: PrintId): PrintRecord => {
  const record = PRINTS.find((print) => print.id === id);
  if (!record) throw new Error(`unknown print ${id}`);
  return record;
};
