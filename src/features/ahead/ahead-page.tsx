'use client';
import { Button } from '@mui/material';
import { CalendarArrowDown, ChevronLeft, ChevronRight } from 'lucide-react';
import { startOfHour } from 'date-fns';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { FirstPiece } from '@/features/pieces';
import { UndoOf } from '@/features/kept/undo-of';
import { Gathering, useSchedule, type Schedule } from '@/features/agenda';
import { saveCalendar } from '@/features/sheets/save-file';
import { Answer, ChoiceField, clockTime, dayName, span, useClock, useNow } from '@/ui';
import { calendarOf } from './calendar-of';
import { DatesPart } from './dates-part';
import { HoursPart } from './hours-part';
import { LatePart } from './late-part';
import { StepPart } from './step-part';
import { Timeline, ZOOMS, type RowsBy, type ZoomId } from './timeline';
import css from './ahead.module.css';
import { MS_PER_HOUR } from '@/core/shared';

/** Days and weeks: hands-on work and waiting of all pieces, and what can't make its date. */
export function AheadPage() {
  const schedule = useSchedule();
  if (!schedule) return <Gathering className={css.page} />;
  if (schedule.pieces.length === 0 && schedule.agenda.aside.length === 0) return <FirstPiece />;
  return <Ahead schedule={schedule} />;
}

function Ahead({ schedule }: { schedule: Schedule }) {
  const now = useNow();
  const clock = useClock();
  const [zoom, setZoom] = useState<ZoomId>('week');
  const [by, setBy] = useState<RowsBy>('piece');
  const [offsetMs, setOffsetMs] = useState(0);
  const [chosen, setChosen] = useState<string | null>(null);
  const { agenda, change, entries, planAfresh, busy } = schedule;
  const hours = ZOOMS.find(({ id }) => id === zoom)?.hours ?? 48;
  const fromAt = startOfHour(now - MS_PER_HOUR * Math.min(6, hours / 24)).getTime() + offsetMs;
  const step = (direction: number) => setOffsetMs((offset) => offset + direction * hours * MS_PER_HOUR * 0.5);
  const zoomBy = (direction: number) =>
    setZoom(
      (current) =>
        ZOOMS[Math.min(ZOOMS.length - 1, Math.max(0, ZOOMS.findIndex(({ id }) => id === current) + direction))]!.id,
    );
  useHotkeys('left', () => step(-1), [hours]);
  useHotkeys('right', () => step(1), [hours]);
  useHotkeys('+, =', () => zoomBy(-1), { useKey: true });
  useHotkeys('-', () => zoomBy(1), { useKey: true });
  const pin = (key: string, at: number) => void change(({ pins }) => ({ pins: { ...pins, [key]: Math.max(at, now) } }));
  const entry = entries.find(({ key }) => key === chosen) ?? null;
  return (
    <main className={css.page} data-busy={busy || schedule.improving}>
      <div className={css.head}>
        <Answer>{answer(schedule, now)}</Answer>
        <div className={css.tools}>
          <ChoiceField label="Show" value={zoom} options={ZOOMS} onCommit={setZoom} />
          <ChoiceField
            label="Rows"
            value={by}
            options={[
              { id: 'piece', name: 'Pieces' },
              { id: 'hands', name: 'Hands' },
            ]}
            onCommit={setBy}
          />
          <ChoiceField
            label="Place steps"
            value={agenda.mode}
            options={[
              { id: 'earliest', name: 'Soon' },
              { id: 'latest', name: 'Late, but safe' },
            ]}
            onCommit={(mode) => void change({ mode }).then(planAfresh)}
          />
          <div className={css.buttons}>
            <Button size="small" variant="outlined" onClick={() => step(-1)} aria-label="Earlier">
              <ChevronLeft size={18} />
            </Button>
            <Button size="small" variant="outlined" onClick={() => setOffsetMs(0)}>
              Now
            </Button>
            <Button size="small" variant="outlined" onClick={() => step(1)} aria-label="Later">
              <ChevronRight size={18} />
            </Button>
            <Button size="small" variant="outlined" onClick={planAfresh} disabled={busy} data-testid="plan-afresh">
              Plan afresh
            </Button>
            <Button
              size="small"
              variant="outlined"
              startIcon={<CalendarArrowDown size={16} />}
              data-testid="calendar-out"
              onClick={() =>
                void saveCalendar(calendarOf(schedule, clock()), agenda.revision, clock(), 'fobbet-plan.ics')
              }
            >
              Calendar file
            </Button>
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
        onChoose={setChosen}
        onDrop={(key, at) => {
          setChosen(key);
          pin(key, at);
        }}
      />
      <p className={css.legend}>
        Dark: hands at work. Hatched: waiting, with a ring where it is dry. Green ground: your free hours. Flag: due.
        Drag a step to pin it at another time; drag the ground to move along.
      </p>
      <div className={css.parts}>
        <StepPart schedule={schedule} entry={entry} onPin={pin} onClose={() => setChosen(null)} />
        <LatePart schedule={schedule} />
        <HoursPart schedule={schedule} />
        <DatesPart schedule={schedule} />
      </div>
    </main>
  );
}

function answer({ pieces, entries, answer: found, busy, aside }: Schedule, now: number): string {
  const late = pieces.filter(({ lateMs }) => lateMs > 0);
  const homeless = entries.filter(({ startAt }) => startAt === null);
  if (busy && (!found || homeless.length > 0)) return 'Placing all steps …';
  if (homeless.length > 0 && found)
    return `${homeless.length} steps find no place in your free hours: ${homeless[0]!.piece.name} first.`;
  if (late.length > 0)
    return `${late.length === 1 ? late[0]!.planned.piece.name : `${late.length} pieces`} will not make it: ${span(Math.max(...late.map(({ lateMs }) => lateMs))).replace('in ', '')} late.`;
  const last = pieces.reduce<number | null>(
    (latest, { finishAt }) => (finishAt === null ? latest : Math.max(latest ?? 0, finishAt)),
    null,
  );
  if (last === null) return 'Nothing to place.';
  const due = pieces.reduce<number | null>(
    (first, { dueAt }) => (dueAt === null ? first : Math.min(first ?? Infinity, dueAt)),
    null,
  );
  return `Everything is done by ${clockTime(last, now)}${due !== null ? `, ${dueSlack(due - last)} before ${dayName(due, now)}` : ''}${aside.length ? `; ${aside.length} set aside` : ''}.`;
}

const dueSlack = (ms: number): string => (ms > 0 ? span(ms).replace('in ', '') : 'just');
