import { STATIONS, type Job, type StationId } from './job';
import { missingAt } from './missing';
import type { PiecePlan } from './piece-plan';
import { stationStates } from './states';

export type StepCode =
  | 'choose-picture' | 'answer-lettering' | 'describe-surface' | 'prepare-surface' | 'choose-method' | 'fix-sheet' | 'print-sheet'
  | 'lay-print' | 'wait-cure' | 'start-rubbing' | 'next-pass' | 'mend' | 'first-seal-coat' | 'next-seal-coat' | 'keep-record' | 'finished';

/** The one thing to do next on a piece: at once (`at` null or past) or from a time on. Instants epoch ms. */
export interface NextStep { code: StepCode; station: StationId; at: number | null; minutes: number | null }

const MS_PER_MINUTE = 60_000;
const LAY_MINUTES = 20;
const COAT_MINUTES = 15;

export function nextStep(job: Job, plan: PiecePlan, now: number): NextStep {
  const states = stationStates(job, plan);
  const station = STATIONS.find((one) => states[one] !== 'done' && !skipped(one, job));
  const step = (code: StepCode, at: StationId, when: number | null = null, minutes: number | null = null): NextStep => ({ code, station: at, at: when, minutes });
  switch (station) {
    case undefined: return step('finished', 'keep');
    case 'picture': return job.picture.pictureId === null ? step('choose-picture', 'picture') : job.picture.lettering === null ? step('answer-lettering', 'picture') : step('choose-picture', 'picture');
    case 'surface': return missingAt('surface', job, plan).length ? step('describe-surface', 'surface') : step('prepare-surface', 'surface', null, plan.preparation.length * 10);
    case 'method': return step('choose-method', 'method');
    case 'sheet': return plan.sheet?.ok ? step('print-sheet', 'sheet', null, 10) : step('fix-sheet', 'sheet');
    case 'lay': return step('lay-print', 'lay', null, LAY_MINUTES);
    case 'cure':
    case 'rub': return rubbing(job, plan, now);
    case 'mend': return step('mend', 'mend', passDryAt(job, plan), COAT_MINUTES);
    case 'seal': return job.seal.coatsAt.length === 0
      ? step('first-seal-coat', 'seal', passDryAt(job, plan), COAT_MINUTES)
      : step('next-seal-coat', 'seal', plan.sealClock?.nextCoatAt ?? null, COAT_MINUTES);
    case 'keep': return step('keep-record', 'keep', plan.sealClock?.touchAt ?? null, 5);
  }
}

/** A soft picture is a doubt, not a stop; once laid, what lies behind is behind. */
function skipped(station: StationId, job: Job): boolean {
  const laid = job.lay.laidAt !== null;
  if (station === 'picture') return job.picture.pictureId !== null && job.picture.lettering !== null;
  return laid && ['picture', 'surface', 'method', 'sheet'].includes(station);
}

function rubbing(job: Job, plan: PiecePlan, now: number): NextStep {
  const minutes = plan.rub?.passes[Math.min(job.rub.done.length, plan.rub.passes.length - 1)]?.minutes ?? null;
  if (job.rub.done.length > 0) return { code: 'next-pass', station: 'rub', at: passDryAt(job, plan), minutes };
  const ripeAt = plan.cureClock?.likelyAt ?? null;
  return { code: ripeAt !== null && now < ripeAt ? 'wait-cure' : 'start-rubbing', station: ripeAt !== null && now < ripeAt ? 'cure' : 'rub', at: ripeAt, minutes };
}

/** When the piece is dry after the last pass, so that haze can be seen. */
export function passDryAt(job: Job, plan: PiecePlan): number | null {
  const last = job.rub.done.at(-1);
  const pass = plan.rub?.passes[0];
  return last && pass ? last.at + pass.dryMinutes * MS_PER_MINUTE : null;
}
