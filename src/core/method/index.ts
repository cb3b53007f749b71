export { threeWays, type Gain, type Way } from './three-ways';
export { START_POINTS, rankMethods, type Candidate, type Reason } from './candidates';
export { keptToner, type KeptToner } from './kept';
export {
  ASKED_CONDITIONS,
  CONDITIONS_MET_BY,
  STRONG_GRAIN_MM,
  isAsked,
  isSandedFine,
  type AskedCondition,
  type ConditionCode,
} from './conditions';
export type { LookWanted, MethodContext } from './context';
export type { Refusal } from './refusals';
