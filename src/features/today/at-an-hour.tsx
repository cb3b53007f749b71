'use client';
import Link from 'next/link';
import { MS_PER_DAY, MS_PER_HOUR, groupsBy } from '@/core/shared';
import type { PlanEntry, Schedule } from '@/features/agenda';
import { Unbroken, clockTime, dated, useNow } from '@/ui';
import { stepTitle, remarks } from '@/words';
import css from './today.module.css';
import { say } from '@/words/say';

const SHOWN = 4;

interface Fixed {
  entry: PlanEntry;
  fromAt: number;
  /** Where waiting longer spoils it. */
  untilAt: number | null;
}

/** What can't be put off within a day: windows that close, then waits that end. */
export function AtAnHour({ schedule }: { schedule: Schedule }) {
  const now = useNow();
  const fixed = ofSets(fixedOf(schedule, now).filter(({ fromAt }) => fromAt < now + MS_PER_DAY))
    .sort((a, b) => Number(a.untilAt === null) - Number(b.untilAt === null) || a.fromAt - b.fromAt)
    .slice(0, SHOWN);
  if (fixed.length === 0) return null;
  return (
    <section className={css.fixed} data-testid="at-an-hour">
      <h2>{say`At its hour`}</h2>
      <ul>
        {fixed.map(({ entry, fromAt, untilAt, name }) => (
          <li key={entry.key} data-window={untilAt !== null}>
            <Unbroken>
              {untilAt === null
                ? `${clockTime(fromAt, now)}: `
                : `${remarks(`${dated(fromAt, 'HH:mm')}–${clockTime(untilAt, now)}`, say`no later`)}: `}
              <Link href={`/bench?step=${encodeURIComponent(entry.key)}`}>{stepTitle(entry.step.title)}</Link>
              {`, ${remarks(name, untilAt === null && say`is ready`)}`}
            </Unbroken>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The same step of a set's pieces once: from the first that is ready, until the first window closes. */
function ofSets(fixed: readonly Fixed[]): (Fixed & { name: string })[] {
  const inOrder = [...fixed].sort((a, b) => a.fromAt - b.fromAt);
  const rows = groupsBy(inOrder, ({ entry: { piece, step, key }, untilAt }) =>
    piece.set ? `${piece.set.id} ${step.id} ${untilAt === null}` : key,
  );
  return [...rows.values()].flatMap((own) => {
    const [first] = own;
    if (!first) return [];
    const { piece } = first.entry;
    return {
      ...first,
      untilAt: first.untilAt === null ? null : Math.min(...own.map(({ untilAt }) => untilAt ?? Infinity)),
      name: own.length > 1 && piece.set ? `${piece.set.name} (${own.length})` : piece.name,
    };
  });
}

function fixedOf({ entries, pieces }: Schedule, now: number): Fixed[] {
  const ofPiece = groupsBy(entries, ({ piece }) => piece.id);
  const windows = entries.flatMap((entry): Fixed[] => {
    const before = ofPiece
      .get(entry.piece.id)
      ?.find((one) => entry.step.after.includes(one.step.id) && one.step.wait.maxHours !== null);
    if (!before?.endAt || before.ripeAt === null) return [];
    return [{ entry, fromAt: before.ripeAt, untilAt: before.endAt + (before.step.wait.maxHours ?? 0) * MS_PER_HOUR }];
  });
  const ends = pieces.flatMap(({ pending, planned: { piece } }): Fixed[] => {
    const next = ofPiece.get(piece.id)?.find(({ startAt }) => startAt !== null);
    return pending && next && pending.untilAt > now ? [{ entry: next, fromAt: pending.untilAt, untilAt: null }] : [];
  });
  return [...windows, ...ends];
}
