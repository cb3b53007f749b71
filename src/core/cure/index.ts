export {
  REFERENCE_AIR,
  REFERENCE_VPD_KPA,
  saturationPressureKpa,
  vapourPressureDeficitKpa,
  type Air,
  type Cover,
  type Room,
} from './vapour';
export { airCourse, dayBetween, type AirCourse, type AirGap, type AirReading, type AirRecord } from './course';
export { bedHours, changingDrying, dryingFactor, gatheredLine, gatheredOver, type GatheredLine } from './drying';
export {
  COLDEST_FILM_C,
  DAMPEST_PERCENT,
  cureWait,
  plainWait,
  type CureInput,
  type CureWait,
  type WaitRule,
} from './wait';
export {
  OVEN_CYCLES,
  ovenById,
  asksBakeSafe,
  ovenCondition,
  ovenHours,
  ovenRefusal,
  type OvenCondition,
  type OvenCycle,
  type OvenId,
  type OvenPiece,
  type OvenRefusal,
} from './oven';
export { signShare, signsAgainst, signsSayDry, type SeenSign, type SignId } from './signs';
export { dryingCurve } from './curve';
export { peelWindow, type PeelWindow } from './peel-window';
export { cureClock, type CureClock, type Wetness } from './wetness';
