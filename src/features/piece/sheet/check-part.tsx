'use client';
import { Button } from '@mui/material';
import { barVerdict, type BarVerdict } from '@/core/sheet';
import { isPrintRefused } from '@/core/stations';
import { Fields, Note, Part, TextButton, Wide, dated, useClock, useUnits } from '@/ui';
import { sayWith } from '@/ui/say-with';
import { PRINT_HANDLING, sentences } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { StationTools } from '../station-cautions';
import { useStepDone } from '../use-step-done';
import { BarField } from './bar-field';

/** What a printed bar says of the printer; null before it is measured. */
export function useBarVerdict(): BarVerdict | null {
  const { piece, plan } = useOpenPiece();
  const { barMeasuredMm } = piece.sheet;
  const { print } = plan.surface;
  return barMeasuredMm !== null && print
    ? barVerdict(barMeasuredMm, Math.max(print.rect.widthMm, print.rect.heightMm))
    : null;
}

/** The print is measured, marked as printed, and trimmed. @param tiled over several pages */
export function CheckPart({ tiled }: { tiled: boolean }) {
  const { piece, plan } = useOpenPiece();
  const bar = useBarVerdict();
  const { print } = plan.surface;
  const { sheet } = piece;
  const { face, trim, id } = plan.method.printKind;
  return (
    <Part title={say`Check the print`}>
      <Fields>
        <MeasuredBar />
        <Printed />
        {bar && (
          <Wide>
            <BarSays bar={bar} />
          </Wide>
        )}
      </Fields>
      {print?.formed.blocks.some((block) => block.cut !== null) && (
        <Note>
          {sheet.form.edge === 'torn'
            ? say`The thin red line is where to tear, with openings: wet it with a fine brush, then pull. Fold at the dashes.`
            : say`The thin red line is where to cut, with openings; fold at the dashes.`}
        </Note>
      )}
      {tiled && (
        <Note>
          {sentences(
            say`Lay the pages in reading order.`,
            say`Trim a page’s left and top edge where it has a neighbour there, and glue it over the thick
                  marks of the page before; each page says so, and shows its place.`,
          )}
        </Note>
      )}
      <Note>{sentences(PRINT_HANDLING[id].material, PRINT_HANDLING[id].touch)}</Note>
      {face.lies !== 'fast' && (
        <Note>{say`Print a page on plain paper first, and measure the bar there: no ruler comes near the liner.`}</Note>
      )}
      <Note>
        {trim === null
          ? say`It is not trimmed: what is bare around the picture leaves nothing.`
          : say`Trim along the corner marks, inside the edge so that no white rim is left.`}
      </Note>
      <StationTools station="sheet" />
    </Part>
  );
}

function MeasuredBar() {
  const { piece, change } = useOpenPiece();
  const units = useUnits();
  const clock = useClock();
  const { sheet } = piece;
  return (
    <BarField
      label={units.system === 'inch' ? say`The 4 in bar measures` : say`The 100 mm bar measures`}
      value={sheet.barMeasuredMm}
      minMm={50}
      maxMm={150}
      clearable
      onCommit={(barMeasuredMm) =>
        change(
          'sheet',
          { barMeasuredMm, printedAt: barMeasuredMm === null ? sheet.printedAt : (sheet.printedAt ?? clock()) },
          say`measured bar`,
        )
      }
      testId="bar-measured"
      hint={units.system === 'inch' ? say`in inches; 4 when right` : say`in mm; 100 when right`}
    />
  );
}

function Printed() {
  const { piece, plan } = useOpenPiece();
  const steps = useStepDone();
  const { sheet } = piece;
  const { trim } = plan.method.printKind;
  const printAgain = () => steps.revoke({ kind: 'print' }, say`not printed`);
  return (
    <div>
      {sheet.printedAt === null || isPrintRefused(piece) ? (
        <Button variant="outlined" onClick={() => steps.done({ kind: 'print' }, say`printed`)} data-testid="printed">
          {printedWords(trim !== null, isPrintRefused(piece))}
        </Button>
      ) : (
        <Note>{sayWith`Printed ${dated(sheet.printedAt, 'd MMM HH:mm')}.
                  ${(<TextButton onClick={printAgain}>{say`Print again`}</TextButton>)}`}</Note>
      )}
    </div>
  );
}

function printedWords(trimmed: boolean, again: boolean): string {
  if (trimmed) return again ? say`Printed again and trimmed` : say`Printed and trimmed`;
  return again ? say`Printed again` : say`Printed`;
}

function BarSays({ bar }: { bar: BarVerdict }) {
  const units = useUnits();
  return (
    <Note>
      {bar.good
        ? say`The printer is true to size.`
        : sentences(
            say`The printer makes everything ${bar.scalePercent.toFixed(1)} % of its size.`,
            bar.printErrorMm < 0
              ? say`This print is ${units.length(-bar.printErrorMm)} too short.`
              : say`This print is ${units.length(bar.printErrorMm)} too long.`,
            say`Print again at 100 %, with “fit to page” off.`,
          )}
    </Note>
  );
}
