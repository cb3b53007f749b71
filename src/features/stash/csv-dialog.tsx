'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import type { StashItem } from '@/records';
import type { StashCsv } from '@/storage';
import css from './stash.module.css';
import { say } from '@/words/say';

/** What a table would bring in, before anything is changed: good rows counted, bad ones named by line. */
export function CsvDialog({
  csv: { items, faults },
  known,
  onTake,
  onClose,
}: {
  csv: StashCsv;
  known: readonly StashItem[];
  onTake: () => void;
  onClose: () => void;
}) {
  const renewed = items.filter(({ id }) => known.some((item) => item.id === id)).length;
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth data-testid="csv-dialog">
      <DialogTitle component="h2">{say`${items.length} of ${items.length + faults.length} rows can be taken in`}</DialogTitle>
      <DialogContent>
        <p>{say`${items.length - renewed} new, ${renewed} that replace what is here. Nothing is changed yet.`}</p>
        {faults.length > 0 && (
          <>
            <p>{say`These lines stay out:`}</p>
            <ul className={css.faults}>
              {faults.map(({ line, reason }) => (
                <li key={line}>
                  <b>{say`Line ${line}`}</b>: {reason}.
                </li>
              ))}
            </ul>
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{say`Take nothing`}</Button>
        <Button
          variant="contained"
          disabled={items.length === 0}
          onClick={onTake}
          data-testid="csv-take"
        >{say`Take in ${items.length}`}</Button>
      </DialogActions>
    </Dialog>
  );
}
