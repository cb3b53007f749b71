import { formatLength, formatSize, formatTemperature, formatVolume, type UnitSystem } from '@/core/measure';

/** Figures worded in a person's own units. */
export interface Wording {
  system: UnitSystem;
  length: (mm: number) => string;
  size: (...sizesMm: number[]) => string;
  volume: (ml: number) => string;
  temperature: (celsius: number) => string;
  area: (mm2: number) => string;
}

const MM2_PER_IN2 = 645.16;
const MM2_PER_CM2 = 100;

export const wordingIn = (system: UnitSystem): Wording => ({
  system,
  length: (mm) => formatLength(mm, system),
  size: (...sizesMm) => formatSize(sizesMm, system),
  volume: (ml) => formatVolume(ml, system),
  temperature: (celsius) => formatTemperature(celsius, system),
  area: (mm2) => (system === 'inch' ? `${Math.round(mm2 / MM2_PER_IN2)} in²` : `${Math.round(mm2 / MM2_PER_CM2)} cm²`),
});
