'use client';
import { Button } from '@mui/material';
import { format } from 'date-fns';
import { Fragment, useState } from 'react';
import { TOOLS, type Removal } from '@/core/craft';
import { passDryAt } from '@/core/plan';
import type { RectMm } from '@/core/shape';
import { Answer, Because, Cautions, Fields, FigureField, NextRow, Note, Part, Steps, TickRow, afterTime, clockTime, span, useClock, type ReasonLine } from '@/ui';
import { LandingDrawing, opticsNow } from '../drawings/landing';
import { rectOf } from '../drawings/rect-of';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { useStepDone } from '../use-step-done';

const REMOVAL_TITLES: Readonly<Record<Removal, string>> = { rub: '', 'peel-and-roll': 'Peel', peel: 'Peel', lift: 'Lift', soak: 'Soak and stick', none: 'Paint' };

export function RubStation() {
  const { piece, plan, change, now } = useOpenPiece();
  const clock = useClock();
  const steps = useStepDone();
  const { rub } = piece;
  const planned = plan.rub;
  const done = rub.done.length;
  const total = planned?.passes.length ?? 0;
  const next = planned?.passes[done];
  const dryAt = passDryAt(piece, plan);
  const early = plan.cureClock !== null && done === 0 && now < plan.cureClock.earliestAt;
  const finished = rub.finishedAt !== null || (total > 0 && done >= total);

  const tick = (minutes: number) => steps.done(`pass-${done + 1}`, `pass ${done + 1}`, minutes);
  const untick = () => steps.revoke(`pass-${done}`, { rub: { done: rub.done.slice(0, -1), finishedAt: null } }, `pass ${done} not done`);

  const reasons: ReasonLine[] = [];
  if (planned && plan.binder && plan.print && total > 0) {
    reasons.push({ figure: `${planned.passes.length}`, text: `passes; ${planned.usual.min === planned.usual.max ? planned.usual.min : `${planned.usual.min} to ${planned.usual.max}`} are usual for ${plan.binder.name.toLowerCase()}`, overruled: rub.passes !== null });
    if (planned.extraForPaper > 0) reasons.push({ figure: `+ ${planned.extraForPaper}`, text: 'for the heavier paper' });
    reasons.push({ figure: `${planned.minutesTotal} min`, text: 'of rubbing in all; the first pass takes longest' });
    reasons.push({ figure: `${planned.passes[0]?.dryMinutes ?? 0} min`, text: 'of drying between passes: wet paper is invisible, so it looks done when it is not' });
    reasons.push({ figure: `${planned.sections}`, text: planned.sections === 1 ? 'section: damp it whole' : 'sections, damped one after the other, from a light corner' });
    if (planned.breaks > 0) reasons.push({ figure: `${planned.breaks}`, text: planned.breaks === 1 ? 'break for the fingertips' : 'breaks for the fingertips' });
  }

  return (
    <StationLayout specimen={<LandingDrawing optics={opticsNow(piece, total)} caption={done === 0 ? 'The order of the sections, from a corner.' : `After ${done} of ${total} passes, dry: what is milky is paper.`} overlay={() => planned && plan.print && !finished ? <Sections rect={plan.print.rect} count={planned.sections} /> : null} />}>
      <Answer stop={early}>{answer()}</Answer>
      <Because reasons={reasons} />
      {plan.school && plan.school.removal !== 'rub' && (
        <Part title={REMOVAL_TITLES[plan.school.removal]}>
          {plan.school.removeSteps.length > 0 && <Steps>{plan.school.removeSteps.map((step) => <li key={step}><span>{step}</span></li>)}</Steps>}
          {total === 0 && !finished && <NextRow><Button variant="contained" onClick={() => steps.done('remove', 'paper off')} data-testid="paper-off">{plan.school.removal === 'none' ? 'Painted and dry' : 'It is off'}</Button></NextRow>}
          {total === 0 && finished && <NextRow><button type="button" className="plain" onClick={() => steps.revoke('remove', { rub: { finishedAt: null } }, 'not off yet')}>Not yet after all</button></NextRow>}
        </Part>
      )}
      {planned && total > 0 && (
        <Part title="Passes">
          {planned.passes.map((pass, index) => (
            <Fragment key={pass.number}>
              <TickRow checked={index < done} disabled={index !== done && index !== done - 1} onToggle={() => (index < done ? untick() : tick(pass.minutes))}>
                Pass {pass.number}: damp {pass.dampenMinutes} min, rub {pass.minutes} min
                <small>{rub.done[index] ? `done ${format(rub.done[index].at, 'EEE HH:mm')}, ${rub.done[index].minutes} min` : `then dry ${pass.dryMinutes} min and look for milky patches`}</small>
              </TickRow>
            </Fragment>
          ))}
          {next && !finished && <PassMinutes key={done} number={next.number} planned={next.minutes} onDone={tick} early={early} />}
          {done > 0 && !finished && <NextRow><Button variant="text" size="small" onClick={() => change('rub', { finishedAt: clock() }, 'enough rubbing')}>The wet test clears it: enough</Button></NextRow>}
          {finished && done < total && <NextRow><button type="button" className="plain" onClick={() => change('rub', { finishedAt: null }, 'rub on')}>Rub once more after all</button></NextRow>}
          <Note>Damp, not soaked. Fingertips in small circles from a light corner; brush the rolls aside; never a scouring pad. Staying on one spot rubs a hole. At hand: {TOOLS.rub.join(', ')}.</Note>
        </Part>
      )}
      {planned && total > 0 && (
        <Part title="Change">
          <Fields>
            <FigureField label="Passes" value={rub.passes} whole min={1} max={20} computed={`${planned.usual.max}`} onCommit={(passes) => change('rub', { passes }, 'number of passes')} hint={rub.passes !== null ? `Fobbet says ${planned.usual.max}; clear to go back` : 'as many as the haze asks for'} testId="passes" />
          </Fields>
        </Part>
      )}
      <MissingList station="rub" />
      <Cautions ids={['fingertips']} />
      <NextRow><NextLink station="mend" quiet={!finished} /></NextRow>
    </StationLayout>
  );

  function answer(): string {
    if (!planned) return 'Passes follow from the binder, the paper and the size.';
    if (finished) return plan.school?.removal === 'rub' ? 'Rubbed clear. Let it dry, then mend.' : 'The picture is free. Let it dry, then mend.';
    if (early && plan.cureClock) return `Not yet: start ${afterTime(plan.cureClock.likelyAt, now)}. Rubbed wet, the toner comes off.`;
    if (total === 0) return plan.school?.removal === 'none' ? 'Nothing to take off: let the paint dry.' : `${plan.school?.removeSteps[0] ?? 'Take the sheet off.'}`;
    if (done === 0) return piece.lay.laidAt === null ? `${total} passes, about ${planned.minutesTotal} min of rubbing.` : `Rub the first of ${total} passes: about ${next?.minutes} min.`;
    if (dryAt !== null && now < dryAt) return `Let it dry until ${clockTime(dryAt, now)}, ${span(dryAt - now)}, then look for haze.`;
    return `Look for milky patches, then rub pass ${done + 1} of ${total}.`;
  }
}

