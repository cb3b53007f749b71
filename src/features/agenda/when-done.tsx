import { MS_PER_MINUTE } from '@/core/shared';
import type { RunStep } from '@/core/plan';
import type { ReactNode } from 'react';
import { Fold, HoldButton, NextRow, Note } from '@/ui';
import { formatDuration } from '@/words/figures';
import css from './when-done.module.css';
import { say } from '@/words/say';

/** Shorter than this, and than a share of the usual, nobody works: it is asked when it was done. */
const LEAST_MS = 20_000;
const LEAST_SHARE = 0.15;
const EARLIER_HOURS = [0.5, 1, 3, 12] as const;

/** So short that it was done before, or not at all. */
export const isTooShort = (tookMs: number, { usualMinutes }: Pick<RunStep, 'usualMinutes'>): boolean =>
  tookMs < Math.max(LEAST_MS, usualMinutes * MS_PER_MINUTE * LEAST_SHARE);

/** Asks when a step was done that was marked sooner than hands can do it. */
export const WhenDone = ({ onDone, onNot }: { onDone: (hoursAgo: number) => void; onNot: () => void }) => (
  <div className={css.asked} role="group" aria-label={say`When was it done?`} data-testid="when-done">
    <p>{say`Did you do it just now, or earlier?`}</p>
    <button type="button" onClick={() => onDone(0)} data-testid="done-now">{say`Just now`}</button>
    {EARLIER_HOURS.map((hours) => (
      <button key={hours} type="button" onClick={() => onDone(hours)}>{say`${formatDuration(hours)} ago`}</button>
    ))}
    <button type="button" onClick={onNot}>{say`Not yet`}</button>
  </div>
);

/** What is not to be marked done yet, folded: held, it is all the same. */
export const DoneAllTheSame = ({
  summary,
  sooner,
  onHeld,
  testId,
  beside,
}: {
  summary: string;
  /** What happens when it is begun too soon. */
  sooner: string | null;
  onHeld: () => void;
  testId: string;
  beside?: ReactNode;
}) => (
  <div className={css.early}>
    <Fold summary={summary}>
      {sooner && <Note>{sooner}</Note>}
      <NextRow>
        <HoldButton onHeld={onHeld} testId={testId}>{say`Hold: it is done`}</HoldButton>
        {beside}
      </NextRow>
    </Fold>
  </div>
);
