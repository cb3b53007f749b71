'use client';
import Link from 'next/link';
import type { Schedule } from '@/features/agenda';
import { Note, Part, dated, useNow } from '@/ui';
import { listOf, sealDateEntry } from '@/words';
import { datesAhead, type DateAhead } from './dates-ahead';
import css from './ahead.module.css';
import { say } from '@/words/say';

const MOST_SHOWN = 10;

/** What a piece has on one day stands in one line. */
function byDay(dates: readonly DateAhead[]) {
  const days = new Map<string, { day: string; at: number; of: DateAhead['of']; titles: string[] }>();
  for (const date of dates) {
    const day = dated(date.at, 'EEE d MMM');
    const key = `${date.of.key} ${day}`;
    const known = days.get(key) ?? { day, at: date.at, of: date.of, titles: [] };
    known.titles.push(sealDateEntry(date).title);
    days.set(key, known);
  }
  return [...days.values()];
}

/** Days to keep once the work is done: when each piece may hang, be wiped, be handed over, and is hard. */
export function DatesPart({ schedule }: { schedule: Schedule }) {
  const now = useNow();
  const dates = byDay(datesAhead(schedule, now).filter(({ at, code }) => at > now && code !== 'touch'));
  return (
    <Part title={say`Days to keep`}>
      {dates.length === 0 ? (
        <Note>{say`When pieces may hang, be wiped and be handed over stands here once their sealing is planned.`}</Note>
      ) : (
        <ul className={css.dates} data-testid="days-to-keep">
          {dates.slice(0, MOST_SHOWN).map((date) => (
            <li key={`${date.of.key} ${date.day}`}>
              <time dateTime={new Date(date.at).toISOString()}>{date.day}</time>
              <Link href={`/piece/${date.of.pieceId}/seal`}>{date.of.name}</Link>
              <span>{listOf(date.titles)}</span>
            </li>
          ))}
        </ul>
      )}
    </Part>
  );
}
