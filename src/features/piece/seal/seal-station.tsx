'use client';
import { Button } from '@mui/material';
import { format } from 'date-fns';
import { SEALERS, SHEENS, TOOLS, USES, type CautionId } from '@/core/craft';
import { formatDuration } from '@/core/measure';
import { stageOptics } from '@/core/render';
import { Answer, Because, Cautions, ChoiceField, Fields, FigureField, NextRow, Note, Part, SelectField, Wide, WetnessMark, clockTime, dayName, span, useClock, useUnits, type ReasonLine } from '@/ui';
import { LandingDrawing } from '../drawings/landing';
import { DisagreementNotes } from '../disagreement-notes';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { useStepDone } from '../use-step-done';
import css from './seal.module.css';

export function SealStation() {
  const { piece, plan, change, now } = useOpenPiece();
  const units = useUnits();
  const clock = useClock();
  const steps = useStepDone();
  const { seal: choice } = piece;
  const planned = plan.seal;
  const times = plan.sealClock;
  const coatsOn = choice.coatsAt.length;
  const bare = planned?.sealer.id === 'none';
  const sealed = choice.finishedAt !== null || (planned !== null && planned.coats > 0 && coatsOn >= planned.coats);
  const suited = plan.sealers.filter((one) => one.suits);
  const unsuited = plan.sealers.filter((one) => !one.suits);
  const sheenEffect = SHEENS.find((one) => one.id === choice.sheen)?.effect;

  const reasons: ReasonLine[] = [];
  if (planned && plan.blank && !bare) {
    reasons.push({ figure: units.area(plan.blank.areaMm2), text: 'the whole face' });
    reasons.push({ figure: units.volume(planned.volumeMlPerCoat), text: `each coat, ${planned.sealer.filmUm} µm wet; a litre covers ${planned.bottleCoversM2.toFixed(0)} m²` });
    reasons.push({ figure: `${planned.coats} ${planned.coats === 1 ? 'coat' : 'coats'}`, text: planned.sealer.coats.min === planned.sealer.coats.max ? 'as usual' : `${planned.sealer.coats.min} to ${planned.sealer.coats.max} are usual`, overruled: choice.coats !== null });
    reasons.push({ figure: formatDuration(planned.betweenHours), text: 'between coats in this room' });
    reasons.push({ figure: `${planned.fullCureDays} days`, text: planned.lightUseDays < planned.fullCureDays ? `until it is fully hard; light use after ${planned.lightUseDays}` : 'until it is fully hard' });
    reasons.push({ figure: choice.sheen, text: sheenEffect ?? '' });
  }
  const cautions: CautionId[] = ['no-food', 'outdoors'];
  if (planned?.sealer.id === 'spray') cautions.push('spray');
  if (planned?.sealer.id === 'wax') cautions.push('oily-rags');
  if (piece.surface.kind === 'cloth') cautions.push('wash');

  return (
    <StationLayout specimen={<LandingDrawing painted optics={stageOptics(sealed ? choice.sheen : 'hazy')} caption={sealed ? <span style={{ display: 'flex', gap: 8 }}><WetnessMark wetness="sealed" /> Sealed, {choice.sheen}.</span> : `${coatsOn} of ${planned?.coats ?? 0} coats on.`} />}>
      <Answer>{answer()}</Answer>
      {planned && !sealed && (
        <NextRow>
          {bare
            ? <Button variant="contained" onClick={() => change('seal', { finishedAt: clock() }, 'left unsealed')} data-testid="coat-on">Leave it unsealed</Button>
            : <Button variant={times?.nextCoatAt && now < times.nextCoatAt ? 'outlined' : 'contained'} onClick={() => steps.done(`seal-${coatsOn + 1}`, `coat ${coatsOn + 1}`)} data-testid="coat-on">Coat {coatsOn + 1} of {planned.coats} is on</Button>}
        </NextRow>
      )}
      {(coatsOn > 0 || choice.finishedAt !== null) && (
        <Part title="Coats">
          {choice.coatsAt.map((at, index) => <Note key={at}>Coat {index + 1}: {format(at, 'EEE d MMM HH:mm')}</Note>)}
          <NextRow><button type="button" className="plain" onClick={() => steps.revoke(`seal-${coatsOn}`, { seal: { coatsAt: choice.coatsAt.slice(0, -1), finishedAt: null } }, 'coat not on')}>Take the last back</button></NextRow>
          {times && times.touchAt !== null && (
            <dl className={css.times} data-testid="seal-times">
              {times.nextCoatAt !== null && <div><dt>next coat</dt><dd>{clockTime(times.nextCoatAt, now)}</dd></div>}
              <div><dt>to the touch</dt><dd>{clockTime(times.touchAt, now)}</dd></div>
              {times.lightUseAt !== null && <div><dt>light use</dt><dd>{dayName(times.lightUseAt, now)}</dd></div>}
              {times.fullCureAt !== null && <div><dt>fully hard</dt><dd>{dayName(times.fullCureAt, now)}</dd></div>}
            </dl>
          )}
        </Part>
      )}
      <Because reasons={reasons} />
      <Part title="Change">
        <Fields>
          <Wide><SelectField label="What the piece is for" value={choice.use} options={USES} onCommit={(use) => change('seal', { use, sealer: null }, 'use')} testId="seal-use" /></Wide>
          <ChoiceField label="Sheen" value={choice.sheen} options={SHEENS.map(({ id, name }) => ({ id, name }))} onCommit={(sheen) => change('seal', { sheen, sealer: null }, 'sheen')} />
          <FigureField label="Coats" value={choice.coats} whole min={1} max={20} computed={`${planned?.sealer.coats.min ?? ''}`} onCommit={(coats) => change('seal', { coats }, 'number of coats')} testId="coats" />
        </Fields>
      </Part>
      <Part title="Sealers that suit">
        <ul className={css.sealers}>
          {suited.map(({ sealer, reasons: why }) => (
            <li key={sealer.id} data-chosen={sealer.id === planned?.sealer.id}>
              <div><b>{sealer.name}</b><p>{why.join(' ')}</p></div>
              <Button size="small" variant={sealer.id === planned?.sealer.id ? 'contained' : 'outlined'} aria-pressed={sealer.id === planned?.sealer.id} aria-label={`Choose ${sealer.name}`} onClick={() => change('seal', { sealer: sealer.id, coats: null }, sealer.name.toLowerCase())}>{sealer.id === planned?.sealer.id ? 'Chosen' : 'Choose'}</Button>
            </li>
          ))}
        </ul>
        <details className={css.others}><summary>Not for this piece: {unsuited.length} of {SEALERS.length}</summary>
          <ul>{unsuited.map(({ sealer, reasons: why }) => <li key={sealer.id}>{sealer.name}: {why.join(', ')}</li>)}</ul>
        </details>
      </Part>
      {!bare && <Note>At hand: {TOOLS.seal.join(', ')}.</Note>}
      <DisagreementNotes at="seal" />
      <MissingList station="seal" />
      <Cautions ids={cautions} />
      <NextRow><NextLink station="keep" quiet={!sealed} /></NextRow>
    </StationLayout>
  );

  function answer(): string {
    if (!planned) return suited.length === 0 ? 'No sealer suits this use in this sheen: change one of them.' : 'The sealer follows from the blank, the use and the sheen.';
    if (bare) return sealed ? 'Left unsealed, as it should be.' : 'No sealer needed here.';
    if (sealed && times?.fullCureAt) return `Sealed. Light use ${dayName(times.lightUseAt ?? times.fullCureAt, now)}, fully hard ${dayName(times.fullCureAt, now)}.`;
    if (times?.nextCoatAt) return now < times.nextCoatAt ? `Next coat ${clockTime(times.nextCoatAt, now)}, ${span(times.nextCoatAt - now)}.` : `Put coat ${coatsOn + 1} of ${planned.coats} on now.`;
    return `${planned.coats} ${planned.coats === 1 ? 'coat' : 'coats'} of ${planned.sealer.name.charAt(0).toLowerCase()}${planned.sealer.name.slice(1)}, ${units.volume(planned.volumeMlPerCoat)} each${planned.coats > 1 ? `, ${formatDuration(planned.betweenHours)} apart` : ''}.`;
  }
}
