'use client';
import { Check } from 'lucide-react';
import Link from 'next/link';
import { useState } from 'react';
import { cautionsOf } from '@/core/plan';
import {
  benchPath,
  pendingOf,
  printPath,
  rowsByClock,
  useFinishSitting,
  useFinishStep,
  type PlanEntry,
  type PlanRow,
  type Schedule,
} from '@/features/agenda';
import { Cautions, clockTime, useNow } from '@/ui';
import { batchTitle, counted, lowerFirst, sittingWords, stepTitle, remarks } from '@/words';
import { Head, type Quick } from './head';
import { TimerStrip } from './timer-strip';
import css from './bench.module.css';
import { say } from '@/words/say';

const LEAST_SHARE = 1e-6;

/** Several pieces that share what is got ready, as one card: ticked piece by piece, each in its turn. */
export function BatchRun({ schedule, batch, quick, onQuick }: { schedule: Schedule; batch: string } & Quick) {
  const now = useNow();
  const finish = useFinishStep();
  const finishSitting = useFinishSitting();
  const { entries, pieces } = schedule;
  // As they stood when it was begun: what is ticked off leaves the plan, and stays on the card.
  const [own, setOwn] = useState<readonly PlanEntry[]>(() => batchOf(schedule, batch));
  // The plan may not be there yet when the card is opened by its address.
  if (own.length === 0 && entries.length > 0) {
    const found = batchOf(schedule, batch);
    if (found.length > 0) setOwn(found);
  }
  const [ticking, setTicking] = useState<string | null>(null);
  // Nothing of it is left in the plan, however the rest is divided by now.
  const isDone = ({ stepKey, sitting }: PlanEntry) =>
    !entries.some(
      (one) => one.stepKey === stepKey && (one.sitting?.fromShare ?? 0) < (sitting?.untilShare ?? 1) - LEAST_SHARE,
    );
  const done = own.filter(isDone).length;
  const open = own.filter((entry) => !isDone(entry));
  const minutes = open.reduce((sum, entry) => sum + entry.minutes, 0);
  const [first] = own;
  const next = rowsByClock(entries).find(({ entries: [one] }) => one && !own.some(({ key }) => key === one.key));
  const inPlanOf = (entry: PlanEntry) => pieces.find(({ planned }) => planned.piece.id === entry.piece.id);
  const tick = async (entry: PlanEntry) => {
    const inPlan = inPlanOf(entry);
    if (!inPlan || isDone(entry)) return;
    setTicking(entry.key);
    const { job, plan } = inPlan.foreseen;
    if (entry.key === entry.stepKey) await finish(inPlan.planned.piece, job, plan, entry.step, { minutes: null });
    else await finishSitting(entry);
    setTicking(null);
  };
  const cautions = [
    ...new Set(
      own.flatMap((entry) => {
        const inPlan = inPlanOf(entry);
        return inPlan ? cautionsOf(entry.step.step, inPlan.foreseen.job, inPlan.foreseen.plan) : [];
      }),
    ),
  ];
  const sheets = open.filter(({ step }) => step.step.kind === 'print');
  return (
    <>
      <Head
        title={
          first
            ? batchTitle(
                first.step.work,
                own.map(({ step }) => stepTitle(step.title)),
              )
            : say`Nothing to do together`
        }
        name={first ? say`${done} of ${own.length} done` : say`Its steps are done, or planned apart by now.`}
        quick={quick}
        onQuick={onQuick}
      />
      <div className={css.together}>
        <div data-testid="batch-card" aria-live="polite">
          {open.length > 0 && (
            <p
              className={css.count}
            >{say`${counted(open.length, 'piece', 'pieces')} still to do, about ${minutes} min`}</p>
          )}
          {sheets.length > 1 && (
            <p className={css.onward}>
              <Link
                href={printPath(sheets.map(({ piece }) => piece))}
                data-testid="batch-print"
              >{say`All sheets on one PDF`}</Link>
            </p>
          )}
          <ul className={css.batch}>
            {own.map((entry) => {
              const pending = isDone(entry) ? null : pendingOf(entry, pieces, now);
              return (
                <li key={entry.key} data-done={isDone(entry)}>
                  <button
                    type="button"
                    aria-pressed={isDone(entry)}
                    disabled={isDone(entry) || ticking !== null || pending !== null}
                    onClick={() => void tick(entry)}
                    aria-label={say`${entry.piece.name}: ${stepTitle(entry.step.title)}, done`}
                    data-testid="batch-tick"
                  >
                    {isDone(entry) && <Check aria-hidden />}
                  </button>
                  <span>
                    <b>{entry.piece.name}</b>
                    <span>
                      {remarks(
                        stepTitle(entry.step.title),
                        entry.sitting && sittingWords(entry.sitting),
                        say`${entry.minutes} min`,
                      )}
                    </span>
                    {pending && (
                      <span>
                        {pending.readyAt === null
                          ? say`First: ${lowerFirst(stepTitle(pending.before.title))}.`
                          : say`Ready ${clockTime(pending.readyAt, now)}.`}
                      </span>
                    )}
                  </span>
                  {!isDone(entry) && <Link href={`/bench?step=${encodeURIComponent(entry.key)}`}>{say`How`}</Link>}
                </li>
              );
            })}
          </ul>
          {open.length === 0 && (
            <p className={css.onward}>
              {next ? (
                <Link href={benchPath(next)} data-testid="batch-next">
                  {nextWords(next, next.startAt > now)}
                </Link>
              ) : (
                <Link href="/">{say`Today`}</Link>
              )}
            </p>
          )}
        </div>
        <div className={css.aside}>
          {cautions.length > 0 && <h2 className="unseen">{say`To mind`}</h2>}
          <Cautions ids={cautions} />
        </div>
      </div>
      <TimerStrip quick={quick} />
    </>
  );
}

/** The batch's entries: by the key of the one that gets ready, or of any of them. */
function batchOf({ entries }: Schedule, key: string): readonly PlanEntry[] {
  const asked = entries.find((entry) => entry.key === key);
  return rowsByClock(entries).find((row) => row.key === (asked?.batch ?? key))?.entries ?? [];
}

function nextWords({ entries: [first] }: PlanRow, isLater: boolean): string {
  const title = first ? stepTitle(first.step.title) : '';
  return isLater ? say`Next, later: ${title}` : say`Next: ${title}`;
}
