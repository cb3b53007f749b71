'use client';
import { Button, Rating, TextField } from '@mui/material';
import { useCallback, useState } from 'react';
import { careLabel, type Comparison, type CostLine } from '@/core/journal';
import { formatDuration } from '@/core/measure';
import { stageOptics } from '@/core/render';
import type { StoredPicture } from '@/records';
import { useNotice, useObjectUrl, useStoredPicture } from '@/features/shell';
import { Answer, Fields, FigureField, NextRow, Note, Part, VolumeField, Wide, longDate, useUnits } from '@/ui';
import { LandingDrawing } from '../drawings/landing';
import { MissingList } from '../missing-list';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { useTakePicture } from '../use-take-picture';
import { PicturePick } from '../picture/picture-drop';
import css from './keep.module.css';

const COMPARED: Readonly<Record<Comparison['what'], string>> = { medium: 'Medium', wait: 'Wait before rubbing', passes: 'Passes', rubbing: 'Minutes of rubbing', hands: 'Minutes of steps measured at the bench' };
const COSTS: Readonly<Record<CostLine['item'], string>> = { print: 'Print', blank: 'Blank', binder: 'Binder', sealer: 'Sealer' };

export function KeepStation() {
  const { piece, plan, change } = useOpenPiece();
  const units = useUnits();
  const { keep } = piece;
  const photo = useStoredPicture(keep.photoId);
  const photoUrl = useObjectUrl(photo?.preview ?? null);
  const take = useCallback((taken: StoredPicture) => change('keep', { photoId: taken.id }, 'photo of the result', [taken]), [change]);
  const taking = useTakePicture(take);
  const setPrice = (patch: Partial<typeof keep.prices>, label: string) => change('keep', { prices: { ...keep.prices, ...patch } }, label);
  const value = ({ planned, actual, unit }: Comparison, which: 'planned' | 'actual') => {
    const figure = which === 'planned' ? planned : actual;
    return unit === 'ml' ? units.volume(figure) : unit === 'h' ? formatDuration(figure) : unit === 'min' ? `${figure} min` : `${figure}`;
  };

  return (
    <StationLayout specimen={photoUrl
      ? <figure className={css.photo}><img src={photoUrl} alt={`${piece.name}, finished`} data-testid="result-photo" /><figcaption>The finished piece. <button type="button" className="plain" onClick={() => change('keep', { photoId: null }, 'no photo')}>Take the photo out</button></figcaption></figure>
      : <LandingDrawing painted optics={stageOptics(piece.seal.sheen)} caption="As it should look. A photo of the real one takes its place." />}
    >
      <Answer>{answer()}</Answer>
      <Part title="How it went">
        <Fields>
          <div>
            <span className={css.label} id="rating-label">Rating</span>
            <Rating aria-labelledby="rating-label" value={keep.rating} onChange={(_, rating) => change('keep', { rating }, 'rating')} data-testid="rating" />
          </div>
          <div><PicturePick taking={taking} label={photo ? 'Another photo' : 'Photo of the result'} />{taking.busy && <Note>Reading the photo …</Note>}</div>
          <Wide><NotesField value={keep.notes} onCommit={(notes) => change('keep', { notes }, 'notes')} /></Wide>
        </Fields>
        {plan.comparison.length > 0 && (
          <table className={css.table} data-testid="comparison">
            <thead><tr><th scope="col">Figure</th><th scope="col">Plan</th><th scope="col">Really</th></tr></thead>
            <tbody>{plan.comparison.map((row) => <tr key={row.what}><th scope="row">{COMPARED[row.what]}</th><td>{value(row, 'planned')}</td><td>{value(row, 'actual')}</td></tr>)}</tbody>
          </table>
        )}
      </Part>
      <Part title="What it cost">
        <Fields>
          <FigureField label="Print" value={keep.prices.print} min={0} max={1e6} clearable onCommit={(print) => setPrice({ print }, 'price of the print')} testId="price-print" />
          <FigureField label="Blank" value={keep.prices.blank} min={0} max={1e6} clearable onCommit={(blank) => setPrice({ blank }, 'price of the blank')} testId="price-blank" />
          <FigureField label="Bottle of binder" value={keep.prices.binderBottle.price} min={0} max={1e6} clearable onCommit={(price) => setPrice({ binderBottle: { ...keep.prices.binderBottle, price } }, 'price of the binder')} testId="price-binder" />
          <VolumeField label="holds" value={keep.prices.binderBottle.ml} min={1} clearable onCommit={(ml) => setPrice({ binderBottle: { ...keep.prices.binderBottle, ml } }, 'size of the bottle')} testId="size-binder" />
          <FigureField label="Bottle of sealer" value={keep.prices.sealerBottle.price} min={0} max={1e6} clearable onCommit={(price) => setPrice({ sealerBottle: { ...keep.prices.sealerBottle, price } }, 'price of the sealer')} />
          <VolumeField label="holds" value={keep.prices.sealerBottle.ml} min={1} clearable onCommit={(ml) => setPrice({ sealerBottle: { ...keep.prices.sealerBottle, ml } }, 'size of the bottle')} />
        </Fields>
        {plan.cost.lines.length > 0 && (
          <table className={css.table} data-testid="cost">
            <tbody>
              {plan.cost.lines.map((line) => <tr key={line.item}><th scope="row">{COSTS[line.item]}</th><td>{line.amount.toFixed(2)}</td></tr>)}
              <tr className={css.total}><th scope="row">This piece</th><td>{plan.cost.total.toFixed(2)}</td></tr>
            </tbody>
          </table>
        )}
        <Note>In your own currency. {plan.cost.unknown.length > 0 ? `Not counted: ${plan.cost.unknown.map((item) => COSTS[item].toLowerCase()).join(', ')}.` : 'Binder and sealer by their share of the bottle.'}</Note>
      </Part>
      <CareLabel />
      <MissingList station="keep" />
    </StationLayout>
  );

  function answer(): string {
    if (keep.rating !== null) return plan.cost.lines.length > 0 ? `Done and kept. It cost ${plan.cost.total.toFixed(2)}.` : 'Done and kept.';
    return 'Keep what you learned: rate it, and note what was different.';
  }
}

