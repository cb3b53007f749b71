'use client';
import type { BenchCard, CardTimer } from '@/features/piece/station-feature';
import { say } from '@/words/say';
import css from './bench.module.css';

/** One thing to do, large, with its figure and its timers. */
export function StepCard({
  card,
  at,
  count,
  onTimer,
}: {
  card: BenchCard;
  at: number;
  count: number;
  onTimer: (timer: CardTimer) => void;
}) {
  return (
    <div className={css.card} data-testid="bench-card" data-card={card.id} aria-live="polite">
      <p className={css.count}>{say`${at + 1} of ${count}`}</p>
      {card.figure && <p className={css.figure}>{card.figure}</p>}
      <p className={css.text}>{card.text}</p>
      {card.timer && (
        <button
          type="button"
          className={css.timerStart}
          onClick={() => card.timer && onTimer(card.timer)}
          data-testid="card-timer"
        >
          {card.timer.stroke
            ? say`I begin to coat: ${minutesText(card.timer.minutes)}`
            : say`Start ${minutesText(card.timer.minutes)}`}
        </button>
      )}
      {card.beside && (
        <button
          type="button"
          className={css.besideStart}
          onClick={() => card.beside && onTimer(card.beside)}
          data-testid="beside-timer"
        >
          {card.beside.label}: {minutesText(card.beside.minutes)}
        </button>
      )}
    </div>
  );
}

const minutesText = (minutes: number): string => say`${Number(minutes.toFixed(1))} min`;
