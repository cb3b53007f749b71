'use client';
import { Button } from '@mui/material';
import { useState } from 'react';
import { BASE_COATS, FINISHES, SURFACES, TOOLS, type CautionId } from '@/core/craft';
import { LEAST_COHERENCE } from '@/core/picture';
import type { ShapeKind } from '@/core/shape';
import { stageOptics } from '@/core/render';
import { formatDuration } from '@/core/measure';
import { Answer, Because, Cautions, Fields, LengthField, NextRow, Note, Part, SelectField, TickRow, Wide, sentenceFor, useUnits, type ReasonLine } from '@/ui';
import { ColourField } from './colour-field';
import { LandingDrawing } from '../drawings/landing';
import { DisagreementNotes } from '../disagreement-notes';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { useStepDone } from '../use-step-done';
import { useFindings } from '../use-analysis';
import { GrainFields, SIZE_WORDS, ShapeField, ShapeFields } from './shape-fields';
import { ShapeHandles } from './shape-handles';

const HEAVY_MM2 = 700 * 700;
const SHAPE_AREA: Readonly<Partial<Record<ShapeKind, string>>> = { 'wrapped-canvas': 'front, sides and tuck to cover', slats: 'of slats, without the gaps', panel: 'face, without the openings', 'drawer-row': 'of fronts, without gaps and knobs', cylinder: 'of the side to cover', vessel: 'of the side to cover' };
const LAID_FLAT: Readonly<Partial<Record<ShapeKind, string>>> = { 'wrapped-canvas': ' laid flat: front, sides and tuck', cylinder: ' of the side, laid flat', vessel: ', the side laid flat' };

