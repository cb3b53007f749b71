import { isInTurn, pendingBefore, type Pending } from '@/core/plan';
import type { PlanEntry } from './entries';
import type { PieceInPlan } from './use-schedule';

/** What a planned step still waits for; null where it can begin. */
export function pendingOf({ piece, step }: PlanEntry, pieces: readonly PieceInPlan[], now: number): Pending | null {
  const inPlan = pieces.find(({ planned }) => planned.piece.id === piece.id);
  return inPlan ? pendingBefore(inPlan.steps, step, inPlan.foreseen.plan, now) : null;
}

/** Whether a planned step is offered: it can begin, and it is its turn. */
export function isOffered(entry: PlanEntry, pieces: readonly PieceInPlan[], now: number): boolean {
  const inPlan = pieces.find(({ planned }) => planned.piece.id === entry.piece.id);
  return inPlan !== undefined && isInTurn(inPlan.steps, entry.step) && pendingOf(entry, pieces, now) === null;
}
