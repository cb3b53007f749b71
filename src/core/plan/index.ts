export { STATIONS, type Job, type PictureFacts, type PrepCode, type RubbedPass, type StationId } from './job';
export { dueAt, planPiece, type LayPlan, type PiecePlan, type PrintPlan } from './piece-plan';
export type { PrepStep } from './preparation';
export { missingAt, type Missing, type MissingCode } from './missing';
export { stationStates, type StationState } from './states';
export { nextStep, passDryAt, type NextStep, type StepCode } from './next-step';
