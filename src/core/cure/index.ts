export { REFERENCE_AIR, REFERENCE_VPD_KPA, saturationPressureKpa, vapourPressureDeficitKpa, type Air, type Room } from './vapour';
export { dryingFactor, type DryingFactor } from './drying';
export { COLDEST_FILM_C, DAMPEST_PERCENT, cureWait, type CureInput, type CureWait, type WaitRule, type WaitWarning } from './wait';
export { cureClock, type CureClock, type Wetness } from './wetness';
