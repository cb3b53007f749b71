/**
 * A simulated workroom: weather outside that swings with the day and drifts from day to day, a stove that is lit by
 * day, walls that follow slowly. Seeded and the same for the same instant. The sensor now and then falls silent for a
 * while.
 */
import { saturationPressureKpa, type Air } from '@/core/cure';
import { valueNoise, MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';

const SEED = 417;
const LIT_FROM = 8;
const LIT_UNTIL = 21;
const LIT_C = 20.5;
/** The coldest that the walls let the room get above the air outside. */
const WALLS_C = 6.5;
/** How fast the room follows after the stove is lit or goes out, hours. */
const WARMING_HOURS = 1.2;
const COOLING_HOURS = 3.5;
const SILENT_ABOVE = 0.9;
const SILENT_STRETCH_HOURS = 2;

const outsideC = (at: number): number =>
  7 + 4.5 * Math.sin((2 * Math.PI * (hourOf(at) - 9)) / 24) + 7 * (valueNoise(at / (2.3 * MS_PER_DAY), 1, SEED) - 0.5);
const hourOf = (at: number): number => {
  const date = new Date(at);
  return date.getHours() + date.getMinutes() / 60 + date.getSeconds() / 3600;
};

export function roomAt(at: number): Air {
  const outside = outsideC(at);
  const unheated = outside + WALLS_C;
  const hour = hourOf(at);
  const sinceLit = (hour - LIT_FROM + 24) % 24;
  const sinceOut = (hour - LIT_UNTIL + 24) % 24;
  const lit = hour >= LIT_FROM && hour < LIT_UNTIL;
  const target = Math.max(unheated, LIT_C);
  const temperatureC = lit
    ? target - (target - unheated) * Math.exp(-sinceLit / WARMING_HOURS)
    : unheated + (target - unheated) * Math.exp(-sinceOut / COOLING_HOURS);
  const vapourKpa = saturationPressureKpa(outside) * (0.82 + 0.1 * valueNoise(at / (8 * MS_PER_HOUR), 2, SEED)) + 0.18;
  const flicker = (lane: number) => valueNoise(at / (7 * MS_PER_MINUTE), lane, SEED) - 0.5;
  return {
    temperatureC: Math.round((temperatureC + 0.3 * flicker(3)) * 10) / 10,
    humidityPercent:
      Math.round(Math.min(97, (100 * vapourKpa) / saturationPressureKpa(temperatureC) + 1.5 * flicker(4)) * 10) / 10,
  };
}

/** Whether the sensor says nothing at an instant. */
export const isSilent = (at: number): boolean =>
  valueNoise(Math.floor(at / (SILENT_STRETCH_HOURS * MS_PER_HOUR)), 5, SEED) > SILENT_ABOVE;
