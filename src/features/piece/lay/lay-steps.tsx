'use client';
import { handsAtLay } from '@/core/stations';
import { FirstFew, Part, Steps, useUnits } from '@/ui';
import { HAND_STEPS, layingWords } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { StationTools } from '../station-cautions';
import { useLay } from './use-lay';

/** As many stand there until all are asked for; the bench shows one at a time. */
const FIRST_LINES = 3;

/** How it is laid, in order. */
export function LaySteps() {
  const { plan } = useOpenPiece();
  const { planned, binder, dry } = useLay();
  const units = useUnits();
  if (!planned || !binder) return null;
  const lines: { key: string; text: string }[] = dry
    ? handsAtLay(plan).map((hand) => ({ key: hand, text: HAND_STEPS[hand] }))
    : planned.steps.map((step) => ({ key: step.code, text: layingWords(step, binder, units) }));
  return (
    <Part title={say`Lay`}>
      <FirstFew of={lines} few={FIRST_LINES} testId="all-steps">
        {(shown) => (
          <Steps>
            {shown.map(({ key, text }) => (
              <li key={key}>
                <span>{text}</span>
              </li>
            ))}
          </Steps>
        )}
      </FirstFew>
      <StationTools station="lay" />
    </Part>
  );
}
