import { Button, Popover } from '@mui/material';
import { AdapterDateFns } from '@mui/x-date-pickers/AdapterDateFns';
import { DateCalendar } from '@mui/x-date-pickers/DateCalendar';
import { DateField } from '@mui/x-date-pickers/DateField';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { format, isValid, type Locale } from 'date-fns';
import { enGB } from 'date-fns/locale/en-GB';
import { enUS } from 'date-fns/locale/en-US';
import { useState } from 'react';
import { noonOf, writingHere } from './times';
import css from './date-dialog.module.css';
import { IS_ENGLISH, LANGUAGE } from '@/words/language';
import { say } from '@/words/say';
import { monthIn, weekdayIn } from './calendar-names';

/** Days that anything on these pages can be of: well within what records take. */
const FIRST = '2000-01-01';
const LAST = '2099-12-31';

type Width = 'narrow' | 'abbreviated' | 'wide' | 'short';
const intlWidth = (width: Width | undefined) => (width === 'narrow' ? 'narrow' : width === 'wide' ? 'long' : 'short');

/** Dates as they are written here, with the language's days and months. */
function localeOf(base: Locale): Locale {
  if (IS_ENGLISH) return base;
  const { localize } = base;
  return {
    ...base,
    code: LANGUAGE.tag,
    localize: {
      ...localize,
      month: (month, options) => monthIn(month, intlWidth(options?.width as Width)),
      day: (day, options) => weekdayIn(day, intlWidth(options?.width as Width)),
    },
  };
}
const LOCALE = localeOf(writingHere().monthFirst ? enUS : enGB);
const WORDS = {
  previousMonth: say`Previous month`,
  nextMonth: say`Next month`,
  year: say`Year`,
  month: say`Month`,
  day: say`Day`,
  empty: say`Empty`,
  fieldYearPlaceholder: ({ digitAmount }: { digitAmount: number }) => say`Y`.repeat(digitAmount),
  fieldMonthPlaceholder: () => say`MM`,
  fieldDayPlaceholder: () => say`DD`,
  calendarViewSwitchingButtonAriaLabel: (view: string) =>
    view === 'year' ? say`Years are shown: choose a day` : say`Days are shown: choose a year`,
};

/** A calendar with a line to type in, by the button that opened it. */
export function DateDialog({
  label,
  value,
  from = FIRST,
  anchor,
  onCommit,
  onClose,
}: {
  label: string;
  value: string | null;
  from?: string | undefined;
  anchor: HTMLElement | null;
  onCommit: (day: string | null) => void;
  onClose: () => void;
}) {
  const [typed, setTyped] = useState<Date | null>(value === null ? null : noonOf(value));
  const [least, most] = [noonOf(from), noonOf(LAST)];
  const dayOf = (date: Date): string => format(date, 'yyyy-MM-dd');
  const within = (date: Date | null): date is Date =>
    date !== null && isValid(date) && dayOf(date) >= from && dayOf(date) <= LAST;
  return (
    <Popover open anchorEl={anchor} onClose={onClose} slotProps={{ paper: { role: 'dialog', 'aria-label': label } }}>
      <LocalizationProvider dateAdapter={AdapterDateFns} adapterLocale={LOCALE} localeText={WORDS}>
        <div
          className={css.dialog}
          onKeyDown={(event) => {
            // Keys that are pressed here are not for the page below; Escape closes.
            if (event.key !== 'Escape') event.stopPropagation();
          }}
        >
          <DateField
            label={label}
            size="small"
            value={typed}
            minDate={least}
            maxDate={most}
            onChange={setTyped}
            onKeyDown={(event) => {
              if (event.key !== 'Enter' || !within(typed)) return;
              // Or the key would press the button that gets the focus back.
              event.preventDefault();
              onCommit(dayOf(typed));
            }}
          />
          <DateCalendar
            value={within(typed) ? typed : null}
            minDate={least}
            maxDate={most}
            autoFocus
            views={['year', 'month', 'day']}
            openTo="day"
            onChange={(date: Date | null, state) => {
              setTyped(date);
              if (state === 'finish' && within(date)) onCommit(dayOf(date));
            }}
          />
          <div className={css.actions}>
            {value !== null && (
              <Button size="small" variant="text" onClick={() => onCommit(null)}>{say`No day`}</Button>
            )}
            <Button size="small" variant="text" onClick={onClose}>{say`Leave it`}</Button>
            <Button
              size="small"
              variant="contained"
              disabled={!within(typed)}
              onClick={() => within(typed) && onCommit(dayOf(typed))}
            >{say`Take it`}</Button>
          </div>
        </div>
      </LocalizationProvider>
    </Popover>
  );
}
