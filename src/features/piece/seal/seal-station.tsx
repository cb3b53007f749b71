'use client';
import { Button } from '@mui/material';
import dynamic from 'next/dynamic';
import { SEALERS, SHEENS } from '@/core/craft';
import { isSealed } from '@/core/stations';
import { StationCautions, StationTools } from '../station-cautions';
import { SEALER_WORDS, SHEEN_WORDS, SPRAY_WORDS, sealerReasons, remarks, counted } from '@/words';
import { formatDuration } from '@/words/figures';
import { stageOptics } from '@/core/render';
import {
  Answer,
  Because,
  ChoiceField,
  Fields,
  FigureField,
  NextRow,
  Note,
  Part,
  Wide,
  WetnessMark,
  clockTime,
  dayName,
  span,
  useClock,
  useUnits,
  type ReasonLine,
  dated,
  TextButton,
  Marked,
} from '@/ui';
import { LandingDrawing } from '../drawings/landing';
import { DisagreementNotes } from '../disagreement-notes';
import { MissingList } from '../missing-list';
import { UseField } from '../use-field';
import { FaultsLink } from '../faults-link';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { LeaveIt, StepDone } from '../step-done';
import { useStepDone } from '../use-step-done';
import { DatesPart } from './dates-part';
import css from './seal.module.css';
import { say } from '@/words/say';

const SheensPart = dynamic(() => import('./sheens-part').then((file) => file.SheensPart), { ssr: false });

