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
export { useCompletion, useStashUsers } from './completion';
export { useFinishSitting, useFinishStep, useFinishSteps } from './use-finish-step';
export { bottlesToBuy, leftOfMaterial } from './draws';
export { needsOf, type MaterialNeed } from './needs';
export { DoneAllTheSame, WhenDone, isTooShort } from './when-done';
export { isOffered, pendingOf } from './pending';
export { Gathering } from './gathering';
