import type { BinderRecord } from './binders';
import type { SchoolRecord } from './schools';

/** Where schools disagree: both sides in a sentence, and what Fobbet takes by default, with why. Source: bench practice. */
export interface Disagreement { id: string; question: string; one: string; other: string; taken: string; at: 'method' | 'lay' | 'cure' | 'seal' | 'surface'; applies: (binder: BinderRecord, school: SchoolRecord) => boolean }

const wet = (binder: BinderRecord): boolean => binder.id !== 'none';

export const DISAGREEMENTS: readonly Disagreement[] = [
  { id: 'gel-body', question: 'Thin or heavy gel?', at: 'method', applies: (binder) => binder.id === 'fluid-gel' || binder.id === 'heavy-gel',
    one: 'Fluid: it soaks into paper and surface, and lands clearer.', other: 'Heavy: fewer bubbles and wrinkles, and it fills weave.', taken: 'Fluid on smooth grounds, heavy on weave and coarse grain, where its body counts.' },
  { id: 'faces', question: 'Coat the paper, the surface, or both?', at: 'lay', applies: wet,
    one: 'One face: half the medium, and less to go wrong.', other: 'Both: every spot the one coat misses, the other has.', taken: 'What the binder’s makers and users mostly do; it can be changed here.' },
  { id: 'waiting', question: 'By the clock or by the sign?', at: 'cure', applies: wet,
    one: 'By the clock: the full label time, always; nothing was ever spoiled by waiting.', other: 'By the sign: dry is dry, evenly opaque and no longer cool.', taken: 'By the sign, with the full time as the safe figure; media with a floor go by the clock.' },
  { id: 'glue-top-coat', question: 'Glue-sealer as a top coat?', at: 'seal', applies: () => true,
    one: 'It seals with what is in the hand already.', other: 'It dries cloudy, thick and tacky.', taken: 'Offered for light use only, behind acrylic varnish.' },
  { id: 'ground', question: 'Bare or painted wood?', at: 'surface', applies: () => true,
    one: 'Bare: the grain shows through, which is the charm of it.', other: 'Painted: the picture stays even, light and whole.', taken: 'As you say it is; pale pictures and faces get a light base coat proposed.' },
  { id: 'inkjet', question: 'Prints from an inkjet?', at: 'method', applies: wet,
    one: 'Heat-set them, or peel while tacky: they land, paler.', other: 'Never: the dye runs in anything wet.', taken: 'Refused for dry-and-rub; heat-set prints and the tacky peel are offered as rescues.' },
];
