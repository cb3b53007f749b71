import type { WaitKind } from '@/core/craft';
import type { StepId } from '@/core/stations';
import { said, say } from './say';

/** What happens when a step is begun before its time. */
export function earlyWords(kind: WaitKind, step: StepId): string {
  if (kind === 'soak') return say`Not soaked through, the paper tears the picture off with it.`;
  if (kind === 'window') return say`Too soon, the picture comes along with the paper.`;
  if (kind === 'cool' || kind === 'heat') return say`It is still hot: it burns fingers, and the toner is soft.`;
  switch (step.kind) {
    case 'pass':
      return step.number > 1
        ? say`Wet paper can’t be seen: it looks done when it is not. Let it dry first.`
        : say`Rubbed wet, the toner comes off.`;
    case 'remove':
      return say`Lifted wet, the picture stays behind on the sheet.`;
    case 'stick':
      return say`Wet, it does not stick.`;
    case 'coat':
      return say`Sealed damp, it turns milky and stays so.`;
    case 'mend':
    case 'trace':
      return say`Sanded or painted damp, the picture rubs up.`;
    default:
      return say`On a wet coat the next one lifts it.`;
  }
}

/** What it does while it waits. */
export const WAIT_WORDS: Readonly<Record<WaitKind, string>> = said({
  none: 'It waits',
  dry: 'It dries',
  soak: 'It soaks',
  window: 'It sets',
  cool: 'It cools',
  heat: 'It is in the heat',
});

/** Whether a wait may last longer than it must, where that is known; at night, that the morning will do. @param atNight when it is over */
export function laterWords(kind: WaitKind, atNight: boolean): string | null {
  switch (kind) {
    case 'none':
    case 'soak':
    case 'heat':
      return null;
    case 'dry':
    case 'cool':
      return atNight
        ? say`The morning after is as good: waiting longer does no harm.`
        : say`Waiting longer does it no harm.`;
    case 'window':
      return say`Be there in time: later the paper holds.`;
  }
}
