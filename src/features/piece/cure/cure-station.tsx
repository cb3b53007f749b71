'use client';
import { Button } from '@mui/material';
import { useState } from 'react';
import { COLDEST_FILM_C, DAMPEST_PERCENT, vapourPressureDeficitKpa, type WaitRule, type Wetness } from '@/core/cure';
import { formatDuration } from '@/words/figures';
import { stageOptics } from '@/core/render';
import type { PiecePlan } from '@/core/stations';
import { StationCautions } from '../station-cautions';
import { BINDER_WORDS, SIGNS_OF_TIME, SURFACE_WORDS, remarks, sentences } from '@/words';
import { useSettings } from '@/features/shell';
import { askToNotify, canNotify } from '@/features/timers';
import type { Settings } from '@/records';
import {
  Answer,
  Because,
  ChoiceField,
  Fields,
  FigureField,
  NextRow,
  Note,
  Part,
  PercentField,
  TemperatureField,
  WetnessMark,
  clockTime,
  afterTime,
  span,
  useUnits,
  type ReasonLine,
  Marked,
} from '@/ui';
import { LandingDrawing } from '../drawings/landing';
import { DisagreementNotes } from '../disagreement-notes';
import { MissingList } from '../missing-list';
import { FaultsLink } from '../faults-link';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { StepDone } from '../step-done';
import { CureScale } from './cure-scale';
import { DryingPlot } from './drying-plot';
import { OvenPart } from './oven-part';
import { RoomFields } from './room-part';
import { SignsPart } from './signs-part';
import { say } from '@/words/say';

const RULES: Readonly<Record<WaitRule, string>> = {
  sign: say`By the sign: rub once it is evenly opaque, no patch feels cool, and a corner will not lift.`,
  clock: say`By the clock: the full time, always.`,
  'clock-floor': say`By the clock: this binder allows no shortcut, however warm and dry the room.`,
  label: say`By your own figure.`,
  oven: say`By the oven: when its time is over and the piece has cooled.`,
  soak: say`A bath: as long as it is, whatever the room is like.`,
  cool: say`It cools to the hand before it is touched again.`,
  open: say`It dries in open air.`,
  none: '',
};

const FIXED_REASONS = {
  soak: say`in the bath: neither room nor fan changes it`,
  cool: say`until it is cool to the hand`,
  none: '',
} as const;

