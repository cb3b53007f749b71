import { IS_ENGLISH, LANGUAGE } from './language';
import { figure } from './figure';

const lists = IS_ENGLISH ? null : new Intl.ListFormat(LANGUAGE.tag);
/** “left and top”, “a, b and c”. */
export const listOf = (items: readonly string[]): string =>
  lists
    ? lists.format(items)
    : items.length < 2
      ? (items[0] ?? '')
      : `${items.slice(0, -1).join(', ')} and ${items[items.length - 1]}`;
const choices = new Intl.ListFormat(LANGUAGE.tag, { type: 'disjunction' });
/** “A4 or A3”. */
export const eitherOf = (items: readonly string[]): string => choices.format(items);

/** A sentence's beginning as it stands inside another. */
export const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
export const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const plurals = new Intl.PluralRules(LANGUAGE.tag);
/** “1 page”, “3 pages”. */
export const counted = (count: number, one: string, many: string): string =>
  LANGUAGE.counted(figure(count), plurals.select(count), one, many);

type Part = string | false | null | undefined;
const those = (parts: readonly Part[]): string[] => parts.filter((part): part is string => Boolean(part));
/** Whole sentences one after the other; what is not there is left out. */
export const sentences = (...parts: readonly Part[]): string => those(parts).join(' ');
/** Remarks side by side: “2 pages, mirrored”. */
export const remarks = (...parts: readonly Part[]): string => those(parts).join(', ');
