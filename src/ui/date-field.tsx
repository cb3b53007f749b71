import { Button, ButtonBase } from '@mui/material';
import dynamic from 'next/dynamic';
import { useId, useState, type MouseEvent } from 'react';
import { dated, noonOf } from './times';
import css from './fields.module.css';
import { say } from '@/words/say';

const DateDialog = dynamic(() => import('./date-dialog').then((file) => file.DateDialog), { ssr: false });

/** A day, "YYYY-MM-DD" or none, chosen from a calendar or typed. The calendar is loaded when it is opened. */
export function DateField({
  label,
  value,
  shown,
  from,
  onCommit,
  testId,
}: {
  label: string;
  value: string | null;
  /** What stands on the button; left out, it looks like a field with its label. */
  shown?: string;
  /** The first day that can be chosen. */
  from?: string | undefined;
  onCommit: (day: string | null) => void;
  testId?: string | undefined;
}) {
  /** The button that opened the calendar; null while it is closed. */
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const id = useId();
  const close = () => {
    anchor?.focus();
    setAnchor(null);
  };
  const opens = {
    'aria-haspopup': 'dialog',
    'aria-expanded': anchor !== null,
    onClick: (event: MouseEvent<HTMLElement>) => setAnchor(event.currentTarget),
    'data-testid': testId,
  } as const;
  return (
    <>
      {shown === undefined ? (
        <div>
          <span id={id} className={css.label}>
            {label}
          </span>
          <ButtonBase {...opens} className={css.day} aria-labelledby={`${id} ${id}-day`}>
            <span id={`${id}-day`}>{value === null ? say`not known` : dated(noonOf(value), 'd MMM yyyy')}</span>
          </ButtonBase>
        </div>
      ) : (
        <Button {...opens} size="small" variant="text">
          {shown}
        </Button>
      )}
      {anchor && (
        <DateDialog
          label={label}
          value={value}
          from={from}
          anchor={anchor}
          onClose={close}
          onCommit={(day) => {
            close();
            if (day !== value) onCommit(day);
          }}
        />
      )}
    </>
  );
}
