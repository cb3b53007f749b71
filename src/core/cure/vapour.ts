/**
 * Vapour-pressure deficit: how strongly the room's air pulls water out of a coat. Saturation pressure by the Magnus
 * formula with Tetens' coefficients in Murray's form (1967), kPa, within 0.2 % of the steam tables from 0 to 40 °C; VPD
 * = e_s · (1 − RH). Reference room: 21 °C and 50 %, 1.243 kPa.
 */
export interface Air {
  temperatureC: number;
  humidityPercent: number;
}
/** How a drying piece lies: open, under a weight, or covered or stacked. */
export type Cover = 'open' | 'weighted' | 'covered';
export interface Room extends Air {
  air: 'still' | 'fan';
  cover?: Cover;
}

const MAGNUS_KPA = 0.61078;
const MAGNUS_SLOPE = 17.269;
const MAGNUS_OFFSET_C = 237.3;

export const REFERENCE_AIR: Air = { temperatureC: 21, humidityPercent: 50 };

export const saturationPressureKpa = (temperatureC: number): number =>
  MAGNUS_KPA * Math.exp((MAGNUS_SLOPE * temperatureC) / (temperatureC + MAGNUS_OFFSET_C));

export const vapourPressureDeficitKpa = ({ temperatureC, humidityPercent }: Air): number =>
  saturationPressureKpa(temperatureC) * (1 - humidityPercent / 100);

export const REFERENCE_VPD_KPA = vapourPressureDeficitKpa(REFERENCE_AIR);
