import type { LayingStep } from '@/core/coat';
import type { BinderRecord } from '@/core/craft';
import { formatDuration } from './figures';
import { BINDER_WORDS } from './craft';
import type { Wording } from './units';
import { say } from './say';
import { sentences } from './text';

/** A laying step as a sentence, with its figures in the person's units. */
export function layingWords(step: LayingStep, binder: BinderRecord, units: Wording): string {
  switch (step.code) {
    case 'ready-tools':
      return say`Hands clean and dry, paper trimmed, everything within reach: once the coat is on there is no time to look for it.`;
    case 'mark-placement':
      return placementWords(step, units);
    case 'cut-openings':
      return step.knobs
        ? say`Cut the openings out of the print before it is coated: it is let down over the knobs.`
        : say`Cut the holes out of the print before it is coated.`;
    case 'cut-corners':
      return say`Cut the corners out of the print along their lines before it is coated, and crease it at the folds.`;
    case 'by-parts':
      return say`It lands in ${step.parts} parts, each a print of its own: coat and lay one after the other, so that none dries on top.`;
    case 'support-middle':
      return say`Put a book under the middle of the canvas so that it does not give.`;
    case 'barrier-inside':
      return say`Put baking parchment inside the cloth, and tape it flat.`;
    case 'bed-coat':
      return say`First coat: spread ${units.volume(step.volumeMl)} evenly and let it dry ${formatDuration(step.dryHours)}.`;
    case 'pour':
      return say`Measure out ${units.volume(step.volumeMl)} of ${BINDER_WORDS[binder.id].inText}, and pour it in the middle.`;
    case 'coat-surface':
      return sentences(
        step.whole
          ? say`Coat the surface with ${units.volume(step.volumeMl)}, from the middle outwards, over the whole face.`
          : say`Coat the surface with ${units.volume(step.volumeMl)}, from the middle outwards,
            ${units.length(step.pastMm)} past the marks.`,
        step.fillWeave && say`Fill every dip of the weave.`,
      );
    case 'coat-paper':
      return step.hidesPrint
        ? say`Coat the printed side with ${units.volume(step.volumeMl)} on baking parchment, to the edge and over
          it, thick enough that the print cannot be seen. Lift it by its rim.`
        : say`Coat the printed side with ${units.volume(step.volumeMl)} on baking parchment, to the edge and over it. Lift it by its rim.`;
    case 'coat-sign':
      return step.hidesPrint
        ? say`Before you lay it: the print can’t be seen anywhere, and every edge and corner is covered.`
        : say`Before you lay it: shiny all over against the light, no dull or dry spot, every edge and corner covered.`;
    case 'lay':
      return sentences(
        say`Lay the print face down on the marks, one edge first, and let it roll down.`,
        step.slides ? say`It can be slid a moment, then no more.` : say`It cannot be moved once it is down.`,
      );
    case 'go-round':
      return sentences(
        say`Begin at one upright edge, and let it down round the side, pressing as you go.`,
        step.laps && say`Its end laps over its beginning: a little medium between.`,
      );
    case 'press':
      return sentences(
        step.by === 'card'
          ? say`Cover with plastic and scrape with a card from the middle to the edges, light and even, until no bubble
            is left: pressed hard, the medium is driven out and leaves round holes.`
          : say`Cover with plastic and press with a roller, firmly, from the middle to the edges, until it touches in
            every dip.`,
        step.hollows && say`Press the damp paper into the hollows.`,
      );
    case 'bring-over':
      return say`Bring the flaps over the sides, opposite ones first: press each over its edge with the card, no air
        along the fold, and close the corners.`;
    case 'turn-tuck':
      return say`Turn it over on clean parchment. Turn the tuck on to the back, and press it down.`;
    case 'wipe':
      return step.atOnce
        ? say`Wipe squeeze-out at once: it dries white.`
        : say`Wipe off what squeezes out, and keep it off the back.`;
    case 'last-look':
      return sentences(
        say`Last look, while it can be mended: from a low angle, and with the palm.`,
        say`A bubble or lump: press it out to the nearest edge. An edge that stands up: a little medium under it, and down.`,
        say`Medium on the back: wipe it off at once with a damp cloth.`,
      );
    case 'wash-brush':
      return say`Wash the brush now.`;
  }
}

function placementWords(
  { leftMm, topMm, by }: Extract<LayingStep, { code: 'mark-placement' }>,
  units: Wording,
): string {
  if (leftMm < 0.5 && topMm < 0.5)
    return say`Line the print up with the edges: mark the middle of two sides, on the paper and on the piece.`;
  const [left, top] = [units.length(leftMm), units.length(topMm)];
  return by === 'pencil'
    ? say`Mark the corner with pencil: ${left} from the left edge, ${top} from the top.`
    : say`Mark the corner with a bit of tape, no pencil: ${left} from the left edge, ${top} from the top.`;
}
