'use client';
import { BASE_COATS, FINISHES, SURFACES, TOOLS, type CautionId } from '@/core/craft';
import { areaMm2 } from '@/core/shape';
import { formatDuration } from '@/core/measure';
import { Answer, Because, Cautions, Fields, LengthField, NextRow, Note, Part, SelectField, TickRow, Wide, useUnits, type ReasonLine } from '@/ui';
import { ColourField } from './colour-field';
import { LandingDrawing } from '../drawings/landing';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';

const HEAVY_MM2 = 700 * 700;

export function SurfaceStation() {
  const { piece, plan, change } = useOpenPiece();
  const units = useUnits();
  const { surface: choice } = piece;
  const done = new Set(choice.prepared);
  const left = plan.preparation.filter((step) => !done.has(step.code));
  const hours = plan.preparation.reduce((total, step) => total + step.hours, 0);

  const reasons: ReasonLine[] = [];
  if (plan.surface) {
    reasons.push({ figure: `× ${plan.surface.absorbency}`, text: plan.surface.absorbency > 1 ? 'it drinks more medium than paint does' : plan.surface.absorbency < 1 ? 'it drinks a little less medium than paint' : 'it drinks medium as paint does' });
    reasons.push({ figure: `× ${plan.surface.dryingFactor}`, text: plan.surface.dryingFactor < 1 ? 'it dries sooner: water also leaves into it' : plan.surface.dryingFactor > 1 ? 'it dries later: water can only leave through the paper' : 'it dries at the usual pace' });
    if (plan.surface.textureMm > 0) reasons.push({ figure: units.length(plan.surface.textureMm), text: 'grain or weave: finer detail than this is lost' });
  }
  if (plan.blank) reasons.push({ figure: units.area(areaMm2(plan.blank)), text: 'face to work on' });

  const cautions: CautionId[] = plan.preparation.flatMap((step) => step.cautions.slice());
  if (choice.kind === 'led-candle') cautions.push('no-flame');
  if (plan.blank && areaMm2(plan.blank) > HEAVY_MM2) cautions.push('two-people');

  return (
    <StationLayout specimen={<LandingDrawing picture="none" caption={plan.surface ? `${plan.surface.name}${plan.blank ? `, ${units.size(plan.blank.widthMm, plan.blank.heightMm)}` : ''}, before the print.` : 'The bare blank.'} />}>
      <Answer>{answer()}</Answer>
      {plan.surface && <Note>{plan.surface.advice}</Note>}
      <Because reasons={reasons} />
      <Part title="Change">
        <Fields>
          <Wide><SelectField label="Kind of surface" value={choice.kind} empty="Choose what it is made of" options={SURFACES.map(({ id, name }) => ({ id, name }))} onCommit={(kind) => change('surface', { kind, prepared: [] }, 'surface')} testId="surface-kind" /></Wide>
          <LengthField label="Width" value={choice.widthMm} minMm={10} onCommit={(widthMm) => change('surface', { widthMm }, 'width')} testId="blank-width" />
          <LengthField label="Height" value={choice.heightMm} minMm={10} onCommit={(heightMm) => change('surface', { heightMm }, 'height')} testId="blank-height" />
          <LengthField label="Thickness" small value={choice.thicknessMm} clearable onCommit={(thicknessMm) => change('surface', { thicknessMm }, 'thickness')} testId="blank-thickness" />
          <SelectField label="Finish on it now" value={choice.finish} options={FINISHES.map(({ id, name }) => ({ id, name }))} onCommit={(finish) => change('surface', { finish, prepared: [] }, 'finish')} testId="finish" />
          {plan.surface?.takesBaseCoat !== false && <SelectField label="Base coat" value={choice.baseCoat} options={BASE_COATS.map(({ id, name }) => ({ id, name }))} onCommit={(baseCoat) => change('surface', { baseCoat, baseColour: BASE_COATS.find((coat) => coat.id === baseCoat)?.colour || choice.baseColour, prepared: [] }, 'base coat')} testId="base-coat" />}
          {(choice.baseCoat !== 'none' || choice.finish.endsWith('paint')) && <ColourField label={choice.baseCoat === 'none' ? 'Colour of the paint' : 'Colour of the base coat'} value={choice.baseColour} onCommit={(baseColour) => change('surface', { baseColour }, 'colour')} />}
        </Fields>
        <div style={{ marginTop: 12 }}><Note>{units.system === 'inch' ? 'Type sizes as you read them: 11 3/4, 11.75", 1\' 2", or 30cm.' : 'Type sizes as you read them: 30, 30cm, 300 mm, or 11 3/4 in.'}</Note></div>
      </Part>
      {plan.preparation.length > 0 && (
        <Part title="Prepare">
          {plan.preparation.map((step) => (
            <TickRow key={step.code} checked={done.has(step.code)} onToggle={() => change('surface', { prepared: done.has(step.code) ? choice.prepared.filter((code) => code !== step.code) : [...choice.prepared, step.code] }, step.title.toLowerCase())}>
              {step.title}{step.hours > 0 ? `, then dry ${formatDuration(step.hours)}` : ''}<small>{step.why}</small>
            </TickRow>
          ))}
          <Note>At hand: {TOOLS.surface.join(', ')}.</Note>
        </Part>
      )}
      <MissingList station="surface" />
      <Cautions ids={cautions} />
      <NextRow><NextLink station="method" /></NextRow>
    </StationLayout>
  );

  function answer(): string {
    if (!plan.surface) return 'Say what the picture goes on.';
    if (!plan.blank) return 'Measure the blank: width and height.';
    if (left.length === 0) return 'The surface is ready for the print.';
    const wait = hours > 0 ? `, ${formatDuration(hours)} of it drying` : '';
    return left.length === plan.preparation.length
      ? `${left.length} ${left.length === 1 ? 'step' : 'steps'} before this surface takes a print${wait}.`
      : `${left.length} of ${plan.preparation.length} steps left: ${left[0].title.charAt(0).toLowerCase()}${left[0].title.slice(1)}.`;
  }
}
