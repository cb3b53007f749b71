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
export { useFinishSitting, useFinishStep, useFinishSteps, useStashUsers } from './use-finish-step';
export { bottlesToBuy, drawsFor, leftOfMaterial } from './draws';
export { needsOf, type MaterialNeed } from './needs';
export { Gathering } from './gathering';
