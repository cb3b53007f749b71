'use client';
import { Rating, Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import type { Comparison } from '@/core/journal';
import { Fields, Note, Part, Wide, WritingField, useUnits } from '@/ui';
import { counted, type Wording } from '@/words';
import { formatDuration } from '@/words/figures';
import { say } from '@/words/say';
import { PicturePick } from '../picture/picture-pick';
import { useOpenPiece } from '../piece-context';
import css from './keep.module.css';
import type { ResultPhoto } from './use-result-photo';

/** How it went: stars, photo, notes, and the plan beside what it really took. */
export function ResultPart({ photo }: { photo: ResultPhoto }) {
  const { piece, plan, change } = useOpenPiece();
  const { keep } = piece;
  return (
    <Part title={say`How it went`}>
      <Fields>
        <div>
          <span className={css.label} id="rating-label">{say`Rating`}</span>
          <Rating
            aria-labelledby="rating-label"
            value={keep.rating}
            onChange={(_, rating) => change('keep', { rating }, say`rating`)}
            getLabelText={(stars) => counted(stars, 'star', 'stars')}
            emptyLabelText={say`no stars`}
            data-testid="rating"
          />
        </div>
        <div>
          <PicturePick taking={photo.taking} label={photo.taken ? say`Another photo` : say`Photo of the result`} />
          {photo.taking.busy && <Note>{say`Reading the photo …`}</Note>}
        </div>
        <Wide>
          <WritingField
            label={say`What happened, what next time`}
            value={keep.notes}
            rows={2}
            mostCharacters={5000}
            onCommit={(notes) => change('keep', { notes }, say`notes`)}
            testId="notes"
          />
        </Wide>
      </Fields>
      {plan.keep.comparison.length > 0 && <Compared rows={plan.keep.comparison} />}
    </Part>
  );
}

const COMPARED: Readonly<Record<Comparison['what'], string>> = {
  medium: say`Medium`,
  wait: say`Wait before rubbing`,
  passes: say`Passes`,
  rubbing: say`Minutes of rubbing`,
  hands: say`Minutes of steps measured at the bench`,
};

function figureWords(figure: number, unit: Comparison['unit'], units: Wording): string {
  if (unit === 'ml') return units.volume(figure);
  if (unit === 'h') return formatDuration(figure);
  return unit === 'min' ? say`${figure} min` : `${figure}`;
}

function Compared({ rows }: { rows: readonly Comparison[] }) {
  const units = useUnits();
  return (
    <Table className={css.table} data-testid="comparison">
      <TableHead>
        <TableRow>
          <TableCell>{say`Figure`}</TableCell>
          <TableCell>{say`Plan`}</TableCell>
          <TableCell>{say`Really`}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {rows.map(({ what, planned, actual, unit }) => (
          <TableRow key={what}>
            <TableCell component="th" scope="row">
              {COMPARED[what]}
            </TableCell>
            <TableCell>{figureWords(planned, unit, units)}</TableCell>
            <TableCell>{figureWords(actual, unit, units)}</TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
