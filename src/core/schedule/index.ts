export { dayOf, freeWindows, instantOf, isQuiet, minuteOfDay, type FreeHours } from './free-hours';
export {
  LATE_WEIGHT,
  readyCost,
  MOST_HANDS,
  endOf,
  handsMinutesOf,
  nothingPlaced,
  type Instance,
  type Placed,
  type Places,
  type SetUp,
  type Task,
  type TaskWait,
} from './instance';
export { batchesOf } from './batches';
export { benchOf } from './bench';
export { OWN } from './placing';
export { outcomeOf, placeByKeys, placeInTime } from './partial-schedule';
export { searchSchedule, triesFor } from './search';
export { asLateAsSafe } from './as-late-as-safe';
export { checkSchedule, type Violation } from './check';
export { finishesIf, repairSchedule, type Repaired } from './repair';
export { SHELF, buildInstance, stepOfPart, type BuildInput, type Built } from './from-plans';
export { footprintOf, shelfRoom, type Shelf } from './footprint';
export { spareSteps } from './spare-minutes';
export { remedyVariants, stepsOf, type JobInPlan, type LateRemedy } from './remedies';
