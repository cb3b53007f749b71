'use client';
import { Button } from '@mui/material';
import { useState } from 'react';
import { MOST_HANDS } from '@/core/schedule';
import { WORKS, type Work } from '@/core/stations';
import type { Schedule } from '@/features/agenda';
import { newId } from '@/features/shell';
import type { HelperHands } from '@/records';
import { LineField, NextRow, Note, Part, TextButton, TickRow } from '@/ui';
import { WORK_WORDS } from '@/words';
import { DAYS, FROM_MONDAY } from './weekdays';
import { DaysFields } from './days-fields';
import { SpansField } from './spans-field';
import css from './ahead.module.css';
import { say } from '@/words/say';

/** A new helper may do what harms nobody; the rest is ticked by who knows them. */
const HARMLESS: readonly Work[] = ['print', 'clean', 'lay', 'rub'];
const MOST_NAME = 80;

/** Other pairs of hands: when each is free, and what each may do. */
export function HelpersPart({ schedule }: { schedule: Schedule }) {
  const { agenda, change, planAfresh, timeZone } = schedule;
  const [name, setName] = useState('');
  const full = agenda.helpers.length >= MOST_HANDS - 1;
  const alter = async (id: string, patch: (helper: HelperHands) => Partial<HelperHands>): Promise<boolean> => {
    const kept = await change(({ helpers }) => ({
      helpers: helpers.map((one) => (one.id === id ? { ...one, ...patch(one) } : one)),
    }));
    // More hands, or fewer, are worth a new look at everything.
    if (kept) planAfresh();
    return kept;
  };
  const add = () => {
    const said = name.trim();
    if (said === '' || full) return;
    const helper: HelperHands = {
      id: newId(),
      name: said,
      weekly: FROM_MONDAY.map(() => []),
      days: {},
      can: [...HARMLESS],
    };
    void change(({ helpers }) => ({ helpers: [...helpers, helper] })).then((kept) => kept && setName(''));
  };
  return (
    <Part title={say`Who helps`}>
      {agenda.helpers.length === 0 && (
        <Note>{say`Somebody who helps has evenings of their own, and does what you tick: steps go to whoever can
          begin first, and what takes two waits until both are free.`}</Note>
      )}
      {agenda.helpers.map((helper) => (
        <Helper
          key={helper.id}
          helper={helper}
          timeZone={timeZone}
          onAlter={(patch) => alter(helper.id, patch)}
          onRemove={() => void change(({ helpers }) => ({ helpers: helpers.filter((one) => one.id !== helper.id) }))}
        />
      ))}
      <LineField
        label={say`Name`}
        value={name}
        mostCharacters={MOST_NAME}
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && add()}
        testId="helper-name"
      />
      <NextRow>
        <Button
          size="small"
          variant="outlined"
          onClick={add}
          disabled={full}
          data-testid="add-helper"
        >{say`Add a helper`}</Button>
        {full && <Note>{say`No more than ${MOST_HANDS} pairs of hands can be planned.`}</Note>}
      </NextRow>
    </Part>
  );
}

/** One who helps: hours, days, and what they may do. */
function Helper({
  helper: { name: called, weekly, days, can },
  timeZone,
  onAlter,
  onRemove,
}: {
  helper: HelperHands;
  timeZone: string;
  onAlter: (patch: (helper: HelperHands) => Partial<HelperHands>) => Promise<boolean>;
  onRemove: () => void;
}) {
  return (
    <section className={css.helper} aria-label={called} data-testid="helper">
      <h3>
        {called} <TextButton onClick={onRemove}>{say`helps no more`}</TextButton>
      </h3>
      <div className={css.hours}>
        {FROM_MONDAY.map((weekday) => (
          <SpansField
            key={weekday}
            label={DAYS[weekday]}
            spans={weekly[weekday] ?? []}
            onCommit={(spans) =>
              onAlter(({ weekly: before }) => ({
                weekly: before.map((old, index) => (index === weekday ? spans : old)),
              }))
            }
            testId={`helper-${weekday}`}
          />
        ))}
        <DaysFields
          days={days}
          timeZone={timeZone}
          onChange={(altered) => onAlter(({ days: before }) => ({ days: altered(before) }))}
          testId="helper-day"
        />
      </div>
      <div className={css.may} role="group" aria-label={say`${called} may`}>
        <span>{say`May`}</span>
        {WORKS.map((work) => (
          <TickRow
            key={work}
            checked={can.includes(work)}
            onToggle={() =>
              void onAlter(({ can: before }) => ({
                can: WORKS.filter((one) => (one === work ? !before.includes(one) : before.includes(one))),
              }))
            }
          >
            {WORK_WORDS[work].may}
          </TickRow>
        ))}
      </div>
      {weekly.every((spans) => spans.length === 0) && Object.keys(days).length === 0 && (
        <Note>{say`No hours yet: nothing is planned for ${called}.`}</Note>
      )}
    </section>
  );
}
