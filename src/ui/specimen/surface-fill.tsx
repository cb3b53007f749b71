import type { SurfaceRecord } from '@/core/craft';
import type { SizeMm } from '@/core/shape';

/** Noise frequencies (per mm of the object, along and across the grain) and strength for each kind of ground. */
const GRAIN: Readonly<Record<SurfaceRecord['class'], { along: number; across: number; strength: number }>> = {
  wood: { along: 0.006, across: 0.22, strength: 0.26 },
  painted: { along: 0.05, across: 0.08, strength: 0.07 },
  fabric: { along: 0.9, across: 0.9, strength: 0.1 },
  leather: { along: 0.35, across: 0.35, strength: 0.35 },
  smooth: { along: 0.004, across: 0.006, strength: 0.14 },
  mineral: { along: 0.06, across: 0.08, strength: 0.36 },
  wax: { along: 0.01, across: 0.01, strength: 0.1 },
};
/** What a base coat leaves of the grain. */
const COATED_SHARE = 0.25;

/** The face of the blank: its colour with a still, seeded grain over it, in mm. */
export function SurfaceFill({ id, size, surface, colour, coated, pxPerMm }: { id: string; size: SizeMm; surface: SurfaceRecord | null; colour: string; coated: boolean; pxPerMm: number }) {
  const grain = surface ? GRAIN[surface.class] : null;
  const face = { width: size.widthMm, height: size.heightMm };
  if (!grain) return <rect {...face} fill={colour} />;
  const strength = grain.strength * (coated ? COATED_SHARE : 1);
  return (
    <g>
      <filter id={`${id}-grain`} x="0" y="0" width="1" height="1" colorInterpolationFilters="sRGB">
        <feTurbulence type="fractalNoise" baseFrequency={`${grain.along / pxPerMm ** 0.5} ${grain.across / pxPerMm ** 0.5}`} numOctaves={4} seed={7} />
        <feColorMatrix values={`0 0 0 0 0.16  0 0 0 0 0.1  0 0 0 0 0.05  ${1.9 * strength} 0 0 0 ${-0.62 * strength}`} />
      </filter>
      <rect {...face} fill={colour} />
      <rect {...face} filter={`url(#${id}-grain)`} />
    </g>
  );
}
