/** How well a drawn photo of a blank was traced, against what is true of it. */
import { project, type Point } from '@/core/photo';
import { faceOf, traceBoard } from '@/core/trace';
import { boardPhoto, type BoardForm } from './board-photo';

export interface Traced {
  form: string;
  /** Farthest that the outline lies off the true one, either way, mm. */
  offMm: number;
  /** The side that was not typed, share of its true length; null where only one is known. */
  shortOff: number | null;
  /** Degrees; null where there is no grain. */
  grainOff: number | null;
  /** Farthest that a true knot lies from one that was found, mm. */
  knotOffMm: number;
  ms: number;
}

/** Most tilt of the camera by hand: a board aslant, a round a little, what has no corners from straight above. */
const TILT: Readonly<Record<BoardForm, number>> = { board: 15, round: 8, slab: 1, stone: 1, tray: 1 };

/** @returns the code of the refusal where it was refused */
export function tracedWell(seed: number, form: BoardForm, size?: { width: number; height: number }): Traced | string {
  const shot = boardPhoto(seed, form, TILT[form], size);
  const from = performance.now();
  const traced = traceBoard(shot.photo, shot.longMm);
  if (!traced.ok) return traced.error.code;
  const board = traced.value;
  const face = faceOf(shot.photo, board);
  const ms = performance.now() - from;
  const [left, right] = [shot.seenAt({ x: -50, y: 0 }), shot.seenAt({ x: 50, y: 0 })];
  const pxPerMm = Math.hypot(right.x - left.x, right.y - left.y) / 100;
  const [mine, truth] = [board.outline.map(({ x, y }) => project(board.h, x, y)), shot.outline.map(shot.seenAt)];
  const off = Math.max(
    ...dense(mine).map((one) => offRing(one, truth)),
    ...dense(truth).map((one) => offRing(one, mine)),
  );
  const onBoard = (point: Point) => unprojected(board.h, shot.seenAt(point), board);
  let grainOff: number | null = null;
  if (shot.grainDeg !== null) {
    const turn = (shot.grainDeg * Math.PI) / 180;
    const [a, b] = [onBoard({ x: 0, y: 0 }), onBoard({ x: 40 * Math.cos(turn), y: 40 * Math.sin(turn) })];
    const true180 = (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
    grainOff = face.grainDeg === null ? 90 : Math.abs(((((face.grainDeg - true180) % 180) + 270) % 180) - 90);
  }
  return {
    form: board.form,
    offMm: off / pxPerMm,
    shortOff:
      form === 'board' || form === 'tray' ? Math.abs(Math.min(board.widthMm, board.heightMm) / shot.shortMm - 1) : null,
    grainOff,
    knotOffMm: Math.max(
      0,
      ...shot.knots
        .map(onBoard)
        .map((knot) => Math.min(...face.knots.map(({ xMm, yMm }) => Math.hypot(xMm - knot.x, yMm - knot.y)), 999)),
    ),
    ms,
  };
}

function offRing({ x, y }: Point, ring: readonly Point[]): number {
  let least = Infinity;
  ring.forEach((a, k) => {
    const b = ring[(k + 1) % ring.length];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const t = Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / (dx * dx + dy * dy || 1)));
    least = Math.min(least, Math.hypot(x - a.x - t * dx, y - a.y - t * dy));
  });
  return least;
}

const dense = (ring: readonly Point[]): Point[] =>
  ring.flatMap((a, k) => {
    const b = ring[(k + 1) % ring.length];
    const steps = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / 8));
    return Array.from({ length: steps }, (_, i) => ({
      x: a.x + ((b.x - a.x) * i) / steps,
      y: a.y + ((b.y - a.y) * i) / steps,
    }));
  });

/** By Newton's steps from the middle. */
function unprojected(
  h: Parameters<typeof project>[0],
  to: Point,
  { widthMm, heightMm }: { widthMm: number; heightMm: number },
): Point {
  let [x, y] = [widthMm / 2, heightMm / 2];
  for (let round = 0; round < 20; round++) {
    const at = project(h, x, y);
    const [ax, ay] = [project(h, x + 1, y), project(h, x, y + 1)];
    const [a, b, c, d] = [ax.x - at.x, ay.x - at.x, ax.y - at.y, ay.y - at.y];
    const det = a * d - b * c;
    x += ((to.x - at.x) * d - b * (to.y - at.y)) / det;
    y += (a * (to.y - at.y) - c * (to.x - at.x)) / det;
  }
  return { x, y };
}
