import { IS_ENGLISH, LANGUAGE } from './language';

const PLAIN_FIGURE = /^-?\d+(\.\d+)?$/;

/** A figure as the language writes it, with the places that it has. */
export function figure(value: number | string): string {
  const text = String(value);
  if (IS_ENGLISH || !PLAIN_FIGURE.test(text)) return text;
  const places = text.includes('.') ? text.length - text.indexOf('.') - 1 : 0;
  return new Intl.NumberFormat(LANGUAGE.tag, {
    minimumFractionDigits: places,
    maximumFractionDigits: places,
    useGrouping: false,
  }).format(Number(text));
}

/** A value in a sentence that runs the other way keeps its own order. */
export const isolated = (text: string): string => (LANGUAGE.direction === 'rtl' ? `\u2068${text}\u2069` : text);
