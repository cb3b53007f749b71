'use client';
import { Button, ToggleButton, ToggleButtonGroup } from '@mui/material';
import { useState } from 'react';
import { PRINTS, USES, binderById, nominalFilmUm, printById } from '@/core/craft';
import { formatDuration } from '@/core/measure';
import type { Candidate, LookWanted } from '@/core/method';
import { runStepTime, runSteps } from '@/core/plan';
import { stageOptics, type RenderStage } from '@/core/render';
import { Answer, Because, Cautions, ChoiceField, Fields, NextRow, Note, Part, SelectField, Steps, Wide, useUnits } from '@/ui';
import { LandingDrawing } from '../drawings/landing';
import { DisagreementNotes } from '../disagreement-notes';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { AtHandFields, LabelFields } from './at-hand';
import { TryOnBoard, TryOnFields } from './try-on';
import css from './method.module.css';

const WHITES = [{ id: 'either', name: 'Either' }, { id: 'surface-shows', name: 'Surface shows' }, { id: 'stay-white', name: 'Stay white' }] as const;
const LOOKS: { id: LookWanted; name: string }[] = [{ id: 'any', name: 'Any' }, { id: 'crisp', name: 'Crisp' }, { id: 'soft', name: 'Soft' }, { id: 'distressed', name: 'Worn' }];
const STAGES: { id: RenderStage; name: string }[] = [
  { id: 'laid', name: 'Just laid' }, { id: 'pass-1', name: 'After pass 1' }, { id: 'hazy', name: 'Dry, with haze' }, { id: 'wet', name: 'Wet' }, { id: 'matte', name: 'Sealed matte' }, { id: 'gloss', name: 'Sealed gloss' },
];

