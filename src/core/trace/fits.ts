/** What an outline is: four straight sides, a circle seen aslant, or a line of its own. By least squares, far points left out. */
import { solve, widestFour, type Point } from '@/core/photo';

/** A straight line: all points with nx·x + ny·y = d. */
interface Line {
  nx: number;
  ny: number;
  d: number;
}

export interface Ellipse {
  x: number;
  y: number;
  /** Half axes, the longer first, and the way of the longer, radians. */
  a: number;
  b: number;
  turn: number;
}

const meanBy = (points: readonly Point[], by: (point: Point) => number): number =>
  points.reduce((sum, point) => sum + by(point), 0) / points.length;

/** The line that most of some points lie along. */
function lineThrough(points: readonly Point[]): Line {
  let near = points;
  let line: Line = { nx: 0, ny: 1, d: 0 };
  for (let round = 0; round < 4; round++) {
    const [cx, cy] = [meanBy(near, ({ x }) => x), meanBy(near, ({ y }) => y)];
    let [xx, xy, yy] = [0, 0, 0];
    for (const { x, y } of near) {
      xx += (x - cx) ** 2;
      xy += (x - cx) * (y - cy);
      yy += (y - cy) ** 2;
    }
    const along = 0.5 * Math.atan2(2 * xy, xx - yy);
    const [nx, ny] = [-Math.sin(along), Math.cos(along)];
    line = { nx, ny, d: nx * cx + ny * cy };
    const offs = points.map((point) => Math.abs(offLine(line, point))).sort((a, b) => a - b);
    const most = Math.max(0.6, 2.2 * (offs[Math.floor(offs.length * 0.6)] ?? 1));
    near = points.filter((point) => Math.abs(offLine(line, point)) <= most);
  }
  return line;
}
const offLine = ({ nx, ny, d }: Line, { x, y }: Point): number => nx * x + ny * y - d;

function crossing(a: Line, b: Line): Point | null {
  const det = a.nx * b.ny - a.ny * b.nx;
  if (Math.abs(det) < 1e-6) return null;
  return { x: (a.d * b.ny - b.d * a.ny) / det, y: (a.nx * b.d - b.nx * a.d) / det };
}

/** The outline as few corners: what lies farther than `mostOff` from the chord stays. Closed. */
export function simplified(points: readonly Point[], mostOff: number): Point[] {
  if (points.length < 4) return [...points];
  let far = 0;
  let most = -1;
  points.forEach(({ x, y }, at) => {
    const off = Math.hypot(x - points[0].x, y - points[0].y);
    if (off > most) [most, far] = [off, at];
  });
  const keep = (from: number, to: number): number[] => {
    const [a, b] = [points[from], points[to % points.length]];
    const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    let [worst, at] = [mostOff, -1];
    for (let k = from + 1; k < to; k++) {
      const off = Math.abs((b.x - a.x) * (points[k].y - a.y) - (b.y - a.y) * (points[k].x - a.x)) / length;
      if (off > worst) [worst, at] = [off, k];
    }
    return at < 0 ? [from] : [...keep(from, at), ...keep(at, to)];
  };
  return [...keep(0, far), ...keep(far, points.length)].map((at) => points[at]);
}

/**
 * Four corners, from the upper left clockwise, where the outline has four straight sides; else null.
 *
 * @param within pixels that the points may lie off their sides, all but a few
 */
export function quadOf(points: readonly Point[], within: number): Point[] | null {
  const start = widestFour(simplified(points, 4));
  if (!start) return null;
  let corners = start;
  for (let round = 0; round < 3; round++) {
    const sides = sidesOf(points, corners);
    if (sides.some((side) => side.length < 6)) return null;
    const lines = sides.map(lineThrough);
    const next = lines.map((line, at) => crossing(lines[(at + 3) % 4], line));
    if (next.some((corner) => corner === null)) return null;
    corners = next as Point[];
  }
  const lines = sidesOf(points, corners).map(lineThrough);
  const offs = points.map((point) => Math.min(...lines.map((line) => Math.abs(offLine(line, point)))));
  const outside = offs.filter((off) => off > within * 2.5).length / offs.length;
  const rms = Math.sqrt(meanSquare(offs.filter((off) => off <= within * 2.5)));
  return outside < 0.05 && rms < within ? fromUpperLeft(corners) : null;
}
const meanSquare = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value * value, 0) / Math.max(1, values.length);

