import { spoonsOf, type Spoons, type UnitSystem } from '@/core/measure';
import { formatFilm, formatLength, formatSize, formatTemperature, formatVolume } from './figures';
import { say } from './say';

/** Figures worded in a person's own units. */
export interface Wording {
  system: UnitSystem;
  length: (mm: number) => string;
  size: (...sizesMm: number[]) => string;
  volume: (ml: number) => string;
  /** The same in kitchen spoons, “about 1¼ tablespoons”; null where it is too little or too much for them. */
  spoons: (ml: number) => string | null;
  temperature: (celsius: number) => string;
  area: (mm2: number) => string;
  film: (um: number) => string;
  /** What a litre covers, said by the bottle that is usual: “a litre covers 10 m²”. */
  coverage: (m2PerLitre: number) => string;
}

const MM2_PER_IN2 = 645.16;
const IN2_PER_FT2 = 144;
const MM2_PER_CM2 = 100;
const FT2_PER_M2 = 10.7639;
const LITRES_PER_QUART = 0.946353;

function areaText(mm2: number, system: UnitSystem): string {
  if (system === 'metric') {
    const cm2 = mm2 / MM2_PER_CM2;
    return isTiny(cm2) ? say`less than 0.1 cm²` : say`${smallFigure(cm2)} cm²`;
  }
  const squareInches = mm2 / MM2_PER_IN2;
  if (isTiny(squareInches)) return say`less than 0.1 sq in`;
  return squareInches < 2 * IN2_PER_FT2
    ? say`${smallFigure(squareInches)} sq in`
    : say`${Number((squareInches / IN2_PER_FT2).toFixed(1))} sq ft`;
}

const isTiny = (value: number): boolean => value > 0 && value < 0.1;
/** Whole from ten on, tenths below. */
const smallFigure = (value: number): number => Number(value.toFixed(value >= 10 ? 0 : 1));

const QUARTERS = ['', '¼', '½', '¾'];

function spoonsText(spoons: Spoons | null): string | null {
  if (!spoons) return null;
  const { spoon, quarters } = spoons;
  const count = `${Math.floor(quarters / 4) || ''}${QUARTERS[quarters % 4] ?? ''}`;
  if (spoon === 'teaspoon') return quarters > 4 ? say`about ${count} teaspoons` : say`about ${count} teaspoon`;
  return quarters > 4 ? say`about ${count} tablespoons` : say`about ${count} tablespoon`;
}

export const wordingIn = (system: UnitSystem): Wording => ({
  system,
  length: (mm) => formatLength(mm, system),
  size: (...sizesMm) => formatSize(sizesMm, system),
  volume: (ml) => formatVolume(ml, system),
  spoons: (ml) => spoonsText(spoonsOf(ml, system)),
  temperature: (celsius) => formatTemperature(celsius, system),
  area: (mm2) => areaText(mm2, system),
  film: (um) => formatFilm(um, system),
  coverage: (m2PerLitre) =>
    system === 'inch'
      ? say`a quart covers ${Math.round(m2PerLitre * LITRES_PER_QUART * FT2_PER_M2)} sq ft`
      : say`a litre covers ${m2PerLitre.toFixed(0)} m²`,
});
