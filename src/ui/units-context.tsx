'use client';
import { createContext, useContext } from 'react';
import { formatLength, formatSize, formatTemperature, formatVolume, type UnitSystem } from '@/core/measure';

const UnitsContext = createContext<UnitSystem>('metric');
export const UnitsProvider = UnitsContext.Provider;

/** The person's units, with the formatters already set to them. */
export function useUnits() {
  const system = useContext(UnitsContext);
  return {
    system,
    length: (mm: number) => formatLength(mm, system),
    size: (...sizesMm: number[]) => formatSize(sizesMm, system),
    volume: (ml: number) => formatVolume(ml, system),
    temperature: (celsius: number) => formatTemperature(celsius, system),
    area: (mm2: number) => (system === 'inch' ? `${Math.round(mm2 / 645.16)} in²` : `${Math.round(mm2 / 100)} cm²`),
  };
}
