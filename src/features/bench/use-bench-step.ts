import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import type { Pending } from '@/core/plan';
import { MS_PER_MINUTE } from '@/core/shared';
import {
  isTooShort,
  pendingOf,
  useFinishSitting,
  useFinishStep,
  type PieceInPlan,
  type PlanEntry,
  type Schedule,
} from '@/features/agenda';
import type { BenchCard, CardTimer } from '@/features/piece/station-feature';
import { useTimers } from '@/features/timers';
import { useClock, useNow, useUnits } from '@/ui';
import { lowerFirst } from '@/words';
import { say } from '@/words/say';
import { benchRun, type BenchRun } from './cards';

/** Waits up to this get a timer of their own; longer ones stand on the rack and in the plan. */
const TIMED_HOURS = 4;

/** The card that was open, so that a reload opens it again. */
const OPEN_CARD = 'fobbet.bench-card';
const openCard = (key: string): number => {
  const [step, at] = (sessionStorage.getItem(OPEN_CARD) ?? '').split('#');
  return step === key ? Number(at) || 0 : 0;
};

/** The step that lies on the bench. */
export interface StepAtBench {
  schedule: Schedule;
  entry: PlanEntry;
  inPlan: PieceInPlan;
  /** What can be done after it, or while it waits. */
  next: PlanEntry | undefined;
}

export interface BenchStep {
  run: BenchRun;
  card: BenchCard;
  /** The card's place in the run, from 0. */
  at: number;
  isLast: boolean;
  running: { step: string; startedAt: number } | null;
  /** What it waits for; null where it can be done, or is being done. */
  pending: Pending | null;
  now: number;
  /** Whether the person is asked when it was done. */
  asking: boolean;
  notDone: () => void;
  startNow: () => void;
  /** To the next card or the one before; what is not begun yet begins. */
  move: (direction: number) => void;
  /** Starts a card's timer. */
  time: (timer: CardTimer) => void;
  done: () => void;
  finishAt: (at: number | undefined, minutes: number | null) => Promise<void>;
}

/** How far the step on the bench is, and what can be done with it. */
export function useBenchStep({ schedule, entry, inPlan, next }: StepAtBench): BenchStep {
  const units = useUnits();
  const clock = useClock();
  const now = useNow(20_000);
  const { start } = useTimers();
  const { agenda, change } = schedule;
  const { piece, step, sitting, key } = entry;
  const { job, plan } = inPlan.foreseen;
  const run = useMemo(() => benchRun(step, job, plan, units, sitting), [step, job, plan, units, sitting]);
  const [at, setAt] = useState(() => openCard(key));
  useEffect(() => sessionStorage.setItem(OPEN_CARD, `${key}#${at}`), [key, at]);
  const running = agenda.running?.step === key ? agenda.running : null;
  const pending = running ? null : pendingOf(entry, schedule.pieces, now);
  const [asking, setAsking] = useState(false);
  const finish = useFinishAtBench({ schedule, entry, inPlan, next });
  const startNow = () => void change({ running: { step: key, startedAt: clock() } });
  const begin = () => {
    if (!running && !pending) startNow();
  };
  const finishAt = (when: number | undefined, minutes: number | null) => {
    setAsking(false);
    return finish(when, minutes, running?.startedAt);
  };
  const last = run.cards.length - 1;
  return {
    run,
    card: run.cards[Math.min(at, last)]!,
    at,
    isLast: at >= last,
    running,
    pending,
    now,
    asking,
    notDone: () => setAsking(false),
    startNow,
    move: (direction) => {
      begin();
      setAt((index) => Math.min(last, Math.max(0, index + direction)));
    },
    time: (timer) => {
      begin();
      start({
        label: `${piece.name}: ${lowerFirst(timer.label)}`,
        minutes: timer.minutes,
        pieceId: piece.id,
        step: key,
      });
    },
    done: () => {
      const took = running ? clock() - running.startedAt : 0;
      if (isTooShort(took, step)) setAsking(true);
      else void finishAt(undefined, Math.max(1, Math.round(took / MS_PER_MINUTE)));
    },
    finishAt,
  };
}

const pathOf = (step: string): string => `/bench?step=${encodeURIComponent(step)}`;

/** Ends the step, or the sitting of it, and goes on to what comes next. */
function useFinishAtBench({ schedule, entry, inPlan, next }: StepAtBench) {
  const router = useRouter();
  const finish = useFinishStep();
  const finishSitting = useFinishSitting();
  const { start, timers, remove } = useTimers();
  const { piece, step } = entry;
  const { job, plan } = inPlan.foreseen;
  const own = schedule.entries.filter((one) => one.piece.id === piece.id);
  const nextOwn = own[own.findIndex(({ key }) => key === entry.key) + 1];
  return async (at: number | undefined, minutes: number | null, begunAt: number | undefined): Promise<void> => {
    // The rest of it is another sitting's.
    if (entry.key !== entry.stepKey) {
      if (await finishSitting(entry)) router.replace(next ? pathOf(next.key) : '/');
      return;
    }
    if (!(await finish(piece, job, plan, step, { minutes, at, begunAt }))) return;
    // Its timers end with it; the wait after it has its own.
    for (const timer of timers) if (timer.step === entry.key) remove(timer);
    const isTimed = step.waitHours > 0 && step.waitHours <= TIMED_HOURS && step.wait.maxHours === null;
    if (isTimed && at === undefined)
      start({
        label: say`${piece.name}: ready for the next step`,
        minutes: step.waitHours * 60,
        pieceId: piece.id,
        ...(nextOwn ? { step: nextOwn.key } : {}),
      });
    const onward = step.waitHours > 0 ? nextOwn : (next ?? nextOwn);
    router.replace(nextOwn && onward ? pathOf(onward.key) : `/bench?finished=${encodeURIComponent(piece.id)}`);
  };
}
