'use client';
import { Button, Rating, Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import { Fragment, useCallback, useMemo } from 'react';
import { hazeLeft, wornShare } from '@/core/advice';
import { lastPlaced, readKept } from '@/core/inspect';
import type { Comparison, CostLine } from '@/core/journal';
import { formatDuration } from '@/words/figures';
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
import { CAUSE_WORDS, FAULT_REMEDY_WORDS, careLabel, remarks, counted, sentences } from '@/words';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

const COMPARED: Readonly<Record<Comparison['what'], string>> = {
  medium: say`Medium`,
  wait: say`Wait before rubbing`,
  passes: say`Passes`,
  rubbing: say`Minutes of rubbing`,
  hands: say`Minutes of steps measured at the bench`,
};
const COSTS: Readonly<Record<CostLine['item'], string>> = {
  print: say`Print`,
  blank: say`Blank`,
  paint: say`Paint`,
  binder: say`Binder`,
  sealer: say`Sealer`,
};
const BOTTLES = [
  { key: 'paintTin', of: 'paint', name: say`Tin of paint` },
  { key: 'binderBottle', of: 'binder', name: say`Bottle of binder` },
  { key: 'sealerBottle', of: 'sealer', name: say`Bottle of sealer` },
] as const;

export function KeepStation() {
  const { piece, plan, change } = useOpenPiece();
  const units = useUnits();
  const { keep } = piece;
  const photo = useStoredPicture(keep.photoId);
  const photoUrl = useObjectUrl(photo?.preview ?? null);
  const take = useCallback(
    (taken: StoredPicture) => change('keep', { photoId: taken.id }, say`photo of the result`, [taken]),
    [change],
  );
  const takeOut = () => change('keep', { photoId: null }, say`no photo`);
  const taking = useTakePicture(take);
  const setPrice = (patch: Partial<typeof keep.prices>, label: string) =>
    change('keep', { prices: { ...keep.prices, ...patch } }, label);
  const value = ({ planned, actual, unit }: Comparison, which: 'planned' | 'actual') => {
    const figure = which === 'planned' ? planned : actual;
    if (unit === 'ml') return units.volume(figure);
    if (unit === 'h') return formatDuration(figure);
    return unit === 'min' ? say`${figure} min` : `${figure}`;
  };

  return (
    <StationLayout
      station="keep"
      answer={<Answer>{answer()}</Answer>}
      specimen={
        photoUrl ? (
          <figure className={css.photo}>
            <img src={photoUrl} alt={say`${piece.name}, finished`} data-testid="result-photo" />
            <figcaption>{sayWith`The finished piece.
              ${(<TextButton onClick={takeOut}>{say`Take the photo out`}</TextButton>)}`}</figcaption>
          </figure>
        ) : (
          <LandingDrawing
            painted
            optics={stageOptics(plan.method.sheen)}
            caption={say`As it should look. A photo of the real one takes its place.`}
          />
        )
      }
    >
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
            <PicturePick taking={taking} label={photo ? say`Another photo` : say`Photo of the result`} />
            {taking.busy && <Note>{say`Reading the photo …`}</Note>}
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
        {plan.keep.comparison.length > 0 && (
          <Table className={css.table} data-testid="comparison">
            <TableHead>
              <TableRow>
                <TableCell>{say`Figure`}</TableCell>
                <TableCell>{say`Plan`}</TableCell>
                <TableCell>{say`Really`}</TableCell>
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
      <Part
        title={say`What it cost`}
        folded={plan.keep.cost.lines.length > 0 ? plan.keep.cost.total.toFixed(2) : say`no price yet`}
      >
        <Fields>
          <PriceField
            label={say`Print, each page`}
            value={keep.prices.print}
            onCommit={(print) => setPrice({ print }, say`price of the print`)}
            testId="price-print"
          />
          <PriceField
            label={say`Blank`}
            value={keep.prices.blank}
            onCommit={(blank) => setPrice({ blank }, say`price of the blank`)}
            testId="price-blank"
          />
          {BOTTLES.filter(({ of }) => of !== 'paint' || plan.surface.paintMl > 0).map(({ key, of, name }) => (
            <Fragment key={key}>
              <PriceField
                label={name}
                value={keep.prices[key].price}
                onCommit={(price) => setPrice({ [key]: { ...keep.prices[key], price } }, say`price of the ${of}`)}
                testId={`price-${of}`}
              />
              <VolumeField
                label={say`holds`}
                value={keep.prices[key].ml}
                min={1}
                clearable
                onCommit={(ml) => setPrice({ [key]: { ...keep.prices[key], ml } }, say`size of the bottle`)}
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
                <TableCell component="th" scope="row">{say`This piece`}</TableCell>
                <TableCell>{plan.keep.cost.total.toFixed(2)}</TableCell>
              </TableRow>
            </TableBody>
          </Table>
        )}
        <Note>
          {sentences(
            say`In your own currency.`,
            plan.keep.cost.unknown.length > 0
              ? say`Not counted: ${plan.keep.cost.unknown.map((item) => COSTS[item].toLowerCase()).join(', ')}.`
              : say`Binder and sealer by their share of the bottle.`,
          )}
        </Note>
      </Part>
      <CareLabel />
      <LastPhotoNote />
      <FaultNotes />
      <MissingList station="keep" />
      <FaultsLink />
    </StationLayout>
  );

  function answer(): string {
    if (keep.rating !== null)
      return plan.keep.cost.lines.length > 0
        ? say`Done and kept. It cost ${plan.keep.cost.total.toFixed(2)}.`
        : say`Done and kept.`;
    return say`Keep what you learned: rate it, and note what was different.`;
  }
}

/** What the last photo of the rubbing said, for the record. */
function LastPhotoNote() {
  const { piece } = useOpenPiece();
  const last = lastPlaced(piece.rub.readings);
  const left = useMemo(() => hazeLeft(piece), [piece]);
  const worn = useMemo(() => last && wornShare(readKept(last)), [last]);
  if (!last || !left || !worn) return null;
  return (
    <Note>{say`By the last photo, after pass ${last.pass}: ${remarks(
      say`${Math.round(left.mean * 100)} % haze on the mean`,
      left.clears !== null && say`${Math.round(left.clears * 100)} % of it gone when wet`,
      say`${(worn.share * 100).toFixed(1)} % of the toner gone`,
    )}.`}</Note>
  );
}

/** Faults that were looked into on this piece: what they were put down to, and what was done. */
function FaultNotes() {
  const { piece } = useOpenPiece();
  const { notes } = piece.faults;
  if (notes.length === 0) return null;
  return (
    <Part title={say`Faults that were looked into`}>
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
      () => notice({ text: say`The care label is copied.` }),
      () => notice({ text: say`The browser did not allow copying. Select the text and copy it.`, tone: 'error' }),
    );
  return (
    <Part title={say`Care label`} folded={piece.keep.careText === null ? say`as computed` : say`your words`}>
      <WritingField
        label={say`Care label`}
        shownLabel={false}
        value={text}
        mostCharacters={2000}
        onCommit={(careText) => change('keep', { careText }, say`care label`)}
        testId="care-label"
      />
      <NextRow apart>
        <Button size="small" variant="outlined" onClick={copy}>{say`Copy`}</Button>
        <Button
          size="small"
          variant="outlined"
          onClick={() => void saveCareCard(piece, text, new Date(clock()))}
          data-testid="care-card"
        >{say`As a small card, PDF`}</Button>
        {piece.keep.careText !== null && (
          <Button
            size="small"
            onClick={() => change('keep', { careText: null }, say`care label as computed`)}
          >{say`Back to Fobbet’s text`}</Button>
        )}
      </NextRow>
    </Part>
  );
}
