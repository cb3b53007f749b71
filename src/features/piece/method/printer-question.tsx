'use client';
import { Button } from '@mui/material';
import { useStash } from '@/features/at-hand';
import { NextRow, Note } from '@/ui';
import { say } from '@/words/say';
import { PRINTERS } from './at-hand';

/** What prints decides which ways work at all: asked once, before anything is ranked, and kept for all pieces. */
export function PrinterQuestion() {
  const { change } = useStash();
  return (
    <>
      <NextRow>
        {PRINTERS.map(({ id, name }) => (
          <Button
            key={id}
            variant="outlined"
            onClick={() => void change({ printer: id })}
            data-testid={`printer-${id}`}
          >
            {name}
          </Button>
        ))}
      </NextRow>
      <Note>{say`Asked once. Laser toner is plastic and stays put; inkjet ink runs in wet gel, so other ways are better
        with it. A printer with powder in a box is a laser, one with liquid ink is an inkjet. Copy shops print by
        laser.`}</Note>
    </>
  );
}
