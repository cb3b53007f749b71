'use client';
import Link from 'next/link';
import { MS_PER_MINUTE } from '@/core/shared';
import { useMemo, useState } from 'react';
import { spareSteps } from '@/core/schedule';
import type { Schedule } from '@/features/agenda';
import { formatDuration } from '@/core/measure';
import css from './today.module.css';
import { stepTitle } from '@/words';

const CHOICES = [10, 20, 40] as const;
const SHOWN = 3;

/** What could be done at once with a few spare minutes, without upsetting the plan. */
export function SpareMinutes({ schedule }: { schedule: Schedule }) {
  const [minutes, setMinutes] = useState<number>(20);
  const { built, agenda, entries } = schedule;
  const found = useMemo(() => {
    const starts = Float64Array.from(built.steps, ({ id }) =>
      agenda.starts[id] === undefined ? NaN : (agenda.starts[id] - built.originAt) / MS_PER_MINUTE,
    );
    return spareSteps(built.instance, starts, minutes)
      .slice(0, SHOWN)
      .map((index) => entries.find(({ key }) => key === built.steps[index]!.id))
      .filter((entry) => entry !== undefined);
  }, [built, agenda.starts, entries, minutes]);
  return (
    <section className={css.spare} data-testid="spare">
      <h2>
        With{' '}
        {CHOICES.map((choice) => (
          <button key={choice} type="button" aria-pressed={choice === minutes} onClick={() => setMinutes(choice)}>
            {choice}
          </button>
        ))}{' '}
        spare minutes now
      </h2>
      {found.length === 0 ? (
        <p className={css.quiet}>Nothing fits into them without upsetting the plan.</p>
      ) : (
        <ul>
          {found.map((entry) => (
            <li key={entry.key}>
              <Link href={`/bench?step=${encodeURIComponent(entry.key)}`}>{stepTitle(entry.step.title)}</Link>,{' '}
              {entry.piece.name}, {entry.step.handsMinutes} min
              {entry.step.waitHours > 0 ? `: its ${formatDuration(entry.step.waitHours)} of waiting begin sooner` : ''}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
