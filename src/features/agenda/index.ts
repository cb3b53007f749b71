export { useAgenda } from './use-agenda';
export { useSchedule, type PieceInPlan, type PlanEntry, type Schedule } from './use-schedule';
export { useFinishStep, useStashUsers } from './use-finish-step';
export { bottlesToBuy, drawsFor, leftOfMaterial, needOf } from './draws';
export { materialName, needsOf, type MaterialNeed } from './needs';
