'use client';
import { Button } from '@mui/material';
import { MS_PER_MINUTE } from '@/core/shared';
import Link from 'next/link';
import { dayOf, instantOf, minuteOfDay, type Violation } from '@/core/schedule';
import {
  DoneAllTheSame,
  doersOf,
  pendingOf,
  printPath,
  useFinishSitting,
  useFinishStep,
  type PlanEntry,
  type Schedule,
} from '@/features/agenda';
import { parseTimeOfDay } from '@/core/measure';
import { formatDuration } from '@/words/figures';
import { DateField, Fields, NextRow, Note, TypedField, clockTime, dated, useNow } from '@/ui';
import css from './ahead.module.css';
import { earlyWords, listOf, lowerFirst, sittingWords, stepTitle, remarks } from '@/words';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

const LATER = [
  { minutes: 30, name: say`30 min` },
  { minutes: 120, name: '2 h' },
  { minutes: 1440, name: say`a day` },
];

const NO_PLACE = say`Pinned here it can’t hold: there is no place for it.`;
const PIN_WORDS: Partial<Record<Violation['rule'], string>> = {
  order: say`Pinned here it can’t hold: what comes before it is not ready by then.`,
  hands: say`Pinned here it can’t hold: hands are at another step.`,
};

/** When and why there, and what can be done with it. */
export function ChosenStep({
  schedule,
  entry,
  onPin,
  onClose,
}: {
  schedule: Schedule;
  entry: PlanEntry;
  /** Resolves to whether it was kept. */
  onPin: (key: string, at: number) => Promise<boolean>;
  onClose: () => void;
}) {
  const now = useNow();
  const finish = useFinishStep();
  const finishSitting = useFinishSitting();
  const { change, pieces, entries } = schedule;
  const { key, piece, step, startAt, ripeAt, pinned } = entry;
  const inPlan = pieces.find(({ planned }) => planned.piece.id === piece.id);
  const prints = entries.filter((one) => one.step.step.kind === 'print');
  const pending = pendingOf(entry, pieces, now);
  const done = () => {
    if (!inPlan) return;
    void (key === entry.stepKey
      ? finish(piece, inPlan.foreseen.job, inPlan.foreseen.plan, step, { minutes: null })
      : finishSitting(entry));
  };
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
      <WhenAndWhy schedule={schedule} entry={entry} />
      {broken.length > 0 && <Note>{PIN_WORDS[broken[0]!.rule] ?? NO_PLACE}</Note>}
      <NextRow>
        {pinned ? (
          <Button
            size="small"
            variant="outlined"
            onClick={() => void change(({ pins }) => ({ pins: without(pins, key) }))}
            data-testid="unpin"
          >{say`Unpin`}</Button>
        ) : (
          startAt !== null && (
            <Button
              size="small"
              variant="outlined"
              onClick={() => void onPin(key, startAt)}
              data-testid="pin"
            >{say`Pin here`}</Button>
          )
        )}
        {inPlan && !pending && (
          <Button size="small" variant="outlined" onClick={done} data-testid="mark-done">{say`Done`}</Button>
        )}
        <Button size="small" variant="text" onClick={onClose}>{say`Close`}</Button>
      </NextRow>
      {pending && (
        <DoneAllTheSame
          summary={
            pending.readyAt === null
              ? say`Not yet. First: ${lowerFirst(stepTitle(pending.before.title))}.`
              : say`Not before ${clockTime(pending.readyAt, now)}.`
          }
          sooner={earlyWords(pending.kind, step.step)}
          onHeld={done}
          testId="mark-done"
        />
      )}
      {startAt !== null && <TimeFields startAt={startAt} timeZone={schedule.timeZone} onPin={(at) => onPin(key, at)} />}
      {step.step.kind === 'print' && prints.length > 1 && (
        <NextRow>
          <Link
            href={printPath(prints.map((one) => one.piece))}
            data-testid="print-together"
          >{say`Print ${prints.length} sheets together`}</Link>
        </NextRow>
      )}
      <Later schedule={schedule} entry={entry} />
      {ripeAt !== null && step.waitHours > 0 && <Note>{say`Ready for the next at ${clockTime(ripeAt, now)}.`}</Note>}
    </div>
  );
}

const without = (record: Record<string, number>, key: string): Record<string, number> =>
  Object.fromEntries(Object.entries(record).filter(([id]) => id !== key));

/** When, for how long, by whom, and after what. */
function WhenAndWhy({ schedule, entry }: { schedule: Schedule; entry: PlanEntry }) {
  const now = useNow();
  const { piece, step, startAt, pinned } = entry;
  const before = schedule.entries.filter((other) => other.piece.id === piece.id && step.after.includes(other.step.id));
  const doers = doersOf(entry, schedule.agenda.helpers);
  return (
    <>
      <p data-testid="chosen-when">{sayWith`${(<b>{startAt === null ? say`finds no place` : clockTime(startAt, now)}</b>)}, ${remarks(
        say`${entry.minutes} min`,
        step.waitHours > 0 && say`then ${formatDuration(step.waitHours)} of waiting`,
        entry.sitting && sittingWords(entry.sitting),
        pinned && say`pinned`,
      )}${doers ? ` · ${listOf(doers)}` : ''}`}</p>
      {before.length > 0 && (
        <Note>{say`After ${listOf(
          before.map(({ step, ripeAt }) =>
            ripeAt !== null && step.waitHours > 0
              ? say`${lowerFirst(stepTitle(step.title))}, ready ${clockTime(ripeAt, now)}`
              : lowerFirst(stepTitle(step.title)),
          ),
        )}.`}</Note>
      )}
      {step.wait.maxHours !== null && (
        <Note>{say`What follows must begin within ${formatDuration(step.wait.maxHours)}.`}</Note>
      )}
    </>
  );
}

/** Another day or time for it, where it is pinned. */
function TimeFields({
  startAt,
  timeZone,
  onPin,
}: {
  startAt: number;
  timeZone: string;
  onPin: (at: number) => Promise<boolean>;
}) {
  const now = useNow();
  return (
    <Fields>
      <DateField
        label={say`On`}
        value={dayOf(startAt, timeZone)}
        from={dayOf(now, timeZone)}
        onCommit={(day) => {
          if (day !== null) void onPin(instantOf(day, minuteOfDay(startAt, timeZone), timeZone));
        }}
        testId="step-day"
      />
      <TypedField
        label={say`Begin at`}
        value={minuteOfDay(startAt, timeZone)}
        parse={parseTimeOfDay}
        format={(minute) => dated(instantOf(dayOf(startAt, timeZone), minute, timeZone), 'HH:mm')}
        onCommit={(minute) => minute !== null && onPin(instantOf(dayOf(startAt, timeZone), minute, timeZone))}
        testId="step-time"
      />
    </Fields>
  );
}

/** Puts it off. */
function Later({ schedule: { change }, entry: { key, startAt } }: { schedule: Schedule; entry: PlanEntry }) {
  const now = useNow();
  return (
    <div className={css.later}>
      <span>{say`Late by`}</span>
      {LATER.map(({ minutes, name }) => (
        <button
          key={minutes}
          type="button"
          data-testid={`late-${minutes}`}
          onClick={() =>
            void change(({ notBefore, pins }) => ({
              pins: without(pins, key),
              notBefore: { ...notBefore, [key]: Math.max(now, startAt ?? now) + minutes * MS_PER_MINUTE },
            }))
          }
        >
          {name}
        </button>
      ))}
    </div>
  );
}
