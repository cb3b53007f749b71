/**
 * What must come before a step, through all steps between: one answer for the plan, the stations, the bench, Today,
 * Ahead, a set's page and a batch.
 */
import type { WaitKind } from '@/core/craft';
import type { PiecePlan } from '@/core/stations';
import type { RunStep } from './run-steps';

/**
 * What a step still waits for. Instants epoch ms, null where what has to come before it is not done yet: when it is
 * ready, and from when signs on the piece could say so.
 */
export interface Pending {
  before: RunStep;
  kind: WaitKind;
  earliestAt: number | null;
  readyAt: number | null;
}

/** Where a step stands in the run: all that is asked of one that is to begin. */
type Place = Pick<RunStep, 'after'>;

/** After everything else: leaving a piece as it is. */
export const atTheEnd = (steps: readonly RunStep[]): Place => ({ after: steps.slice(-1).map(({ id }) => id) });

/** Every step that comes before another, those nearest to it first. @param steps of the whole run */
export function stepsBefore(steps: readonly RunStep[], step: Place): RunStep[] {
  return reachedFrom(steps, step, () => true);
}

/** What comes before a step, as far as those go on that the question passes. */
function reachedFrom(steps: readonly RunStep[], step: Place, goesOn: (one: RunStep) => boolean): RunStep[] {
  const byId = new Map(steps.map((one) => [one.id, one]));
  const reached = new Map<RunStep['id'], RunStep>();
  const open: Place[] = [step];
  for (let one = open.shift(); one; one = open.shift())
    for (const id of one.after) {
      const before = byId.get(id);
      if (!before || reached.has(id)) continue;
      reached.set(id, before);
      if (goesOn(before)) open.push(before);
    }
  return [...reached.values()];
}

/**
 * Why a step can't begin yet; null where it can. What leaves a wait behind it, or is seen on the piece, must be marked
 * before anything that comes after it; what leaves none may be done and not marked. A laid print may be begun when Cure
 * says so, everything else when its wait is over.
 *
 * @param steps of the whole run
 */
export function pendingBefore(steps: readonly RunStep[], step: Place, plan: PiecePlan, now: number): Pending | null {
  const before = stepsBefore(steps, step);
  const undone = steps.find((one) => one.doneAt === null && one.holdsBack && before.includes(one));
  if (undone) return { before: undone, kind: undone.wait.kind, earliestAt: null, readyAt: null };
  const waits = waitsBefore(steps, step).flatMap((one): (Pending & { readyAt: number })[] => {
    const readyAt = one.ripeAt;
    if (readyAt === null || readyAt <= now) return [];
    const earliestAt = one.step.kind === 'lay' ? (plan.cure.clock?.earliestAt ?? readyAt) : readyAt;
    return [{ before: one, kind: one.wait.kind, earliestAt, readyAt }];
  });
  return waits.sort((a, b) => b.readyAt - a.readyAt)[0] ?? null;
}

/** What comes before a step and may still have its wait to be over, through all that changed nothing of it. */
export const waitsBefore = (steps: readonly RunStep[], step: Place): RunStep[] => reachedFrom(steps, step, isPassedBy);

/** What is done and is still waited for, whether its time is over or not: some step that is open comes after it. */
export function openWaits(steps: readonly RunStep[]): { step: RunStep; fromAt: number; untilAt: number }[] {
  const waited = new Set(steps.filter(({ doneAt }) => doneAt === null).flatMap((open) => waitsBefore(steps, open)));
  return steps.flatMap((step) =>
    waited.has(step) && step.doneAt !== null && step.ripeAt !== null
      ? [{ step, fromAt: step.doneAt, untilAt: step.ripeAt }]
      : [],
  );
}

/** Whether what was waited for before a step still counts after it: not once the piece itself was worked on anew. */
const isPassedBy = ({ doneAt, holdsBack, station }: RunStep): boolean =>
  doneAt === null || !holdsBack || station === 'mend';

/** Whether all that comes right before a step is done: what is offered, beside what may be begun. */
export const isInTurn = (steps: readonly RunStep[], step: Place): boolean =>
  stepsBefore(steps, step).every(({ doneAt }) => doneAt !== null);
