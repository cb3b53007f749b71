/**
 * Which sealers suit a use and a sheen, and what they ask: coats, ml, hours. Hours between coats and the days after the
 * last follow the room by the same drying factor as the binder, and are never shorter than the label's; below the
 * sealer's least temperature nothing hardens, and no day is told. Source: bench practice; the label overrules.
 */
import { SEALERS, type BinderRecord, type SealerId, type SealerRecord, type SheenId, type UseId } from '@/core/craft';
import { MS_PER_DAY, MS_PER_HOUR } from '@/core/shared';
import { LOSS_SHARE } from '@/core/coat';
import { dryingFactor, type Room } from '@/core/cure';

/** What speaks for or against a sealer. */
export type SealerReason =
  | 'not-for-use'
  | 'only-fabric-goes-bare'
  | 'not-in-sheen'
  | 'too-soft'
  | 'covers-picture'
  | 'as-noted'
  | 'yellows'
  | 'sealed-by-tape';

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
export function sealerChoices(context: SealContext): SealerChoice[] {
  return SEALERS.map((sealer): SealerChoice => {
    const against = reasonsAgainst(sealer, context);
    return { sealer, suits: against.length === 0, reasons: against.length > 0 ? against : reasonsFor(sealer, context) };
  }).sort((a, b) => Number(b.suits) - Number(a.suits) || preference(b.sealer, context) - preference(a.sealer, context));
}

function reasonsFor({ yellowing, bare }: SealerRecord, { sealsItself }: SealContext): SealerReason[] {
  if (bare && sealsItself) return ['sealed-by-tape'];
  return yellowing === 'none' ? ['as-noted'] : ['as-noted', 'yellows'];
}

/** What a sealer is asked for. */
export interface SealContext {
  use: UseId;
  sheen: SheenId;
  binder: BinderRecord | null;
  fabric: boolean;
  /** A decal under its own tape: nothing need go over it. */
  sealsItself: boolean;
}

function reasonsAgainst(sealer: SealerRecord, context: SealContext): SealerReason[] {
  const { use, sheen, binder, fabric, sealsItself } = context;
  if (sealer.bare && sealsItself) return [];
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

const OWN_TAPE_FIRST = 100;

function preference(sealer: SealerRecord, { use, sealsItself }: SealContext): number {
  if (sealer.bare && sealsItself) return OWN_TAPE_FIRST;
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
  /** The room is below the sealer's least temperature: it does not harden there. */
  tooCold: boolean;
  bottleCoversM2: number;
}

const MM2_PER_M2 = 1_000_000;

/** @param least coats that the method asks for, whatever is usual of the sealer */
export function sealPlan(sealer: SealerRecord, areaMm2: number, room: Room, coats: number | null, least = 0): SealPlan {
  const factor = Math.max(1, dryingFactor(1, room, 1).total);
  const volumeMlPerCoat = (areaMm2 / MM2_PER_M2) * sealer.filmUm * (1 + LOSS_SHARE);
  const count = sealer.bare ? 0 : (coats ?? Math.max(sealer.coats.min, least));
  return {
    sealer,
    coats: count,
    volumeMlPerCoat,
    totalMl: volumeMlPerCoat * count,
    betweenHours: sealer.betweenHours.max * factor,
    touchHours: sealer.touchHours * factor,
    lightUseDays: sealer.curedDays.min * factor,
    fullCureDays: sealer.curedDays.max * factor,
    tooCold: sealer.leastC !== null && room.temperatureC < sealer.leastC,
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
    ...afterLastCoat(plan, finalCoatAt),
  };
}

/** When it is dry to the touch, carries light use, and is hard; null where it does not harden. */
export function afterLastCoat(
  { touchHours, lightUseDays, fullCureDays, tooCold }: SealPlan,
  lastAt: number,
): Pick<SealClock, 'touchAt' | 'lightUseAt' | 'fullCureAt'> {
  if (tooCold) return { touchAt: null, lightUseAt: null, fullCureAt: null };
  return {
    touchAt: lastAt + touchHours * MS_PER_HOUR,
    lightUseAt: lastAt + lightUseDays * MS_PER_DAY,
    fullCureAt: lastAt + fullCureDays * MS_PER_DAY,
  };
}

/**
 * The sealer as it is bought: the binder's own bottle cures as that bottle does, where it is a sealer too, and stands
 * among them under its one id.
 */
export function sealerAsBought(sealer: SealerRecord, binder: BinderRecord | null): SealerRecord {
  const bottle = sealer.isBinder ? SEALERS.find(({ id }) => id === binder?.id) : undefined;
  if (!bottle) return sealer;
  const { betweenHours, touchHours, curedDays, filmUm, leastC } = bottle;
  return { ...sealer, betweenHours, touchHours, curedDays, filmUm, leastC };
}

export const defaultSealer = (context: SealContext): SealerId | null =>
  sealerChoices(context).find((choice) => choice.suits)?.sealer.id ?? null;
