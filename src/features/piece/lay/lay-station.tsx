'use client';
import { Button } from '@mui/material';
import { PAPER_ABSORBENCY } from '@/core/coat';
import { nominalFilmUm, recipeStepOf, type CoatedFace } from '@/core/craft';
import { formatVolume } from '@/core/measure';
import { stageOptics } from '@/core/render';
import {
  Answer,
  Because,
  ChoiceField,
  Fields,
  FilmField,
  LengthField,
  NextRow,
  Note,
  Part,
  Steps,
  VolumeField,
  clockTime,
  useUnits,
  type ReasonLine,
  TextButton,
} from '@/ui';
import { LandingDrawing } from '../drawings/landing';
import { DisagreementNotes } from '../disagreement-notes';
import { MissingList } from '../missing-list';
import { FaultsLink } from '../faults-link';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { StationCautions, StationTools } from '../station-cautions';
import { HAND_STEPS, SCHOOL_NAMES, SURFACE_WORDS, layingWords } from '@/words';
import { useTimers } from '@/features/timers';
import { useStepDone } from '../use-step-done';
import { BottlePart } from './bottle-part';
import { GuideOverlay } from './guide-overlay';

type FaceChoice = 'paper' | 'surface' | 'both';
const FACES: { id: FaceChoice; name: string }[] = [
  { id: 'paper', name: 'Paper' },
  { id: 'surface', name: 'Surface' },
  { id: 'both', name: 'Both' },
];
const faceChoice = (faces: readonly CoatedFace[]): FaceChoice => (faces.length === 2 ? 'both' : faces[0]!);
const facesOf = (choice: FaceChoice): CoatedFace[] => (choice === 'both' ? ['paper', 'surface'] : [choice]);

