'use client';
import { Button, Rating, Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import { Fragment, useCallback, useMemo } from 'react';
import { hazeLeft, wornShare } from '@/core/advice';
import { readKept } from '@/core/inspect';
import type { Comparison, CostLine } from '@/core/journal';
import { formatDuration } from '@/core/measure';
import { stageOptics } from '@/core/render';
import { sealDatesOf } from '@/core/stations';
import type { StoredPicture } from '@/records';
import { useNotice } from '@/features/shell';
import { useObjectUrl, useStoredPicture } from '@/features/shelf';
import {
  Answer,
  Fields,
  PriceField,
  NextRow,
  Note,
  Part,
  VolumeField,
  Wide,
  WritingField,
  dated,
  longDate,
  useClock,
  useUnits,
  TextButton,
} from '@/ui';
import { LandingDrawing } from '../drawings/landing';
import { FaultsLink } from '../faults-link';
import { MissingList } from '../missing-list';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { useTakePicture } from '../use-take-picture';
import { saveCareCard } from './save-care-card';
import { PicturePick } from '../picture/picture-pick';
import css from './keep.module.css';
import { CAUSE_WORDS, FAULT_REMEDY_WORDS, careLabel } from '@/words';

const COMPARED: Readonly<Record<Comparison['what'], string>> = {
  medium: 'Medium',
  wait: 'Wait before rubbing',
  passes: 'Passes',
  rubbing: 'Minutes of rubbing',
  hands: 'Minutes of steps measured at the bench',
};
const COSTS: Readonly<Record<CostLine['item'], string>> = {
  print: 'Print',
  blank: 'Blank',
  paint: 'Paint',
  binder: 'Binder',
  sealer: 'Sealer',
};
const BOTTLES = [
  { key: 'paintTin', of: 'paint', name: 'Tin of paint' },
  { key: 'binderBottle', of: 'binder', name: 'Bottle of binder' },
  { key: 'sealerBottle', of: 'sealer', name: 'Bottle of sealer' },
] as const;

export function KeepStation() {
  const { piece, plan, change } = useOpenPiece();
  const units = useUnits();
  const { keep } = piece;
  const photo = useStoredPicture(keep.photoId);
  const photoUrl = useObjectUrl(photo?.preview ?? null);
  const take = useCallback(
    (taken: StoredPicture) => change('keep', { photoId: taken.id }, 'photo of the result', [taken]),
    [change],
  );
  const taking = useTakePicture(take);
  const setPrice = (patch: Partial<typeof keep.prices>, label: string) =>
    change('keep', { prices: { ...keep.prices, ...patch } }, label);
  const value = ({ planned, actual, unit }: Comparison, which: 'planned' | 'actual') => {
    const figure = which === 'planned' ? planned : actual;
    if (unit === 'ml') return units.volume(figure);
    if (unit === 'h') return formatDuration(figure);
    return unit === 'min' ? `${figure} min` : `${figure}`;
  };

  return (
    <StationLayout
      specimen={
        photoUrl ? (
          <figure className={css.photo}>
            <img src={photoUrl} alt={`${piece.name}, finished`} data-testid="result-photo" />
            <figcaption>
              The finished piece.{' '}
              <TextButton onClick={() => change('keep', { photoId: null }, 'no photo')}>Take the photo out</TextButton>
            </figcaption>
          </figure>
        ) : (
          <LandingDrawing
            painted
            optics={stageOptics(plan.method.sheen)}
            caption="As it should look. A photo of the real one takes its place."
          />
        )
      }
    >
      <Answer>{answer()}</Answer>
      <Part title="How it went">
        <Fields>
          <div>
            <span className={css.label} id="rating-label">
              Rating
            </span>
            <Rating
              aria-labelledby="rating-label"
              value={keep.rating}
              onChange={(_, rating) => change('keep', { rating }, 'rating')}
              data-testid="rating"
            />
          </div>
          <div>
            <PicturePick taking={taking} label={photo ? 'Another photo' : 'Photo of the result'} />
            {taking.busy && <Note>Reading the photo …</Note>}
          </div>
          <Wide>
            <WritingField
              label="What happened, what next time"
              value={keep.notes}
              rows={2}
              mostCharacters={5000}
              onCommit={(notes) => change('keep', { notes }, 'notes')}
              testId="notes"
            />
          </Wide>
        </Fields>
        {plan.keep.comparison.length > 0 && (
          <Table className={css.table} data-testid="comparison">
            <TableHead>
              <TableRow>
                <TableCell>Figure</TableCell>
                <TableCell>Plan</TableCell>
                <TableCell>Really</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {plan.keep.comparison.map((row) => (
                <TableRow key={row.what}>
                  <TableCell component="th" scope="row">
                    {COMPARED[row.what]}
                  </TableCell>
                  <TableCell>{value(row, 'planned')}</TableCell>
                  <TableCell>{value(row, 'actual')}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        )}
      </Part>
      <Part title="What it cost">
        <Fields>
          <PriceField
            label="Print, each page"
            value={keep.prices.print}
            onCommit={(print) => setPrice({ print }, 'price of the print')}
            testId="price-print"
          />
          <PriceField
            label="Blank"
            value={keep.prices.blank}
            onCommit={(blank) => setPrice({ blank }, 'price of the blank')}
            testId="price-blank"
          />
          {BOTTLES.filter(({ of }) => of !== 'paint' || plan.surface.paintMl > 0).map(({ key, of, name }) => (
            <Fragment key={key}>
              <PriceField
                label={name}
                value={keep.prices[key].price}
                onCommit={(price) => setPrice({ [key]: { ...keep.prices[key], price } }, `price of the ${of}`)}
                testId={`price-${of}`}
              />
              <VolumeField
                label="holds"
                value={keep.prices[key].ml}
                min={1}
                clearable
                onCommit={(ml) => setPrice({ [key]: { ...keep.prices[key], ml } }, 'size of the bottle')}
                testId={`size-${of}`}
              />
            </Fragment>
          ))}
        </Fields>
        {plan.keep.cost.lines.length > 0 && (
          <Table className={css.table} data-testid="cost">
            <TableBody>
              {plan.keep.cost.lines.map((line) => (
                <TableRow key={line.item}>
                  <TableCell component="th" scope="row">
                    {COSTS[line.item]}
                  </TableCell>
                  <TableCell>{line.amount.toFixed(2)}</TableCell>
                </TableRow>
              ))}
              <TableRow className={css.total}>
                <TableCell component="th" scope="row">
                  This piece
                </TableCell>
                <TableCell>{plan.keep.cost.total.toFixed(2)}</TableCell>
              </TableRow>
            </TableBody>
          </Table>
        )}
        <Note>
          In your own currency.{' '}
          {plan.keep.cost.unknown.length > 0
            ? `Not counted: ${plan.keep.cost.unknown.map((item) => COSTS[item].toLowerCase()).join(', ')}.`
            : 'Binder and sealer by their share of the bottle.'}
        </Note>
      </Part>
      <CareLabel />
      <LastPhotoNote />
      <FaultNotes />
      <MissingList station="keep" />
      <NextRow>
        <FaultsLink />
      </NextRow>
    </StationLayout>
  );

  function answer(): string {
    if (keep.rating !== null)
      return plan.keep.cost.lines.length > 0
        ? `Done and kept. It cost ${plan.keep.cost.total.toFixed(2)}.`
        : 'Done and kept.';
    return 'Keep what you learned: rate it, and note what was different.';
  }
}

/** What the last photo of the rubbing said, for the record. */
function LastPhotoNote() {
  const { piece } = useOpenPiece();
  const last = piece.rub.readings.at(-1);
  const left = useMemo(() => hazeLeft(piece), [piece]);
  const worn = useMemo(() => last && wornShare(readKept(last)), [last]);
  if (!last || !left || !worn) return null;
  return (
    <Note>
      By the last photo, after pass {last.pass}: {Math.round(left.mean * 100)} % haze on the mean
      {left.clears !== null && `, ${Math.round(left.clears * 100)} % of it gone when wet`},{' '}
      {(worn.share * 100).toFixed(1)} % of the toner gone.
    </Note>
  );
}

/** Faults that were looked into on this piece: what they were put down to, and what was done. */
function FaultNotes() {
  const { piece } = useOpenPiece();
  const { notes } = piece.faults;
  if (notes.length === 0) return null;
  return (
    <Part title="Faults that were looked into">
      <ul className={css.notes} data-testid="fault-notes">
        {notes.map(({ at, cause, remedy }) => (
          <li key={at}>
            <b>{CAUSE_WORDS[cause].title}</b>
            <small>{dated(at, 'd MMM')}</small>
            {remedy && <p>{FAULT_REMEDY_WORDS[remedy]}</p>}
          </li>
        ))}
      </ul>
    </Part>
  );
}

/** The care label's text, computed until the person writes their own. */
function CareLabel() {
  const { piece, plan, change, now } = useOpenPiece();
  const clock = useClock();
  const notice = useNotice();
  if (!plan.surface.record || !plan.method.binder) return null;
  const on = (at: number | null | undefined) => (at ? longDate(at) : null);
  const computed = careLabel({
    name: piece.name,
    surface: plan.surface.record,
    binder: plan.method.binder,
    sealer: plan.seal.sealing?.sealer ?? null,
    use: piece.seal.use,
    lightUseOn: on(plan.seal.clock?.lightUseAt),
    fullCureOn: on(plan.seal.clock?.fullCureAt),
    firstWashOn: on(sealDatesOf(piece, plan, now).find(({ code }) => code === 'first-wash')?.at),
  });
  const text = piece.keep.careText ?? computed;
  const copy = () =>
    void navigator.clipboard.writeText(text).then(
      () => notice({ text: 'The care label is copied.' }),
      () => notice({ text: 'The browser did not allow copying. Select the text and copy it.', tone: 'error' }),
    );
  return (
    <Part title={`Care label${piece.keep.careText === null ? '' : ' (your words)'}`}>
      <WritingField
        label="Care label"
        shownLabel={false}
        value={text}
        mostCharacters={2000}
        onCommit={(careText) => change('keep', { careText }, 'care label')}
        testId="care-label"
      />
      <NextRow apart>
        <Button size="small" variant="outlined" onClick={copy}>
          Copy
        </Button>
        <Button
          size="small"
          variant="outlined"
          onClick={() => void saveCareCard(piece, text, new Date(clock()))}
          data-testid="care-card"
        >
          As a small card, PDF
        </Button>
        {piece.keep.careText !== null && (
          <Button size="small" onClick={() => change('keep', { careText: null }, 'care label as computed')}>
            Back to Fobbet’s text
          </Button>
        )}
      </NextRow>
    </Part>
  );
}
