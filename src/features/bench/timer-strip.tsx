'use client';
import { Minus, Pause, Play, Plus, X } from 'lucide-react';
import { MS_PER_MINUTE } from '@/core/shared';
import { useTimers } from '@/features/timers';
import type { BenchTimer } from '@/records';
import { useNow } from '@/ui';
import css from './bench.module.css';

const QUICK_MINUTES = [1, 2, 5, 10] as const;

/** Running timers, the next to ring first. @param quick with a row to start one of one's own */
export function TimerStrip({ quick }: { quick: boolean }) {
  const { timers, start } = useTimers();
  return (
    <section className={css.timers} aria-label="Timers">
      {timers.map((timer) => (
        <TimerRow key={timer.id} timer={timer} />
      ))}
      {quick && (
        <div className={css.quick}>
          <span>Timer</span>
          {QUICK_MINUTES.map((minutes) => (
            <button
              key={minutes}
              type="button"
              onClick={() => start({ label: `${minutes} min`, minutes })}
              data-testid={`timer-${minutes}`}
            >
              {minutes} min
            </button>
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
        {timer.label}
        {over ? ': time is up' : timer.pausedLeftMs !== null ? ', stopped' : ''}
      </span>
      {!over && (
        <button
          type="button"
          onClick={() => toggle(timer)}
          aria-label={timer.pausedLeftMs === null ? `Stop ${timer.label}` : `Let ${timer.label} run on`}
        >
          {timer.pausedLeftMs === null ? <Pause /> : <Play />}
        </button>
      )}
      <button type="button" onClick={() => add(timer, 1)} aria-label={`A minute more: ${timer.label}`}>
        <Plus />
        <span>1</span>
      </button>
      {!over && leftMs > MS_PER_MINUTE && (
        <button type="button" onClick={() => add(timer, -1)} aria-label={`A minute less: ${timer.label}`}>
          <Minus />
          <span>1</span>
        </button>
      )}
      <button
        type="button"
        onClick={() => remove(timer)}
        aria-label={`Remove the timer: ${timer.label}`}
        data-testid="timer-away"
      >
        <X />
      </button>
    </div>
  );
}

function digits(ms: number): string {
  const seconds = Math.max(0, Math.round(ms / 1000));
  const pad = (value: number) => String(value).padStart(2, '0');
  return seconds >= 3600
    ? `${Math.floor(seconds / 3600)}:${pad(Math.floor(seconds / 60) % 60)}:${pad(seconds % 60)}`
    : `${Math.floor(seconds / 60)}:${pad(seconds % 60)}`;
}