/** Points by the side they lie along, without those near its corners, which may be rounded. */
function sidesOf(points: readonly Point[], corners: readonly Point[]): Point[][] {
  const sides: Point[][] = [[], [], [], []];
  for (const point of points) {
    let [best, at, share] = [Infinity, -1, 0];
    corners.forEach((a, k) => {
      const b = corners[(k + 1) % 4];
      const square = (b.x - a.x) ** 2 + (b.y - a.y) ** 2 || 1;
      const t = ((point.x - a.x) * (b.x - a.x) + (point.y - a.y) * (b.y - a.y)) / square;
      const on = Math.min(1, Math.max(0, t));
      const off = Math.hypot(point.x - a.x - on * (b.x - a.x), point.y - a.y - on * (b.y - a.y));
      if (off < best) [best, at, share] = [off, k, t];
    });
    if (share > 0.06 && share < 0.94) sides[at].push(point);
  }
  return sides;
}

/** Clockwise as seen, from the corner that lies nearest the photo's upper left. */
function fromUpperLeft(corners: readonly Point[]): Point[] {
  const [cx, cy] = [meanBy(corners, ({ x }) => x), meanBy(corners, ({ y }) => y)];
  const round = [...corners].sort((a, b) => Math.atan2(a.y - cy, a.x - cx) - Math.atan2(b.y - cy, b.x - cx));
  const first = round.reduce((best, { x, y }, at) => (x + y < round[best].x + round[best].y ? at : best), 0);
  return [...round.slice(first), ...round.slice(0, first)];
}

/**
 * The ellipse along which an outline runs, by an algebraic fit in a frame of its own size (source: Fitzgibbon, Pilu and
 * Fisher 1999, with a unit trace in place of their constraint: the points go all the way round); null where it is none.
 */
export function ellipseOf(points: readonly Point[], within: number): Ellipse | null {
  const [cx, cy] = [meanBy(points, ({ x }) => x), meanBy(points, ({ y }) => y)];
  const scale = Math.max(...points.map(({ x, y }) => Math.hypot(x - cx, y - cy))) || 1;
  // A·x² + B·x·y + (1 − A)·y² + D·x + E·y + F = 0.
  const matrix = Array.from({ length: 5 }, () => new Array<number>(5).fill(0));
  const right = new Array<number>(5).fill(0);
  for (const point of points) {
    const [x, y] = [(point.x - cx) / scale, (point.y - cy) / scale];
    const row = [x * x - y * y, x * y, x, y, 1];
    for (let a = 0; a < 5; a++) {
      right[a] -= row[a] * y * y;
      for (let b = 0; b < 5; b++) matrix[a][b] += row[a] * row[b];
    }
  }
  const found = solve(matrix, right);
  if (!found) return null;
  const [A, B, D, E, F] = found;
  const C = 1 - A;
  const det = 4 * A * C - B * B;
  if (det <= 1e-6) return null;
  const [x0, y0] = [(B * E - 2 * C * D) / det, (B * D - 2 * A * E) / det];
  const level = -(F + (D * x0 + E * y0) / 2);
  const spread = Math.hypot(A - C, B);
  const [small, large] = [(A + C - spread) / 2, (A + C + spread) / 2];
  if (small <= 0 || level / small <= 0) return null;
  const ellipse = {
    x: cx + x0 * scale,
    y: cy + y0 * scale,
    a: Math.sqrt(level / small) * scale,
    b: Math.sqrt(level / large) * scale,
    turn: 0.5 * Math.atan2(-B, C - A),
  };
  const offs = points.map((point) => offEllipse(ellipse, point));
  const far = offs.filter((off) => off > within * 2.5).length / offs.length;
  return far < 0.04 && Math.sqrt(meanSquare(offs.filter((off) => off <= within * 2.5))) < within ? ellipse : null;
}

/** About how far a point lies off an ellipse: along the ray from its middle. */
function offEllipse({ x, y, a, b, turn }: Ellipse, point: Point): number {
  const [dx, dy] = [point.x - x, point.y - y];
  const [u, v] = [dx * Math.cos(turn) + dy * Math.sin(turn), -dx * Math.sin(turn) + dy * Math.cos(turn)];
  const size = Math.hypot(u / a, v / b);
  return size === 0 ? Math.min(a, b) : Math.abs(1 - 1 / size) * Math.hypot(u, v);
}

/** The turn, radians, at which the box round an outline has the least area, and that box. */
export function leastBox(points: readonly Point[]): { turn: number; long: number; short: number } {
  const hull = simplified(points, 0.5);
  let best = { turn: 0, long: 0, short: 0 };
  let least = Infinity;
  for (let deg = 0; deg < 90; deg += 0.25) {
    const turn = (deg * Math.PI) / 180;
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
    for (const { x, y } of hull) {
      const [u, v] = [x * c + y * s, -x * s + y * c];
      left = Math.min(left, u);
      right = Math.max(right, u);
      top = Math.min(top, v);
      bottom = Math.max(bottom, v);
    }
    const [w, h] = [right - left, bottom - top];
    if (w * h >= least) continue;
    least = w * h;
    best = w >= h ? { turn, long: w, short: h } : { turn: turn + Math.PI / 2, long: h, short: w };
  }
  return best;
}
