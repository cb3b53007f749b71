import { baseCoatById } from '@/core/craft';
import { STRONG_GRAIN_MM } from '@/core/method';
import { LEAST_COHERENCE, ghostlyRegions } from '@/core/picture';
import { sum } from '@/core/shared';
import { inRegions, isOpaque, share, type Finder, type FindingContext, type Remedy } from './finding';
import { opaque, smoother, washes } from './remedies';

/** Lines this near to the grain need no turning, degrees. */
const ALIGNED_DEG = 5;

/** Pale subjects that strong grain swallows. */
export const ghost: Finder = (context) => {
  const { analysis } = context;
  const regions = ghostlyRegions(analysis.blocks);
  if (regions.length === 0 || isOpaque(context)) return null;
  const subjects = regions.length;
  const found = {
    id: 'ghost',
    figure: share(sum(regions.map((region) => region.share))),
    blocks: inRegions((of) => ghostlyRegions(of.blocks)),
  } as const;
  if (!hasStrongGrain(context))
    return { ...found, weight: 'good', fact: { code: 'ghost-whole', subjects }, remedies: [] };
  return {
    ...found,
    weight: 'act',
    fact: { code: 'ghost-reads', subjects },
    remedies: [...washes(context), ...opaque(context), ...smoother(context), ...turnedGrain(context)],
  };
};

const hasStrongGrain = ({ plan, job }: FindingContext): boolean =>
  (plan.surface.record?.textureMm ?? 0) >= STRONG_GRAIN_MM && !baseCoatById(job.surface.baseCoat).hidesGrain;

function turnedGrain({ analysis: { direction }, job: { surface } }: FindingContext): Remedy[] {
  if (direction.coherence < LEAST_COHERENCE) return [];
  if (Math.abs(surface.grain.angleDeg - direction.angleDeg) <= ALIGNED_DEG) return [];
  const angleDeg = Math.round(direction.angleDeg);
  return [{ id: 'turn-grain', angleDeg, patch: { surface: { grain: { ...surface.grain, angleDeg } } } }];
}
