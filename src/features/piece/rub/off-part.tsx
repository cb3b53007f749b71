'use client';
import { Part, Steps, TickRow } from '@/ui';
import { HAND_STEPS, OFF_WORDS, REMOVAL_TITLES, lowerFirst, stepTitle } from '@/words';
import { formatDuration } from '@/words/figures';
import { say } from '@/words/say';
import { useStepDone } from '../use-step-done';
import type { Rub } from './use-rub';

/** What takes the sheet off where nothing is rubbed: how, and what of it is done. */
export function OffPart({ rub: { school, others, open } }: { rub: Rub }) {
  const steps = useStepDone();
  if (!school || school.removal === 'rub') return null;
  const hands = school.recipe.filter(({ step }) => step !== 'lay' && step !== 'bed').flatMap(({ does }) => does);
  return (
    <Part title={REMOVAL_TITLES[school.removal]}>
      <Steps>
        {hands.map((hand) => (
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
  );
}
