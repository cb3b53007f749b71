'use client';
import Link from 'next/link';
import { useEffect, useRef } from 'react';
import { STATIONS, type StationId } from '@/core/stations';
import { StateMark } from '@/ui';
import { STATE_WORDS } from '@/words';
import { useOpenPiece } from './piece-context';
import { STATION_NAMES } from '@/words';
import css from './station-run.module.css';
import { say } from '@/words/say';

/** The ten stations as a tape measure: each with its key and its state. */
export function StationRun({ current }: { current: StationId }) {
  const { piece, states } = useOpenPiece();
  const tape = useRef<HTMLElement>(null);
  // On a phone the tape is wider than the screen: the current station is brought to its middle.
  useEffect(() => {
    const shown = tape.current;
    const link = shown?.querySelector<HTMLElement>('[aria-current]');
    if (shown && link) shown.scrollLeft = link.offsetLeft - (shown.clientWidth - link.offsetWidth) / 2;
  }, [current]);
  return (
    <nav className={css.tape} aria-label={say`Stations`} ref={tape}>
      {STATIONS.map((station, index) => (
        <Link
          key={station}
          href={`/piece/${piece.id}/${station}`}
          aria-current={station === current ? 'step' : undefined}
          data-state={states[station]}
          aria-label={`${STATION_NAMES[station]}, ${STATE_WORDS[states[station]]}`}
        >
          <span className={css.key} data-key={(index + 1) % 10} aria-hidden />
          <span className={css.station}>{STATION_NAMES[station]}</span>
          <StateMark state={states[station]} />
        </Link>
      ))}
    </nav>
  );
}
