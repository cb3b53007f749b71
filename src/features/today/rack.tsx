'use client';
import Link from 'next/link';
import type { PieceInPlan, Schedule } from '@/features/agenda';
import { useRoomNow } from '@/features/at-hand';
import { useSettings } from '@/features/shell';
import { WETNESS_WORDS, WetnessMark, clockTime, span, useNow, useUnits, TextButton } from '@/ui';
import { SpareMinutes } from './spare-minutes';
import css from './today.module.css';

const READ_FROM: Readonly<Record<ReturnType<typeof useRoomNow>['state'], string>> = {
  off: 'as last typed at a piece’s Cure',
  connecting: 'calling the sensor',
  live: 'read by the simulated sensor just now',
  silent: 'the sensor is silent; this is what it read last',
  lost: 'the sensor is lost; this is what it read last',
};

/** Every drying piece with its wetness and the time left, and the room that dries it. */
export function Rack({ schedule }: { schedule: Schedule }) {
  const now = useNow();
  const drying = schedule.pieces.map((inPlan) => dryingOf(inPlan, now)).filter((one) => one !== null);
  const places = schedule.agenda.places.rack;
  return (
    <aside className={css.rack} aria-label="Rack and room">
      <h2>
        Rack{' '}
        <span className={css.places}>
          {drying.length} of {places} places
        </span>
      </h2>
      {drying.length === 0 && <p className={css.quiet}>Nothing is drying.</p>}
      <ul>
        {drying.map((one) => (
          <RackRow key={one.id} row={one} now={now} />
        ))}
      </ul>
      <SpareMinutes schedule={schedule} />
      <Room />
    </aside>
  );
}

interface Drying {
  id: string;
  name: string;
  href: string;
  wetness: 'wet' | 'tacky' | 'dry' | 'cured';
  what: string;
  fromAt: number;
  untilAt: number | null;
}

/** What of a piece is drying: its laid print, or a coat of sealer. */
function dryingOf({ planned: { piece, plan } }: PieceInPlan, now: number): Drying | null {
  const {
    seal: { clock: sealClock },
    cure: { clock: cureClock },
  } = plan;
  const coatAt = piece.seal.coatsAt.at(-1);
  if (coatAt !== undefined && sealClock) {
    const untilAt = sealClock.nextCoatAt ?? sealClock.touchAt;
    return untilAt !== null && untilAt > now
      ? {
          id: piece.id,
          name: piece.name,
          href: `/piece/${piece.id}/seal`,
          wetness: 'tacky',
          what: 'sealer drying',
          fromAt: coatAt,
          untilAt,
        }
      : null;
  }
  if (!cureClock || piece.rub.done.length > 0 || piece.rub.finishedAt !== null) return null;
  return {
    id: piece.id,
    name: piece.name,
    href: `/piece/${piece.id}/cure`,
    wetness: cureClock.wetness,
    what: WETNESS_WORDS[cureClock.wetness],
    fromAt: piece.lay.laidAt ?? now,
    untilAt: now < cureClock.likelyAt ? cureClock.likelyAt : null,
  };
}

function RackRow({ row, now }: { row: Drying; now: number }) {
  const { name, href, wetness, what, fromAt, untilAt } = row;
  const share = untilAt === null ? 1 : Math.min(1, Math.max(0, (now - fromAt) / (untilAt - fromAt)));
  return (
    <li>
      <Link href={href} className={css.drying}>
        <WetnessMark wetness={wetness} size={26} />
        <span className={css.what}>
          <b>{name}</b>
          <span>
            {what}
            {untilAt === null ? ': ready to rub' : `, ${span(untilAt - now).replace('in ', '')} left`}
          </span>
        </span>
        <span className={css.until}>{untilAt === null ? 'now' : clockTime(untilAt, now)}</span>
        <span className={css.bar}>
          <span style={{ width: `${share * 100}%` }} />
        </span>
      </Link>
    </li>
  );
}

/** The room as it is read now, or as it was typed. It alone is drawn anew with each reading. */
function Room() {
  const { settings, change } = useSettings();
  const units = useUnits();
  const now = useRoomNow();
  const air = now.reading ?? settings.room;
  return (
    <section className={css.room}>
      <h2>Room</h2>
      <p data-state={now.state} data-testid="room-now">
        <b>{units.temperature(air.temperatureC)}</b> <b>{Math.round(air.humidityPercent)} %</b>
      </p>
      <p className={css.quiet}>{READ_FROM[now.state]}</p>
      <TextButton onClick={() => change({ sensor: !settings.sensor })} testId="sensor-switch">
        {settings.sensor ? 'Stop listening to the sensor' : 'Listen to the simulated sensor'}
      </TextButton>
    </section>
  );
}
