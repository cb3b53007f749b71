import { figure, isolated } from './figure';
import { IS_ENGLISH, LANGUAGE } from './language';

/** What can stand in a sentence. What is not there leaves nothing. */
type Value = string | number | false | null | undefined;

const written = (value: Value): string =>
  value === false || value === null || value === undefined ? '' : IS_ENGLISH ? String(value) : isolated(figure(value));

/** A sentence too long for a line of code goes on in the next: the break, and what the next begins with, are one blank. */
function partsOf(strings: TemplateStringsArray): readonly string[] {
  let parts = unbroken.get(strings);
  if (!parts) {
    parts = strings.map((part) => part.replace(/\s*\n\s*/g, ' '));
    unbroken.set(strings, parts);
  }
  return parts;
}
const unbroken = new WeakMap<TemplateStringsArray, readonly string[]>();

const numbered = (strings: TemplateStringsArray): string =>
  partsOf(strings).reduce((message, part, index) => `${message}{${index - 1}}${part}`);

/** A message's own text and its values' places, in the language that is spoken. */
export const messageParts = (strings: TemplateStringsArray): (string | number)[] =>
  LANGUAGE.message(numbered(strings))
    .split(/\{(\d+)\}/)
    .map((part, index) => (index % 2 === 1 ? Number(part) : part));

/** A sentence, or a word of its own: what stands here is the English of it, and the key to it in every other language. */
export function say(strings: TemplateStringsArray, ...values: readonly Value[]): string {
  if (IS_ENGLISH) return partsOf(strings).reduce((text, part, index) => `${text}${written(values[index - 1])}${part}`);
  return messageParts(strings)
    .map((part) => (typeof part === 'number' ? written(values[part]) : part))
    .join('');
}

/** A whole table of sentences and words. @param codes what is no words in it */
export function said<T>(table: T, codes: readonly string[] = []): T {
  if (IS_ENGLISH) return table;
  if (typeof table === 'string') return LANGUAGE.message(table) as T;
  if (Array.isArray(table)) return table.map((one: unknown) => said(one, codes)) as T;
  if (table === null || typeof table !== 'object' || Object.getPrototypeOf(table) !== Object.prototype) return table;
  return Object.fromEntries(
    Object.entries(table).map(([key, value]) => [
      key,
      codes.includes(key) ? (value as unknown) : said(value as unknown, codes),
    ]),
  ) as T;
}
