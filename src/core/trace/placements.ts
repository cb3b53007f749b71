/**
 * Which way a traced blank lies best under a picture: turned by quarters where its outline allows, the print shifted
 * within its margins, the picture mirrored where nothing on it reads, so that grain runs with the picture's lines, and
 * knots come under neither a marked part nor a pale subject. Every way is weighed; the best and the next ones that
 * differ are proposed.
 */
import type { Crop } from '@/core/picture';

export interface PlacedOn {
  /** The blank, mm, as it lies now. */
  blank: { widthMm: number; heightMm: number };
  /** It comes to lie on itself after a quarter turn. */
  isSquare: boolean;
  /** The print on it. */
  print: { xMm: number; yMm: number; widthMm: number; heightMm: number };
  /** As it was traced, unturned: shares of the face. */
  face: { grainDeg: number | null; knots: readonly { x: number; y: number; radius: number }[] };
  /** Of the picture: the way its lines run and how much they do, 0–1. */
  lines: { angleDeg: number; coherence: number } | null;
  /** In shares of the print: what is to be kept clear, and what is pale. */
  keepClear: readonly Crop[];
  pale: readonly Crop[];
  /** Nothing on the picture must read: it may land mirrored. */
  mayMirror: boolean;
  /** So much is left bare at the least on each side. */
  leastMarginMm: number;
}

export interface Placement {
  turns: 0 | 1 | 2 | 3;
  /** The picture itself is mirrored: its left lands on the right. */
  mirrored: boolean;
  /** How far the print is moved on the blank, mm. */
  shiftXMm: number;
  shiftYMm: number;
  /** Degrees between grain and lines; null where one of them has no way. */
  offGrainDeg: number | null;
  /** Knots under a marked part, under a pale one, and under the print. */
  knotsMarked: number;
  knotsPale: number;
  knotsUnder: number;
  cost: number;
}

const PROPOSED = 3;
const SHIFTS = 6;
/** What a knot costs under a marked part, a pale one, elsewhere under the print; grain across the lines; moving it. */
const MARKED = 12;
const PALE = 3;
const UNDER = 0.25;
const ACROSS = 2;
const MOVED_PER_MM = 0.004;
const TURNED = 0.05;
const MIRRORED = 0.3;
/** So far round a knot the grain is bent, in its radii. */
const REACH = 1.5;
/** Placements nearer to each other are one. */
const SAME_MM = 8;

type Turn = 0 | 1 | 2 | 3;

/** @returns the best first; up to three that differ by a turn or a shift to be seen */
export function proposePlacements(on: PlacedOn): Placement[] {
  const turns: readonly Turn[] = on.isSquare ? [0, 1, 2, 3] : [0, 2];
  const { blank, print, leastMarginMm: least } = on;
  const across = shiftsAlong(print.xMm, blank.widthMm - print.xMm - print.widthMm, least);
  const down = shiftsAlong(print.yMm, blank.heightMm - print.yMm - print.heightMm, least);
  const pictures = on.mayMirror ? [on, mirroredOn(on)] : [on];
  const all = pictures
    .flatMap((picture) =>
      turns.flatMap((turn) => across.flatMap((x) => down.map((y) => weighed(picture, turn, x, y, picture !== on)))),
    )
    .sort((a, b) => a.cost - b.cost);
  const best: Placement[] = [];
  for (const one of all) {
    if (best.length === PROPOSED) break;
    const isNew = best.every(
      ({ turns: turn, mirrored, shiftXMm, shiftYMm }) =>
        turn !== one.turns ||
        mirrored !== one.mirrored ||
        Math.hypot(shiftXMm - one.shiftXMm, shiftYMm - one.shiftYMm) >= SAME_MM,
    );
    if (isNew) best.push(one);
  }
  return best;
}

const mirroredBox = (box: Crop): Crop => ({ ...box, x: 1 - box.x - box.width });
const mirroredOn = (on: PlacedOn): PlacedOn => ({
  ...on,
  lines: on.lines && { ...on.lines, angleDeg: 180 - on.lines.angleDeg },
  keepClear: on.keepClear.map(mirroredBox),
  pale: on.pale.map(mirroredBox),
});

