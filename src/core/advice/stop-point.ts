/**
 * Where mending stops to pay: too much is gone, or it is gone in lettering. Then it is traced, covered, or printed again,
 * each with its hands and its waiting. Source: bench practice.
 */
import type { PieceReading } from '@/core/inspect';
import { sum } from '@/core/shared';

export type WayOut = 'trace' | 'cover' | 'print-again';
export interface StopPoint {
  reason: 'too-much' | 'too-large' | 'lettering';
  lostShare: number;
  ways: readonly { way: WayOut; handsMinutes: number; waitHours: number }[];
}

/** Hands and waiting from the sheet on; what covering and tracing take. */
export interface AgainCost {
  handsMinutes: number;
  waitHours: number;
}

const LOST = 0.6;
const TOO_MUCH_SHARE = 0.12;
const LETTERING_SHARE = 0.03;
const TOO_LARGE_CM2 = 20;
const COVER = { handsMinutes: 25, waitHours: 4 };
const TRACE = { handsMinutes: 40, waitHours: 1 };

/** @returns null where mending pays */
export function stopPoint(
  reading: PieceReading,
  largestCm2: number,
  lettering: boolean,
  again: AgainCost,
): StopPoint | null {
  const told = reading.kept.filter((value) => value !== null);
  const lostShare = told.filter((value) => value < LOST).length / Math.max(1, told.length);
  const reason = reasonFor(lostShare, largestCm2, lettering);
  if (!reason) return null;
  return {
    reason,
    lostShare,
    ways: [
      ...(lettering ? [{ way: 'trace' as const, ...TRACE }] : []),
      { way: 'cover', ...COVER },
      {
        way: 'print-again',
        handsMinutes: COVER.handsMinutes + again.handsMinutes,
        waitHours: COVER.waitHours + again.waitHours,
      },
    ],
  };
}

function reasonFor(lostShare: number, largestCm2: number, lettering: boolean): StopPoint['reason'] | null {
  if (lostShare > TOO_MUCH_SHARE) return 'too-much';
  if (lettering && lostShare > LETTERING_SHARE) return 'lettering';
  return largestCm2 > TOO_LARGE_CM2 ? 'too-large' : null;
}

/** How much of the print is worn off now, and how much of that lies along its edges: against what was wanted. */
export function wornShare({ kept, cell: { columns, rows } }: PieceReading): { share: number; atEdges: number } {
  const rim = Math.max(1, Math.round(Math.min(columns, rows) / 10));
  const worn = kept.map((value, at) => {
    const [x, y] = [at % columns, Math.floor(at / columns)];
    const edge = x < rim || y < rim || x >= columns - rim || y >= rows - rim;
    return { gone: value === null ? 0 : 1 - value, edge };
  });
  const all = sum(worn.map(({ gone }) => gone));
  const told = kept.filter((value) => value !== null).length;
  return {
    share: all / Math.max(1, told),
    atEdges: all > 0 ? sum(worn.filter(({ edge }) => edge).map(({ gone }) => gone)) / all : 0,
  };
}