function NotesField({ value, onCommit }: { value: string; onCommit: (value: string) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  return (
    <TextField label="What happened, what next time" multiline minRows={2} value={draft ?? value} onChange={(event) => setDraft(event.target.value)} slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 5000, 'data-testid': 'notes' } }}
      onBlur={() => { if (draft !== null && draft !== value) onCommit(draft); setDraft(null); }} />
  );
}

/** The care label's text, computed until the person writes their own. */
function CareLabel() {
  const { piece, plan, change } = useOpenPiece();
  const notice = useNotice();
  const [draft, setDraft] = useState<string | null>(null);
  if (!plan.surface || !plan.binder) return null;
  const on = (at: number | null | undefined) => (at ? longDate(at) : null);
  const computed = careLabel({
    name: piece.name, surface: plan.surface, binder: plan.binder, sealer: plan.seal?.sealer ?? null, use: piece.seal.use,
    lightUseOn: on(plan.sealClock?.lightUseAt), fullCureOn: on(plan.sealClock?.fullCureAt),
  });
  const text = piece.keep.careText ?? computed;
  const copy = () => void navigator.clipboard.writeText(text).then(() => notice({ text: 'The care label is copied.' }), () => notice({ text: 'The browser did not allow copying. Select the text and copy it.', tone: 'error' }));
  return (
    <Part title={`Care label${piece.keep.careText === null ? '' : ' (your words)'}`}>
      <TextField multiline fullWidth value={draft ?? text} onChange={(event) => setDraft(event.target.value)} slotProps={{ htmlInput: { 'aria-label': 'Care label', maxLength: 2000, 'data-testid': 'care-label' } }}
        onBlur={() => { if (draft !== null && draft !== text) change('keep', { careText: draft }, 'care label'); setDraft(null); }} />
      <div style={{ marginTop: 10 }}><NextRow>
        <Button size="small" variant="outlined" onClick={copy}>Copy</Button>
        {piece.keep.careText !== null && <Button size="small" onClick={() => change('keep', { careText: null }, 'care label as computed')}>Back to Fobbet’s text</Button>}
      </NextRow></div>
    </Part>
  );
}
