'use client';
import { RoomReading, RoomState } from '@/features/at-hand';
import { useDemo } from '@/features/shell/demo';
import { useSettings } from '@/features/shell/settings';
import { MS_PER_HOUR } from '@/core/shared';
import { dated, useNow } from '@/ui';
import { say } from '@/words/say';
import css from './top-bar.module.css';

const PANEL = 'room-panel';

/** The room's air and the time, as one line of the bar; pressed, what they rest on. */
export function NowReading() {
  const now = useNow(10_000);
  return (
    <>
      <button
        className={css.now}
        popoverTarget={PANEL}
        title={say`The room and the time`}
        data-testid="now-reading"
        suppressHydrationWarning
      >
        <RoomReading />
        <span className={css.clock}>{dated(now, 'EEE d MMM HH:mm')}</span>
      </button>
      <div id={PANEL} popover="auto" className={css.panel} role="group" aria-label={say`The room and the time`}>
        <RoomState />
        <DemoClock />
      </div>
    </>
  );
}

/** On a demo server the time can be moved ahead, so that a day of waiting passes in a moment. */
function DemoClock() {
  const { demo } = useDemo();
  const { settings, change } = useSettings();
  const ahead = (hours: number) => change({ clockAheadMs: settings.clockAheadMs + hours * MS_PER_HOUR });
  if (!demo) return null;
  return (
    <p className={css.ahead}>
      {say`The example’s clock:`} <button onClick={() => ahead(1)} data-testid="clock-hour">{say`an hour on`}</button>{' '}
      <button onClick={() => ahead(8)}>{say`eight hours on`}</button>{' '}
      {settings.clockAheadMs > 0 && <button onClick={() => change({ clockAheadMs: 0 })}>{say`back to now`}</button>}
    </p>
  );
}
