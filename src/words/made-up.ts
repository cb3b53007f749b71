import type { Language } from './spoken';

const PLAIN = 'abcdefghijklmnopqrstuvwxyz';
/** Letters that read like those they stand for, and that no message has. */
const ACCENTED = 'àƀçđèƒğĥìĵķļɱñòƥɋřšťùʋŵẋÿž';
const HEBREW = 'אבגדהוזחטיכלמנסעפצקרשתןםךף';
const MOST_IN_A_WORD = 5;

/**
 * What a language that nobody speaks makes of a message: every letter another one, a third longer, between marks. What
 * is seen in plain letters stands outside the catalogue.
 */
const madeUpIn = (letters: string) => {
  const other = (letter: string): string => {
    const found = letters.charAt(PLAIN.indexOf(letter.toLowerCase()));
    return letter === letter.toLowerCase() ? found : found.toUpperCase();
  };
  const filler = letters.charAt(4);
  return (english: string): string => {
    if (english === '') return '';
    const longer = Math.ceil(english.replace(/\{\d+\}/g, '').length / 3);
    const more = Array.from({ length: longer }, (_, at) =>
      at % (MOST_IN_A_WORD + 1) === MOST_IN_A_WORD ? ' ' : filler,
    );
    return `⟦${english.replace(/\{\d+\}|[A-Za-z]/g, (sign) => (sign.length > 1 ? sign : other(sign)))}${more.join('').trimEnd()}⟧`;
  };
};

function languageOf(tag: string, direction: Language['direction'], letters: string): Language {
  const message = madeUpIn(letters);
  return {
    tag,
    direction,
    message,
    counted: (count, form, one, many) => message(`{0} ${form === 'one' ? one : many}`).replace('{0}', count),
  };
}

/** A third longer, with a decimal comma, and the days and months of German. */
export const LONG = languageOf('de-x-long', 'ltr', ACCENTED);
/** From right to left, with the days and months of Hebrew. */
export const MIRRORED = languageOf('he-x-long', 'rtl', HEBREW);
