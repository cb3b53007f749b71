import { baseCoatById, groundOf, schoolById, surfaceById, type CautionId, type SurfaceRecord } from '@/core/craft';
import { bareSidesMm2, reachedFaceMm2, resolveBlank } from '@/core/shape';
import { pictureWindow } from '@/core/sheet';
import { typedRoom } from '../air';
import type { PiecePlan, SurfaceAnswer } from '../answers';
import type { Job } from '../job';
import { anywhere, setUpOf, type StatedLabour, type Work } from '../labour';
import { lacksBlank, lacksKind } from '../lacking';
import {
  clockWait,
  isLaid,
  loggedAt,
  nextStep,
  type Setting,
  type StashNeed,
  type Station,
  type StationStep,
} from '../station';
import { stepText, type PrepCode, type StepId } from '../step';
import { groundColourOf, surfaceLook } from './ground';
import { placePrint } from './placement';
import { hasBaseCoat, paintCoats, preparation } from './preparation';
import { LOSS_SHARE } from '@/core/coat';
import { sum } from '@/core/shared';

/** From here on a blank is lifted and turned by two. */
const HEAVY_MM2 = 700 * 700;
/** What is asked of the face follows from the school that is taken, where one is. */
const schoolOf = ({ method: { school } }: Job) => (school === null ? null : schoolById(school));

export const isHeavy = (blank: SurfaceAnswer['blank']): boolean => blank !== null && blank.areaMm2 > HEAVY_MM2;
/** A base coat's wet film, µm. */
const PAINT_FILM_UM = 100;
const UM_MM2_PER_ML = 1e6;
const PAINT_STEPS: readonly PrepCode[] = ['under-coat', 'base-coat', 'base-coat-2'];
/** The ground while nothing is known of it. */
const WHITE = '#ffffff';

const chosenSteps = (all: SurfaceAnswer['preparation'], step: StepId | undefined): SurfaceAnswer['preparation'] =>
  step === undefined ? all : all.filter(({ code }) => step.kind === 'prepare' && step.code === code);

const isPrepared = ({ surface: { prepared } }: Job, { preparation: all }: SurfaceAnswer): boolean =>
  all.every(({ code }) => prepared.includes(code));

const doneAt = (step: StepId, job: Job): number | null =>
  isLaid(job) || (step.kind === 'prepare' && job.surface.prepared.includes(step.code))
    ? (loggedAt(job, stepText(step)) ?? 0)
    : null;

