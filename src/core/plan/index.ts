export { STATIONS, applyPatch, type Job, type JobPatch, type KeptProof, type Motif, type ShopOrder, type SectionId, type TryOn, type PictureFacts, type PrepCode, type RubbedPass, type StationId } from './job';
export { dueAt, motifKey, planPiece, type LayPlan, type PiecePlan, type PrintPlan } from './piece-plan';
export type { PrepStep } from './preparation';
export { runStepTime, runSteps, type RunStep } from './run-steps';
export { findingsFor, type Finding, type FindingId, type Remedy, type RemedyId } from './findings';
export { groundColourOf, printCurves, printTables, surfaceLook } from './ground';
export { missingAt, type Missing, type MissingCode } from './missing';
export { stationStates, type StationState } from './states';
export { nextStep, passDryAt, type NextStep, type StepCode } from './next-step';
