'use client';
import { Button } from '@mui/material';
import { Fragment, useId, useState } from 'react';
import { StationCautions, StationTools } from '../station-cautions';
import {
  BINDER_WORDS,
  DECISION_WORDS,
  HAND_STEPS,
  OFF_WORDS,
  REMOVAL_TITLES,
  SIGN_WHILE_RUBBING,
  WATER_WORDS,
  lowerFirst,
  stepTitle,
  counted,
  sentences,
} from '@/words';
import { formatDuration } from '@/words/figures';
import { runSteps } from '@/core/plan';
import { isRubbed, passDryAt } from '@/core/stations';
import {
  Answer,
  Because,
  Fields,
  FigureField,
  NextRow,
  Note,
  Part,
  Steps,
  TickRow,
  afterTime,
  clockTime,
  span,
  useClock,
  type ReasonLine,
  dated,
  TextButton,
} from '@/ui';
import { LandingDrawing, opticsNow } from '../drawings/landing';
import { InspectPart } from '../inspect';
import { MissingList } from '../missing-list';
import { FaultsLink } from '../faults-link';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { StepDone } from '../step-done';
import { useStepDone } from '../use-step-done';
import { WorkOverlay } from './work-overlay';
import { WorkPart } from './work-part';
import css from './rub.module.css';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

