import type { UnitSystem } from './units';

/** Level kitchen measures, ml: 15 and 5 where cooks weigh, half and a sixth of a fluid ounce where they don't. */
const SPOONS = {
  metric: { tablespoon: 15, teaspoon: 5 },
  inch: { tablespoon: 14.787, teaspoon: 4.929 },
} as const;
/** What is more is poured, not spooned. */
const MOST_TABLESPOONS = 16;
const LEAST_TABLESPOONS = 0.875;

export interface Spoons {
  spoon: 'tablespoon' | 'teaspoon';
  /** In quarters of a spoon, at least one. */
  quarters: number;
}

/** A volume in kitchen spoons, to the quarter; null where it is none to speak of, or too much to spoon. @param ml not negative */
export function spoonsOf(ml: number, system: UnitSystem): Spoons | null {
  const { tablespoon, teaspoon } = SPOONS[system];
  const tablespoons = ml / tablespoon;
  if (!(tablespoons <= MOST_TABLESPOONS)) return null;
  const spoon = tablespoons < LEAST_TABLESPOONS ? 'teaspoon' : 'tablespoon';
  const quarters = Math.round((ml / (spoon === 'teaspoon' ? teaspoon : tablespoon)) * 4);
  return quarters > 0 ? { spoon, quarters } : null;
}
