import {
  baseCoatById,
  finishById,
  type BaseCoatId,
  type CautionId,
  type SurfaceRecord,
  type ToolId,
} from '@/core/craft';
import { dryingFactor, type Room } from '@/core/cure';
import type { Job } from '../job';
import type { PrepCode } from '../step';

export interface PrepStep {
  code: PrepCode;
  /** The base coat it puts on, where it does. */
  coat: BaseCoatId | null;
  hours: number;
  cautions: readonly CautionId[];
  tools: readonly ToolId[];
}

const TOOLS: Readonly<Partial<Record<PrepCode, readonly ToolId[]>>> = {
  'lead-test': ['lead-test-kit'],
  scuff: ['sandpaper-120-and-220', 'dust-mask'],
  sand: ['sandpaper-120-and-220', 'dust-mask'],
  'seal-edges': ['thinned-wood-glue-or-the-binder', 'small-brush'],
  degrease: ['rubbing-alcohol-or-dish-soap', 'lint-free-cloth'],
  derust: ['wire-brush', 'dust-mask'],
  'wash-dry': ['stiff-brush', 'water'],
  prewash: ['washing-machine', 'iron'],
  'lay-flat': ['baking-parchment', 'tape'],
  dust: ['dust-cloth-or-soft-brush'],
  'base-coat': ['foam-brush', 'the-paint'],
  'light-sand': ['sandpaper-320'],
};

const CAUTIONS: Readonly<Partial<Record<PrepCode, readonly CautionId[]>>> = {
  'lead-test': ['lead'],
  scuff: ['sanding-dust'],
  sand: ['sanding-dust'],
  derust: ['sanding-dust'],
  'light-sand': ['sanding-dust'],
};

/** Whether a base coat goes on it. */
export const hasBaseCoat = (choice: Job['surface'], surface: SurfaceRecord): boolean =>
  choice.baseCoat !== 'none' && surface.takesBaseCoat;

/**
 * Steps from the surface as it is to a surface ready for the print. Drying of base coats follows the room. Source:
 * bench practice.
 */
export function preparation(surface: SurfaceRecord, choice: Job['surface'], room: Room): PrepStep[] {
  const finish = finishById(choice.finish);
  const wooden = surface.class === 'wood' || surface.class === 'painted';
  const coated = hasBaseCoat(choice, surface);
  const coat = baseCoatById(choice.baseCoat);
  const coatHours = coat.dryHours * dryingFactor(1, room, surface.dryingFactor).total;
  const asked: readonly [PrepCode, boolean, number?][] = [
    ['lead-test', wooden && (finish.mayHoldLead || surface.oldFinish)],
    ['scuff', wooden && (finish.holds === 'badly' || surface.oldFinish)],
    ['sand', wooden && choice.finish === 'bare' && !surface.oldFinish],
    ['seal-edges', surface.edgesDrink],
    ['degrease', surface.degrease],
    ['derust', surface.rusts],
    ['wash-dry', surface.washDryHours !== null, surface.washDryHours ?? 0],
    ['prewash', surface.laundered],
    ['lay-flat', surface.needsBarrier],
    ['dust', wooden || surface.class === 'mineral'],
    ['base-coat', coated, coatHours],
    ['light-sand', coated && surface.class !== 'fabric'],
  ];
  return asked
    .filter(([, applies]) => applies)
    .map(([code, , hours = 0]) => ({
      code,
      coat: code === 'base-coat' ? coat.id : null,
      hours,
      cautions: [...(CAUTIONS[code] ?? []), ...cutting(code, surface)],
      tools: TOOLS[code] ?? [],
    }));
}

/** Edges cut the hand that wipes them. */
const cutting = (code: PrepCode, { sharpEdges }: SurfaceRecord): CautionId[] =>
  code === 'degrease' && sharpEdges ? ['glass-edges'] : [];
