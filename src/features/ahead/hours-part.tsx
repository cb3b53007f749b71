'use client';
import { useEffect } from 'react';
import { MS_PER_DAY } from '@/core/shared';
import type { DaySpan } from '@/core/measure';
import { dayOf } from '@/core/schedule';
import type { Schedule } from '@/features/agenda';
import { useNotice, useReport } from '@/features/shell';
import {
  FigureField,
  Fields,
  FileButton,
  NextRow,
  Note,
  Part,
  clockTime,
  useClock,
  useNow,
  TextButton,
  DateField,
  dated,
  noonOf,
} from '@/ui';
import { SpansField } from './spans-field';
import css from './ahead.module.css';

const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;
const FROM_MONDAY = [1, 2, 3, 4, 5, 6, 0] as const;
const SPAN_DAYS = 90;

/** When hands are free, what there is room for, and busy times from a calendar file. */
export function HoursPart({ schedule }: { schedule: Schedule }) {
  const { agenda, change, timeZone } = schedule;
  const now = useNow();
  const clock = useClock();
  const notice = useNotice();
  const report = useReport();
  // A link to this part: it is there only now.
  useEffect(() => {
    if (location.hash === '#hours') document.getElementById('hours')?.scrollIntoView();
  }, []);
  const today = now > 0 ? dayOf(now, timeZone) : '';

  const takeCalendar = async (file: File) => {
    const { busyTimesOf } = await import('@/workers/reading/client');
    const read = await busyTimesOf(await file.text(), clock() - MS_PER_DAY, clock() + SPAN_DAYS * MS_PER_DAY);
    report(read);
    if (!read.ok || !(await change({ busy: read.value, busyFrom: file.name }))) return;
    notice({
      text: `${read.value.length} busy times until ${clockTime(read.value[read.value.length - 1]!.untilAt, clock())} taken from ${file.name}. The plan goes round them.`,
      tone: 'success',
    });
  };

  return (
    <Part title="Your hands">
      <div className={css.hours} id="hours">
        {FROM_MONDAY.map((weekday) => (
          <SpansField
            key={weekday}
            label={DAYS[weekday]}
            spans={agenda.weekly[weekday] ?? []}
            onCommit={(spans) =>
              void change(({ weekly }) => ({
                weekly: weekly.map((old, index) => (index === weekday ? spans : old)),
                hoursSaid: true,
              }))
            }
            testId={`hours-${weekday}`}
          />
        ))}
        <SpansField
          label="Quiet, every day"
          single
          spans={agenda.quiet ? [agenda.quiet] : []}
          onCommit={(spans) => void change({ quiet: spans[0] ?? null })}
          testId="quiet"
        />
        {Object.entries(agenda.days)
          .filter(([date]) => date >= today)
          .sort()
          .map(([date, spans]) => (
            <SpansField
              key={date}
              label={dated(noonOf(date), 'EEE d MMM')}
              spans={spans}
              onCommit={(next) => void change(({ days }) => ({ days: { ...days, [date]: next } }))}
              onRemove={() =>
                void change(({ days }) => ({
                  days: Object.fromEntries(Object.entries(days).filter(([one]) => one !== date)),
                }))
              }
            />
          ))}
        <div className={css.addDay}>
          <DateField
            label="Another day"
            value={null}
            shown="Set another day apart"
            from={today}
            onCommit={(day) => {
              if (day !== null) void change(({ days }) => ({ days: { [day]: [] as DaySpan[], ...days } }));
            }}
            testId="another-day"
          />
        </div>
      </div>
      <Note>Empty is not free at all. Hands are never planned into the quiet hours.</Note>
      <Fields>
        <FigureField
          label="Places on the rack"
          value={agenda.places.rack}
          whole
          min={0}
          max={200}
          onCommit={(rack) => rack !== null && void change(({ places }) => ({ places: { ...places, rack } }))}
          testId="rack-places"
        />
        <FigureField
          label="Pieces on the bench"
          value={agenda.places.bench}
          whole
          min={1}
          max={20}
          onCommit={(bench) => bench !== null && void change(({ places }) => ({ places: { ...places, bench } }))}
        />
        <FigureField
          label="Kept free before a date"
          value={agenda.reserveHours}
          unit="h"
          min={0}
          max={1000}
          onCommit={(reserveHours) => reserveHours !== null && void change({ reserveHours })}
        />
        <FigureField
          label="Calendar rings before"
          value={agenda.alarmMinutes}
          unit="min"
          whole
          min={0}
          max={1440}
          onCommit={(alarmMinutes) => alarmMinutes !== null && void change({ alarmMinutes })}
        />
      </Fields>
      <NextRow>
        <FileButton accept=".ics,text/calendar" onFile={(file) => void takeCalendar(file)} testId="busy-in">
          Busy times from a calendar file
        </FileButton>
        {agenda.busyFrom !== null && (
          <Note>
            {agenda.busy.length} busy times from {agenda.busyFrom}.{' '}
            <TextButton onClick={() => void change({ busy: [], busyFrom: null })}>Forget them</TextButton>
          </Note>
        )}
      </NextRow>
    </Part>
  );
}
