import { PALE_LIGHTNESS, type Analysis } from '@/core/picture';
import { lightnessOf } from '@/core/colour';
import { isOpaque, share, type Finder, type Finding, type FindingContext } from './finding';
import { opaque, washes } from './remedies';

const PALE_WATCH = 0.08;
const PALE_ACT = 0.25;
/** On a ground this light the whites are white enough, CIE L*. */
const BRIGHT_GROUND = 88;

const blocks = (of: Analysis) => (block: number) => of.blocks.lightness[block]! > PALE_LIGHTNESS;

/** How much of the picture carries no toner, and what shows there. */
export const showThrough: Finder = (context) => {
  const pale = context.analysis.paleShare;
  if (pale < PALE_WATCH) return null;
  return { id: 'show-through', figure: share(pale), blocks, ...judged(context, pale) };
};

function judged(context: FindingContext, pale: number): Pick<Finding, 'weight' | 'fact' | 'remedies'> {
  const { plan, job } = context;
  if (isOpaque(context)) return { weight: 'good', fact: { code: 'white-stays' }, remedies: [] };
  if (job.method.whites === 'surface-shows')
    return { weight: 'good', fact: { code: 'white-shows-as-wanted' }, remedies: [] };
  const { record, groundColour } = plan.surface;
  const weight = pale > PALE_ACT ? 'act' : 'watch';
  if (record !== null && lightnessOf(groundColour) > BRIGHT_GROUND)
    return { weight: pale < PALE_ACT ? 'good' : 'watch', fact: { code: 'white-shows-light-ground' }, remedies: [] };
  const remedies = [...washes(context), ...opaque(context)];
  return { weight, fact: { code: 'white-shows', surface: record?.id ?? null }, remedies };
}
