/**
 * Drying in a gentle oven: what may go in, and what the cycle takes. Source: bench practice; the label's limit and the
 * oven's own come first. Opaque and clear transfer media know no shortcut.
 */
import {
  baseCoatById,
  finishById,
  type BaseCoatId,
  type BinderRecord,
  type FinishId,
  type OvenHarm,
  type SurfaceClass,
  type SurfaceRecord,
} from '@/core/craft';

export type OvenId = 'gentle' | 'warm' | 'short';

export interface OvenCycle {
  id: OvenId;
  temperatureC: number;
  heatMinutes: number;
  restMinutes: number;
  /** Surfaces it is for; null for all. */
  only: readonly SurfaceClass[] | null;
}

export const OVEN_CYCLES: readonly OvenCycle[] = [
  { id: 'gentle', temperatureC: 80, heatMinutes: 15, restMinutes: 60, only: null },
  { id: 'warm', temperatureC: 100, heatMinutes: 15, restMinutes: 60, only: null },
  { id: 'short', temperatureC: 65, heatMinutes: 5, restMinutes: 15, only: ['mineral'] },
];

export const ovenById = (id: OvenId): OvenCycle => {
  const cycle = OVEN_CYCLES.find((one) => one.id === id);
  if (!cycle) throw new Error(`unknown oven cycle ${id}`);
  return cycle;
};

export type OvenRefusal = OvenHarm | 'no-shortcut' | 'stone-cycle' | 'glass-cycle' | 'resin-cycle' | 'too-hot';

export interface OvenPiece {
  surface: SurfaceRecord;
  finish: FinishId;
  baseCoat: BaseCoatId;
  binder: BinderRecord;
  /** Of the oven or the label, whichever is lower; null where neither says. */
  limitC: number | null;
}

/** Why a piece can't go through a cycle; null where it can. */
export function ovenRefusal(
  { surface, finish, baseCoat, binder, limitC }: OvenPiece,
  cycle: OvenCycle,
): OvenRefusal | null {
  if (binder.clockFloorHours > 0) return 'no-shortcut';
  // A painted face of which no finish is said has paint of an unknown kind on it.
  const unnamed = surface.class === 'painted' && finish === 'bare' ? 'unknown-paint' : null;
  const harm = surface.oven.refusal ?? finishById(finish).oven ?? unnamed ?? baseCoatById(baseCoat).oven;
  if (harm) return harm;
  if (cycle.only && !cycle.only.includes(surface.class)) return 'stone-cycle';
  if (surface.oven.limitC !== null && cycle.temperatureC > surface.oven.limitC)
    return surface.class === 'wood' ? 'resin-cycle' : 'glass-cycle';
  return limitC !== null && cycle.temperatureC > limitC ? 'too-hot' : null;
}

/** Hours from the cold oven to a piece that may be rubbed. */
export const ovenHours = (cycle: OvenCycle): number => (cycle.heatMinutes + cycle.restMinutes) / 60;
