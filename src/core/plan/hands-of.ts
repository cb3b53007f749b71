/**
 * What a step asks of the hands that do it: what kind of work it is, what is got ready for it and shared with others of
 * its kind, how many people it takes, and where it can be left and gone on with. Source: bench practice.
 */
import { printById } from '@/core/craft';
import { ovenById } from '@/core/cure';
import { sum } from '@/core/shared';
import { stationOf, STATION_REGISTRY, type Job, type PiecePlan, type PrepCode, type StepId } from '@/core/stations';

/** Kinds of work that a pair of hands may do or leave to others. */
export const WORKS = [
  'print',
  'clean',
  'sand',
  'strip',
  'paint',
  'lay',
  'rub',
  'mend',
  'seal',
  'spray',
  'oven',
] as const;
export type Work = (typeof WORKS)[number];

export interface HandsAsked {
  work: Work;
  /** What is got ready for it, and how many of its minutes that takes; steps of one kind share it. */
  setUp: { kind: string; minutes: number } | null;
  people: 1 | 2;
  /** Shares of its minutes that are done in one go, in order; one where it is never left half done. */
  parts: readonly number[];
  /** What to get ready again after it was left, minutes. */
  againMinutes: number;
  /** Of the oven it waits in, °C; null where it waits in none. */
  heatC: number | null;
}

const PREP_WORK: Readonly<Record<PrepCode, Work>> = {
  'lead-test': 'strip',
  strip: 'strip',
  scuff: 'sand',
  sand: 'sand',
  'light-sand': 'sand',
  derust: 'sand',
  degrease: 'clean',
  dust: 'clean',
  'dust-again': 'clean',
  'wash-dry': 'clean',
  prewash: 'clean',
  'lay-flat': 'clean',
  'seal-edges': 'paint',
  'under-coat': 'paint',
  'base-coat': 'paint',
  'base-coat-2': 'paint',
};

/** Minutes: printer and programme; brush and pot, the brush washed after it; paper, mask and sheet on the floor. */
const SET_UP = { print: 3, paint: 4, sand: 2, clean: 1, lay: 3, mend: 3, seal: 4, spray: 5 } as const;
/** Cloth, bowl and sponge once more, and the piece wetted. */
const AGAIN_MINUTES = 3;
/** Shorter work is done in one go, and no part of longer work is shorter than this. */
const SPLIT_FROM_MINUTES = 40;
const PART_MINUTES = 20;

/** @param minutes of the step, as usual */
export function handsAsked(step: StepId, minutes: number, job: Job, plan: PiecePlan): HandsAsked {
  const work = workOf(step, plan);
  const asked = setUpOf(step, work, job, plan);
  return {
    work,
    setUp: asked && { ...asked, minutes: Math.max(0, Math.min(asked.minutes, Math.round(minutes) - 1)) },
    people: takesTwo(step, job, plan) ? 2 : 1,
    parts: minutes < SPLIT_FROM_MINUTES ? [1] : partsOf(step, minutes, plan),
    againMinutes: AGAIN_MINUTES,
    heatC: heatOf(step, job),
  };
}

function workOf(step: StepId, { seal: { sealing } }: PiecePlan): Work {
  switch (step.kind) {
    case 'print':
      return 'print';
    case 'heat-set':
      return 'oven';
    case 'prepare':
      return PREP_WORK[step.code];
    case 'bed':
    case 'lay':
      return 'lay';
    case 'trace':
    case 'mend':
      return 'mend';
    case 'coat':
      return sealing?.sealer.sprayed ? 'spray' : 'seal';
    default:
      return 'rub';
  }
}

function setUpOf(step: StepId, work: Work, job: Job, plan: PiecePlan): HandsAsked['setUp'] {
  const { baseCoat, baseColour, underColour } = job.surface;
  const of = (kind: keyof typeof SET_UP, what: string) => ({ kind: `${kind} ${what}`, minutes: SET_UP[kind] });
  switch (step.kind) {
    case 'print':
      return of('print', job.method.print);
    case 'heat-set':
      return { kind: `oven ${printById(job.method.print).heatSet?.temperatureC ?? 0}`, minutes: 0 };
    case 'bed':
    case 'lay':
      return plan.method.binder ? of('lay', plan.method.binder.id) : null;
    case 'coat':
      return plan.seal.sealing ? of(work === 'spray' ? 'spray' : 'seal', plan.seal.sealing.sealer.id) : null;
    case 'mend':
      return step.part === 'repaint' ? of('mend', 'colours') : null;
    case 'prepare':
      if (step.code === 'seal-edges') return of('paint', 'edges');
      if (work === 'paint') return of('paint', `${baseCoat} ${step.code === 'under-coat' ? underColour : baseColour}`);
      if (work === 'sand') return of('sand', step.code === 'light-sand' ? 'fine' : 'coarse');
      return work === 'clean' ? of('clean', step.code.replace('-again', '')) : null;
    default:
      return null;
  }
}

/** A large blank is lifted and turned by two when it is laid, and so is what skins before one pair of hands is round. */
function takesTwo(step: StepId, job: Job, plan: PiecePlan): boolean {
  if (step.kind !== 'lay') return false;
  const heavy = STATION_REGISTRY.surface.cautions(job, plan).includes('two-people');
  return heavy || (plan.method.chosen?.conditions.includes('two-people') ?? false);
}

/** Rubbing is left between two sections, printing between two sheets, sanding anywhere; a wet coat nowhere. */
function partsOf(step: StepId, minutes: number, { rub: { map }, sheet: { pack } }: PiecePlan): readonly number[] {
  const equal = (count: number) => Array.from({ length: Math.max(1, count) }, () => 1);
  if (step.kind === 'pass' && map)
    return gathered(
      map.sections.map((section) => (step.number === 1 ? section.minutes : section.laterMinutes)),
      minutes,
    );
  if (step.kind === 'print') return gathered(equal(pack?.ok ? pack.value.pages.length : 1), minutes);
  const sanding = step.kind === 'prepare' && (PREP_WORK[step.code] === 'sand' || step.code === 'strip');
  return sanding ? gathered(equal(Math.floor(minutes / PART_MINUTES)), minutes) : [1];
}

/** Neighbours put together until each part is long enough; shares of the whole. */
function gathered(weights: readonly number[], minutes: number): number[] {
  const total = sum(weights) || 1;
  const least = PART_MINUTES / minutes;
  const parts: number[] = [];
  let open = 0;
  for (const weight of weights) {
    open += weight / total;
    if (open < least - 1e-9) continue;
    parts.push(open);
    open = 0;
  }
  const last = parts.length - 1;
  if (open > 0 && last >= 0) parts[last] = (parts[last] ?? 0) + open;
  return parts.length > 0 ? parts : [1];
}

function heatOf(step: StepId, job: Job): number | null {
  if (step.kind === 'heat-set') return printById(job.method.print).heatSet?.temperatureC ?? null;
  return stationOf(step) === 'lay' && job.cure.oven ? ovenById(job.cure.oven).temperatureC : null;
}
