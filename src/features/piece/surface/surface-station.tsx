'use client';
import { Button } from '@mui/material';
import { useState } from 'react';
import { BASE_COATS, FINISHES, SURFACES, baseCoatById, finishById } from '@/core/craft';
import { LEAST_COHERENCE } from '@/core/picture';
import { shapeKind } from '@/core/shape';
import { MS_PER_HOUR } from '@/core/shared';
import { PAINT_AGES, asksPaintAge, type PrepStep } from '@/core/stations';
import { WhenDone } from '@/features/agenda';
import { stageOptics } from '@/core/render';
import { formatDuration } from '@/words/figures';
import {
  Answer,
  Because,
  Fields,
  LengthField,
  NextRow,
  Note,
  Part,
  SelectField,
  TextButton,
  TickRow,
  Wide,
  useClock,
  useUnits,
  type ReasonLine,
} from '@/ui';
import { sentenceFor, sentences, remarks } from '@/words';
import { ColourField } from './colour-field';
import { LandingDrawing } from '../drawings/landing';
import { DisagreementNotes } from '../disagreement-notes';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { useStepDone } from '../use-step-done';
import { useFindings } from '../use-analysis';
import { ClearOverlay } from './clear-overlay';
import { TracePart } from './trace-part';
import { GrainFields, ShapeField, ShapeFields } from './shape-fields';
import { ShapeHandles } from './shape-handles';
import { StationCautions } from '../station-cautions';
import {
  BASE_COAT_WORDS,
  FINISH_WORDS,
  PAINT_AGE_NAMES,
  SHAPE_WORDS,
  SIZE_NAMES,
  SURFACE_WORDS,
  counted,
  lowerFirst,
  prepTitle,
  prepWhy,
  toolList,
} from '@/words';
import { say } from '@/words/say';

