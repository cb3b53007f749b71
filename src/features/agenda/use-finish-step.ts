'use client';
import { useCallback, useRef } from 'react';
import type { PiecePlan } from '@/core/stations';
import { stepOfPart } from '@/core/schedule';
import type { RunStep } from '@/core/plan';
import { changedBy, type Agenda, type Piece } from '@/records';
import { database, type Save } from '@/storage';
import { useNotice } from '@/features/shell';
import { useSaveTogether } from '@/features/shell/use-save-together';
import { useClock } from '@/ui';
import { useCompletion, type Finished, type StepToFinish } from './completion';
import { useAgenda } from './use-agenda';
import type { PlanEntry } from './entries';
import { counted, lowerFirst, stepTitle } from '@/words';
import { say } from '@/words/say';

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
  const completion = useCompletion();
  const save = useSaveTogether();
  /** One press after the other: what is pressed twice is done once. */
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const finishNow = useCallback(
    async (all: readonly StepToFinish[], finished: Finished) => {
      const open = await stillOpen(all);
      const [first] = open;
      if (!first) return all.length > 0;
      const saves: Save[] = [];
      for (const one of open) {
        // What the first takes out of the stash is gone for the next.
        const mine = changedBy(
          one.piece,
          completion(
            one,
            finished,
            saves.map(({ mine: saved }) => saved),
          ),
        );
        saves.push({ base: one.piece, mine, label: lowerFirst(stepTitle(one.step.title)), now: clock() });
      }
      const whose = open.length === 1 ? first.piece.name : counted(open.length, 'piece', 'pieces');
      return save(saves, say`${whose}: ${lowerFirst(stepTitle(first.step.title))}, done.`);
    },
    [clock, completion, save],
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
