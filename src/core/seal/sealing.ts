/**
 * Which sealers suit a use and a sheen, and what they ask: coats, ml, hours. Between-coat hours follow the room by the same
 * drying factor as the binder; label cure days are never shortened. Source: bench practice; the label overrules.
 */
import { SEALERS, type BinderRecord, type SealerId, type SealerRecord, type SheenId, type UseId } from '@/core/craft';
import { LOSS_SHARE } from '@/core/coat';
import { dryingFactor, type Room } from '@/core/cure';

export interface SealerChoice {
  sealer: SealerRecord;
  suits: boolean;
  reasons: readonly string[];
}

const WEAR_NEEDED: Readonly<Record<UseId, number>> = { wall: 0, 'sunlit-wall': 1, furniture: 1, handled: 2, 'table-top': 2, cloth: 0 };

/** All sealers, the suiting ones first and among them the hardest wearing that does not yellow. */
export function sealerChoices(use: UseId, sheen: SheenId, binder: BinderRecord | null, fabric: boolean): SealerChoice[] {
  return SEALERS.map((sealer): SealerChoice => {
    const against: string[] = [];
    const bare = sealer.id === 'none';
    if (!sealer.uses.includes(use)) against.push('not made for this use');
    else if (bare && use === 'wall' && !fabric) against.push('only canvas and cloth go without');
    if (!sealer.sheens.includes(sheen)) against.push(`does not come in ${sheen}`);
    if (!bare && sealer.wear < WEAR_NEEDED[use]) against.push('too soft for the wear');
    if (sealer.id === 'same-medium' && binder?.base === 'white') against.push('the binder is white: it would cover the picture');
    const forIt = [sealer.note, ...(sealer.yellowing === 'none' ? [] : ['Yellows slightly.'])];
    return { sealer, suits: against.length === 0, reasons: against.length ? against : forIt };
  }).sort((a, b) => Number(b.suits) - Number(a.suits) || preference(b.sealer, use) - preference(a.sealer, use));
}

function preference(sealer: SealerRecord, use: UseId): number {
  const firstUse = sealer.uses[0] === use ? 2 : 0;
  return firstUse + sealer.wear / 4 + (sealer.yellowing === 'none' ? 1 : 0) - sealer.curedDays.min / 30;
}

export interface SealPlan {
  sealer: SealerRecord;
  coats: number;
  volumeMlPerCoat: number;
  totalMl: number;
  betweenHours: number;
  touchHours: number;
  lightUseDays: number;
  fullCureDays: number;
  bottleCoversM2: number;
}

const MM2_PER_M2 = 1_000_000;

export function sealPlan(sealer: SealerRecord, areaMm2: number, room: Room, coats: number | null): SealPlan {
  const factor = Math.max(1, dryingFactor(1, room, 1).total);
  const volumeMlPerCoat = (areaMm2 / MM2_PER_M2) * sealer.filmUm * (1 + LOSS_SHARE);
  const count = coats ?? sealer.coats.min;
  return {
    sealer, coats: count, volumeMlPerCoat, totalMl: volumeMlPerCoat * count,
    betweenHours: sealer.betweenHours.max * factor, touchHours: sealer.touchHours * factor,
    lightUseDays: sealer.curedDays.min, fullCureDays: sealer.curedDays.max,
    bottleCoversM2: sealer.filmUm === 0 ? 0 : 1000 / (sealer.filmUm * (1 + LOSS_SHARE)),
  };
}

export interface SealClock { nextCoatAt: number | null; touchAt: number | null; lightUseAt: number | null; fullCureAt: number | null; coatsLeft: number }

const MS_PER_HOUR = 3_600_000;
const MS_PER_DAY = 24 * MS_PER_HOUR;

/** Clock times after the coats that are on. @param coatsAt epoch ms of each coat, ascending */
export function sealClock(plan: SealPlan, coatsAt: readonly number[]): SealClock {
  const last = coatsAt.at(-1);
  const coatsLeft = Math.max(0, plan.coats - coatsAt.length);
  if (last === undefined) return { nextCoatAt: null, touchAt: null, lightUseAt: null, fullCureAt: null, coatsLeft };
  const finalCoatAt = last + coatsLeft * plan.betweenHours * MS_PER_HOUR;
  return {
    coatsLeft,
    nextCoatAt: coatsLeft > 0 ? last + plan.betweenHours * MS_PER_HOUR : null,
    touchAt: finalCoatAt + plan.touchHours * MS_PER_HOUR,
    lightUseAt: finalCoatAt + plan.lightUseDays * MS_PER_DAY,
    fullCureAt: finalCoatAt + plan.fullCureDays * MS_PER_DAY,
  };
}

export const defaultSealer = (use: UseId, sheen: SheenId, binder: BinderRecord | null, fabric: boolean): SealerId | null =>
  sealerChoices(use, sheen, binder, fabric).find((choice) => choice.suits)?.sealer.id ?? null;
