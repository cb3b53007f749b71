'use client';
import { Button } from '@mui/material';
import { TOOLS, type CautionId } from '@/core/craft';
import type { Repair } from '@/core/mend';
import { passDryAt } from '@/core/plan';
import { stageOptics } from '@/core/render';
import { Answer, Cautions, NextRow, Note, Part, TickRow, clockTime } from '@/ui';
import { LandingDrawing } from '../drawings/landing';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { useStepDone } from '../use-step-done';

export function MendStation() {
  const { piece, plan, change, now } = useOpenPiece();
  const steps = useStepDone();
  const done = new Set(piece.mend.done);
  const expected = plan.repairs.filter((repair) => repair.expected);
  const ifSeen = plan.repairs.filter((repair) => !repair.expected);
  const left = expected.filter((repair) => !done.has(repair.id));
  const finished = piece.mend.finishedAt !== null;
  const dryAt = passDryAt(piece, plan);
  const cautions: CautionId[] = plan.repairs.some((repair) => repair.id === 'outline' || repair.id === 'fade-edge' || repair.id === 'distress') ? ['sanding-dust'] : [];

  const row = (repair: Repair) => (
    <TickRow key={repair.id} checked={done.has(repair.id)} onToggle={() => change('mend', { done: done.has(repair.id) ? piece.mend.done.filter((id) => id !== repair.id) : [...piece.mend.done, repair.id] }, repair.title.toLowerCase())}>
      {repair.title}<small>{repair.how} {repair.why}</small>
    </TickRow>
  );

  return (
    <StationLayout specimen={<LandingDrawing optics={stageOptics('hazy')} painted={done.has('trace')} caption="Rubbed and dry, before the sealer." />}>
      <Answer>{answer()}</Answer>
      {expected.length > 0 && <Part title="Usual on this piece">{expected.map(row)}</Part>}
      {ifSeen.length > 0 && <Part title="If you see it, or like it">{ifSeen.map(row)}</Part>}
      {plan.repairs.length > 0 && (
        <NextRow>
          {finished
            ? <><Note>Mended.</Note><button type="button" className="plain" onClick={() => steps.revoke('mend', { mend: { finishedAt: null } }, 'mend on')}>Mend more</button></>
            : <Button variant="contained" onClick={() => steps.done('mend', 'mended')} data-testid="mended">Mended: nothing more to do</Button>}
        </NextRow>
      )}
      <Note>At hand: {TOOLS.mend.join(', ')}.</Note>
      <MissingList station="mend" />
      <Cautions ids={cautions} />
      <NextRow><NextLink station="seal" quiet={!finished} /></NextRow>
    </StationLayout>
  );

  function answer(): string {
    if (plan.repairs.length === 0) return 'What can be mended follows from the surface and the method.';
    if (finished) return 'Mended.';
    if (dryAt !== null && now < dryAt) return `Let it dry until ${clockTime(dryAt, now)}: faults show only when dry.`;
    if (left.length === 0) return 'Look it over once more, then seal.';
    return `${left.length === 1 ? 'One thing is' : `${left.length} things are`} usual here: ${left[0].title.charAt(0).toLowerCase()}${left[0].title.slice(1)} first.`;
  }
}
