'use client';
import { Button } from '@mui/material';
import { MS_PER_MINUTE } from '@/core/shared';
import Link from 'next/link';
import { useFinishStep, type PlanEntry, type Schedule } from '@/features/agenda';
import { formatDuration } from '@/core/measure';
import { NextRow, Note, clockTime, useNow } from '@/ui';
import css from './ahead.module.css';
import { lowerFirst, stepTitle } from '@/words';

const LATER = [
  { minutes: 30, name: '30 min' },
  { minutes: 120, name: '2 h' },
  { minutes: 1440, name: 'a day' },
];

/** When and why there, and what can be done with it. */
export function ChosenStep({
  schedule,
  entry,
  onPin,
  onClose,
}: {
  schedule: Schedule;
  entry: PlanEntry;
  onPin: (key: string, at: number) => void;
  onClose: () => void;
}) {
  const now = useNow();
  const finish = useFinishStep();
  const { change, pieces, entries } = schedule;
  const { key, piece, step, startAt, ripeAt, pinned } = entry;
  const inPlan = pieces.find(({ planned }) => planned.piece.id === piece.id);
  const without = (record: Record<string, number>) =>
    Object.fromEntries(Object.entries(record).filter(([id]) => id !== key));
  const before = entries.filter((other) => other.piece.id === piece.id && step.after.includes(other.step.id));
  const broken =
    schedule.answer?.violations.filter(
      ({ task, rule }) => schedule.built.instance.tasks[task]?.id === key && rule !== 'unplaced',
    ) ?? [];
  return (
    <div className={css.step} data-testid="chosen-step">
      <h3>{stepTitle(step.title)}</h3>
      <p>
        <Link href={`/piece/${piece.id}/${step.station}`}>{piece.name}</Link>
      </p>
      <p data-testid="chosen-when">
        <b>{startAt === null ? 'finds no place' : clockTime(startAt, now)}</b>, {step.handsMinutes} min
        {step.waitHours > 0 ? `, then ${formatDuration(step.waitHours)} of waiting` : ''}
        {pinned ? ', pinned' : ''}
      </p>
      {before.length > 0 && (
        <Note>
          After{' '}
          {before
            .map(
              (one) =>
                `${lowerFirst(stepTitle(one.step.title))}${one.ripeAt !== null && one.step.waitHours > 0 ? `, ready ${clockTime(one.ripeAt, now)}` : ''}`,
            )
            .join(' and ')}
          .
        </Note>
      )}
      {step.wait.maxHours !== null && <Note>What follows must begin within {formatDuration(step.wait.maxHours)}.</Note>}
      {broken.length > 0 && (
        <Note>
          Pinned here it can’t hold:{' '}
          {broken[0]!.rule === 'order'
            ? 'what comes before it is not ready by then'
            : broken[0]!.rule === 'hands'
              ? 'hands are at another step'
              : 'there is no place for it'}
          .
        </Note>
      )}
      <NextRow>
        {pinned ? (
          <Button
            size="small"
            variant="outlined"
            onClick={() => void change(({ pins }) => ({ pins: without(pins) }))}
            data-testid="unpin"
          >
            Unpin
          </Button>
        ) : (
          startAt !== null && (
            <Button size="small" variant="outlined" onClick={() => onPin(key, startAt)} data-testid="pin">
              Pin here
            </Button>
          )
        )}
        {inPlan && (
          <Button
            size="small"
            variant="outlined"
            onClick={() => void finish(piece, inPlan.foreseen.job, inPlan.foreseen.plan, step, { minutes: null })}
            data-testid="mark-done"
          >
            Done
          </Button>
        )}
        <Button size="small" variant="text" onClick={onClose}>
          Close
        </Button>
      </NextRow>
      <div className={css.later}>
        <span>Late by</span>
        {LATER.map(({ minutes, name }) => (
          <button
            key={minutes}
            type="button"
            data-testid={`late-${minutes}`}
            onClick={() =>
              void change(({ notBefore, pins }) => ({
                pins: without(pins),
                notBefore: { ...notBefore, [key]: Math.max(now, startAt ?? now) + minutes * MS_PER_MINUTE },
              }))
            }
          >
            {name}
          </button>
        ))}
      </div>
      {ripeAt !== null && step.waitHours > 0 && <Note>Ready for the next at {clockTime(ripeAt, now)}.</Note>}
    </div>
  );
}
