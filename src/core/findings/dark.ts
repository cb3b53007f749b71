import { DARK_LIGHTNESS, histogramBehind, tonalShares, type Analysis } from '@/core/picture';
import { PLAIN_TONE, toneTables } from '@/core/raster';
import { clamp } from '@/core/shared';
import { share, type Finder } from './finding';
import { toneRemedy } from './remedies';

const DARK_WATCH = 0.25;
const DARK_ACT = 0.4;
const MOST_GAMMA = 3;
const LEAST_GAMMA = 0.3;
/** From here on there is no lightening left. */
const SPENT_GAMMA = 2.9;
const FIRST_STEP = 1.05;
const LAST_STEP = 2.4;
const STEP = 0.1;

/** Where haze will linger. */
export const dark: Finder = ({ analysis, job }) => {
  if (analysis.darkShare < DARK_WATCH) return null;
  const spent = job.picture.tone.gamma >= SPENT_GAMMA;
  const gamma = clamp(job.picture.tone.gamma * gammaThatLightens(analysis), LEAST_GAMMA, MOST_GAMMA);
  return {
    id: 'dark',
    weight: analysis.darkShare > DARK_ACT ? 'act' : 'watch',
    figure: share(analysis.darkShare),
    fact: { code: spent ? 'dark-still' : 'dark' },
    remedies: spent ? [] : [toneRemedy(job, { id: 'gamma-up', gamma }, { gamma })],
    blocks: (of) => (block) => of.blocks.lightness[block]! < DARK_LIGHTNESS,
  };
};

/** The least further gamma that leaves no more dark than is worth watching; the most there is where none does. */
function gammaThatLightens(analysis: Analysis): number {
  for (let gamma = FIRST_STEP; gamma < LAST_STEP; gamma += STEP) {
    const tables = toneTables({ ...PLAIN_TONE, gamma });
    if (tonalShares(histogramBehind(analysis.histogram, tables.green)).darkShare < DARK_WATCH) return gamma;
  }
  return LAST_STEP;
}
