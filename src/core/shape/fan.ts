/**
 * The side of a tapered vessel laid flat: a piece of a ring (frustum of a cone developed). With diameters d₁ > d₂ and slant height s:
 * outer radius R₁ = s·d₁/(d₁−d₂), inner R₂ = R₁−s, angle of the whole way round π·d₁/R₁. Valid for d₁ ≠ d₂. Source: solid geometry.
 */
export interface Fan { outerRadiusMm: number; innerRadiusMm: number; angleRad: number }

/** @param shareOfRound 0–1 of the way round that is covered */
export function fanOf(largerMm: number, smallerMm: number, slantMm: number, shareOfRound: number): Fan {
  const outerRadiusMm = (slantMm * largerMm) / (largerMm - smallerMm);
  return { outerRadiusMm, innerRadiusMm: outerRadiusMm - slantMm, angleRad: ((Math.PI * largerMm) / outerRadiusMm) * shareOfRound };
}

export const fanAreaMm2 = ({ outerRadiusMm, innerRadiusMm, angleRad }: Fan): number => (angleRad / 2) * (outerRadiusMm ** 2 - innerRadiusMm ** 2);

/** The smallest upright rectangle round a fan whose axis is upright, wide end up. */
export function fanBox({ outerRadiusMm, innerRadiusMm, angleRad }: Fan): { widthMm: number; heightMm: number } {
  const half = angleRad / 2;
  const widthMm = 2 * outerRadiusMm * (half < Math.PI / 2 ? Math.sin(half) : 1);
  const lowest = Math.max(-innerRadiusMm * Math.cos(half), -outerRadiusMm * Math.cos(half));
  return { widthMm, heightMm: outerRadiusMm + lowest };
}
