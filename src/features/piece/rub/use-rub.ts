import { runSteps, type RunStep } from '@/core/plan';
import { isRubbed, passDryAt, type PiecePlan } from '@/core/stations';
import { useOpenPiece } from '../piece-context';

export interface Rub {
  planned: PiecePlan['rub']['rubbing'];
  /** How many passes are done, and of how many. */
  done: number;
  total: number;
  next: NonNullable<PiecePlan['rub']['rubbing']>['passes'][number] | undefined;
  school: PiecePlan['method']['school'];
  /** What the school's recipe has here besides passes: taking the sheet off, sticking it on. */
  others: RunStep[];
  open: RunStep | undefined;
  dryAt: number | null;
  /** Nothing is rubbed, and the wait is not over. */
  early: boolean;
  finished: boolean;
  /** What the last photo asks for, where it is of the piece as it stands. */
  verdict: PiecePlan['rub']['verdict'];
  isEndedByPhoto: boolean;
}

/** How far the open piece's rubbing is. */
export function useRub(): Rub {
  const { piece, plan, now } = useOpenPiece();
  const { rub } = piece;
  const { rubbing: planned, verdict } = plan.rub;
  const done = rub.done.length;
  const others = runSteps(piece, plan).filter(({ station, step }) => station === 'rub' && step.kind !== 'pass');
  const finished = isRubbed(piece, plan);
  return {
    planned,
    done,
    total: planned?.passes.length ?? 0,
    next: planned?.passes[done],
    school: plan.method.school,
    others,
    open: others.find(({ doneAt }) => doneAt === null),
    dryAt: passDryAt(piece, plan),
    early: plan.cure.clock !== null && done === 0 && now < plan.cure.clock.readyAt,
    finished,
    verdict,
    isEndedByPhoto: finished && rub.finishedAt === null && verdict !== null,
  };
}
