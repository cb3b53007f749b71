import { formatDuration } from '@/core/measure';
import type { RunStep } from '@/core/plan';
import type { StepTitle } from '@/core/stations';
import { SCHOOL_TITLES } from './craft';
import { prepTitle } from './preparation';
import { upperFirst } from './text';

/** What a step of the run is called. */
export function stepTitle(title: StepTitle): string {
  switch (title.code) {
    case 'prepare':
      return prepTitle({ code: title.prep, coat: title.coat });
    case 'print':
      return `Print the ${title.mirrored ? 'mirrored ' : ''}sheet${title.traced ? ', and the traced layers unmirrored' : ''}`;
    case 'heat-set':
      return 'Set the print with heat in the oven';
    case 'stick':
      return 'Stick the decal on';
    case 'bed':
      return 'Coat the bed and let it dry';
    case 'lay':
      return SCHOOL_TITLES[title.school].lay;
    case 'rub-pass':
      return `Rub, pass ${title.number}`;
    case 'peel-pass':
      return `Peel and roll, pass ${title.number}`;
    case 'remove':
      return SCHOOL_TITLES[title.school].off;
    case 'trace-text':
      return `Trace and paint “${title.text}”`;
    case 'trace-drawing':
      return 'Trace and paint the drawing';
    case 'mend':
      return mendTitle(title);
    case 'coat':
      return `Seal, coat ${title.number}`;
  }
}

function mendTitle({ part, pencil, wetTest }: Extract<StepTitle, { code: 'mend' }>): string {
  const first = wetTest ? 'Wet test, then ' : '';
  if (part === 'sand') return upperFirst(`${first}sand edges and fibres dry`);
  if (part === 'repaint') return upperFirst(`${first}repaint holes and worn places`);
  return upperFirst(`${first}${pencil ? 'take the pencil off' : 'look it over'}`);
}

/** “45 min, then 8 h”. */
export const stepTime = ({ handsMinutes, waitHours }: Pick<RunStep, 'handsMinutes' | 'waitHours'>): string =>
  `${handsMinutes} min${waitHours > 0 ? `, then ${formatDuration(waitHours)}` : ''}`;
