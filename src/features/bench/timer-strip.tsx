'use client';
import { Minus, Pause, Play, Plus, X } from 'lucide-react';
import { MS_PER_MINUTE } from '@/core/shared';
import { useTimers } from '@/features/timers';
import type { BenchTimer } from '@/records';
import { useNow } from '@/ui';
import css from './bench.module.css';
import { say } from '@/words/say';

const QUICK_MINUTES = [1, 2, 5, 10] as const;

/** Running timers, the next to ring first. @param quick with a row to start one of one's own */
export function TimerStrip({ quick }: { quick: boolean }) {
  const { timers, start } = useTimers();
  return (
    <section className={css.timers} aria-label={say`Timers`}>
      {timers.map((timer) => (
        <TimerRow key={timer.id} timer={timer} />
      ))}
      {quick && (
        <div className={css.quick}>
          <span>{say`Timer`}</span>
          {QUICK_MINUTES.map((minutes) => (
            <button
              key={minutes}
              type="button"
              onClick={() => start({ label: say`${minutes} min`, minutes })}
              data-testid={`timer-${minutes}`}
            >{say`${minutes} min`}</button>
          ))}
        </div>
      )}
    </section>
  );
}

/** Digits tick here and nowhere else. */
function TimerRow({ timer }: { timer: BenchTimer }) {
  const { toggle, add, remove } = useTimers();
  const now = useNow(1000);
  const leftMs = timer.pausedLeftMs ?? Math.max(0, timer.endsAt - now);
  const over = timer.rangAt !== null || leftMs <= 0;
  return (
    <div
      className={css.timer}
      data-over={over}
      data-testid="timer"
      data-label={timer.label}
      data-left={Math.round(leftMs / 1000)}
    >
      <b className={css.digits} role="timer">
        {over ? `+${digits(now - timer.endsAt)}` : digits(leftMs)}
      </b>
      <span>
        {over
          ? say`${timer.label}: time is up`
          : timer.pausedLeftMs !== null
            ? say`${timer.label}, stopped`
            : timer.label}
      </span>
      <span className="unseen" aria-live="polite">
        {momentOf(over ? 0 : leftMs, timer.label)}
      </span>
      {!over && (
        <button
          type="button"
          onClick={() => toggle(timer)}
          aria-label={timer.pausedLeftMs === null ? say`Stop ${timer.label}` : say`Let ${timer.label} run on`}
        >
          {timer.pausedLeftMs === null ? <Pause /> : <Play />}
        </button>
      )}
      <button type="button" onClick={() => add(timer, 1)} aria-label={say`+1 minute: ${timer.label}`}>
        <Plus />
        <span>1</span>
      </button>
      {!over && leftMs > MS_PER_MINUTE && (
        <button type="button" onClick={() => add(timer, -1)} aria-label={say`−1 minute: ${timer.label}`}>
          <Minus />
          <span>1</span>
        </button>
      )}
      <button
        type="button"
        onClick={() => remove(timer)}
        aria-label={say`Remove the timer: ${timer.label}`}
        data-testid="timer-away"
      >
        <X />
      </button>
    </div>
  );
}

/** Said when it becomes true, and not each second: five minutes left, the last minute, the end. */
function momentOf(leftMs: number, label: string): string {
  if (leftMs <= 0) return say`${label}: time is up`;
  if (leftMs <= MS_PER_MINUTE) return say`${label}: the last minute`;
  return leftMs <= SOON_MS ? say`${label}: less than five minutes left` : '';
}
const SOON_MS = 5 * MS_PER_MINUTE;

function digits(ms: number): string {
  const seconds = Math.max(0, Math.round(ms / 1000));
  const pad = (value: number) => String(value).padStart(2, '0');
  return seconds >= 3600
    ? `${Math.floor(seconds / 3600)}:${pad(Math.floor(seconds / 60) % 60)}:${pad(seconds % 60)}`
    : `${Math.floor(seconds / 60)}:${pad(seconds % 60)}`;
}