export function SealStation() {
  const { piece, plan, change, now } = useOpenPiece();
  const units = useUnits();
  const clock = useClock();
  const steps = useStepDone();
  const { seal: choice } = piece;
  const planned = plan.seal.sealing;
  const times = plan.seal.clock;
  const coatsOn = choice.coatsAt.length;
  const bare = planned?.sealer.bare;
  const sealed = isSealed(piece, plan);
  const suited = plan.seal.choices.filter((one) => one.suits);
  const unsuited = plan.seal.choices.filter((one) => !one.suits);

  const reasons: ReasonLine[] = [];
  if (planned && plan.surface.blank && !bare) {
    reasons.push({
      figure: units.area(plan.surface.faceMm2),
      text:
        plan.surface.faceMm2 > plan.surface.blank.areaMm2 + 1
          ? say`the whole face, and its bare sides`
          : say`the whole face`,
    });
    if (plan.method.school?.glossClears && choice.sheen === null)
      reasons.push({ figure: say`gloss`, text: say`clears the paper that the peel leaves; two coats of it` });
    reasons.push({
      figure: units.volume(planned.volumeMlPerCoat),
      text: say`each coat, ${units.film(planned.sealer.filmUm)} wet; ${units.coverage(planned.bottleCoversM2)}`,
    });
    reasons.push({
      figure: counted(planned.coats, 'coat', 'coats'),
      text:
        planned.sealer.coats.min === planned.sealer.coats.max
          ? say`as usual`
          : say`${planned.sealer.coats.min} to ${planned.sealer.coats.max} are usual`,
      overruled: choice.coats !== null,
    });
    reasons.push({ figure: formatDuration(planned.betweenHours), text: say`between coats in this room` });
    reasons.push({
      figure: say`${Math.ceil(planned.fullCureDays)} days`,
      text:
        planned.lightUseDays < planned.fullCureDays
          ? say`until it is fully hard; light use after ${Math.ceil(planned.lightUseDays)}`
          : say`until it is fully hard`,
    });
    reasons.push({ figure: SHEEN_WORDS[plan.method.sheen].inText, text: SHEEN_WORDS[plan.method.sheen].effect });
  }
  return (
    <StationLayout
      station="seal"
      act={
        planned &&
        !sealed &&
        (bare ? (
          <LeaveIt
            onLeave={() => change('seal', { finishedAt: clock() }, say`left unsealed`)}
            testId="coat-on"
          >{say`Leave it unsealed`}</LeaveIt>
        ) : (
          <StepDone
            key={coatsOn}
            step={{ kind: 'coat', number: coatsOn + 1 }}
            label={say`coat ${coatsOn + 1}`}
            testId="coat-on"
          >{say`Coat ${coatsOn + 1} of ${planned.coats} is on`}</StepDone>
        ))
      }
      answer={<Answer stop={(planned?.tooCold ?? false) && !bare}>{answer()}</Answer>}
      onward={<NextLink station="keep" quiet={!sealed} />}
      specimen={
        <LandingDrawing
          painted
          optics={stageOptics(sealed ? plan.method.sheen : 'hazy')}
          caption={
            sealed ? (
              <Marked>
                <WetnessMark wetness="sealed" /> {say`Sealed, ${plan.method.sheen}.`}
              </Marked>
            ) : (
              say`${coatsOn} of ${planned?.coats ?? 0} coats on.`
            )
          }
        />
      }
    >
      {(coatsOn > 0 || choice.finishedAt !== null) && (
        <Part title={say`Coats`} folded={say`${coatsOn} on`}>
          {choice.coatsAt.map((at, index) => (
            <Note key={at}>{say`Coat ${index + 1}: ${dated(at, 'EEE d MMM HH:mm')}`}</Note>
          ))}
          <NextRow>
            <TextButton
              onClick={() => steps.revoke({ kind: 'coat', number: coatsOn }, say`coat not on`)}
            >{say`Take the last back`}</TextButton>
          </NextRow>
        </Part>
      )}
      <DatesPart />
      <SheensPart />
      <Because reasons={reasons} />
      {planned?.sealer.sprayed && <Note>{SPRAY_WORDS}</Note>}
      <Part title={say`Change`}>
        <Fields>
          <Wide>
            <UseField at="seal" testId="seal-use" />
          </Wide>
          <ChoiceField
            label={say`Sheen`}
            value={plan.method.sheen}
            options={SHEENS.map((id) => ({ id, name: SHEEN_WORDS[id].name }))}
            onCommit={(sheen) => change('seal', { sheen, sealer: null }, say`sheen`)}
          />
          <FigureField
            label={say`Coats`}
            value={choice.coats}
            whole
            min={1}
            max={20}
            computed={`${planned?.sealer.coats.min ?? ''}`}
            onCommit={(coats) => change('seal', { coats }, say`number of coats`)}
            testId="coats"
          />
        </Fields>
      </Part>
      <Part title={say`Sealers that suit`} folded={planned ? SEALER_WORDS[planned.sealer.id].inText : say`none chosen`}>
        <ul className={css.sealers}>
          {suited.map(({ sealer, ...offer }) => (
            <li key={sealer.id} data-chosen={sealer.id === planned?.sealer.id}>
              <div>
                <b>{SEALER_WORDS[sealer.id].name}</b>
                <p>{sealerReasons({ sealer, ...offer }, plan.method.sheen)}</p>
              </div>
              <Button
                size="small"
                variant={sealer.id === planned?.sealer.id ? 'contained' : 'outlined'}
                aria-pressed={sealer.id === planned?.sealer.id}
                aria-label={`${sealer.id === planned?.sealer.id ? say`Chosen` : say`Choose`}: ${SEALER_WORDS[sealer.id].name}`}
                onClick={() => change('seal', { sealer: sealer.id, coats: null }, SEALER_WORDS[sealer.id].inText)}
              >
                {sealer.id === planned?.sealer.id ? say`Chosen` : say`Choose`}
              </Button>
            </li>
          ))}
        </ul>
        <details className={css.others}>
          <summary>{say`Not for this piece: ${unsuited.length} of ${SEALERS.length}`}</summary>
          <ul>
            {unsuited.map(({ sealer, ...offer }) => (
              <li key={sealer.id}>
                {SEALER_WORDS[sealer.id].name}: {sealerReasons({ sealer, ...offer }, plan.method.sheen)}
              </li>
            ))}
          </ul>
        </details>
      </Part>
      {!bare && <StationTools station="seal" />}
      <DisagreementNotes at="seal" />
      <MissingList station="seal" />
      <StationCautions station="seal" />
      <FaultsLink />
    </StationLayout>
  );

  function answer(): string {
    if (!planned)
      return suited.length === 0
        ? say`No sealer suits this use in this sheen: change one of them.`
        : say`The sealer follows from the blank, the use and the sheen.`;
    if (bare && plan.method.school?.sealsItself) return say`No sealer: the decal lies under its own tape.`;
    if (bare) return sealed ? say`Left unsealed, as it should be.` : say`No sealer needed here.`;
    if (planned.tooCold && !bare)
      return say`Too cold to seal: below ${units.temperature(planned.sealer.leastC ?? 0)} it does not harden. Warm the room first.`;
    if (sealed && times?.fullCureAt)
      return say`Sealed. Light use ${dayName(times.lightUseAt ?? times.fullCureAt, now)}, fully hard ${dayName(times.fullCureAt, now)}.`;
    if (times?.nextCoatAt)
      return now < times.nextCoatAt
        ? say`Next coat ${clockTime(times.nextCoatAt, now)}, ${span(times.nextCoatAt - now)}.`
        : say`Put coat ${coatsOn + 1} of ${planned.coats} on now.`;
    return `${remarks(
      say`${counted(planned.coats, 'coat', 'coats')} of ${SEALER_WORDS[planned.sealer.id].inText}`,
      say`${units.volume(planned.volumeMlPerCoat)} each`,
      planned.coats > 1 && say`${formatDuration(planned.betweenHours)} apart`,
    )}.`;
  }
}
