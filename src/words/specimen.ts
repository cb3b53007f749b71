import type { LayingGuide } from '@/core/coat';
import type { Layer } from '@/core/picture';
import { ringsBox, type Blank, type RectMm, type Ring } from '@/core/shape';
import type { Wording } from './units';
import { counted, listOf, remarks } from './text';
import { say } from './say';

/** What of a drawing is put in words. */
export interface Described {
  surface: string | null;
  blank: Blank | null;
  landed: readonly Ring[];
  /** What lies over the picture, each with its box. */
  layers: readonly Layer[];
  /** Degrees the grain is turned from running across; null where the surface has none, or paint hides it. */
  grainDeg: number | null;
}

const from = ({ xMm, yMm }: { xMm: number; yMm: number }, units: Wording): string =>
  say`${units.length(xMm)} from the left, ${units.length(yMm)} from the top`;

const sized = ({ widthMm, heightMm }: { widthMm: number; heightMm: number }, units: Wording): string =>
  say`${units.length(widthMm)} wide, ${units.length(heightMm)} high`;

/** The drawn piece for those who hear it: what is where, each in its own sentence. */
export function specimenWords({ surface, blank, landed, layers, grainDeg }: Described, units: Wording): string[] {
  if (!blank) return [say`The object is not measured yet.`];
  const told = [
    surface ? say`The object, ${surface}: ${sized(blank, units)}.` : say`The object: ${sized(blank, units)}.`,
  ];
  if (blank.parts.length > 1)
    told.push(say`It has ${blank.parts.length} parts. The first: ${sized(blank.parts[0]!.box, units)}.`);
  for (const { kind, diameterMm, ...at } of blank.openings)
    told.push(
      kind === 'knob'
        ? say`A knob of ${units.length(diameterMm)}. Its middle: ${from(at, units)}.`
        : say`A hole of ${units.length(diameterMm)}. Its middle: ${from(at, units)}.`,
    );
  if (grainDeg !== null) told.push(grainWords(grainDeg));
  if (landed.length > 0) told.push(...printWords(ringsBox(landed), blank, units));
  for (const layer of layers)
    told.push(
      `${remarks(
        layer.kind === 'text' ? say`Lettering “${layer.text}”` : say`A further picture`,
        sized(layer.box, units),
        from(layer.box, units),
      )}.`,
    );
  return told;
}

function grainWords(deg: number): string {
  if (Math.abs(deg) < 1) return say`Grain runs across, left to right.`;
  if (Math.abs(Math.abs(deg) - 90) < 1) return say`Grain runs upright.`;
  return deg > 0
    ? say`Grain is turned ${Math.round(deg)}° clockwise from running across.`
    : say`Grain is turned ${Math.round(-deg)}° anticlockwise from running across.`;
}

function printWords(print: RectMm, blank: Blank, units: Wording): string[] {
  const right = blank.widthMm - print.xMm - print.widthMm;
  const bottom = blank.heightMm - print.yMm - print.heightMm;
  return [
    say`The print: ${sized(print, units)}.`,
    say`It lies ${units.length(print.xMm)} from the left and ${units.length(print.yMm)} from the top;
      ${units.length(Math.max(0, right))} are left at the right and ${units.length(Math.max(0, bottom))} at the
      foot.`,
  ];
}

/** The laying guide as a list: where to pour, and each stroke with its way. */
export function guideWords({ blocks }: LayingGuide, units: Wording): string[] {
  return blocks.flatMap(({ pour, scrapes }, index) => [
    blocks.length > 1
      ? say`Part ${index + 1}: pour ${units.length(pour.xMm)} from the left, ${units.length(pour.yMm)} from the top.`
      : say`Pour ${units.length(pour.xMm)} from the left, ${units.length(pour.yMm)} from the top.`,
    say`Then ${counted(scrapes.length, 'stroke', 'strokes')} outwards: ${[...scrapes]
      .sort((a, b) => a.order - b.order)
      .map(strokeWay)
      .join(', ')}.`,
  ]);
}

const LEAST_SHARE = 0.38;
function strokeWay({ x1, y1, x2, y2 }: { x1: number; y1: number; x2: number; y2: number }): string {
  const [dx, dy] = [x2 - x1, y2 - y1];
  const along = Math.hypot(dx, dy);
  const ways = [
    Math.abs(dy) > along * LEAST_SHARE && (dy < 0 ? say`up` : say`down`),
    Math.abs(dx) > along * LEAST_SHARE && (dx < 0 ? say`left` : say`right`),
  ];
  return listOf(ways.filter((way) => way !== false));
}
