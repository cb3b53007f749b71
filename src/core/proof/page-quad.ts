/**
 * Finds a sheet of paper in a photo: a bright, four-cornered region on something darker. Several thresholds are tried,
 * because light is uneven; each gives the hull of its largest bright region, the four corners that span most of it, and
 * four edges refined to parts of a pixel by where brightness falls steepest. The sheet whose edges step most clearly
 * wins.
 */
import {
  boxMean,
  hullOf,
  largestRegion,
  reduced,
  ringArea,
  sample,
  solve,
  widestFour,
  type Gray,
  type Point,
} from '@/core/photo';

const SMALL_PX = 420;
const THRESHOLDS = 9;
/** Of the photo, at the least. */
const LEAST_AREA = 0.12;
const LEAST_FILLED = 0.86;
const PROBES = 70;
/** The edge is looked for this far on both sides, in shares of the photo's longer side. */
const REACHES = [0.018, 0.006] as const;
const INLIER_PX = 1.3;
/** Of a sheet that bows: enough to tell what it is, not how large. */
const BOWED_INLIER_PX = 9;
const LEAST_STEP = 0.035;
const LEAST_COVERAGE = 0.6;

export interface FoundPage {
  /** In order round the sheet, clockwise on the photo. */
  corners: Point[];
  /** How far an edge bows out of its straight line at the most, as a share of its length. */
  bow: number;
}

/** @returns null where there is no sheet with four edges */
export const findPage = (photo: Gray): FoundPage | null =>
  foundWith(photo, INLIER_PX) ?? foundWith(photo, BOWED_INLIER_PX);

/** @param inlierPx how near a straight line an edge's places must lie */
function foundWith(photo: Gray, inlierPx: number): FoundPage | null {
  const by = Math.max(1, Math.floor(Math.max(photo.width, photo.height) / SMALL_PX));
  const small = boxMean(reduced(photo, by), 1);
  const smooth = boxMean(photo, 1);
  const [dark, light] = spread(small);
  let best: { corners: Point[]; score: number } | null = null;
  for (let step = 1; step <= THRESHOLDS; step++) {
    const region = largestRegion(small, dark + ((light - dark) * step) / (THRESHOLDS + 1));
    if (region.length < LEAST_AREA * small.width * small.height) continue;
    const hull = hullOf(borderOf(region, small.width));
    const rough = widestFour(hull);
    if (
      !rough ||
      Math.abs(ringArea(rough)) < LEAST_AREA * small.width * small.height ||
      region.length < 0.3 * Math.abs(ringArea(rough)) ||
      Math.abs(ringArea(rough)) < LEAST_FILLED * Math.abs(ringArea(hull))
    )
      continue;
    let found: { corners: Point[]; score: number } | null = {
      corners: rough.map(({ x, y }) => ({ x: (x + 0.5) * by, y: (y + 0.5) * by })),
      score: 0,
    };
    for (const reach of REACHES)
      found = found && refined(smooth, found.corners, { reach: reach * Math.max(photo.width, photo.height), inlierPx });
    if (found && (!best || found.score > best.score)) best = found;
  }
  return best && { corners: best.corners, bow: bowOfEdges(smooth, best.corners) };
}

/** Levels that one in fifty pixels lies below and above. */
function spread({ data }: Gray): [number, number] {
  const sorted = Float32Array.from(data).sort();
  return [sorted[Math.floor(sorted.length * 0.02)], sorted[Math.floor(sorted.length * 0.98)]];
}

/** First and last pixel of each row: all that a hull needs. */
function borderOf(region: readonly number[], width: number): Point[] {
  const rows = new Map<number, [number, number]>();
  for (const cell of region) {
    const [x, y] = [cell % width, Math.floor(cell / width)];
    const row = rows.get(y);
    if (!row) rows.set(y, [x, x]);
    else {
      row[0] = Math.min(row[0], x);
      row[1] = Math.max(row[1], x);
    }
  }
  return [...rows].flatMap(([y, [from, to]]) => [
    { x: from, y },
    { x: to, y },
  ]);
}

interface Edge {
  point: Point;
  dx: number;
  dy: number;
  step: number;
  coverage: number;
}