export function SurfaceStation() {
  const { piece, plan, change } = useOpenPiece();
  const units = useUnits();
  const { surface: choice } = piece;
  const done = new Set(choice.prepared);
  const left = plan.surface.preparation.filter((step) => !done.has(step.code));
  // Ticking the last of them folds nothing under the person's hand.
  const [wasPrepared] = useState(plan.surface.preparation.length > 0 && left.length === 0);
  const { analysis } = useFindings();
  const [withPicture, setWithPicture] = useState(false);
  const { sizes } = shapeKind(choice.shape.kind);
  const proposedDeg =
    analysis && analysis.direction.coherence >= LEAST_COHERENCE ? Math.round(analysis.direction.angleDeg) : null;
  const hours = plan.surface.preparation.reduce((total, step) => total + step.hours, 0);

  const reasons: ReasonLine[] = [];
  if (plan.surface.record) {
    const { absorbency, dryingFactor } = plan.surface.ground ?? plan.surface.record;
    reasons.push({ figure: `× ${Number(absorbency.toFixed(2))}`, text: drinksText(absorbency) });
    reasons.push({ figure: `× ${dryingFactor}`, text: driesText(dryingFactor) });
    if (plan.surface.record.textureMm > 0)
      reasons.push({
        figure: units.length(plan.surface.record.textureMm),
        text: say`grain or weave: finer detail than this is lost`,
      });
  }
  const { blank } = plan.surface;
  if (blank) reasons.push({ figure: units.area(blank.areaMm2), text: SHAPE_WORDS[choice.shape.kind].area });
  if (plan.surface.paintMl > 0) reasons.push({ figure: units.volume(plan.surface.paintMl), text: paintText() });
  const painted = finishById(choice.finish).paint;
  const bareHidden = baseCoatById(choice.baseCoat).hidesGrain || painted;
  return (
    <StationLayout
      station="surface"
      answer={<Answer stop={plan.surface.shapeFault !== null}>{answer()}</Answer>}
      onward={<NextLink station="method" />}
      specimen={
        <LandingDrawing
          optics={withPicture && plan.surface.print ? stageOptics(plan.method.sheen) : null}
          grips
          overlay={({ pxPerMm }) => (
            <>
              <ShapeHandles pxPerMm={pxPerMm} />
              {withPicture && <ClearOverlay pxPerMm={pxPerMm} />}
            </>
          )}
          caption={
            plan.surface.record
              ? `${remarks(
                  SURFACE_WORDS[plan.surface.record.id].shortName,
                  blank && units.size(blank.widthMm, blank.heightMm),
                  blank && SHAPE_WORDS[choice.shape.kind].laidFlat,
                  !withPicture && say`before the print`,
                )}.`
              : say`The bare blank.`
          }
          actions={
            plan.surface.print && (
              <Button
                size="small"
                variant="text"
                aria-pressed={withPicture}
                onClick={() => setWithPicture(!withPicture)}
                data-testid="with-picture"
              >
                {withPicture ? say`Bare` : say`With the picture`}
              </Button>
            )
          }
        />
      }
    >
      {plan.surface.record && <Note>{SURFACE_WORDS[plan.surface.record.id].advice}</Note>}
      <Because reasons={reasons} />
      <Part title={say`Change`}>
        <Fields>
          <Wide>
            <SelectField
              label={say`Kind of surface`}
              value={choice.kind}
              empty={say`Choose what it is made of`}
              options={SURFACES.map(({ id }) => ({ id, name: SURFACE_WORDS[id].name }))}
              onCommit={(kind) => change('surface', { kind }, say`surface`)}
              testId="surface-kind"
            />
          </Wide>
          <Wide>
            <ShapeField />
          </Wide>
          <LengthField
            label={SIZE_NAMES[sizes.width]}
            value={choice.widthMm}
            minMm={10}
            onCommit={(widthMm) =>
              change('surface', { widthMm, ...(sizes.height === null ? { heightMm: widthMm } : {}) }, say`width`)
            }
            testId="blank-width"
          />
          {sizes.height !== null && (
            <LengthField
              label={SIZE_NAMES[sizes.height]}
              value={choice.heightMm}
              minMm={10}
              onCommit={(heightMm) => change('surface', { heightMm }, say`height`)}
              testId="blank-height"
            />
          )}
          <ShapeFields />
          <LengthField
            label={say`Thickness`}
            small
            value={choice.thicknessMm}
            clearable
            onCommit={(thicknessMm) => change('surface', { thicknessMm }, say`thickness`)}
            testId="blank-thickness"
          />
          <SelectField
            label={say`Finish on it now`}
            value={choice.finish}
            options={FINISHES.map(({ id }) => ({ id, name: FINISH_WORDS[id].name }))}
            onCommit={(finish) => change('surface', { finish }, say`finish`)}
            testId="finish"
          />
          {plan.surface.record?.takesBaseCoat !== false && (
            <SelectField
              label={say`Base coat`}
              value={choice.baseCoat}
              options={BASE_COATS.map(({ id }) => ({ id, name: BASE_COAT_WORDS[id].name }))}
              onCommit={(baseCoat) =>
                change(
                  'surface',
                  {
                    baseCoat,
                    baseColour: baseCoatById(baseCoat).colour || choice.baseColour,
                  },
                  say`base coat`,
                )
              }
              testId="base-coat"
            />
          )}
          {plan.surface.record && !bareHidden && (
            <ColourField
              label={say`Colour of the bare stuff`}
              value={choice.bareColour ?? plan.surface.record.bareColour}
              onCommit={(bareColour) => change('surface', { bareColour }, say`colour of the bare stuff`)}
            />
          )}
          {plan.surface.record && asksPaintAge(choice, plan.surface.record) && (
            <SelectField
              label={say`Who painted it, and when?`}
              value={choice.paintAge}
              empty={say`Say it once: old paint may hold lead`}
              options={PAINT_AGES.map((id) => ({ id, name: PAINT_AGE_NAMES[id] }))}
              onCommit={(paintAge) => change('surface', { paintAge }, say`age of the paint`)}
              testId="paint-age"
            />
          )}
          {(choice.baseCoat !== 'none' || painted) && (
            <ColourField
              label={choice.baseCoat === 'none' ? say`Colour of the paint` : say`Colour of the base coat`}
              value={choice.baseColour}
              onCommit={(baseColour) => change('surface', { baseColour }, say`colour`)}
            />
          )}
          {choice.baseCoat !== 'none' && plan.surface.record?.takesBaseCoat && (
            <UnderColour
              colour={choice.underColour}
              onCommit={(underColour) => change('surface', { underColour }, say`colour under the base coat`)}
            />
          )}
        </Fields>
        <Note apart>
          {units.system === 'inch'
            ? say`Type sizes as you read them: 11 3/4, 11.75", or 1' 2".`
            : say`Type sizes as you read them: 30, 30cm, 300 mm, or 11 3/4 in.`}
        </Note>
      </Part>
      <TracePart analysis={analysis} />
      {plan.surface.record && plan.surface.blank && (
        <Part title={say`How it lies`} folded={grainFolded()}>
          <GrainFields proposedDeg={proposedDeg} />
        </Part>
      )}
      {plan.surface.blank && plan.surface.preparation.length > 0 && (
        <Part title={say`Prepare`} folded={wasPrepared ? say`all done` : null}>
          {plan.surface.preparation.map((step) => (
            <PrepRow key={step.code} step={step} checked={done.has(step.code)} />
          ))}
        </Part>
      )}
      <DisagreementNotes at="surface" />
      <MissingList station="surface" />
      <StationCautions station="surface" />
    </StationLayout>
  );

  function paintText(): string {
    const coats = plan.surface.preparation.filter(({ coat }) => coat !== null).length;
    const cost = plan.keep.cost.lines.find(({ item }) => item === 'paint');
    return remarks(
      say`of paint in ${counted(coats, 'coat', 'coats')}`,
      cost && say`${cost.amount.toFixed(2)} of your tin`,
    );
  }

  function grainFolded(): string {
    const { grain } = choice;
    return grain.angleDeg === 0 ? say`grain along the width` : say`grain at ${Math.round(grain.angleDeg)}°`;
  }

  function answer(): string {
    if (!plan.surface.record) return say`Say what the picture goes on.`;
    if (plan.surface.shapeFault) return sentenceFor(plan.surface.shapeFault, units);
    if (!plan.surface.blank) return say`Measure the blank: width and height.`;
    if (left.length === 0) return say`The surface is ready for the print.`;
    return left.length === plan.surface.preparation.length
      ? hours > 0
        ? say`${counted(left.length, 'step', 'steps')} before this surface takes a print, ${formatDuration(hours)} of it drying.`
        : say`${counted(left.length, 'step', 'steps')} before this surface takes a print.`
      : say`${left.length} of ${plan.surface.preparation.length} steps left: ${lowerFirst(prepTitle(left[0]!))}.`;
  }
}

