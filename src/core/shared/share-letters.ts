/**
 * Shares 0–1 written as one letter each, of the 57 from `#` to `[`: within a hundredth, and nothing that JSON would have
 * to escape. For maps that stand in records.
 */
import { clamp } from './numbers';

const FIRST = 35;
const STEPS = 56;

export const shareLetter = (share: number): string =>
  String.fromCharCode(FIRST + Math.round(clamp(share, 0, 1) * STEPS));
export const letterShare = (letter: string): number => (letter.charCodeAt(0) - FIRST) / STEPS;
