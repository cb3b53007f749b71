'use client';
import { Button } from '@mui/material';
import { CalendarArrowDown, ChevronLeft, ChevronRight } from 'lucide-react';
import { startOfHour } from 'date-fns';
import { memo, useDeferredValue, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { isTyping, useKeys } from '@/features/shell';
import { FirstPiece } from '@/features/pieces';
import { UndoOf } from '@/features/kept/undo-of';
import { Gathering, lateThings, thingsOf, useSchedule, type Schedule } from '@/features/agenda';
import { saveCalendar } from '@/features/sheets/save-file';
import { Place, Answer, ChoiceField, clockTime, dayName, useClock, useNow, lasting } from '@/ui';
import { calendarOf } from './calendar-of';
import { DatesPart } from './dates-part';
import { HelpersPart } from './helpers-part';
import { HoursPart } from './hours-part';
import { LatePart } from './late-part';
import { SurePart } from './sure-part';
import { StepPart } from './step-part';
import { Timeline, ZOOMS, type ZoomId } from './timeline';
import type { RowsBy } from './timeline-rows';
import css from './ahead.module.css';
import { MS_PER_HOUR } from '@/core/shared';
import { say } from '@/words/say';
import { remarks, sentences } from '@/words';

/** Days and weeks: hands-on work and waiting of all pieces, and what can't make its date. */
export function AheadPage() {
  const schedule = useSchedule();
  if (!schedule) return <Gathering className={css.page} />;
  if (schedule.pieces.length === 0 && schedule.agenda.aside.length === 0) return <FirstPiece />;
  return <Ahead schedule={schedule} />;
}

const NEARER = ['+', '='];
const FARTHER = ['-'];

function Ahead({ schedule }: { schedule: Schedule }) {
  const now = useNow();
  const clock = useClock();
  const [zoom, setZoom] = useState<ZoomId>('week');
  const [by, setBy] = useState<RowsBy>('piece');
  const [offsetMs, setOffsetMs] = useState(0);
  const [chosen, setChosen] = useState<string | null>(null);
  const [group, setGroup] = useState<readonly string[]>([]);
  const choose = (key: string) => {
    setChosen(key);
    setGroup([]);
  };
  const { agenda, change, entries, planAfresh, busy } = schedule;
  // What stands below the timeline is drawn after it, when there is time.
  const settled = useDeferredValue(schedule, null);
  const hours = ZOOMS.find(({ id }) => id === zoom)?.hours ?? 48;
  const fromAt = startOfHour(now - MS_PER_HOUR * Math.min(6, hours / 24)).getTime() + offsetMs;
  const step = (direction: number) => setOffsetMs((offset) => offset + direction * hours * MS_PER_HOUR * 0.5);
  const zoomBy = (direction: number) =>
    setZoom(
      (current) =>
        ZOOMS[Math.min(ZOOMS.length - 1, Math.max(0, ZOOMS.findIndex(({ id }) => id === current) + direction))]!.id,
    );
  useHotkeys('left', () => step(-1), { ignoreEventWhen: isTyping }, [hours]);
  useHotkeys('right', () => step(1), { ignoreEventWhen: isTyping }, [hours]);
  useKeys(NEARER, () => zoomBy(-1));
  useKeys(FARTHER, () => zoomBy(1));
  const pin = (key: string, at: number) => change(({ pins }) => ({ pins: { ...pins, [key]: Math.max(at, now) } }));
  const entry = entries.find(({ key }) => key === chosen) ?? null;
  return (
    <Place title={say`Ahead`} className={css.page} data-busy={busy || schedule.improving}>
      <div className={css.head}>
        <Answer>{answer(schedule, now)}</Answer>
        <div className={css.tools}>
          <ChoiceField label={say`Show`} value={zoom} options={ZOOMS} onCommit={setZoom} />
          <ChoiceField
            label={say`Rows`}
            value={by}
            options={[
              { id: 'piece', name: say`Pieces` },
              { id: 'hands', name: say`Hands` },
            ]}
            onCommit={setBy}
          />
          <ChoiceField
            label={say`Place steps`}
            value={agenda.mode}
            options={[
              { id: 'earliest', name: say`Soon` },
              { id: 'latest', name: say`Late, but safe` },
            ]}
            onCommit={(mode) => void change({ mode }).then(planAfresh)}
          />
          <div className={css.buttons}>
            <Button size="small" variant="outlined" onClick={() => step(-1)} aria-label={say`Earlier`}>
              <ChevronLeft size={18} />
            </Button>
            <Button size="small" variant="outlined" onClick={() => setOffsetMs(0)}>{say`Now`}</Button>
            <Button size="small" variant="outlined" onClick={() => step(1)} aria-label={say`Later`}>
              <ChevronRight size={18} />
            </Button>
            <Button
              size="small"
              variant="outlined"
              onClick={planAfresh}
              disabled={busy}
              data-testid="plan-afresh"
            >{say`Plan afresh`}</Button>
            <Button
              size="small"
              variant="outlined"
              startIcon={<CalendarArrowDown size={16} />}
              data-testid="calendar-out"
              onClick={() =>
                void saveCalendar(calendarOf(schedule, clock()), agenda.revision, clock(), 'fobbet-plan.ics')
              }
            >{say`Calendar file`}</Button>
            <UndoOf kind="agenda" />
          </div>
        </div>
      </div>
      <Timeline
        schedule={schedule}
        zoom={zoom}
        by={by}
        fromAt={fromAt}
        onPan={(ms) => setOffsetMs((offset) => offset + ms)}
        chosen={chosen}
        onChoose={choose}
        onGroup={(keys) => {
          setChosen(null);
          setGroup(keys);
        }}
        onDrop={(key, at) => {
          choose(key);
          void pin(key, at);
        }}
      />
      <p className={css.legend}>
        {sentences(
          say`Dark: hands at work.`,
          say`Hatched: waiting, with a ring where it is dry.`,
          say`Green ground: your free hours.`,
          say`Flag: due.`,
          say`Dotted: finished by its end even if every wait takes its safest hours.`,
          say`A number: so many steps, too near each other to be shown.`,
          say`Drag a step to pin it at another time, or choose it and type the time; drag the ground to move along.`,
        )}
      </p>
      {settled && (
        <div className={css.parts}>
          <div className={css.column}>
            <StepPart
              schedule={schedule}
              entry={entry}
              group={entries.filter(({ key }) => group.includes(key))}
              onChoose={choose}
              onPin={pin}
              onClose={() => setChosen(null)}
            />
            <Late schedule={settled} />
          </div>
          <Others schedule={settled} />
        </div>
      )}
    </Place>
  );
}

const Late = memo(LatePart);
const Others = memo(function Others({ schedule }: { schedule: Schedule }) {
  return (
    <>
      <div className={css.column}>
        <SurePart schedule={schedule} />
        <DatesPart schedule={schedule} />
        <HelpersPart schedule={schedule} />
      </div>
      <HoursPart schedule={schedule} />
    </>
  );
});

function answer({ pieces: all, entries, answer: found, placing, busy, aside }: Schedule, now: number): string {
  const pieces = thingsOf(all);
  const late = lateThings(all);
  const homeless = entries.filter(({ startAt }) => startAt === null);
  if ((placing && entries.length > 0) || (busy && homeless.length > 0)) return say`Placing all steps …`;
  if (homeless.length > 0 && found)
    return say`${homeless.length} steps find no place in your free hours: ${homeless[0]!.piece.name} first.`;
  if (late.length > 0) {
    const by = lasting(Math.max(...late.map(({ lateMs }) => lateMs)));
    return late.length === 1
      ? say`${late[0]!.name} will not make it: ${by} late.`
      : say`${late.length} pieces will not make it: ${by} late.`;
  }
  const last = pieces.reduce<number | null>(
    (latest, { finishAt }) => (finishAt === null ? latest : Math.max(latest ?? 0, finishAt)),
    null,
  );
  if (last === null) return say`Nothing to place.`;
  const due = pieces.reduce<number | null>(
    (first, { dueAt }) => (dueAt === null ? first : Math.min(first ?? Infinity, dueAt)),
    null,
  );
  return `${remarks(
    say`Everything is done by ${clockTime(last, now)}`,
    due !== null &&
      (due > last ? say`${lasting(due - last)} before ${dayName(due, now)}` : say`just before ${dayName(due, now)}`),
    aside.length > 0 && say`${aside.length} set aside`,
  )}.`;
}
