'use client';
import { Button } from '@mui/material';
import { MS_PER_HOUR } from '@/core/shared';
import Link from 'next/link';
import {
  Gathering,
  benchPath,
  doersOf,
  lateThings,
  namedOf,
  rowsByClock,
  useSchedule,
  type PlanRow,
  type Schedule,
} from '@/features/agenda';
import { FirstPiece } from '@/features/pieces';
import { usePlannedPieces } from '@/features/plans';
import { useNewPiece } from '@/features/shelf';
import {
  Place,
  Answer,
  FirstFew,
  NextRow,
  TextButton,
  clockTime,
  dated,
  dayName,
  formatHours,
  useNow,
  useUnits,
} from '@/ui';
import { AtAnHour } from './at-an-hour';
import { AtTheDesk } from './at-the-desk';
import { Rack } from './rack';
import css from './today.module.css';
import { batchTitle, counted, listOf, lowerFirst, sittingWords, stepTitle, upperFirst, remarks } from '@/words';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

const HOURS_SHOWN = 40;
const LEAST_SHOWN = 5;
/** More would push what hands should do now out of sight. */
const LATE_SHOWN = 4;

/** What hands do now and next across all pieces, in clock order, and the rack of what is drying. */
export function TodayPage() {
  const schedule = useSchedule();
  const newPiece = useNewPiece();
  const { planned } = usePlannedPieces();
  if (!schedule) return <Gathering className={css.page} />;
  if (schedule.pieces.length === 0 && planned.length === 0) return <FirstPiece />;
  if (planned.every(({ next }) => next.code === 'finished')) return <AllFinished count={planned.length} />;
  const rows = rowsByClock(schedule.entries);
  return (
    <Place title={say`Today`} className={css.page}>
      <div className={css.hands}>
        <TodayAnswer rows={rows} schedule={schedule} />
        <Late schedule={schedule} />
        <AtAnHour schedule={schedule} />
        <AssumedHours schedule={schedule} />
        <HandsList rows={rows} helpers={schedule.agenda.helpers} />
        <AtTheDesk schedule={schedule} />
        <NextRow>
          <Button variant="outlined" onClick={() => void newPiece()} data-testid="new-piece">{say`New piece`}</Button>
          <PrintDay schedule={schedule} rows={rows} />
        </NextRow>
      </div>
      <Rack schedule={schedule} />
    </Place>
  );
}

/** The first day with work for hands, on one page. */
function PrintDay({ schedule, rows }: { schedule: Schedule; rows: PlanRow[] }) {
  const now = useNow();
  const units = useUnits();
  const day = (row: PlanRow) => dayName(Math.max(now, row.startAt), now);
  const [first] = rows;
  if (!first) return null;
  const print = async () => {
    const { saveDayCard } = await import('@/features/work-card/save-work-card');
    const plans = new Map(schedule.pieces.map(({ planned: { piece }, foreseen }) => [piece.id, foreseen]));
    await saveDayCard(
      rows.filter((row) => day(row) === day(first)),
      plans,
      { now, units },
    );
  };
  return (
    <Button
      variant="text"
      onClick={() => void print()}
      data-testid="print-day"
    >{say`${upperFirst(day(first))} on paper`}</Button>
  );
}

/** The hours nobody gave are said, and asked for once. */
function AssumedHours({ schedule: { agenda, change, entries } }: { schedule: Schedule }) {
  if (agenda.hoursSaid || entries.length === 0) return null;
  return (
    <p
      className={css.assumed}
      data-testid="assumed-hours"
    >{sayWith`Planned as if your hands were free so: ${hoursInWords(agenda.weekly)}.
      ${(<TextButton onClick={() => void change({ hoursSaid: true })}>{say`That is right`}</TextButton>)} or
      ${(<Link href="/ahead#hours">{say`say your hours`}</Link>)}.`}</p>
  );
}

/** "working days 18:00–21:00, weekends 10:00–18:00"; the days that are like each other together. */
function hoursInWords(weekly: Schedule['agenda']['weekly']): string {
  const [weekend, ...days] = [weekly[6] ?? [], ...weekly.slice(1, 6)].map(
    (spans) => formatHours(spans) || say`not at all`,
  );
  return remarks(say`working days ${days[0]}`, say`weekends ${weekend}`);
}

/** Every piece is finished: said so, with what comes next. */
function AllFinished({ count }: { count: number }) {
  const newPiece = useNewPiece();
  return (
    <Place title={say`Today`} className={css.page}>
      <div className={css.hands} data-testid="all-finished">
        <Answer>
          {count === 1
            ? say`Your piece is finished: nothing waits for your hands.`
            : say`All ${count} pieces are finished: nothing waits for your hands.`}
        </Answer>
        <p
          className={css.quiet}
        >{sayWith`Begin the next one, or look at what you ${(<Link href="/pieces">{say`made`}</Link>)} and noted for it.`}</p>
        <Button variant="contained" onClick={() => void newPiece()} data-testid="new-piece">{say`New piece`}</Button>
      </div>
    </Place>
  );
}