export function LayStation() {
  const { piece, plan, change, now } = useOpenPiece();
  const units = useUnits();
  const steps = useStepDone();
  const { start } = useTimers();
  const { lay } = piece;
  const planned = plan.lay.laying;
  const binder = plan.method.binder;
  const laidAt = lay.laidAt;
  /** Tape, heat or pencil: nothing is poured. */
  const dry = binder?.wet === false;

  const reasons: ReasonLine[] = [];
  if (planned && binder && plan.surface.record && !dry) {
    for (const face of planned.coat.faces)
      reasons.push({
        figure: units.area(face.areaMm2),
        text: `${face.face === 'paper' ? 'of paper' : binder.wholeSurface ? 'of surface, the whole face' : `of surface, ${units.length(lay.extendMm)} past the print`}: ${units.volume(face.volumeMl)}`,
      });
    reasons.push({
      figure: units.film(planned.filmUm),
      text: 'wet film on each face',
      overruled: lay.filmUm !== null,
    });
    if (planned.coat.bed)
      reasons.push({
        figure: units.volume(planned.coat.bed.volumeMl),
        text: `first coat of ${units.film(planned.coat.bed.filmUm)}, dried before the print`,
      });
    if (plan.surface.ground && planned.coat.faces.some(({ face }) => face === 'surface'))
      reasons.push({
        figure: `× ${Number((binder.bedCoat ? 1 : plan.surface.ground.absorbency).toFixed(2))}`,
        text: binder.bedCoat
          ? 'on the dried bed, which drinks no more'
          : `${SURFACE_WORDS[plan.surface.record.id].inText} drinks${plan.surface.ground === plan.surface.record ? '' : ', under its paint'}`,
      });
    if (planned.coat.faces.some(({ face }) => face === 'paper'))
      reasons.push({ figure: `× ${PAPER_ABSORBENCY}`, text: 'paper drinks, whatever it is laid on' });
    reasons.push({ figure: `+ ${Math.round(planned.coat.lossShare * 100)} %`, text: 'stays in brush and pot' });
    reasons.push({
      figure: `${Math.floor(planned.openMinutes)} min`,
      text: `until it skins at ${units.temperature(planned.room.temperatureC)} and ${Math.round(planned.room.humidityPercent)} %; spreading takes about ${Math.max(1, Math.round(planned.spreadMinutes))} min`,
    });
  }
  return (
    <StationLayout
      specimen={
        <LandingDrawing
          optics={laidAt === null ? null : stageOptics('laid')}
          caption={
            planned
              ? `Dashed: where the coat goes. Solid: the print, with its centre lines to crease or mark by. Scrape outwards in the order of the numbers.`
              : 'Where the print will lie.'
          }
          overlay={(scale) => <GuideOverlay {...scale} />}
        />
      }
    >
      <Answer>{answer()}</Answer>
      {planned && laidAt === null && (
        <NextRow>
          <Button
            variant="contained"
            size="large"
            onClick={() => steps.done({ kind: 'lay' }, 'laid')}
            data-testid="laid-now"
          >
            Laid now: start the clock
          </Button>
          {!dry && (
            <Button
              variant="outlined"
              size="large"
              onClick={() =>
                start({
                  label: `${piece.name}: lay before it skins`,
                  minutes: Math.floor(planned.openMinutes),
                  pieceId: piece.id,
                })
              }
              data-testid="first-stroke"
            >
              First stroke
            </Button>
          )}
        </NextRow>
      )}
      {laidAt !== null && (
        <NextRow>
          <Note>Laid {clockTime(laidAt, now)}.</Note>
          <TextButton onClick={() => steps.revoke({ kind: 'lay' }, 'not laid')}>It is not laid</TextButton>
        </NextRow>
      )}
      <Because reasons={reasons} />
      {planned && binder && (
        <Part title="Lay">
          <Steps>
            {dry
              ? (plan.method.school ? (recipeStepOf(plan.method.school, 'lay')?.does ?? []) : []).map((step) => (
                  <li key={step}>
                    <span>{HAND_STEPS[step]}</span>
                  </li>
                ))
              : planned.steps.map((step) => (
                  <li key={step.code}>
                    <span>{layingWords(step, binder, units)}</span>
                  </li>
                ))}
          </Steps>
          <StationTools station="lay" />
        </Part>
      )}
      {planned && binder && !dry && (
        <Part title="Change">
          <Fields>
            <ChoiceField
              label="Coat"
              value={faceChoice(lay.faces ?? binder.faces)}
              options={FACES}
              onCommit={(choice) => change('lay', { faces: facesOf(choice) }, 'coated faces')}
            />
            {!binder.wholeSurface && (
              <LengthField
                small
                label="Coat goes past the print by"
                value={lay.extendMm}
                maxMm={100}
                onCommit={(value) => value !== null && change('lay', { extendMm: value }, 'coat past the print')}
              />
            )}
            <FilmField
              label="Wet film, each face"
              value={lay.filmUm}
              min={20}
              max={2000}
              computed={units.film(nominalFilmUm(binder))}
              onCommit={(filmUm) => change('lay', { filmUm }, 'wet film')}
              hint={
                lay.filmUm !== null
                  ? `Fobbet says ${units.film(nominalFilmUm(binder))}; clear to go back`
                  : 'from the label, if it says so'
              }
              testId="film"
            />
            <VolumeField
              label="Really used"
              value={lay.mediumUsedMl}
              clearable
              onCommit={(mediumUsedMl) => change('lay', { mediumUsedMl }, 'medium used')}
              hint="Fobbet learns from it"
            />
          </Fields>
        </Part>
      )}
      <BottlePart />
      <DisagreementNotes at="lay" />
      <MissingList station="lay" />
      <StationCautions station="lay" />
      <NextRow>
        <NextLink station="cure" quiet={laidAt === null} />
        <FaultsLink />
      </NextRow>
    </StationLayout>
  );

  function answer(): string {
    if (!planned) return 'The amount follows from the print, the surface and the method.';
    if (laidAt !== null) return dry ? 'That is done: on to the next station.' : 'The print is laid and drying.';
    if (dry) return `Nothing to pour${plan.method.school ? `: ${SCHOOL_NAMES[plan.method.school.id].inText}` : ''}.`;
    return `Pour ${formatVolume(planned.coat.totalMl, units.system)} and lay within ${Math.floor(planned.openMinutes)} min.`;
  }
}