interface Search {
  reach: number;
  inlierPx: number;
}

function refined(photo: Gray, corners: readonly Point[], search: Search): { corners: Point[]; score: number } | null {
  const middle = {
    x: corners.reduce((sum, corner) => sum + corner.x, 0) / 4,
    y: corners.reduce((sum, corner) => sum + corner.y, 0) / 4,
  };
  const edges = corners.map((corner, i) => edgeBetween(photo, corner, corners[(i + 1) % 4], middle, search));
  if (edges.some((edge) => edge === null)) return null;
  const lines = edges as Edge[];
  const found = lines.map((line, i) => meet(lines[(i + 3) % 4], line));
  if (found.some((point) => point === null)) return null;
  const far = 0.15 * Math.max(photo.width, photo.height);
  const points = found as Point[];
  if (points.some(({ x, y }, i) => Math.hypot(x - corners[i].x, y - corners[i].y) > far)) return null;
  return {
    corners: points,
    score:
      Math.min(...lines.map((line) => line.step * line.coverage)) * Math.min(...lines.map((line) => line.coverage)),
  };
}

interface Probe {
  along: number;
  out: number;
  step: number;
}

/** Places along an edge where brightness falls steepest from inside to outside. */
function probesAlong(
  photo: Gray,
  from: Point,
  to: Point,
  middle: Point,
  reach: number,
): { points: Probe[]; dx: number; dy: number; nx: number; ny: number } {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const [dx, dy] = [(to.x - from.x) / length, (to.y - from.y) / length];
  const outwards = (middle.x - from.x) * -dy + (middle.y - from.y) * dx > 0 ? -1 : 1;
  const [nx, ny] = [-dy * outwards, dx * outwards];
  const steps = Math.ceil(reach * 2);
  const points: Probe[] = [];
  for (let probe = 0; probe < PROBES; probe++) {
    const along = length * (0.04 + (0.92 * (probe + 0.5)) / PROBES);
    const profile = Float32Array.from({ length: 2 * steps + 1 }, (_, i) =>
      sample(photo, from.x + dx * along + (nx * (i - steps)) / 2, from.y + dy * along + (ny * (i - steps)) / 2),
    );
    let [at, fall] = [-1, LEAST_STEP];
    const drop = (i: number) => profile[i - 2] - profile[i + 2];
    for (let i = 2; i < profile.length - 2; i++)
      if (drop(i) > fall) {
        fall = drop(i);
        at = i;
      }
    if (at < 3 || at > profile.length - 4) continue;
    const [before, here, after] = [drop(at - 1), drop(at), drop(at + 1)];
    const shift = (before - after) / (2 * (before - 2 * here + after) || 1);
    points.push({ along, out: (at - steps + Math.max(-0.5, Math.min(0.5, shift))) / 2, step: fall });
  }
  return { points, dx, dy, nx, ny };
}

/** The edge as a straight line. */
function edgeBetween(photo: Gray, from: Point, to: Point, middle: Point, { reach, inlierPx }: Search): Edge | null {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  if (length < 20) return null;
  const { points, dx, dy, nx, ny } = probesAlong(photo, from, to, middle, reach);
  if (points.length < PROBES * 0.3) return null;
  const line = robustLine(points, inlierPx);
  const near = points.filter(({ along, out }) => Math.abs(out - line.at - line.slope * along) < inlierPx);
  const coverage = near.length / PROBES;
  if (coverage < LEAST_COVERAGE * 0.5) return null;
  const place = (along: number) => ({
    x: from.x + dx * along + nx * (line.at + line.slope * along),
    y: from.y + dy * along + ny * (line.at + line.slope * along),
  });
  const [start, end] = [place(0), place(length)];
  const span = Math.hypot(end.x - start.x, end.y - start.y);
  return {
    point: start,
    dx: (end.x - start.x) / span,
    dy: (end.y - start.y) / span,
    coverage,
    step: near.reduce((sum, { step }) => sum + step, 0) / near.length,
  };
}

/** Edges are looked along for how they bow, this far on both sides, in shares of their length. */
const BOW_REACH = 0.03;
/** Points further than this from the curve are something else on the table. */
const CURVE_PX = 1.5;

