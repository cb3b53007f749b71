'use client';
import { Button } from '@mui/material';
import { FileDown } from 'lucide-react';
import { useState } from 'react';
import { letteringOf } from '@/core/stations';
import { JobProgress, NextRow, Note } from '@/ui';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { LetteringQuestion } from '../picture/lettering-question';
import type { SheetMaking } from './use-sheet';

/** The one thing to do here. Whether the picture has lettering is asked before: it decides nothing that can be seen later. */
export function MakePdf({ making }: { making: SheetMaking }) {
  const { piece, plan, change } = useOpenPiece();
  const [asking, setAsking] = useState(false);
  const asked = letteringOf(piece);
  return (
    <>
      <NextRow>
        <Button
          variant="contained"
          startIcon={<FileDown size={18} />}
          onClick={() => (asked === null ? setAsking(true) : making.makePdf())}
          disabled={making.progress !== null}
          data-testid="make-pdf"
        >{say`Make the PDF`}</Button>
        {making.progress !== null && (
          <JobProgress progress={making.progress} label={say`Making the print`} onStop={making.cancel} />
        )}
      </NextRow>
      {asking && asked === null && (
        <div data-testid="lettering-first">
          <LetteringQuestion
            value={null}
            onCommit={(lettering) => {
              change('picture', { lettering }, say`lettering`);
              making.makePdf();
            }}
          />
          {plan.method.mirrored ? null : <Note>{say`This way is printed as it is seen, not mirrored.`}</Note>}
        </div>
      )}
    </>
  );
}
