'use client';
import { recipeStepOf } from '@/core/craft';
import { Part, Steps, useUnits } from '@/ui';
import { HAND_STEPS, layingWords } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { StationTools } from '../station-cautions';
import { useLay } from './use-lay';

/** How it is laid, in order. */
export function LaySteps() {
  const { school } = useOpenPiece().plan.method;
  const { planned, binder, dry } = useLay();
  const units = useUnits();
  if (!planned || !binder) return null;
  const hands = (school && recipeStepOf(school, 'lay')?.does) ?? [];
  const lines = dry
    ? hands.map((hand) => ({ key: hand, text: HAND_STEPS[hand] }))
    : planned.steps.map((step) => ({ key: step.code, text: layingWords(step, binder, units) }));
  return (
    <Part title={say`Lay`}>
      <Steps>
        {lines.map(({ key, text }) => (
          <li key={key}>
            <span>{text}</span>
          </li>
        ))}
      </Steps>
      <StationTools station="lay" />
    </Part>
  );
}
