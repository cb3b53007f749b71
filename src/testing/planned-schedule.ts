import { NOTHING_SAID } from '@/core/at-hand';
import { foresee, nextStep, planPiece, runSteps } from '@/core/plan';
import { buildInstance, finishesIf, outcomeOf, benchOf, searchSchedule, shelfRoom, OWN } from '@/core/schedule';
import { MS_PER_MINUTE } from '@/core/shared';
import { dueAt } from '@/core/stations';
import type { PieceInPlan, PlanEntry, Schedule } from '@/features/agenda';
import { entriesOf } from '@/features/agenda/entries';
import { EMPTY_AGENDA, buildInputOf, type Agenda, type Piece } from '@/records';
import { NOW, PICTURE, storedPicture } from './builders';

export type PlannedSchedule = Pick<Schedule, 'pieces' | 'entries' | 'agenda' | 'built' | 'jobs'>;

/** Pieces as they stand in the plan of a person who has said little: built, placed and read back, without a browser. */
export function plannedSchedule(pieces: readonly Piece[], said: Partial<Agenda> = {}, now = NOW): PlannedSchedule {
  const agenda: Agenda = { ...EMPTY_AGENDA, ...said };
  const picture = { ...storedPicture('picture'), ...PICTURE };
  const inPlan = pieces.map((piece) => {
    const plan = planPiece(piece, picture, now);
    const foreseen = foresee(piece, picture, now, NOTHING_SAID);
    const steps = runSteps(foreseen.job, foreseen.plan);
    return { piece, planned: { piece, picture, plan, next: nextStep(piece, plan, now) }, foreseen, steps };
  });
  const input = {
    pieces: inPlan.map(({ piece, steps }) => ({
      id: piece.id,
      name: piece.name,
      dueAt: dueAt(piece.dueOn),
      steps,
      set: piece.set?.id ?? null,
      room: shelfRoom({ widthMm: 200, heightMm: 200 }, agenda.shelf),
    })),
    now,
    ...buildInputOf(agenda),
    timeZone: 'Europe/London',
    air: null,
  };
  const built = buildInstance(input);
  const { placed } = searchSchedule(built.instance, { tries: 40, seed: 1 });
  const at = (minute: number) => built.originAt + minute * MS_PER_MINUTE;
  const stands = built.steps.map(({ id }, index) => ({ id, index })).filter(({ index }) => placed.who[index] !== 0);
  const stored: Agenda = {
    ...agenda,
    starts: Object.fromEntries(stands.map(({ id, index }) => [id, at(placed.starts[index])])),
    who: Object.fromEntries(
      stands.filter(({ index }) => placed.who[index] !== OWN).map(({ id, index }) => [id, placed.who[index]]),
    ),
    shared: stands.filter(({ index }) => placed.shared[index] === 1).map(({ id }) => id),
  };
  const { finishes, tardiness } = outcomeOf(benchOf(built.instance), placed);
  const safest = finishesIf(buildInstance({ ...input, safest: true }).instance, placed);
  return {
    agenda: stored,
    built,
    jobs: [],
    entries: entriesOf(built, stored, new Map(pieces.map((piece) => [piece.id, piece]))),
    pieces: inPlan.map(
      ({ piece: { dueOn }, ...one }, index) =>
        ({
          ...one,
          finishAt: at(finishes[index]),
          safestAt: at(safest[index]),
          dueAt: dueAt(dueOn),
          lateMs: tardiness[index] * MS_PER_MINUTE,
          pending: null,
        }) as unknown as PieceInPlan,
    ),
  };
}

/** The entries of one piece, in their order. */
export const entriesOfPiece = ({ entries }: Pick<Schedule, 'entries'>, id: string): PlanEntry[] =>
  entries.filter(({ piece }) => piece.id === id);