/** A choice of picture as it is once the picture is mirrored under a new id: crop, turns and marked parts go along. */
export function mirroredChoice<
  C extends { crop: Crop; turns: number; straightenDeg: number; keepClear: readonly Crop[] },
>({ crop, turns, straightenDeg, keepClear }: C) {
  return {
    crop: mirroredBox(crop),
    turns: (4 - turns) % 4,
    // No minus zero: it is another value to whoever compares records.
    straightenDeg: straightenDeg === 0 ? 0 : -straightenDeg,
    keepClear: keepClear.map(mirroredBox),
  };
}

/** No shift, and some to both sides, down to the least margin. */
function shiftsAlong(before: number, after: number, least: number): number[] {
  const [back, forth] = [Math.max(0, before - least), Math.max(0, after - least)];
  const steps = Array.from({ length: SHIFTS }, (_, k) => (k + 1) / SHIFTS);
  return [
    0,
    ...(back > 1 ? steps.map((step) => -back * step) : []),
    ...(forth > 1 ? steps.map((step) => forth * step) : []),
  ];
}

/** Where a place of the face lies once it has been turned, in shares of the turned face. */
export function turnedShare(x: number, y: number, turns: Turn): { x: number; y: number } {
  if (turns === 1) return { x: 1 - y, y: x };
  if (turns === 2) return { x: 1 - x, y: 1 - y };
  return turns === 3 ? { x: y, y: 1 - x } : { x, y };
}

function weighed(on: PlacedOn, turns: Turn, shiftXMm: number, shiftYMm: number, mirrored: boolean): Placement {
  const { blank, print, face, lines } = on;
  const at = { xMm: print.xMm + shiftXMm, yMm: print.yMm + shiftYMm };
  const knots = face.knots.map(({ x, y, radius }) => {
    const place = turnedShare(x, y, turns);
    return {
      x: (place.x * blank.widthMm - at.xMm) / print.widthMm,
      y: (place.y * blank.heightMm - at.yMm) / print.heightMm,
      reachMm: radius * blank.widthMm * REACH,
    };
  });
  const under = (box: Crop) =>
    knots.filter(({ x, y, reachMm }) => {
      const [dx, dy] = [
        Math.max(box.x - x, 0, x - box.x - box.width) * print.widthMm,
        Math.max(box.y - y, 0, y - box.y - box.height) * print.heightMm,
      ];
      return Math.hypot(dx, dy) < reachMm;
    }).length;
  const count = (boxes: readonly Crop[]) => boxes.reduce((sum, box) => sum + under(box), 0);
  const grainDeg = face.grainDeg === null ? null : face.grainDeg + 90 * turns;
  const offGrainDeg = grainDeg === null || lines === null ? null : between(grainDeg, lines.angleDeg);
  const [knotsMarked, knotsPale, knotsUnder] = [
    count(on.keepClear),
    count(on.pale),
    under({ x: 0, y: 0, width: 1, height: 1 }),
  ];
  const across =
    offGrainDeg === null || lines === null
      ? 0
      : ACROSS * lines.coherence * Math.sin((offGrainDeg * Math.PI) / 180) ** 2;
  return {
    turns,
    mirrored,
    shiftXMm,
    shiftYMm,
    offGrainDeg,
    knotsMarked,
    knotsPale,
    knotsUnder,
    cost:
      MARKED * knotsMarked +
      PALE * knotsPale +
      UNDER * knotsUnder +
      across +
      MOVED_PER_MM * (Math.abs(shiftXMm) + Math.abs(shiftYMm)) +
      (turns === 0 ? 0 : TURNED) +
      (mirrored ? MIRRORED : 0),
  };
}

/** Between two ways without direction, 0–90°. */
function between(a: number, b: number): number {
  const off = Math.abs(a - b) % 180;
  return Math.min(off, 180 - off);
}