export function RubStation() {
  const { piece, plan, change, now } = useOpenPiece();
  const clock = useClock();
  const steps = useStepDone();
  const { rub } = piece;
  const planned = plan.rub.rubbing;
  const { map } = plan.rub;
  const id = useId();
  const done = rub.done.length;
  const total = planned?.passes.length ?? 0;
  const next = planned?.passes[done];
  const school = plan.method.school;
  /** What its recipe has here besides passes: taking the sheet off, sticking it on. */
  const others = runSteps(piece, plan).filter(({ station, step }) => station === 'rub' && step.kind !== 'pass');
  const open = others.find(({ doneAt }) => doneAt === null);
  const dryAt = passDryAt(piece, plan);
  const early = plan.cure.clock !== null && done === 0 && now < plan.cure.clock.readyAt;
  const finished = isRubbed(piece, plan);
  /** What the last photo asks for, where it is of the piece as it stands. */
  const { verdict } = plan.rub;
  const isEndedByPhoto = finished && rub.finishedAt === null && verdict !== null;

  const untick = () => steps.revoke({ kind: 'pass', number: done }, say`pass ${done} not done`);

  const reasons: ReasonLine[] = [];
  if (planned && plan.method.binder && plan.surface.print && total > 0) {
    reasons.push({
      figure: `${planned.passes.length}`,
      text: usualWords(planned.usual, BINDER_WORDS[plan.method.binder.id].inText),
      overruled: rub.passes !== null,
    });
    if (planned.extraForPaper > 0)
      reasons.push({ figure: `+ ${planned.extraForPaper}`, text: say`for the heavier paper` });
    reasons.push({
      figure: say`${planned.minutesTotal} min`,
      text: say`of rubbing in all; the first pass takes longest`,
    });
    reasons.push({
      figure: formatDuration(planned.betweenMinutes / 60),
      text: say`of drying between passes: paper and ground dry, not the binder; wet paper is invisible`,
    });
    reasons.push({
      figure: formatDuration(planned.dryOutMinutes / 60),
      text: say`after the last pass, before it is sanded, painted or sealed: the piece itself is damp`,
    });
    const sections = map?.sections.length ?? 1;
    reasons.push({
      figure: `${sections}`,
      text:
        sections === 1 ? say`section: damp it whole` : say`sections, damped one after the other, from a light corner`,
    });
    const breaks = map?.sections.filter(({ breakBefore }) => breakBefore).length ?? 0;
    if (breaks > 0)
      reasons.push({
        figure: `${breaks}`,
        text: breaks === 1 ? say`break for the fingertips` : say`breaks for the fingertips`,
      });
    if (map && map.sittings > 1)
      reasons.push({ figure: `${map.sittings}`, text: say`sittings: more than an hour at a time is too long` });
  }

  return (
    <StationLayout
      station="rub"
      act={act()}
      answer={<Answer stop={early}>{answer()}</Answer>}
      onward={<NextLink station="mend" quiet={!finished} />}
      specimen={
        <LandingDrawing
          optics={opticsNow(piece, total)}
          caption={
            done === 0
              ? say`Sections by their numbers, from the ring; hatched: haze stays; dotted: feel there; red rim: toner goes first.`
              : say`After ${done} of ${total} passes, dry: what is milky is paper.`
          }
          overlay={() => (map && !finished ? <WorkOverlay map={map} id={id} /> : null)}
        />
      }
    >
      <Because reasons={reasons} />
      {school && school.removal !== 'rub' && (
        <Part title={REMOVAL_TITLES[school.removal]}>
          <Steps>
            {school.recipe
              .filter(({ step }) => step !== 'lay' && step !== 'bed')
              .flatMap(({ does }) => does)
              .map((hand) => (
                <li key={hand}>
                  <span>{HAND_STEPS[hand]}</span>
                </li>
              ))}
          </Steps>
          {others.map(({ id, step, title, doneAt, waitHours }) => (
            <TickRow
              key={id}
              checked={doneAt !== null}
              disabled={doneAt === null && (step !== open?.step || steps.pendingOf(step) !== null)}
              onToggle={() =>
                doneAt === null ? steps.done(step, lowerFirst(stepTitle(title))) : steps.revoke(step, say`not off yet`)
              }
            >
              {step.kind === 'stick' ? stepTitle(title) : OFF_WORDS[school.removal]}
              {waitHours > 0 && <small>{say`then ${formatDuration(waitHours)} to dry`}</small>}
            </TickRow>
          ))}
        </Part>
      )}
      {piece.lay.laidAt !== null && school?.removal === 'rub' && <InspectPart />}
      {planned && total > 0 && (
        <Part title={say`Passes`}>
          {planned.passes.map((pass, index) => (
            <Fragment key={pass.number}>
              <TickRow checked={index < done} disabled={index !== done - 1} onToggle={untick}>
                {say`Pass ${pass.number}: damp ${pass.dampenMinutes} min, rub ${pass.minutes} min`}
                <small>
                  {rub.done[index]
                    ? say`done ${dated(rub.done[index].at, 'EEE HH:mm')}, ${rub.done[index].minutes} min`
                    : pass.number === total
                      ? say`then dry ${formatDuration(pass.dryMinutes / 60)} before it is mended`
                      : say`then dry ${formatDuration(pass.dryMinutes / 60)} and look for milky patches`}
                </small>
              </TickRow>
            </Fragment>
          ))}
          {done > 0 && !finished && (
            <NextRow>
              <Button
                variant="text"
                size="small"
                onClick={() => change('rub', { finishedAt: clock() }, say`enough rubbing`)}
              >{say`The wet test clears it: enough`}</Button>
            </NextRow>
          )}
          {isEndedByPhoto && (
            <NextRow>
              <TextButton
                onClick={() => change('rub', { overruledAt: verdict.at, passes: done + 1 }, say`rub on`)}
                testId="rub-on"
              >{say`Rub one more pass all the same`}</TextButton>
            </NextRow>
          )}
          {finished && done < total && (
            <NextRow>
              <TextButton
                onClick={() => change('rub', { finishedAt: null }, say`rub on`)}
              >{say`Rub once more after all`}</TextButton>
            </NextRow>
          )}
          <Note>
            {sentences(
              WATER_WORDS[planned.water].rule,
              say`Brush the rolls aside.`,
              say`Staying on one spot rubs a hole.`,
            )}
          </Note>
          <details className={css.signs}>
            <summary>{say`What the paper says`}</summary>
            <ul>
              {SIGN_WHILE_RUBBING.map((sign) => (
                <li key={sign}>{sign}</li>
              ))}
            </ul>
          </details>
          <StationTools station="rub" />
        </Part>
      )}
      {map && school && !finished && <WorkPart map={map} removal={school.removal} later={done > 0} />}
      {planned && total > 0 && (
        <Part title={say`Change`} folded={counted(total, 'pass', 'passes')}>
          <Fields>
            <FigureField
              label={say`Passes`}
              value={rub.passes}
              whole
              min={1}
              max={20}
              computed={`${planned.usual.max}`}
              onCommit={(passes) => change('rub', { passes }, say`number of passes`)}
              hint={
                rub.passes !== null
                  ? say`Fobbet says ${planned.usual.max}; clear to go back`
                  : say`as many as the haze asks for`
              }
              testId="passes"
            />
          </Fields>
        </Part>
      )}
      <MissingList station="rub" />
      <StationCautions station="rub" />
      <FaultsLink />
    </StationLayout>
  );

  function act() {
    if (next && !finished && total > 0)
      return <PassDone key={next.number} number={next.number} planned={next.minutes} />;
    if (!open || !school || school.removal === 'rub') return null;
    return (
      <StepDone
        step={open.step}
        label={lowerFirst(stepTitle(open.title))}
        testId={open.step.kind === 'stick' ? 'stuck-on' : 'paper-off'}
      >
        {open.step.kind === 'stick' ? say`It is stuck on` : OFF_WORDS[school.removal]}
      </StepDone>
    );
  }

  function finishedAnswer(): string {
    if (school?.removal === 'none') return say`Nothing to take off: the paint is dry.`;
    if (school?.sealsItself) return say`It is on. A decal needs no mending and no sealer.`;
    const waits =
      dryAt !== null && now < dryAt ? say`Let it dry until ${clockTime(dryAt, now)}, then mend.` : say`Mend it next.`;
    if (isEndedByPhoto) return sentences(DECISION_WORDS[verdict.decision], waits);
    return sentences(school?.removal === 'rub' ? say`Rubbed clear.` : say`The picture is free.`, waits);
  }

  function offAnswer(): string {
    if (school?.removal === 'none') return say`Nothing to take off: let the paint dry.`;
    if (open?.step.kind === 'stick' && dryAt !== null && now < dryAt)
      return say`Let it dry until ${clockTime(dryAt, now)}, ${span(dryAt - now)}: it must be tacky before it is stuck on.`;
    return open ? `${stepTitle(open.title)}.` : say`Take the sheet off.`;
  }

  function answer(): string {
    if (!planned) return say`Passes follow from the binder, the paper and the size.`;
    if (finished) return finishedAnswer();
    if (early && plan.cure.clock)
      return sentences(
        say`Not yet: start ${afterTime(plan.cure.clock.likelyAt, now)}.`,
        total > 0 ? say`Rubbed wet, the toner comes off.` : say`Too soon, the picture stays behind.`,
      );
    if (total === 0) return offAnswer();
    if (done === 0)
      return piece.lay.laidAt === null
        ? say`${total} passes, about ${planned.minutesTotal} min of rubbing.`
        : say`Rub the first of ${total} passes: about ${next?.minutes} min.`;
    if (verdict !== null) return DECISION_WORDS[verdict.decision];
    if (dryAt !== null && now < dryAt)
      return say`Let it dry until ${clockTime(dryAt, now)}, ${span(dryAt - now)}, then look for haze.`;
    return say`Look for milky patches, then rub pass ${done + 1} of ${total}.`;
  }
}

const usualWords = ({ min, max }: { min: number; max: number }, binder: string): string =>
  min === max ? say`passes; ${min} are usual for ${binder}` : say`passes; ${min} to ${max} are usual for ${binder}`;

/** A pass, with the minutes that somebody measured; those that are proposed teach nothing of the person's pace. */
function PassDone({ number, planned }: { number: number; planned: number }) {
  const [text, setText] = useState<string | null>(null);
  const typed = text === null ? NaN : Math.round(Number(text));
  const measured = typed >= 1 && typed <= MOST_MINUTES ? typed : null;
  return (
    <StepDone
      step={{ kind: 'pass', number }}
      label={say`pass ${number}`}
      minutes={measured}
      testId="pass-done"
      beside={
        <label className={css.took}>{sayWith`took ${(
          <input
            type="number"
            min={1}
            max={MOST_MINUTES}
            value={text ?? `${planned}`}
            onChange={({ target }) => setText(target.value)}
            onBlur={() => setText(measured === null ? null : `${measured}`)}
          />
        )} min`}</label>
      }
    >{say`Pass ${number} done`}</StepDone>
  );
}
const MOST_MINUTES = 600;
