import type { Placement } from '@/core/trace';
import { counted, listOf, remarks } from './text';
import type { Wording } from './units';
import { said, say } from './say';

const FORMS = said({
  rectangle: 'A board with four corners',
  round: 'A round one',
  oval: 'An oval one',
  outline: 'A shape of its own',
} as const);

/** What a photo of the blank told, to be looked at before it is taken. */
export function tracedWords(
  {
    board: { form, widthMm, heightMm, outline },
    face: { grainDeg, knots },
  }: {
    board: { form: keyof typeof FORMS; widthMm: number; heightMm: number; outline: readonly unknown[] };
    face: { grainDeg: number | null; knots: readonly unknown[] };
  },
  units: Wording,
): string {
  const tells = [
    `${remarks(
      FORMS[form],
      form === 'outline' && say`${outline.length} points`,
      form === 'round' ? units.length(widthMm) : units.size(widthMm, heightMm),
    )}.`,
  ];
  if (grainDeg !== null)
    tells.push(
      Math.abs(grainDeg) < 1
        ? say`Its grain runs across.`
        : say`Its grain is turned ${Math.round(grainDeg)}° from across.`,
    );
  if (knots.length > 0) tells.push(say`${counted(knots.length, 'knot', 'knots')} or dark places.`);
  return tells.join(' ');
}

/** By quarter turns clockwise. */
const TURNS = said(['As it lies', 'A quarter turn clockwise', 'End for end', 'A quarter turn back']);

/** One way the blank may lie, by what is done and what comes of it. */
export function placementWords(
  { turns, mirrored, shiftXMm, shiftYMm, offGrainDeg, knotsMarked, knotsPale, knotsUnder }: Placement,
  units: Wording,
): string {
  const done = [
    TURNS[turns],
    mirrored && say`the picture mirrored`,
    Math.abs(shiftXMm) >= 1 &&
      (shiftXMm > 0
        ? say`the print ${units.length(Math.abs(shiftXMm))} to the right`
        : say`the print ${units.length(Math.abs(shiftXMm))} to the left`),
    Math.abs(shiftYMm) >= 1 &&
      (shiftYMm > 0 ? say`${units.length(Math.abs(shiftYMm))} down` : say`${units.length(Math.abs(shiftYMm))} up`),
  ].filter((text): text is string => Boolean(text));
  const comes = [
    knotsMarked > 0 && say`${counted(knotsMarked, 'knot', 'knots')} under a face`,
    knotsPale > 0 && say`${counted(knotsPale, 'knot', 'knots')} under pale parts`,
    knotsMarked + knotsPale === 0 &&
      (knotsUnder === 0 ? say`no knot under the print` : say`knots only under dark parts`),
    offGrainDeg !== null &&
      (offGrainDeg < 10 ? say`grain with the picture’s lines` : say`grain ${Math.round(offGrainDeg)}° off its lines`),
  ].filter((text): text is string => text !== false);
  return `${listOf(done)}: ${comes.join(', ')}.`;
}
