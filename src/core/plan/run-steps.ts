import { formatDuration } from '@/core/measure';
import type { Job, StationId } from './job';
import type { PiecePlan } from './piece-plan';

/** One step of the whole run in its order: hands, then a wait that must pass before the next. Minutes of hands, hours of waiting. */
export interface RunStep { id: string; station: StationId; title: string; handsMinutes: number; waitHours: number }

const PREP_MINUTES = 10;
const LAY_MINUTES = 15;
const TRACE_MINUTES = 30;
const TRACE_DRY_HOURS = 1;
const MEND_MINUTES = 15;
const COAT_MINUTES = 10;

/** The steps of a piece, layers that are traced merged in where they belong: after rubbing, before pencil is taken off and the sealer goes on. */
export function runSteps(job: Job, plan: PiecePlan): RunStep[] {
  const step = (id: string, station: StationId, title: string, handsMinutes: number, waitHours = 0): RunStep => ({ id, station, title, handsMinutes, waitHours });
  const traced = job.picture.layers.filter((layer) => layer.mode === 'trace');
  const steps: RunStep[] = plan.preparation.map((one) => step(one.code, 'surface', one.title, PREP_MINUTES, one.hours));
  steps.push(step('print', 'sheet', `Print the ${plan.mirrored ? 'mirrored ' : ''}sheet${traced.length ? ', and the traced layers unmirrored' : ''}`, 10));
  if (plan.school && plan.lay && plan.cure) {
    if (plan.lay.coat.bed && plan.binder?.bedCoat) steps.push(step('bed', 'lay', 'Coat the bed and let it dry', LAY_MINUTES, plan.binder.bedCoat.dryHours));
    steps.push(step('lay', 'lay', plan.binder?.id === 'none' ? plan.school.name : 'Coat and lay the print', LAY_MINUTES + Math.round(plan.lay.spreadMinutes), plan.cure.likelyHours));
    if (plan.school.removal === 'rub' || plan.school.removal === 'peel-and-roll') {
      for (const pass of plan.rub?.passes ?? []) steps.push(step(`pass-${pass.number}`, 'rub', `${plan.school.removal === 'rub' ? 'Rub' : 'Peel and roll'}, pass ${pass.number}`, pass.minutes + pass.dampenMinutes, pass.dryMinutes / 60));
    } else if (plan.school.removeSteps.length > 0) steps.push(step('remove', 'rub', plan.school.removeSteps[0].replace(/\.$/, ''), 10, 1));
  }
  traced.forEach((layer) => steps.push(step(`trace-${layer.id}`, 'mend', `Trace and paint ${layer.kind === 'text' ? `“${layer.text}”` : 'the drawing'}`, TRACE_MINUTES, TRACE_DRY_HOURS)));
  if (plan.repairs.length > 0) steps.push(step('mend', 'mend', traced.length ? 'Mend, and take the pencil off' : 'Wet test and mend', MEND_MINUTES));
  for (let coat = 1; coat <= (plan.seal?.coats ?? 0); coat++) steps.push(step(`seal-${coat}`, 'seal', `Seal, coat ${coat}`, COAT_MINUTES, coat === plan.seal?.coats ? plan.seal.touchHours : plan.seal?.betweenHours ?? 0));
  return steps;
}

/** "45 min, then 8 h". */
export const runStepTime = ({ handsMinutes, waitHours }: RunStep): string => `${handsMinutes} min${waitHours > 0 ? `, then ${formatDuration(waitHours)}` : ''}`;
