'use client';
import { useEffect } from 'react';
import { MS_PER_DAY } from '@/core/shared';
import type { Schedule } from '@/features/agenda';
import { useNotice, useReport } from '@/features/shell';
import {
  FigureField,
  LengthField,
  Fields,
  FileButton,
  NextRow,
  Note,
  Part,
  clockTime,
  useClock,
  TextButton,
} from '@/ui';
import { SHELF_MM } from '@/records';
import { DaysFields } from './days-fields';
import { SpansField } from './spans-field';
import { DAYS, FROM_MONDAY } from './weekdays';
import css from './ahead.module.css';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

const SPAN_DAYS = 90;

/** When hands are free, what there is room for, and busy times from a calendar file. */
export const HoursPart = ({ schedule }: { schedule: Schedule }) => (
  <Part title={say`Your hands`}>
    <Week schedule={schedule} />
    <Note>{say`Empty is not free at all. Hands are never planned into the quiet hours.`}</Note>
    <Room schedule={schedule} />
    <BusyTimes schedule={schedule} />
  </Part>
);

function Week({ schedule: { agenda, change, timeZone } }: { schedule: Schedule }) {
  // A link to this part: it is there only now.
  useEffect(() => {
    if (location.hash === '#hours') document.getElementById('hours')?.scrollIntoView();
  }, []);
  return (
    <div className={css.hours} id="hours">
      {FROM_MONDAY.map((weekday) => (
        <SpansField
          key={weekday}
          label={DAYS[weekday]}
          spans={agenda.weekly[weekday] ?? []}
          onCommit={(spans) =>
            change(({ weekly }) => ({
              weekly: weekly.map((old, index) => (index === weekday ? spans : old)),
              hoursSaid: true,
            }))
          }
          testId={`hours-${weekday}`}
        />
      ))}
      <SpansField
        label={say`Quiet, every day`}
        single
        spans={agenda.quiet ? [agenda.quiet] : []}
        onCommit={(spans) => change({ quiet: spans[0] ?? null })}
        testId="quiet"
      />
      <DaysFields
        days={agenda.days}
        timeZone={timeZone}
        onChange={(alter) => change(({ days }) => ({ days: alter(days) }))}
        testId="another-day"
      />
    </div>
  );
}

/** What there is room for, and what is kept free. */
const Room = ({ schedule: { agenda, change } }: { schedule: Schedule }) => (
  <Fields>
    <FigureField
      label={say`Shelves of the rack`}
      value={agenda.places.rack}
      whole
      min={0}
      max={200}
      onCommit={(rack) => rack !== null && change(({ places }) => ({ places: { ...places, rack } }))}
      testId="rack-places"
    />
    <LengthField
      label={say`A shelf, wide`}
      value={agenda.shelf.widthMm}
      minMm={SHELF_MM.min}
      maxMm={SHELF_MM.max}
      onCommit={(widthMm) => widthMm !== null && change(({ shelf }) => ({ shelf: { ...shelf, widthMm } }))}
      testId="shelf-width"
    />
    <LengthField
      label={say`A shelf, deep`}
      value={agenda.shelf.depthMm}
      minMm={SHELF_MM.min}
      maxMm={SHELF_MM.max}
      onCommit={(depthMm) => depthMm !== null && change(({ shelf }) => ({ shelf: { ...shelf, depthMm } }))}
      testId="shelf-depth"
    />
    <FigureField
      label={say`Pieces in the oven`}
      value={agenda.places.oven}
      whole
      min={0}
      max={10}
      onCommit={(oven) => oven !== null && change(({ places }) => ({ places: { ...places, oven } }))}
    />
    <FigureField
      label={say`Pieces on the bench`}
      value={agenda.places.bench}
      whole
      min={1}
      max={20}
      onCommit={(bench) => bench !== null && change(({ places }) => ({ places: { ...places, bench } }))}
    />
    <FigureField
      label={say`Kept free before a date`}
      value={agenda.reserveHours}
      unit="h"
      min={0}
      max={1000}
      onCommit={(reserveHours) => reserveHours !== null && change({ reserveHours })}
    />
    <FigureField
      label={say`Calendar rings before`}
      value={agenda.alarmMinutes}
      unit={say`min`}
      whole
      min={0}
      max={1440}
      onCommit={(alarmMinutes) => alarmMinutes !== null && change({ alarmMinutes })}
    />
  </Fields>
);

function BusyTimes({ schedule: { agenda, change } }: { schedule: Schedule }) {
  const clock = useClock();
  const notice = useNotice();
  const report = useReport();
  const takeCalendar = async (file: File) => {
    const { busyTimesOf } = await import('@/workers/reading/client');
    const read = await busyTimesOf(await file.text(), clock() - MS_PER_DAY, clock() + SPAN_DAYS * MS_PER_DAY);
    report(read);
    if (!read.ok || !(await change({ busy: read.value, busyFrom: file.name }))) return;
    notice({
      text: say`${read.value.length} busy times until
        ${clockTime(read.value[read.value.length - 1]!.untilAt, clock())} taken from ${file.name}. The plan goes
        round them.`,
      tone: 'success',
    });
  };

  return (
    <NextRow>
      <FileButton
        accept=".ics,text/calendar"
        onFile={(file) => void takeCalendar(file)}
        testId="busy-in"
      >{say`Busy times from a calendar file`}</FileButton>
      {agenda.busyFrom !== null && (
        <Note>{sayWith`${agenda.busy.length} busy times from ${agenda.busyFrom}.
            ${(<TextButton onClick={() => void change({ busy: [], busyFrom: null })}>{say`Forget them`}</TextButton>)}`}</Note>
      )}
    </NextRow>
  );
}