export function SurfaceStation() {
  const { piece, plan, change } = useOpenPiece();
  const steps = useStepDone();
  const units = useUnits();
  const { surface: choice } = piece;
  const done = new Set(choice.prepared);
  const left = plan.preparation.filter((step) => !done.has(step.code));
  const { analysis } = useFindings();
  const [withPicture, setWithPicture] = useState(false);
  const words = SIZE_WORDS[choice.shape.kind];
  const proposedDeg = analysis && analysis.direction.coherence >= LEAST_COHERENCE ? Math.round(analysis.direction.angleDeg) : null;
  const hours = plan.preparation.reduce((total, step) => total + step.hours, 0);

  const reasons: ReasonLine[] = [];
  if (plan.surface) {
    reasons.push({ figure: `× ${plan.surface.absorbency}`, text: plan.surface.absorbency > 1 ? 'it drinks more medium than paint does' : plan.surface.absorbency < 1 ? 'it drinks a little less medium than paint' : 'it drinks medium as paint does' });
    reasons.push({ figure: `× ${plan.surface.dryingFactor}`, text: plan.surface.dryingFactor < 1 ? 'it dries sooner: water also leaves into it' : plan.surface.dryingFactor > 1 ? 'it dries later: water can only leave through the paper' : 'it dries at the usual pace' });
    if (plan.surface.textureMm > 0) reasons.push({ figure: units.length(plan.surface.textureMm), text: 'grain or weave: finer detail than this is lost' });
  }
  if (plan.blank) reasons.push({ figure: units.area(plan.blank.areaMm2), text: SHAPE_AREA[choice.shape.kind] ?? 'face to work on' });

  const bareHidden = choice.baseCoat !== 'none' && choice.baseCoat !== 'white-wash' || choice.finish.endsWith('paint');
  const cautions: CautionId[] = plan.preparation.flatMap((step) => step.cautions.slice());
  if (choice.kind === 'led-candle') cautions.push('no-flame');
  if (plan.blank && plan.blank.areaMm2 > HEAVY_MM2) cautions.push('two-people');

  return (
    <StationLayout specimen={<LandingDrawing
      optics={withPicture && plan.print ? stageOptics(piece.seal.sheen) : null} grips overlay={({ pxPerMm }) => <ShapeHandles pxPerMm={pxPerMm} />}
      caption={plan.surface ? `${plan.surface.name.split(':')[0]}${plan.blank ? `, ${units.size(plan.blank.widthMm, plan.blank.heightMm)}${LAID_FLAT[choice.shape.kind] ?? ''}` : ''}${withPicture ? '' : ', before the print'}.` : 'The bare blank.'}
      actions={plan.print && <Button size="small" variant="text" aria-pressed={withPicture} onClick={() => setWithPicture(!withPicture)} data-testid="with-picture">{withPicture ? 'Bare' : 'With the picture'}</Button>}
    />}>
      <Answer stop={plan.shapeFault !== null}>{answer()}</Answer>
      {plan.surface && <Note>{plan.surface.advice}</Note>}
      <Because reasons={reasons} />
      <Part title="Change">
        <Fields>
          <Wide><SelectField label="Kind of surface" value={choice.kind} empty="Choose what it is made of" options={SURFACES.map(({ id, name }) => ({ id, name }))} onCommit={(kind) => change('surface', { kind, prepared: [] }, 'surface')} testId="surface-kind" /></Wide>
          <Wide><ShapeField /></Wide>
          <LengthField label={words?.width ?? 'Width'} value={choice.widthMm} minMm={10} onCommit={(widthMm) => change('surface', { widthMm, ...(choice.shape.kind === 'round' ? { heightMm: widthMm } : {}) }, 'width')} testId="blank-width" />
          {words?.height !== null && <LengthField label={words?.height ?? 'Height'} value={choice.heightMm} minMm={10} onCommit={(heightMm) => change('surface', { heightMm }, 'height')} testId="blank-height" />}
          <ShapeFields />
          <LengthField label="Thickness" small value={choice.thicknessMm} clearable onCommit={(thicknessMm) => change('surface', { thicknessMm }, 'thickness')} testId="blank-thickness" />
          <SelectField label="Finish on it now" value={choice.finish} options={FINISHES.map(({ id, name }) => ({ id, name }))} onCommit={(finish) => change('surface', { finish, prepared: [] }, 'finish')} testId="finish" />
          {plan.surface?.takesBaseCoat !== false && <SelectField label="Base coat" value={choice.baseCoat} options={BASE_COATS.map(({ id, name }) => ({ id, name }))} onCommit={(baseCoat) => change('surface', { baseCoat, baseColour: BASE_COATS.find((coat) => coat.id === baseCoat)?.colour || choice.baseColour, prepared: [] }, 'base coat')} testId="base-coat" />}
          {plan.surface && !bareHidden && <ColourField label="Colour of the bare stuff" value={choice.bareColour ?? plan.surface.bareColour} onCommit={(bareColour) => change('surface', { bareColour }, 'colour of the bare stuff')} />}
          {(choice.baseCoat !== 'none' || choice.finish.endsWith('paint')) && <ColourField label={choice.baseCoat === 'none' ? 'Colour of the paint' : 'Colour of the base coat'} value={choice.baseColour} onCommit={(baseColour) => change('surface', { baseColour }, 'colour')} />}
        </Fields>
        <div style={{ marginTop: 12 }}><Note>{units.system === 'inch' ? 'Type sizes as you read them: 11 3/4, 11.75", 1\' 2", or 30cm.' : 'Type sizes as you read them: 30, 30cm, 300 mm, or 11 3/4 in.'}</Note></div>
      </Part>
      {plan.surface && plan.blank && <Part title="How it lies"><GrainFields proposedDeg={proposedDeg} /></Part>}
      {plan.preparation.length > 0 && (
        <Part title="Prepare">
          {plan.preparation.map((step) => (
            <TickRow key={step.code} checked={done.has(step.code)} onToggle={() => (done.has(step.code) ? steps.revoke(step.code, { surface: { prepared: choice.prepared.filter((code) => code !== step.code) } }, step.title.toLowerCase()) : steps.done(step.code, step.title.toLowerCase()))}>
              {step.title}{step.hours > 0 ? `, then dry ${formatDuration(step.hours)}` : ''}<small>{step.why}{step.materials.length > 0 ? ` With: ${step.materials.join(', ')}.` : ''}</small>
            </TickRow>
          ))}
          <Note>At hand: {TOOLS.surface.join(', ')}.</Note>
        </Part>
      )}
      <DisagreementNotes at="surface" />
      <MissingList station="surface" />
      <Cautions ids={cautions} />
      <NextRow><NextLink station="method" /></NextRow>
    </StationLayout>
  );

  function answer(): string {
    if (!plan.surface) return 'Say what the picture goes on.';
    if (plan.shapeFault) return sentenceFor(plan.shapeFault, units);
    if (!plan.blank) return 'Measure the blank: width and height.';
    if (left.length === 0) return 'The surface is ready for the print.';
    const wait = hours > 0 ? `, ${formatDuration(hours)} of it drying` : '';
    return left.length === plan.preparation.length
      ? `${left.length} ${left.length === 1 ? 'step' : 'steps'} before this surface takes a print${wait}.`
      : `${left.length} of ${plan.preparation.length} steps left: ${left[0].title.charAt(0).toLowerCase()}${left[0].title.slice(1)}.`;
  }
}
