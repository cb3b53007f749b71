import { UNPRINTABLE_MM, barIsTrue, layoutPack, paperOf } from '@/core/sheet';
import type { PiecePlan } from './answers';
import type { Job } from './job';
import { lacksBlank, lacksPicture, lacksRoom } from './lacking';
import { clockWait, isLaid, need, nextStep, type Station, type StationStep } from './station';

const PRINT_MINUTES = 10;

export const sheet: Station<'sheet', 'surface'> = {
  id: 'sheet',
  answer: ({ job: { sheet: choice }, atHand }, { surface: { print } }) => ({
    pack: print
      ? layoutPack(
          print.formed.blocks,
          {
            paper: paperOf(choice.paper, choice.custom),
            orientation: choice.orientation,
            overlapMm: choice.overlapMm,
            marginMm: atHand.truth.marginMm ?? UNPRINTABLE_MM,
          },
          choice.copies,
        )
      : null,
  }),
  missing,
  state: (job, plan) => {
    const { barMeasuredMm, printedAt } = job.sheet;
    if (plan.sheet.pack?.ok === false || (barMeasuredMm !== null && !barIsTrue(barMeasuredMm))) return 'doubtful';
    if (plan.surface.print !== null && (isLaid(job) || printedAt !== null)) return 'done';
    return missing(job, plan).length === 0 ? 'ready' : 'not-yet';
  },
  isBehind: isLaid,
  next: (_, plan) =>
    plan.sheet.pack?.ok ? nextStep('print-sheet', 'sheet', null, PRINT_MINUTES) : nextStep('fix-sheet', 'sheet'),
  steps: ({ picture: { layers } }, { method: { mirrored } }): StationStep[] => [
    {
      step: { kind: 'print' },
      title: { code: 'print', mirrored, traced: layers.some(({ mode }) => mode === 'trace') },
      minutes: PRINT_MINUTES,
      wait: clockWait(0),
      beside: true,
    },
  ],
  doneAt: (_, job) => (isLaid(job) || job.sheet.printedAt !== null ? (job.sheet.printedAt ?? 0) : null),
  complete: (_, __, { at }) => ({ sheet: { printedAt: at } }),
  revoke: () => ({ sheet: { printedAt: null, barMeasuredMm: null } }),
  needs: (_, { method: { print } }, { sheet: { pack } }) => ({
    kind: 'paper',
    material: print,
    amount: pack?.ok ? pack.value.pages.length : 1,
  }),
  cautions: () => ['knife'],
  tools: () => ['metal-ruler', 'scissors-or-craft-knife', 'cutting-mat', 'pencil'],
};

function missing(job: Job, plan: PiecePlan) {
  return [
    ...lacksPicture(job),
    ...lacksBlank(plan),
    ...lacksRoom(plan),
    ...need(plan.sheet.pack?.ok === false, 'print-fits-no-page', 'sheet'),
  ];
}
