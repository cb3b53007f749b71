export { useSchedule, type PieceInPlan, type PlanEntry, type Schedule } from './use-schedule';
export { useFinishStep, useStashUsers } from './use-finish-step';
export { bottlesToBuy, drawsFor, leftOfMaterial } from './draws';
export { needsOf, type MaterialNeed } from './needs';
export { Gathering } from './gathering';
