import { baseCoatById, isSandable, isWash, labourRate, labourMinutes } from '@/core/craft';
import { plainWait } from '@/core/cure';
import { sum } from '@/core/shared';
import { applicableRepairs, likedIn, tasteOf, type Repair } from '@/core/mend';
import type { PiecePlan } from './answers';
import type { Job } from './job';
import { setUpOf } from './labour';
import { lacksForCoat } from './lacking';
import { isRubbed, passDryAt } from './rub';
import { hasBaseCoat } from './surface/preparation';
import { clockWait, loggedAt, never, nextStep, type Station, type StationStep } from './station';
import { MEND_PARTS, stepText, type MendPart, type StepId } from './step';

/** A letter or an outline takes a quiet half hour. */
const TRACE_MINUTES = 30;
const TRACE_DRY_HOURS = 1;
const PAINT_DRY_HOURS = 0.75;
/** For all of it; each part takes its share. */
const MENDING = labourRate(5, 0.5);
const SHARES: Readonly<Record<MendPart, number>> = { sand: 0.4, repaint: 0.4, finish: 0.2 };
/** A print that covers this share of the blank has no outline of its own. */
const FILLS_BLANK_SHARE = 0.995;

/** Once a coat of sealer is on, mending is behind. */
const isSealing = ({ seal }: Job): boolean => seal.coatsAt.length > 0 || seal.finishedAt !== null;

const tracedLayers = ({ picture: { layers } }: Job) => layers.filter(({ mode }) => mode === 'trace');

export const mend: Station<'mend', 'surface' | 'method'> = {
  id: 'mend',
  answer: ({ job }, { surface: { record, blank, print }, method: { binder, school } }) => ({
    sandable: record ? isSandable(record, hasBaseCoat(job.surface, record)) : null,
    repairs:
      binder && school && record && blank && print
        ? applicableRepairs({
            binder,
            school,
            surface: record,
            printFillsBlank: print.areaMm2 > FILLS_BLANK_SHARE * blank.areaMm2,
            wrapped: blank.layout.kind === 'sides' && print.areaMm2 > FILLS_BLANK_SHARE * blank.areaMm2,
            bareWood: record.class === 'wood' && job.surface.finish === 'bare' && leavesPoresOpen(job),
            coated: hasBaseCoat(job.surface, record),
            traced: tracedLayers(job).length > 0,
            chosen: chosenOf(job),
            bareSidesMm: blank.layout.kind === 'sides' ? null : job.surface.thicknessMm,
          })
        : [],
  }),
  missing: lacksForCoat,
  state: (job, plan) => {
    const rubbed = isRubbed(job, plan);
    if (job.mend.finishedAt !== null || (isSealing(job) && rubbed)) return 'done';
    if (plan.method.school?.sealsItself && rubbed) return 'done';
    return lacksForCoat(job, plan).length === 0 && rubbed ? 'ready' : 'not-yet';
  },
  isBehind: never,
  next: (job, plan) => {
    const open = steps(job, plan).find(({ step }) => doneAt(step, job) === null);
    return nextStep('mend', 'mend', passDryAt(job, plan), open?.minutes ?? null);
  },
  steps,
  doneAt,
  complete: (step, { mend: { done } }, { at }) => {
    if (step.kind === 'mend') return step.part === 'finish' ? { mend: { finishedAt: at } } : {};
    return { mend: { done: [...new Set([...done, 'trace' as const])] } };
  },
  revoke: (step, { mend: { done } }) => {
    if (step.kind === 'mend') return { mend: { finishedAt: null } };
    return { mend: { done: done.filter((id) => id !== 'trace') } };
  },
  needs: () => null,
  cautions: (job, plan, step) => {
    if (!plan.mend.repairs.some(({ stage }) => stage === 'sand')) return [];
    // Sanding that is a matter of taste has no step of its own: it is minded where mending begins.
    const first = steps(job, plan).find(({ step: { kind } }) => kind === 'mend')?.step;
    return step === undefined || (first && stepText(first) === stepText(step)) ? ['sanding-dust'] : [];
  },
  tools: ({ surface }, { surface: { record } }) =>
    record && isSandable(record, hasBaseCoat(surface, record))
      ? ['fine-brush', 'acrylic-colours', 'sandpaper-320-400']
      : ['fine-brush', 'acrylic-colours'],
};

