/**
 * Reads a number as people type it: "11", "11.75", "11,75", "3/4", "11 3/4", "11-3/4", "½", "11½".
 * "1 200" has its thousands set apart. Returns null where it is none. A comma is a decimal mark only with one or two
 * digits behind it, so "1,200" is refused rather than read as 1.2.
 */
const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

export function parseNumberText(text: string): number | null {
  const plain = text
    .trim()
    .replace(/[\u00a0\u2009\u202f]/g, ' ')
    .replace(/[½¼¾⅓⅔⅛⅜⅝⅞]/g, (glyph) => ` ${VULGAR[glyph]}`)
    .trim()
    .replace(/(\d)\s*-\s*(\d+\s*\/)/, '$1 $2')
    .replace(/^(\d+),(\d{1,2})$/, '$1.$2')
    .replace(/^(\d{1,3})((?: \d{3})+)(?=$|\.)/, (_, first: string, rest: string) => first + rest.replaceAll(' ', ''));
  const decimal = /^[+]?(\d+(?:\.\d*)?|\.\d+)$/.exec(plain);
  if (decimal) return Number(decimal[1]);
  const fraction = /^(?:(\d+)\s+)?(\d+)\s*[/⁄]\s*(\d+)$/.exec(plain);
  if (!fraction) return null;
  const denominator = Number(fraction[3]);
  if (denominator === 0) return null;
  return Number(fraction[1] ?? 0) + Number(fraction[2]) / denominator;
}

/** Figures such as "1.200" or "1,200": twelve hundred to some, one and a fifth to others. */
export const isUnclearNumber = (text: string): boolean => /^[1-9]\d{0,2}([.,]\d{3})+$/.test(text.trim());