const PREP_WORK: Readonly<Record<PrepCode, Work>> = {
  'lead-test': 'strip',
  strip: 'strip',
  scuff: 'sand',
  sand: 'sand',
  'fine-sand': 'sand',
  'light-sand': 'sand',
  derust: 'sand',
  'label-off': 'clean',
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

/** Sanding and stripping are left anywhere, a wet coat nowhere. */
function labour(code: PrepCode, minutes: number, { surface: choice }: Job): StatedLabour {
  const work = PREP_WORK[code];
  const sections = work === 'sand' || code === 'strip' ? { sections: anywhere(minutes) } : {};
  return { work, setUp: setUpFor(code, work, choice), ...sections };
}

function setUpFor(code: PrepCode, work: Work, { baseCoat, baseColour, underColour }: Job['surface']) {
  if (code === 'seal-edges') return setUpOf('paint', 'edges');
  if (work === 'paint') return setUpOf('paint', `${baseCoat} ${code === 'under-coat' ? underColour : baseColour}`);
  if (work === 'sand') return setUpOf('sand', code === 'light-sand' ? 'fine' : 'coarse');
  return work === 'clean' ? setUpOf('clean', code.replace('-again', '')) : null;
}

function steps(job: Job, { surface }: Pick<PiecePlan, 'surface'>): StationStep[] {
  if (lacksKind({ surface }).length + lacksBlank({ surface }).length > 0) return [];
  return surface.preparation.map(({ code, coat, minutes, hours }) => ({
    step: { kind: 'prepare', code },
    title: { code: 'prepare', prep: code, coat },
    minutes,
    wait: clockWait(hours),
    labour: labour(code, minutes, job),
  }));
}

function answer(
  { job }: Setting,
  { picture: { facts } }: Parameters<Station<'surface', 'picture'>['answer']>[1],
): SurfaceAnswer {
  const { kind, widthMm, heightMm, shape } = job.surface;
  const record = kind ? surfaceById(kind) : null;
  const resolved = widthMm !== null && heightMm !== null ? resolveBlank(shape, { widthMm, heightMm }) : null;
  const blank = resolved?.ok ? resolved.value : null;
  const window = blank ? pictureWindow(blank, job.sheet.form, job.sheet.margins) : null;
  const look = record ? surfaceLook(job.surface, record) : null;
  const faceMm2 = blank ? reachedFaceMm2(blank) + bareSidesMm2(blank, job.surface.thicknessMm) : 0;
  return {
    record,
    blank,
    shapeFault: resolved && !resolved.ok ? resolved.error : null,
    window,
    look,
    groundColour: look ? groundColourOf(look) : WHITE,
    ground: record ? groundOf(record, job.surface) : null,
    faceMm2,
    paintMl: record ? paintFor(job, record, faceMm2) : 0,
    preparation: record ? preparation(record, job.surface, schoolOf(job), typedRoom(job), faceMm2) : [],
    print: facts && window && blank ? placePrint(job, facts, { window, blank, coarse: record?.coarse ?? false }) : null,
  };
}

/** Paint as it comes out of its tin, of all coats: the first drinks as the bare stuff does, later ones lie on paint; ml. */
function paintFor({ surface: choice }: Job, record: SurfaceRecord, faceMm2: number): number {
  const coats = paintCoats(choice, record);
  if (coats === 0) return 0;
  const film = (faceMm2 * PAINT_FILM_UM) / UM_MM2_PER_ML;
  const first = groundOf(record, { finish: choice.finish, baseCoat: 'none' }).absorbency;
  return (film * (1 + LOSS_SHARE) * (first + coats - 1)) / (1 + baseCoatById(choice.baseCoat).waterParts);
}

export const surface: Station<'surface', 'picture'> = {
  id: 'surface',
  answer,
  missing: (_, plan) => [...lacksKind(plan), ...lacksBlank(plan)],
  state: (job, plan) => {
    const { record, blank, shapeFault, window } = plan.surface;
    if (shapeFault !== null || (blank !== null && window === null)) return 'doubtful';
    if (record === null || blank === null) return 'not-yet';
    return isLaid(job) || isPrepared(job, plan.surface) ? 'done' : 'ready';
  },
  isBehind: isLaid,
  next: (job, plan) => {
    if (lacksKind(plan).length + lacksBlank(plan).length > 0) return nextStep('describe-surface', 'surface');
    const open = steps(job, plan).filter(({ step }) => doneAt(step, job) === null);
    return nextStep('prepare-surface', 'surface', null, sum(open.map(({ minutes }) => minutes)));
  },
  steps,
  doneAt,
  complete: (step, { surface: { prepared } }) =>
    step.kind === 'prepare' ? { surface: { prepared: [...new Set([...prepared, step.code])] } } : {},
  revoke: (step, { surface: { prepared } }) =>
    step.kind === 'prepare' ? { surface: { prepared: prepared.filter((code) => code !== step.code) } } : {},
  needs: (step, { surface: choice }, { surface: { paintMl, record } }): StashNeed | null =>
    step.kind === 'prepare' && PAINT_STEPS.includes(step.code) && record && hasBaseCoat(choice, record) && paintMl > 0
      ? { kind: 'paint', material: null, amount: paintMl / paintCoats(choice, record) }
      : null,
  cautions: (_, { surface: { preparation: all, record, blank } }, step) => {
    const always: CautionId[] = [];
    if (record?.ledOnly) always.push('no-flame');
    if (isHeavy(blank)) always.push('two-people');
    return [...new Set([...chosenSteps(all, step).flatMap(({ cautions }) => cautions), ...always])];
  },
  tools: (_, { surface: { preparation: all } }, step) => [
    ...new Set(chosenSteps(all, step).flatMap(({ tools }) => tools)),
  ],
};
