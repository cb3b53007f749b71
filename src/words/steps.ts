import { formatDuration } from '@/core/measure';
import type { RunStep } from '@/core/plan';
import type { StepTitle } from '@/core/stations';
import { HAND_STEPS, SCHOOL_NAMES } from './craft';
import { prepTitle } from './preparation';

/** What a step of the run is called. */
export function stepTitle(title: StepTitle): string {
  switch (title.code) {
    case 'prepare':
      return prepTitle({ code: title.prep, coat: title.coat });
    case 'print':
      return `Print the ${title.mirrored ? 'mirrored ' : ''}sheet${title.traced ? ', and the traced layers unmirrored' : ''}`;
    case 'bed':
      return 'Coat the bed and let it dry';
    case 'lay':
      return 'Coat and lay the print';
    case 'lay-dry':
      return SCHOOL_NAMES[title.school].name;
    case 'rub-pass':
      return `Rub, pass ${title.number}`;
    case 'peel-pass':
      return `Peel and roll, pass ${title.number}`;
    case 'remove':
      return HAND_STEPS[title.hand].replace(/\.$/, '');
    case 'trace-text':
      return `Trace and paint “${title.text}”`;
    case 'trace-drawing':
      return 'Trace and paint the drawing';
    case 'mend':
      return title.traced ? 'Mend, and take the pencil off' : 'Wet test and mend';
    case 'coat':
      return `Seal, coat ${title.number}`;
  }
}

/** “45 min, then 8 h”. */
export const stepTime = ({ handsMinutes, waitHours }: Pick<RunStep, 'handsMinutes' | 'waitHours'>): string =>
  `${handsMinutes} min${waitHours > 0 ? `, then ${formatDuration(waitHours)}` : ''}`;
