import { pendingBefore, runSteps, type Pending } from '@/core/plan';
import type { PieceInPlan, PlanEntry } from '@/features/agenda';

/** What a planned step still waits for; null where it can begin. */
export function pendingOf({ piece, step }: PlanEntry, pieces: readonly PieceInPlan[], now: number): Pending | null {
  const inPlan = pieces.find(({ planned }) => planned.piece.id === piece.id);
  if (!inPlan) return null;
  const { job, plan } = inPlan.foreseen;
  return pendingBefore(runSteps(job, plan), step, plan, now);
}
