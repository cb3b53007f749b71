'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useMemo, useRef } from 'react';
import { type PiecePlan, stepKey } from '@/core/stations';
import { stepOfPart } from '@/core/schedule';
import { completeStep, type RunStep } from '@/core/plan';
import { changedBy, readPiece, type Agenda, type Piece } from '@/records';
import { database, savePieces } from '@/storage';
import { useNotice, useReport } from '@/features/shell';
import { useUndoSteps } from '@/features/shell/use-undo-steps';
import { useStash } from '@/features/at-hand';
import { useShelf } from '@/features/shelf';
import { useClock } from '@/ui';
import { drawsFor } from './draws';
import { useAgenda } from './use-agenda';
import type { PlanEntry } from './entries';
import { counted, lowerFirst, stepTitle } from '@/words';
import { say } from '@/words/say';

/** All pieces that took something out of the stash, removed ones too. */
export function useStashUsers(): readonly Pick<Piece, 'id' | 'name' | 'work'>[] {
  const shelf = useShelf();
  const removed = useLiveQuery(() => database().removed.toArray());
  return useMemo(() => {
    const gone = removed?.map(({ piece }) => readPiece(piece)).flatMap((read) => (read.ok ? [read.value] : []));
    return [...(shelf?.pieces ?? []), ...(gone ?? [])];
  }, [shelf, removed]);
}

/** How a step ended: the minutes that were measured, when it was (now where it is left out), and whether too soon. */
interface Finished {
  minutes: number | null;
  at?: number;
  early?: boolean;
}

/** Whatever the agenda holds of a step that is over, its parts' too. */
export const withoutStep = ({ pins, notBefore, partly, running }: Agenda, key: string): Partial<Agenda> => {
  const isIts = (id: string) => stepOfPart(id) === key;
  const without = (record: Record<string, number>) =>
    Object.fromEntries(Object.entries(record).filter(([id]) => !isIts(id)));
  return {
    pins: without(pins),
    notBefore: without(notBefore),
    partly: without(partly),
    running: running && isIts(running.step) ? null : running,
  };
};

/** Marks one sitting of a step done: the rest of it stays in the plan. */
export function useFinishSitting() {
  const notice = useNotice();
  const agenda = useAgenda();
  return useCallback(
    async ({ piece, step, stepKey: key, sitting }: PlanEntry) => {
      if (!agenda || !sitting) return false;
      const before = agenda.agenda.partly[key];
      const share =
        (value: number | undefined) =>
        ({ partly, pins, running }: Agenda) => ({
          partly: Object.fromEntries([
            ...Object.entries(partly).filter(([id]) => id !== key),
            ...(value === undefined ? [] : [[key, value] as const]),
          ]),
          pins: Object.fromEntries(Object.entries(pins).filter(([id]) => stepOfPart(id) !== key)),
          running: running && stepOfPart(running.step) === key ? null : running,
        });
      if (!(await agenda.change(share(sitting.untilShare), { remembered: false }))) return false;
      notice({
        text: say`${piece.name}: ${lowerFirst(stepTitle(step.title))}, sitting ${sitting.number} of ${sitting.of}, done.`,
        tone: 'success',
        action: { label: say`Undo`, run: () => void agenda.change(share(before), { remembered: false }) },
      });
      return true;
    },
    [notice, agenda],
  );
}

/** A step that is to be marked done: the piece as it is stored, and as the plan takes it. */
export interface StepToFinish {
  piece: Piece;
  job: Piece;
  plan: PiecePlan;
  step: RunStep;
}

/** Those of some steps that were not marked done meanwhile, by a press before this one or in another window. */
async function stillOpen(all: readonly StepToFinish[]): Promise<StepToFinish[]> {
  const stored = await database().pieces.bulkGet(all.map(({ piece }) => piece.id));
  const doneAt = ({ work }: Pick<Piece, 'work'>, step: RunStep) => work.done.find((done) => done.step === step.id)?.at;
  return all.filter(({ piece, step }, index) => {
    const now = stored[index];
    return !now || doneAt(now, step) === doneAt(piece, step);
  });
}

/** Marks steps done from anywhere, all or none: the pieces' records, the stash and the plan follow; undo takes all of it back. */
export function useFinishSteps() {
  const clock = useClock();
  const notice = useNotice();
  const report = useReport();
  const { stash } = useStash();
  const users = useStashUsers();
  const undo = useUndoSteps();
  const agenda = useAgenda();
  /** One press after the other: what is pressed twice is done once. */
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const finishNow = useCallback(
    async (all: readonly StepToFinish[], { minutes, at = clock(), early = false }: Finished) => {
      const open = await stillOpen(all);
      if (open.length === 0) return all.length > 0;
      // What the first takes out of the stash is gone for the next.
      let using = users;
      const saves = open.map(({ piece, job, plan, step }) => {
        const patch = completeStep(job, step, at, minutes, drawsFor(step.step, job, plan, stash, using), early);
        // A method that was only assumed becomes the piece's own once its steps are done.
        const method =
          job.method.binder !== piece.method.binder || job.method.school !== piece.method.school
            ? { method: { school: job.method.school, binder: job.method.binder } }
            : {};
        const mine = changedBy(piece, { ...patch, ...method });
        using = [...using.filter(({ id }) => id !== piece.id), mine];
        return { base: piece, mine, label: lowerFirst(stepTitle(step.title)), now: clock() };
      });
      const saved = await savePieces(database(), saves);
      if (!report(saved) || !saved.ok) return false;
      const done = open.map(({ piece, step }, index) => ({ piece, step, mark: saved.value[index]?.revision ?? 0 }));
      const [first] = done;
      if (!first) return true;
      const keys = done.map(({ piece, step }) => stepKey(piece.id, step.id));
      await agenda?.change((now) => keys.reduce((rest, key) => ({ ...rest, ...withoutStep(rest, key) }), now), {
        remembered: false,
      });
      const whose = done.length === 1 ? first.piece.name : counted(done.length, 'piece', 'pieces');
      notice({
        text: say`${whose}: ${lowerFirst(stepTitle(first.step.title))}, done.`,
        tone: 'success',
        action: {
          label: say`Undo`,
          run: () => void undo(done.map(({ piece, mark }) => ({ id: piece.id, mark }))),
        },
      });
      return true;
    },
    [clock, notice, report, stash, users, undo, agenda],
  );
  return useCallback(
    (all: readonly StepToFinish[], finished: Finished): Promise<boolean> => {
      const turn = queue.current.then(() => finishNow(all, finished));
      queue.current = turn.catch(() => undefined);
      return turn;
    },
    [finishNow],
  );
}

/** Marks one step done. */
export function useFinishStep() {
  const finish = useFinishSteps();
  return useCallback(
    (piece: Piece, job: Piece, plan: PiecePlan, step: RunStep, finished: Finished) =>
      finish([{ piece, job, plan, step }], finished),
    [finish],
  );
}
