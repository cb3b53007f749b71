export { dayOf, freeWindows, instantOf, isQuiet, weekdayOf, type DaySpan, type FreeHours, type TimeSpan } from './free-hours';
export { LATE_WEIGHT, type FreeWindow, type Instance, type Outcome, type PieceDue, type PlaceId, type Places, type RoomCourse, type Starts, type Task, type TaskWait } from './instance';
export { benchOf, outcomeOf, placeByKeys } from './placing';
export { searchSchedule, type Found, type SearchLimits } from './search';
export { asLateAsSafe } from './later';
export { checkSchedule, type Violation } from './check';
export { repairSchedule, type Repaired } from './repair';
