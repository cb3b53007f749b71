/**
 * Closed outlines as rings of points, mm, y down. Boolean work and offsets by a clipping library on a grid of 0.1 µm;
 * rings it returns are simple. Its engine and its offsets are taken by their files: its front file brings all that it
 * can. Circles become polygons that lie within 2 µm of them, of at most `MOST_SIDES`: an area is short by 0.01 % at most.
 */
import {
  ClipType,
  FillRule,
  InternalClipper,
  PointInPolygonResult,
  type Path64,
  type PathsD,
} from 'clipper2-ts/dist/Core.js';
import { ClipperD } from 'clipper2-ts/dist/Engine.js';
import { ClipperOffset, EndType, JoinType } from 'clipper2-ts/dist/Offset.js';
import { sum } from '@/core/shared';
import type { RectMm } from './rectangle';

export interface PointMm {
  xMm: number;
  yMm: number;
}
export type Ring = readonly PointMm[];

const SIDES_WITHIN_MM = 0.002;
const FEWEST_SIDES = 96;
const MOST_SIDES = 720;
const DECIMALS = 4;
const STEPS_PER_MM = 10 ** DECIMALS;
const ROUND_WITHIN_MM = 0.005;
/** How far an outline may leave itself before it is offset: a twentieth of a printed dot. */
const THINNED_WITHIN_MM = 0.005;
/** For arcs that the offset makes smaller or closes up: a two-hundredth of the way, at most. */
const closingWithinMm = (byMm: number): number => Math.min(0.05, Math.max(THINNED_WITHIN_MM, Math.abs(byMm) / 200));
const MITRE_LIMIT = 3;

const toPaths = (rings: readonly Ring[]): PathsD =>
  rings.map((ring) => ring.map(({ xMm, yMm }) => ({ x: xMm, y: yMm })));
const toGrid = (paths: PathsD): Path64[] =>
  paths.map((path) => path.map(({ x, y }) => ({ x: Math.round(x * STEPS_PER_MM), y: Math.round(y * STEPS_PER_MM) })));
const combined = (type: ClipType, rings: readonly Ring[], others: readonly Ring[] = []): PathsD => {
  const clipper = new ClipperD(DECIMALS);
  clipper.addSubjectPaths(toPaths(rings));
  clipper.addClipPaths(toPaths(others));
  const combination: PathsD = [];
  clipper.execute(type, FillRule.NonZero, combination);
  return combination;
};
const toRings = (paths: PathsD): PointMm[][] => paths.map((path) => path.map(({ x, y }) => ({ xMm: x, yMm: y })));

/**
 * Area of a ring by the shoelace formula, mm², positive where it runs clockwise; a self-crossing ring counts its loops
 * against each other.
 */
export const signedAreaMm2 = (ring: Ring): number =>
  sum(
    ring.map((point, index) => {
      const next = ring[(index + 1) % ring.length]!;
      return point.xMm * next.yMm - next.xMm * point.yMm;
    }),
  ) / 2;

export const ringAreaMm2 = (ring: Ring): number => Math.abs(signedAreaMm2(ring));

/** Area covered by rings together: holes by even-odd, overlaps once, mm². */
export const ringsAreaMm2 = (rings: readonly Ring[]): number => Math.abs(sum(uniteRings(rings).map(signedAreaMm2)));

/**
 * Grows (or with a negative distance shrinks) outlines by `byMm`, corners mitred or rounded. A ring that the distance
 * closes up is left out beforehand, and arcs are thinned: all sides of a small circle that pass each other at once
 * would keep the engine busy for seconds.
 */
export const offsetRings = (
  rings: readonly Ring[],
  byMm: number,
  corners: 'mitred' | 'round' = 'mitred',
): PointMm[][] => {
  const shrinks = (ring: Ring) => signedAreaMm2(ring) * byMm < 0;
  const stays = (ring: Ring): boolean => {
    const { widthMm, heightMm } = ringBox(ring);
    return !shrinks(ring) || Math.min(widthMm, heightMm) > 2 * Math.abs(byMm);
  };
  const open = uniteRings(rings)
    .filter(stays)
    .map((ring) => thinned(ring, byMm));
  const offset = new ClipperOffset(MITRE_LIMIT, ROUND_WITHIN_MM * STEPS_PER_MM);
  const join = corners === 'round' ? JoinType.Round : JoinType.Miter;
  offset.addPaths(toGrid(toPaths(open)), join, EndType.Polygon);
  const grown: Path64[] = [];
  offset.execute(byMm * STEPS_PER_MM, grown);
  return toRings(grown.map((path) => path.map(({ x, y }) => ({ x: x / STEPS_PER_MM, y: y / STEPS_PER_MM }))));
};

/** A ring without the points that an offset by some millimetres can do without. */
function thinned(ring: Ring, byMm: number): PointMm[] {
  const kept: PointMm[] = [];
  for (let at = 0; at < ring.length;) {
    kept.push(ring[at]!);
    let next = at + 1;
    while (next + 1 < ring.length && isNearLine(ring, at, next + 1, byMm)) next++;
    at = next;
  }
  return kept.length < 3 ? [...ring] : kept;
}

