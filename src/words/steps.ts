import { formatDuration } from './figures';
import type { RunStep } from '@/core/plan';
import type { StepTitle } from '@/core/stations';
import { SCHOOL_TITLES } from './craft';
import { prepTitle } from './preparation';
import { REPAIR_WORDS } from './repairs';
import { remarks } from './text';
import { say } from './say';

/** What a step of the run is called. */
export function stepTitle(title: StepTitle): string {
  switch (title.code) {
    case 'prepare':
      return prepTitle({ code: title.prep, coat: title.coat });
    case 'print':
      if (!title.mirrored) return say`Print the sheet`;
      return title.traced
        ? say`Print the mirrored sheet, and the traced layers unmirrored`
        : say`Print the mirrored sheet`;
    case 'heat-set':
      return say`Set the print with heat in the oven`;
    case 'stick':
      return say`Stick the decal on`;
    case 'bed':
      return say`Coat the bed and let it dry`;
    case 'lay':
      return SCHOOL_TITLES[title.school].lay;
    case 'rub-pass':
      return say`Rub, pass ${title.number}`;
    case 'peel-pass':
      return say`Peel and roll, pass ${title.number}`;
    case 'remove':
      return SCHOOL_TITLES[title.school].off;
    case 'trace-text':
      return say`Trace and paint “${title.text}”`;
    case 'trace-drawing':
      return say`Trace and paint the drawing`;
    case 'mend':
      return mendTitle(title);
    case 'coat':
      return say`Seal, coat ${title.number}`;
  }
}

/** The usual work of the part, and what is liked after it. */
const mendTitle = (title: Extract<StepTitle, { code: 'mend' }>): string =>
  remarks(mendWork(title), ...title.liked.map((id) => REPAIR_WORDS[id].inText));

function mendWork({ part, pencil, wetTest }: Extract<StepTitle, { code: 'mend' }>): string {
  if (part === 'sand') return wetTest ? say`Wet test, then sand edges and fibres dry` : say`Sand edges and fibres dry`;
  if (part === 'repaint')
    return wetTest ? say`Wet test, then repaint holes and worn places` : say`Repaint holes and worn places`;
  if (pencil) return wetTest ? say`Wet test, then take the pencil off` : say`Take the pencil off`;
  return wetTest ? say`Wet test, then look it over` : say`Look it over`;
}

/** “45 min, then 8 h”. */
export const stepTime = ({ handsMinutes, waitHours }: Pick<RunStep, 'handsMinutes' | 'waitHours'>): string =>
  waitHours > 0 ? say`${handsMinutes} min, then ${formatDuration(waitHours)}` : say`${handsMinutes} min`;
