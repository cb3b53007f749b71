/**
 * Reads a photo or scan of a printed page back: finds the sheet, undoes turn and perspective by its known size, and
 * lays what was found over what was sent, right way round and turned over, for every page. From the fit follow
 * mirroring, size, page, darkness and what is cut off. The size is told only where it can be: of a flat sheet with four
 * edges in view on something darker, or of a scan whose file says its density.
 */
import { fail, ok, type Result } from '@/core/shared';
import type { RectMm, SizeMm } from '@/core/shape';
import {
  channelOf,
  grayOf,
  homographyOf,
  mirroredGray,
  project,
  reduced,
  sample,
  solve,
  standingOut,
  type Gray,
  type Homography,
  type Point,
  type Rgba,
} from '@/core/photo';
import { DENSITY, type ExpectedPage } from './expected-page';
import { INKED, cutSides, type Spot } from './cut-sides';
import type { Density } from './density';
import { findPage, type FoundPage } from './page-quad';
import { edgesAreSure } from './sure-edges';
import { atDensity, coarse, fine, likeness, slopesOf, type Affine, type Slopes } from './register';
import type { ProofReading, SizeUnread } from './verdict';

export type ProofCode = 'proof-no-page' | 'proof-no-marks' | 'proof-lamp';

const COARSE_BY = 4;
const MIDDLE_BY = 2;
const OUT_RADIUS_MM = 9;
const LEAST_SPREAD = 0.03;
const COARSE_REACH_PX = 1;
const TRIED_FINELY = 5;
const MIDDLE_ROUNDS = 10;
const LAST_ROUNDS = 3;
const SAME: Affine = [1, 0, 0, 0, 1, 0];
/** Pages nearer to a square are tried every way round. */
const SQUARISH = 0.12;
/** A page's own marks fit at least this well; another picture's never do. Found on drawn photos. */
const LEAST_MATCH = 0.3;
const LEAST_STRIP_MATCH = 0.25;
const LEAST_PICTURE_MATCH = 0.3;
/** A size is told only of what is seen clearly: clear photos of soft pictures fit by 0.57 and more. */
const LEAST_SIZE_MATCH = 0.55;
const CLOSE_MATCH = 0.25;
const SCAN_ASPECT_TOLERANCE = 0.05;

interface Standing {
  full: Gray;
  middle: Gray;
  coarse: Gray;
}
/** An expected page, as it is or turned over, with what its slopes are found once. */
interface Sent extends Standing {
  slopes: { middle: Slopes; full: Slopes };
}
interface Hypothesis {
  page: number;
  flipped: boolean;
  turn: number;
  change: Affine;
  match: number;
}

function standing(gray: Gray): Standing {
  const radius = OUT_RADIUS_MM * DENSITY;
  const make = (by: number) => standingOut(reduced(gray, by), Math.round(radius / by), LEAST_SPREAD);
  return { full: make(1), middle: make(MIDDLE_BY), coarse: make(COARSE_BY) };
}

