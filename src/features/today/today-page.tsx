'use client';
import { Button } from '@mui/material';
import { MS_PER_HOUR } from '@/core/shared';
import Link from 'next/link';
import { Gathering, useSchedule, type PlanEntry, type Schedule } from '@/features/agenda';
import { FirstPiece } from '@/features/pieces';
import { useNewPiece, useShelf } from '@/features/shelf';
import { Answer, TextButton, clockTime, dated, dayName, formatHours, useNow } from '@/ui';
import { AtTheDesk } from './at-the-desk';
import { Rack } from './rack';
import css from './today.module.css';
import { counted, lowerFirst, stepTitle, upperFirst } from '@/words';

const HOURS_SHOWN = 40;
const LEAST_SHOWN = 5;

/** What hands do now and next across all pieces, in clock order, and the rack of what is drying. */
export function TodayPage() {
  const schedule = useSchedule();
  const newPiece = useNewPiece();
  const shelf = useShelf();
  if (!schedule) return <Gathering className={css.page} />;
  if (schedule.pieces.length === 0)
    return shelf && shelf.pieces.length > 0 ? <AllFinished count={shelf.pieces.length} /> : <FirstPiece />;
  const entries = byClock(schedule.entries);
  return (
    <main className={css.page}>
      <div className={css.hands}>
        <TodayAnswer entries={entries} placing={schedule.answer === null} schedule={schedule} />
        <Late schedule={schedule} />
        <AssumedHours schedule={schedule} />
        <HandsList entries={entries} />
        <AtTheDesk schedule={schedule} />
        <Button variant="outlined" onClick={() => void newPiece()} data-testid="new-piece">
          New piece
        </Button>
      </div>
      <Rack schedule={schedule} />
    </main>
  );
}

/** The hours nobody gave are said, and asked for once. */
function AssumedHours({ schedule: { agenda, change, entries } }: { schedule: Schedule }) {
  if (agenda.hoursSaid || entries.length === 0) return null;
  return (
    <p className={css.assumed} data-testid="assumed-hours">
      Planned as if your hands were free {hoursInWords(agenda.weekly)}.{' '}
      <TextButton onClick={() => void change({ hoursSaid: true })}>That is right</TextButton> or{' '}
      <Link href="/ahead#hours">say your hours</Link>.
    </p>
  );
}

/** "18:00–21:00 on working days, 10:00–18:00 at weekends"; the days that are like each other together. */
function hoursInWords(weekly: Schedule['agenda']['weekly']): string {
  const [weekend, ...days] = [weekly[6] ?? [], ...weekly.slice(1, 6)].map(
    (spans) => formatHours(spans) || 'not at all',
  );
  return `${days[0]} on working days and ${weekend} at weekends`;
}

type Placed = PlanEntry & { startAt: number; endAt: number };
const byClock = (entries: readonly PlanEntry[]): Placed[] =>
  entries
    .filter((entry): entry is Placed => entry.startAt !== null && entry.endAt !== null)
    .sort((a, b) => a.startAt - b.startAt);

/** Every piece is finished: said so, with what comes next. */
function AllFinished({ count }: { count: number }) {
  const newPiece = useNewPiece();
  return (
    <main className={css.page}>
      <div className={css.hands} data-testid="all-finished">
        <Answer>
          {count === 1 ? 'Your piece is finished' : `All ${count} pieces are finished`}: nothing waits for your hands.
        </Answer>
        <p className={css.quiet}>
          Begin the next one, or look at what you <Link href="/pieces">made</Link> and noted for it.
        </p>
        <Button variant="contained" onClick={() => void newPiece()} data-testid="new-piece">
          New piece
        </Button>
      </div>
    </main>
  );
}

function TodayAnswer({ entries, placing, schedule }: { entries: Placed[]; placing: boolean; schedule: Schedule }) {
  const now = useNow();
  const [first] = entries;
  const late = schedule.pieces.filter(({ lateMs }) => lateMs > 0);
  if (late[0])
    return (
      <Answer stop>
        {late.length === 1
          ? `${late[0].planned.piece.name} will not make it.`
          : `${late.length} pieces will not make it, ${late[0].planned.piece.name} first.`}
      </Answer>
    );
  if (!first && placing) return <Answer>Placing the steps …</Answer>;
  if (!first) return <Answer>No hands needed: what is left waits for you at the desk.</Answer>;
  return (
    <Answer>
      {first.startAt <= now
        ? `${stepTitle(first.step.title)}: ${first.piece.name}.`
        : `Hands free until ${clockTime(first.startAt, now)}. Then ${lowerFirst(stepTitle(first.step.title))}: ${first.piece.name}.`}
    </Answer>
  );
}

function HandsList({ entries }: { entries: Placed[] }) {
  const now = useNow();
  const near = entries.filter((entry, index) => index < LEAST_SHOWN || entry.startAt < now + HOURS_SHOWN * MS_PER_HOUR);
  const days = [...new Map(near.map((entry) => [dayName(Math.max(now, entry.startAt), now), entry])).keys()];
  return (
    <>
      {days.map((day) => (
        <section key={day} data-testid="hands-day">
          <h2>{upperFirst(day)}</h2>
          <ol className={css.steps}>
            {near
              .filter((entry) => dayName(Math.max(now, entry.startAt), now) === day)
              .map((entry) => (
                <HandsRow key={entry.key} entry={entry} now={now} first={entry === near[0]} />
              ))}
          </ol>
        </section>
      ))}
      {entries.length > near.length && (
        <p className={css.quiet}>
          {counted(entries.length - near.length, 'more step', 'more steps')}: <Link href="/ahead">look ahead</Link>.
        </p>
      )}
    </>
  );
}

function HandsRow({ entry, now, first }: { entry: Placed; now: number; first: boolean }) {
  const due = entry.startAt <= now;
  return (
    <li className={css.step} data-testid="hands-step" data-step={entry.key}>
      <span className={css.time}>{due ? 'now' : dated(entry.startAt, 'HH:mm')}</span>
      <span className={css.what}>
        <b>{stepTitle(entry.step.title)}</b>
        <Link href={`/piece/${entry.piece.id}/${entry.step.station}`}>{entry.piece.name}</Link>
      </span>
      <span className={css.minutes}>{entry.step.handsMinutes} min</span>
      <Link
        href={`/bench?step=${encodeURIComponent(entry.key)}`}
        className={css.start}
        data-first={first}
        aria-label={`Start at the bench: ${stepTitle(entry.step.title)}, ${entry.piece.name}`}
        data-testid="start-step"
      >
        Start
      </Link>
    </li>
  );
}

/** What can't make its date, in one line each. */
function Late({ schedule }: { schedule: Schedule }) {
  const late = schedule.pieces.filter(({ lateMs }) => lateMs > 0);
  const now = useNow();
  if (late.length === 0) return null;
  return (
    <section data-testid="late-today">
      {late.map(({ planned: { piece }, finishAt, dueAt }) => (
        <p key={piece.id} className={css.late}>
          <b>{piece.name}</b> is done {finishAt === null ? 'late' : dayName(finishAt, now)}, due{' '}
          {dueAt === null ? '' : dayName(dueAt, now)}. <Link href="/ahead">What would help</Link>
        </p>
      ))}
    </section>
  );
}
