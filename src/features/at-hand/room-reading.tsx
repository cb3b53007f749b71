'use client';
import { span, useNow, useUnits } from '@/ui';
import { MS_PER_MINUTE } from '@/core/shared';
import { useRoomNow, type RoomNow } from './room';
import css from './room-reading.module.css';
import { say } from '@/words/say';

const WORDS: Readonly<Record<RoomNow['state'], string>> = {
  off: say`No sensor is connected: the room is typed at Cure.`,
  connecting: say`The room’s sensor is being called.`,
  live: say`The room, as its simulated sensor reads it now.`,
  silent: say`The sensor is connected but silent: Fobbet goes on with what it read last.`,
  lost: say`The sensor is lost: Fobbet goes on with what it read last, and calls again.`,
};

/** What the reading rests on, and what is done where it fails. */
export function RoomState() {
  const { state } = useRoomNow();
  return <p role="status">{WORDS[state]}</p>;
}

/** The room in the top bar. It alone is drawn anew with each reading. */
export function RoomReading() {
  const { state, reading } = useRoomNow();
  const units = useUnits();
  const now = useNow(30_000);
  if (state === 'off') return null;
  const age = reading ? now - reading.at : 0;
  const stale = state === 'lost' || state === 'silent';
  return (
    <span className={css.room} data-state={state} data-testid="room-reading">
      <span className={css.dot} aria-hidden />
      {reading ? (
        <>
          <b>{units.temperature(reading.temperatureC)}</b> <b>{Math.round(reading.humidityPercent)} %</b>
        </>
      ) : (
        <span>{say`room …`}</span>
      )}
      {stale && (
        <span>
          {state === 'lost' ? say`lost` : say`silent`}
          {reading && age > MS_PER_MINUTE ? `, ${span(-age)}` : ''}
        </span>
      )}
    </span>
  );
}
