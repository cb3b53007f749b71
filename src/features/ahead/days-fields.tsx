'use client';
import type { DaySpan } from '@/core/measure';
import { dayOf } from '@/core/schedule';
import type { Schedule } from '@/features/agenda';
import { DateField, dated, noonOf, useNow } from '@/ui';
import { SpansField } from './spans-field';
import css from './ahead.module.css';
import { say } from '@/words/say';

type Days = Schedule['agenda']['days'];

/** Single days on which hands are free at other hours than their weekday's. */
export function DaysFields({
  days,
  timeZone,
  onChange,
  testId,
}: {
  days: Days;
  timeZone: string;
  /** Resolves to whether it was kept. */
  onChange: (alter: (days: Days) => Days) => Promise<boolean>;
  testId: string;
}) {
  const now = useNow();
  const today = now > 0 ? dayOf(now, timeZone) : '';
  return (
    <>
      {Object.entries(days)
        .filter(([date]) => date >= today)
        .sort()
        .map(([date, spans]) => (
          <SpansField
            key={date}
            label={dated(noonOf(date), 'EEE d MMM')}
            spans={spans}
            onCommit={(next) => onChange((before) => ({ ...before, [date]: next }))}
            onRemove={() =>
              void onChange((before) => Object.fromEntries(Object.entries(before).filter(([one]) => one !== date)))
            }
          />
        ))}
      <div className={css.addDay}>
        <DateField
          label={say`Another day`}
          value={null}
          shown={say`Set another day apart`}
          from={today}
          onCommit={(day) => {
            if (day !== null) void onChange((before) => ({ [day]: [] as DaySpan[], ...before }));
          }}
          testId={testId}
        />
      </div>
    </>
  );
}
