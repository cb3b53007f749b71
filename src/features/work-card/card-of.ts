import { cautionsOf, runSteps, type Foreseen, type Pace, type RunStep } from '@/core/plan';
import { dueAt, stepKey } from '@/core/stations';
import type { WorkCard } from '@/core/sheet/work-card';
import type { Piece } from '@/records';
import { dated } from '@/ui';
import {
  BINDER_WORDS,
  CAUTION_TEXTS,
  PRINT_WORDS,
  SEALER_WORDS,
  SURFACE_WORDS,
  blankAsEntered,
  remarks,
  stepTime,
  stepTitle,
  type Wording,
} from '@/words';
import { say } from '@/words/say';

/** A piece on one page, without its picture: sizes, amounts, steps with boxes and hours, cautions. */
export function pieceCard(
  piece: Piece,
  { job, plan }: Pick<Foreseen<Piece>, 'job' | 'plan'>,
  { starts, pace, units }: { starts: Readonly<Record<string, number>>; pace: Pace; units: Wording },
): Omit<WorkCard, 'picture'> {
  const steps = runSteps(job, plan, pace);
  const startOf = ({ id }: RunStep) => starts[stepKey(piece.id, id)];
  const due = dueAt(piece.dueOn);
  return {
    title: piece.name,
    under: due === null ? '' : say`Due ${dated(due, 'EEEE d MMM')}`,
    facts: factsOf(job, plan, units),
    steps: inTime(steps, startOf).map((step) => {
      const startAt = startOf(step);
      return {
        when: step.doneAt !== null || startAt === undefined ? '' : dated(startAt, 'EEE d MMM HH:mm'),
        text: stepTitle(step.title),
        time: stepTime(step),
        done: step.doneAt !== null,
      };
    }),
    cautions: textsOf(steps.filter(({ doneAt }) => doneAt === null).flatMap(({ step }) => cautionsOf(step, job, plan))),
  };
}

/** What is done first, then what is planned by its hour, then the rest; else in the order of the run. */
function inTime(steps: readonly RunStep[], startOf: (step: RunStep) => number | undefined): RunStep[] {
  const at = (step: RunStep) => (step.doneAt === null ? (startOf(step) ?? Infinity) : -1);
  return [...steps].sort((one, other) => (at(one) === at(other) ? 0 : at(one) - at(other)));
}

export const textsOf = (ids: readonly (keyof typeof CAUTION_TEXTS)[]): string[] =>
  [...new Set(ids)].map((id) => CAUTION_TEXTS[id]);

function factsOf(job: Piece, plan: Foreseen<Piece>['plan'], units: Wording): WorkCard['facts'] {
  const { surface, method, lay, seal, sheet } = plan;
  const facts: { name: string; value: string | null }[] = [
    {
      name: say`Board or jar`,
      value:
        remarks(blankAsEntered(job.surface, units), surface.record && SURFACE_WORDS[surface.record.id].name) || null,
    },
    {
      name: say`Print`,
      value:
        surface.print &&
        remarks(
          units.size(surface.print.picture.widthMm, surface.print.picture.heightMm),
          PRINT_WORDS[method.printKind.id].name,
          sheet.pack?.ok && sheet.pack.value.pages.length > 1 && say`${sheet.pack.value.pages.length} pages`,
        ),
    },
    {
      name: say`Medium`,
      value:
        method.binder && lay.laying
          ? say`${units.volume(lay.laying.coat.totalMl)} of ${BINDER_WORDS[method.binder.id].name}`
          : method.binder && BINDER_WORDS[method.binder.id].name,
    },
    { name: say`Base coat`, value: surface.paintMl > 0 ? units.volume(surface.paintMl) : null },
    {
      name: say`Sealer`,
      value:
        seal.sealing &&
        say`${seal.sealing.coats} × ${units.volume(seal.sealing.volumeMlPerCoat)} of ${SEALER_WORDS[seal.sealing.sealer.id].name}`,
    },
  ];
  return facts.flatMap(({ name, value }) => (value === null ? [] : [{ name, value }]));
}
