/**
 * Vapour-pressure deficit: how strongly the room's air pulls water out of a coat.
 * Saturation pressure by the Magnus formula with Alduchov and Eskridge's coefficients (1996), kPa, good to 0.4 % from -40 to 50 °C;
 * VPD = e_s · (1 − RH). Reference room: 21 °C and 50 %, 1.243 kPa.
 */
export interface Air { temperatureC: number; humidityPercent: number }
export interface Room extends Air { air: 'still' | 'fan' }

const MAGNUS_KPA = 0.61094;
const MAGNUS_SLOPE = 17.625;
const MAGNUS_OFFSET_C = 243.04;

export const REFERENCE_AIR: Air = { temperatureC: 21, humidityPercent: 50 };

export const saturationPressureKpa = (temperatureC: number): number =>
  MAGNUS_KPA * Math.exp((MAGNUS_SLOPE * temperatureC) / (temperatureC + MAGNUS_OFFSET_C));

export const vapourPressureDeficitKpa = ({ temperatureC, humidityPercent }: Air): number =>
  saturationPressureKpa(temperatureC) * (1 - humidityPercent / 100);

export const REFERENCE_VPD_KPA = vapourPressureDeficitKpa(REFERENCE_AIR);
