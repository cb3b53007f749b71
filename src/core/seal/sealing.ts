/**
 * Which sealers suit a use and a sheen, and what they ask: coats, ml, hours. Between-coat hours follow the room by the
 * same drying factor as the binder; label cure days are never shortened. Source: bench practice; the label overrules.
 */
import { SEALERS, type BinderRecord, type SealerId, type SealerRecord, type SheenId, type UseId } from '@/core/craft';
import { MS_PER_DAY, MS_PER_HOUR } from '@/core/shared';
import { LOSS_SHARE } from '@/core/coat';
import { dryingFactor, type Room } from '@/core/cure';

/** What speaks for or against a sealer. */
export type SealerReason =
  'not-for-use' | 'only-fabric-goes-bare' | 'not-in-sheen' | 'too-soft' | 'covers-picture' | 'as-noted' | 'yellows';

export interface SealerChoice {
  sealer: SealerRecord;
  suits: boolean;
  /** Against it where it does not suit, for it where it does. */
  reasons: readonly SealerReason[];
}

const WEAR_NEEDED: Readonly<Record<UseId, number>> = {
  wall: 0,
  'sunlit-wall': 1,
  furniture: 1,
  handled: 2,
  'table-top': 2,
  cloth: 0,
};

/** All sealers, the suiting ones first and among them the hardest wearing that does not yellow. */
export function sealerChoices(
  use: UseId,
  sheen: SheenId,
  binder: BinderRecord | null,
  fabric: boolean,
): SealerChoice[] {
  return SEALERS.map((sealer): SealerChoice => {
    const against = reasonsAgainst(sealer, { use, sheen, binder, fabric });
    return { sealer, suits: against.length === 0, reasons: against.length > 0 ? against : reasonsFor(sealer) };
  }).sort((a, b) => Number(b.suits) - Number(a.suits) || preference(b.sealer, use) - preference(a.sealer, use));
}

const reasonsFor = ({ yellowing }: SealerRecord): SealerReason[] =>
  yellowing === 'none' ? ['as-noted'] : ['as-noted', 'yellows'];

interface SealContext {
  use: UseId;
  sheen: SheenId;
  binder: BinderRecord | null;
  fabric: boolean;
}

function reasonsAgainst(sealer: SealerRecord, { use, sheen, binder, fabric }: SealContext): SealerReason[] {
  const forUse = sealer.uses.includes(use);
  const asked: readonly [SealerReason, boolean][] = [
    ['not-for-use', !forUse],
    ['only-fabric-goes-bare', forUse && sealer.bare && use === 'wall' && !fabric],
    ['not-in-sheen', !sealer.sheens.includes(sheen)],
    ['too-soft', !sealer.bare && sealer.wear < WEAR_NEEDED[use]],
    ['covers-picture', sealer.isBinder && binder?.base === 'white'],
  ];
  return asked.filter(([, applies]) => applies).map(([reason]) => reason);
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
    sealer,
    coats: count,
    volumeMlPerCoat,
    totalMl: volumeMlPerCoat * count,
    betweenHours: sealer.betweenHours.max * factor,
    touchHours: sealer.touchHours * factor,
    lightUseDays: sealer.curedDays.min,
    fullCureDays: sealer.curedDays.max,
    bottleCoversM2: sealer.filmUm === 0 ? 0 : 1000 / (sealer.filmUm * (1 + LOSS_SHARE)),
  };
}

export interface SealClock {
  nextCoatAt: number | null;
  touchAt: number | null;
  lightUseAt: number | null;
  fullCureAt: number | null;
  coatsLeft: number;
}

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

export const defaultSealer = (
  use: UseId,
  sheen: SheenId,
  binder: BinderRecord | null,
  fabric: boolean,
): SealerId | null => sealerChoices(use, sheen, binder, fabric).find((choice) => choice.suits)?.sealer.id ?? null;
