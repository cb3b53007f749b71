import type { Job, StationId } from './job';
import type { PiecePlan } from './piece-plan';

/** What a station can't do without, and the station where it is said. */
export interface Missing { code: MissingCode; at: StationId }
export type MissingCode =
  | 'picture' | 'lettering' | 'surface-kind' | 'blank-size' | 'margins-too-wide' | 'method' | 'method-refused' | 'print-fits-no-page'
  | 'shape-fault' | 'not-laid' | 'not-rubbed' | 'sealer' | 'rating';

/** What is missing at each station, for itself: what another station lacks is named with that station. */
export function missingAt(station: StationId, job: Job, plan: PiecePlan): Missing[] {
  const need = (lacks: boolean, code: MissingCode, at: StationId): Missing[] => (lacks ? [{ code, at }] : []);
  const picture = need(!job.picture.pictureId, 'picture', 'picture');
  const surface = [...need(!plan.surface, 'surface-kind', 'surface'), ...need(!plan.blank && !plan.shapeFault, 'blank-size', 'surface'), ...need(plan.shapeFault !== null, 'shape-fault', 'surface')];
  const margins = need(plan.blank !== null && plan.window === null, 'margins-too-wide', 'sheet');
  const method = plan.chosen?.verdict === 'refused' ? need(true, 'method-refused', 'method') : need(plan.chosen === null, 'method', 'method');
  const forCoat = [...picture, ...surface, ...margins, ...method];
  switch (station) {
    case 'picture': return [...picture, ...need(picture.length === 0 && job.picture.lettering === null, 'lettering', 'picture')];
    case 'surface': return surface;
    case 'method': return [...need(!plan.surface, 'surface-kind', 'surface'), ...(plan.surface ? method : [])];
    case 'sheet': return [...picture, ...surface.filter((one) => one.code !== 'surface-kind'), ...margins, ...need(plan.sheet?.ok === false, 'print-fits-no-page', 'sheet')];
    case 'lay': return forCoat;
    case 'cure': return [...need(!plan.surface, 'surface-kind', 'surface'), ...method, ...need(job.lay.laidAt === null, 'not-laid', 'lay')];
    case 'rub': return forCoat;
    case 'mend': return forCoat;
    case 'seal': return [...surface.filter((one) => one.code !== 'surface-kind'), ...need(plan.blank !== null && plan.seal === null, 'sealer', 'seal')];
    case 'keep': return need(job.keep.rating === null, 'rating', 'keep');
  }
}
