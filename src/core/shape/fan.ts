/**
 * The side of a tapered vessel laid flat: a piece of a ring (frustum of a cone developed). With diameters d₁ > d₂ and
 * slant height s: outer radius R₁ = s·d₁/(d₁−d₂), inner R₂ = R₁−s, angle of the whole way round π·d₁/R₁. Valid for d₁ ≠
 * d₂. Source: solid geometry.
 */
import type { PointMm } from './polygon';
import type { RectMm } from './rectangle';

export interface Fan {
  outerRadiusMm: number;
  innerRadiusMm: number;
  angleRad: number;
}

/** @param shareOfRound 0–1 of the way round that is covered */
export function fanOf(largerMm: number, smallerMm: number, slantMm: number, shareOfRound: number): Fan {
  const outerRadiusMm = (slantMm * largerMm) / (largerMm - smallerMm);
  return {
    outerRadiusMm,
    innerRadiusMm: outerRadiusMm - slantMm,
    angleRad: ((Math.PI * largerMm) / outerRadiusMm) * shareOfRound,
  };
}

export const fanAreaMm2 = ({ outerRadiusMm, innerRadiusMm, angleRad }: Fan): number =>
  (angleRad / 2) * (outerRadiusMm ** 2 - innerRadiusMm ** 2);

/** The smallest upright rectangle round a fan whose axis is upright, wide end up. */
export function fanBox({ outerRadiusMm, innerRadiusMm, angleRad }: Fan): { widthMm: number; heightMm: number } {
  const half = angleRad / 2;
  const widthMm = 2 * outerRadiusMm * (half < Math.PI / 2 ? Math.sin(half) : 1);
  const lowest = Math.max(-innerRadiusMm * Math.cos(half), -outerRadiusMm * Math.cos(half));
  return { widthMm, heightMm: outerRadiusMm + lowest };
}

/**
 * How a flat picture is bent to a fan: the plane has the width of the fan at half its slant height and the slant height
 * as its height; across it runs round the vessel, down it along the side. A level line of the plane lands level on the
 * vessel, an upright one straight down its side. Face coordinates, mm, y down.
 */
export interface Bend extends Fan {
  centre: PointMm;
  wideUp: boolean;
  plane: { widthMm: number; heightMm: number };
}

export function bendOf(fan: Fan, wideUp: boolean): Bend {
  const box = fanBox(fan);
  return {
    ...fan,
    wideUp,
    centre: { xMm: box.widthMm / 2, yMm: wideUp ? fan.outerRadiusMm : box.heightMm - fan.outerRadiusMm },
    plane: {
      widthMm: (fan.angleRad * (fan.outerRadiusMm + fan.innerRadiusMm)) / 2,
      heightMm: fan.outerRadiusMm - fan.innerRadiusMm,
    },
  };
}

/** Where a point of the plane lies on the fan. Points beside the plane go on round. */
export function bendPoint(
  { centre, outerRadiusMm, innerRadiusMm, angleRad, wideUp, plane }: Bend,
  { xMm, yMm }: PointMm,
): PointMm {
  const angle = (xMm / plane.widthMm - 0.5) * angleRad;
  const radius = wideUp ? outerRadiusMm - yMm : innerRadiusMm + yMm;
  return {
    xMm: centre.xMm + radius * Math.sin(angle),
    yMm: centre.yMm + (wideUp ? -radius : radius) * Math.cos(angle),
  };
}

/** The inverse of `bendPoint`. */
export function unbendPoint(
  { centre, outerRadiusMm, innerRadiusMm, angleRad, wideUp, plane }: Bend,
  { xMm, yMm }: PointMm,
): PointMm {
  const [dx, dy] = [xMm - centre.xMm, wideUp ? centre.yMm - yMm : yMm - centre.yMm];
  const radius = Math.hypot(dx, dy);
  return {
    xMm: (Math.atan2(dx, dy) / angleRad + 0.5) * plane.widthMm,
    yMm: wideUp ? outerRadiusMm - radius : radius - innerRadiusMm,
  };
}

/** Sides of an arc's polygon for each radian: short of the arc by under 0.005 mm at a radius of a metre. */
const SIDES_PER_RAD = 180;

/** A rectangle of the plane as a ring on the fan: two arcs and two straight sides. */
export function bendRect(bend: Bend, rect: RectMm): PointMm[] {
  const sides = Math.max(4, Math.ceil((rect.widthMm / bend.plane.widthMm) * bend.angleRad * SIDES_PER_RAD));
  const along = (yMm: number) =>
    Array.from({ length: sides + 1 }, (_, i) => bendPoint(bend, { xMm: rect.xMm + (rect.widthMm * i) / sides, yMm }));
  return [...along(rect.yMm), ...along(rect.yMm + rect.heightMm).reverse()];
}

/**
 * Bends a layer about its own middle, keeping its size there: its level lines land level on the vessel. Where a point
 * of its box goes, and by how much it turns.
 *
 * @param box the layer's place on the face, unbent
 */
export function curlPoint(
  { centre, wideUp }: Bend,
  box: RectMm,
  { xMm, yMm }: PointMm,
): { point: PointMm; turnRad: number } {
  const middle = { xMm: box.xMm + box.widthMm / 2, yMm: box.yMm + box.heightMm / 2 };
  const away = wideUp ? centre.yMm - middle.yMm : middle.yMm - centre.yMm;
  const radius0 = Math.hypot(middle.xMm - centre.xMm, away);
  const angle = Math.atan2(middle.xMm - centre.xMm, away) + (xMm - middle.xMm) / radius0;
  const radius = radius0 + (wideUp ? middle.yMm - yMm : yMm - middle.yMm);
  return {
    point: {
      xMm: centre.xMm + radius * Math.sin(angle),
      yMm: centre.yMm + (wideUp ? -radius : radius) * Math.cos(angle),
    },
    turnRad: wideUp ? angle : -angle,
  };
}

/**
 * A print that is bent: its top left corner on the face and the picture's place on the plane; right of it the seam
 * repeats the picture's beginning.
 */
export interface BentBlock {
  bend: Bend;
  origin: PointMm;
  place: RectMm;
  seamMm: number;
}
