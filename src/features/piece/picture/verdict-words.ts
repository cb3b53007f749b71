import type { ResolutionVerdict } from '@/core/picture';
import { say } from '@/words/say';

export const VERDICT_WORDS: Readonly<Record<ResolutionVerdict, string>> = {
  excellent: say`excellent`,
  good: say`good`,
  acceptable: say`acceptable`,
  soft: say`soft, the pixels will show`,
};