/** Whether all points between two of a ring lie near the line between them, nearer on the side that the offset opens. */
function isNearLine(ring: Ring, from: number, to: number, byMm: number): boolean {
  const [start, end] = [ring[from]!, ring[to]!];
  const [dx, dy] = [end.xMm - start.xMm, end.yMm - start.yMm];
  const length = Math.hypot(dx, dy);
  if (length === 0) return false;
  for (let between = from + 1; between < to; between++) {
    const { xMm, yMm } = ring[between]!;
    const along = ((xMm - start.xMm) * dx + (yMm - start.yMm) * dy) / length;
    const outsideMm = ((xMm - start.xMm) * dy - (yMm - start.yMm) * dx) / length;
    const withinMm = outsideMm * byMm < 0 ? closingWithinMm(byMm) : THINNED_WITHIN_MM;
    if (Math.abs(outsideMm) > withinMm || along < 0 || along > length) return false;
  }
  return true;
}

/** Whether a point lies inside a ring, its rim included. */
export const containsPoint = (ring: Ring, { xMm, yMm }: PointMm): boolean =>
  InternalClipper.pointInPolygon(toGrid([[{ x: xMm, y: yMm }]])[0]![0]!, toGrid(toPaths([ring]))[0]!) !==
  PointInPolygonResult.IsOutside;

export const intersectRings = (one: readonly Ring[], other: readonly Ring[]): PointMm[][] =>
  toRings(combined(ClipType.Intersection, one, other));
export const subtractRings = (from: readonly Ring[], what: readonly Ring[]): PointMm[][] =>
  toRings(combined(ClipType.Difference, from, what));

/** Outlines put together: what overlaps or touches becomes one. */
export const uniteRings = (rings: readonly Ring[]): PointMm[][] => toRings(combined(ClipType.Union, rings));

export const rectRing = ({ xMm, yMm, widthMm, heightMm }: RectMm): PointMm[] => [
  { xMm, yMm },
  { xMm: xMm + widthMm, yMm },
  { xMm: xMm + widthMm, yMm: yMm + heightMm },
  { xMm, yMm: yMm + heightMm },
];

/** How many sides keep a polygon within 2 µm of a circle; a whole number of quarters. */
const sidesFor = (radiusMm: number): number => {
  const wanted = Math.PI / Math.acos(1 - Math.min(1, SIDES_WITHIN_MM / radiusMm));
  return 4 * Math.ceil(Math.min(MOST_SIDES, Math.max(FEWEST_SIDES, wanted)) / 4);
};

/** An ellipse as a ring. */
export const ovalRing = (
  centre: PointMm,
  radiusXMm: number,
  radiusYMm: number,
  sides = sidesFor(Math.max(radiusXMm, radiusYMm)),
): PointMm[] =>
  Array.from({ length: sides }, (_, index) => {
    const angle = (index / sides) * 2 * Math.PI;
    return { xMm: centre.xMm + radiusXMm * Math.cos(angle), yMm: centre.yMm + radiusYMm * Math.sin(angle) };
  });

/** An ellipse as SVG path data, exact. */
export const ovalPathOf = ({ xMm, yMm }: PointMm, rx: number, ry: number): string =>
  `M${xMm - rx} ${yMm}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`;

export function ringBox(ring: Ring): RectMm {
  const xs = ring.map((point) => point.xMm);
  const ys = ring.map((point) => point.yMm);
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return { xMm: left, yMm: top, widthMm: Math.max(...xs) - left, heightMm: Math.max(...ys) - top };
}

export const ringsBox = (rings: readonly Ring[]): RectMm => ringBox(rings.flat());

export const movedRing = (ring: Ring, xMm: number, yMm: number): PointMm[] =>
  ring.map((point) => ({ xMm: point.xMm + xMm, yMm: point.yMm + yMm }));

const figure = (mm: number): string => String(Number(mm.toFixed(3)));
export const ringPath = (ring: Ring): string =>
  ring.length === 0 ? '' : `M${ring.map(({ xMm, yMm }) => `${figure(xMm)} ${figure(yMm)}`).join('L')}Z`;

/** Whether a ring crosses itself: an outline that can't be cut. */
export function crossesItself(ring: Ring): boolean {
  const side = (a: PointMm, b: PointMm, c: PointMm) =>
    Math.sign((b.xMm - a.xMm) * (c.yMm - a.yMm) - (b.yMm - a.yMm) * (c.xMm - a.xMm));
  for (let i = 0; i < ring.length; i++) {
    for (let j = i + 2; j < ring.length; j++) {
      if (i === 0 && j === ring.length - 1) continue;
      const [a, b, c, d] = [ring[i]!, ring[i + 1]!, ring[j]!, ring[(j + 1) % ring.length]!];
      if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) return true;
    }
  }
  return false;
}
