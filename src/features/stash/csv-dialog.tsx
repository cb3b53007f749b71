'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import type { StashItem } from '@/records';
import type { DecimalSign, StashCsv } from '@/storage';
import css from './stash.module.css';
import { figureOf } from '@/storage/csv';
import { remarks } from '@/words';
import { say } from '@/words/say';

/** What a table would bring in, before anything is changed: good rows counted, bad ones named by line. */
export function CsvDialog({
  csv: { items, faults, encoding, unclear },
  known,
  onSign,
  onTake,
  onClose,
}: {
  csv: StashCsv;
  known: readonly StashItem[];
  /** The decimal sign, where the table does not tell it. */
  onSign: (sign: DecimalSign) => void;
  onTake: () => void;
  onClose: () => void;
}) {
  const renewed = items.filter(({ id }) => known.some((item) => item.id === id)).length;
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth data-testid="csv-dialog">
      <DialogTitle component="h2">{say`${items.length} of ${items.length + faults.length} rows can be taken in`}</DialogTitle>
      <DialogContent>
        <p>{say`${items.length - renewed} new, ${renewed} that replace what is here. Nothing is changed yet.`}</p>
        {encoding === 'windows-1252' && (
          <p>{say`It is written in an older way (Windows-1252): look whether all letters are right.`}</p>
        )}
        {unclear !== null && (
          <div role="group" aria-label={say`Which number is meant?`} data-testid="csv-unclear">
            <p>{say`“${unclear}” can be read in two ways, and nothing in the table tells which. What is it?`}</p>
            {SIGNS.map((sign) => (
              <Button
                key={sign}
                size="small"
                variant="outlined"
                onClick={() => onSign(sign)}
                data-testid={`csv-sign-${sign === ',' ? 'comma' : 'point'}`}
              >
                {figureOf(unclear, sign)}
              </Button>
            ))}
          </div>
        )}
        <ul className={css.faults} data-testid="csv-rows">
          {items.map((item) => (
            <li key={item.id}>{rowWords(item)}</li>
          ))}
        </ul>
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
          disabled={items.length === 0 || unclear !== null}
          onClick={onTake}
          data-testid="csv-take"
        >{say`Take in ${items.length}`}</Button>
      </DialogActions>
    </Dialog>
  );
}

const SIGNS: readonly DecimalSign[] = ['.', ','];

/** An item as it would be taken in: its name with its figures. */
const rowWords = ({ name, amount, size, unit, price }: StashItem): string =>
  remarks(
    name,
    amount !== null && say`${amount} ${unit} left`,
    size !== null && say`of ${size} ${unit}`,
    price !== null && say`price ${price}`,
  );