/** @param photo of up to a few megapixels; @param density its pixels a millimetre, where its file says so */
export function readProof(
  photo: Rgba,
  pages: readonly ExpectedPage[],
  density: Density | null = null,
): Result<ProofReading, ProofCode> {
  const gray = grayOf(photo);
  const [{ page }] = pages;
  const sheet = findPage(gray);
  const corners = sheet?.corners ?? wholeScan(gray, page);
  if (!corners) return fail('proof-no-page', 'expected a sheet with four edges in view');
  const size = { width: Math.round(page.widthMm * DENSITY), height: Math.round(page.heightMm * DENSITY) };
  const [right, bottom] = [page.widthMm * DENSITY, page.heightMm * DENSITY];
  const frame: Point[] = [
    { x: 0, y: 0 },
    { x: right, y: 0 },
    { x: right, y: bottom },
    { x: 0, y: bottom },
  ];
  const turns = [0, 1, 2, 3].map((turn) =>
    homographyOf(
      frame,
      frame.map((_, i) => corners[(i + turn) % 4]),
    ),
  );
  const found = turns.map((h, turn) => (h && suits(corners, page, turn) ? standing(flattened(gray, h, size)) : null));
  const expected = pages.map(({ raster }) => {
    const upright = grayOf(raster);
    return [sentPage(upright), sentPage(mirroredGray(upright))];
  });

  const rough: Hypothesis[] = [];
  for (let page = 0; page < pages.length; page++)
    for (const flipped of [false, true])
      for (let turn = 0; turn < 4; turn++) {
        const seen = found[turn];
        if (!seen) continue;
        const { change, likeness: match } = coarse(
          expected[page][Number(flipped)].coarse,
          seen.coarse,
          COARSE_REACH_PX,
          false,
        );
        rough.push({ page, flipped, turn, change, match });
      }
  const refined = rough
    .sort((a, b) => b.match - a.match)
    .slice(0, TRIED_FINELY)
    .map((guess): Hypothesis => {
      const roughly = coarse(
        expected[guess.page][Number(guess.flipped)].coarse,
        (found[guess.turn] as Standing).coarse,
        COARSE_REACH_PX,
        true,
      );
      const one = { ...guess, change: atDensity(roughly.change, COARSE_BY / MIDDLE_BY) };
      const [sent, seen] = [expected[one.page][Number(one.flipped)].middle, (found[one.turn] as Standing).middle];
      const change = fine(expected[one.page][Number(one.flipped)].slopes.middle, seen, one.change, MIDDLE_ROUNDS);
      return { ...one, change, match: likeness(sent, seen, change) };
    })
    .sort((a, b) => b.match - a.match);
  if (refined.length === 0 || refined[0].match < LEAST_MATCH)
    return fail('proof-no-marks', `expected a page of the print, best match ${refined[0]?.match.toFixed(2)}`);
  const best = refined.reduce((leader, other) =>
    other !== leader && leader.match - other.match < CLOSE_MATCH && tellsApart(leader, other, expected, found)
      ? other
      : leader,
  );

  const h = turns[best.turn] as Homography;
  const sent = expected[best.page][Number(best.flipped)];
  // What stands out depends on the surroundings' size: laid over at its own size once it is nearly known, the last of
  // the error goes.
  let change = atDensity(best.change, MIDDLE_BY);
  let seen = (found[best.turn] as Standing).full;
  for (let round = 0; round < LAST_ROUNDS; round++) {
    seen = standingOut(flattened(gray, h, size, change), OUT_RADIUS_MM * DENSITY, LEAST_SPREAD);
    change = composed(change, fine(sent.slopes.full, seen, SAME));
  }
  const own = pages[best.page];
  const strip = stripMatch(own, best.flipped, sent.full, seen);
  if (strip < LEAST_STRIP_MATCH)
    return fail('proof-no-marks', `expected the marks of a page, found only its picture: ${strip.toFixed(2)}`);
  const drawn = pictureMatch(own, best.flipped, sent.full, seen);
  if (drawn < LEAST_PICTURE_MATCH)
    return fail('proof-no-marks', `expected the picture of a page, found only its marks: ${drawn.toFixed(2)}`);
  const match = likeness(sent.full, seen, SAME);
  const sizeUnread =
    match < LEAST_SIZE_MATCH
      ? 'unclear'
      : (unreadSize(sheet, { photo, page: own.page, density }) ??
        (sheet && !edgesAreSure(photo, h, size, whitenessOf(own, best.flipped, change)) ? 'no-edges' : null));
  const [across, along] = [Math.hypot(change[0], change[3]), Math.hypot(change[1], change[4])];
  const { veiled, ...levels } = levelsOf(photo, own, best.flipped, h, change);
  if (veiled && sizeUnread === 'unclear')
    return fail('proof-lamp', `expected the page clear of a lamp, found its picture by ${match.toFixed(2)}`);
  const [from, to] = [project(h, size.width * 0.25, size.height / 2), project(h, size.width * 0.75, size.height / 2)];
  return ok({
    page: best.page,
    flipped: best.flipped,
    across: sizeUnread ? null : own.landscape ? along : across,
    along: sizeUnread ? null : own.landscape ? across : along,
    sizeUnread,
    turnDeg: (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI,
    match,
    ...levels,
  });
}

/** Whether nothing was printed at a place of the sheet as it was found, laid flat: pixels at `DENSITY`. */
function whitenessOf(
  { raster }: ExpectedPage,
  flipped: boolean,
  [a, b, c, d, e, f]: Affine,
): (x: number, y: number) => boolean {
  const upright = grayOf(raster);
  const sent = flipped ? mirroredGray(upright) : upright;
  const det = a * e - b * d;
  return (x, y) => {
    const [px, py] = [(e * (x - c) - b * (y - f)) / det, (a * (y - f) - d * (x - c)) / det];
    for (let dy = -NEAR_INK_PX; dy <= NEAR_INK_PX; dy += NEAR_INK_PX)
      for (let dx = -NEAR_INK_PX; dx <= NEAR_INK_PX; dx += NEAR_INK_PX)
        if (sample(sent, px + dx, py + dy) < WHITE) return false;
    return true;
  };
}
const NEAR_INK_PX = 2;

function sentPage(gray: Gray): Sent {
  const stands = standing(gray);
  return { ...stands, slopes: { middle: slopesOf(stands.middle), full: slopesOf(stands.full) } };
}

/** First `inner`, then `outer`. */
const composed = (outer: Affine, inner: Affine): Affine => [
  outer[0] * inner[0] + outer[1] * inner[3],
  outer[0] * inner[1] + outer[1] * inner[4],
  outer[0] * inner[2] + outer[1] * inner[5] + outer[2],
  outer[3] * inner[0] + outer[4] * inner[3],
  outer[3] * inner[1] + outer[4] * inner[4],
  outer[3] * inner[2] + outer[4] * inner[5] + outer[5],
];

/** Whether the sheet, turned so, has the page's way round: a long side must not lie on a short one. */
function suits(corners: readonly Point[], page: SizeMm, turn: number): boolean {
  const side = (i: number) =>
    Math.hypot(corners[(i + 1) % 4].x - corners[i % 4].x, corners[(i + 1) % 4].y - corners[i % 4].y);
  const seen = Math.log((side(turn) + side(turn + 2)) / (side(turn + 1) + side(turn + 3)));
  const wanted = Math.log(page.widthMm / page.heightMm);
  return Math.abs(wanted) < SQUARISH || Math.abs(seen - wanted) < Math.abs(seen + wanted);
}

/** Share of an edge that a sheet may bow and still be measured: flat ones stay under a fifth of it. */
const MOST_BOW = 0.002;
/** A scan's own density has to make its pixels the page, by so much. */
const DENSITY_TOLERANCE = 0.01;

/** Why the size can't be told; null where it can. */
function unreadSize(
  sheet: FoundPage | null,
  { photo, page, density }: { photo: Rgba; page: SizeMm; density: Density | null },
): SizeUnread | null {
  if (sheet) return sheet.bow > MOST_BOW ? 'not-flat' : null;
  if (!density) return 'no-edges';
  const [widthMm, heightMm] = [photo.width / density.xPerMm, photo.height / density.yPerMm];
  const isPage = (width: number, height: number) =>
    Math.abs(widthMm / width - 1) < DENSITY_TOLERANCE && Math.abs(heightMm / height - 1) < DENSITY_TOLERANCE;
  return isPage(page.widthMm, page.heightMm) || isPage(page.heightMm, page.widthMm) ? null : 'no-edges';
}

/** Without a darker ground round it, a scan whose sides are as the page's is the page. */
function wholeScan({ data, width, height }: Gray, page: SizeMm): Point[] | null {
  const aspects = [page.widthMm / page.heightMm, page.heightMm / page.widthMm];
  if (aspects.every((aspect) => Math.abs(width / height / aspect - 1) > SCAN_ASPECT_TOLERANCE)) return null;
  const rim = [
    ...Array.from({ length: width }, (_, x) => data[x]),
    ...Array.from({ length: width }, (_, x) => data[(height - 1) * width + x]),
    ...Array.from({ length: height }, (_, y) => data[y * width]),
    ...Array.from({ length: height }, (_, y) => data[y * width + width - 1]),
  ];
  const light = rim.sort((a, b) => a - b)[Math.floor(rim.length * 0.1)];
  return light > 0.75
    ? [
        { x: 0, y: 0 },
        { x: width, y: 0 },
        { x: width, y: height },
        { x: 0, y: height },
      ]
    : null;
}

/** The sheet laid flat at `DENSITY`, each pixel the mean of four looks. */
function flattened(
  gray: Gray,
  h: Homography,
  { width, height }: { width: number; height: number },
  [a, b, c, d, e, f]: Affine = SAME,
): Gray {
  const data = new Float32Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let sum = 0;
      for (let look = 0; look < 4; look++) {
        const sx = x + 0.25 + 0.5 * (look & 1);
        const sy = y + 0.25 + 0.5 * (look >> 1);
        const ex = a * sx + b * sy + c;
        const ey = d * sx + e * sy + f;
        const w = h[6] * ex + h[7] * ey + 1;
        sum += sample(gray, (h[0] * ex + h[1] * ey + h[2]) / w, (h[3] * ex + h[4] * ey + h[5]) / w);
      }
      data[y * width + x] = sum / 4;
    }
  return { data, width, height };
}

