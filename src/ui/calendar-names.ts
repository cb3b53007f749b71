import { LANGUAGE } from '@/words/language';

type Width = 'long' | 'short' | 'narrow';

/** A year that begins with a Sunday. */
const YEAR = 2023;
const DAYS = [0, 1, 2, 3, 4, 5, 6];
const MONTHS = [...DAYS, 7, 8, 9, 10, 11];

/** @param day from 0, Sunday */
export const weekdayIn = (day: number, width: Width): string =>
  new Intl.DateTimeFormat(LANGUAGE.tag, { weekday: width }).format(new Date(YEAR, 0, 1 + day));
/** @param month from 0, January */
export const monthIn = (month: number, width: Width): string =>
  new Intl.DateTimeFormat(LANGUAGE.tag, { month: width }).format(new Date(YEAR, month, 1));

/** All of them, from Sunday and from January. */
export const weekdaysIn = (width: Width): string[] => DAYS.map((day) => weekdayIn(day, width));
export const monthsIn = (width: Width): string[] => MONTHS.map((month) => monthIn(month, width));
