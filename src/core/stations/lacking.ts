import type { PiecePlan } from './answers';
import type { Job } from './job';
import { need, type Missing } from './station';

/** What several stations can't do without, each with the station where it is said. */
export const lacksPicture = (job: Job): Missing[] => need(!job.picture.pictureId, 'picture', 'picture');

export const lacksKind = ({ surface }: Pick<PiecePlan, 'surface'>): Missing[] =>
  need(!surface.record, 'surface-kind', 'surface');

export const lacksBlank = ({ surface: { blank, shapeFault } }: Pick<PiecePlan, 'surface'>): Missing[] => [
  ...need(!blank && !shapeFault, 'blank-size', 'surface'),
  ...need(shapeFault !== null, 'shape-fault', 'surface'),
];

export const lacksRoom = ({ surface: { blank, window } }: PiecePlan): Missing[] =>
  need(blank !== null && window === null, 'margins-too-wide', 'sheet');

export const lacksMethod = ({ method: { chosen } }: PiecePlan): Missing[] =>
  chosen?.verdict === 'refused' ? need(true, 'method-refused', 'method') : need(chosen === null, 'method', 'method');

/** Everything a coat is laid from. */
export const lacksForCoat = (job: Job, plan: PiecePlan): Missing[] => [
  ...lacksPicture(job),
  ...lacksKind(plan),
  ...lacksBlank(plan),
  ...lacksRoom(plan),
  ...lacksMethod(plan),
];
