import { useMemo } from 'react';

/**
 * Something made anew only where it comes out differently: a plan is new with every look at the clock, and what is made
 * of it mostly the same.
 *
 * @param key data that says what it comes out as
 * @param things that say the rest by being the same ones
 */
export function useKeyed<T>(key: unknown, things: readonly unknown[], make: () => T): T {
  // The key stands for what `make` reads.
  // eslint-disable-next-line react-hooks/exhaustive-deps, react-hooks/use-memo
  return useMemo(make, [JSON.stringify(key), ...things]);
}
