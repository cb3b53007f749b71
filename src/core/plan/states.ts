import { STATIONS, type Job, type StationId } from './job';
import { missingAt } from './missing';
import type { PiecePlan } from './piece-plan';

/** not-yet: can't be worked out or begun; doubtful: something stands against it; ready: worked out; waiting: time must pass; done. */
export type StationState = 'not-yet' | 'doubtful' | 'ready' | 'waiting' | 'done';

export function stationStates(job: Job, plan: PiecePlan): Record<StationId, StationState> {
  return Object.fromEntries(STATIONS.map((station) => [station, stateOf(station, job, plan)])) as Record<StationId, StationState>;
}

function stateOf(station: StationId, job: Job, plan: PiecePlan): StationState {
  const missing = missingAt(station, job, plan);
  if (isDone(station, job, plan)) return isDoubtful(station, job, plan) ? 'doubtful' : 'done';
  if (isDoubtful(station, job, plan)) return 'doubtful';
  if (station === 'cure' && plan.cureClock) return plan.cureClock.wetness === 'wet' || plan.cureClock.wetness === 'tacky' ? 'waiting' : 'ready';
  if (station === 'cure') return 'not-yet';
  if (station === 'rub' || station === 'mend') return missing.length === 0 && ripe(job, plan) ? 'ready' : 'not-yet';
  if (station === 'seal') return missing.length > 0 || !rubbed(job, plan) ? 'not-yet' : sealWaits(plan) ? 'waiting' : 'ready';
  if (station === 'keep') return sealed(job, plan) ? 'ready' : 'not-yet';
  return missing.length === 0 ? 'ready' : 'not-yet';
}

const ripe = (job: Job, plan: PiecePlan): boolean => job.rub.done.length > 0 || plan.cureClock?.wetness === 'dry' || plan.cureClock?.wetness === 'cured';
const rubbed = (job: Job, plan: PiecePlan): boolean => job.rub.finishedAt !== null || (plan.rub !== null && plan.rub.passes.length > 0 && job.rub.done.length >= plan.rub.passes.length);
const sealed = (job: Job, plan: PiecePlan): boolean => job.seal.finishedAt !== null || (plan.seal !== null && plan.seal.coats > 0 && job.seal.coatsAt.length >= plan.seal.coats);
const sealWaits = (plan: PiecePlan): boolean => plan.sealClock?.nextCoatAt != null;

function isDone(station: StationId, job: Job, plan: PiecePlan): boolean {
  const laid = job.lay.laidAt !== null;
  switch (station) {
    case 'picture': return job.picture.pictureId !== null && job.picture.lettering !== null;
    case 'surface': return plan.surface !== null && plan.blank !== null && (laid || plan.preparation.every((step) => job.surface.prepared.includes(step.code)));
    case 'method': return plan.binder !== null;
    case 'sheet': return plan.print !== null && (laid || job.sheet.printedAt !== null);
    case 'lay': return laid;
    case 'cure': return laid && (job.rub.done.length > 0 || job.rub.finishedAt !== null);
    case 'rub': return rubbed(job, plan);
    case 'mend': return job.mend.finishedAt !== null || job.seal.coatsAt.length > 0 || job.seal.finishedAt !== null;
    case 'seal': return sealed(job, plan);
    case 'keep': return job.keep.rating !== null;
  }
}

function isDoubtful(station: StationId, job: Job, plan: PiecePlan): boolean {
  switch (station) {
    case 'picture': return job.picture.pictureId !== null && (job.picture.lettering === null || plan.print?.verdict === 'soft');
    case 'surface': return plan.shapeFault !== null || (plan.blank !== null && plan.window === null);
    case 'method': return plan.chosen?.verdict === 'refused';
    case 'sheet': return plan.sheet?.ok === false || (job.sheet.barMeasuredMm !== null && Math.abs(job.sheet.barMeasuredMm - 100) > 0.5);
    case 'cure': return job.lay.laidAt !== null && job.rub.done.length === 0 && (plan.cure?.warnings.length ?? 0) > 0;
    default: return false;
  }
}