function PassMinutes({ number, planned, onDone, early }: { number: number; planned: number; onDone: (minutes: number) => void; early: boolean }) {
  const [minutes, setMinutes] = useState(planned);
  return (
    <NextRow>
      <Button variant={early ? 'outlined' : 'contained'} onClick={() => onDone(minutes)} data-testid="pass-done">Pass {number} done</Button>
      <label style={{ display: 'flex', gap: 8, alignItems: 'center', fontSize: 14 }}>
        took <input type="number" min={1} max={600} value={minutes} onChange={(event) => setMinutes(Math.min(600, Math.max(1, Number(event.target.value) || 1)))} style={{ width: 62, font: 'inherit', padding: '4px 6px', border: '1px solid var(--rule)', background: 'var(--sheet)', color: 'var(--ink)' }} /> min
      </label>
    </NextRow>
  );
}

/** Sections in the order of working: rows of at most two, from the top left. */
function Sections({ rect, count }: { rect: RectMm; count: number }) {
  if (count < 2) return null;
  const columns = rect.widthMm >= rect.heightMm ? Math.ceil(Math.sqrt(count * 1.5)) : Math.max(1, Math.floor(Math.sqrt(count)));
  const rows = Math.ceil(count / columns);
  const [width, height] = [rect.widthMm / columns, rect.heightMm / rows];
  return (
    <g>
      {Array.from({ length: columns * rows }, (_, index) => {
        const cell = { xMm: rect.xMm + (index % columns) * width, yMm: rect.yMm + Math.floor(index / columns) * height, widthMm: width, heightMm: height };
        const radius = Math.min(width, height) * 0.14;
        return (
          <g key={index}>
            <rect {...rectOf(cell)} fill="none" stroke="#2C5C94" strokeWidth={1.5} strokeDasharray="5 5" vectorEffect="non-scaling-stroke" />
            <circle cx={cell.xMm + width / 2} cy={cell.yMm + height / 2} r={radius} fill="#fff" fillOpacity={0.9} stroke="#2C5C94" strokeWidth={1.5} vectorEffect="non-scaling-stroke" />
            <text x={cell.xMm + width / 2} y={cell.yMm + height / 2 + radius * 0.42} fontSize={radius * 1.2} textAnchor="middle" fontWeight={700} fill="#1E2126">{index + 1}</text>
          </g>
        );
      })}
    </g>
  );
}
