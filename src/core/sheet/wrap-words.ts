/**
 * Words broken into lines before anything draws them. The letters' widths are those of the plain sans that sheets are
 * printed in, rounded up, so that a line never comes out longer than it is reckoned. Lengths mm.
 */
const NARROW = /[ilj.,:;'|!’‘ftrI()\-·]/;
const WIDE = /[mwMWÖ@%—–×]/;
const CAPITAL = /[A-ZÄÜ]/;
const WIDTHS = { narrow: 0.34, wide: 0.9, capital: 0.73, usual: 0.57, space: 0.29 } as const;
const BOLD = 1.07;

/** How long words are at the most, mm. @param sizeMm of the letters */
export const wordsMm = (words: string, sizeMm: number, bold = false): number =>
  [...words].reduce((total, letter) => total + widthOf(letter), 0) * sizeMm * (bold ? BOLD : 1);

function widthOf(letter: string): number {
  if (letter === ' ') return WIDTHS.space;
  if (NARROW.test(letter)) return WIDTHS.narrow;
  if (WIDE.test(letter)) return WIDTHS.wide;
  return CAPITAL.test(letter) ? WIDTHS.capital : WIDTHS.usual;
}

/** Lines of words, each within `maxMm`; a single word that is longer stands alone. */
export function wrapped(words: string, sizeMm: number, maxMm: number): string[] {
  const lines: string[] = [];
  for (const word of words.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && wordsMm(`${last} ${word}`, sizeMm) <= maxMm) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}
