import { histogramBehind, tonalShares, type Analysis } from '@/core/picture';
import { PLAIN_TONE, toneTables } from '@/core/raster';
import { clamp } from '@/core/shared';
import { nowhere, type Finder } from './finding';
import { toneRemedy } from './remedies';

/** Range of CIE L* that still lands clear. */
const LEAST_RANGE = 62;
const FLAT_SHARE = 0.7;
const STEPS = [20, 40, 60, 80, 100] as const;
const USUAL_STEP = 60;

/** Whether the picture has the contrast that a transfer takes some of. */
export const contrast: Finder = ({ analysis, job }) => {
  const { lowLightness: low, highLightness: high } = analysis;
  const range = high - low;
  const found = { id: 'contrast', figure: { kind: 'range', low, high }, blocks: nowhere } as const;
  if (range >= LEAST_RANGE) return { ...found, weight: 'good', fact: { code: 'contrast-clear' }, remedies: [] };
  const more = STEPS.find((step) => rangeBehind(analysis, step) >= LEAST_RANGE) ?? USUAL_STEP;
  const next = clamp(job.picture.tone.contrast + more, -100, 100);
  const spent = next === job.picture.tone.contrast;
  return {
    ...found,
    weight: range < LEAST_RANGE * FLAT_SHARE ? 'act' : 'watch',
    fact: { code: spent ? 'contrast-spent' : 'contrast-flat' },
    remedies: spent ? [] : [toneRemedy(job, { id: 'contrast', contrast: next }, { contrast: next })],
  };
};

function rangeBehind(analysis: Analysis, step: number): number {
  const tables = toneTables({ ...PLAIN_TONE, contrast: step });
  const { lowLightness, highLightness } = tonalShares(histogramBehind(analysis.histogram, tables.green));
  return highLightness - lowLightness;
}
