'use client';
import { Button } from '@mui/material';
import { FileDown, Printer } from 'lucide-react';
import { useState } from 'react';
import { letteringOf } from '@/core/stations';
import { JobProgress, NextRow, Note } from '@/ui';
import { canPrintPdf, printPdf } from '@/features/sheets';
import { useStash } from '@/features/at-hand';
import { useNotice } from '@/features/shell';
import { printedWhere } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { LetteringQuestion } from '../picture/lettering-question';
import css from './sheet.module.css';
import type { MadePdf, SheetMaking } from './use-sheet';

/** The one thing to do here. Whether the picture has lettering is asked before: it decides nothing that can be seen later. */
export function MakePdf({ making }: { making: SheetMaking }) {
  const { piece, plan, change } = useOpenPiece();
  const [asking, setAsking] = useState(false);
  const { stash } = useStash();
  const asked = letteringOf(piece);
  return (
    <>
      <NextRow>
        <Button
          variant={making.made ? 'outlined' : 'contained'}
          startIcon={<FileDown size={18} />}
          // Pressed, it keeps the focus: it isn't switched off while it works.
          onClick={() => making.progress === null && (asked === null ? setAsking(true) : making.makePdf())}
          aria-disabled={making.progress !== null}
          data-testid="make-pdf"
        >
          {making.made ? say`Make it again` : say`Make the PDF`}
        </Button>
        {making.made && canPrintPdf() && <PrintPdf made={making.made} />}
        {making.progress !== null && (
          <JobProgress progress={making.progress} label={say`Making the print`} onStop={making.cancel} />
        )}
      </NextRow>
      <p role="status" data-testid="pdf-saved" className={css.saved}>
        {making.made && say`Saved as ${making.made.name}. Print it at 100 %, without “fit to page”.`}
      </p>
      <Note>{printedWhere(stash.printer, plan.method.printKind)}</Note>
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

/** The browser's own dialog, over the file that was just saved. */
function PrintPdf({ made }: { made: MadePdf }) {
  const notice = useNotice();
  return (
    <Button
      variant="contained"
      startIcon={<Printer size={18} />}
      onClick={() =>
        printPdf(made.pdf, () =>
          notice({
            text: say`This browser does not print from the page: open ${made.name} and print it.`,
            tone: 'error',
          }),
        )
      }
      data-testid="print-pdf"
    >{say`Print…`}</Button>
  );
}
