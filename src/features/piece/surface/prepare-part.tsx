'use client';
import { useState } from 'react';
import { MS_PER_HOUR } from '@/core/shared';
import type { PrepStep } from '@/core/stations';
import { WhenDone } from '@/features/agenda';
import { Part, TickRow, useClock, useUnits } from '@/ui';
import { lowerFirst, mixWash, prepTitle, prepWhy, sentences, toolList } from '@/words';
import { formatDuration } from '@/words/figures';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { useStepDone } from '../use-step-done';

/** What makes the surface ready, step by step. */
export function PreparePart() {
  const { piece, plan } = useOpenPiece();
  const { preparation, blank } = plan.surface;
  const done = new Set(piece.surface.prepared);
  // Ticking the last of them folds nothing under the person's hand.
  const [wasPrepared] = useState(preparation.length > 0 && preparation.every(({ code }) => done.has(code)));
  if (!blank || preparation.length === 0) return null;
  return (
    <Part title={say`Prepare`} folded={wasPrepared ? say`all done` : null}>
      {preparation.map((step) => (
        <PrepRow key={step.code} step={step} checked={done.has(step.code)} />
      ))}
    </Part>
  );
}

/** One step of preparing; one that what comes before it leaves no time for is asked about. */
function PrepRow({ step, checked }: { step: PrepStep; checked: boolean }) {
  const { plan } = useOpenPiece();
  const units = useUnits();
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
        <small>
          {sentences(
            mixWash(step.coat, plan.surface.paintMl, units),
            prepWhy(step.code),
            step.tools.length > 0 && say`With: ${toolList(step.tools)}.`,
          )}
        </small>
      </TickRow>
      {asking && <WhenDone onDone={finish} onNot={() => setAsking(false)} />}
    </>
  );
}
