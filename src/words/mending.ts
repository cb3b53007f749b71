import { TOUCH } from '@/core/colour';
import type { PigmentId } from '@/core/craft';
import type { HoleMix, StopPoint, WayOut } from '@/core/advice';
import type { WearPlace } from '@/core/mend';
import { formatDuration } from './figures';
import { counted, listOf } from './text';
import { said, say } from './say';

export const PIGMENT_NAMES: Readonly<Record<PigmentId, string>> = said({
  'titanium-white': 'titanium white',
  'carbon-black': 'carbon black',
  'hansa-yellow': 'hansa yellow',
  'yellow-ochre': 'yellow ochre',
  'naphthol-red': 'naphthol red',
  'quinacridone-magenta': 'quinacridone magenta',
  'ultramarine-blue': 'ultramarine blue',
  'phthalo-blue': 'phthalo blue',
  'phthalo-green': 'phthalo green',
  'burnt-sienna': 'burnt sienna',
  'burnt-umber': 'burnt umber',
  'raw-umber': 'raw umber',
});

/** "6 parts titanium white, 1 burnt umber and a touch of black". */
export function mixWords({ mix: { parts } }: HoleMix): string {
  const sorted = [...parts].sort((a, b) => b.parts - a.parts);
  if (sorted.length === 1) return say`${PIGMENT_NAMES[sorted[0]!.paint.id]}, as it is`;
  const amount = (part: (typeof sorted)[number], at: number) =>
    part.parts <= TOUCH
      ? say`a touch of ${PIGMENT_NAMES[part.paint.id]}`
      : `${at === 0 ? counted(part.parts, 'part', 'parts') : part.parts} ${PIGMENT_NAMES[part.paint.id]}`;
  return listOf(sorted.map(amount));
}

const VISIBLE_OFF = 6;
/** Where the paints there are can't meet a colour. */
export const mixDoubt = ({ mix: { off } }: HoleMix): string | null =>
  off > VISIBLE_OFF ? say`It will be seen: no mix of these paints comes nearer. Try it on paper first.` : null;

export const STOP_POINT_WORDS: Readonly<Record<StopPoint['reason'], string>> = said({
  'too-much': 'So much of it is gone that painting it in is painting it anew.',
  'too-large': 'One hole is too large to be painted in unseen.',
  lettering: 'It is gone in lettering: a brush can’t put print back.',
});
const WAYS: Readonly<Record<WayOut, string>> = said({
  trace: 'Trace the lettering from a spare print, and fill it with a fine brush or marker',
  cover: 'Cover it: sand it back, and paint the face over',
  'print-again': 'Print again: cover it, and lay another print',
});
export const wayOutWords = ({ way, handsMinutes, waitHours }: StopPoint['ways'][number]): string =>
  say`${WAYS[way]}: ${formatDuration(handsMinutes / 60)} of hands, ${formatDuration(waitHours)} of waiting.`;

export const WEAR_NAMES: Readonly<Record<WearPlace, string>> = said({
  edges: 'Edges',
  corners: 'Corners',
  'all-over': 'All over',
});

/** What is to be worn off, and how. @param area in words */
export function wearWanted(where: WearPlace, area: string): string {
  switch (where) {
    case 'edges':
      return say`${area} along the edges, drawn as specks: 320 grit or steel wool, dry, with a mask.`;
    case 'corners':
      return say`${area} in the corners, drawn as specks: 320 grit or steel wool, dry, with a mask.`;
    case 'all-over':
      return say`${area} all over, drawn as specks: 320 grit or steel wool, dry, with a mask.`;
  }
}
