import { nowhere, share, type Finder } from './finding';

/** Below this share of steep edges the picture itself is soft. */
const SOFT_EDGES = 0.06;

export const sharpness: Finder = ({ analysis }) =>
  analysis.sharpness >= SOFT_EDGES
    ? null
    : {
        id: 'sharpness',
        weight: 'watch',
        figure: share(analysis.sharpness),
        fact: { code: 'edges-soft' },
        remedies: [],
        blocks: nowhere,
      };
