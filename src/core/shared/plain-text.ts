/** Text that people typed, or that a file brought, as it can be shown: nothing in it acts, and nothing is cut in half. */

/** Controls but tab and line break, what turns the direction of reading, marks of byte order, and what is no character. */
const acts = (code: number): boolean =>
  (code < 0x20 && code !== 0x09 && code !== 0x0a && code !== 0x0d) ||
  (code >= 0x7f && code <= 0x9f) ||
  code === 0x061c ||
  code === 0x200e ||
  code === 0x200f ||
  (code >= 0x202a && code <= 0x202e) ||
  (code >= 0x2066 && code <= 0x2069) ||
  code === 0xfeff ||
  code === 0xfffe ||
  code === 0xffff;

/** What leaves no mark: spaces, joiners, marks without a letter and fillers of all kinds. */
const INVISIBLE = /^(?:[\s\p{Cf}\p{Mn}]|\u115f|\u1160|\u2800|\u3164|\uffa0)*$/u;

export const plainText = (text: string): string =>
  Array.from(text)
    .filter((letter) => !acts(letter.codePointAt(0) ?? 0))
    .join('');

/** A name as it is kept: on one line, plain, in whole characters, at most so long; empty where nothing would be seen. */
export function plainName(text: string, most: number): string {
  const plain = plainText(text).replace(/\s+/g, ' ').trim();
  return INVISIBLE.test(plain) ? '' : shortened(plain, most);
}

/** At most so many code units, never ending in the middle of what is seen as one character. */
export function shortened(text: string, most: number): string {
  if (text.length <= most) return text;
  let end = 0;
  for (const { index, segment } of new Intl.Segmenter(undefined, { granularity: 'grapheme' }).segment(text)) {
    if (index + segment.length > most) break;
    end = index + segment.length;
  }
  return text.slice(0, end).trimEnd();
}
