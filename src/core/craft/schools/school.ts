import type { BinderId, BinderRecord } from '../binders';
import type { PrintId } from '../prints';
import type { SurfaceClass, SurfaceId } from '../surfaces';
import { COAT_AND_LAY, RUB_IN_PASSES, type RecipeStep, type RecipeStepKind } from './recipe';

/** How the paper leaves: rubbed away, peeled and rolled, peeled or lifted whole, soaked off a tape, or not at all. */
export type Removal = 'rub' | 'peel-and-roll' | 'peel' | 'lift' | 'soak' | 'none';

/** The sign that it is time, where it is not the usual one. */
export type SignOfTime =
  'opaque-again' | 'soaked-through' | 'dry-under-liner' | 'cooled' | 'at-once' | 'film-lifts-clean' | 'paint-dry';

/** What a school of transferring is, all but its id. Waits in hours at the reference room. Source: bench practice. */
export interface SchoolFacts {
  /** Binders it works with; `none` where nothing wet is used. */
  binders: readonly BinderId[];
  prints: readonly PrintId[];
  /** Its own steps in order; Lay, Cure, Rub, the bench and the plan of all pieces follow it. */
  recipe: readonly RecipeStep[];
  removal: Removal;
  mirrored: boolean;
  /** What it changes in the binder's record: waits, passes, faces. */
  overrides: Partial<
    Pick<
      BinderRecord,
      | 'waitHours'
      | 'clockFloorHours'
      | 'passes'
      | 'faces'
      | 'wholeSurface'
      | 'openMinutes'
      | 'skill'
      | 'tonerKept'
      | 'water'
    >
  >;
  /** Surfaces it is for; null for all. */
  only: { classes: readonly SurfaceClass[]; surfaces: readonly SurfaceId[] } | null;
  /** Only on a face without finish or base coat. */
  bareOnly: boolean;
  /** Threads take it only under a base coat that makes them smooth. */
  coatedFabricOnly: boolean;
  /** Sheets come no larger than a page: a larger print is laid in parts. */
  pageSized: boolean;
  /** The sheet must touch everywhere: texture is sanded and coated smooth first. */
  needsSmooth: boolean;
  /** Wood is sanded really smooth for it: rough wood failed. */
  smoothWood: boolean;
  /** Where the sheet touches it stays, whatever the binder lets. */
  fixedOnceDown: boolean;
  looks: readonly ('crisp' | 'soft' | 'distressed')[];
  sign: SignOfTime | null;
  /** Outlines are traced and painted: nothing of the print itself stays. */
  traced: boolean;
  /** An iron or the like presses it. */
  hot: boolean;
  /** Paper fibres stay in the film: haze, the wet test and rubbing on apply. */
  leavesFibres: boolean;
  /** It is a decal under its own tape: not sanded, mended or sealed. */
  sealsItself: boolean;
  /** Gloss over it clears what paper it leaves. */
  glossClears: boolean;
  /** Binders that also take ink that was not set with heat, and lose much of it; none for most. */
  palerInk: readonly BinderId[];
  /** Its character is its binder's: many binders share it. */
  toldByBinder: boolean;
  source: string;
}

export const TONER_ON_PAPER: readonly PrintId[] = ['laser-plain', 'laser-heavy', 'inkjet-heat-set'];
export const NO_WAIT = { waitHours: { min: 0, max: 0 }, passes: { min: 0, max: 0 } } as const;

/** What most schools share: the wet face-down ones that are rubbed. */
const WET_AND_RUBBED = {
  recipe: [COAT_AND_LAY, RUB_IN_PASSES],
  removal: 'rub',
  mirrored: true,
  overrides: {},
  only: null,
  bareOnly: false,
  coatedFabricOnly: false,
  pageSized: false,
  needsSmooth: false,
  smoothWood: false,
  fixedOnceDown: false,
  looks: ['soft', 'distressed'],
  sign: null,
  traced: false,
  hot: false,
  leavesFibres: true,
  sealsItself: false,
  glossClears: false,
  palerInk: [],
  toldByBinder: false,
  source: 'bench practice',
} as const satisfies Omit<SchoolFacts, 'binders' | 'prints'>;

type Described<Id extends string> = { id: Id } & Pick<SchoolFacts, 'binders' | 'prints'> & Partial<SchoolFacts>;

/** A school's record: what differs from the wet face-down ones that are rubbed. */
export const school = <const Id extends string>(described: Described<Id>): SchoolFacts & { id: Id } => ({
  ...WET_AND_RUBBED,
  ...described,
});

/** A step of a school's recipe; undefined where it has none of the kind. */
export const recipeStepOf = ({ recipe }: Pick<SchoolFacts, 'recipe'>, kind: RecipeStepKind): RecipeStep | undefined =>
  recipe.find(({ step }) => step === kind);

/** Laid, it must be worked on in time: a window, not a wait. */
export const hasWindow = (school: Pick<SchoolFacts, 'recipe'>): boolean =>
  recipeStepOf(school, 'lay')?.wait.kind === 'window';
