import type { LayingStep } from '@/core/coat';
import type { BinderRecord } from '@/core/craft';
import { formatDuration } from '@/core/measure';
import { BINDER_WORDS } from './craft';
import type { Wording } from './units';

/** A laying step as a sentence, with its figures in the person's units. */
export function layingWords(step: LayingStep, binder: BinderRecord, units: Wording): string {
  switch (step.code) {
    case 'ready-tools':
      return 'Hands clean and dry, paper trimmed, everything within reach: once the coat is on there is no time to look for it.';
    case 'mark-placement':
      if (step.leftMm < 0.5 && step.topMm < 0.5)
        return 'Line the print up with the edges: mark the middle of two sides, on the paper and on the piece.';
      return `Mark the corner with pencil: ${units.length(step.leftMm)} from the left edge, ${units.length(step.topMm)} from the top.`;
    case 'support-middle':
      return 'Put a book under the middle of the canvas so that it does not give.';
    case 'barrier-inside':
      return 'Put baking parchment inside the cloth, and tape it flat.';
    case 'bed-coat':
      return `First coat: spread ${units.volume(step.volumeMl)} evenly and let it dry ${formatDuration(step.dryHours)}.`;
    case 'pour':
      return `Measure out ${units.volume(step.volumeMl)} of ${BINDER_WORDS[binder.id].inText}, and pour it in the middle.`;
    case 'coat-surface':
      return `Coat the surface with ${units.volume(step.volumeMl)}, from the middle outwards, ${step.whole ? 'over the whole face' : `${units.length(step.pastMm)} past the marks`}${step.fillWeave ? ', filling every dip of the weave' : ''}.`;
    case 'coat-paper':
      return `Coat the printed side with ${units.volume(step.volumeMl)} on baking parchment, to the edge and over it${step.hidesPrint ? ', thick enough that the print cannot be seen' : ''}. Lift it by its rim.`;
    case 'lay':
      return `Lay the print face down on the marks, one edge first, and let it roll down.${step.slides ? ' It can be slid a moment, then no more.' : ' It cannot be moved once it is down.'}`;
    case 'press':
      return `Cover with plastic and scrape from the middle to the edges, light and even, until no bubble is left.${step.hollows ? ' Press the damp paper into the hollows.' : ''}`;
    case 'wipe':
      return step.atOnce
        ? 'Wipe squeeze-out at once: it dries white.'
        : 'Wipe off what squeezes out, and keep it off the back.';
    case 'wash-brush':
      return 'Wash the brush now.';
  }
}
