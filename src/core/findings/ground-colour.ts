import { labOf, linearColour } from '@/core/colour';
import { isOpaque, nowhere, type Finder } from './finding';
import { lightBase, opaque, toneRemedy } from './remedies';

const DARK_GROUND = 55;
const COLOURED_CHROMA = 18;
const COLOURFUL = 0.12;
/** Compensated this far, the tint is dealt with, percent. */
const COMPENSATED = 60;
const GREY = { red: 0.3, green: 0.59, blue: 0.11 };

/** A ground that is too dark for toner, or tints the picture. */
export const groundColour: Finder = (context) => {
  const { plan, analysis, job } = context;
  if (!plan.surface.record || isOpaque(context)) return null;
  const [red, green, blue] = linearColour(plan.surface.groundColour);
  const [lightness, a, b] = labOf(red, green, blue);
  const chroma = Math.hypot(a, b);
  if (lightness < DARK_GROUND)
    return {
      id: 'ground-colour',
      weight: 'act',
      figure: { kind: 'lightness', lightness },
      fact: { code: 'ground-dark' },
      remedies: [...lightBase(context), ...opaque(context)],
      blocks: nowhere,
    };
  const plain = chroma < COLOURED_CHROMA || analysis.colourfulness < COLOURFUL;
  if (plain || job.picture.tone.compensate >= COMPENSATED) return null;
  return {
    id: 'ground-colour',
    weight: 'watch',
    figure: { kind: 'chroma', chroma },
    fact: { code: 'ground-tints' },
    remedies: [
      toneRemedy(job, { id: 'compensate' }, { compensate: 100 }),
      toneRemedy(job, { id: 'grey' }, { mono: GREY }),
    ],
    blocks: nowhere,
  };
};
