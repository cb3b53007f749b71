import { UNPRINTABLE_MM, barIsTrue, layoutPack, paperOf, type LayoutChoice } from '@/core/sheet';
import type { AtHand } from '@/core/at-hand';
import type { PiecePlan } from './answers';
import type { Job } from './job';
import { likeSections, setUpOf } from './labour';
import { lacksBlank, lacksPicture, lacksRoom } from './lacking';
import { clockWait, isLaid, loggedAt, need, nextStep, type Station, type StationStep } from './station';
import { stepText } from './step';
import { labourRate, labourMinutes } from '@/core/craft';

const PRINTING = labourRate(3, 0, 1);
/** Four sides of each page. */
const TRIMMING = labourRate(2, 0, 2);
const FIRST_PAGE_MINUTES = 1 + 2;
const HEAT_SETTING = labourRate(5, 0);

export const sheet: Station<'sheet', 'surface'> = {
  id: 'sheet',
  answer: ({ job: { sheet: choice }, atHand }, { surface: { print } }) => ({
    pack: print ? layoutPack(print.formed.blocks, layoutChoice(choice, atHand), choice.copies) : null,
  }),
  missing,
  state: (job, plan) => {
    if (plan.sheet.pack?.ok === false || isPrintRefused(job)) return 'doubtful';
    if (plan.surface.print !== null && (isLaid(job) || job.sheet.printedAt !== null)) return 'done';
    return missing(job, plan).length === 0 ? 'ready' : 'not-yet';
  },
  isBehind: isLaid,
  next: (_, plan) =>
    plan.sheet.pack?.ok ? nextStep('print-sheet', 'sheet', null, printMinutes(plan)) : nextStep('fix-sheet', 'sheet'),
  steps,
  doneAt: (step, job) => {
    const logged = loggedAt(job, stepText(step));
    if (step.kind === 'heat-set') return isLaid(job) || logged !== undefined ? (logged ?? 0) : null;
    if (isLaid(job)) return job.sheet.printedAt ?? 0;
    return isPrintRefused(job) ? null : job.sheet.printedAt;
  },
  // What was measured and photographed was the print before.
  complete: (step, job, { at }) =>
    step.kind === 'print'
      ? { sheet: { printedAt: at, ...(isPrintRefused(job) ? { barMeasuredMm: null, proof: null } : {}) } }
      : {},
  revoke: (step) => (step.kind === 'print' ? { sheet: { printedAt: null, barMeasuredMm: null } } : {}),
  needs: (step, _, plan) =>
    step.kind === 'print' ? { kind: 'paper', material: plan.method.printKind.id, amount: pagesOf(plan) } : null,
  cautions: (_, { method: { printKind } }, step) => {
    if (step?.kind === 'heat-set') return ['heat-set', 'oven'];
    return printKind.trim === 'knife' ? ['knife'] : [];
  },
  tools: (_, { method: { printKind } }) => {
    const { trim } = printKind;
    if (trim === null) return ['metal-ruler'];
    return trim === 'scissors'
      ? ['metal-ruler', 'scissors-or-craft-knife']
      : ['metal-ruler', 'scissors-or-craft-knife', 'cutting-mat', 'pencil'];
  },
};

/** The print was measured or photographed, and is not to be laid: it is printed anew. */
export const isPrintRefused = ({ sheet: { barMeasuredMm, proof } }: Pick<Job, 'sheet'>): boolean =>
  (barMeasuredMm !== null && !barIsTrue(barMeasuredMm)) || (proof !== null && proof.reasons.length > 0);

/** The page that was chosen, on the printer that there is. */
export const layoutChoice = (
  { paper, custom, orientation, overlapMm }: Job['sheet'],
  { truth }: Pick<AtHand, 'truth'>,
): LayoutChoice => ({
  paper: paperOf(paper, custom),
  orientation,
  overlapMm,
  marginMm: truth.marginMm ?? UNPRINTABLE_MM,
});

/** Sheets of paper that the prints take. */
export const pagesOf = ({ sheet: { pack } }: Pick<PiecePlan, 'sheet'>): number =>
  pack?.ok ? pack.value.pages.length : 1;

function printMinutes(plan: Pick<PiecePlan, 'sheet' | 'method'>): number {
  const pages = pagesOf(plan);
  const printing = FIRST_PAGE_MINUTES + labourMinutes(PRINTING, 0, pages);
  return plan.method.printKind.trim === null ? printing : printing + labourMinutes(TRIMMING, 0, pages);
}

/**
 * Printing and trimming; ink that is set with heat goes into the oven after it, attended. What stays wet is printed once
 * all else is ready, and laid in the same sitting.
 */
function steps(job: Job, plan: PiecePlan): StationStep[] {
  const { picture } = job;
  const { printKind } = plan.method;
  if (!isLaid(job) && missing(job, plan).length > 0) return [];
  const printing: StationStep = {
    step: { kind: 'print' },
    title: {
      code: 'print',
      mirrored: plan.method.mirrored,
      traced: picture.layers.some(({ mode }) => mode === 'trace'),
    },
    minutes: printMinutes(plan),
    wait: clockWait(0),
    labour: { work: 'print', setUp: setUpOf('print', printKind.id), sections: likeSections(pagesOf(plan)) },
    beside: true,
    holdsBack: isPrintRefused(job),
  };
  const { heatSet, face } = printKind;
  if (face.lies === 'wet')
    return [
      {
        ...printing,
        wait: { ...clockWait(0), maxHours: face.minutes / 60 },
        labour: { work: 'print', setUp: null },
        beside: false,
        holdsBack: true,
      },
    ];
  if (!heatSet) return [printing];
  const { temperatureC, minutes, coolMinutes } = heatSet;
  return [
    printing,
    {
      step: { kind: 'heat-set' },
      title: { code: 'heat-set', temperatureC },
      minutes: labourMinutes(HEAT_SETTING, 0),
      wait: { ...clockWait((minutes + coolMinutes) / 60, 'heat'), place: 'oven' },
      labour: { work: 'oven', setUp: { kind: `oven ${temperatureC}`, minutes: 0 }, heatC: temperatureC },
      beside: true,
      attended: true,
    },
  ];
}

function missing(job: Job, plan: PiecePlan) {
  return [
    ...lacksPicture(job),
    ...lacksBlank(plan),
    ...lacksRoom(plan),
    ...need(plan.sheet.pack?.ok === false, 'print-fits-no-page', 'sheet'),
  ];
}
