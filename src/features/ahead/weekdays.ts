import { say } from '@/words/say';
export const DAYS = [
  say`Sunday`,
  say`Monday`,
  say`Tuesday`,
  say`Wednesday`,
  say`Thursday`,
  say`Friday`,
  say`Saturday`,
] as const;
export const FROM_MONDAY = [1, 2, 3, 4, 5, 6, 0] as const;
