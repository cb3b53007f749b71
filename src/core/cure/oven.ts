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

export type OvenRefusal = OvenHarm | 'no-shortcut' | 'stone-cycle' | 'glass-cycle' | 'too-hot';
/** What must hold for a piece to bear a cycle. */
export type OvenCondition = 'no-resin';

export interface OvenPiece {
  surface: SurfaceRecord;
  finish: FinishId;
  baseCoat: BaseCoatId;
  /** By its label, what is painted on it bears an oven. */
  bakeSafe: boolean;
  binder: BinderRecord;
  /** Of the oven or the label, whichever is lower; null where neither says. */
  limitC: number | null;
}

/** Why a piece can't go through a cycle; null where it can. */
export function ovenRefusal(
  { surface, finish, baseCoat, bakeSafe, binder, limitC }: OvenPiece,
  cycle: OvenCycle,
): OvenRefusal | null {
  if (binder.clockFloorHours > 0) return 'no-shortcut';
  const ofPaint = harmOfPaint({ surface, finish, baseCoat });
  const harm = surface.oven.refusal ?? (bakeSafe && isSaidByLabel(ofPaint) ? null : ofPaint);
  if (harm) return harm;
  if (cycle.only && !cycle.only.includes(surface.class)) return 'stone-cycle';
  if (isAboveLimit(surface, cycle) && surface.class !== 'wood') return 'glass-cycle';
  return limitC !== null && cycle.temperatureC > limitC ? 'too-hot' : null;
}

type Painted = Pick<OvenPiece, 'surface' | 'finish' | 'baseCoat'>;

/** A painted face of which no finish is said has paint of an unknown kind on it. */
function harmOfPaint({ surface, finish, baseCoat }: Painted): OvenHarm | null {
  const unnamed = surface.class === 'painted' && finish === 'bare' ? 'unknown-paint' : null;
  return finishById(finish).oven ?? unnamed ?? baseCoatById(baseCoat).oven;
}

/** Some paint of such a kind bears an oven: its label says so. */
const isSaidByLabel = (harm: OvenHarm | null): boolean => harm === 'unknown-paint' || harm === 'acrylic-base';

/** Whether it matters that the paint is bake-safe. */
export const asksBakeSafe = (painted: Painted): boolean =>
  painted.surface.oven.refusal === null && isSaidByLabel(harmOfPaint(painted));

const isAboveLimit = ({ oven: { limitC } }: SurfaceRecord, { temperatureC }: OvenCycle): boolean =>
  limitC !== null && temperatureC > limitC;

/** What must hold for a piece that is not refused: wood takes more than a gentle heat where no resin and no glue is in it. */
export const ovenCondition = ({ surface }: Pick<OvenPiece, 'surface'>, cycle: OvenCycle): OvenCondition | null =>
  surface.class === 'wood' && isAboveLimit(surface, cycle) ? 'no-resin' : null;

/** The coat that the cycles' times are for, µm wet. */
const USUAL_FILM_UM = 225;
const FILM_EXPONENT = 1.5;

/**
 * Hours from the cold oven to a piece that may be rubbed. The time in the heat is a usual coat's: a thicker one takes
 * as much longer as it does in air.
 */
export function ovenHours(cycle: OvenCycle, filmUm: number): number {
  const share = Math.max(1, (filmUm / USUAL_FILM_UM) ** FILM_EXPONENT);
  return (cycle.heatMinutes + cycle.restMinutes * share) / 60;
}
