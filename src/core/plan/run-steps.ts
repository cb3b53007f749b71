import { formatDuration } from '@/core/measure';
import type { CureWait } from '@/core/cure';
import { passDryAt } from './next-step';
import type { Job, StationId } from './job';
import type { Pace } from './pace';
import type { PiecePlan } from './piece-plan';

/** What must pass after a step's hands before the next may begin. */
export interface StepWait {
  /** As the schedule takes it, and at its safest. */
  hours: number;
  safeHours: number;
  /** Where waiting longer spoils it. */
  maxHours: number | null;
  /** Label hours to gather in the room's air, with the factor without it; null by the clock. */
  drying: { labelHours: number; safeLabelHours: number; still: number; floorHours: number } | null;
  place: 'bench' | 'rack' | 'oven' | null;
}

/** One step of the whole run: hands, then a wait. Minutes of hands at the person's pace, hours of waiting. */
export interface RunStep {
  id: string;
  station: StationId;
  title: string;
  handsMinutes: number;
  waitHours: number;
  wait: StepWait;
  /** Steps that are over, waits and all, before this begins. */
  after: readonly string[];
  /** When it was done, epoch ms; null while it is not, 0 where nobody knows when. */
  doneAt: number | null;
  /** When what was done is ready for the next; null where nothing is pending. */
  ripeAt: number | null;
  /** Somebody stays with it until its wait is over. */
  attended: boolean;
}

const PREP_MINUTES = 10;
const PRINT_MINUTES = 10;
const LAY_MINUTES = 15;
const REMOVE_MINUTES = 10;
const TRACE_MINUTES = 30;
const TRACE_DRY_HOURS = 1;
const MEND_MINUTES = 15;
const COAT_MINUTES = 10;
/** Waits longer than this are spent on the rack, shorter ones on the bench. */
const RACK_HOURS = 1.1;
const MS_PER_HOUR = 3_600_000;

const clockWait = (hours: number, safeHours = hours): StepWait => ({ hours, safeHours, maxHours: null, drying: null, place: hours <= 0 ? null : hours > RACK_HOURS ? 'rack' : 'bench' });

/** The wait of a laid print as its rule has it: by the room, by the clock, in an oven, or as a window. */
function cureStepWait(wait: CureWait, window: boolean): StepWait {
  if (window) return { ...clockWait(wait.earliestHours), maxHours: wait.safeHours, place: 'bench' };
  if (wait.rule === 'oven') return { ...clockWait(wait.likelyHours), place: 'oven' };
  if (wait.rule === 'label' || wait.baseHours.max === 0) return clockWait(wait.likelyHours, wait.safeHours);
  const { film, surface, air, cover } = wait.factor;
  const labelled = wait.rule === 'sign' ? (wait.baseHours.min + wait.baseHours.max) / 2 : wait.baseHours.max;
  if (!wait.changing) return { ...clockWait(wait.likelyHours, wait.safeHours) };
  const drying = { labelHours: labelled * wait.signShare, safeLabelHours: wait.baseHours.max * wait.signShare, still: film * surface * air * cover, floorHours: wait.floorHours };
  return { ...clockWait(wait.likelyHours, wait.safeHours), drying };
}

/**
 * The steps of a piece in a working order. Printing goes beside the preparation of the surface; layers that are traced come after rubbing, before pencil is taken off
 * and the sealer goes on.
 */