export function CureStation() {
  const { piece, plan, change, now } = useOpenPiece();
  const { change: changeSettings } = useSettings();
  const units = useUnits();
  const { cure } = piece;
  const wait = plan.cure.wait;
  const times = plan.cure.clock;
  const cold = wait?.warnings.includes('too-cold') ?? false;
  const damp = wait?.warnings.includes('damp') ?? false;
  const rubbing = piece.rub.done.length > 0;
  /** A coat dries under its sheet: room, fan, label and oven have a say. Nothing else minds them. */
  const coated = plan.cure.kind === 'dry' && wait?.rule !== 'open';

  const changeRoom = (patch: Partial<Settings['room']>, label: string) => {
    change('cure', patch, label);
    changeSettings({ room: { temperatureC: cure.temperatureC, humidityPercent: cure.humidityPercent, ...patch } });
  };

  const reasons: ReasonLine[] = [];
  if (wait && plan.method.binder && plan.surface.record) {
    const { min, max } = wait.baseHours;
    if (wait.rule === 'soak' || wait.rule === 'cool' || wait.rule === 'none') {
      if (wait.likelyHours > 0)
        reasons.push({ figure: formatDuration(wait.likelyHours), text: FIXED_REASONS[wait.rule] });
    } else if (wait.rule === 'open') {
      reasons.push({
        figure: formatDuration(wait.baseHours.max),
        text: say`for paint in open air at ${units.temperature(21)} and 50 %`,
      });
      reasons.push({ figure: `× ${wait.factor.total.toFixed(2)}`, text: say`this room` });
    } else if (wait.rule === 'oven')
      reasons.push({
        figure: formatDuration(wait.likelyHours),
        text: say`of the oven’s cycle, heating and cooling included`,
        overruled: true,
      });
    else if (wait.rule === 'label')
      reasons.push({
        figure: formatDuration(wait.likelyHours),
        text: say`from the label or your own log, as it stands`,
        overruled: true,
      });
    else {
      reasons.push({
        figure: min === max ? formatDuration(max) : `${min}–${max} h`,
        text: say`${BINDER_WORDS[plan.method.binder.id].inText} at ${units.temperature(21)} and 50 %`,
      });
      const deficit = vapourPressureDeficitKpa(plan.lay.room);
      reasons.push({
        figure: `× ${wait.factor.room > 99 ? '∞' : wait.factor.room.toFixed(2)}`,
        text: wait.changing
          ? say`the room hour by hour, on average over the likely wait`
          : units.system === 'inch'
            ? say`this room’s air, against ${units.temperature(21)} and 50 %`
            : say`this room: its air can take up ${deficit.toFixed(2)} kPa of water, against 1.24 kPa`,
      });
      reasons.push({
        figure: `× ${wait.factor.surface.toFixed(2)}`,
        text: groundText(plan),
      });
      if (Math.abs(wait.factor.film - 1) > 0.005)
        reasons.push({
          figure: `× ${wait.factor.film.toFixed(2)}`,
          text: say`your film against the usual one`,
          overruled: piece.lay.filmUm !== null,
        });
      if (wait.factor.cover !== 1)
        reasons.push({
          figure: `× ${wait.factor.cover.toFixed(2)}`,
          text: cure.cover === 'weighted' ? say`a weight lies on it` : say`it is covered or stacked`,
        });
      if (Math.abs(wait.signShare - 1) > 0.005)
        reasons.push({
          figure: `× ${wait.signShare.toFixed(2)}`,
          text: say`by what you saw and felt on it`,
          overruled: true,
        });
      if (wait.factor.air !== 1)
        reasons.push({ figure: `× ${wait.factor.air.toFixed(2)}`, text: say`a fan moves the air` });
      reasons.push({
        figure: `= × ${wait.factor.total.toFixed(2)}`,
        text: wait.factor.limited ? say`held within 0.4 and 4, where the model can be trusted` : say`together`,
      });
    }
    if (wait.floorHours > 0) reasons.push({ figure: `≥ ${wait.floorHours} h`, text: say`floor of this binder` });
  }
  return (
    <StationLayout
      station="cure"
      act={
        wait &&
        !times && (
          <StepDone
            step={{ kind: 'lay' }}
            label={say`laid`}
            testId="laid-now"
          >{say`Laid now: start the clock`}</StepDone>
        )
      }
      answer={<Answer stop={cold}>{answer()}</Answer>}
      onward={<NextLink station="rub" quiet={!times || now < times.readyAt} />}
      specimen={
        <LandingDrawing
          optics={stageOptics('laid')}
          caption={
            times ? (
              <Marked>
                <WetnessMark wetness={times.wetness} /> {UNDER_PAPER[times.wetness]}
              </Marked>
            ) : (
              say`The print under its paper, drying.`
            )
          }
        />
      }
    >
      {wait && wait.safeHours > 0 && (
        <Note>
          {(wait.rule === 'sign' || !coated) && plan.method.school?.sign
            ? SIGNS_OF_TIME[plan.method.school.sign]
            : RULES[wait.rule]}
        </Note>
      )}
      {wait && wait.safeHours > 0 && <CureScale wait={wait} times={times} now={now} />}
      {wait && coated && wait.safeHours > 0.5 && (
        <DryingPlot wait={wait} times={times} laidAt={piece.lay.laidAt} now={now} />
      )}
      {times && !rubbing && now < times.readyAt && <NotifyButton />}
      {times && !rubbing && wait && coated && wait.rule !== 'label' && wait.rule !== 'oven' && <SignsPart />}
      <Because reasons={reasons} />
      {(coated || wait?.rule === 'open' || plan.cure.kind === null || plan.cure.kind === 'window') && (
        <Part title={say`Change`}>
          <Fields>
            {cure.through === 'typed' && (
              <TemperatureField
                label={say`Room temperature`}
                value={cure.temperatureC}
                onCommit={(value) => value !== null && changeRoom({ temperatureC: value }, say`room temperature`)}
                testId="temperature"
              />
            )}
            {cure.through === 'typed' && (
              <PercentField
                label={say`Relative humidity`}
                value={cure.humidityPercent}
                onCommit={(value) => value !== null && changeRoom({ humidityPercent: value }, 'humidity')}
                testId="humidity"
              />
            )}
            <ChoiceField
              label={say`It lies`}
              value={cure.cover}
              options={[
                { id: 'open', name: say`Open` },
                { id: 'weighted', name: say`Weighted` },
                { id: 'covered', name: say`Covered` },
              ]}
              onCommit={(cover) => change('cure', { cover }, say`how it lies`)}
            />
            <ChoiceField
              label={say`Air`}
              value={cure.air}
              options={[
                { id: 'still', name: say`Still` },
                { id: 'fan', name: say`Fan` },
              ]}
              onCommit={(air) => change('cure', { air }, say`air`)}
            />
            {wait && wait.floorHours === 0 && plan.cure.kind !== 'window' && wait.safeHours > 0 && (
              <ChoiceField
                label={say`Wait`}
                value={cure.school}
                options={[
                  { id: 'sign', name: say`By the sign` },
                  { id: 'clock', name: say`By the clock` },
                ]}
                onCommit={(school) => change('cure', { school }, say`rule of waiting`)}
              />
            )}
            {coated && (
              <FigureField
                label={say`Hours on the label`}
                value={cure.labelHours}
                unit="h"
                min={0.1}
                max={2000}
                computed={say`as computed`}
                onCommit={(labelHours) => change('cure', { labelHours }, say`label hours`)}
                hint={
                  cure.labelHours !== null ? say`clear to go back to Fobbet’s figure` : say`overrules the computed time`
                }
                testId="label-hours"
              />
            )}
          </Fields>
          <RoomFields />
        </Part>
      )}
      {wait && coated && plan.cure.ovens.length > 0 && wait.safeHours > 1 && <OvenPart />}
      <DisagreementNotes at="cure" />
      <MissingList station="cure" />
      <StationCautions station="cure" />
      <FaultsLink />
    </StationLayout>
  );

  function answer(): string {
    if (!wait) return say`The wait follows from the method and the room.`;
    if (cold) return say`Do not lay or rub below ${units.temperature(COLDEST_FILM_C)}: the film may never form.`;
    if (rubbing) return say`Cured: rubbing has begun.`;
    if (wait.safeHours === 0) return say`No waiting: go on at once.`;
    if (plan.cure.kind === 'soak') return soakAnswer(wait.likelyHours);
    if (plan.cure.kind === 'window') return windowAnswer(wait.earliestHours, wait.safeHours);
    // In damp air the model knows only the least.
    const isAtLeast = damp && coated;
    if (!times)
      return `${remarks(
        isAtLeast
          ? say`Wait at least ${formatDuration(wait.likelyHours)} after laying`
          : say`Wait ${formatDuration(wait.likelyHours)} after laying`,
        wait.safeHours > wait.likelyHours && say`${formatDuration(wait.safeHours)} to be safe`,
      )}.`;
    if (now >= times.safeAt) return say`The full time is over: rub.`;
    if (now >= times.likelyAt) return say`Start rubbing now, if the sign is right.`;
    if (now >= times.readyAt) return say`By its signs it is dry: start rubbing now.`;
    if (isAtLeast)
      return say`The air is above ${DAMPEST_PERCENT} %: it takes at least until ${clockTime(times.likelyAt, now)}.`;
    return say`Start rubbing ${afterTime(times.likelyAt, now)}, ${span(times.likelyAt - now)}.`;
  }
}

