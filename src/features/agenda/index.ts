export { useSchedule, type PieceInPlan, type Schedule } from './use-schedule';
export {
  benchPath,
  doersOf,
  namedOf,
  printPath,
  rowsByClock,
  storedPlaced,
  type PlanEntry,
  type PlanRow,
} from './entries';
export { lateThings, thingsOf } from './things';
export { useFinishSitting, useFinishStep, useFinishSteps, useStashUsers, withoutStep } from './use-finish-step';
export { useAgenda } from './use-agenda';
export { bottlesToBuy, drawsFor, leftOfMaterial } from './draws';
export { needsOf, type MaterialNeed } from './needs';
export { DoneAllTheSame, WhenDone, isTooShort } from './when-done';
export { isOffered, pendingOf } from './pending';
export { Gathering } from './gathering';
