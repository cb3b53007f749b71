/** What is seen on a piece that went wrong. Source: bench practice. */
export const FAULT_SIGNS = [
  'comes-off',
  'holes-round',
  'holes-long',
  'veil',
  'spot-stays',
  'wrinkles',
  'tacky',
  'pale',
  'ghostly',
  'bled',
  'reversed',
  'white-rim',
  'lip',
  'crooked',
  'wrong-size',
  'edges-lift',
  'chips',
  'cloudy',
] as const;
export type FaultSignId = (typeof FAULT_SIGNS)[number];

/** What can be tried to tell two causes apart, each with the answers it can have. */
export const FAULT_CHECKS = {
  'wet-test': ['vanishes', 'stays'],
  'wet-finger': ['smears', 'holds'],
  tape: ['picture-comes', 'holds'],
  nail: ['dents', 'hard'],
  'side-light': ['shines', 'matt'],
  'spare-print': ['reads-right', 'mirrored'],
  ruler: ['print-off', 'print-true'],
} as const;
export type FaultCheckId = keyof typeof FAULT_CHECKS;
export type FaultAnswer = { [Id in FaultCheckId]: (typeof FAULT_CHECKS)[Id][number] }[FaultCheckId];
export const FAULT_CHECK_IDS = Object.keys(FAULT_CHECKS) as readonly FaultCheckId[];

/** What a piece's record can say for or against a cause. */
export type FaultEvidenceId =
  | 'rubbed-early'
  | 'waited-in-full'
  | 'cold'
  | 'damp-air'
  | 'washable-glue'
  | 'inkjet'
  | 'toner'
  | 'heat-set'
  | 'slick-ground'
  | 'tight-grain'
  | 'holding-ground'
  | 'rough-ground'
  | 'dark-ground'
  | 'film-thin'
  | 'film-thick'
  | 'film-right'
  | 'one-face'
  | 'proof-mirrored'
  | 'proof-right-way'
  | 'no-lettering'
  | 'heavy-paper'
  | 'few-passes'
  | 'many-passes'
  | 'long-rubbing'
  | 'damp-only'
  | 'pale-binder'
  | 'white-binder'
  | 'clear-binder'
  | 'sealed-matte'
  | 'sealed-gloss'
  | 'unsealed'
  | 'thick-sealer'
  | 'sealed-soon'
  | 'sealed-damp-air'
  | 'white-margin'
  | 'print-fills'
  | 'coat-beyond'
  | 'pale-picture'
  | 'unprimed-smooth'
  | 'not-degreased'
  | 'no-slide'
  | 'bar-measured'
  | 'bar-unmeasured'
  | 'not-rubbed'
  | 'no-paper-rubbed';
