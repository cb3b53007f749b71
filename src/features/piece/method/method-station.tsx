'use client';
import { Button } from '@mui/material';
import { PRINTS, USES } from '@/core/craft';
import type { Candidate } from '@/core/method';
import { Answer, Because, Cautions, ChoiceField, Fields, NextRow, Note, Part, SelectField, Wide } from '@/ui';
import { LandingDrawing } from '../drawings/landing';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import css from './method.module.css';

const WHITES = [{ id: 'either', name: 'Either' }, { id: 'surface-shows', name: 'Surface shows' }, { id: 'stay-white', name: 'Stay white' }] as const;

export function MethodStation() {
  const { piece, plan, change } = useOpenPiece();
  const usable = plan.candidates.filter((one) => one.verdict !== 'refused');
  const refused = plan.candidates.filter((one) => one.verdict === 'refused');
  const best = usable[0];
  const chosen = plan.chosen;
  const choose = ({ school, binder }: Candidate) => change('method', { school: school.id, binder: binder.id }, binder.name.toLowerCase());
  const stop = chosen?.verdict === 'refused' || (plan.surface !== null && usable.length === 0);

  return (
    <StationLayout specimen={<LandingDrawing caption={plan.binder ? `Expected with ${plan.binder.name.toLowerCase()}: ${plan.binder.base === 'clear' ? 'the surface shows where the picture is white' : 'white stays white'}.` : 'Choose a method to see what becomes of the whites.'} />}>
      <Answer stop={stop}>{answer()}</Answer>
      {chosen && <Because reasons={chosen.reasons.slice(0, LEADING_REASONS).map(({ points, text }) => ({ figure: points > 0 ? `+ ${points}` : `− ${Math.abs(points)}`, text }))} />}
      <Part title="Change">
        <Fields>
          <Wide><SelectField label="What the print is made with" value={piece.method.print} options={PRINTS.map(({ id, name }) => ({ id, name }))} onCommit={(print) => change('method', { print }, 'kind of print')} testId="print-kind" /></Wide>
          <Wide><ChoiceField label="White parts of the picture" value={piece.method.whites} options={WHITES} onCommit={(whites) => change('method', { whites }, 'white parts')} /></Wide>
          <Wide><SelectField label="What the piece is for" value={piece.seal.use} options={USES} onCommit={(use) => change('seal', { use, sealer: null }, 'use')} testId="use" /></Wide>
        </Fields>
      </Part>
      {usable.length > 0 && (
        <Part title="What works, best first">
          <ol className={css.list}>
            {usable.map((one) => <CandidateRow key={`${one.school.id}-${one.binder.id}`} candidate={one} chosen={one === chosen} best={one === best} onChoose={() => choose(one)} />)}
          </ol>
        </Part>
      )}
      {refused.length > 0 && (
        <Part title="Refused, and why">
          <ul className={css.refused} data-testid="refused">
            {refused.map((one) => <li key={`${one.school.id}-${one.binder.id}`}><b>{one.binder.name}</b><span>{one.refusal?.text}</span></li>)}
          </ul>
        </Part>
      )}
      <MissingList station="method" />
      <Cautions ids={['label-first', ...(piece.method.print === 'inkjet-heat-set' ? (['heat-set'] as const) : []), ...(piece.surface.kind === 'led-candle' ? (['no-flame'] as const) : [])]} />
      <NextRow><NextLink station="sheet" quiet={plan.binder === null} /></NextRow>
    </StationLayout>
  );

  function answer(): string {
    if (!plan.surface) return 'Methods are ranked once the surface is known.';
    if (chosen?.verdict === 'refused') return `${chosen.binder.name} cannot work here.`;
    if (usable.length === 0) return 'Nothing works with this print: change what it is made with.';
    if (chosen) return `${chosen.binder.name}, ${chosen.school.name.toLowerCase()}.`;
    return `Best here: ${best.binder.name.charAt(0).toLowerCase()}${best.binder.name.slice(1)}, ${best.school.name.toLowerCase()}.`;
  }
}

const SHOWN_REASONS = 3;
const LEADING_REASONS = 5;

function CandidateRow({ candidate, chosen, best, onChoose }: { candidate: Candidate; chosen: boolean; best: boolean; onChoose: () => void }) {
  const { binder, school, score, reasons, conditions } = candidate;
  const plain = reasons.filter((reason) => !conditions.includes(reason.text));
  return (
    <li className={css.candidate} data-chosen={chosen} data-binder={binder.id}>
      <span className={css.score}>{score}</span>
      <div>
        <h4 className={css.name}>{binder.name}</h4>
        <p className={css.essence}>{school.id} · {school.name}. {binder.character}</p>
        {conditions.map((text) => <p key={text} className={css.condition}>Works – {text.charAt(0).toLowerCase()}{text.slice(1)}</p>)}
        {best && !chosen && <Note>{plain.slice(0, SHOWN_REASONS).map((reason) => reason.text).join(' ')}</Note>}
        <details>
          <summary>Why {score} of 100</summary>
          <ul className={css.reasons}>
            <li><span>50</span>to begin with</li>
            {reasons.map((reason) => <li key={reason.text}><span>{reason.points > 0 ? `+${reason.points}` : reason.points}</span>{reason.text}</li>)}
          </ul>
        </details>
      </div>
      <Button size="small" variant={chosen ? 'contained' : 'outlined'} onClick={onChoose} aria-pressed={chosen} aria-label={`${chosen ? 'Chosen' : 'Choose'}: ${binder.name}`}>{chosen ? 'Chosen' : 'Choose'}</Button>
    </li>
  );
}