export function MethodStation() {
  const { piece, plan, change, changeAll, side } = useOpenPiece();
  const [board, setBoard] = useState(false);
  const [stage, setStage] = useState<RenderStage>('matte');
  const usable = plan.candidates.filter((one) => one.verdict !== 'refused');
  const refused = plan.candidates.filter((one) => one.verdict === 'refused');
  const best = usable[0];
  const { chosen } = plan;
  const choose = ({ school, binder }: Candidate) => change('method', { school: school.id, binder: binder.id }, `${binder.name.toLowerCase()}, ${school.name.toLowerCase()}`);
  const stop = chosen?.verdict === 'refused' || (plan.surface !== null && usable.length === 0);
  const steps = plan.binder ? runSteps(piece, plan) : [];

  const views = (
    <>
      <SelectStage stage={stage} onStage={setStage} />
      <ToggleButtonGroup exclusive size="small" value={board ? 'board' : 'one'} aria-label="What is shown" onChange={(_, next: string | null) => next && setBoard(next === 'board')}>
        <ToggleButton value="one">This one</ToggleButton><ToggleButton value="board" disabled={!plan.blank || !plan.surface} data-testid="try-on-view">Try on</ToggleButton>
      </ToggleButtonGroup>
    </>
  );

  return (
    <StationLayout specimen={board && side === 'landing'
      ? <TryOnBoard optics={stageOptics(stage)} actions={views} />
      : <LandingDrawing optics={stageOptics(stage)} actions={views} caption={plan.binder ? plan.binder.base === 'clear' ? 'The surface shows where the picture is white.' : 'White stays white.' : 'Choose a method to see what becomes of the whites.'} />}
    >
      <Answer stop={stop}>{answer()}</Answer>
      {chosen && <Because reasons={chosen.reasons.slice(0, LEADING_REASONS).map(({ points, text }) => ({ figure: points > 0 ? `+ ${points}` : points === 0 ? '0' : `− ${Math.abs(points)}`, text }))} />}
      {board && <Part title="Try on"><TryOnFields /></Part>}
      <Part title="Change">
        <Fields>
          <Wide><SelectField label="What the print is made with" value={piece.method.print} options={PRINTS.map(({ id, name }) => ({ id, name }))} onCommit={(print) => change('method', { print }, 'kind of print')} testId="print-kind" /></Wide>
          <ChoiceField label="White parts of the picture" value={piece.method.whites} options={WHITES} onCommit={(whites) => change('method', { whites }, 'white parts')} />
          <ChoiceField label="Look wanted" value={piece.method.look} options={LOOKS} onCommit={(look) => change('method', { look }, 'look wanted')} />
          <Wide><SelectField label="What the piece is for" value={piece.seal.use} options={USES} onCommit={(use) => change('seal', { use, sealer: null }, 'use')} testId="use" /></Wide>
        </Fields>
        <details className={css.more}><summary>Printer, paper and practice at hand</summary><AtHandFields /></details>
      </Part>
      {usable.length > 0 && (
        <Part title="What works, best first">
          {usable.length > 1 && <ComparisonTable candidates={usable.slice(0, COMPARED)} />}
          <ol className={css.list}>
            {usable.map((one) => <CandidateRow key={`${one.school.id}-${one.binder.id}`} candidate={one} chosen={one === chosen} best={one === best} onChoose={() => choose(one)} />)}
          </ol>
        </Part>
      )}
      {chosen && chosen.binder.id !== 'none' && (
        <Part title={`On the label of your ${chosen.binder.name.toLowerCase()}`}>
          <LabelFields binder={chosen.binder.id} usual={usualOf(chosen)} />
        </Part>
      )}
      {steps.length > 0 && (
        <Part title="In this order">
          <Steps>{steps.map((step) => <li key={step.id}><span>{step.title} <span className={css.time}>{runStepTime(step)}</span></span></li>)}</Steps>
        </Part>
      )}
      <DisagreementNotes at="method" />
      {refused.length > 0 && (
        <Part title="Refused, and why">
          <ul className={css.refused} data-testid="refused">
            {refused.map((one) => (
              <li key={`${one.school.id}-${one.binder.id}`}>
                <b>{one.binder.id === 'none' ? one.school.name : `${one.binder.name}, ${one.school.name.toLowerCase()}`}</b><span>{one.refusal?.text}</span>
                {one.refusal?.switchTo && one.refusal.switchTo !== piece.method.print && <button type="button" className="plain" onClick={() => changeAll({ method: { print: one.refusal?.switchTo ?? piece.method.print, school: one.school.id, binder: one.binder.id } }, 'kind of print and method')}>Print it as: {printById(one.refusal.switchTo).name.toLowerCase()}</button>}
              </li>
            ))}
          </ul>
        </Part>
      )}
      <MissingList station="method" />
      <Cautions ids={['label-first', ...(piece.method.print === 'inkjet-heat-set' || chosen?.school.id === 'E2' ? (['heat-set'] as const) : []), ...(piece.surface.kind === 'led-candle' ? (['no-flame'] as const) : [])]} />
      <NextRow><NextLink station="sheet" quiet={plan.binder === null} /></NextRow>
    </StationLayout>
  );

  function answer(): string {
    if (!plan.surface) return 'Methods are ranked once the surface is known.';
    if (chosen?.verdict === 'refused') return `${nameOf(chosen)} cannot work here.`;
    if (usable.length === 0) return 'Nothing works with this print: change what it is made with.';
    if (chosen) return `${nameOf(chosen)}.`;
    const name = nameOf(best);
    return `Best here: ${name.charAt(0).toLowerCase()}${name.slice(1)}.`;
  }
}

const nameOf = ({ binder, school }: Candidate): string => (binder.id === 'none' ? school.name : `${binder.name}, ${school.name.toLowerCase()}`);

/** The record's own figures, shown where the label's are not typed. */
function usualOf({ binder }: Candidate): { filmUm: string; waitHours: string; openMinutes: string } {
  const record = binderById(binder.id);
  const { min, max } = record.waitHours;
  return { filmUm: `${nominalFilmUm(record)} µm`, waitHours: min === max ? `${max} h` : `${min}–${max} h`, openMinutes: `${record.openMinutes} min` };
}

