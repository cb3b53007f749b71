/**
 * Whether the four edges that were found are the sheet's own. A seam, a stripe, a shadow or another paper beside the
 * sheet makes a line as clear as its edge, and a size taken from it is off by as much as it lies beside. So each edge is
 * held to what must be true of it, whatever it lies on: inside of it there is paper, even all the way to it, wherever
 * nothing was printed; and outside of it there is no more paper, darker by a shadow, that ends at a line of its own.
 */
import { channelOf, project, sample, type Gray, type Homography, type Rgba } from '@/core/photo';
import { DENSITY } from './expected-page';

/** Each edge is looked at in stretches, each at so many places. */
const STRETCHES = 6;
const PLACES = 20;
const STEP_MM = 0.4;
const INSIDE_MM = 5;
/** How far out a rival may lie, share of the sheet. */
const OUTSIDE_SHARE = 0.1;
/** Steps are told between two means of so many lines, so far apart, lines. */
const WIDE = 2;
const GAP = 1;
/** Paper steps by less than this towards its edge, all stretches but one; a single stretch by less than that. */
const EVEN = 0.03;
const PLAINLY_UNEVEN = 0.12;
/** Of a stretch, places where nothing was printed: fewer tell nothing. */
const LEAST_WHITE = 0.6;
/** Paper in a shadow is coloured like paper, even along its edge, and ends in a step. */
const LIKE_PAPER = 0.05;
const EVEN_ALONG = 0.05;
const RIVAL_STEP = 0.06;
const RIVAL_STRETCHES = 3;
/** Nearer lines are the edge's own blur. */
const OWN_BLUR_MM = 1;

interface Line {
  /** Means of the three channels, and how much their mean differs along the line. */
  mean: readonly [number, number, number];
  level: number;
  spread: number;
  white: number;
}

/** @param isWhite whether nothing was printed at a place of the sheet laid flat, pixels at `DENSITY` */
export function edgesAreSure(
  photo: Rgba,
  h: Homography,
  { width, height }: { width: number; height: number },
  isWhite: (x: number, y: number) => boolean,
): boolean {
  const channels = ([0, 1, 2] as const).map((channel) => channelOf(photo, channel));
  const placeOf = [
    (along: number, out: number) => ({ x: along * width, y: -out }),
    (along: number, out: number) => ({ x: width + out, y: along * height }),
    (along: number, out: number) => ({ x: along * width, y: height + out }),
    (along: number, out: number) => ({ x: -out, y: along * height }),
  ];
  return placeOf.every((place, side) => {
    const deep = (side % 2 === 0 ? height : width) * OUTSIDE_SHARE;
    const first = Math.round((-INSIDE_MM * DENSITY) / (STEP_MM * DENSITY));
    const count = Math.floor(deep / (STEP_MM * DENSITY)) - first;
    const stretches = Array.from({ length: STRETCHES }, (_, stretch) =>
      Array.from({ length: count }, (_, at) =>
        lineAt(
          channels,
          h,
          (share) => place(0.03 + (0.94 * (stretch + share)) / STRETCHES, (first + at) * STEP_MM * DENSITY),
          isWhite,
        ),
      ),
    );
    return paperRunsTo(stretches, -first) && !paperRunsOn(stretches, -first);
  });
}

function lineAt(
  channels: readonly Gray[],
  h: Homography,
  place: (share: number) => { x: number; y: number },
  isWhite: (x: number, y: number) => boolean,
): Line {
  const sums = [0, 0, 0];
  let [squares, white, seen] = [0, 0, 0];
  for (let at = 0; at < PLACES; at++) {
    const { x, y } = place((at + 0.5) / PLACES);
    const on = project(h, x, y);
    const [photo] = channels;
    if (on.x < 0 || on.y < 0 || on.x > photo.width || on.y > photo.height) continue;
    const level = channels.map((channel) => sample(channel, on.x, on.y));
    level.forEach((value, channel) => {
      sums[channel] += value;
    });
    const mean = (level[0] + level[1] + level[2]) / 3;
    squares += mean * mean;
    white += Number(isWhite(x, y));
    seen++;
  }
  const [red, green, blue] = sums.map((sum) => sum / Math.max(1, seen)) as [number, number, number];
  const level = (red + green + blue) / 3;
  return {
    mean: [red, green, blue],
    level: seen < PLACES / 2 ? NaN : level,
    spread: Math.sqrt(Math.max(0, squares / Math.max(1, seen) - level * level)),
    white: white / PLACES,
  };
}

/** How much darker a line is than those before it, share; negative where it is lighter. */
function stepAt(lines: readonly Line[], at: number): number {
  const mean = (from: number) => {
    let sum = 0;
    for (let line = from; line < from + WIDE; line++) sum += lines[line]?.level ?? NaN;
    return sum / WIDE;
  };
  return 1 - mean(at + GAP) / mean(at - GAP - WIDE + 1);
}

/** Inside of an edge the paper is even up to it. @param edge which line it is */
function paperRunsTo(stretches: readonly (readonly Line[])[], edge: number): boolean {
  const last = edge - Math.ceil(OWN_BLUR_MM / STEP_MM) - GAP - WIDE + 1;
  const steps = stretches.map((lines) => {
    let most = 0;
    for (let at = GAP + WIDE - 1; at <= last; at++) {
      const looked = lines.slice(at - GAP - WIDE + 1, at + GAP + WIDE);
      if (looked.every(({ white }) => white >= LEAST_WHITE)) most = Math.max(most, Math.abs(stepAt(lines, at)));
    }
    return most;
  });
  return steps.filter((step) => step > EVEN).length < 2 && steps.every((step) => step < PLAINLY_UNEVEN);
}

/** Outside of an edge there is paper still, in a shadow, and its end. */
function paperRunsOn(stretches: readonly (readonly Line[])[], edge: number): boolean {
  const [near, far] = [Math.ceil(OWN_BLUR_MM / STEP_MM), Math.ceil((3 * OWN_BLUR_MM) / STEP_MM)];
  const runs = stretches.filter((lines) => {
    const paper = lines[edge - near - 1];
    const beside = lines.slice(edge + near, edge + far);
    const isLikePaper = beside.every(
      ({ mean, level, spread }) =>
        spread < EVEN_ALONG &&
        mean.every((value, channel) => Math.abs(value / level - paper.mean[channel] / paper.level) < LIKE_PAPER),
    );
    if (!isLikePaper) return false;
    for (let at = edge + far; at < lines.length - GAP - WIDE; at++) if (stepAt(lines, at) > RIVAL_STEP) return true;
    return false;
  });
  return runs.length >= RIVAL_STRETCHES;
}