/** Of two readings of the same turn: whether the other fits better where the two would differ. */
function tellsApart(
  leader: Hypothesis,
  other: Hypothesis,
  expected: readonly Sent[][],
  found: readonly (Standing | null)[],
): boolean {
  if (leader.turn !== other.turn) return false;
  const [one, two] = [
    expected[leader.page][Number(leader.flipped)].middle,
    expected[other.page][Number(other.flipped)].middle,
  ];
  if (one.width !== two.width || one.height !== two.height) return false;
  const weights = {
    ...one,
    data: one.data.map((value, i) => (Math.abs(value - two.data[i]) > 0.5 ? Math.abs(value - two.data[i]) : 0)),
  };
  const seen = (found[leader.turn] as Standing).middle;
  return likeness(two, seen, other.change, 1, weights) > likeness(one, seen, leader.change, 1, weights);
}

/** How alike the strip with bar, words and map is: a page is told by its own marks. */
const stripMatch = ({ strip, page }: ExpectedPage, flipped: boolean, sent: Gray, seen: Gray): number =>
  matchWithin([strip], { page, flipped, insetMm: 0 }, sent, seen);

/** How alike the pictures are, without their rims: a rectangle alone is like any other of its size. */
const pictureMatch = ({ places, page }: ExpectedPage, flipped: boolean, sent: Gray, seen: Gray): number =>
  matchWithin(places, { page, flipped, insetMm: PICTURE_INSET_MM }, sent, seen);

