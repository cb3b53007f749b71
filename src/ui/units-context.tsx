'use client';
import { createContext, useContext, useMemo } from 'react';
import type { UnitSystem } from '@/core/measure';
import { wordingIn, type Wording } from '@/words';

const UnitsContext = createContext<UnitSystem>('metric');
export const UnitsProvider = UnitsContext.Provider;

/** The person's units, with the formatters already set to them. */
export function useUnits(): Wording {
  const system = useContext(UnitsContext);
  return useMemo(() => wordingIn(system), [system]);
}
