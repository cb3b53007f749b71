import { applicableRepairs } from '@/core/mend';
import type { PiecePlan } from './answers';
import type { Job } from './job';
import { lacksForCoat } from './lacking';
import { isRipe, passDryAt } from './rub';
import { clockWait, loggedAt, never, nextStep, type Station, type StationStep } from './station';
import { stepText } from './step';

const TRACE_MINUTES = 30;
const TRACE_DRY_HOURS = 1;
const MEND_MINUTES = 15;
/** A print that covers this share of the blank has no outline of its own. */
const FILLS_BLANK_SHARE = 0.995;

/** Once a coat of sealer is on, mending is behind. */
const isSealing = ({ seal }: Job): boolean => seal.coatsAt.length > 0 || seal.finishedAt !== null;

const tracedLayers = ({ picture: { layers } }: Job) => layers.filter(({ mode }) => mode === 'trace');

export const mend: Station<'mend', 'surface' | 'method'> = {
  id: 'mend',
  answer: ({ job }, { surface: { record, blank, print }, method: { binder } }) => ({
    repairs:
      binder && record && blank && print
        ? applicableRepairs({
            binder,
            surface: record,
            printFillsBlank: print.areaMm2 > FILLS_BLANK_SHARE * blank.areaMm2,
            traced: tracedLayers(job).length > 0,
            thicknessMm: job.surface.thicknessMm,
          })
        : [],
  }),
  missing: lacksForCoat,
  state: (job, plan) => {
    if (job.mend.finishedAt !== null || isSealing(job)) return 'done';
    return lacksForCoat(job, plan).length === 0 && isRipe(job, plan) ? 'ready' : 'not-yet';
  },
  isBehind: never,
  next: (job, plan) => {
    const open = steps(job, plan).find(({ step }) => doneAt(stepText(step), job) === null);
    return nextStep('mend', 'mend', passDryAt(job, plan), open?.minutes ?? MEND_MINUTES);
  },
  steps,
  doneAt: (step, job) => doneAt(stepText(step), job),
  complete: (step, { mend: { done } }, { at }) =>
    step.kind === 'mend' ? { mend: { finishedAt: at } } : { mend: { done: [...new Set([...done, 'trace' as const])] } },
  revoke: (step, { mend: { done } }) =>
    step.kind === 'mend' ? { mend: { finishedAt: null } } : { mend: { done: done.filter((id) => id !== 'trace') } },
  needs: () => null,
  cautions: (_, { mend: { repairs } }) => (repairs.some(({ sands }) => sands) ? ['sanding-dust'] : []),
  tools: () => ['fine-brush', 'acrylic-colours', 'sandpaper-320-400'],
};

function doneAt(text: string, job: Job): number | null {
  const logged = loggedAt(job, text);
  const { finishedAt } = job.mend;
  const tracedAlready = text !== stepText({ kind: 'mend' }) && logged !== undefined;
  return isSealing(job) || finishedAt !== null || tracedAlready ? (logged ?? finishedAt ?? 0) : null;
}

/** Layers that are traced come after rubbing, before pencil is taken off. */
function steps(job: Job, { mend: { repairs } }: PiecePlan): StationStep[] {
  const traced = tracedLayers(job);
  const tracing = traced.map((layer): StationStep => ({
    step: { kind: 'trace', layerId: layer.id },
    title: layer.kind === 'text' ? { code: 'trace-text', text: layer.text } : { code: 'trace-drawing' },
    minutes: TRACE_MINUTES,
    wait: clockWait(TRACE_DRY_HOURS),
  }));
  if (repairs.length === 0) return tracing;
  const title = { code: 'mend', traced: traced.length > 0 } as const;
  return [...tracing, { step: { kind: 'mend' }, title, minutes: MEND_MINUTES, wait: clockWait(0) }];
}