/** The greatest bow of the four edges, as a share of each edge's length. */
function bowOfEdges(photo: Gray, corners: readonly Point[]): number {
  const middle = {
    x: corners.reduce((sum, corner) => sum + corner.x, 0) / 4,
    y: corners.reduce((sum, corner) => sum + corner.y, 0) / 4,
  };
  return Math.max(
    ...corners.map((corner, i) => {
      const to = corners[(i + 1) % 4];
      const length = Math.hypot(to.x - corner.x, to.y - corner.y);
      const points = probesAlong(photo, corner, to, middle, length * BOW_REACH).points;
      return Math.abs(sagitta(points, length)) / length;
    }),
  );
}

/** Height of the arc that most points lie near: a parabola through three of them, tried, then fitted. */
function sagitta(points: readonly Probe[], length: number): number {
  if (points.length < PROBES * 0.4) return 0;
  const curve = ([c0, c1, c2]: readonly number[], along: number) => c0 + c1 * along + c2 * along * along;
  const quadratic = (list: readonly Probe[]): number[] | null => {
    const matrix = [0, 1, 2].map(() => [0, 0, 0]);
    const right = [0, 0, 0];
    for (const { along, out } of list) {
      const u = along / length;
      const terms = [1, u, u * u];
      terms.forEach((term, i) => {
        right[i] += term * out;
        terms.forEach((other, j) => {
          matrix[i][j] += term * other;
        });
      });
    }
    return solve(matrix, right);
  };
  let best: { figures: number[]; near: Probe[] } | null = null;
  const third = Math.floor(points.length / 3);
  for (let i = 0; i < third; i += 3)
    for (let j = third; j < 2 * third; j += 4)
      for (let k = 2 * third; k < points.length; k += 4) {
        const figures = quadratic([points[i], points[j], points[k]]);
        if (!figures) continue;
        const near = points.filter(({ along, out }) => Math.abs(out - curve(figures, along / length)) < CURVE_PX);
        if (!best || near.length > best.near.length) best = { figures, near };
      }
  const fitted = best && quadratic(best.near);
  // Of c₀ + c₁u + c₂u² the chord lies c₂/4 off the arc's middle.
  return fitted ? fitted[2] / 4 : 0;
}

/** The line that most points lie near, then the least squares of those. */
function robustLine(
  points: readonly { along: number; out: number }[],
  inlierPx: number,
): { at: number; slope: number } {
  let [best, bestCount] = [{ at: 0, slope: 0 }, -1];
  for (let i = 0; i < points.length; i += 3)
    for (let j = i + Math.ceil(points.length / 4); j < points.length; j += 4) {
      const slope = (points[j].out - points[i].out) / (points[j].along - points[i].along);
      const at = points[i].out - slope * points[i].along;
      const count = points.reduce(
        (sum, { along, out }) => sum + Number(Math.abs(out - at - slope * along) < inlierPx),
        0,
      );
      if (count > bestCount) [best, bestCount] = [{ at, slope }, count];
    }
  for (let round = 0; round < 2; round++) {
    const near = points.filter(({ along, out }) => Math.abs(out - best.at - best.slope * along) < inlierPx);
    const n = near.length;
    const [sx, sy] = [near.reduce((sum, { along }) => sum + along, 0), near.reduce((sum, { out }) => sum + out, 0)];
    const sxx = near.reduce((sum, { along }) => sum + along * along, 0);
    const sxy = near.reduce((sum, { along, out }) => sum + along * out, 0);
    const slope = (n * sxy - sx * sy) / (n * sxx - sx * sx || 1);
    best = { at: (sy - slope * sx) / n, slope };
  }
  return best;
}

function meet(edge: Edge, other: Edge): Point | null {
  const across = edge.dx * other.dy - edge.dy * other.dx;
  if (Math.abs(across) < 0.05) return null;
  const t = ((other.point.x - edge.point.x) * other.dy - (other.point.y - edge.point.y) * other.dx) / across;
  return { x: edge.point.x + edge.dx * t, y: edge.point.y + edge.dy * t };
}
