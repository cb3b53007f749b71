import type { Draw, Job, JobPatch, PrepCode } from './job';
import type { RunStep } from './run-steps';

/** What marking a step done changes: the station's own record, the record of the work, and what it took out of the stash. One change, undone as one. */
export function completeStep(job: Job, step: Pick<RunStep, 'id' | 'station' | 'handsMinutes'>, at: number, minutes: number | null, draws: readonly Omit<Draw, 'step' | 'at'>[] = []): JobPatch {
  const work = {
    done: [...job.work.done.filter((one) => one.step !== step.id), { step: step.id, at, minutes, planned: step.handsMinutes }],
    draws: [...job.work.draws.filter((one) => one.step !== step.id), ...draws.map((draw) => ({ ...draw, step: step.id, at }))],
  };
  return { ...stationPatch(job, step, at, minutes), work };
}

function stationPatch(job: Job, { id, station, handsMinutes }: Pick<RunStep, 'id' | 'station' | 'handsMinutes'>, at: number, minutes: number | null): JobPatch {
  switch (station) {
    case 'surface': return { surface: { prepared: [...new Set([...job.surface.prepared, id as PrepCode])] } };
    case 'sheet': return { sheet: { printedAt: at } };
    case 'lay': return id === 'lay' ? { lay: { laidAt: at } } : {};
    case 'rub': return id === 'remove' ? { rub: { finishedAt: at } } : { rub: { done: [...job.rub.done, { at, minutes: minutes ?? handsMinutes }] } };
    case 'mend': return id === 'mend' ? { mend: { finishedAt: at } } : { mend: { done: [...new Set([...job.mend.done, 'trace' as const])] } };
    case 'seal': return { seal: { coatsAt: [...job.seal.coatsAt, at] } };
    default: return {};
  }
}

/** A step taken back: what it took out of the stash goes back in. */
export const revokeStep = (job: Job, id: string): Pick<JobPatch, 'work'> => ({
  work: { done: job.work.done.filter((one) => one.step !== id), draws: job.work.draws.filter((one) => one.step !== id) },
});
