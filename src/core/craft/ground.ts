import { baseCoatById, isWash, type BaseCoatId } from './base-coats';
import { finishById, type FinishId } from './finishes';
import type { SurfaceRecord } from './surfaces';

/** What the coat lies on: the bare stuff, or what closes its pores. Factors as in the surface's record. */
export interface Ground {
  absorbency: number;
  dryingFactor: number;
  porous: boolean;
  passDryMinutes: number;
}

/** Paint, primer or bed: water leaves through the paper alone, at the usual pace. */
const SEALED = { absorbency: 1, dryingFactor: 1, porous: false, passDryMinutes: 10 } as const;
/** A weave under paint still has its dips, and threads that hold water. */
const SEALED_WEAVE_MINUTES = 30;

/** The ground under a finish and a base coat; a wash leaves pores open. Source: bench practice. */
export function groundOf(
  surface: SurfaceRecord,
  { finish, baseCoat }: { finish: FinishId; baseCoat: BaseCoatId },
): Ground {
  const coat = baseCoatById(baseCoat);
  const coated = surface.takesBaseCoat && coat.opacity > 0 && !isWash(coat);
  return coated || finishById(finish).seals ? sealedGround(surface) : surface;
}

/** The ground once a coat has closed it. */
export const sealedGround = ({ absorbency, dipsToFill }: SurfaceRecord): Ground =>
  dipsToFill ? { ...SEALED, absorbency: 1 + (absorbency - 1) / 2, passDryMinutes: SEALED_WEAVE_MINUTES } : SEALED;
