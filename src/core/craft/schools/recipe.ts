/**
 * How a school is worked, as data: its steps in order, each with the minutes of hands, what must pass after it and why,
 * and what hands do. Minutes are set-up once, then by dm² of print worked on, then by each page beyond the first.
 * Source: bench practice; a person's own log corrects it.
 */
import type { CautionId } from '../cautions';

export interface LabourRate {
  setUp: number;
  perDm2: number;
  perPage: number;
}

export const labourRate = (setUp: number, perDm2: number, perPage = 0): LabourRate => ({ setUp, perDm2, perPage });

/** Minutes for an area, mm², and a number of pages. */
export const labourMinutes = ({ setUp, perDm2, perPage }: LabourRate, areaMm2: number, pages = 1): number =>
  setUp + (perDm2 * areaMm2) / MM2_PER_DM2 + perPage * Math.max(0, pages - 1);

const MM2_PER_DM2 = 10_000;

/**
 * Why what follows waits. `dry` follows film, room and ground; `soak` is as long as it is, whatever the room; `window`
 * gets worse when it is missed; `cool` comes down from heat; `heat` is in an oven, attended.
 */
export type WaitKind = 'none' | 'dry' | 'soak' | 'window' | 'cool' | 'heat';

export type RecipeWait =
  | { kind: 'none' }
  /** The coat under its sheet: the binder's own hours, by film, room and ground. */
  | { kind: 'dry'; what: 'coat' }
  /** The first coat of a bed: the binder's own hours for it. */
  | { kind: 'dry'; what: 'bed' }
  /** Between passes and after the last: paper and ground, worked out with the passes. */
  | { kind: 'dry'; what: 'passes' }
  /** Something thin in open air: hours in the reference room. */
  | { kind: 'dry'; what: 'paint' | 'ink' | 'tack' | 'face'; hours: number }
  | { kind: 'soak' | 'cool'; minutes: number }
  /** From the binder's shortest wait to its longest. */
  | { kind: 'window' };

/** Steps of a school, all else (preparing, printing, mending, sealing) being the same for every school. */
export type RecipeStepKind = 'bed' | 'lay' | 'passes' | 'remove' | 'stick';

export interface RecipeStep {
  step: RecipeStepKind;
  labour: LabourRate;
  wait: RecipeWait;
  /** One by one what hands do, where it is not the coating and laying or the rubbing that are worked out. */
  does: readonly HandStep[];
  cautions: readonly CautionId[];
}

/** Things the hands do where there is no coat to measure or no paper to rub. The words are in the catalogue. */
export type HandStep =
  | 'try-corner'
  | 'peel-slowly'
  | 'roll-fibres'
  | 'gloss-clears-rest'
  | 'wet-back'
  | 'peel-in-one'
  | 'wipe-slip'
  | 'tape-over-print'
  | 'burnish'
  | 'cut-and-soak'
  | 'peel-wet-paper'
  | 'sponge-paper-off'
  | 'let-tack-return'
  | 'degrease-again'
  | 'stick-on'
  | 'glue-where-no-tack'
  | 'try-liner-corner'
  | 'draw-liner-off'
  | 'tape-liner-down'
  | 'iron-low'
  | 'burnish-warm'
  | 'cool-and-lift'
  | 'mark-corners'
  | 'lay-wet-liner'
  | 'card-over-back'
  | 'lift-straight'
  | 'let-ink-dry'
  | 'try-film-corner'
  | 'draw-film-off'
  | 'graphite-and-tape'
  | 'chalk-and-tape'
  | 'trace-outlines'
  | 'fill-and-dry';

export const recipeStep = (step: RecipeStepKind, stated: Partial<Omit<RecipeStep, 'step'>>): RecipeStep => ({
  step,
  labour: labourRate(0, 0),
  wait: { kind: 'none' },
  does: [],
  cautions: [],
  ...stated,
});

/** Coat and lay one print, and three minutes for each page more. */
export const COAT_AND_LAY = recipeStep('lay', { labour: labourRate(6, 1.2, 3), wait: { kind: 'dry', what: 'coat' } });
/** As many as binder, paper and size ask for; their minutes are worked out with them. */
export const RUB_IN_PASSES = recipeStep('passes', { wait: { kind: 'dry', what: 'passes' } });