const PICTURE_INSET_MM = 3;

function matchWithin(
  rects: readonly RectMm[],
  { page, flipped, insetMm }: { page: SizeMm; flipped: boolean; insetMm: number },
  sent: Gray,
  seen: Gray,
): number {
  const weights = new Float32Array(sent.data.length);
  for (const { xMm, yMm, widthMm, heightMm } of rects) {
    const left = (flipped ? page.widthMm - xMm - widthMm : xMm) + insetMm;
    const [right, top, bottom] = [left + widthMm - 2 * insetMm, yMm + insetMm, yMm + heightMm - insetMm];
    for (let y = Math.max(0, Math.round(top * DENSITY)); y < Math.min(sent.height, bottom * DENSITY); y++)
      for (let x = Math.max(0, Math.round(left * DENSITY)); x < Math.min(sent.width, right * DENSITY); x++)
        weights[y * sent.width + x] = 1;
  }
  return likeness(sent, seen, SAME, 1, { ...sent, data: weights });
}

const LEVEL_STEP = 3;
const WHITE = 0.965;
/** A camera's own contrast may make more of it. */
const MOST_DARKNESS = 1.1;

/**
 * Darkness and colour that came out, against white paper in the same light; and sides where what should be dark is
 * white.
 */
function levelsOf(
  photo: Rgba,
  { raster, page, places }: ExpectedPage,
  flipped: boolean,
  h: Homography,
  [a, b, c, d, e, f]: Affine,
): Pick<ProofReading, 'darknessKept' | 'cast' | 'cutOff' | 'inked'> & { veiled: boolean } {
  const channels = ([0, 1, 2] as const).map((channel) => channelOf(photo, channel));
  const sent = ([0, 1, 2] as const).map((channel) => {
    const gray = channelOf(raster, channel);
    return flipped ? mirroredGray(gray) : gray;
  });
  const { width, height } = sent[0];
  const spots: { x: number; y: number; sent: number[]; seen: number[] }[] = [];
  for (let y = 0; y < height; y += LEVEL_STEP)
    for (let x = 0; x < width; x += LEVEL_STEP) {
      const at = project(h, a * (x + 0.5) + b * (y + 0.5) + c, d * (x + 0.5) + e * (y + 0.5) + f);
      if (at.x < 0 || at.y < 0 || at.x > photo.width || at.y > photo.height) continue;
      // Both a little blurred: a pixel more or less must not count.
      const look = (gray: Gray) =>
        (sample(gray, x, y) + sample(gray, x + 1, y) + sample(gray, x, y + 1) + sample(gray, x + 1, y + 1)) / 4;
      spots.push({
        x: x / width,
        y: y / height,
        sent: sent.map(look),
        seen: channels.map((gray) => sample(gray, at.x, at.y)),
      });
    }
  const light = [0, 1, 2].map((channel) =>
    lightOver(
      spots.filter((spot) => Math.min(...spot.sent) > WHITE).map(({ x, y, seen }) => ({ x, y, level: seen[channel] })),
    ),
  );
  const lit = withoutGlare(spots, light);
  const came = lit.spots.map((spot) => ({
    ...spot,
    seen: spot.seen.map((level, channel) => level / Math.max(0.05, light[channel](spot.x, spot.y))),
  }));
  const kept = [0, 1, 2].map((channel) => {
    const slopes = came.flatMap(({ sent: should, seen }) => {
      const dark = 1 - should[channel];
      return dark > INKED ? [{ slope: (1 - seen[channel]) / dark, weight: dark * dark }] : [];
    });
    return slopes.length === 0 ? 1 : weightedQuantile(slopes, lit.quantile);
  });
  const inks = came.map(({ sent: should }) => 1 - Math.min(...should)).filter((dark) => dark > INKED);
  const glare = lit.quantile !== QUANTILES.none;
  const darknessKept = Math.min(MOST_DARKNESS, (kept[0] + kept[1] + kept[2]) / 3);
  return {
    veiled: lit.quantile === QUANTILES.wide,
    darknessKept,
    cast: [darknessKept - kept[0], darknessKept - kept[1], darknessKept - kept[2]],
    inked: inks.length === 0 ? 0 : inks.reduce((sum, dark) => sum + dark, 0) / inks.length,
    cutOff: cutSides(came, spots, {
      page,
      places,
      flipped,
      kept: darknessKept,
      glare,
    }),
  };
}

