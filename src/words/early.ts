import type { WaitKind } from '@/core/craft';
import type { StepId } from '@/core/stations';

/** What happens when a step is begun before its time. */
export function earlyWords(kind: WaitKind, step: StepId): string {
  if (kind === 'soak') return 'Not soaked through, the paper tears the picture off with it.';
  if (kind === 'window') return 'Too soon, the picture comes along with the paper.';
  if (kind === 'cool' || kind === 'heat') return 'It is still hot: it burns fingers, and the toner is soft.';
  switch (step.kind) {
    case 'pass':
      return 'Rubbed wet, the toner comes off.';
    case 'remove':
      return 'Lifted wet, the picture stays behind on the sheet.';
    case 'stick':
      return 'Wet, it does not stick.';
    case 'coat':
      return 'Sealed damp, it turns milky and stays so.';
    case 'mend':
    case 'trace':
      return 'Sanded or painted damp, the picture rubs up.';
    default:
      return 'On a wet coat the next one lifts it.';
  }
}

/** What it does while it waits. */
export const WAIT_WORDS: Readonly<Record<WaitKind, string>> = {
  none: 'waits',
  dry: 'dries',
  soak: 'soaks',
  window: 'sets',
  cool: 'cools',
  heat: 'is in the heat',
};