const UNDER_PAPER: Readonly<Record<Wetness, string>> = {
  wet: say`wet under its paper`,
  tacky: say`tacky under its paper`,
  dry: say`dry under its paper, not cured`,
  cured: say`cured under its paper`,
  sealed: say`sealed`,
};

/** What the coat lies on: the bare stuff, or what has closed it. */
function groundText({ surface: { record, ground }, method: { binder } }: PiecePlan): string {
  if (!record) return '';
  if (binder?.bedCoat) return say`on its own dried bed, whatever lies under it`;
  const name = SURFACE_WORDS[record.id].inText;
  return ground === record ? name : say`${name}, closed by its paint`;
}

/** A bath is neither shortened nor lengthened. */
const soakAnswer = (hours: number): string =>
  say`Soak it ${formatDuration(hours)} in warm water, then take the paper off.`;

/** A window rather than a wait: before it the picture comes along, after it the paper holds. */
const windowAnswer = (fromHours: number, toHours: number): string =>
  say`Peel ${formatDuration(fromHours)} to ${formatDuration(toHours)} after laying: earlier the picture comes
    along, later the paper holds.`;

/** Offers the browser's own notification; the page tells in any case while it is open. */
function NotifyButton() {
  const [permission, setPermission] = useState(canNotify);
  if (permission === 'none') return null;
  if (permission === 'granted')
    return <Note>{say`The browser will tell you when it is time, as long as Fobbet is open in some window.`}</Note>;
  if (permission === 'denied')
    return (
      <Note>
        {sentences(
          say`Notifications are off for this page.`,
          say`Fobbet shows it under Today; a calendar file from the piece’s menu rings on its own.`,
        )}
      </Note>
    );
  return (
    <NextRow>
      <Button
        variant="outlined"
        size="small"
        onClick={() => void askToNotify().then(setPermission)}
      >{say`Tell me when it is time`}</Button>
    </NextRow>
  );
}
