'use client';
import { Button } from '@mui/material';
import { FileDown } from 'lucide-react';
import { printerScale } from '@/core/at-hand';
import { UNPRINTABLE_MM, type Paper } from '@/core/sheet';
import { BarField } from './bar-field';
import { useStash } from '@/features/at-hand';
import { Fields, LengthField, NextRow, Note, Part, useClock, useUnits } from '@/ui';
import { saveFile } from '@/features/sheets/save-file';
import { SHEET_WORDS } from '@/words/sheet';
import { say } from '@/words/say';

const percent = (scale: number): string => `${((1 / scale) * 100).toFixed(2)} %`;

/** What the printer really does, measured once on a calibration page, and taken back in every sheet. */
export function PrinterPart({ paper }: { paper: Paper }) {
  const { stash, change } = useStash();
  const clock = useClock();
  const units = useUnits();
  const { truth } = stash;
  const { across, along } = printerScale(truth);
  const set = (patch: Partial<typeof truth>) => change((now) => ({ truth: { ...now.truth, ...patch } }));
  const make = async () => {
    // The PDF writer is loaded when a file is made.
    const { writeCalibrationPdf } = await import('@/core/sheet/calibration');
    const pdf = await writeCalibrationPdf(paper, new Date(clock()), SHEET_WORDS.calibration, units.system);
    saveFile(new Blob([new Uint8Array(pdf)], { type: 'application/pdf' }), 'printer-calibration.pdf');
  };
  return (
    <Part
      title={say`Your printer`}
      folded={
        truth.acrossMm === null && truth.alongMm === null
          ? say`taken as true to size`
          : say`${percent(across)} across, ${percent(along)} along`
      }
    >
      <Note>
        {truth.acrossMm === null && truth.alongMm === null
          ? say`Printers stretch and shrink a little. Print the calibration page once, measure its bars, and every
            sheet after that comes out at its true size.`
          : say`It prints at ${percent(across)} across and ${percent(along)} along the feed. Every sheet is drawn
            against that, and says so.`}
      </Note>
      <NextRow apart>
        <Button
          size="small"
          variant="outlined"
          startIcon={<FileDown size={16} />}
          onClick={() => void make()}
          data-testid="calibration-pdf"
        >{say`Make the calibration page`}</Button>
      </NextRow>
      <Fields>
        <BarField
          label={say`Bar across measures`}
          value={truth.acrossMm}
          minMm={90}
          maxMm={110}
          clearable
          onCommit={(acrossMm) => set({ acrossMm })}
          testId="bar-across"
        />
        <BarField
          label={say`Bar along measures`}
          value={truth.alongMm}
          minMm={90}
          maxMm={110}
          clearable
          onCommit={(alongMm) => set({ alongMm })}
          testId="bar-along"
        />
        <LengthField
          small
          label={say`Outermost whole frame`}
          value={truth.marginMm}
          maxMm={30}
          clearable
          onCommit={(marginMm) => set({ marginMm })}
          hint={say`empty: ${units.length(UNPRINTABLE_MM)}`}
          testId="printer-margin"
        />
      </Fields>
    </Part>
  );
}