const drinksText = (absorbency: number): string => {
  if (absorbency > 1) return say`it drinks more medium than paint does`;
  return absorbency < 1 ? say`it drinks a little less medium than paint` : say`it drinks medium as paint does`;
};

const driesText = (factor: number): string => {
  if (factor < 1) return say`it dries sooner: water also leaves into it`;
  return factor > 1 ? say`it dries later: water can only leave through the paper` : say`it dries at the usual pace`;
};

const UNDER_COLOUR = '#8a4b32';

/** Another colour under the base coat, to come through where edges are sanded. */
function UnderColour({ colour, onCommit }: { colour: string | null; onCommit: (colour: string | null) => void }) {
  if (colour === null)
    return (
      <NextRow>
        <TextButton onClick={() => onCommit(UNDER_COLOUR)}>{say`A colour under it, to sand through`}</TextButton>
      </NextRow>
    );
  return (
    <div>
      <ColourField label={say`Colour under it`} value={colour} onCommit={onCommit} />
      <TextButton onClick={() => onCommit(null)}>{say`Without`}</TextButton>
    </div>
  );
}

/** One step of preparing; one that what comes before it leaves no time for is asked about. */
function PrepRow({ step, checked }: { step: PrepStep; checked: boolean }) {
  const steps = useStepDone();
  const clock = useClock();
  const [asking, setAsking] = useState(false);
  const id = { kind: 'prepare', code: step.code } as const;
  const label = lowerFirst(prepTitle(step));
  const press = () => {
    if (checked) steps.revoke(id, label);
    else if (steps.pendingOf(id)) setAsking(true);
    else steps.done(id, label);
  };
  const finish = (hoursAgo: number) => {
    setAsking(false);
    steps.done(id, label, hoursAgo === 0 ? {} : { at: clock() - hoursAgo * MS_PER_HOUR });
  };
  return (
    <>
      <TickRow checked={checked} onToggle={press}>
        {prepTitle(step)}
        {step.hours > 0 && <>, {say`then dry ${formatDuration(step.hours)}`}</>}
        <small>{sentences(prepWhy(step.code), step.tools.length > 0 && say`With: ${toolList(step.tools)}.`)}</small>
      </TickRow>
      {asking && <WhenDone onDone={finish} onNot={() => setAsking(false)} />}
    </>
  );
}
