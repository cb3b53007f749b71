import type { BinderId, BinderRecord } from '../binders';
import type { PrintId } from '../prints';
import type { SurfaceClass, SurfaceId } from '../surfaces';

/** How the paper leaves: rubbed away, peeled and rolled, peeled or lifted whole, soaked off a tape, or not at all. */
export type Removal = 'rub' | 'peel-and-roll' | 'peel' | 'lift' | 'soak' | 'none';

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
  | 'sponge-paper-off'
  | 'let-tack-return'
  | 'stick-on'
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
  | 'trace-outlines'
  | 'fill-and-dry';

/** The sign that it is time, where it is not the usual one. */
export type SignOfTime =
  'opaque-again' | 'soaked-through' | 'dry-under-liner' | 'cooled' | 'at-once' | 'film-lifts-clean';

/** What a school of transferring is, all but its id. Waits in hours at the reference room. Source: bench practice. */
export interface SchoolFacts {
  /** Binders it works with; `none` where nothing wet is used. */
  binders: readonly BinderId[];
  prints: readonly PrintId[];
  removal: Removal;
  mirrored: boolean;
  /** What it changes in the binder's record: waits, passes, faces. */
  overrides: Partial<
    Pick<
      BinderRecord,
      'waitHours' | 'clockFloorHours' | 'passes' | 'faces' | 'wholeSurface' | 'openMinutes' | 'skill' | 'tonerKept'
    >
  >;
  /** Surfaces it is for; null for all. */
  only: { classes: readonly SurfaceClass[]; surfaces: readonly SurfaceId[] } | null;
  /** Only on a face without finish or base coat. */
  bareOnly: boolean;
  /** Sheets come no larger than a page: a larger print is laid in parts. */
  pageSized: boolean;
  /** The sheet must touch everywhere: texture is sanded and coated smooth first. */
  needsSmooth: boolean;
  looks: readonly ('crisp' | 'soft' | 'distressed')[];
  /** Steps of laying where there is no coat to measure. */
  laySteps: readonly HandStep[];
  /** Steps of taking the paper off where it is not rubbed. */
  removeSteps: readonly HandStep[];
  sign: SignOfTime | null;
  /** Later than the safe time it gets worse: a window, not a wait. */
  window: boolean;
  /** Outlines are traced and painted: nothing of the print itself stays. */
  traced: boolean;
  /** An iron or the like presses it. */
  hot: boolean;
  /** A knife cuts it out before it is laid. */
  knife: boolean;
  /** Its character is its binder's: many binders share it. */
  toldByBinder: boolean;
  source: string;
}

export const TONER_ON_PAPER: readonly PrintId[] = ['laser-plain', 'laser-heavy', 'inkjet-heat-set'];
export const NO_WAIT = { waitHours: { min: 0, max: 0 }, passes: { min: 0, max: 0 } } as const;

/** What most schools share: the wet face-down ones that are rubbed. */
const WET_AND_RUBBED = {
  removal: 'rub',
  mirrored: true,
  overrides: {},
  only: null,
  bareOnly: false,
  pageSized: false,
  needsSmooth: false,
  looks: ['soft', 'distressed'],
  laySteps: [],
  removeSteps: [],
  sign: null,
  window: false,
  traced: false,
  hot: false,
  knife: false,
  toldByBinder: false,
  source: 'bench practice',
} as const satisfies Omit<SchoolFacts, 'binders' | 'prints'>;

type Described<Id extends string> = { id: Id } & Pick<SchoolFacts, 'binders' | 'prints'> & Partial<SchoolFacts>;

/** A school's record: what differs from the wet face-down ones that are rubbed. */
export const school = <const Id extends string>(described: Described<Id>): SchoolFacts & { id: Id } => ({
  ...WET_AND_RUBBED,
  ...described,
});