const leavesPoresOpen = ({ surface: { baseCoat } }: Job): boolean =>
  baseCoat === 'none' || isWash(baseCoatById(baseCoat));

function doneAt(step: StepId, job: Job): number | null {
  const logged = loggedAt(job, stepText(step));
  if (logged !== undefined && !(step.kind === 'mend' && step.part === 'finish')) return logged;
  const { finishedAt } = job.mend;
  return isSealing(job) || finishedAt !== null ? (logged ?? finishedAt ?? 0) : null;
}

/** What was chosen at Mend of what is a matter of taste. */
const chosenOf = ({ mend: { wear, glaze, liked } }: Job): Repair['id'][] => [
  ...(wear ? (['distress'] as const) : []),
  ...(glaze === null ? [] : (['stain'] as const)),
  ...liked,
];

const isPlanned = ({ when }: Repair): boolean => when === 'expected' || when === 'chosen';

/** What nearly every transfer has a little of. */
const LOSSES: readonly Repair['id'][] = ['holes', 'worn-places'];

/** Whether a part has anything usual to do: only then it stands in the plan. */
const isUsual = (part: MendPart, repairs: readonly Repair[]): boolean => {
  if (part === 'sand') return repairs.some((repair) => repair.stage === 'sand' && isPlanned(repair));
  if (part === 'repaint') return likedIn(repairs, part).length > 0 || repairs.some(({ id }) => LOSSES.includes(id));
  return repairs.length > 0;
};

/** Sanded, repainted, dried, then what is traced, and pencil off last. */
function steps(job: Job, { mend: { repairs }, surface: { print }, lay: { room } }: PiecePlan): StationStep[] {
  const parts = MEND_PARTS.filter((part) => isUsual(part, repairs));
  const shares = parts.reduce((total, part) => total + SHARES[part], 0);
  const areaMm2 = print?.reachedMm2 ?? 0;
  const minutes = labourMinutes(MENDING, areaMm2);
  const taste = (part: MendPart) => tasteOf(likedIn(repairs, part));
  const has = (id: Repair['id']) => repairs.some((repair) => repair.id === id);
  const paintDries = (hours: number) => clockWait(plainWait('open', hours, room).likelyHours);
  const driesFor = (part: MendPart) => {
    const hours = Math.max(part === 'repaint' ? PAINT_DRY_HOURS : 0, ...taste(part).map(({ dryHours }) => dryHours));
    return hours > 0 ? paintDries(hours) : clockWait(0);
  };
  const mending = (part: MendPart): StationStep[] =>
    parts.includes(part)
      ? [
          {
            step: { kind: 'mend', part },
            title: {
              code: 'mend',
              part,
              pencil: has('pencil'),
              wetTest: has('haze') && part === parts[0],
              liked: likedIn(repairs, part),
            },
            minutes:
              (minutes * SHARES[part]) / shares + sum(taste(part).map(({ hands }) => labourMinutes(hands, areaMm2))),
            wait: driesFor(part),
            labour: { work: 'mend', setUp: part === 'repaint' ? setUpOf('mend', 'colours') : null },
          },
        ]
      : [];
  const tracing = tracedLayers(job).map((layer): StationStep => ({
    step: { kind: 'trace', layerId: layer.id },
    title: layer.kind === 'text' ? { code: 'trace-text', text: layer.text } : { code: 'trace-drawing' },
    minutes: TRACE_MINUTES,
    wait: paintDries(TRACE_DRY_HOURS),
    labour: { work: 'mend', setUp: null },
  }));
  return [...mending('sand'), ...mending('repaint'), ...tracing, ...mending('finish')];
}
