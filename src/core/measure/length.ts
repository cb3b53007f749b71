import { fail, ok, type Result } from '@/core/shared';
import { inchesToMm, mmToInches, type UnitSystem } from './units';
import { isUnclearNumber, parseNumberText } from './number-text';

export type LengthCode = 'length-empty' | 'length-unreadable' | 'length-unclear' | 'length-which-unit' | 'length-range';

const UNIT_MM: Readonly<Record<string, number>> = {
  mm: 1,
  millimeter: 1,
  millimeters: 1,
  millimetre: 1,
  millimetres: 1,
  cm: 10,
  centimeter: 10,
  centimeters: 10,
  centimetre: 10,
  centimetres: 10,
  m: 1000,
  meter: 1000,
  meters: 1000,
  metre: 1000,
  metres: 1000,
  in: 25.4,
  inch: 25.4,
  inches: 25.4,
  '"': 25.4,
  ft: 304.8,
  foot: 304.8,
  feet: 304.8,
  "'": 304.8,
};

const normalise = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replace(/[“”″]|''/g, '"')
    .replace(/[’‘′]/g, "'")
    .replace(/\.$/, '')
    .replace(/(in|ft|cm|mm)\.(?=\s|$)/g, '$1');

/**
 * Reads a length as people type it into mm: `11 3/4 in`, `11.75"`, `30cm`, `300 mm`, `1' 2"`, `6'-2"`, `1 ft 2 in`,
 * `30 cm 5 mm`.
 * A bare number takes the unit of the system in use: inches, or centimetres (millimetres where the length is a small
 * one); far outside what is usual it is asked which unit was meant.
 *
 * @param range smallest and largest length taken, mm
 * @returns `length-empty`, `length-unreadable`, `length-unclear` (1.200 mm), `length-which-unit` (values: text), or
 * `length-range` (values: min, max in mm)
 */
export function parseLengthMm(
  text: string,
  system: UnitSystem,
  range: { minMm: number; maxMm: number } = { minMm: 0, maxMm: 10_000 },
  bareMetric: 'cm' | 'mm' = 'cm',
): Result<number, LengthCode> {
  const plain = normalise(text);
  if (plain === '') return fail('length-empty', 'expected a length, got nothing');
  const bareUnit = system === 'inch' ? 'in' : bareMetric;
  if (isUnclear(plain, bareUnit))
    return fail('length-unclear', `expected a figure that reads one way, got "${text}"`, { values: { text } });
  const mm = readMm(plain, bareUnit);
  if (mm === null) return fail('length-unreadable', `expected a length, got "${text}"`, { values: { text } });
  if (parseNumberText(plain) !== null && mm > USUAL_MM[bareUnit])
    return fail('length-which-unit', `expected a unit with ${text}`, { values: { text } });
  if (mm < range.minMm - 1e-9 || mm > range.maxMm + 1e-9) {
    return fail('length-range', `expected ${range.minMm} to ${range.maxMm} mm, got ${mm} mm`, {
      values: { minMm: range.minMm, maxMm: range.maxMm },
    });
  }
  return ok(mm);
}

/** A bare number beyond this is more likely of another unit: 300 typed for millimetres is no three metres. */
const USUAL_MM = { cm: 2000, mm: 1000, in: 96 * 25.4 } as const;

/** In millimetres and centimetres nobody writes thousandths: 1.200 mm may be twelve hundred. */
function isUnclear(plain: string, bareUnit: string): boolean {
  const [, figure, unit] = /^([\d.,]+)\s*([a-z]*)$/.exec(plain) ?? [];
  return figure !== undefined && isUnclearNumber(figure) && ['mm', 'cm'].includes(unit || bareUnit);
}

function readMm(plain: string, bareUnit: 'in' | 'cm' | 'mm'): number | null {
  const bare = parseNumberText(plain);
  if (bare !== null) return bare * UNIT_MM[bareUnit]!;
  const feetAndInches = /^(.+?)\s*('|ft|foot|feet)\s*(.+)$/.exec(plain);
  if (feetAndInches) {
    const feet = parseNumberText(feetAndInches[1]!);
    const inches = parseNumberText(feetAndInches[3]!.replace(/^-\s*/, '').replace(/\s*("|in|inch|inches)$/, ''));
    return feet === null || inches === null ? null : inchesToMm(feet * 12 + inches);
  }
  const metricParts = /^(.+?)\s*(m|cm)\s+(.+?)\s*(cm|mm)$/.exec(plain);
  if (metricParts) {
    const [larger, smaller] = [parseNumberText(metricParts[1]!), parseNumberText(metricParts[3]!)];
    const [unit, part] = [UNIT_MM[metricParts[2]!]!, UNIT_MM[metricParts[4]!]!];
    return larger === null || smaller === null || smaller * part >= unit ? null : larger * unit + smaller * part;
  }
  const withUnit = /^(.+?)\s*([a-z]+|"|')$/.exec(plain);
  if (!withUnit || !Object.hasOwn(UNIT_MM, withUnit[2]!)) return null;
  const amount = parseNumberText(withUnit[1]!);
  return amount === null ? null : amount * UNIT_MM[withUnit[2]!]!;
}

/** Sixteenths are what tape measures show; under an inch a ruler's 32nds matter. */
const INCH_PARTS = 16;
const SMALL_INCH_PARTS = 32;

const greatestCommonDivisor = (a: number, b: number): number => (b === 0 ? a : greatestCommonDivisor(b, a % b));

function inchText(mm: number): string {
  const inches = mmToInches(mm);
  const parts = inches < 1 ? SMALL_INCH_PARTS : INCH_PARTS;
  const count = Math.round(inches * parts);
  if (count === 0) return inches > 0 ? '1/64' : '0';
  const [whole, rest] = [Math.floor(count / parts), count % parts];
  if (rest === 0) return String(whole);
  const divisor = greatestCommonDivisor(rest, parts);
  const fraction = `${rest / divisor}/${parts / divisor}`;
  return whole === 0 ? fraction : `${whole} ${fraction}`;
}

const trimZeros = (text: string): string => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);

/** A length for reading: `11 3/4 in` or `29.8 cm`; under 10 cm millimetres: `5 mm`. */
export function formatLength(mm: number, system: UnitSystem): string {
  if (system === 'inch') return `${inchText(mm)} in`;
  return mm < 100 ? `${trimZeros(mm.toFixed(1))} mm` : `${trimZeros((mm / 10).toFixed(2))} cm`;
}

/** Two or three lengths with the unit said once: `30 × 20 cm`, `11 3/4 × 8 in`. Metric sizes stay in one unit. */
export function formatSize(sizesMm: readonly number[], system: UnitSystem): string {
  if (system === 'inch') return `${sizesMm.map(inchText).join(' × ')} in`;
  return Math.max(...sizesMm) < 100
    ? `${sizesMm.map((mm) => trimZeros(mm.toFixed(1))).join(' × ')} mm`
    : `${sizesMm.map((mm) => trimZeros((mm / 10).toFixed(2))).join(' × ')} cm`;
}