const SelectStage = ({ stage, onStage }: { stage: RenderStage; onStage: (stage: RenderStage) => void }) => (
  <label className={css.stage}>Shown
    <select value={stage} onChange={(event) => onStage(event.target.value as RenderStage)} data-testid="stage">{STAGES.map(({ id, name }) => <option key={id} value={id}>{name}</option>)}</select>
  </label>
);

const SHOWN_REASONS = 3;
const LEADING_REASONS = 5;
const COMPARED = 3;

/** The leading methods side by side. */
function ComparisonTable({ candidates }: { candidates: readonly Candidate[] }) {
  const units = useUnits();
  const rows: [string, (candidate: Candidate) => string][] = [
    ['Points', ({ score }) => String(score)],
    ['Ready to rub', ({ figures }) => (figures?.waitHours ? formatDuration(figures.waitHours) : 'at once')],
    ['Rubbing', ({ figures }) => (figures?.passes ? `${figures.minutes} min in ${figures.passes}` : 'none')],
    ['Toner kept', ({ figures }) => `${Math.round((figures?.kept ?? 0) * 100)} %`],
    ['Medium', ({ figures }) => (figures?.mediumMl ? units.volume(figures.mediumMl) : 'none')],
    ['Costs', ({ figures }) => (figures?.cost == null ? '–' : figures.cost.toFixed(2))],
    ['Washable', ({ binder }) => (binder.washable ? 'yes' : 'no')],
    ['Lands', ({ school }) => school.looks.map((look) => (look === 'distressed' ? 'worn' : look)).join(', ')],
  ];
  return (
    <table className={css.compare} data-testid="compare">
      <thead><tr><td />{candidates.map((one) => <th key={`${one.school.id}-${one.binder.id}`} scope="col">{one.binder.id === 'none' ? one.school.name : one.binder.name.split(/ or |,/)[0]}</th>)}</tr></thead>
      <tbody>{rows.map(([name, show]) => <tr key={name}><th scope="row">{name}</th>{candidates.map((one) => <td key={`${one.school.id}-${one.binder.id}`}>{show(one)}</td>)}</tr>)}</tbody>
    </table>
  );
}

function CandidateRow({ candidate, chosen, best, onChoose }: { candidate: Candidate; chosen: boolean; best: boolean; onChoose: () => void }) {
  const { binder, school, score, reasons, conditions } = candidate;
  const plain = reasons.filter((reason) => !conditions.includes(reason.text));
  return (
    <li className={css.candidate} data-chosen={chosen} data-binder={binder.id} data-school={school.id}>
      <span className={css.score}>{score}</span>
      <div>
        <h4 className={css.name}>{binder.id === 'none' ? school.name : binder.name}</h4>
        <p className={css.essence}>{school.id} · {school.name}. {school.id === 'A' ? binder.character : school.essence}</p>
        {conditions.map((text) => <p key={text} className={css.condition}>Works – {text.charAt(0).toLowerCase()}{text.slice(1)}</p>)}
        {best && !chosen && <Note>{plain.slice(0, SHOWN_REASONS).map((reason) => reason.text).join(' ')}</Note>}
        <details>
          <summary>Why {score} of 100</summary>
          <ul className={css.reasons}>
            <li><span>50</span>to begin with</li>
            {reasons.map((reason) => <li key={reason.text}><span>{reason.points > 0 ? `+${reason.points}` : Math.round(reason.points) || 0}</span>{reason.text}</li>)}
          </ul>
        </details>
      </div>
      <Button size="small" variant={chosen ? 'contained' : 'outlined'} onClick={onChoose} aria-pressed={chosen} aria-label={`${chosen ? 'Chosen' : 'Choose'}: ${nameOf(candidate)}`}>{chosen ? 'Chosen' : 'Choose'}</Button>
    </li>
  );
}
