import {
  baseCoatById,
  finishById,
  groundOf,
  isScuffable,
  isWash,
  labourRate,
  labourMinutes,
  type BaseCoatId,
  type CautionId,
  type LabourRate,
  type SchoolRecord,
  type SurfaceRecord,
  type ToolId,
} from '@/core/craft';
import { deltaE2000, labOf, linearColour } from '@/core/colour';
import { dryingFactor, type Room } from '@/core/cure';
import { isSandedFine } from '@/core/method';
import type { Job } from '../job';
import type { PrepCode } from '../step';

export interface PrepStep {
  code: PrepCode;
  /** The base coat it puts on, where it does. */
  coat: BaseCoatId | null;
  minutes: number;
  /** Of drying after it. */
  hours: number;
  cautions: readonly CautionId[];
  tools: readonly ToolId[];
}

const TOOLS: Readonly<Partial<Record<PrepCode, readonly ToolId[]>>> = {
  'lead-test': ['lead-test-kit'],
  'label-off': ['bowl-of-lukewarm-water', 'rubbing-alcohol-or-dish-soap'],
  scuff: ['sandpaper-120-and-220', 'dust-mask'],
  sand: ['sandpaper-120-and-220', 'dust-mask'],
  'fine-sand': ['sandpaper-320-400', 'dust-mask'],
  'seal-edges': ['thinned-wood-glue-or-the-binder', 'small-brush'],
  degrease: ['rubbing-alcohol-or-dish-soap', 'lint-free-cloth'],
  derust: ['wire-brush', 'dust-mask'],
  'wash-dry': ['stiff-brush', 'water'],
  prewash: ['washing-machine', 'iron'],
  'lay-flat': ['baking-parchment', 'tape'],
  dust: ['dust-cloth-or-soft-brush'],
  'under-coat': ['foam-brush', 'the-paint'],
  'base-coat': ['foam-brush', 'the-paint'],
  'base-coat-2': ['foam-brush', 'the-paint'],
  'light-sand': ['sandpaper-320'],
  'dust-again': ['dust-cloth-or-soft-brush'],
};

const CAUTIONS: Readonly<Partial<Record<PrepCode, readonly CautionId[]>>> = {
  'lead-test': ['lead'],
  scuff: ['sanding-dust'],
  sand: ['sanding-dust'],
  'fine-sand': ['sanding-dust'],
  derust: ['sanding-dust'],
  'light-sand': ['sanding-dust'],
};

const SAND = labourRate(3, 1.2);
const WIPE = labourRate(2, 0.2);
const PAINT = labourRate(5, 0.6);
/** Minutes of hands. Source: bench practice. */
const HANDS: Readonly<Record<PrepCode, LabourRate>> = {
  'lead-test': labourRate(10, 0),
  strip: labourRate(15, 2.5),
  scuff: SAND,
  sand: SAND,
  'fine-sand': labourRate(2, 0.8),
  // One grit, one way.
  'light-sand': labourRate(2, 0.5),
  derust: SAND,
  'label-off': labourRate(10, 0),
  degrease: WIPE,
  dust: WIPE,
  'dust-again': WIPE,
  'wash-dry': labourRate(3, 0.4),
  prewash: labourRate(10, 0.2),
  'lay-flat': labourRate(3, 0),
  'seal-edges': labourRate(5, 0.1),
  'under-coat': PAINT,
  'base-coat': PAINT,
  'base-coat-2': PAINT,
};

const SEALED_EDGE_HOURS = 1;
/** Machine and line. */
const WASHED_CLOTH_HOURS = 6;
/** Colours nearer than this need no second coat to cover: ΔE2000. */
const SAME_COLOUR = 5;

/** Whether a base coat goes on it. */
export const hasBaseCoat = (choice: Job['surface'], surface: SurfaceRecord): boolean =>
  choice.baseCoat !== 'none' && surface.takesBaseCoat;

/** Old paint, or paint of which nobody knows how old it is, may hold lead. */
const leadIsPossible = (choice: Job['surface'], surface: SurfaceRecord): boolean =>
  asksPaintAge(choice, surface) && choice.paintAge !== 'own' && choice.paintAge !== 'recent';

/** Whether it matters who painted it and when. */
export const asksPaintAge = (choice: Pick<Job['surface'], 'finish'>, surface: SurfaceRecord): boolean =>
  surface.oldFinish || finishById(choice.finish).mayHoldLead;

