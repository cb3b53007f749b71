import type { Corner, GoesFirst, SpotId, SpotToolId, WorkKind } from '@/core/rub';
import type { RectMm } from '@/core/shape';
import { said, say } from './say';

export const WORK_KIND_WORDS: Readonly<Record<WorkKind, string>> = said({
  'haze-stays': 'of it is dark: there haze stays longest, and shows most',
  'feel-here': 'of it is light and even: there paper is overlooked. Feel for it, rough against smooth',
});

export const GOES_FIRST_WORDS: Readonly<Record<GoesFirst, string>> = said({
  edges: 'the edges',
  corners: 'the corners',
  knots: 'knots',
  grain: 'the highs of the grain',
  weave: 'the highs of the weave',
  hollows: 'the highs of the stone',
  folds: 'the folds',
  openings: 'the rims of holes and knobs',
  rims: 'the upper and lower rim',
});

export const CORNER_WORDS: Readonly<Record<Corner, string>> = said({
  'top-left': 'top left',
  'top-right': 'top right',
  'bottom-right': 'bottom right',
  'bottom-left': 'bottom left',
});

const TOOLS: Readonly<Record<SpotToolId, string>> = said({
  fingertip: 'fingertips in small circles',
  'soft-brush': 'a soft brush',
  'dry-fingertip': 'a dry fingertip',
  'flat-finger': 'the flat of a finger',
  'damp-cloth': 'a damp cloth over the fingertip',
  'craft-knife': 'a craft knife, cutting away from the hand',
});

/** The tool for a spot, and why. */
export const SPOT_WORDS: Readonly<Record<SpotId, (tool: SpotToolId) => string>> = {
  everywhere: (tool) => say`Everywhere: ${TOOLS[tool]}. They feel when paper ends and toner begins.`,
  dark: (tool) => say`Dark places, last pass: ${TOOLS[tool]}. It takes the last fibres without digging.`,
  'even-light': (tool) => say`Light, even places: ${TOOLS[tool]}. Paper feels rough there that no eye sees.`,
  edge: (tool) => say`Edges and corners: ${TOOLS[tool]}, from the rim inward, so that it can’t lift them.`,
  weave: (tool) => say`Dips of weave, grain and stone: ${TOOLS[tool]}. A fingertip only wears the highs.`,
  stubborn: (tool) => say`What stays: wet it anew, two minutes, then ${TOOLS[tool]}. Never a scouring pad.`,
  island: (tool) => say`Small islands of paper: lift them with ${TOOLS[tool]}.`,
};

/** Where a section lies in the whole: "top left", "middle", "bottom right". */
export function sectionPlace(box: RectMm, whole: RectMm): string {
  const third = (from: number, size: number, of: number) =>
    from + size / 2 < of / 3 ? 0 : from + size / 2 > (2 * of) / 3 ? 2 : 1;
  const down = [say`top`, '', say`bottom`][third(box.yMm - whole.yMm, box.heightMm, whole.heightMm)] ?? '';
  const across = [say`left`, '', say`right`][third(box.xMm - whole.xMm, box.widthMm, whole.widthMm)] ?? '';
  return [down, across].filter(Boolean).join(' ') || say`middle`;
}