/** So near full in every channel that it shows the lamp and not the paper. */
const FULL = 0.975;
const OVER_PAPER = 1.035;

/** A spot that mirrors the lamp: near full, or lighter than paper is in this light. */
const isGlare = ({ x, y, sent, seen }: Spot, light: readonly ((x: number, y: number) => number)[]): boolean =>
  (Math.min(...seen) > FULL && 1 - Math.min(...sent) > INKED) ||
  seen.every((level, channel) => level > OVER_PAPER * light[channel](x, y));

const GLARE_CELLS = 24;
/** A lamp's rim is wider than where it is plain to see. */
const RIM_CELLS = 2;
const GLARED_SHARE = 0.3;
const LEFT_ENOUGH = 0.2;
/** A lamp that hides so much of the ink veils the rest too. */
const WIDE_LAMP = 0.2;
/** Which darkness counts: the middle, or the darker the more a lamp is in it, since it only ever makes lighter. */
const QUANTILES = { none: 0.5, some: 0.75, wide: 0.9 } as const;

/**
 * Spots away from the lamp's mirror image and its rim, to be judged by their middle. Where it covers nearly all of the
 * ink, all spots, to be judged by the darkest: a lamp only ever makes lighter.
 */
function withoutGlare(
  spots: readonly Spot[],
  light: readonly ((x: number, y: number) => number)[],
): { spots: readonly Spot[]; quantile: number } {
  const cellOf = (share: number) => Math.min(GLARE_CELLS - 1, Math.floor(share * GLARE_CELLS));
  const [all, full] = [new Uint16Array(GLARE_CELLS * GLARE_CELLS), new Uint16Array(GLARE_CELLS * GLARE_CELLS)];
  for (const spot of spots) {
    const cell = cellOf(spot.y) * GLARE_CELLS + cellOf(spot.x);
    all[cell]++;
    if (isGlare(spot, light)) full[cell]++;
  }
  const glared = new Uint8Array(GLARE_CELLS * GLARE_CELLS);
  for (let cell = 0; cell < glared.length; cell++) {
    // One in a cell is noise.
    if (full[cell] < Math.max(2, GLARED_SHARE * all[cell])) continue;
    const [column, row] = [cell % GLARE_CELLS, Math.floor(cell / GLARE_CELLS)];
    for (let y = Math.max(0, row - RIM_CELLS); y <= Math.min(GLARE_CELLS - 1, row + RIM_CELLS); y++)
      for (let x = Math.max(0, column - RIM_CELLS); x <= Math.min(GLARE_CELLS - 1, column + RIM_CELLS); x++)
        glared[y * GLARE_CELLS + x] = 1;
  }
  const isInked = ({ sent }: Spot) => 1 - Math.min(...sent) > INKED;
  const clear = spots.filter(({ x, y }) => glared[cellOf(y) * GLARE_CELLS + cellOf(x)] === 0);
  const lost = 1 - clear.filter(isInked).length / Math.max(1, spots.filter(isInked).length);
  if (lost > 1 - LEFT_ENOUGH) return { spots, quantile: QUANTILES.wide };
  if (lost === 0) return { spots: clear, quantile: QUANTILES.none };
  return { spots: clear, quantile: lost < WIDE_LAMP ? QUANTILES.some : QUANTILES.wide };
}

