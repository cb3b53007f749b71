/** What the pixels say of a piece, each with remedies at one press: one file a finding, one line here. */
import { contrast } from './contrast';
import { cutOff } from './cut-off';
import { dark } from './dark';
import { faint } from './faint';
import type { Finder, Finding, FindingContext, FindingId } from './finding';
import { ghost } from './ghost';
import { groundColour } from './ground-colour';
import { overlook } from './overlook';
import { resolution } from './resolution';
import { sharpness } from './sharpness';
import { showThrough } from './show-through';

export { isPlaced } from './finding';
export type { Finding, FindingContext, FindingFact, FindingFigure, FindingId, Remedy } from './finding';

const FINDERS: Readonly<Record<FindingId, Finder>> = {
  'cut-off': cutOff,
  'show-through': showThrough,
  dark,
  faint,
  contrast,
  resolution,
  sharpness,
  overlook,
  ghost,
  'ground-colour': groundColour,
};

const WEIGHTS = { good: 0, watch: 1, act: 2 };

/** All findings, the worst first. */
export const findingsFor = ({ job, plan, analysis }: FindingContext): Finding[] =>
  Object.values(FINDERS)
    .map((find) => find({ job, plan, analysis }))
    .filter((finding) => finding !== null)
    .sort((a, b) => WEIGHTS[b.weight] - WEIGHTS[a.weight]);
