/**
 * Joi fields that several records share. Every key is required; null is "not said". Objects are tied to their type by
 * the compiler.
 */
import Joi from 'joi';
import { MAX_PRINT_MM } from '@/core/sheet';
import { readStep } from '@/core/stations';

/** Farther off is a fault of a clock or a file, and calendars could not be drawn to it. */
export const LATEST_INSTANT_MS = Date.UTC(2200, 0, 1);
const DAY = /^(\d{4})-(\d{2})-(\d{2})$/;
const [FIRST_YEAR, LAST_YEAR] = [1900, 2199];

/** An object that has exactly the keys of its type, each of its kind. */
export const section = <T extends object>(keys: Joi.StrictSchemaMap<T>): Joi.ObjectSchema<T> =>
  Joi.object<T, true>(keys).required();
/** The same as an item of a list, or where null may stand. */
export const item = <T extends object>(keys: Joi.StrictSchemaMap<T>): Joi.ObjectSchema<T> => Joi.object<T, true>(keys);

export const maybe = <S extends Joi.Schema>(schema: S): S => schema.allow(null).required() as S;
export const oneOf = (...values: readonly string[]): Joi.StringSchema =>
  Joi.string()
    .valid(...values)
    .required();
export const anyOf = (records: readonly { id: string }[]): Joi.StringSchema => oneOf(...records.map(({ id }) => id));
export const figure = (min: number, max: number): Joi.NumberSchema => Joi.number().min(min).max(max).required();
export const whole = (min: number, max: number): Joi.NumberSchema => figure(min, max).integer();
export const count = (max: number): Joi.NumberSchema => whole(1, max);
export const share = (): Joi.NumberSchema => figure(0, 1);
/** Whether a text is a day that there is, YYYY-MM-DD: no 31st of April. */
function isDay(text: string): boolean {
  const match = DAY.exec(text);
  if (!match) return false;
  const [year, month, date] = [Number(match[1]), Number(match[2]), Number(match[3])];
  const there = new Date(Date.UTC(year, month - 1, date));
  const real = there.getUTCMonth() === month - 1 && there.getUTCDate() === date;
  return real && year >= FIRST_YEAR && year <= LAST_YEAR;
}
/** Epoch ms. Its name is `at` or ends in `At`: see `movedInTime`. */
export const instant = (): Joi.NumberSchema => figure(0, LATEST_INSTANT_MS).meta({ instant: true });
export const list = (of: Joi.Schema | Joi.Schema[], most: number): Joi.ArraySchema =>
  Joi.array()
    // A required item would ask for at least one of its kind.
    .items(...(Array.isArray(of) ? of : [of]).map((kind) => kind.optional()))
    .max(most)
    .required();
export const words = (most: number): Joi.StringSchema => Joi.string().allow('').max(most).required();
export const named = (most: number): Joi.StringSchema => Joi.string().min(1).max(most).required();
export const yesOrNo = (): Joi.BooleanSchema => Joi.boolean().required();
/** Calendar day that there is, YYYY-MM-DD. */
export const day = (): Joi.StringSchema =>
  Joi.string()
    .pattern(DAY)
    .custom((text: string, helpers) => (isDay(text) ? text : helpers.error('any.invalid')))
    .required();
export const colour = (): Joi.StringSchema =>
  Joi.string()
    .pattern(/^#[0-9a-f]{6}$/i)
    .required();
export const recordId = (): Joi.StringSchema =>
  Joi.string()
    .pattern(/^[A-Za-z0-9-]{1,64}$/)
    .required();
/** A length on a face or a page, mm. */
export const lengthMm = (): Joi.NumberSchema => figure(0, MAX_PRINT_MM);

const LONGEST_STEP = 120;
/** A step as it is written. */
export const stepField = (): Joi.StringSchema =>
  Joi.string()
    .min(1)
    .max(LONGEST_STEP)
    .custom((text: string, helpers) => (readStep(text).ok ? text : helpers.error('any.invalid')))
    .required();
