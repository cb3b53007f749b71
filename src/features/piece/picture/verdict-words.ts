import type { ResolutionVerdict } from '@/core/picture';

export const VERDICT_WORDS: Readonly<Record<ResolutionVerdict, string>> = {
  excellent: 'excellent',
  good: 'good',
  acceptable: 'acceptable',
  soft: 'soft, the pixels will show',
};