/** The slope that a share of the weight lies below: a patch that is all wrong moves it little. */
function weightedQuantile(slopes: { slope: number; weight: number }[], quantile: number): number {
  const sorted = slopes.sort((a, b) => a.slope - b.slope);
  const wanted = quantile * sorted.reduce((sum, { weight }) => sum + weight, 0);
  let below = 0;
  for (const { slope, weight } of sorted) {
    below += weight;
    if (below >= wanted) return slope;
  }
  return 1;
}

/** Light over the sheet from what should be white: a surface of the second degree, less what lies far off it. */
function lightOver(whites: readonly { x: number; y: number; level: number }[]): (x: number, y: number) => number {
  const terms = (x: number, y: number) => [1, x, y, x * x, x * y, y * y];
  let near = whites;
  let figures: number[] = [1, 0, 0, 0, 0, 0];
  for (let round = 0; round < 3; round++) {
    const matrix = Array.from({ length: 6 }, () => new Array<number>(6).fill(0));
    const right = new Array<number>(6).fill(0);
    for (const { x, y, level } of near) {
      const row = terms(x, y);
      row.forEach((value, i) => {
        right[i] += value * level;
        row.forEach((other, j) => {
          matrix[i][j] += value * other;
        });
      });
    }
    const solved = near.length > 40 ? solve(matrix, right) : null;
    if (!solved) break;
    figures = solved;
    near = whites.filter(({ x, y, level }) => Math.abs(level - valueOf(figures, x, y)) < 0.06);
  }
  return (x, y) => valueOf(figures, x, y);
  function valueOf(by: readonly number[], x: number, y: number): number {
    return terms(x, y).reduce((sum, term, i) => sum + term * by[i], 0);
  }
}
