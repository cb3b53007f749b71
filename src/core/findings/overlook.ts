import { lightRegions } from '@/core/picture';
import { sum } from '@/core/shared';
import { inRegions, share, type Finder } from './finding';

/** Light, even places where paper that stays is easily overlooked. */
export const overlook: Finder = ({ analysis }) => {
  const regions = lightRegions(analysis.blocks);
  if (regions.length === 0) return null;
  return {
    id: 'overlook',
    weight: 'watch',
    figure: share(sum(regions.map((region) => region.share))),
    fact: { code: 'easily-overlooked' },
    remedies: [],
    blocks: inRegions((of) => lightRegions(of.blocks)),
  };
};
