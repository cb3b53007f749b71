'use client';
import Link from 'next/link';
import { thingsOf, type Schedule } from '@/features/agenda';
import { FirstFew, Note, Part, clockTime, dayName, useNow } from '@/ui';
import css from './ahead.module.css';
import { say } from '@/words/say';
import { remarks } from '@/words';

/** Those finished next. */
const SHOWN = 20;

/** When each is finished as planned, and when if every wait takes its safest hours; whether its date holds then too. */
export function SurePart({ schedule: { pieces } }: { schedule: Schedule }) {
  const now = useNow();
  const sures = thingsOf(pieces)
    .flatMap(({ finishAt, safestAt, ...thing }) =>
      finishAt === null || safestAt === null ? [] : [{ ...thing, likelyAt: finishAt, safestAt }],
    )
    .sort((a, b) => a.likelyAt - b.likelyAt);
  if (sures.length === 0) return null;
  return (
    <Part title={say`How sure the dates are`}>
      <FirstFew of={sures} few={SHOWN} testId="sure-all">
        {(shown) => (
          <ul className={css.sure} data-testid="sure-dates">
            {shown.map(({ key, name, href, likelyAt, safestAt, dueAt }) => (
              <li key={key} data-verdict={verdict({ likelyAt, safestAt, dueAt })}>
                <Link href={href}>{name}</Link>
                <b>{VERDICTS[verdict({ likelyAt, safestAt, dueAt })]}</b>
                <span>
                  {remarks(
                    clockTime(likelyAt, now),
                    dayName(safestAt, now) !== dayName(likelyAt, now) && say`at the latest ${dayName(safestAt, now)}`,
                  )}
                </span>
              </li>
            ))}
          </ul>
        )}
      </FirstFew>
      <Note>{say`As planned, with likely waits. At the latest: every wait takes its safest hours, and your hands follow.`}</Note>
    </Part>
  );
}

type Verdict = 'none' | 'sure' | 'open' | 'late';
const VERDICTS: Readonly<Record<Verdict, string>> = {
  none: say`no date to keep`,
  sure: say`in time either way`,
  open: say`in time if nothing dries slowly`,
  late: say`late`,
};

interface Dates {
  likelyAt: number;
  safestAt: number;
  dueAt: number | null;
}

function verdict({ likelyAt, safestAt, dueAt }: Dates): Verdict {
  if (dueAt === null) return 'none';
  if (likelyAt > dueAt) return 'late';
  return safestAt > dueAt ? 'open' : 'sure';
}