export function runSteps(job: Job, plan: PiecePlan, pace: Pace = {}): RunStep[] {
  const steps: RunStep[] = [];
  const done = doneTimes(job, plan);
  const add = (id: string, station: StationId, title: string, minutes: number, wait: StepWait, after: readonly string[], attended = false): string => {
    const doneAt = done(id, station);
    steps.push({
      id, station, title, handsMinutes: Math.max(1, Math.round(minutes * (pace[station] ?? 1))), waitHours: wait.hours, wait, after, doneAt, attended,
      ripeAt: doneAt === null || wait.hours <= 0 ? null : ripeTime(id, doneAt, wait, job, plan),
    });
    return id;
  };
  const traced = job.picture.layers.filter((layer) => layer.mode === 'trace');
  let prepared: string[] = [];
  for (const one of plan.preparation) prepared = [add(one.code, 'surface', one.title, PREP_MINUTES, clockWait(one.hours), prepared)];
  const print = add('print', 'sheet', `Print the ${plan.mirrored ? 'mirrored ' : ''}sheet${traced.length ? ', and the traced layers unmirrored' : ''}`, PRINT_MINUTES, clockWait(0), []);
  let last = [...prepared, print];
  if (plan.school && plan.lay && plan.cure) {
    const { removal, removeSteps, window } = plan.school;
    if (plan.lay.coat.bed && plan.binder?.bedCoat) last = [add('bed', 'lay', 'Coat the bed and let it dry', LAY_MINUTES, clockWait(plan.binder.bedCoat.dryHours), last)];
    last = [add('lay', 'lay', plan.binder?.id === 'none' ? plan.school.name : 'Coat and lay the print', LAY_MINUTES + Math.round(plan.lay.spreadMinutes), cureStepWait(plan.cure, window), last, plan.cure.rule === 'oven')];
    if (removal === 'rub' || removal === 'peel-and-roll') {
      for (const pass of plan.rub?.passes ?? []) last = [add(`pass-${pass.number}`, 'rub', `${removal === 'rub' ? 'Rub' : 'Peel and roll'}, pass ${pass.number}`, pass.minutes + pass.dampenMinutes, clockWait(pass.dryMinutes / 60), last)];
    } else if (removeSteps.length > 0) last = [add('remove', 'rub', removeSteps[0].replace(/\.$/, ''), REMOVE_MINUTES, clockWait(1), last)];
  }
  for (const layer of traced) last = [add(`trace-${layer.id}`, 'mend', `Trace and paint ${layer.kind === 'text' ? `“${layer.text}”` : 'the drawing'}`, TRACE_MINUTES, clockWait(TRACE_DRY_HOURS), last)];
  if (plan.repairs.length > 0) last = [add('mend', 'mend', traced.length ? 'Mend, and take the pencil off' : 'Wet test and mend', MEND_MINUTES, clockWait(0), last)];
  const coats = plan.seal?.coats ?? 0;
  for (let coat = 1; coat <= coats; coat++) last = [add(`seal-${coat}`, 'seal', `Seal, coat ${coat}`, COAT_MINUTES, clockWait(coat === coats ? plan.seal?.touchHours ?? 0 : plan.seal?.betweenHours ?? 0), last)];
  return steps;
}

/** When a done step's wait is over: the laid print by its own clock, passes and coats by theirs. */
function ripeTime(id: string, doneAt: number, wait: StepWait, job: Job, plan: PiecePlan): number | null {
  if (id === 'lay' && plan.cureClock) return wait.maxHours === null ? plan.cureClock.likelyAt : plan.cureClock.earliestAt;
  if (id.startsWith('pass-')) return passDryAt(job, plan);
  return doneAt > 0 ? doneAt + wait.hours * MS_PER_HOUR : null;
}

/** What is done, from the record of the work and from what the stations hold. Once laid, what lies behind is behind. */
function doneTimes(job: Job, plan: PiecePlan): (id: string, station: StationId) => number | null {
  const logged = new Map(job.work.done.map(({ step, at }) => [step, at]));
  const { laidAt } = job.lay;
  const rubbed = job.rub.finishedAt !== null || (plan.rub !== null && plan.rub.passes.length > 0 && job.rub.done.length >= plan.rub.passes.length);
  const sealing = job.seal.coatsAt.length > 0 || job.seal.finishedAt !== null;
  const known = (id: string) => logged.get(id) ?? 0;
  return (id, station) => {
    switch (station) {
      case 'surface': return laidAt !== null || job.surface.prepared.includes(id as never) ? known(id) : null;
      case 'sheet': return laidAt !== null || job.sheet.printedAt !== null ? job.sheet.printedAt ?? 0 : null;
      case 'lay': return id === 'lay' ? laidAt : laidAt !== null || logged.has(id) ? known(id) : null;
      case 'rub': {
        const pass = Number(id.replace('pass-', ''));
        if (id.startsWith('pass-') && job.rub.done[pass - 1]) return job.rub.done[pass - 1].at;
        return rubbed ? job.rub.finishedAt ?? 0 : null;
      }
      case 'mend': return sealing || job.mend.finishedAt !== null || (id !== 'mend' && logged.has(id)) ? logged.get(id) ?? job.mend.finishedAt ?? 0 : null;
      default: {
        const coat = Number(id.replace('seal-', ''));
        return job.seal.coatsAt[coat - 1] ?? (job.seal.finishedAt !== null ? job.seal.finishedAt : null);
      }
    }
  };
}

/** "45 min, then 8 h". */
export const runStepTime = ({ handsMinutes, waitHours }: RunStep): string => `${handsMinutes} min${waitHours > 0 ? `, then ${formatDuration(waitHours)}` : ''}`;
