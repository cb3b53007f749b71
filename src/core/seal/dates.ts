/**
 * What happens when after sealing, each as a date: coats, dry to the touch, hanging, wiping, the first wash, handing over,
 * fully hard. Coats that are on count from their own time, those to come from the last one. Source: bench practice; the
 * label overrules.
 */
import type { UseId } from '@/core/craft';
import { MS_PER_DAY, MS_PER_HOUR } from '@/core/shared';
import { afterLastCoat, type SealPlan } from './sealing';

export type SealDateCode = 'coat' | 'touch' | 'hang' | 'wipe' | 'first-wash' | 'hand-over' | 'hard';
export interface SealDate {
  code: SealDateCode;
  /** Of a coat, counted from 1. */
  number: number | null;
  at: number;
}

/** Hung sooner, a face that is dry to the touch still takes the print of whatever it leans on. */
const HANG_HOURS = 24;
const FIRST_WASH_DAYS = 4;

export interface SealTimes {
  plan: SealPlan | null;
  coatsAt: readonly number[];
  /** Where coats to come are planned already, epoch ms by their number; else they follow as early as they may. */
  plannedAt?: readonly (number | null)[];
  /** When the first may go on: dry and mended; null where nobody knows yet. */
  firstAt: number | null;
  use: UseId;
  /** Washed and worn: cloth. */
  laundered: boolean;
  /** When a piece without a sealer was done. */
  bareAt: number | null;
}

export function sealDates({ plan, coatsAt, plannedAt = [], firstAt, use, laundered, bareAt }: SealTimes): SealDate[] {
  if (!plan || plan.sealer.bare || plan.coats === 0) {
    if (bareAt === null) return [];
    return laundered
      ? [date('first-wash', bareAt + FIRST_WASH_DAYS * MS_PER_DAY)]
      : [date('hand-over', bareAt + HANG_HOURS * MS_PER_HOUR)];
  }
  const coats = coatTimes(plan, coatsAt, plannedAt, firstAt);
  const last = coats.at(-1);
  if (last === undefined) return [];
  const { touchAt, lightUseAt, fullCureAt } = afterLastCoat(plan, last);
  const coatDates = coats.map((at, index): SealDate => ({ code: 'coat', number: index + 1, at }));
  if (touchAt === null || lightUseAt === null || fullCureAt === null) return coatDates;
  const worn = use === 'table-top' || use === 'handled';
  const dates = [
    ...coatDates,
    date('touch', touchAt),
    ...(use === 'wall' || use === 'sunlit-wall'
      ? [date('hang', Math.max(touchAt, last + HANG_HOURS * MS_PER_HOUR))]
      : []),
    date('wipe', lightUseAt),
    ...(laundered ? [date('first-wash', Math.max(lightUseAt, last + FIRST_WASH_DAYS * MS_PER_DAY))] : []),
    date('hand-over', worn ? fullCureAt : lightUseAt),
    date('hard', fullCureAt),
  ];
  return dates.sort((a, b) => a.at - b.at);
}

const date = (code: SealDateCode, at: number): SealDate => ({ code, number: null, at });

function coatTimes(
  { coats, betweenHours }: SealPlan,
  coatsAt: readonly number[],
  plannedAt: readonly (number | null)[],
  firstAt: number | null,
): number[] {
  const times: number[] = [];
  for (let index = 0; index < Math.max(coats, coatsAt.length); index++) {
    const before = times.at(-1);
    const soonest = before === undefined ? firstAt : before + betweenHours * MS_PER_HOUR;
    const at = coatsAt[index] ?? plannedAt[index] ?? soonest;
    if (at === null) return [];
    times.push(at);
  }
  return times;
}
