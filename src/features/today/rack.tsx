'use client';
import Link from 'next/link';
import { SHELF } from '@/core/schedule';
import { groupsBy, sum } from '@/core/shared';
import { thingsOf, type PieceInPlan, type Schedule } from '@/features/agenda';
import { counted } from '@/words';
import { useRoomNow } from '@/features/at-hand';
import { useSettings } from '@/features/shell';
import { FirstFew, ShareBar, WETNESS_WORDS, WetnessMark, clockTime, useNow, useUnits, TextButton, lasting } from '@/ui';
import { SpareMinutes } from './spare-minutes';
import css from './today.module.css';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

const READ_FROM: Readonly<Record<ReturnType<typeof useRoomNow>['state'], string>> = {
  off: say`as last typed at a piece’s Cure`,
  connecting: say`calling the sensor`,
  live: say`read by the simulated sensor just now`,
  silent: say`the sensor is silent; this is what it read last`,
  lost: say`the sensor is lost; this is what it read last`,
};

/** Those that are dry next. */
const DRYING_SHOWN = 12;

/** Every drying piece with its wetness and the time left, and the room that dries it. */
export function Rack({ schedule }: { schedule: Schedule }) {
  const now = useNow();
  const drying = thingsOf(schedule.pieces)
    .flatMap(({ key, name, href, pieces }) => {
      const own = pieces.map((inPlan) => dryingOf(inPlan, now)).filter((one) => one !== null);
      return pieces.length > 1 ? togetherOf(own, { id: key, name, href }) : own;
    })
    .sort((one, other) => (one.untilAt ?? now) - (other.untilAt ?? now));
  const places = schedule.agenda.places.rack;
  const { occupied } = schedule.built.instance;
  const taken = sum(occupied.filter(({ place }) => place === 'rack').map(({ room }) => room)) / SHELF;
  return (
    <aside className={css.rack} aria-label={say`Rack and room`}>
      <h2>{sayWith`Rack ${(
        <span
          className={css.places}
        >{say`${Number(taken.toFixed(1))} of ${counted(places, 'shelf', 'shelves')} taken`}</span>
      )}`}</h2>
      {drying.length === 0 && <p className={css.quiet}>{say`Nothing is drying.`}</p>}
      <FirstFew of={drying} few={DRYING_SHOWN} testId="drying-all">
        {(shown) => (
          <ul>
            {shown.map((one) => (
              <RackRow key={one.id} row={one} now={now} />
            ))}
          </ul>
        )}
      </FirstFew>
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

/** Of a set one row for what dries alike: until the first of it is ready. */
function togetherOf(own: readonly Drying[], set: Pick<Drying, 'id' | 'name' | 'href'>): Drying[] {
  return [...groupsBy(own, ({ what, untilAt }) => `${what} ${untilAt === null}`)].flatMap(
    ([key, [first, ...others]]) =>
      first
        ? {
            ...first,
            ...set,
            id: `${set.id} ${key}`,
            name: `${set.name} (${1 + others.length})`,
            fromAt: Math.min(first.fromAt, ...others.map(({ fromAt }) => fromAt)),
            untilAt:
              first.untilAt === null
                ? null
                : Math.min(first.untilAt, ...others.map(({ untilAt }) => untilAt ?? Infinity)),
          }
        : [],
  );
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
          what: say`sealer drying`,
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
    untilAt: now < cureClock.readyAt ? cureClock.readyAt : null,
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
            {untilAt === null ? <>: {say`ready to rub`}</> : <>, {say`${lasting(untilAt - now)} left`}</>}
          </span>
        </span>
        <span className={css.until}>{untilAt === null ? say`now` : clockTime(untilAt, now)}</span>
        <span className={css.bar}>
          <ShareBar share={share} />
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
      <h2>{say`Room`}</h2>
      <p data-state={now.state} data-testid="room-now">
        <b>{units.temperature(air.temperatureC)}</b> <b>{Math.round(air.humidityPercent)} %</b>
      </p>
      <p className={css.quiet}>{READ_FROM[now.state]}</p>
      <TextButton onClick={() => change({ sensor: !settings.sensor })} testId="sensor-switch">
        {settings.sensor ? say`Stop listening to the sensor` : say`Listen to the simulated sensor`}
      </TextButton>
    </section>
  );
}
