import { say } from '@/words/say';
const UNITS = say`%|mm|cm²|cm|m²|m|µm|mil|sq in|sq ft|in|ft|ml|l|fl
  oz|g/m²|g|h|min|s|days?|weeks?|°C|°F|ppi|MP|MB|kB|GB|px|W|pages?|coats?|passes|pass|points?`;
const NUMBER = '\\d[\\d.,]*(?:/\\d+)?(?: \\d+/\\d+)?';
const UNIT = ` (?:${UNITS})(?![\\p{L}\\p{N}²])`;
/** A figure with its unit, a size, a signed figure, or a time of day: what is read as one. */
const FIGURE = new RegExp(
  `(?:[×+−=<>≤≥±] )?${NUMBER}(?:(?: × ${NUMBER})+(?:${UNIT})?|${UNIT}|:\\d\\d [AP]M\\b| \\d+/\\d+)|[×+−±] \\d[\\d.,]*`,
  'gu',
);

export interface TextPart {
  text: string;
  /** Never broken over two lines. */
  isFigure: boolean;
}

/** A sentence by its figures and what stands between them; put together again it is the sentence. */
export function figuresIn(text: string): TextPart[] {
  const parts: TextPart[] = [];
  let from = 0;
  for (const match of text.matchAll(FIGURE)) {
    if (match.index > from) parts.push({ text: text.slice(from, match.index), isFigure: false });
    parts.push({ text: match[0], isFigure: true });
    from = match.index + match[0].length;
  }
  if (from < text.length) parts.push({ text: text.slice(from), isFigure: false });
  return parts;
}
