'use client';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { spareSteps } from '@/core/schedule';
import { storedPlaced, type PlanEntry, type Schedule } from '@/features/agenda';
import { formatDuration } from '@/words/figures';
import css from './today.module.css';
import { stepTitle, remarks } from '@/words';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

const CHOICES = [10, 20, 40] as const;
const SHOWN = 3;

const linkTo = (entry: PlanEntry) => (
  <Link href={`/bench?step=${encodeURIComponent(entry.key)}`}>{stepTitle(entry.step.title)}</Link>
);
const gainOf = ({ minutes, step }: PlanEntry) =>
  remarks(
    say`${minutes} min`,
    step.waitHours > 0 && say`its ${formatDuration(step.waitHours)} of waiting begin sooner`,
  );

/** What could be done at once with a few spare minutes, without upsetting the plan. */
export function SpareMinutes({ schedule }: { schedule: Schedule }) {
  const [minutes, setMinutes] = useState<number>(20);
  const { built, agenda, entries } = schedule;
  const found = useMemo(() => {
    return spareSteps(built.instance, storedPlaced(built, agenda), minutes)
      .slice(0, SHOWN)
      .map((index) => entries.find(({ key }) => key === built.steps[index]!.id))
      .filter((entry) => entry !== undefined);
  }, [built, agenda, entries, minutes]);
  return (
    <section className={css.spare} data-testid="spare">
      <h2>{sayWith`With ${CHOICES.map((choice) => (
        <button key={choice} type="button" aria-pressed={choice === minutes} onClick={() => setMinutes(choice)}>
          {choice}
        </button>
      ))} spare minutes now`}</h2>
      {found.length === 0 ? (
        <p className={css.quiet}>{say`Nothing fits into them without upsetting the plan.`}</p>
      ) : (
        <ul>
          {found.map((entry) => (
            <li key={entry.key}>{sayWith`${linkTo(entry)}, ${entry.piece.name}, ${gainOf(entry)}`}</li>
          ))}
        </ul>
      )}
    </section>
  );
}
