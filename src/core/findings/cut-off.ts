import { frameSize } from '@/core/picture';
import { areaMm2 } from '@/core/shape';
import { nowhere, share, type Finder, type Remedy } from './finding';

/** A round blank takes a fifth of any picture; more than that is said, and more than a third acted on. */
const NOTICED = 0.23;
const MUCH = 0.35;
/** A board that is turned and still loses this much less is worth turning. */
const BETTER_BY = 0.1;

/** How much of the chosen crop the blank's own proportions and outline leave out. */
export const cutOff: Finder = ({ job, plan: { surface, picture } }) => {
  const { print, window } = surface;
  if (!print || !window || !picture.facts || job.picture.layers.length > 0) return null;
  const chosen = job.picture.crop.width * job.picture.crop.height;
  const cropped = (print.crop.width * print.crop.height) / chosen;
  const landed = Math.min(1, print.areaMm2 / areaMm2(print.picture));
  const lost = 1 - cropped * landed;
  if (lost < NOTICED) return null;
  const frame = frameSize(picture.facts, job.picture);
  const aspect = (job.picture.crop.width * frame.widthPx) / (job.picture.crop.height * frame.heightPx);
  const kept = (width: number, height: number) => Math.min(aspect / (width / height), width / height / aspect);
  const { widthMm, heightMm, shape } = job.surface;
  const turns =
    shape.kind === 'rectangle' &&
    kept(window.heightMm, window.widthMm) > kept(window.widthMm, window.heightMm) + BETTER_BY;
  const remedies: Remedy[] = turns
    ? [{ id: 'turn-board', patch: { surface: { widthMm: heightMm, heightMm: widthMm } } }]
    : [];
  return {
    id: 'cut-off',
    weight: lost > MUCH ? 'act' : 'watch',
    figure: share(lost),
    fact: { code: cropped < landed ? 'cut-off-by-proportions' : 'cut-off-by-outline' },
    remedies,
    blocks: nowhere,
  };
};