function TodayAnswer({ rows, schedule }: { rows: PlanRow[]; schedule: Schedule }) {
  const now = useNow();
  const [first] = rows;
  const late = lateThings(schedule.pieces);
  if (late[0])
    return (
      <Answer stop>
        {late.length === 1
          ? say`${late[0].name} will not make it.`
          : say`${late.length} will not make it, ${late[0].name} first.`}
      </Answer>
    );
  if (!first && schedule.placing) return <Answer>{say`Placing the steps …`}</Answer>;
  if (schedule.pieces.length === 0) return <Answer>{say`No hands needed: what is left is set aside.`}</Answer>;
  if (!first) return <Answer>{say`No hands needed: what is left waits for you at the desk.`}</Answer>;
  return (
    <Answer>
      {first.startAt <= now
        ? `${rowTitle(first)}${ofPiece(first)}.`
        : say`Hands free until ${clockTime(first.startAt, now)}. Then ${lowerFirst(rowTitle(first))}${ofPiece(first)}.`}
    </Answer>
  );
}

/** What a row of the plan is called, and the one piece it is about. */
const rowTitle = ({ entries: [first, ...others] }: PlanRow): string => {
  if (!first) return '';
  const titles = [first, ...others].map(({ step }) => stepTitle(step.title));
  return others.length > 0 ? batchTitle(first.step.work, titles) : stepTitle(first.step.title);
};
const ofPiece = ({ entries }: PlanRow): string => (entries.length === 1 ? `: ${entries[0]?.piece.name ?? ''}` : '');

function HandsList({ rows, helpers }: { rows: PlanRow[]; helpers: Schedule['agenda']['helpers'] }) {
  const now = useNow();
  const near = rows.filter((row, index) => index < LEAST_SHOWN || row.startAt < now + HOURS_SHOWN * MS_PER_HOUR);
  const days = [...new Set(near.map((row) => dayName(Math.max(now, row.startAt), now)))];
  const more = rows.slice(near.length).reduce((count, { entries }) => count + entries.length, 0);
  return (
    <>
      {days.map((day) => (
        <section key={day} data-testid="hands-day">
          <h2>{upperFirst(day)}</h2>
          <ol className={css.steps}>
            {near
              .filter((row) => dayName(Math.max(now, row.startAt), now) === day)
              .map((row) => (
                <HandsRow key={row.key} row={row} now={now} first={row === near[0]} helpers={helpers} />
              ))}
          </ol>
        </section>
      ))}
      {more > 0 && (
        <p className={css.quiet}>
          {counted(more, 'more step', 'more steps')}: <Link href="/ahead">{say`look ahead`}</Link>.
        </p>
      )}
    </>
  );
}

function HandsRow({
  row,
  now,
  first,
  helpers,
}: {
  row: PlanRow;
  now: number;
  first: boolean;
  helpers: Schedule['agenda']['helpers'];
}) {
  const [entry, ...others] = row.entries;
  if (!entry) return null;
  const due = row.startAt <= now;
  const isBatch = others.length > 0;
  const doers = doersOf(entry, helpers);
  return (
    <li className={css.step} data-testid={isBatch ? 'hands-batch' : 'hands-step'} data-step={entry.key}>
      <span className={css.time}>{due ? say`now` : dated(row.startAt, 'HH:mm')}</span>
      <span className={css.what}>
        <b>{rowTitle(row)}</b>
        <span>
          {namedOf(row).map(({ key, name, href, entries: [own] }, index) => (
            <span key={key}>
              {index > 0 && ', '}
              <Link href={href}>{name}</Link>
              {own?.sitting && `: ${sittingWords(own.sitting)}`}
            </span>
          ))}
          {doers && ` · ${listOf(doers)}`}
          {!doers && entry.step.people === 2 && <> · {say`ask for a second pair of hands`}</>}
        </span>
      </span>
      <span className={css.minutes}>{say`${row.minutes} min`}</span>
      <Link
        href={benchPath(row)}
        className={css.start}
        data-first={first}
        aria-label={say`Start at the bench: ${rowTitle(row)}${ofPiece(row)}`}
        data-testid="start-step"
      >{say`Start`}</Link>
    </li>
  );
}

/** What can't make its date, in one line each. */
function Late({ schedule }: { schedule: Schedule }) {
  const late = lateThings(schedule.pieces);
  const now = useNow();
  if (late.length === 0) return null;
  return (
    <section data-testid="late-today">
      <FirstFew of={late} few={LATE_SHOWN} testId="late-all">
        {(shown) =>
          shown.map(({ key, name, finishAt, dueAt }) => (
            <p key={key} className={css.late}>
              {finishAt === null
                ? sayWith`${(<b>{name}</b>)} will be late, due ${dayName(dueAt, now)}.`
                : sayWith`${(<b>{name}</b>)} is done ${dayName(finishAt, now)}, due ${dayName(dueAt, now)}.`}{' '}
              <Link href="/ahead">{say`What would help`}</Link>
            </p>
          ))
        }
      </FirstFew>
    </section>
  );
}