/** Coats of its base coat: a second where a colour must cover another. */
function baseCoats(choice: Job['surface'], surface: SurfaceRecord): 0 | 1 | 2 {
  if (!hasBaseCoat(choice, surface)) return 0;
  if (isWash(baseCoatById(choice.baseCoat))) return 1;
  if (choice.underColour !== null || finishById(choice.finish).seals) return 2;
  const bare = choice.bareColour ?? surface.bareColour;
  return deltaE2000(labOf(...linearColour(bare)), labOf(...linearColour(choice.baseColour))) < SAME_COLOUR ? 1 : 2;
}

/** Coats of paint in all, a colour under them included. */
export const paintCoats = (choice: Job['surface'], surface: SurfaceRecord): number =>
  baseCoats(choice, surface) + Number(hasBaseCoat(choice, surface) && choice.underColour !== null);

/** What is slick, on whatever, gives nothing to grip; wall paint a little, unless a base coat goes over it. */
function isScuffed(choice: Job['surface'], surface: SurfaceRecord): boolean {
  if (surface.oldFinish) return true;
  const { holds } = finishById(choice.finish);
  if (!isScuffable(surface)) return false;
  return holds === 'badly' || (holds === 'fair' && !hasBaseCoat(choice, surface));
}

/** Bottles and jars come with a label on them. */
const isBottle = (surface: SurfaceRecord, { shape: { kind } }: Job['surface']): boolean =>
  surface.id === 'glass' && (kind === 'cylinder' || kind === 'vessel');

/**
 * Steps from the surface as it is to a surface ready for the print, in working order: what makes dust or wets comes
 * before the dusting, and a coat only on what is dry and clean. Drying follows the room. Source: bench practice.
 *
 * @param school what is asked of the face beyond the usual; null while it is not chosen
 * @param faceMm2 what is worked on; 0 while the blank is not measured
 */
export function preparation(
  surface: SurfaceRecord,
  choice: Job['surface'],
  school: SchoolRecord | null,
  room: Room,
  faceMm2: number,
): PrepStep[] {
  const finish = finishById(choice.finish);
  const wooden = surface.class === 'wood' || surface.class === 'painted';
  const coats = baseCoats(choice, surface);
  const scuffed = isScuffed(choice, surface);
  const coat = baseCoatById(choice.baseCoat);
  const dries = (hours: number) => hours * dryingFactor(1, room, groundOf(surface, choice).dryingFactor).total;
  const firstDries = coat.dryHours * dryingFactor(1, room, surface.dryingFactor).total;
  const asked: readonly [PrepCode, boolean, number?][] = [
    ['lead-test', leadIsPossible(choice, surface)],
    ['scuff', scuffed],
    ['sand', wooden && choice.finish === 'bare' && !surface.oldFinish],
    ['fine-sand', school !== null && isSandedFine(school, surface)],
    ['derust', surface.rusts],
    ['label-off', isBottle(surface, choice)],
    ['degrease', surface.degrease || scuffed || (wooden && finish.paint)],
    ['wash-dry', surface.washDryHours !== null, surface.washDryHours ?? 0],
    ['prewash', surface.laundered, WASHED_CLOTH_HOURS * dryingFactor(1, room, 1).total],
    ['lay-flat', surface.needsBarrier],
    ['dust', wooden || scuffed || surface.class === 'mineral'],
    ['seal-edges', surface.edgesDrink, dries(SEALED_EDGE_HOURS)],
    ['under-coat', coats > 0 && choice.underColour !== null, firstDries],
    ['base-coat', coats > 0, coats > 1 ? firstDries : dries(coat.dryHours)],
    ['base-coat-2', coats > 1, dries(coat.dryHours)],
    ['light-sand', coats > 0 && surface.class !== 'fabric'],
    ['dust-again', coats > 0 && surface.class !== 'fabric'],
  ];
  return asked
    .filter(([, applies]) => applies)
    .map(([code, , hours = 0]) => ({
      code,
      coat: PAINTS.includes(code) ? coat.id : null,
      minutes: labourMinutes(HANDS[code], faceMm2),
      hours,
      cautions: [...(CAUTIONS[code] ?? []), ...cutting(code, surface)],
      tools: TOOLS[code] ?? [],
    }));
}

const PAINTS: readonly PrepCode[] = ['under-coat', 'base-coat', 'base-coat-2'];

/** Edges cut the hand that wipes them. */
const cutting = (code: PrepCode, { sharpEdges }: SurfaceRecord): CautionId[] =>
  code === 'degrease' && sharpEdges ? ['glass-edges'] : [];
