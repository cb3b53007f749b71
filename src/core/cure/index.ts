export { REFERENCE_AIR, REFERENCE_VPD_KPA, saturationPressureKpa, vapourPressureDeficitKpa, type Air, type Cover, type Room } from './vapour';
export { airCourse, dayBetween, type AirCourse, type AirGap, type AirReading, type AirRecord, type DayProfile } from './course';
export { changingDrying, dryingFactor, gatheredLine, gatheredOver, steadyDrying, type Drying, type DryingFactor, type GatheredLine } from './drying';
export { COLDEST_FILM_C, DAMPEST_PERCENT, cureWait, type CureInput, type CureWait, type WaitRule, type WaitWarning } from './wait';
export { OVEN_CYCLES, ovenById, ovenHours, ovenRefusal, type OvenCycle, type OvenId, type OvenPiece, type OvenRefusal } from './oven';
export { signShare, type SeenSign, type SignId } from './signs';
export { dryingCurve, type CurvePoint } from './curve';
export { peelWindow, type PeelWindow } from './peel-window';
export { cureClock, type CureClock, type Wetness } from './wetness';
