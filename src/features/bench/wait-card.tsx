'use client';
import Link from 'next/link';
import type { Pending } from '@/core/plan';
import type { PlanEntry } from '@/features/agenda';
import { HoldButton, clockTime, isAtNight, span } from '@/ui';
import { WAIT_WORDS, earlyWords, laterWords, lowerFirst, stepTitle } from '@/words';
import { say } from '@/words/say';
import css from './bench.module.css';

/** A step that waits: with its clock, when it can begin, and what happens sooner. */
export function WaitCard({
  pending: { before, kind, earliestAt, readyAt },
  entry,
  now,
  next,
  onEarly,
}: {
  pending: Pending;
  entry: PlanEntry;
  now: number;
  next: PlanEntry | undefined;
  onEarly: () => void;
}) {
  const sooner = earlyWords(kind, entry.step.step);
  const later = readyAt === null ? null : laterWords(kind, isAtNight(readyAt));
  const bySigns = readyAt !== null && earliestAt !== null && earliestAt < readyAt;
  return (
    <div className={css.card} data-testid="bench-wait" aria-live="polite">
      <p className={css.count}>{readyAt === null ? say`Not yet` : WAIT_WORDS[kind]}</p>
      {readyAt !== null && <p className={css.figure}>{clockTime(readyAt, now)}</p>}
      <p className={css.text}>
        {readyAt === null
          ? say`First: ${lowerFirst(stepTitle(before.title))}.`
          : `${stepTitle(entry.step.title)}: ${span(readyAt - now)}.`}
      </p>
      {later && <p className={css.bySigns}>{later}</p>}
      {bySigns && (
        <p className={css.bySigns}>
          {earliestAt > now
            ? say`At the earliest ${clockTime(earliestAt, now)}, if it is dry by its signs.`
            : say`Sooner only if it is dry by its signs.`}{' '}
          <Link href={`/piece/${entry.piece.id}/cure`}>{say`Say what you see and feel`}</Link>
        </p>
      )}
      <p className={css.onward}>
        {readyAt === null ? (
          <Link href={`/bench?step=${encodeURIComponent(`${entry.piece.id}/${before.id}`)}`}>
            {stepTitle(before.title)}
          </Link>
        ) : next ? (
          <Link
            href={`/bench?step=${encodeURIComponent(next.key)}`}
            data-testid="meanwhile"
          >{say`Meanwhile: ${lowerFirst(stepTitle(next.step.title))}, ${next.piece.name}`}</Link>
        ) : (
          <Link href="/">{say`Today: what waits at the desk`}</Link>
        )}
      </p>
      <p id="sooner" className={css.sooner}>
        {sooner}
      </p>
      <HoldButton
        onHeld={onEarly}
        testId="begin-early"
        describedBy="sooner"
      >{say`Hold to begin all the same`}</HoldButton>
    </div>
  );
}
