import type { WaitKind } from '@/core/craft';
import type { PiecePlan } from '@/core/stations';
import type { RunStep } from './run-steps';

/** What a step still waits for. Instants epoch ms; null where what has to wait before it is not done
 * yet. */
export interface Pending {
  before: RunStep;
  kind: WaitKind;
  earliestAt: number | null;
  likelyAt: number | null;
}

/**
 * Why a step can't begin yet; null where it can. A laid print may be begun at its earliest, everything else when its
 * wait is over.
 *
 * @param steps of the whole run
 */
export function pendingBefore(steps: readonly RunStep[], step: RunStep, plan: PiecePlan, now: number): Pending | null {
  const before = step.after.flatMap((id) => steps.filter((one) => one.id === id));
  // What leaves no wait behind it may be done and not marked.
  const undone = before.find(({ doneAt, waitHours }) => doneAt === null && waitHours > 0);
  if (undone) return { before: undone, kind: undone.wait.kind, earliestAt: null, likelyAt: null };
  const waits = before.flatMap((one): (Pending & { earliestAt: number })[] => {
    const likelyAt = one.ripeAt;
    if (likelyAt === null) return [];
    const earliestAt = one.step.kind === 'lay' ? (plan.cure.clock?.earliestAt ?? likelyAt) : likelyAt;
    return earliestAt > now ? [{ before: one, kind: one.wait.kind, earliestAt, likelyAt }] : [];
  });
  return waits.sort((a, b) => b.earliestAt - a.earliestAt)[0] ?? null;
}
