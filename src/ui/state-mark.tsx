import type { StationState } from '@/core/stations';
import css from './worksheet.module.css';

const COLOURS: Readonly<Record<StationState, string>> = {
  'not-yet': 'var(--muted)',
  doubtful: 'var(--brick)',
  ready: 'var(--verdigris)',
  waiting: 'var(--marigold)',
  done: 'var(--verdigris)',
};

/** The state of a station: dash, exclamation, dot, half circle, tick. */
export function StateMark({ state }: { state: StationState }) {
  const colour = COLOURS[state];
  const line = { stroke: colour, strokeWidth: 2, fill: 'none', strokeLinecap: 'round' as const };
  return (
    <svg width={14} height={14} viewBox="0 0 14 14" aria-hidden className={css.mark}>
      {state === 'not-yet' && <path d="M4 7 H10" {...line} />}
      {state === 'doubtful' && (
        <>
          <path d="M7 2 V8" {...line} />
          <circle cx={7} cy={11.6} r={1.3} fill={colour} />
        </>
      )}
      {state === 'ready' && <circle cx={7} cy={7} r={4} fill={colour} />}
      {state === 'waiting' && (
        <>
          <circle cx={7} cy={7} r={4.6} {...line} />
          <path d="M7 2.4 A4.6 4.6 0 0 0 7 11.6 Z" fill={colour} />
        </>
      )}
      {state === 'done' && <path d="M2.5 7.5 L5.7 10.7 L11.5 3.8" {...line} />}
    </svg>
  );
}
