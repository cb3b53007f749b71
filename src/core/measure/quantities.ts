import { fail, ok, type Result } from '@/core/shared';
import { celsiusToFahrenheit, fahrenheitToCelsius, fluidOuncesToMl, mlToFluidOunces, type UnitSystem } from './units';
import { parseNumberText } from './number-text';

export type QuantityCode = 'quantity-empty' | 'quantity-unreadable' | 'quantity-range';

interface QuantityRange {
  min: number;
  max: number;
}

function bounded(value: number | null, text: string, range: QuantityRange): Result<number, QuantityCode> {
  if (text.trim() === '') return fail('quantity-empty', 'expected a figure, got nothing');
  if (value === null || !Number.isFinite(value))
    return fail('quantity-unreadable', `expected a figure, got "${text}"`, { values: { text } });
  if (value < range.min - 1e-9 || value > range.max + 1e-9) {
    return fail('quantity-range', `expected ${range.min} to ${range.max}, got ${value}`, { values: { ...range } });
  }
  return ok(value);
}

function readScaled(
  text: string,
  units: Readonly<Record<string, (amount: number) => number>>,
  fallback: string,
): number | null {
  const match = /^([-−–]?)(.+?)\s*([a-z°º%. ]*)$/i.exec(text.trim());
  if (!match) return null;
  const unit = match[3]!.toLowerCase().replace(/[.\s]/g, '') || fallback;
  const amount = parseNumberText(match[2]!);
  if (amount === null || !Object.hasOwn(units, unit)) return null;
  return units[unit]!(match[1] ? -amount : amount);
}

/** US measures, by their fluid ounces. */
const named = (names: readonly string[], ounces: number): Readonly<Record<string, (amount: number) => number>> =>
  Object.fromEntries(names.map((name) => [name, (amount: number) => fluidOuncesToMl(amount * ounces)]));

const VOLUME_UNITS = {
  ml: (v: number) => v,
  cl: (v: number) => v * 10,
  l: (v: number) => v * 1000,
  litre: (v: number) => v * 1000,
  liter: (v: number) => v * 1000,
  litres: (v: number) => v * 1000,
  liters: (v: number) => v * 1000,
  millilitre: (v: number) => v,
  milliliter: (v: number) => v,
  millilitres: (v: number) => v,
  milliliters: (v: number) => v,
  floz: fluidOuncesToMl,
  flozs: fluidOuncesToMl,
  fluidounce: fluidOuncesToMl,
  fluidounces: fluidOuncesToMl,
  oz: fluidOuncesToMl,
  ounce: fluidOuncesToMl,
  ounces: fluidOuncesToMl,
  ...named(['cup', 'cups'], 8),
  ...named(['pt', 'pint', 'pints'], 16),
  ...named(['qt', 'quart', 'quarts'], 32),
  ...named(['gal', 'gallon', 'gallons'], 128),
  ...named(['tbsp', 'tablespoon', 'tablespoons'], 1 / 2),
  ...named(['tsp', 'teaspoon', 'teaspoons'], 1 / 6),
};

/** Reads `30 ml`, `1 fl oz`, `1/2 l`, `1 pint` into ml; a bare number takes the system's unit. Range in ml. */
export const parseVolumeMl = (
  text: string,
  system: UnitSystem,
  range: QuantityRange = { min: 0, max: 100_000 },
): Result<number, QuantityCode> =>
  bounded(readScaled(text, VOLUME_UNITS, system === 'inch' ? 'floz' : 'ml'), text, range);

const same = (v: number) => v;
const CELSIUS = ['c', '°c', 'ºc', 'celsius', 'degc', 'degreesc', 'degreescelsius', '°celsius'];
const FAHRENHEIT = ['f', '°f', 'ºf', 'fahrenheit', 'degf', 'degreesf', 'degreesfahrenheit', '°fahrenheit'];
const TEMPERATURE_UNITS = Object.fromEntries([
  ...CELSIUS.map((unit) => [unit, same] as const),
  ...FAHRENHEIT.map((unit) => [unit, fahrenheitToCelsius] as const),
]);
/** Degrees of whichever scale is in use. */
const BARE_DEGREES = /\s*(?:[°º]|deg\.?|degrees?)\s*$/i;

