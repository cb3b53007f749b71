'use client';
import { Button } from '@mui/material';
import { PAPER_ABSORBENCY, layingGuide } from '@/core/coat';
import { nominalFilmUm, recipeStepOf, type CoatedFace } from '@/core/craft';
import { formatVolume } from '@/words/figures';
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
import { HAND_STEPS, SCHOOL_NAMES, SURFACE_WORDS, guideWords, layingWords } from '@/words';
import { useTimers } from '@/features/timers';
import { StepDone } from '../step-done';
import { useStepDone } from '../use-step-done';
import { BottlePart } from './bottle-part';
import { GuideOverlay } from './guide-overlay';
import { say } from '@/words/say';

type FaceChoice = 'paper' | 'surface' | 'both';
const FACES: { id: FaceChoice; name: string }[] = [
  { id: 'paper', name: say`Paper` },
  { id: 'surface', name: say`Surface` },
  { id: 'both', name: say`Both` },
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

  const { blank, print, record } = plan.surface;
  const guide =
    laidAt === null && !dry && blank && print && record ? layingGuide(blank, print.formed.landed, record) : null;

  const reasons: ReasonLine[] = [];
  if (planned && binder && plan.surface.record && !dry) {
    const ofSurface = planned.coat.wholeFace
      ? say`of surface, the whole face`
      : say`of surface, ${units.length(lay.extendMm)} past the print`;
    for (const face of planned.coat.faces)
      reasons.push({
        figure: units.area(face.areaMm2),
        text: `${face.face === 'paper' ? say`of paper` : ofSurface}: ${units.volume(face.volumeMl)}`,
      });
    reasons.push({
      figure: units.film(planned.filmUm),
      text: say`wet film on each face`,
      overruled: lay.filmUm !== null,
    });
    if (planned.coat.bed)
      reasons.push({
        figure: units.volume(planned.coat.bed.volumeMl),
        text: say`first coat of ${units.film(planned.coat.bed.filmUm)}, dried before the print`,
      });
    if (plan.surface.ground && planned.coat.faces.some(({ face }) => face === 'surface'))
      reasons.push({
        figure: `× ${Number((binder.bedCoat ? 1 : plan.surface.ground.absorbency).toFixed(2))}`,
        text: binder.bedCoat
          ? say`on the dried bed, which drinks no more`
          : plan.surface.ground === plan.surface.record
            ? say`${SURFACE_WORDS[plan.surface.record.id].inText} drinks`
            : say`${SURFACE_WORDS[plan.surface.record.id].inText} drinks, under its paint`,
      });
    if (planned.coat.faces.some(({ face }) => face === 'paper'))
      reasons.push({ figure: `× ${PAPER_ABSORBENCY}`, text: say`paper drinks, whatever it is laid on` });
    reasons.push({ figure: `+ ${Math.round(planned.coat.lossShare * 100)} %`, text: say`stays in brush and pot` });
    reasons.push({
      figure: say`${Math.floor(planned.openMinutes)} min`,
      text: say`until it skins at ${units.temperature(planned.room.temperatureC)} and
        ${Math.round(planned.room.humidityPercent)} %; spreading takes about
        ${Math.max(1, Math.round(planned.spreadMinutes))} min`,
    });
  }
  return (
    <StationLayout
      station="lay"
      act={
        planned &&
        laidAt === null && (
          <StepDone
            step={{ kind: 'lay' }}
            label={say`laid`}
            testId="laid-now"
            beside={
              !dry && (
                <Button
                  variant="outlined"
                  onClick={() =>
                    start({
                      label: say`${piece.name}: lay before it skins`,
                      minutes: Math.floor(planned.openMinutes),
                      pieceId: piece.id,
                    })
                  }
                  data-testid="first-stroke"
                >{say`First stroke`}</Button>
              )
            }
          >{say`Laid now: start the clock`}</StepDone>
        )
      }
      answer={<Answer>{answer()}</Answer>}
      onward={<NextLink station="cure" quiet={laidAt === null} />}
      specimen={
        <LandingDrawing
          optics={laidAt === null ? null : stageOptics('laid')}
          caption={
            planned
              ? say`Dashed: where the coat goes. Solid: the print, with its centre lines to crease or mark by.
                Scrape outwards in the order of the numbers.`
              : say`Where the print will lie.`
          }
          overlay={(scale) => <GuideOverlay {...scale} />}
          described={guide ? guideWords(guide, units) : []}
        />
      }
    >
      {laidAt !== null && (
        <NextRow>
          <Note>{say`Laid ${clockTime(laidAt, now)}.`}</Note>
          <TextButton onClick={() => steps.revoke({ kind: 'lay' }, say`not laid`)}>{say`It is not laid`}</TextButton>
        </NextRow>
      )}
      <Because reasons={reasons} />
      {planned && binder && (
        <Part title={say`Lay`}>
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
        <Part title={say`Change`}>
          <Fields>
            <ChoiceField
              label={say`Coat`}
              value={faceChoice(lay.faces ?? binder.faces)}
              options={FACES}
              onCommit={(choice) => change('lay', { faces: facesOf(choice) }, say`coated faces`)}
            />
            {planned.coat.canGoPast && (
              <LengthField
                small
                label={say`Coat goes past the print by`}
                value={lay.extendMm}
                maxMm={100}
                onCommit={(value) => value !== null && change('lay', { extendMm: value }, say`coat past the print`)}
              />
            )}
            <FilmField
              label={say`Wet film, each face`}
              value={lay.filmUm}
              min={20}
              max={2000}
              computed={units.film(nominalFilmUm(binder))}
              onCommit={(filmUm) => change('lay', { filmUm }, say`wet film`)}
              hint={
                lay.filmUm !== null
                  ? say`Fobbet says ${units.film(nominalFilmUm(binder))}; clear to go back`
                  : say`from the label, if it says so`
              }
              testId="film"
            />
            <VolumeField
              label={say`Really used`}
              value={lay.mediumUsedMl}
              clearable
              onCommit={(mediumUsedMl) => change('lay', { mediumUsedMl }, say`medium used`)}
              hint={say`Fobbet learns from it`}
            />
          </Fields>
        </Part>
      )}
      <BottlePart />
      <DisagreementNotes at="lay" />
      <MissingList station="lay" />
      <StationCautions station="lay" />
      <FaultsLink />
    </StationLayout>
  );

  function answer(): string {
    if (!planned) return say`The amount follows from the print, the surface and the method.`;
    if (laidAt !== null) return dry ? say`That is done: on to the next station.` : say`The print is laid and drying.`;
    if (dry) return say`Nothing to pour${plan.method.school ? `: ${SCHOOL_NAMES[plan.method.school.id].inText}` : ''}.`;
    return say`Pour ${formatVolume(planned.coat.totalMl, units.system)} and lay within ${Math.floor(planned.openMinutes)} min.`;
  }
}
