import { isFaint, type Analysis } from '@/core/picture';
import { clamp } from '@/core/shared';
import { isOpaque, share, type Finder } from './finding';
import { opaque, toneRemedy, washes } from './remedies';

const FAINT_WATCH = 0.02;
const FAINT_ACT = 0.08;
/** How far the lights are brought down at one press. */
const LIGHTER_BY = 15;
const GAMMA_BY = 0.7;

const blocks = (of: Analysis) => (block: number) => isFaint(of.blocks, block);

/** Detail in near-white, which the ground swallows. */
export const faint: Finder = (context) => {
  const { analysis, job } = context;
  const { faintShare } = analysis;
  if (faintShare < FAINT_WATCH) return null;
  const figure = share(faintShare);
  if (isOpaque(context))
    return { id: 'faint', weight: 'good', figure, fact: { code: 'faint-on-white' }, remedies: [], blocks };
  const lightness = clamp(job.picture.tone.lightness - LIGHTER_BY, -100, 100);
  const gamma = clamp(job.picture.tone.gamma * GAMMA_BY, 0.3, 3);
  const spent = gamma <= 0.31 && lightness <= -99;
  const lower = spent ? [] : [toneRemedy(job, { id: 'lower-lights' }, { gamma, lightness })];
  return {
    id: 'faint',
    weight: faintShare > FAINT_ACT ? 'act' : 'watch',
    figure,
    fact: { code: 'faint-vanishes' },
    remedies: [...lower, ...opaque(context), ...washes(context)],
    blocks,
  };
};
