/**
 * Closed outlines as rings of points, mm, y down. Boolean work and offsets by a clipping library on a grid of 0.1 µm;
 * rings it returns are simple. Circles become polygons of `ROUND_SIDES` whose area is short by 0.002 %.
 */
import { Clipper, EndType, FillRule, JoinType, type PathsD } from 'clipper2-ts';
import { sum } from '@/core/shared';
import type { RectMm } from './rectangle';

export interface PointMm { xMm: number; yMm: number }
export type Ring = readonly PointMm[];

export const ROUND_SIDES = 720;
const DECIMALS = 4;
const MITRE_LIMIT = 3;

const toPaths = (rings: readonly Ring[]): PathsD => rings.map((ring) => ring.map(({ xMm, yMm }) => ({ x: xMm, y: yMm })));
const toRings = (paths: PathsD): PointMm[][] => paths.map((path) => path.map(({ x, y }) => ({ xMm: x, yMm: y })));

/** Area of a ring by the shoelace formula, mm², positive where it runs clockwise; a self-crossing ring counts its loops against each other. */
export const signedAreaMm2 = (ring: Ring): number =>
  sum(ring.map((point, index) => { const next = ring[(index + 1) % ring.length]; return point.xMm * next.yMm - next.xMm * point.yMm; })) / 2;

export const ringAreaMm2 = (ring: Ring): number => Math.abs(signedAreaMm2(ring));

/** Area covered by rings together: holes by even-odd, overlaps once, mm². */
export const ringsAreaMm2 = (rings: readonly Ring[]): number => Math.abs(Clipper.areaPathsD(Clipper.unionD(toPaths(rings), [], FillRule.NonZero, DECIMALS)));

/** Grows (or with a negative distance shrinks) outlines by `byMm`, corners mitred or rounded. */
export const offsetRings = (rings: readonly Ring[], byMm: number, corners: 'mitred' | 'round' = 'mitred'): PointMm[][] =>
  toRings(Clipper.inflatePathsD(Clipper.unionD(toPaths(rings), [], FillRule.NonZero, DECIMALS), byMm, corners === 'round' ? JoinType.Round : JoinType.Miter, EndType.Polygon, MITRE_LIMIT, DECIMALS, 0.005));

export const intersectRings = (one: readonly Ring[], other: readonly Ring[]): PointMm[][] => toRings(Clipper.intersectD(toPaths(one), toPaths(other), FillRule.NonZero, DECIMALS));
export const subtractRings = (from: readonly Ring[], what: readonly Ring[]): PointMm[][] => toRings(Clipper.differenceD(toPaths(from), toPaths(what), FillRule.NonZero, DECIMALS));

/** Outlines put together: what overlaps or touches becomes one. */
export const uniteRings = (rings: readonly Ring[]): PointMm[][] => toRings(Clipper.unionD(toPaths(rings), [], FillRule.NonZero, DECIMALS));

export const rectRing = ({ xMm, yMm, widthMm, heightMm }: RectMm): PointMm[] => [
  { xMm, yMm }, { xMm: xMm + widthMm, yMm }, { xMm: xMm + widthMm, yMm: yMm + heightMm }, { xMm, yMm: yMm + heightMm },
];

/** An ellipse as a ring. */
export const ovalRing = (centre: PointMm, radiusXMm: number, radiusYMm: number, sides = ROUND_SIDES): PointMm[] =>
  Array.from({ length: sides }, (_, index) => {
    const angle = (index / sides) * 2 * Math.PI;
    return { xMm: centre.xMm + radiusXMm * Math.cos(angle), yMm: centre.yMm + radiusYMm * Math.sin(angle) };
  });

/** An ellipse as SVG path data, exact. */
export const ovalPathOf = ({ xMm, yMm }: PointMm, rx: number, ry: number): string => `M${xMm - rx} ${yMm}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`;

export function ringBox(ring: Ring): RectMm {
  const xs = ring.map((point) => point.xMm);
  const ys = ring.map((point) => point.yMm);
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return { xMm: left, yMm: top, widthMm: Math.max(...xs) - left, heightMm: Math.max(...ys) - top };
}

export const ringsBox = (rings: readonly Ring[]): RectMm => ringBox(rings.flat());

export const movedRing = (ring: Ring, xMm: number, yMm: number): PointMm[] => ring.map((point) => ({ xMm: point.xMm + xMm, yMm: point.yMm + yMm }));

const figure = (mm: number): string => String(Number(mm.toFixed(3)));
export const ringPath = (ring: Ring): string => (ring.length === 0 ? '' : `M${ring.map(({ xMm, yMm }) => `${figure(xMm)} ${figure(yMm)}`).join('L')}Z`);

/** Whether a ring crosses itself: an outline that can't be cut. */
export function crossesItself(ring: Ring): boolean {
  const side = (a: PointMm, b: PointMm, c: PointMm) => Math.sign((b.xMm - a.xMm) * (c.yMm - a.yMm) - (b.yMm - a.yMm) * (c.xMm - a.xMm));
  for (let i = 0; i < ring.length; i++) {
    for (let j = i + 2; j < ring.length; j++) {
      if (i === 0 && j === ring.length - 1) continue;
      const [a, b, c, d] = [ring[i], ring[i + 1], ring[j], ring[(j + 1) % ring.length]];
      if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) return true;
    }
  }
  return false;
}
