import { MS_PER_MINUTE } from '@/core/shared';
import type { RunStep } from '@/core/plan';
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
