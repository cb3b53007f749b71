/** Folds over the stations. */
export { planPiece, planningPiece } from './plan-piece';
export { missingAt, nextStep, stationStates } from './station-states';
export { runSteps, type RunStep } from './run-steps';
export { atTheEnd, isInTurn, openWaits, pendingBefore, stepsBefore, waitsBefore, type Pending } from './pending';
export { completeStep, revokeStep } from './complete';
export { paceOf, type Pace } from './pace';
export { foresee, foreseeing, plannedSteps, type Foreseen } from './foresee';
export { cautionsAt, cautionsOf, needOf, toolsAt, toolsOf } from './cautions-and-tools';
