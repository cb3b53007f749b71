import { isInTurn, pendingBefore, plannedSteps, type Foreseen, type Pace, type RunStep } from '@/core/plan';
import type { PlannedPiece } from '@/features/plans';
import type { Piece } from '@/records';

/** One piece of a set with the steps of its run. */
export interface PartOfSet {
  /** In the set, from 1. */
  number: number;
  planned: PlannedPiece;
  foreseen: Foreseen<Piece>;
  steps: readonly RunStep[];
}

type CellState = 'done' | 'ready' | 'waits' | 'none';
export interface Cell {
  part: PartOfSet;
  /** Null where this piece has no such step: what the others need, or what was done otherwise. */
  step: RunStep | null;
  state: CellState;
  /** When it is ready, epoch ms; null where something comes first that is not done. */
  readyAt: number | null;
}

/** One step of the set's plan, over all its pieces. */
export interface StepOfSet {
  id: RunStep['id'];
  step: RunStep;
  cells: readonly Cell[];
  done: number;
  of: number;
}

/** A set counted through: each step of its plan, and how it stands with each piece. */
export function stepsOfSet(parts: readonly PartOfSet[], now: number): StepOfSet[] {
  const steps = new Map<RunStep['id'], RunStep>();
  for (const part of parts) for (const step of part.steps) if (!steps.has(step.id)) steps.set(step.id, step);
  const order = orderOf(parts);
  return [...steps.values()]
    .sort((a, b) => order.indexOf(a.id) - order.indexOf(b.id))
    .map((step): StepOfSet => {
      const cells = parts.map((part) => cellOf(part, step.id, now));
      return {
        id: step.id,
        step,
        cells,
        done: cells.filter(({ state }) => state === 'done').length,
        of: cells.filter(({ state }) => state !== 'none').length,
      };
    });
}

/** Working order: a step that only some have stands after the one it follows there. */
function orderOf(parts: readonly PartOfSet[]): RunStep['id'][] {
  const order: RunStep['id'][] = [];
  for (const { steps } of parts)
    steps.forEach(({ id }, at) => {
      if (order.includes(id)) return;
      const before = steps[at - 1];
      order.splice(before ? order.indexOf(before.id) + 1 : 0, 0, id);
    });
  return order;
}

function cellOf(part: PartOfSet, id: RunStep['id'], now: number): Cell {
  const step = part.steps.find((one) => one.id === id) ?? null;
  if (!step) return { part, step, state: 'none', readyAt: null };
  if (step.doneAt !== null) return { part, step, state: 'done', readyAt: null };
  const pending = pendingBefore(part.steps, step, part.foreseen.plan, now);
  if (pending) return { part, step, state: 'waits', readyAt: pending.readyAt };
  return { part, step, state: isInTurn(part.steps, step) ? 'ready' : 'waits', readyAt: null };
}

/** Minutes of hands that are left, over all pieces, getting ready shared counted once. */
export const minutesLeft = (steps: readonly StepOfSet[]): number =>
  steps.reduce((sum, { cells }) => {
    const open = cells.flatMap(({ step, state }) => (step && state !== 'done' ? [step] : []));
    const ready = open[0]?.setUp?.minutes ?? 0;
    return sum + open.reduce((own, step) => own + step.handsMinutes - (step.setUp?.minutes ?? 0), 0) + ready;
  }, 0);

/** The steps of a piece as it is foreseen: with the best method where none is chosen yet. */
export const partOf = (number: number, planned: PlannedPiece, foreseen: Foreseen<Piece>, pace: Pace): PartOfSet => ({
  number,
  planned,
  foreseen,
  steps: plannedSteps(foreseen, pace),
});