/** Reads `21`, `21 °C`, `72 °F`, `68 degrees` into °C; a bare number takes the system's unit. Range in °C. */
export function parseTemperatureC(
  text: string,
  system: UnitSystem,
  range: QuantityRange = { min: -20, max: 60 },
): Result<number, QuantityCode> {
  const bare = system === 'inch' ? '°f' : '°c';
  return bounded(readScaled(text.replace(BARE_DEGREES, ''), TEMPERATURE_UNITS, bare), text, range);
}

/** Reads `50` or `50 %` into percent. */
export const parsePercent = (text: string, range: QuantityRange = { min: 0, max: 100 }): Result<number, QuantityCode> =>
  bounded(readScaled(text, { '%': same, percent: same }, '%'), text, range);

/** Reads a plain figure, such as a price or a count. */
export const parseFigure = (text: string, range: QuantityRange): Result<number, QuantityCode> =>
  bounded(parseNumberText(text), text, range);

/** Bottles as they are sold: within this share of a trade size, its name. */
const TRADE_SHARE = 0.015;
const TRADE_OUNCES = [1, 2, 4, 6, 8, 12, 16, 24, 32, 64, 128] as const;

/** `34 ml` or `1.15 fl oz`, a trade size by its whole ounces; a tenth of a millilitre below 10 ml. */
export function formatVolume(ml: number, system: UnitSystem): string {
  const trade = TRADE_OUNCES.find((ounces) => Math.abs(mlToFluidOunces(ml) / ounces - 1) < TRADE_SHARE);
  if (system === 'inch' && trade !== undefined) return `${trade} fl oz`;
  if (system === 'inch') return `${mlToFluidOunces(ml).toFixed(mlToFluidOunces(ml) < 10 ? 2 : 1)} fl oz`;
  return `${ml < 10 ? ml.toFixed(1) : Math.round(ml)} ml`;
}

export const formatTemperature = (celsius: number, system: UnitSystem): string =>
  system === 'inch' ? `${Math.round(celsiusToFahrenheit(celsius))} °F` : `${Math.round(celsius * 10) / 10} °C`;

/**
 * `45 min`, `9 h 40 min`, `3 days`. Rounded to what a person can use: 1 min under 2 h, 5 min under 12 h, else 15 min.
 */
export function formatDuration(hours: number): string {
  const minutes = hours * 60;
  const step = minutes < 120 ? 1 : minutes < 720 ? 5 : 15;
  const rounded = Math.round(minutes / step) * step;
  if (rounded < 60) return `${rounded} min`;
  if (rounded >= 72 * 60) {
    const days = Math.round((rounded / 1440) * 2) / 2;
    return `${days} days`;
  }
  const rest = rounded % 60;
  return rest === 0 ? `${rounded / 60} h` : `${Math.floor(rounded / 60)} h ${rest} min`;
}

const UM_PER_MIL = 25.4;

/** A wet film: `225 µm`, or `9 mil` (thousandths of an inch). */
export const formatFilm = (um: number, system: UnitSystem): string =>
  system === 'inch' ? `${Number((um / UM_PER_MIL).toFixed(1))} mil` : `${Math.round(um)} µm`;

/** Reads `225`, `225 µm`, `9 mil` into µm; a bare number takes the system's unit. Range in µm. */
export const parseFilmUm = (text: string, system: UnitSystem, range: QuantityRange): Result<number, QuantityCode> =>
  bounded(
    readScaled(text.replaceAll('μ', 'u').replaceAll('µ', 'u'), FILM_UNITS, system === 'inch' ? 'mil' : 'um'),
    text,
    range,
  );

const FILM_UNITS = {
  um: same,
  micron: same,
  microns: same,
  mm: (v: number) => v * 1000,
  mil: (v: number) => v * UM_PER_MIL,
  mils: (v: number) => v * UM_PER_MIL,
};
